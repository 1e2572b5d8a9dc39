import { planPanel } from '../building/panelRegions'
import { uprightSurface, type UprightSurface } from '../building/uprightSurface'
import { wallSegments, type WallSegment } from '../building/wallSegments'
import { recordsOf, type Document } from '../document/document'
import type { WallSurface } from '../document/recordKinds'
import { wallSurfaceShape, type PanelShape, type WallSurfaceShape } from '../document/shapes'
import { densityAlong, even } from '../geometry/density'
import { groundOf, sharerOf } from '../sharing/ground'
import type { Carrier, Limits } from '../sharing/rails'
import { sumOfShares, type Share } from '../sharing/share'
import { byLayout } from './byLayout'
import type { FloorState } from './floorStates'
import { limitsOf } from './layouts'
import type { Memo } from './memo'
import { stage } from './stage'
import { columnRests, floorRests, groundRest, isThere, strutRests, type Plane, type Rest } from './surfaceRests'

/** One straight stretch of a wall surface on a level, with what it stands against and what one unit of pressure hands to that. */
export interface SurfaceStretch extends WallSegment {
  readonly surface: WallSurface
  /** Of its floor among the carrying ones. */
  readonly order: number
  /** Of the floor at its foot; −1 is the base, null where no level is. */
  readonly under: number | null
  readonly plane: Plane
  readonly shape: UprightSurface
  readonly rests: ReadonlyMap<string, Rest>
  readonly shares: SurfaceShares
}

/** What members take of one unit of pressure all over a stretch, and of one that grows from nothing at its top to one unit at its foot: null where none varies. */
export interface SurfaceShares {
  readonly even: Share
  readonly growing: Share | null
}

const upwards = Math.PI / 2

/** Of a stretch that stands for more of the path than its own length. */
function partOf(shares: SurfaceShares, part: number): SurfaceShares {
  if (part === 1) return shares
  const times = (share: Share): Share => {
    const [mx, my] = share.appliedMoments
    const whole = { ...share, applied: share.applied * part, appliedMoments: [mx * part, my * part] as const }
    return sumOfShares(whole, [[share, part]])
  }
  return { even: times(shares.even), growing: shares.growing && times(shares.growing) }
}

const surfaceShareStage = stage(
  'surfaceShare',
  (
    shape: WallSurfaceShape,
    { outline, net }: UprightSurface,
    rests: readonly Carrier[],
    limits: Limits,
    varies: boolean,
  ): SurfaceShares => {
    // openings are known already, and may touch the border
    const plan = { ...planPanel(panelOf(shape, outline), [], []), net }
    const standing = { carriers: rests, columns: [], bearers: [], limits, plateOf: () => 'slab' as const }
    const sharer = sharerOf(groundOf(plan, standing))
    // from nothing at the top to one unit at the foot
    const downwards = densityAlong(net, upwards, [1, 0])
    return { even: sharer.area(net, even), growing: varies ? sharer.area(net, downwards) : null }
  },
  ({ even, growing }) => 80 * (even.lines.length + (growing?.lines.length ?? 0)) + 500,
)

/** The surface as a panel in its own plane. */
const panelOf = ({ id, sharing, overOpenings }: WallSurfaceShape, outline: UprightSurface['outline']): PanelShape => ({
  id: `panel:${id.slice(id.indexOf(':') + 1)}`,
  layout: 'layout:surface00000',
  outline: [...outline],
  spanAngle: sharing === 'level' ? 0 : upwards,
  overhang: 'lever',
  openings: overOpenings,
  sharing: sharing === 'twoWay' || sharing === 'surrounding' ? sharing : 'oneWay',
  sparedAngle: null,
  sparedMembers: [],
  supportReach: null,
  spanLimit: null,
})

/** As what panels can be shared to. */
export const carrierOf = ({ key, a, b }: Rest): Carrier => ({ member: key, a, b, from: 0, bent: false })

/** The wall surfaces of every carrying floor, stretch by stretch, bottom first. */
export function deriveSurfaces(
  memo: Memo,
  document: Document,
  floors: readonly FloorState[],
  base: number,
): readonly SurfaceStretch[] {
  const surfaces = byLayout(recordsOf(document, 'wallSurface'))
  if (surfaces.size === 0) return []
  const struts = byLayout(recordsOf(document, 'strut'))
  const limits = limitsOf(document)
  return floors.flatMap(({ floor, level }, order) =>
    (surfaces.get(floor.layoutId ?? '') ?? []).flatMap((surface) => {
      let before = 0
      const varies = surface.pressures.some(({ top, foot }) => top !== foot)
      return wallSegments(surface).map((segment): SurfaceStretch => {
        const plane = { ...segment, level: level.elevation, reach: limits.reach }
        const { under, foot } = footOf(floors, order, plane, base, surface.depth)
        const shape = uprightSurface(wallSurfaceShape(surface), segment, slopesOf(floors[order]), foot, before)
        before += segment.drawn
        const rests = [
          ...floorRests(floors, order, plane),
          ...(under === -1 ? [groundRest(foot, plane)] : under === null ? [] : floorRests(floors, under, plane)),
          ...columnRests(floors, order, plane),
          ...strutRests(struts.get(surface.layout) ?? [], plane),
        ]
        const carriers = rests.map(carrierOf)
        const shares = memo.get(surfaceShareStage, wallSurfaceShape(surface), shape, carriers, limits, varies)
        const part = segment.drawn / segment.length
        return { ...segment, surface, order, under, plane, shape, rests: byKey(rests), shares: partOf(shares, part) }
      })
    }),
  )
}

const byKey = (rests: readonly Rest[]): ReadonlyMap<string, Rest> => new Map(rests.map((rest) => [rest.key, rest]))

const slopesOf = (floor: FloorState | undefined) => floor?.operator.plan.slopes ?? []

/** How far a stretch goes down, and which level is there. */
function footOf(
  floors: readonly FloorState[],
  order: number,
  plane: Plane,
  base: number,
  depth: number | null,
): { readonly under: number | null; readonly foot: number } {
  const elevationOf = (i: number): number => floors[i]?.level.elevation ?? base
  if (depth !== null) {
    const met = [...floors.slice(0, order).keys(), -1].find(
      (i) => Math.abs(elevationOf(i) - (plane.level - depth)) <= plane.reach,
    )
    return { under: met ?? null, foot: -depth }
  }
  let under = order - 1
  for (let floor = floors[under]; floor && !isThere(floor, plane); floor = floors[under]) under--
  return { under, foot: elevationOf(under) - plane.level }
}
