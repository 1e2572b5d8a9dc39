import type { Member, Panel } from '../document/recordKinds'
import { isUpright } from '../document/roles'
import { legsOf, lengthOfLegs } from '../geometry/course'
import type { Point } from '../geometry/point'
import { along } from '../geometry/segment'
import { nearby } from '../geometry/nearby'
import { contains } from '../geometry/polygon'
import type { Drawn } from './shaped'

/** A wider set of records that an edit of one may be meant for. */
export interface Scope {
  readonly kind: 'alike' | 'edge' | 'layout' | 'everywhere'
  /** By id; the record itself is one of them. */
  readonly records: readonly Drawn[]
}

/**
 * The sets that a drawn record belongs to: those like it on its layout, the edge beams where it is one, all of its kind
 * on the layout, those like it on every layout. A set that is no more than the record, or the same as one before, is
 * left out.
 * @param others - records of the same kind, any layout, the record among them
 * @param panels - panels of any layout: a beam with panels on one side only is an edge beam
 */
export function scopesOf(record: Drawn, others: readonly Drawn[], panels: readonly Panel[]): readonly Scope[] {
  const onLayout = others.filter(({ layout }) => layout === record.layout)
  const onEdge = edgeOf(panels.filter(({ layout }) => layout === record.layout))
  const found: readonly Scope[] = [
    { kind: 'alike', records: onLayout.filter((other) => isLike(record, other)) },
    { kind: 'edge', records: onEdge(record) ? onLayout.filter(onEdge) : [] },
    { kind: 'layout', records: onLayout.filter((other) => sameRole(record, other)) },
    { kind: 'everywhere', records: others.filter((other) => isLike(record, other)) },
  ]
  return found.filter(
    ({ records }, i) => records.length > 1 && !found.slice(0, i).some((before) => sameRecords(before.records, records)),
  )
}

const sameRecords = (a: readonly Drawn[], b: readonly Drawn[]): boolean =>
  a.length === b.length && a.every(({ id }, i) => id === b[i]?.id)

const sameRole = (a: Drawn, b: Drawn): boolean => a.kind !== 'member' || b.kind !== 'member' || a.role === b.role

/** Of one make: what an edit of its section, slab, key or weight would be meant for. */
const isLike = (a: Drawn, b: Drawn): boolean => a.kind === b.kind && makeOf(a) === makeOf(b)

const makes: { readonly [K in Drawn['kind']]: (record: Extract<Drawn, { kind: K }>) => readonly unknown[] } = {
  member: ({ role, section, truss }) => [role, section, truss?.depth, truss?.webSection],
  strut: ({ role, section }) => [role, section],
  panel: ({ slab, spanAngle }) => [slab?.thickness, slab?.material, axisOf(spanAngle)],
  opening: () => [],
  slope: ({ pitch, eaves }) => [pitch, eaves],
  patch: ({ key }) => [key],
  wallRun: ({ buildUp, weight, heightRule }) => [buildUp ?? weight, heightRule],
  lineLoad: ({ value, endValue, nature, use }) => [value, endValue, nature, use],
  pointLoad: ({ value, nature, use }) => [value, nature, use],
  areaLoad: ({ value, endValue, measured, nature, use }) => [value, endValue, measured, nature, use],
  reductionRegion: ({ slabs, slabFactor, beams, beamFactor }) => [slabs, slabFactor, beams, beamFactor],
  stair: ({ waist, riser, material, key }) => [waist, riser, material, key],
  barrier: ({ use, value, height }) => [use, value, height],
  wallSurface: ({ above, sharing, pressures }) => [
    above,
    sharing,
    ...pressures.flatMap(({ nature, from, top, foot }) => [nature, from, top, foot]),
  ],
  stiffElement: ({ sort, thickness, material, section, stiffness }) => [sort, thickness, material, section, stiffness],
}

// each entry takes the record of its kind: TypeScript cannot correlate the two
const makeOf = (record: Drawn): string => (makes[record.kind] as (record: Drawn) => readonly unknown[])(record).join()

/** A span direction is an axis: an angle and the same plus 180 degrees are equal. */
const axisOf = (angle: number): string =>
  [Math.cos(2 * angle), Math.sin(2 * angle)].map((value) => Math.round(value * 1e9)).join()

/** Well outside rounding, well inside any panel. */
const aside = 0.01

/** Tells a beam whose middle has panels on one side only; the panels are looked up by place, since there may be many. */
function edgeOf(panels: readonly Panel[]): (record: Drawn) => boolean {
  const near = nearby(panels.map(({ outline }) => outline))
  const covered = (point: Point) => near([point]).some((i) => contains([panels[i]?.outline ?? []], point))
  return (record) => {
    if (record.kind !== 'member' || isUpright(record.role) || record.role === 'wall') return false
    const [left, right] = sidesOf(record).map(covered)
    return left !== right
  }
}

function sidesOf({ path }: Member): readonly Point[] {
  const legs = legsOf(path)
  const half = lengthOfLegs(legs) / 2
  const leg = legs.findLast(({ from }) => from <= half)
  if (!leg) return []
  const { a, b, length } = leg
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
  const [x, y] = along(a, b, half - leg.from)
  const [nx, ny] = [(-dy / length) * aside, (dx / length) * aside]
  return [
    [x + nx, y + ny],
    [x - nx, y - ny],
  ]
}
