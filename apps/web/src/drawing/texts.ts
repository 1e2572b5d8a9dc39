import type { Point } from '@hedrion/core'
import { drawnGrid, gridLabelExtent, gridTextSize, type DrawnGridLine } from './gridMarks'
import { placeLabels, type Extent, type Placement } from './labels'
import { shrinkOf } from './ordinates'
import { withUnitsAlike } from './said'
import type { Label, Scene } from './scene'
import { roundLength, toScreen, type Viewport } from './viewport'

/** Pixels that a text takes along its line. */
export type Measure = (text: string, size: number, bold?: boolean) => number

/** The unit in which the scale bar speaks, and how many metres it has. */
export interface LengthUnit {
  readonly symbol: string
  readonly metres: number
}

interface TextOptions {
  readonly measure: Measure
  /** Pixels of numbers and names. */
  readonly size: number
  readonly picked: readonly string[]
  readonly unit: LengthUnit
}

/** A text of the margin, from its left end. */
interface MarginText {
  readonly text: string
  readonly x: number
  readonly y: number
  readonly size: number
}

/** What stands in the margin of a view: scale, unit of the numbers, north. */
export interface Margin {
  readonly scale: {
    readonly from: number
    readonly to: number
    readonly y: number
    readonly ordinate: { readonly x: number; readonly pixels: number } | null
  }
  readonly texts: readonly MarginText[]
  readonly north: Point | null
}

/** All texts of a view; none of them lies on another. */
export interface TextsOfView extends Placement {
  readonly grid: readonly DrawnGridLine[]
  readonly margin: Margin
  /** Where it stands how many labels are left out: left end, middle. */
  readonly countAt: Point
  /** The boxes of all of them, in pixels. */
  readonly extents: readonly Extent[]
  /** By how much ordinates are lower than their scale says. */
  readonly shrink: number
}

const marginSize = 13
/** Pixels of “1234 labels left out”. */
const roomOfCount = 124

const unitNote = (unit: string): string => `values in ${unit}`

/** Marks that no text may hide. */
const clearMarks = (scene: Scene, view: Viewport): readonly Extent[] =>
  scene.shapes.flatMap((shape) => {
    if (shape.kind !== 'dot' || !shape.clear) return []
    const [[x, y], half] = [toScreen(view, shape.at), shape.size / 2]
    return [{ x0: x - half, y0: y - half, x1: x + half, y1: y + half }]
  })

/** Which texts of a scene stand where: the margin and the grid first, then labels as they find room. */
export function textsOf(scene: Scene, view: Viewport, { measure, size, picked, unit }: TextOptions): TextsOfView {
  // where the view leaves them less room
  const shrink = shrinkOf(scene.ordinateScale?.room ?? Infinity, view.scale)
  const { labels, unit: common } = withUnitsAlike(scene.labels.map((label) => stoodOff(label, shrink)))
  const margin = marginOf(scene, view, shrink, { common, unit, measure })
  const grid = drawnGrid(scene, view, (text) => measure(text, gridTextSize))
  const countAt: Point = [16 + (common ? measure(unitNote(common), marginSize) + 14 : 0), view.height - 16]
  const taken = [
    { x0: countAt[0] - 2, x1: countAt[0] + roomOfCount, y0: countAt[1] - 8, y1: countAt[1] + 8 },
    ...margin.texts.map((text) => extentOfText(text, measure)),
    ...(margin.north ? [extentOfNorth(margin.north)] : []),
    ...clearMarks(scene, view),
    ...grid.flatMap(({ at, label }) => (at ? [gridLabelExtent(at, measure(label, gridTextSize))] : [])),
  ]
  const placement = placeLabels(labels, view, {
    measure: (text, bold) => measure(text, size, bold),
    size,
    taken,
    picked,
  })
  const extents = [...taken, ...placement.placed.map(({ extent }) => extent)]
  return { ...placement, grid, margin, countAt, extents, shrink }
}

const stoodOff = (label: Label, shrink: number): Label =>
  label.over
    ? { ...label, dx: (label.dx ?? 0) + label.over[0] * shrink, dy: (label.dy ?? 0) + label.over[1] * shrink }
    : label

function marginOf(
  { north, ordinateScale: full }: Scene,
  view: Viewport,
  shrink: number,
  { common, unit, measure }: { readonly common: string | null; readonly unit: LengthUnit; readonly measure: Measure },
): Margin {
  const ordinateScale = full && { ...full, pixels: full.pixels * shrink }
  const length = roundLength(view, 120, unit.metres)
  const pixels = length * unit.metres * view.scale
  const [right, y] = [view.width - 20, view.height - 30]
  const bar = `${Number(length.toPrecision(2))} ${unit.symbol}`
  const ofBar = { text: bar, x: right - pixels / 2 - measure(bar, marginSize) / 2, y: y + 14, size: marginSize }
  const ofOrdinate = ordinateScale ? measure(ordinateScale.text, marginSize) : 0
  const ordinateX = right - pixels - 24 - 9 - ofOrdinate
  return {
    scale: {
      from: right - pixels,
      to: right,
      y,
      ordinate: ordinateScale ? { x: ordinateX, pixels: ordinateScale.pixels } : null,
    },
    texts: [
      ofBar,
      ...(ordinateScale ? [{ text: ordinateScale.text, x: ordinateX + 9, y: y - 6, size: marginSize }] : []),
      ...(common ? [{ text: unitNote(common), x: 16, y: y + 14, size: marginSize }] : []),
      ...(north ? [{ text: 'N', x: view.width - 28 - measure('N', 12) / 2, y: 42, size: 12 }] : []),
    ],
    north: north ? [view.width - 28, 34] : null,
  }
}

const extentOfText = ({ text, x, y, size }: MarginText, measure: Measure): Extent => ({
  x0: x - 2,
  x1: x + measure(text, size) + 2,
  y0: y - size / 2 - 1,
  y1: y + size / 2 + 1,
})

/** The arrow over its letter. */
const extentOfNorth = ([x, y]: Point): Extent => ({ x0: x - 6, x1: x + 6, y0: y - 18, y1: y - 2 })
