import { lateralCase, windDirectionOf } from '../actions/cases'
import {
  diaphragmOn,
  type Diaphragm,
  type DiaphragmShare,
  type HorizontalForce,
  type Unheld,
} from '../actions/lateral/diaphragm'
import { storeyStiffness } from '../actions/lateral/stiffness'
import { forceOfWeight } from '../actions/lateral/storeyForce'
import type { StoreyForce } from '../actions/wind/windLoads'
import { recordsOf } from '../document/document'
import { expanded } from '../document/labels'
import type { StiffElement, StoreyForces } from '../document/recordKinds'
import type { Point } from '../geometry/point'
import { along, distance, overlapOn } from '../geometry/segment'
import { touches } from '../geometry/polygon'
import { onLine } from '../geometry/tolerance'
import { given, type Traced } from '../trace/traced'
import type { FloorState } from './floorStates'
import { levelMasses, tracedWeight, type LevelMass } from './masses'
import type { ProjectState } from './project'

/** The storey forces of one case, bottom first, each with how it came about. */
export interface StoreyForcesOfCase {
  readonly caseId: string
  /** Unit vector along the push. */
  readonly way: Point
  readonly storeys: readonly { readonly force: StoreyForce; readonly trace: Traced<'force'> }[]
  /** Along the push, N. */
  readonly total: number
}

/** Storey forces of a wind direction or of a record; null for any other case. */
export function storeyForcesOf(state: ProjectState, caseId: string): StoreyForcesOfCase | null {
  const direction = windDirectionOf(caseId)
  const wind = direction && state.wind?.results.find((result) => result.direction.id === direction)
  if (wind) {
    const { x, y } = wind.direction
    return { caseId, way: [x, y], storeys: wind.storeys, total: wind.total }
  }
  const record = recordsOf(state.document, 'storeyForces').find(({ id }) => lateralCase(id) === caseId)
  return record ? forcesByWeight(state, record, levelMasses(state)) : null
}

/** Every case with storey forces; the masses are found once. */
export function allStoreyForces(state: ProjectState): readonly StoreyForcesOfCase[] {
  const wind = state.caseIds.filter((id) => windDirectionOf(id)).flatMap((id) => storeyForcesOf(state, id) ?? [])
  const records = recordsOf(state.document, 'storeyForces')
  const masses = records.length > 0 ? levelMasses(state) : []
  return [...wind, ...records.map((record) => forcesByWeight(state, record, masses))]
}

function forcesByWeight(state: ProjectState, record: StoreyForces, masses: readonly LevelMass[]): StoreyForcesOfCase {
  const way: Point = [Math.cos(record.angle), Math.sin(record.angle)]
  const ground = state.basis?.ground ?? 0
  const typed = new Map<string, number>(record.forces.map(({ level, force }) => [level, force]))
  const mu = given('mu', 'factor', record.share, `typed for “${record.name}”`)
  const storeys = state.floors.flatMap(({ level }) => {
    const mass = masses.find(({ levelId }) => levelId === level.id)
    if (!mass?.centre) return []
    const value = typed.get(level.id)
    const trace =
      value === undefined
        ? forceOfWeight({ mu, W: tracedWeight(state, mass) })
        : given('H', 'force', value, `typed for “${record.name}”`)
    const [x, y] = mass.centre
    const force: StoreyForce = {
      levelId: level.id,
      fx: trace.value * way[0],
      fy: trace.value * way[1],
      x: x - record.aside * way[1],
      y: y + record.aside * way[0],
      z: level.elevation - ground,
    }
    return [{ force, trace }]
  })
  const total = storeys.reduce((sum, { trace }) => sum + trace.value, 0)
  return { caseId: lateralCase(record.id), way, storeys, total }
}

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
export function storeysOf(state: ProjectState): readonly Storey[] {
  const stacks = stacksOf(state)
  return stacks.map(({ floor, records, above }, index): Storey => {
    const foot = stacks.findIndex((stack) => stack.above.includes(index))
    const [{ level, storeyHeight } = floor.floor] = state.floors.slice(0, 1).map((bottom) => bottom.floor)
    const footElevation = stacks[foot]?.floor.level.elevation ?? level.elevation - storeyHeight
    const height = floor.level.elevation - footElevation
    const elements = records.map((record) => elementOf(state, record, floor, height))
    const lines = elements.map(({ a, b, along: way, stiffness }) => ({
      at: along(a, b, distance(a, b) / 2),
      along: way,
      stiffness: stiffness?.value ?? 0,
    }))
    return { floor, height, elements, diaphragm: diaphragmOn(lines), above }
  })
}

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

export interface ElementForce {
  readonly element: StoreyElement
  /** Along the element, N: of the force moved to the centre of stiffness, and of its turning about it. */
  readonly direct: number
  readonly turning: number
  /** Both together. */
  readonly shear: number
  /** Over its foot, N·m: shear times height, storey by storey, as far as elements stand on elements. */
  readonly moment: number
}

/** One storey under one case. */
export interface StoreyShear {
  readonly storey: Storey
  /** What acts at the level, N and N·m about the origin; all zero where nothing does. */
  readonly force: HorizontalForce
  /** Where that acts; null where nothing does. */
  readonly point: Point | null
  /** What the storey has to hold: the forces of all levels above too, but for what an upper storey could not hold. */
  readonly shear: HorizontalForce
  readonly share: DiaphragmShare
  readonly elements: readonly ElementForce[]
}

export interface StoreyShears {
  /** Bottom first. */
  readonly storeys: readonly StoreyShear[]
  /** Forces at or below the lowest storey's foot, N along the push: they go straight into the ground. */
  readonly intoGround: number
  /** Along the push, N: what storeys over the base hand to the ground, and what storeys cannot hold. */
  readonly atFoot: number
  readonly unheld: number
}

/** Whether the project says what holds its floors; else storey forces are handed on as they are. */
export const hasStiffElements = ({ document }: Pick<ProjectState, 'document'>): boolean =>
  recordsOf(document, 'stiffElement').length > 0

const none: HorizontalForce = { fx: 0, fy: 0, moment: 0 }

const sumOf = (a: HorizontalForce, b: HorizontalForce): HorizontalForce => ({
  fx: a.fx + b.fx,
  fy: a.fy + b.fy,
  moment: a.moment + b.moment,
})

/** Storey forces taken down from the top, every storey's sum shared by stiffness among what holds it. */
export function shareStoreyForces(
  { basis }: Pick<ProjectState, 'basis'>,
  storeys: readonly Storey[],
  { storeys: forces, way }: StoreyForcesOfCase,
): StoreyShears {
  const ground = basis?.ground ?? 0
  const left = [...forces].sort((p, q) => q.force.z - p.force.z).map(({ force }) => force)
  const alongPush = ({ fx, fy }: HorizontalForce) => fx * way[0] + fy * way[1]
  const shears: StoreyShear[] = []
  let unheld = 0
  for (const [index, storey] of [...storeys.entries()].reverse()) {
    const { level } = storey.floor
    const here: StoreyForce[] = []
    while (left[0] && left[0].z + ground >= level.elevation - onLine) here.push(...left.splice(0, 1))
    const force = here
      .map(({ fx, fy, x, y }): HorizontalForce => ({ fx, fy, moment: x * fy - y * fx }))
      .reduce(sumOf, none)
    const over = storey.above.flatMap((i) => shears[i] ?? [])
    const shear = over.map(({ share, shear: upper }) => (share.held ? upper : none)).reduce(sumOf, force)
    const share = storey.diaphragm.share(shear)
    const upper = over.flatMap((entry) => entry.elements)
    if (!share.held) unheld += alongPush(shear)
    const point: Point | null = here[0] ? [here[0].x, here[0].y] : null
    shears[index] = {
      storey,
      force,
      point,
      shear,
      share,
      elements: share.held ? elementForces(storey, share, upper) : [],
    }
  }
  const taken = new Set(storeys.flatMap(({ above }) => above))
  const atFoot = shears
    .filter(({ share }, i) => share.held && !taken.has(i))
    .reduce((sum, { shear }) => sum + alongPush(shear), 0)
  const intoGround = left.reduce((sum, { fx, fy }) => sum + fx * way[0] + fy * way[1], 0)
  return { storeys: shears, intoGround, atFoot, unheld }
}

function elementForces(
  { height, elements }: Storey,
  { direct, turning }: Extract<DiaphragmShare, { held: true }>,
  above: readonly ElementForce[],
): readonly ElementForce[] {
  // the moment of an element over two goes to both by what each takes of its length
  const taken = above.map((upper) => elements.reduce((sum, lower) => sum + overlap(upper.element, lower), 0))
  return elements.map((element, i): ElementForce => {
    const [d, t] = [direct[i] ?? 0, turning[i] ?? 0]
    const over = above.reduce((sum, upper, n) => {
      const on = overlap(upper.element, element)
      return on === 0 ? sum : sum + (upper.moment * on) / (taken[n] ?? on)
    }, 0)
    return { element, direct: d, turning: t, shear: d + t, moment: over + (d + t) * height }
  })
}

/** The length over which an upper element stands on a lower one, m: on the same line. */
export function overlap(upper: StoreyElement, lower: StoreyElement): number {
  const common = overlapOn(lower.a, lower.b, upper.a, upper.b, onLine)
  return common ? common.to - common.from : 0
}

export const unheldOf = (share: DiaphragmShare): Unheld | null => (share.held ? null : share.why)
