import type { Box } from '@hedrion/core'
import type { Viewport } from './viewport'

/** CSS pixels to a millimetre of paper (96 to an inch, CSS Values 4, 5.2). */
export const pixelsPerMillimetre = 96 / 25.4

/** Scales that are drawn to (EN ISO 5455, with 1:25 and 1:250 as used in the trade). */
export const scales = [10, 20, 25, 50, 100, 200, 250, 500, 1000, 2000, 5000] as const

export interface Room {
  /** Millimetres of paper for the picture, and what of them labels need at each side. */
  readonly width: number
  readonly height: number
  readonly margin: number
}

/** The largest scale at which a box fits into the room; the smallest there is where none does. */
export function scaleFor({ x0, x1, y0, y1 }: Box, { width, height, margin }: Room): number {
  const fits = (scale: number) =>
    ((x1 - x0) * 1000) / scale <= width - 2 * margin && ((y1 - y0) * 1000) / scale <= height - 2 * margin
  return scales.find(fits) ?? scales[scales.length - 1] ?? 5000
}

/** The view that draws a box in the middle of the room, 1 to `scale`. */
export function paperView({ x0, x1, y0, y1 }: Box, { width, height }: Room, scale: number): Viewport {
  const perMetre = (1000 / scale) * pixelsPerMillimetre
  const [w, h] = [width * pixelsPerMillimetre, height * pixelsPerMillimetre]
  return {
    width: w,
    height: h,
    scale: perMetre,
    x: w / 2 - ((x0 + x1) / 2) * perMetre,
    y: h / 2 + ((y0 + y1) / 2) * perMetre,
  }
}
