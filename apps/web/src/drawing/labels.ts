import type { Label } from './scene'
import { toScreen, type Viewport } from './viewport'

export interface Placed {
  readonly label: Label
  readonly x: number
  readonly y: number
}

interface Extent {
  readonly x0: number
  readonly y0: number
  readonly x1: number
  readonly y1: number
}

/** Room over and under a line of text, in pixels. */
const leading = 2

/**
 * Places labels so that none lies on another: the important ones first, each at its place or a little beside it. One
 * that finds no room is left out, unless it must be there.
 */
export function placeLabels(
  labels: readonly Label[],
  view: Viewport,
  measure: (text: string, bold: boolean | undefined) => number,
  size = 13,
): readonly Placed[] {
  const height = size + leading
  const taken: Extent[] = []
  const placed: Placed[] = []
  for (const label of [...labels].sort((p, q) => q.priority - p.priority)) {
    const width = measure(label.text, label.bold)
    const [x, y] = toScreen(view, label.at)
    const beside = [
      [0, -height],
      [0, height],
      [width * 0.6, 0],
      [-width * 0.6, 0],
    ]
    const below = [1, 2, 3].map((lines) => [0, lines * height])
    const tries = [[0, 0], ...(label.downwards ? below : beside)].map(
      ([dx = 0, dy = 0]) => [x + (label.dx ?? 0) + dx, y + (label.dy ?? 0) + dy] as const,
    )
    const free = (label.stays ? tries.slice(0, 1) : tries).find(([tx, ty]) =>
      isFree(extentOf(label, tx, ty, width, height), taken, view),
    )
    const at = free ?? (label.must ? tries[0] : undefined)
    if (!at) continue
    taken.push(extentOf(label, at[0], at[1], width, height))
    placed.push({ label, x: at[0], y: at[1] })
  }
  return placed
}

function extentOf({ align = 'center' }: Label, x: number, y: number, width: number, height: number): Extent {
  const left = align === 'left' ? x : align === 'right' ? x - width : x - width / 2
  return { x0: left - 2, x1: left + width + 2, y0: y - height / 2, y1: y + height / 2 }
}

const isFree = (extent: Extent, taken: readonly Extent[], { width, height: room }: Viewport): boolean =>
  extent.x0 >= 0 &&
  extent.x1 <= width &&
  extent.y0 >= 0 &&
  extent.y1 <= room &&
  !taken.some((other) => extent.x0 < other.x1 && other.x0 < extent.x1 && extent.y0 < other.y1 && other.y0 < extent.y1)
