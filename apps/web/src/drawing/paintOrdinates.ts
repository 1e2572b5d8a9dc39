import { along, distance, type Point } from '@hedrion/core'
import type { Shape } from './scene'
import { toScreen, type Viewport } from './viewport'

type Pen = CanvasRenderingContext2D

/** Pixels between the strokes of the hatch. */
const spacing = 5

/** Ordinates stand above a member that runs across the sheet, and at the left of one that runs up it. */
export function acrossOf(a: Point, b: Point): Point {
  const length = distance(a, b) || 1
  const [ux, uy] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length]
  const [nx, ny] = [-uy, ux]
  return ny > 1e-6 || (Math.abs(ny) <= 1e-6 && nx < 0) ? [nx, ny] : [-nx, -ny]
}

/** Line loads to scale: an outline, and strokes from the member to it. */
export function paintOrdinates(
  pen: Pen,
  { a, b, lines, scale }: Extract<Shape, { kind: 'ordinates' }>,
  view: Viewport,
  colour: string,
): void {
  const [nx, ny] = acrossOf(a, b)
  const foot = (s: number) => toScreen(view, along(a, b, s))
  const tip = (s: number, q: number): Point => {
    const [x, y] = foot(s)
    return [x + nx * q * scale, y - ny * q * scale]
  }
  pen.strokeStyle = colour
  for (const [s0, s1, q0, q1] of lines) {
    pen.lineWidth = 1.2
    pen.beginPath()
    for (const [i, [x, y]] of [foot(s0), tip(s0, q0), tip(s1, q1), foot(s1)].entries())
      if (i === 0) pen.moveTo(x, y)
      else pen.lineTo(x, y)
    pen.stroke()
    pen.lineWidth = 0.7
    pen.beginPath()
    const count = Math.floor(((s1 - s0) * view.scale) / spacing)
    for (let i = 1; i < count; i++) {
      const t = i / count
      const s = s0 + (s1 - s0) * t
      const [fx, fy] = foot(s)
      const [tx, ty] = tip(s, q0 + (q1 - q0) * t)
      pen.moveTo(fx, fy)
      pen.lineTo(tx, ty)
    }
    pen.stroke()
  }
}
