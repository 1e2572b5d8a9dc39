import type { Box, Point } from '@hedrion/core'
import type { Palette } from '../ui/tokens'
import { hatchPattern, markColour } from './hatches'
import { placeLabels } from './labels'
import { paintOrdinates } from './paintOrdinates'
import type { GridMark, Scene, Shape, Stroke, Tone } from './scene'
import { roundLength, toScreen, type Viewport } from './viewport'

type Pen = CanvasRenderingContext2D

export const toneColour = (palette: Palette, tone: Tone): string => palette[tone]

/** Pixels of the numbers and names in a picture. */
export const textSizes = { usual: 13, large: 16, larger: 20 } as const

/** The unit in which the scale bar speaks, and how many metres it has. */
export interface LengthUnit {
  readonly symbol: string
  readonly metres: number
}

/** Paints a scene on a canvas whose transform already holds the device's pixel ratio. */
export function paint(
  pen: Pen,
  scene: Scene,
  view: Viewport,
  palette: Palette,
  { sans, size = 13 }: { readonly sans: string; readonly size?: number },
  unit: LengthUnit,
): void {
  pen.clearRect(0, 0, view.width, view.height)
  paintGrid(pen, scene, view, palette, sans)
  for (const shape of scene.shapes) paintShape(pen, shape, view, palette)
  paintLabels(pen, scene, view, palette, { sans, size })
  paintScale(pen, scene, view, palette, sans, unit)
}

function trace(pen: Pen, points: readonly Point[], view: Viewport, closed: boolean): void {
  points.forEach((point, i) => {
    const [x, y] = toScreen(view, point)
    if (i === 0) pen.moveTo(x, y)
    else pen.lineTo(x, y)
  })
  if (closed) pen.closePath()
}

function stroke(pen: Pen, { tone, width, dash = [] }: Stroke, palette: Palette): void {
  pen.strokeStyle = toneColour(palette, tone)
  pen.lineWidth = width
  pen.setLineDash([...dash])
  pen.stroke()
  pen.setLineDash([])
}

function paintShape(pen: Pen, shape: Shape, view: Viewport, palette: Palette): void {
  switch (shape.kind) {
    case 'area':
      return paintArea(pen, shape, view, palette)
    case 'line':
      pen.beginPath()
      trace(pen, shape.points, view, shape.closed ?? false)
      return stroke(pen, shape.stroke, palette)
    case 'dot':
      return paintDot(pen, shape, view, palette)
    case 'arrow':
      return paintArrow(pen, shape, view, palette)
    case 'bar':
      return paintBar(pen, shape, view, palette)
    case 'ordinates':
      return paintOrdinates(pen, shape, view, markColour(palette, shape.mark))
    case 'support':
      return paintSupport(pen, shape.at, view, palette)
    case 'ground':
      return paintGround(pen, shape, view, palette)
  }
}

function paintArea(
  pen: Pen,
  { region, ground, hatch, stroke: edge }: Extract<Shape, { kind: 'area' }>,
  view: Viewport,
  palette: Palette,
): void {
  pen.beginPath()
  for (const ring of region) trace(pen, ring, view, true)
  if (ground) {
    pen.fillStyle = palette[ground]
    pen.fill('evenodd')
  }
  if (hatch) {
    pen.fillStyle = hatchPattern(pen, palette, hatch)
    pen.fill('evenodd')
  }
  if (edge) stroke(pen, edge, palette)
}

function paintDot(
  pen: Pen,
  { at, size, tone, round, hollow }: Extract<Shape, { kind: 'dot' }>,
  view: Viewport,
  palette: Palette,
): void {
  const [x, y] = toScreen(view, at)
  pen.fillStyle = toneColour(palette, tone)
  pen.beginPath()
  if (round) pen.arc(x, y, size / 2, 0, 2 * Math.PI)
  else pen.rect(x - size / 2, y - size / 2, size, size)
  pen.fill()
  if (!hollow) return
  pen.fillStyle = palette.film
  pen.fillRect(x - size / 2 + 2, y - size / 2 + 2, size - 4, size - 4)
}

function paintArrow(pen: Pen, shape: Extract<Shape, { kind: 'arrow' }>, view: Viewport, palette: Palette): void {
  const { at, dx, dy, tone, width = 2, heads = 'end', tail = 'at' } = shape
  const [x, y] = toScreen(view, at)
  const start = { at: 0, middle: -1, away: -1 }[tail]
  const end = { at: 1, middle: 1, away: 0 }[tail]
  const [fromX, fromY, toX, toY] = [x + start * dx, y - start * dy, x + end * dx, y - end * dy]
  pen.strokeStyle = pen.fillStyle = toneColour(palette, tone)
  pen.lineWidth = width
  pen.beginPath()
  pen.moveTo(fromX, fromY)
  pen.lineTo(toX, toY)
  pen.stroke()
  arrowHead(pen, [fromX, fromY], [toX, toY])
  if (heads === 'both') arrowHead(pen, [toX, toY], [fromX, fromY])
}

function paintBar(pen: Pen, shape: Extract<Shape, { kind: 'bar' }>, view: Viewport, palette: Palette): void {
  const [x, y] = toScreen(view, shape.at)
  const left = x + shape.dx - shape.width / 2
  pen.fillStyle = palette.raised
  pen.fillRect(left, y - shape.height, shape.width, shape.height)
  pen.fillStyle = palette.accent
  pen.fillRect(left, y - shape.filled, shape.width, shape.filled)
  pen.strokeStyle = palette.ink
  pen.lineWidth = 1.2
  pen.strokeRect(left, y - shape.height, shape.width, shape.height)
}

function arrowHead(pen: Pen, [fromX, fromY]: Point, [toX, toY]: Point): void {
  const length = Math.hypot(toX - fromX, toY - fromY)
  if (length < 1) return
  const [ux, uy] = [(toX - fromX) / length, (toY - fromY) / length]
  const size = Math.min(9, length)
  pen.beginPath()
  pen.moveTo(toX, toY)
  pen.lineTo(toX - ux * size - uy * size * 0.42, toY - uy * size + ux * size * 0.42)
  pen.lineTo(toX - ux * size + uy * size * 0.42, toY - uy * size - ux * size * 0.42)
  pen.closePath()
  pen.fill()
}

/** As the trade draws a support: a triangle on a hatched line. */
function paintSupport(pen: Pen, at: Point, view: Viewport, palette: Palette): void {
  const [x, y] = toScreen(view, at)
  pen.strokeStyle = palette.ink
  pen.lineWidth = 1.3
  pen.beginPath()
  pen.moveTo(x, y)
  pen.lineTo(x - 7, y + 11)
  pen.lineTo(x + 7, y + 11)
  pen.closePath()
  for (let i = -8; i <= 6; i += 4) {
    pen.moveTo(x + i + 3, y + 11)
    pen.lineTo(x + i, y + 16)
  }
  pen.stroke()
}

function paintGround(
  pen: Pen,
  { from, to }: Extract<Shape, { kind: 'ground' }>,
  view: Viewport,
  palette: Palette,
): void {
  const [x0, y] = toScreen(view, from)
  const [x1] = toScreen(view, to)
  pen.strokeStyle = palette.border
  pen.lineWidth = 1.2
  pen.beginPath()
  pen.moveTo(x0, y)
  pen.lineTo(x1, y)
  for (let x = x0 + 6; x < x1; x += 12) {
    pen.moveTo(x, y)
    pen.lineTo(x - 6, y + 7)
  }
  pen.stroke()
}

/** Lines that are too near to be told apart by their labels take turns: every second label stands further out. */
function stepped(grid: Scene['grid'], scale: number): readonly (Scene['grid'][number] & { readonly step: 0 | 1 })[] {
  return (['x', 'y'] as const).flatMap((axis) => {
    let [last, step]: [number, 0 | 1] = [-Infinity, 0]
    const lines = grid.filter((line) => line.axis === axis).sort((a, b) => a.at - b.at)
    return lines.map((line) => {
      step = (line.at - last) * scale < 18 && step === 0 ? 1 : 0
      last = line.at
      return { ...line, step }
    })
  })
}

const gridStroke = { tone: 'hairline', width: 1, dash: [12, 4, 2, 4] } as const

/** Grid lines run a little beyond the drawing, with their labels at the top and at the left, skew ones and rings at their end. */
function paintGrid(pen: Pen, { grid, box }: Scene, view: Viewport, palette: Palette, sans: string): void {
  const [, bottom] = toScreen(view, [box.x0, box.y0])
  const [right] = toScreen(view, [box.x1, box.y1])
  const { x: labelX, y: labelY } = gridLabelPlaces(box, view)
  pen.font = `14px ${sans}`
  pen.fillStyle = palette.quiet
  pen.textBaseline = 'middle'
  pen.textAlign = 'center'
  for (const { axis, label, at, step } of stepped(grid, view.scale)) {
    const [x, y] = toScreen(view, [at, at])
    const out = 15 * step
    pen.beginPath()
    if (axis === 'x') {
      pen.moveTo(x, labelY - out + 11)
      pen.lineTo(x, bottom + 8)
      pen.fillText(label, x, labelY - out)
    } else {
      pen.moveTo(labelX - out + 12, y)
      pen.lineTo(right + 8, y)
      pen.fillText(label, labelX - out, y)
    }
    stroke(pen, gridStroke, palette)
  }
  for (const line of grid) paintFreeLine(pen, line, view, palette)
}

/** Where labels of lines across the grid stand, in pixels: x of those at the left, y of those at the top. */
export function gridLabelPlaces(box: Box, view: Viewport): { readonly x: number; readonly y: number } {
  const [left] = toScreen(view, [box.x0, box.y0])
  const [, top] = toScreen(view, [box.x1, box.y1])
  return { x: Math.max(left - 40, 16), y: Math.max(top - 34, 14) }
}

/** A skew line with its label beyond its end, or a ring with its label beside its lowest point. */
function paintFreeLine(pen: Pen, { axis, label, at, path: [a, b] }: GridMark, view: Viewport, palette: Palette): void {
  if (!a) return
  const [x0, y0] = toScreen(view, a)
  pen.beginPath()
  if (axis === 'line' && b) {
    const [x1, y1] = toScreen(view, b)
    const length = Math.hypot(x1 - x0, y1 - y0) || 1
    const [ux, uy] = [(x1 - x0) / length, (y1 - y0) / length]
    pen.moveTo(x0 - 8 * ux, y0 - 8 * uy)
    pen.lineTo(x1 + 18 * ux, y1 + 18 * uy)
    pen.fillText(label, x1 + 28 * ux, y1 + 28 * uy)
  } else if (axis === 'ring') {
    pen.arc(x0, y0, at * view.scale, 0, 2 * Math.PI)
    pen.fillText(label, x0 + 9, y0 + at * view.scale + 11)
  }
  stroke(pen, gridStroke, palette)
}

function paintLabels(
  pen: Pen,
  { labels }: Scene,
  view: Viewport,
  palette: Palette,
  { sans, size }: { readonly sans: string; readonly size: number },
): void {
  const font = (bold: boolean | undefined) => `${bold ? '600 ' : ''}${size}px ${sans}`
  const placed = placeLabels(
    labels,
    view,
    (text, bold) => {
      pen.font = font(bold)
      return pen.measureText(text).width
    },
    size,
  )
  pen.textBaseline = 'middle'
  for (const { label, x, y } of placed) {
    pen.font = font(label.bold)
    pen.textAlign = label.align ?? 'center'
    pen.lineWidth = 4
    pen.lineJoin = 'round'
    pen.strokeStyle = palette.floor
    pen.strokeText(label.text, x, y)
    pen.fillStyle = toneColour(palette, label.tone ?? 'ink')
    pen.fillText(label.text, x, y)
  }
}

function paintScale(
  pen: Pen,
  { north, ordinateScale }: Scene,
  view: Viewport,
  palette: Palette,
  sans: string,
  unit: LengthUnit,
): void {
  const length = roundLength(view, 120, unit.metres)
  const pixels = length * unit.metres * view.scale
  const [right, y] = [view.width - 20, view.height - 30]
  pen.strokeStyle = pen.fillStyle = palette.quiet
  pen.lineWidth = 1.2
  pen.font = `13px ${sans}`
  pen.textBaseline = 'middle'
  pen.beginPath()
  pen.moveTo(right - pixels, y - 4)
  pen.lineTo(right - pixels, y + 4)
  pen.moveTo(right - pixels, y)
  pen.lineTo(right, y)
  pen.moveTo(right, y - 4)
  pen.lineTo(right, y + 4)
  pen.stroke()
  pen.textAlign = 'center'
  pen.fillText(`${Number(length.toPrecision(2))} ${unit.symbol}`, right - pixels / 2, y + 14)
  if (ordinateScale) {
    const x = right - pixels - 110
    pen.fillStyle = palette.quiet
    pen.fillRect(x, y + 4 - ordinateScale.pixels, 3, ordinateScale.pixels)
    pen.textAlign = 'left'
    pen.fillText(ordinateScale.text, x + 9, y + 4 - ordinateScale.pixels / 2)
  }
  if (north) paintNorth(pen, [view.width - 28, 34], palette, sans)
}

function paintNorth(pen: Pen, [x, y]: Point, palette: Palette, sans: string): void {
  pen.fillStyle = palette.quiet
  pen.beginPath()
  pen.moveTo(x, y - 18)
  pen.lineTo(x + 6, y - 2)
  pen.lineTo(x, y - 6)
  pen.lineTo(x - 6, y - 2)
  pen.closePath()
  pen.fill()
  pen.font = `12px ${sans}`
  pen.textAlign = 'center'
  pen.fillText('N', x, y + 8)
}
