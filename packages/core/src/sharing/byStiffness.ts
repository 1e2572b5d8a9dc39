import { pushAll } from '../outcome/lists'
import type { Column } from '../building/frame'
import type { PanelPlan } from '../building/panelRegions'
import { loadOver, type Density } from '../geometry/density'
import { contains, nearestOnBorder, type Region } from '../geometry/polygon'
import type { Point } from '../geometry/point'
import { onLine } from '../geometry/tolerance'
import type { ElasticBeam } from '../plate/grillage'
import { loadOfArea, loadOfLine, loadOfPoint } from '../plate/loads'
import { solvePlate, unsettled, type Plate } from '../plate/plate'
import type { Rest } from '../plate/rests'
import { loadAlong, type Ends } from './lineEnds'
import { mergeLines } from './mergeLines'
import { bendsOf, type Carrier, type Limits } from './rails'
import { emptyShare, type ColumnPoint, type PlateLack, type Share, type ShareLine, type SharePoint } from './share'
import { sitesWithin } from './sites'

const pointOrder = (p: Point, q: Point): number => p[0] - q[0] || p[1] - q[1]

/** What a panel shared by stiffness needs to know beyond its place. */
export interface Elastic {
  /** Flexural stiffness of its slab, Nm, and its thickness, m; null where it has none. */
  readonly slab: { readonly stiffness: number; readonly thickness: number } | null
  /** All that can stand, of what is under it and of what that stands on. */
  readonly beams: readonly ElasticBeam[]
}

/** Solves a panel as a plate, or says what it lacks. */
export function plateOf(
  plan: PanelPlan,
  { carriers, limits, columns }: { carriers: readonly Carrier[]; columns: readonly Column[]; limits: Limits },
  { slab, beams }: Elastic,
): Plate | PlateLack {
  if (slab === null || !(slab.stiffness > 0)) return 'slab'
  const region = plan.net
  const elastic = new Set(beams.map(({ member }) => member))
  const near = Math.max(limits.reach, onLine)
  const bearings = sitesWithin(
    region,
    carriers.filter(({ member }) => elastic.has(member)),
    limits.reach,
  )
  const under = columns
    .filter(({ at }) => contains(region, at) || nearestOnBorder(region, at).off <= near)
    .map(({ member, at }) => ({ member: member.id, at }))
  // by place, so that ids decide nothing: not which triangle of two, and not the last digits
  const sites = [...bearings].sort((p, q) => pointOrder(p.a, q.a) || pointOrder(p.b, q.b))
  const first = new Map<string, number>()
  sites.forEach(({ owners }, i) => owners.forEach(({ member }) => first.set(member, first.get(member) ?? i)))
  const rank = ({ member }: ElasticBeam) => first.get(member) ?? sites.length
  return (
    solvePlate({
      region,
      ...slab,
      bearings: sites,
      beams: [...beams].sort((p, q) => rank(p) - rank(q) || p.length - q.length || p.stiffness - q.stiffness),
      columns: under.sort((p, q) => pointOrder(p.at, q.at)),
      reach: near,
    }) ?? 'hold'
  )
}

export function shareAreaByStiffness(
  plate: Plate | PlateLack,
  carriers: readonly Carrier[],
  region: Region,
  density: Density,
): Share {
  const { force: applied, moments: appliedMoments } = loadOver(region, density)
  return handed(plate, carriers, { ...emptyShare, applied, appliedMoments }, ({ mesh }) =>
    loadOfArea(mesh, region, density),
  )
}

export function shareLineByStiffness(
  plate: Plate | PlateLack,
  carriers: readonly Carrier[],
  a: Point,
  b: Point,
  ends: Ends,
): Share {
  const { force: applied, moments: appliedMoments } = loadAlong(a, b, ends)
  return handed(plate, carriers, { ...emptyShare, applied, appliedMoments }, ({ mesh }) => loadOfLine(mesh, a, b, ends))
}

export const sharePointByStiffness = (plate: Plate | PlateLack, carriers: readonly Carrier[], at: Point): Share =>
  handed(plate, carriers, { ...emptyShare, applied: 1, appliedMoments: at }, ({ mesh }) => loadOfPoint(mesh, at))

/**
 * Forces at the rests of the plate as loads of members: along a bearing a force is spread to its neighbours, falling to nought at
 * them, so that the ordinate runs straight from rest to rest; where a bearing ends it stays a point.
 */
function handed(
  plate: Plate | PlateLack,
  carriers: readonly Carrier[],
  alone: Share,
  loadOn: (plate: Plate) => Float64Array,
): Share {
  if (typeof plate === 'string') return { ...alone, notCarried: alone.applied, lacks: plate }
  const reached = { size: plate.size, change: plate.change }
  if (plate.largest > unsettled) return { ...alone, notCarried: alone.applied, lacks: 'settled', reached }
  const taken = plate.takenUnder(loadOn(plate))
  const lines: ShareLine[] = []
  const points: SharePoint[] = []
  const onColumns: ColumnPoint[] = []
  for (const [i, rest] of plate.rests.entries()) {
    const { force = 0 } = taken[i] ?? {}
    if (rest.kind === 'column') onColumns.push({ member: rest.member, at: rest.at, force })
    else if (rest.spread) pushAll(lines, hat(rest, rest.spread, force))
    else points.push({ member: rest.member, s: rest.s, force })
  }
  return {
    ...alone,
    lines: mergeLines(summed(lines), bendsOf(carriers)),
    points,
    onColumns,
    reached,
  }
}

function hat({ member, s }: Rest, { before, after }: NonNullable<Rest['spread']>, force: number): readonly ShareLine[] {
  const peak = (2 * force) / (before + after)
  return [
    { member, s0: s - before, s1: s, q0: 0, q1: peak },
    { member, s0: s, s1: s + after, q0: peak, q1: 0 },
  ]
}

/** Hats of neighbours lie on the same stretches: one straight piece for each. */
function summed(lines: readonly ShareLine[]): readonly ShareLine[] {
  const found = new Map<string, ShareLine>()
  for (const line of lines) {
    const key = `${line.member}/${line.s0.toFixed(6)}/${line.s1.toFixed(6)}`
    const known = found.get(key)
    found.set(key, known ? { ...known, q0: known.q0 + line.q0, q1: known.q1 + line.q1 } : line)
  }
  return [...found.values()]
}
