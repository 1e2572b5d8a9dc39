import type { Point } from '@hedrion/core'
import type { Palette } from '../ui/tokens'
import { hatchPattern, markColour } from './hatches'
import { gridTextSize, type DrawnGridLine } from './gridMarks'
import type { Placed } from './labels'
import { paintOrdinates } from './paintOrdinates'
import type { Scene, Shape, Stroke, Tone } from './scene'
import { textsOf, type LengthUnit, type Margin, type Measure, type TextsOfView } from './texts'
import { toScreen, type Viewport } from './viewport'

type Pen = CanvasRenderingContext2D

export const toneColour = (palette: Palette, tone: Tone): string => palette[tone]

/** Pixels of the numbers and names in a picture. */
export const textSizes = { usual: 13, large: 16, larger: 20 } as const

type Font = (bold: boolean | undefined, size?: number) => string

/**
 * Paints a scene on a canvas whose transform already holds the device's pixel ratio; answers which texts stand where, and
 * which found no room.
 */
export function paint(
  pen: Pen,
  scene: Scene,
  view: Viewport,
  palette: Palette,
  {
    sans,
    size = 13,
    picked = [],
  }: { readonly sans: string; readonly size?: number; readonly picked?: readonly string[] },
  unit: LengthUnit,
): TextsOfView {
  const font: Font = (bold, pixels = size) => `${bold ? '600 ' : ''}${pixels}px ${sans}`
  const measure: Measure = (text, pixels, bold) => {
    pen.font = font(bold, pixels)
    return pen.measureText(text).width
  }
  const texts = textsOf(scene, view, { measure, size, picked, unit })
  pen.clearRect(0, 0, view.width, view.height)
  paintGrid(pen, texts.grid, palette, sans)
  for (const shape of scene.shapes) paintShape(pen, shape, view, palette, texts.shrink)
  paintLabels(pen, texts.placed, palette, font)
  paintMargin(pen, texts.margin, palette, sans)
  return texts
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

function paintShape(pen: Pen, shape: Shape, view: Viewport, palette: Palette, shrink: number): void {
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
      return paintOrdinates(pen, { ...shape, scale: shape.scale * shrink }, view, markColour(palette, shape.mark))
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

const gridStroke = { tone: 'hairline', width: 1, dash: [12, 4, 2, 4] } as const
/** Of lines that run beside what is on the level. */
const faint = 0.55

function paintGrid(pen: Pen, lines: readonly DrawnGridLine[], palette: Palette, sans: string): void {
  pen.font = `${gridTextSize}px ${sans}`
  pen.textBaseline = 'middle'
  pen.textAlign = 'center'
  for (const { label, at, stroke: drawn, outside } of lines) {
    pen.globalAlpha = outside ? faint : 1
    pen.beginPath()
    if (drawn.kind === 'ring') pen.arc(...drawn.centre, drawn.radius, 0, 2 * Math.PI)
    else {
      pen.moveTo(...drawn.from)
      pen.lineTo(...drawn.to)
    }
    stroke(pen, gridStroke, palette)
    pen.fillStyle = palette.quiet
    if (at) pen.fillText(label, ...at)
  }
  pen.globalAlpha = 1
}

function paintLabels(pen: Pen, placed: readonly Placed[], palette: Palette, font: Font): void {
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

function paintMargin(pen: Pen, { scale, texts, north }: Margin, palette: Palette, sans: string): void {
  pen.strokeStyle = pen.fillStyle = palette.quiet
  pen.lineWidth = 1.2
  pen.textBaseline = 'middle'
  pen.textAlign = 'left'
  for (const { text, x, y, size } of texts) {
    pen.font = `${size}px ${sans}`
    pen.fillText(text, x, y)
  }
  const { from, to, y, ordinate } = scale
  pen.beginPath()
  pen.moveTo(from, y - 4)
  pen.lineTo(from, y + 4)
  pen.moveTo(from, y)
  pen.lineTo(to, y)
  pen.moveTo(to, y - 4)
  pen.lineTo(to, y + 4)
  pen.stroke()
  if (ordinate) pen.fillRect(ordinate.x, y + 4 - ordinate.pixels, 3, ordinate.pixels)
  if (north) paintNorth(pen, north, palette)
}

function paintNorth(pen: Pen, [x, y]: Point, palette: Palette): void {
  pen.fillStyle = palette.quiet
  pen.beginPath()
  pen.moveTo(x, y - 18)
  pen.lineTo(x + 6, y - 2)
  pen.lineTo(x, y - 6)
  pen.lineTo(x - 6, y - 2)
  pen.closePath()
  pen.fill()
}
