import type { Bearer } from '../building/bearers'
import type { Column } from '../building/frame'
import type { PanelPlan } from '../building/panelRegions'
import type { WallSegment } from '../building/wallSegments'
import type { AreaLoadShape, SlopeShape } from '../document/shapes'
import { even } from '../geometry/density'
import type { Point } from '../geometry/point'
import type { Plate } from '../plate/plate'
import { plateOf, type Elastic } from '../sharing/byStiffness'
import { groundOf, sharerOf, type Standing } from '../sharing/ground'
import type { Ends } from '../sharing/lineEnds'
import type { Carrier, Limits } from '../sharing/rails'
import type { PlateLack, Share } from '../sharing/share'
import { shareAreaLoad, type AreaShare } from '../sharing/areaLoad'
import { shareForce, shareWall } from '../sharing/wallPath'
import { stage } from './stage'

export interface Shares {
  readonly shares: readonly Share[]
}

/** What an area load puts on members: of its value where it is even, else of the value at each of its ends. */
export interface AreaShares {
  readonly ends: readonly AreaShare[]
}

/** A panel solved as a plate, or what it lacks; null where it is shared otherwise. */
export interface Plated {
  readonly plate: Plate | PlateLack | null
}

export const notPlated: Plated = Object.freeze({ plate: null })

const bytesOfShares = ({ shares }: Shares): number => shares.reduce((sum, { lines }) => sum + 80 * lines.length, 500)

/** What a load may stand on: members, columns, how members bear that meet, panels, the limits of what supports these, and the plates among them. */
type Under = readonly [
  carriers: readonly Carrier[],
  columns: readonly Column[],
  bearers: readonly Bearer[],
  limits: Limits,
  panels: readonly PanelPlan[],
  plates: readonly Plated[],
]

const standing = (...[carriers, columns, bearers, limits, panels, plates]: Under): Standing => ({
  carriers,
  columns,
  bearers,
  limits,
  plateOf: (plan) => plates[panels.indexOf(plan)]?.plate ?? 'slab',
})

export const plateStage = stage(
  'plate',
  (
    plan: PanelPlan,
    carriers: readonly Carrier[],
    columns: readonly Column[],
    limits: Limits,
    elastic: Elastic,
  ): Plated => {
    const ground = groundOf(plan, standing(carriers, columns, [], limits, [], []))
    return { plate: plateOf(plan, ground, elastic) }
  },
  ({ plate }) => (plate && typeof plate !== 'string' ? 8 * plate.kept + 500 * plate.mesh.points.length : 0) + 500,
)

/** Shares of every region of one panel per unit pressure: solved once, then it serves every case. */
export const panelShareStage = stage(
  'panelShare',
  (
    plan: PanelPlan,
    carriers: readonly Carrier[],
    columns: readonly Column[],
    bearers: readonly Bearer[],
    limits: Limits,
    plated: Plated,
  ): Shares => {
    const sharer = sharerOf(groundOf(plan, standing(carriers, columns, bearers, limits, [plan], [plated])))
    return { shares: plan.regions.map(({ region }) => sharer.area(region, even)) }
  },
  bytesOfShares,
)

/** Of a line load along a stretch by its values at both ends. */
export const wallShareStage = stage(
  'wallShare',
  (segment: WallSegment, ends: Ends, ...under: Under): Shares => ({
    shares: [shareWall(segment, ends, under[4], standing(...under))],
  }),
  bytesOfShares,
)

/** Of an area load: even, or falling from its beginning, then rising to its end. */
export const areaShareStage = stage(
  'areaShare',
  (load: AreaLoadShape, slopes: readonly SlopeShape[], ...under: Under): AreaShares => ({
    ends: shareAreaLoad(load, under[4], standing(...under), slopes),
  }),
  ({ ends }) =>
    bytesOfShares({ shares: ends.flatMap(({ share, sideways }) => [share, ...sideways.map((one) => one.share)]) }),
)

export const forceShareStage = stage(
  'forceShare',
  (at: Point, ...under: Under): Shares => ({ shares: [shareForce(at, under[4], standing(...under))] }),
  bytesOfShares,
)
