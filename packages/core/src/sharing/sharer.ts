import type { Bearer } from '../building/bearers'
import type { Column } from '../building/frame'
import type { PanelPlan } from '../building/panelRegions'
import type { RoofPlane } from '../building/slopes'
import type { SlopeShape } from '../document/shapes'
import type { Point } from '../geometry/point'
import type { Density } from '../geometry/density'
import type { Region } from '../geometry/polygon'
import type { Plate } from '../plate/plate'
import type { Path } from './dividing'
import type { Overhang } from './lever'
import type { Ends } from './lineEnds'
import type { Carrier, Limits } from './rails'
import type { PlateLack, Share } from './share'

/** How a panel hands its load to members (docs/methods/sharing.md). */
export type SharingRule = PanelPlan['panel']['sharing']

/** A panel as its rule sees it: what it is, and what can carry it. */
export interface Ground {
  readonly rule: SharingRule
  /** What strips run through: the outline, or the outline less openings where these interrupt the span. */
  readonly outline: Region
  /** The outline as drawn. */
  readonly border: Region
  /** The plane of a roof that it lies in; null on the level. */
  readonly plane: RoofPlane | null
  /** The slopes that parts of it lie in. */
  readonly slopes: readonly SlopeShape[]
  readonly spanAngle: number
  readonly overhang: Overhang
  /** What may carry it; what takes no load of it is not among them. */
  readonly carriers: readonly Carrier[]
  readonly limits: Limits
  readonly columns: readonly Column[]
  readonly bearers: readonly Bearer[]
  /** The panel solved as a plate; asked for where it is shared by stiffness. */
  readonly plate: () => Plate | PlateLack
}

/** One rule over one panel: shares of a load over a region of it, of a line load and of a unit of force inside it. */
export interface Sharer {
  readonly area: (region: Region, density: Density) => Share
  readonly line: (a: Point, b: Point, ends: Ends) => Share
  readonly point: (at: Point) => Share
  /** Lines that part what goes to one support from what goes to another, within a region. */
  readonly dividing: (region: Region) => readonly Path[]
}
