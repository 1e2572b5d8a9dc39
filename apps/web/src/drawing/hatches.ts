import type { Palette } from '../ui/tokens'
import type { KeyHatch, Mark } from './scene'

const tile = 24

export const markColour = (palette: Palette, mark: Mark): string =>
  mark === 'notCarried' ? palette.warm : mark === 'plain' ? palette.quiet : palette[mark]

/** Directions of hatch lines in degrees, and how many to a tile, in the order of the hatches; crossed lines are load that nothing carries. */
const keyLines: readonly (readonly [angles: readonly number[], count: number])[] = [
  [[45], 3],
  [[135], 3],
  [[0], 3],
  [[90], 3],
  [[45], 6],
  [[135], 6],
  [[0], 6],
  [[90], 6],
]

const patterns = new Map<string, CanvasPattern>()

/** The pattern of a hatch, drawn once for each palette. */
export function hatchPattern(
  context: CanvasRenderingContext2D,
  palette: Palette,
  { mark, number }: KeyHatch,
): CanvasPattern | string {
  const colour = markColour(palette, mark)
  const key = `${colour} ${mark} ${number}`
  const known = patterns.get(key)
  if (known) return known
  const pattern = context.createPattern(hatchTile(palette, { mark, number }), 'repeat')
  if (!pattern) return colour
  pattern.setTransform(new DOMMatrix().scale(0.5))
  patterns.set(key, pattern)
  return pattern
}

/** One tile of a hatch, twice as fine as it is shown. */
export function hatchTile(palette: Palette, { mark, number }: KeyHatch): HTMLCanvasElement {
  const canvas = document.createElement('canvas')
  canvas.width = canvas.height = tile * 2
  const pen = canvas.getContext('2d')
  if (!pen) return canvas
  pen.scale(2, 2)
  pen.strokeStyle = markColour(palette, mark)
  pen.lineWidth = 0.8
  pen.globalAlpha = 0.62
  const [angles, count] = linesOf(mark, number)
  for (const angle of angles) drawLines(pen, angle, count)
  return canvas
}

const linesOf = (mark: Mark, number: number): readonly [readonly number[], number] =>
  mark === 'notCarried' ? [[45, 135], 4] : (keyLines[number % keyLines.length] ?? [[45], 3])

/** Lines that meet their continuation in the next tile. */
function drawLines(pen: CanvasRenderingContext2D, angle: number, count: number): void {
  const step = tile / count
  pen.beginPath()
  for (let i = -count; i <= 2 * count; i++) {
    const at = i * step + step / 2
    const [from, to] = lineOf(angle, at)
    pen.moveTo(...from)
    pen.lineTo(...to)
  }
  pen.stroke()
}

function lineOf(angle: number, at: number): readonly [from: [number, number], to: [number, number]] {
  switch (angle) {
    case 0:
      return [
        [0, at],
        [tile, at],
      ]
    case 90:
      return [
        [at, 0],
        [at, tile],
      ]
    case 45:
      return [
        [at, tile],
        [at + tile, 0],
      ]
    default:
      return [
        [at, 0],
        [at + tile, tile],
      ]
  }
}
