import { diaphragmOn, type Diaphragm } from '../actions/lateral/diaphragm'
import { storeyStiffness } from '../actions/lateral/stiffness'
import { recordsOf } from '../document/document'
import { expanded } from '../document/labels'
import { once } from '../outcome/once'
import type { StiffElement } from '../document/recordKinds'
import type { Point } from '../geometry/point'
import { touches } from '../geometry/polygon'
import { along, distance, overlapOn } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'
import type { Traced } from '../trace/traced'
import type { FloorState } from './floorStates'
import type { ProjectState } from './project'

/** A stiff element below a level. */
export interface StoreyElement {
  readonly expandedId: string
  readonly record: StiffElement
  readonly a: Point
  readonly b: Point
  /** The way its force counts as positive: towards greater X, or greater Y where it runs along Y. */
  readonly along: Point
  /** N/m; null for bracing without a section. */
  readonly stiffness: Traced<'stiffness'> | null
}

/** What is below a floor down to the next floor that it stands on, and what holds it. */
export interface Storey {
  readonly floor: FloorState
  /** Down to that floor, or to the base, m. */
  readonly height: number
  readonly elements: readonly StoreyElement[]
  readonly diaphragm: Diaphragm
  /** Indices of the storeys that stand on this floor. */
  readonly above: readonly number[]
}

/** The storey below every carrying floor, bottom first. A part of the building beside a floor goes down past it. */
export const storeysOf = once((state: ProjectState): readonly Storey[] => {
  const stacks = stacksOf(state)
  const bottom = state.floors[0]?.floor
  const base = bottom ? bottom.level.elevation - bottom.storeyHeight : 0
  return stacks.map(({ floor, records, above }, index): Storey => {
    const foot = stacks.find((stack) => stack.above.includes(index))?.floor.level.elevation ?? base
    const height = floor.level.elevation - foot
    const elements = records.map((record) => elementOf(state, record, floor, height))
    const lines = elements.map(({ a, b, along: way, stiffness }) => ({
      at: along(a, b, distance(a, b) / 2),
      along: way,
      stiffness: stiffness?.value ?? 0,
    }))
    return { floor, height, elements, diaphragm: diaphragmOn(lines), above }
  })
})

/** A floor with the records that hold it, and the floors over it that stand on it. */
interface Stack {
  readonly floor: FloorState
  readonly records: readonly Straight[]
  readonly above: readonly number[]
}

interface Straight {
  readonly record: StiffElement
  readonly a: Point
  readonly b: Point
}

/** From the roof down: whose elements all go past a floor stands on one further down. Answered bottom first. */
function stacksOf({ document, floors }: ProjectState): readonly Stack[] {
  const all = recordsOf(document, 'stiffElement').flatMap((record): Straight[] => {
    const [a, b] = record.path
    return a && b && distance(a, b) > onLine ? [{ record, a, b }] : []
  })
  const stacks: Stack[] = []
  let open: readonly number[] = []
  for (const [index, floor] of [...floors.entries()].reverse()) {
    const own = all.filter(({ record }) => record.layout === floor.floor.layoutId)
    const passesHere = (element: Straight) => passes(element, own, floor)
    const going = open.filter((i) => stacks[i]?.records.length && stacks[i].records.every(passesHere))
    const above = open.filter((i) => !going.includes(i))
    const passing = above.flatMap((i) => stacks[i]?.records.filter(passesHere) ?? [])
    stacks[index] = { floor, records: [...own, ...passing], above }
    open = [...going, index]
  }
  return stacks
}

/** Nothing of the floor's own is under it on its line, and no slab beside it (compare columns that pass a level). */
function passes({ a, b }: Straight, own: readonly Straight[], { operator }: FloorState): boolean {
  if (own.some((lower) => overlapOn(lower.a, lower.b, a, b, onLine))) return false
  const places = [0.25, 0.5, 0.75].map((part) => along(a, b, part * distance(a, b)))
  return !operator.plan.panels.some(({ net }) => places.some((place) => touches(net, place)))
}

function elementOf(
  { document, basis }: ProjectState,
  { record, a, b }: Straight,
  floor: FloorState,
  storeyHeight: number,
): StoreyElement {
  const material = document.records.get(record.material)
  const section = record.section === null ? undefined : document.records.get(record.section)
  const stiffness =
    material?.kind === 'material'
      ? storeyStiffness(record, {
          material,
          section: section?.kind === 'section' ? section : undefined,
          length: distance(a, b),
          storeyHeight,
          walls: basis?.wallStiffness ?? 'bending',
        })
      : null
  return { expandedId: expanded(record.id, floor.level.id), record, a, b, along: wayOf(a, b), stiffness }
}

/** The same whichever end was drawn first. */
function wayOf(a: Point, b: Point): Point {
  const length = distance(a, b)
  const [x, y] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length]
  const backwards = Math.abs(x) > 1e-6 ? x < 0 : y < 0
  return backwards ? [-x, -y] : [x, y]
}
