import { tidyPoint } from '../geometry/tolerance'
import type { Edit } from '../document/changes'
import { cutToEnd } from '../document/cut'
import { newId, recordsOf, type Document, type Random } from '../document/document'
import { recordIdOf } from '../document/labels'
import type {
  Barrier,
  Layout,
  LineLoad,
  Member,
  Opening,
  Panel,
  Patch,
  PointLoad,
  AreaLoad,
  Rec,
  ReductionRegion,
  Slope,
  Stair,
  StiffElement,
  Strut,
  WallRun,
  WallSurface,
} from '../document/recordKinds'
import type { Point } from '../geometry/point'
import type { Repeat } from './repeatText'
import { withCopiesSpared, withoutSpared } from './sparedMembers'

/** Records that are drawn: they differ in shape only (two points, one, a ring, a path). */
export type Drawn =
  | Member
  | Strut
  | Panel
  | Opening
  | Slope
  | Patch
  | WallRun
  | LineLoad
  | PointLoad
  | AreaLoad
  | ReductionRegion
  | Stair
  | Barrier
  | WallSurface
  | StiffElement

const drawnKinds = [
  'member',
  'strut',
  'panel',
  'opening',
  'slope',
  'patch',
  'wallRun',
  'lineLoad',
  'pointLoad',
  'areaLoad',
  'reductionRegion',
  'stair',
  'barrier',
  'wallSurface',
  'stiffElement',
] as const

export const isDrawn = (record: Rec | undefined): record is Drawn =>
  record !== undefined && (drawnKinds as readonly string[]).includes(record.kind)

/** Everything that is drawn, on any layout. */
export const drawnOf = (document: Document): readonly Drawn[] =>
  drawnKinds.flatMap((kind): readonly Drawn[] => recordsOf(document, kind))

export const pointsOf = (record: Drawn): readonly Point[] => ('path' in record ? record.path : record.outline)

export function withPoints<D extends Drawn>(record: D, points: readonly Point[]): D {
  return 'path' in record ? { ...record, path: points } : { ...record, outline: points }
}

export const moved = <D extends Drawn>(record: D, [dx, dy]: Point): D =>
  withPoints(
    record,
    pointsOf(record).map(([x, y]) => tidyPoint([x + dx, y + dy])),
  )

/** A label that no record of its kind on the layout has yet: the letters kept, the number counted on. */
export function freeLabel(label: string, taken: ReadonlySet<string>): string {
  if (!taken.has(label)) return label
  const head = label.replace(/\d+$/, '')
  let number = Number(/\d+$/.exec(label)?.[0] ?? 1)
  while (taken.has(`${head}${number}`)) number++
  return cutToEnd(`${head}${number}`, 40)
}

/** Copies of drawn records as a repeat asks; each keeps its origin and gets a label of its own. */
export function repeated(
  records: readonly Drawn[],
  repeat: Repeat,
  others: readonly Drawn[],
  random: Random,
): readonly Drawn[] {
  const taken = new Map<string, Set<string>>()
  const labelsOn = (layout: string) => {
    const known =
      taken.get(layout) ?? new Set(others.filter((other) => other.layout === layout).map(({ label }) => label))
    taken.set(layout, known)
    return known
  }
  const copy = (record: Drawn, layout: Drawn['layout'], shift: Point): Drawn => {
    const label = freeLabel(record.label, labelsOn(layout))
    labelsOn(layout).add(label)
    return { ...moved(record, shift), id: newId(record.kind, random), origin: record.id, layout, label } as Drawn
  }
  const together = (copies: readonly Drawn[]): readonly Drawn[] => {
    const copyOf = new Map(
      copies.flatMap((one) => (one.kind === 'member' ? [[one.origin as string, one.id] as const] : [])),
    )
    return copies.map((one) => withCopiesSpared(one, (id) => copyOf.get(id)))
  }
  if (repeat.kind === 'along')
    return Array.from({ length: repeat.times }, (_, i) => i + 1).flatMap((n) =>
      together(records.map((record) => copy(record, record.layout, [repeat.shift[0] * n, repeat.shift[1] * n]))),
    )
  return repeat.layouts.flatMap((layout) =>
    together(
      records
        .filter((record) => record.layout !== layout)
        .map((record) => copy(record, layout as Drawn['layout'], [0, 0])),
    ),
  )
}

/**
 * What a repeat on other layouts takes away: what stands at the very place of a copy, and all of the same kinds where the copies
 * come instead of what is there.
 */
export function displaced(records: readonly Drawn[], repeat: Repeat, others: readonly Drawn[]): readonly Drawn[] {
  if (repeat.kind === 'along') return []
  const kindsOf = new Set<string>(records.map(({ kind }) => kind))
  const own = new Set<string>(records.flatMap(({ id, layout }) => [id, layout]))
  const layouts = new Set(repeat.layouts)
  const places = new Set(records.map(placeOf))
  return others.filter(
    (other) =>
      layouts.has(other.layout) &&
      !own.has(other.id) &&
      !own.has(other.layout) &&
      kindsOf.has(other.kind) &&
      (repeat.instead || places.has(placeOf(other))),
  )
}

/** Kind and points to the millimetre, whichever way it was drawn. */
const placeOf = (record: Drawn): string => {
  const points = pointsOf(record).map(([x, y]) => `${Math.round(x * 1000)} ${Math.round(y * 1000)}`)
  return [record.kind, ...points.sort()].join()
}

/** Copies come and what they displace goes, as one change. */
export const repeatEdits = (
  records: readonly Drawn[],
  repeat: Repeat,
  others: readonly Drawn[],
  random: Random,
): readonly Edit[] => {
  const gone = displaced(records, repeat, others)
  const going = new Set(gone)
  const left = others.filter((other) => !going.has(other))
  return [
    ...gone.map((before): Edit => ({ id: before.id, before, after: null })),
    ...withoutSpared(left, new Set(gone.map(({ id }) => id))),
    ...repeated(records, repeat, left, random).map((after): Edit => ({ id: after.id, before: null, after })),
  ]
}

/** The expanded ids whose records are there. */
export const stillThere = (document: Document, picked: readonly string[]): readonly string[] =>
  picked.filter((id) => isDrawn(document.records.get(recordIdOf(id))))

/** Labels that count on from those that are there, without looking at all of them each time. */
export function labeller(document: Document, layout: Pick<Layout, 'id'>): (record: Drawn) => string {
  const taken = new Set(drawnOf(document).flatMap((record) => (record.layout === layout.id ? [labelKey(record)] : [])))
  const next = new Map<string, number>()
  return (record) => {
    const head = record.label.replace(/\d+$/, '')
    const counter = `${record.kind} ${head}`
    let number = next.get(counter) ?? 1
    while (taken.has(labelKey({ kind: record.kind, label: `${head}${number}` }))) number++
    next.set(counter, number + 1)
    return `${head}${number}`
  }
}

const labelKey = ({ kind, label }: Pick<Drawn, 'kind' | 'label'>): string => `${kind} ${label}`
