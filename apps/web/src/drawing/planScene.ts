import { hatches } from '@hedrion/core'
import {
  boxOf,
  gridCrossings,
  meanOf,
  sliverArea,
  type FloorView,
  type GridLine,
  type NumberFormat,
  type Point,
  type RegionView,
} from '@hedrion/core'
import { openingText, regionText, wallText } from './describe'
import { candidatesPart } from './candidatesPart'
import { beamsPart, columnsPart, ordinatesPart, scaleOfBeams } from './membersPart'
import { part, type PlanOptions } from './planOptions'
import { slopesPart, strutsPart } from './roofPart'
import { barriersPart, stairsPart } from './stairsPart'
import { wallSurfacesPart } from './wallSurfacesPart'
import { reductionRegionsPart } from './reductionRegionsPart'
import { stiffPart } from './stiffPart'
import { areaLoadsPart } from './areaLoadsPart'
import { typedLoadsPart } from './typedLoadsPart'
import { said } from './said'
import { emptyBox, type Label, type Scene, type Shape, type Target } from './scene'

/** A level as plan: floor and its load, members, openings, walls, and what is not carried. */
export function planScene(
  floor: FloorView | null | undefined,
  lines: readonly GridLine[],
  options: PlanOptions,
): Scene {
  if (!floor) return { box: gridBox(lines), shapes: [], labels: [], targets: [], grid: lines, north: true }
  // each member is compared with all others: not where no ordinates are drawn
  const ordinate = options.member ? scaleOfBeams(floor.beams, options) : null
  const parts = [
    regionsPart(floor, options),
    areaLoadsPart(floor, options),
    reductionRegionsPart(floor),
    dividingPart(options),
    openingsPart(floor),
    slopesPart(floor, options),
    stairsPart(floor, options),
    ...(ordinate ? [ordinatesPart(floor.beams, options, ordinate)] : []),
    wallsPart(floor, options),
    candidatesPart(options.candidates ?? [], options.format),
    beamsPart(floor.beams, options),
    strutsPart(floor, options),
    columnsPart(floor, options),
    typedLoadsPart(floor, options),
    barriersPart(floor, options),
    wallSurfacesPart(floor, options),
    stiffPart(floor, options),
    lostPart(floor, options),
  ]
  return {
    box: boxOfFloor(floor, lines),
    shapes: parts.flatMap(({ shapes }) => shapes),
    labels: parts.flatMap(({ labels }) => labels),
    targets: parts.flatMap(({ targets }) => targets),
    grid: lines,
    north: true,
    ...(ordinate?.said ? { ordinateScale: ordinate.said } : {}),
  }
}

/** Round crossings of the grid, and all of its rings. */
function gridBox(grid: readonly GridLine[]) {
  const points = [
    ...gridCrossings(grid),
    ...grid.flatMap(({ path }) => path),
    ...grid.flatMap(({ axis, at, path: [centre] }): readonly Point[] =>
      axis === 'ring' && centre
        ? [
            [centre[0] - at, centre[1] - at],
            [centre[0] + at, centre[1] + at],
          ]
        : [],
    ),
  ]
  return points.length < 2 ? emptyBox : boxOf(points)
}

/** Round what is on the level: the rest of the grid, and columns that only pass through, are drawn as far as the view reaches. */
function boxOfFloor(floor: FloorView, grid: readonly GridLine[]) {
  const own = floor.columns.filter(({ passing }) => !passing)
  const standing = own.length > 0 || floor.beams.length > 0 || floor.regions.length > 0 ? own : floor.columns
  const points: Point[] = [
    ...floor.beams.flatMap(({ path }) => path),
    ...standing.map(({ at }) => at),
    ...floor.regions.flatMap(({ region }) => region.flat()),
    ...floor.walls.flatMap(({ a, b }) => [a, b]),
    ...floor.slopes.flatMap(({ outline }) => outline),
    ...floor.struts.flatMap(({ a, b }) => [a, b]),
    ...floor.typed.flatMap(({ a, b }) => [a, b]),
    ...floor.areaLoads.flatMap(({ outline }) => outline),
    ...floor.reductionRegions.flatMap(({ outline }) => outline),
    ...floor.stairs.flatMap(({ outline }) => outline),
    ...floor.barriers.flatMap(({ a, b }) => [a, b]),
    ...floor.wallSurfaces.flatMap(({ a, b }) => [a, b]),
    ...floor.stiff.flatMap(({ a, b }) => [a, b]),
  ]
  return points.length > 0 ? boxOf(points) : gridBox(grid)
}

function regionsPart(floor: FloorView, { area, mark, spans, format, lit, parts = 'all' }: PlanOptions) {
  const isDrawn = ({ patchId }: RegionView) => parts === 'all' || (parts === 'patches') === (patchId !== null)
  const numbers = keyNumbers(floor)
  const grounds = floor.regions.map(({ region, expandedId }): Shape => ({
    kind: 'area',
    region,
    ground: lit?.has(expandedId) ? 'accentSoft' : 'floor',
    stroke: { tone: 'border', width: 0.6, dash: [2, 3] },
  }))
  const hatches = floor.regions
    .filter((entry) => area && entry.pressure !== 0 && isDrawn(entry))
    .map(({ region, keyId }): Shape => ({
      kind: 'area',
      region,
      hatch: { mark, number: numbers.get(keyId ?? '') ?? 0 },
    }))
  return part({
    shapes: [...grounds, ...hatches, ...(spans ? spanArrows(floor) : [])],
    labels: area ? floor.regions.filter(isDrawn).flatMap((entry) => pressureLabel(entry, format)) : [],
    targets: floor.regions.map((entry): Target => ({
      id: entry.expandedId,
      kind: 'panel',
      shape: { kind: 'area', region: entry.region },
      text: regionText(entry, format),
    })),
  })
}

/** The number of the hatch of each load key: as it says, or else its place among those of the floor. */
export function keyNumbers(floor: Pick<FloorView, 'regions'>): ReadonlyMap<string, number> {
  const own = new Map(floor.regions.map(({ keyId, keyHatch }) => [keyId, keyHatch]))
  const ids = [...new Set(floor.regions.flatMap(({ keyId }) => keyId ?? []))].sort()
  return new Map(
    ids.map((id, i) => {
      const hatch = own.get(id)
      return [id, hatch ? hatches.indexOf(hatch) : i]
    }),
  )
}

function pressureLabel(
  { expandedId, centre, pressure, patchId, region }: RegionView,
  format: NumberFormat,
): readonly Label[] {
  if (pressure === 0) return []
  const small = boxOf(region.flat())
  const priority = 40 + Math.min(20, (small.x1 - small.x0) * (small.y1 - small.y0) * 0.1)
  return [
    {
      ...said(pressure, 'pressure', format),
      of: expandedId,
      at: centre,
      priority: patchId ? priority + 20 : priority,
      bold: true,
      dy: 10,
    },
  ]
}

/** Within each panel: on which side of the lines load goes to which member. */
function dividingPart({ dividing = [] }: PlanOptions) {
  return part({
    shapes: dividing.map((points): Shape => ({
      kind: 'line',
      points,
      stroke: { tone: 'quiet', width: 1, dash: [7, 3] },
    })),
  })
}

/**
 * One sign to each panel, beside the middle of its largest part: an arrow along its span, two where it shares two-way; panels of
 * other rules have none.
 */
function spanArrows(floor: Pick<FloorView, 'regions'>): readonly Shape[] {
  const largest = new Map<string, RegionView>()
  for (const entry of floor.regions) {
    const known = largest.get(entry.panelId)
    if (!known || entry.area > known.area) largest.set(entry.panelId, entry)
  }
  return [...largest.values()].flatMap(({ centre, spanAngle, region, sharing }): Shape[] => {
    const { x0, x1, y0, y1 } = boxOf(region.flat())
    const ways = sharing === 'oneWay' ? [spanAngle] : sharing === 'twoWay' ? [spanAngle, spanAngle + Math.PI / 2] : []
    // beside the middle, where a pressure may stand
    const [ux, uy] = [Math.cos(spanAngle), Math.sin(spanAngle)]
    const [wide, high] = [(x1 - x0) * 0.28, (y1 - y0) * 0.28]
    const at: Point = [centre[0] - Math.abs(uy) * wide, centre[1] - Math.abs(ux) * high]
    return ways.map((way) => ({
      kind: 'arrow',
      at,
      dx: 22 * Math.cos(way),
      dy: 22 * Math.sin(way),
      tone: 'quiet',
      width: 1.3,
      heads: 'both',
      tail: 'middle',
    }))
  })
}

function openingsPart({ openings }: FloorView) {
  return part({
    shapes: openings.flatMap(({ outline }): Shape[] => {
      const [a, b, c, d] = outline
      const thin = { tone: 'quiet', width: 0.8 } as const
      const crossed: Shape[] =
        outline.length === 4 && a && b && c && d
          ? [
              { kind: 'line', points: [a, c], stroke: thin },
              { kind: 'line', points: [b, d], stroke: thin },
            ]
          : []
      return [{ kind: 'area', region: [outline], ground: 'film', stroke: { tone: 'quiet', width: 1.2 } }, ...crossed]
    }),
    labels: openings.map(({ label, outline, expandedId }) => ({
      of: expandedId,
      text: label,
      at: meanOf(outline),
      priority: 30,
      tone: 'quiet' as const,
    })),
    targets: openings.map((opening): Target => ({
      id: opening.expandedId,
      kind: 'opening',
      shape: { kind: 'area', region: [opening.outline] },
      text: openingText(opening),
    })),
  })
}

function wallsPart({ walls }: FloorView, { format, area, lit }: PlanOptions) {
  const runs = new Set(walls.map(({ expandedId }) => expandedId))
  const texts = new Map(
    [...runs].map((run) => [
      run,
      wallText(
        walls.filter(({ expandedId }) => expandedId === run),
        format,
      ),
    ]),
  )
  return part({
    // strong where the wall loads in the case that is looked at
    shapes: walls.map(({ pieceId, a, b, load }): Shape => ({
      kind: 'line',
      points: [a, b],
      stroke: lit?.has(pieceId)
        ? { tone: 'warm', width: 7 }
        : load === 0
          ? { tone: 'border', width: 1.2, dash: [5, 4] }
          : { tone: 'permanent', width: 6, dash: [2, 2] },
    })),
    labels: walls.flatMap(({ a, b, load, expandedId }): Label[] =>
      load === 0 || !area
        ? []
        : [
            {
              ...said(load, 'lineLoad', format),
              of: expandedId,
              at: meanOf([a, b]),
              priority: 55,
              bold: true,
              dy: -12,
            },
          ],
    ),
    targets: walls.map((wall): Target => ({
      id: wall.expandedId,
      kind: 'wall',
      shape: { kind: 'path', points: [wall.a, wall.b] },
      text: texts.get(wall.expandedId) ?? '',
    })),
  })
}

/** Load that reaches nothing stands out, with its force. */
function lostPart({ regions, walls }: FloorView, { format }: PlanOptions) {
  const lost = regions.filter(({ notCarriedArea }) => notCarriedArea > sliverArea)
  const lostWalls = walls.filter(({ notCarriedLength }) => notCarriedLength > 1e-6)
  return part({
    shapes: [
      ...lost.map(({ region }): Shape => ({
        kind: 'area',
        region,
        hatch: { mark: 'notCarried', number: 0 },
        stroke: { tone: 'warm', width: 1.2 },
      })),
      ...lostWalls.map(({ a, b }): Shape => ({
        kind: 'line',
        points: [a, b],
        stroke: { tone: 'warm', width: 5, dash: [3, 3] },
      })),
    ],
    labels: lost.map(({ centre, region, notCarriedArea, pressure }): Label => ({
      ...(pressure === 0
        ? { text: 'not carried' }
        : said(notCarriedArea * pressure, 'force', format, (number) => `${number} not carried`)),
      at: [boxOf(region.flat()).x1, centre[1]],
      dx: 8,
      align: 'left',
      tone: 'warm',
      bold: true,
      priority: 90,
      must: true,
    })),
  })
}
