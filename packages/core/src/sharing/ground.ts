import type { Column } from '../building/frame'
import { stripOutline, type PanelPlan } from '../building/panelRegions'
import type { RoofPlane } from '../building/slopes'
import type { Point } from '../geometry/point'
import { regionArea, regionMoments, type Region } from '../geometry/polygon'
import { distance } from '../geometry/segment'
import type { Plate } from '../plate/plate'
import { shareAreaByStiffness, shareLineByStiffness, sharePointByStiffness } from './byStiffness'
import { cornerSupports, shareToCorners } from './corners'
import { dividingOfSites, dividingOfStrips, type Path } from './dividing'
import type { Overhang } from './lever'
import { shareArea, shareLine, sharePoint, stripGround } from './oneWay'
import { inPlane } from './inPlane'
import { runsAlong, type Carrier, type Limits } from './rails'
import type { Share } from './share'
import { sitesAround, sitesWithin, type Site } from './sites'
import { shareAreaEvenly, shareAreaToNearest, shareLineToNearest, sharePointToNearest } from './twoWay'

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
  readonly spanAngle: number
  readonly overhang: Overhang
  /** What may carry it; what takes no load of it is not among them. */
  readonly carriers: readonly Carrier[]
  readonly limits: Limits
  readonly columns: readonly Column[]
  /** The panel solved as a plate; asked for where it is shared by stiffness. */
  readonly plate: () => Plate | undefined
}

/** What load of panels can stand on. */
export interface Standing {
  readonly carriers: readonly Carrier[]
  readonly columns: readonly Column[]
  readonly limits: Limits
  readonly plateOf: (plan: PanelPlan) => Plate | undefined
}

export function groundOf(plan: PanelPlan, { carriers, columns, limits, plateOf }: Standing): Ground {
  const { panel } = plan
  const own: Limits = { reach: panel.supportReach ?? limits.reach, along: panel.spanLimit ?? limits.along }
  const { sparedAngle } = panel
  const spared = new Set<string>(panel.sparedMembers)
  const takes = (carrier: Carrier): boolean =>
    !spared.has(carrier.member) && (sparedAngle === null || !runsAlong(carrier, sparedAngle, own.along))
  return {
    rule: panel.sharing,
    outline: stripOutline(plan),
    border: plan.outline,
    plane: plan.plane,
    spanAngle: panel.spanAngle,
    overhang: panel.overhang,
    carriers: sparedAngle === null && spared.size === 0 ? carriers : carriers.filter(takes),
    limits: own,
    columns,
    plate: () => plateOf(plan),
  }
}

/** One rule over one panel: shares of one unit of pressure over a region of it, of a line and of a force inside it. */
export interface Sharer {
  readonly area: (region: Region) => Share
  readonly line: (a: Point, b: Point) => Share
  readonly point: (at: Point) => Share
  /** Lines that part what goes to one support from what goes to another, within a region. */
  readonly dividing: (region: Region) => readonly Path[]
}

const rules: Readonly<Record<SharingRule, (ground: Ground) => Sharer>> = {
  oneWay: (ground) => ({
    area: (region) => shareArea(ground, region),
    line: (a, b) => shareLine(ground, a, b),
    point: (at) => sharePoint(ground, at),
    dividing: () => dividingOfStrips(stripGround(ground), ground.spanAngle),
  }),
  twoWay: ({ border, carriers, limits }) => toNearest(sitesWithin(border, carriers, limits.reach), carriers),
  surrounding: ({ border, carriers, limits }) => toNearest(sitesAround(border, carriers, limits.reach), carriers),
  even: ({ border, carriers, limits }) => {
    const sites = sitesAround(border, carriers, limits.reach)
    return {
      ...toNearest(sites, carriers),
      area: (region) => shareAreaEvenly(sites, carriers, region),
      dividing: () => [],
    }
  },
  corners: ({ border, carriers, columns }) => {
    const supports = cornerSupports(border, carriers, columns)
    return {
      area: (region) => shareToCorners(supports, regionArea(region), regionMoments(region)),
      line: (a, b) => {
        const length = distance(a, b)
        return shareToCorners(supports, length, [((a[0] + b[0]) / 2) * length, ((a[1] + b[1]) / 2) * length])
      },
      point: (at) => shareToCorners(supports, 1, at),
      dividing: () => [],
    }
  },
  stiffness: ({ carriers, plate: plateOf }) => {
    const plate = plateOf()
    return {
      area: (region) => shareAreaByStiffness(plate, carriers, region),
      line: (a, b) => shareLineByStiffness(plate, carriers, a, b),
      point: (at) => sharePointByStiffness(plate, carriers, at),
      dividing: () => [],
    }
  },
}

const toNearest = (sites: readonly Site[], carriers: readonly Carrier[]): Sharer => ({
  area: (region) => shareAreaToNearest(sites, carriers, region),
  line: (a, b) => shareLineToNearest(sites, carriers, a, b),
  point: (at) => sharePointToNearest(sites, at),
  dividing: (region) => dividingOfSites(sites, region),
})

/**
 * Rules that measure what is nearest, or how long: these differ in the plane of a roof and in plan. By lever and to corners they do not;
 * by stiffness a panel is worked in plan.
 */
const measuring: ReadonlySet<SharingRule> = new Set(['twoWay', 'surrounding', 'even'])

export const sharerOf = (ground: Ground): Sharer => {
  const rule = rules[ground.rule]
  return ground.plane && measuring.has(ground.rule) ? inPlane(ground, ground.plane, rule) : rule(ground)
}
