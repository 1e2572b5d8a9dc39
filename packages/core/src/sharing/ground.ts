import type { Bearer } from '../building/bearers'
import type { Column } from '../building/frame'
import { stripOutline, type PanelPlan } from '../building/panelRegions'
import { loadOver } from '../geometry/density'
import type { Plate } from '../plate/plate'
import { shareAreaByStiffness, shareLineByStiffness, sharePointByStiffness } from './byStiffness'
import { cornerSupports, shareToCorners } from './corners'
import { dividingOfSites, dividingOfStrips } from './dividing'
import { shareArea, shareLine, sharePoint, stripGround } from './oneWay'
import { inPlane } from './inPlane'
import { loadAlong } from './lineEnds'
import { overFolds } from './overFolds'
import { runsAlong, type Carrier, type Limits } from './rails'
import type { Ground, Sharer, SharingRule } from './sharer'
import type { PlateLack } from './share'
import { sitesAround, sitesWithin, type Site } from './sites'
import { shareAreaEvenly, shareAreaToNearest, shareLineToNearest, sharePointToNearest } from './twoWay'

/** What load of panels can stand on. */
export interface Standing {
  readonly carriers: readonly Carrier[]
  readonly columns: readonly Column[]
  /** How those of the members bear of which several meet at a point or at a corner; others need not be among them. */
  readonly bearers: readonly Bearer[]
  readonly limits: Limits
  readonly plateOf: (plan: PanelPlan) => Plate | PlateLack
}

type Supported = PanelPlan['panel']

/** The limits of what supports a panel: its own, else the project's. */
export const limitsOn = ({ supportReach, spanLimit }: Supported, { reach, along }: Limits): Limits => ({
  reach: supportReach ?? reach,
  along: spanLimit ?? along,
})

/** The members that a panel spares: by name, and all that run one way. */
export function sparesOn({ sparedAngle, sparedMembers }: Supported, { along }: Limits): (carrier: Carrier) => boolean {
  const spared = new Set<string>(sparedMembers)
  return (carrier) => spared.has(carrier.member) || (sparedAngle !== null && runsAlong(carrier, sparedAngle, along))
}

export function groundOf(plan: PanelPlan, { carriers, columns, bearers, limits, plateOf }: Standing): Ground {
  const { panel } = plan
  const own = limitsOn(panel, limits)
  const sparesNone = panel.sparedAngle === null && panel.sparedMembers.length === 0
  const spares = sparesOn(panel, own)
  return {
    rule: panel.sharing,
    outline: stripOutline(plan),
    border: plan.outline,
    plane: plan.plane,
    slopes: plan.slopes,
    spanAngle: panel.spanAngle,
    overhang: panel.overhang,
    carriers: sparesNone ? carriers : carriers.filter((carrier) => !spares(carrier)),
    limits: own,
    columns,
    bearers,
    plate: () => plateOf(plan),
  }
}

const rules: Readonly<Record<SharingRule, (ground: Ground) => Sharer>> = {
  oneWay: (ground) => ({
    area: (region, density) => shareArea(ground, region, density),
    line: (a, b, ends) => shareLine(ground, a, b, ends),
    point: (at) => sharePoint(ground, at),
    dividing: () => dividingOfStrips(stripGround(ground), ground.spanAngle),
  }),
  twoWay: ({ border, carriers, limits }) => toNearest(sitesWithin(border, carriers, limits.reach), carriers),
  surrounding: ({ border, carriers, limits }) => toNearest(sitesAround(border, carriers, limits.reach), carriers),
  even: ({ border, carriers, limits }) => {
    const sites = sitesAround(border, carriers, limits.reach)
    return {
      ...toNearest(sites, carriers),
      area: (region, density) => shareAreaEvenly(sites, carriers, region, density),
      dividing: () => [],
    }
  },
  corners: ({ border, carriers, columns, bearers }) => {
    const supports = cornerSupports(border, carriers, columns, bearers)
    return {
      area: (region, density) => {
        const { force, moments } = loadOver(region, density)
        return shareToCorners(supports, force, moments)
      },
      line: (a, b, ends) => {
        const { force, moments } = loadAlong(a, b, ends)
        return shareToCorners(supports, force, moments)
      },
      point: (at) => shareToCorners(supports, 1, at),
      dividing: () => [],
    }
  },
  stiffness: ({ carriers, plate: plateOf }) => {
    const plate = plateOf()
    return {
      area: (region, density) => shareAreaByStiffness(plate, carriers, region, density),
      line: (a, b, ends) => shareLineByStiffness(plate, carriers, a, b, ends),
      point: (at) => sharePointByStiffness(plate, carriers, at),
      dividing: () => [],
    }
  },
}

const toNearest = (sites: readonly Site[], carriers: readonly Carrier[]): Sharer => ({
  area: (region, density) => shareAreaToNearest(sites, carriers, region, density),
  line: (a, b, ends) => shareLineToNearest(sites, carriers, a, b, ends),
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
  if (ground.slopes.length === 0 || !measuring.has(ground.rule)) return rule(ground)
  return ground.plane ? inPlane(ground, ground.plane, rule) : overFolds(ground, ground.slopes, rule)
}
