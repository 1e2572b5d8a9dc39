import type { Point } from '@hedrion/core'
import { largestOfEach } from './said'
import type { Label } from './scene'
import { toScreen, type Viewport } from './viewport'

export interface Placed {
  readonly label: Label
  readonly x: number
  readonly y: number
  readonly extent: Extent
}

/** A box of the screen that a text takes, in pixels. */
export interface Extent {
  readonly x0: number
  readonly y0: number
  readonly x1: number
  readonly y1: number
}

export interface Placement {
  readonly placed: readonly Placed[]
  /** Those that belong into the view and found no room. */
  readonly leftOut: readonly Label[]
}

export interface PlacementOptions {
  readonly measure: (text: string, bold: boolean | undefined) => number
  /** Pixels of the text. */
  readonly size?: number
  /** What stands there already: names of grid lines, the scale. */
  readonly taken?: readonly Extent[]
  /** Expanded ids of what is picked: its labels come before all others. */
  readonly picked?: readonly string[]
}

/** Room over and under a line of text, in pixels. */
const leading = 2

/** A number that stands there already gives way to one that does not. */
const repeated = 12

/** Rounds about its place in which a label that must be there looks for room. */
const rounds = 14

/**
 * Places labels so that none lies on another: the important ones first, each at its place or a little beside it. One
 * that finds no room is left out. What must be there, the largest number of each unit, and what is picked come first,
 * and look for room further away.
 */
export function placeLabels(
  labels: readonly Label[],
  view: Viewport,
  { measure, size = 13, taken: standing = [], picked = [] }: PlacementOptions,
): Placement {
  const height = size + leading
  const taken: Extent[] = [...standing]
  const placed: Placed[] = []
  const leftOut: Label[] = []
  const equal = new Map<string, readonly Extent[]>()
  const once = saidOnce(labels.filter(({ at }) => isInView(toScreen(view, at), view)))
  const largest = largestOfEach(once)
  const isWanted = (label: Label) =>
    label.must === true || largest.has(label) || (label.of !== undefined && picked.includes(label.of))
  for (const label of inOrder(once, isWanted)) {
    const width = measure(label.text, label.bold)
    const [x, y] = toScreen(view, label.at)
    const extentAt = ([dx, dy]: readonly [number, number]): Extent =>
      extentOf(label, x + (label.dx ?? 0) + dx, y + (label.dy ?? 0) + dy, width, height)
    const offsets = [
      here,
      ...(label.stays ? [] : nearby(label, width, height, view.scale)),
      ...(isWanted(label) ? around(width, height) : []),
    ]
    const others = label.value !== undefined && !isWanted(label) ? (equal.get(label.text) ?? []) : []
    const free = offsets.find((offset) => {
      const own = extentAt(offset)
      return isFree(own, taken, view) && !others.some((other) => meets(widened(own, height), other))
    })
    if (!free) {
      leftOut.push(label)
      continue
    }
    const extent = extentAt(free)
    equal.set(label.text, [...(equal.get(label.text) ?? []), extent])
    taken.push(extent)
    placed.push({ label, x: x + (label.dx ?? 0) + free[0], y: y + (label.dy ?? 0) + free[1], extent })
  }
  return { placed, leftOut }
}

/** By priority; of equal numbers of one thing the first is enough. */
function saidOnce(labels: readonly Label[]): readonly Label[] {
  const known = new Set<string>()
  return [...labels]
    .sort((p, q) => q.priority - p.priority)
    .filter(({ of, text, value }) => {
      if (of === undefined || !value) return true
      const own = `${of} ${text}`
      if (known.has(own)) return false
      known.add(own)
      return true
    })
}

/** What must be there first, then by priority: a number that another has said already gives way to one that nobody has. */
function inOrder(labels: readonly Label[], isWanted: (label: Label) => boolean): readonly Label[] {
  const seen = new Set<string>()
  const ranked: { readonly label: Label; readonly rank: number }[] = []
  for (const label of labels) {
    const again = label.value !== undefined && seen.has(label.text)
    seen.add(label.text)
    ranked.push({ label, rank: (isWanted(label) ? 1000 : 0) + label.priority - (again ? repeated : 0) })
  }
  return ranked.sort((p, q) => q.rank - p.rank).map(({ label }) => label)
}

type Offset = readonly [dx: number, dy: number]

const here: Offset = [0, 0]

/** Where it may stand when its own place is taken. */
function nearby(label: Label, width: number, height: number, pixelsPerMetre: number): readonly Offset[] {
  if (label.slides) return alongMember(label.slides, width, pixelsPerMetre)
  return label.downwards ? below(height) : beside(width, height)
}

const beside = (width: number, height: number): readonly Offset[] => [
  [0, -height],
  [0, height],
  [width * 0.6, 0],
  [-width * 0.6, 0],
]

/** Along its member, while it stands within it. */
function alongMember(
  { way: [dx, dy], reach }: NonNullable<Label['slides']>,
  width: number,
  pixelsPerMetre: number,
): readonly Offset[] {
  const most = reach * pixelsPerMetre - width / 2
  return [0.6, -0.6, 1.2, -1.2]
    .map((part) => part * width)
    .filter((pixels) => Math.abs(pixels) <= most)
    .map((pixels) => [dx * pixels, dy * pixels])
}

const below = (height: number): readonly Offset[] => [1, 2, 3].map((lines) => [0, lines * height])

/** Places on growing rings. */
const around = (width: number, height: number): readonly Offset[] =>
  Array.from({ length: rounds }, (_, i) => i + 1).flatMap((round) =>
    [-round, round].flatMap((rows) =>
      Array.from({ length: 2 * round + 1 }, (_, k) => k - round).flatMap((columns): Offset[] => [
        [columns * width * 0.55, rows * height],
        [rows * width * 0.55, columns * height],
      ]),
    ),
  )

function extentOf({ align = 'center' }: Label, x: number, y: number, width: number, height: number): Extent {
  const left = align === 'left' ? x : align === 'right' ? x - width : x - width / 2
  return { x0: left - 2, x1: left + width + 2, y0: y - height / 2, y1: y + height / 2 }
}

/** A number needs room to an equal one: a crowd of equal numbers thins out. */
const widened = ({ x0, y0, x1, y1 }: Extent, height: number): Extent => ({
  x0: x0 - 0.4 * height,
  y0: y0 - 0.5 * height,
  x1: x1 + 0.4 * height,
  y1: y1 + 0.5 * height,
})

const isInView = ([x, y]: Point, { width, height }: Viewport): boolean => x >= 0 && y >= 0 && x <= width && y <= height

export const meets = (p: Extent, q: Extent): boolean => p.x0 < q.x1 && q.x0 < p.x1 && p.y0 < q.y1 && q.y0 < p.y1

const isFree = (extent: Extent, taken: readonly Extent[], { width, height: room }: Viewport): boolean =>
  extent.x0 >= 0 &&
  extent.x1 <= width &&
  extent.y0 >= 0 &&
  extent.y1 <= room &&
  !taken.some((other) => meets(extent, other))
