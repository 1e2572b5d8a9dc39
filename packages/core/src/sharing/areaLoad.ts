import { lyingIn, type PanelPlan } from '../building/panelRegions'
import { areaStretch } from '../building/slopes'
import type { AreaLoadShape, SlopeShape } from '../document/shapes'
import { difference, intersection, regionOf } from '../geometry/clip'
import { densityAlong, loadOver, type Density } from '../geometry/density'
import type { Point } from '../geometry/point'
import { boxesTouch, boxOf, regionArea, type Box, type Region } from '../geometry/polygon'
import { ringOrder } from '../geometry/ringOrder'
import { onLine } from '../geometry/tolerance'
import { addLines } from './addLines'
import { groundOf, sharerOf, type Standing } from './ground'
import { emptyShare, sumOfShares, type Share } from './share'

/** Areas below this are what clipping leaves, m². */
const rounding = 1e-9

/** Of a load square to a slope: what the slope turns sideways. */
export interface Sideways {
  /** Horizontal force per vertical force, in global axes: uphill, as steep as the slope. */
  readonly push: Point
  /** The vertical force on the slope, which members take as they take what is sideways. */
  readonly share: Share
}

export interface AreaShare {
  readonly share: Share
  readonly sideways: readonly Sideways[]
}

/**
 * What one unit of pressure over an area load puts on members; of one that varies, of a unit at its beginning that falls to nothing
 * at its end, then of one that rises from nothing to a unit. Each panel under it shares its part by its own rule, with the load as it
 * varies there; where panels overlap, which is a concern of its own, they share it equally. Square to a slope a pressure on its true area
 * brings as much vertical force per area of plan, and its tangent of that uphill.
 */
export const shareAreaLoad = (
  { outline, angle, measured, varies }: AreaLoadShape,
  plans: readonly PanelPlan[],
  standing: Standing,
  slopes: readonly SlopeShape[],
): readonly AreaShare[] => {
  const region = regionOf(outline)
  const ends = varies ? ([falling, rising] as const) : ([even] as const)
  const densities = ends.map((of) => densityAlong(region, angle, of))
  return shareDensities({ region, measured }, densities, plans, standing, slopes)
}

/** Values at the beginning and at the end. */
const [even, falling, rising] = [
  [1, 1],
  [1, 0],
  [0, 1],
] as const

/** What a load lies on, which may have holes. */
export interface LoadedRegion extends Pick<AreaLoadShape, 'measured'> {
  readonly region: Region
}

/** A part of a load that lies in one plane, and its vertical force per area of plan and unit of pressure. */
interface Piece {
  readonly region: Region
  readonly slope: SlopeShape | null
  readonly down: number
}

/** A part of a piece over the same panels. */
interface Cell {
  readonly region: Region
  readonly box: Box
  readonly under: readonly PanelPlan[]
}

/** The same for any densities over a region. */
export function shareDensities(
  { region, measured }: LoadedRegion,
  densities: readonly Density[],
  plans: readonly PanelPlan[],
  standing: Standing,
  slopes: readonly SlopeShape[],
): readonly AreaShare[] {
  const sharers = new Map(plans.map((plan) => [plan, sharerOf(groundOf(plan, standing))]))
  // clipping rounds: in an order of their own
  const ordered = [...plans].sort((p, q) => ringOrder(p.panel.outline, q.panel.outline))
  const pieces = lyingIn(region, slopes).map(({ region: lying, slope }) => {
    const piece: Piece = { region: lying, slope, down: measured === 'slope' && slope ? areaStretch(slope) : 1 }
    return { piece, cells: cellsOf(lying, ordered) }
  })
  return densities.map((density) => {
    const shared = pieces.map(({ piece, cells }) => {
      const shares = cells.flatMap(({ region: of, under }) =>
        under.flatMap((plan) => {
          const share = sharers.get(plan)?.area(of, density)
          return share ? [[share, piece.down / under.length] as const] : []
        }),
      )
      return { piece, shares }
    })
    const sideways = measured === 'square' ? shared.flatMap((one) => sidewaysOf(one, density, standing)) : []
    return { share: sumOf(shared, density, standing), sideways }
  })
}

interface SharedPiece {
  readonly piece: Piece
  readonly shares: readonly (readonly [share: Share, part: number])[]
}

function sidewaysOf(one: SharedPiece, density: Density, standing: Standing): readonly Sideways[] {
  const { slope } = one.piece
  const share = slope && sumOf([one], density, standing)
  if (!slope || !share || Math.abs(share.applied) <= rounding) return []
  const steep = Math.tan(slope.pitch)
  return [{ push: [steep * Math.cos(slope.uphill), steep * Math.sin(slope.uphill)], share }]
}

/** The parts of a region over panels, apart where panels overlap. */
function cellsOf(region: Region, plans: readonly PanelPlan[]): readonly Cell[] {
  const cellOf = (of: Region, under: readonly PanelPlan[]): readonly Cell[] =>
    regionArea(of) <= rounding ? [] : [{ region: of, box: boxOf(of.flat()), under }]
  return plans.reduce<readonly Cell[]>((cells, plan) => {
    let [own] = cellOf(intersection(region, plan.net), [plan])
    const split = cells.flatMap((cell) => {
      // a box less the tolerance: neighbours that share an edge do not meet
      const both = own && boxesTouch(cell.box, own.box, -onLine) ? intersection(cell.region, own.region) : []
      if (!own || regionArea(both) <= rounding) return [cell]
      ;[own] = cellOf(difference(own.region, both), [plan])
      return [...cellOf(difference(cell.region, both), cell.under), ...cellOf(both, [...cell.under, plan])]
    })
    return own ? [...split, own] : split
  }, [])
}

/** Pieces as one load; what no panel is under is not carried. */
function sumOf(shared: readonly SharedPiece[], density: Density, { carriers }: Standing): Share {
  let [applied, mx, my] = [0, 0, 0]
  for (const { piece } of shared) {
    const { force, moments } = loadOver(piece.region, density)
    applied += piece.down * force
    mx += piece.down * moments[0]
    my += piece.down * moments[1]
  }
  const parts = shared.flatMap(({ shares }) => shares)
  const onPanels = parts.reduce((total, [share, part]) => total + part * share.applied, 0)
  // clipping rounds corners: pieces may come to a hair more than the whole
  const scale = Math.min(1, applied / Math.max(onPanels, Number.MIN_VALUE))
  const sum = sumOfShares(
    { ...emptyShare, applied, appliedMoments: [mx, my] },
    parts.map(([share, part]) => [share, part * scale] as const),
  )
  const beside = Math.max(0, applied - onPanels)
  return {
    ...sum,
    lines: addLines(sum.lines, carriers),
    notCarried: sum.notCarried + (beside > 1e-12 * applied ? beside : 0),
  }
}
