import { largest, type Box, type Point } from '@hedrion/core'
import { meets, type Extent } from './labels'
import type { GridMark, Scene } from './scene'
import { toScreen, type Viewport } from './viewport'

/** A grid line as it is drawn, in pixels: strokes, and its label where it has room. */
export interface DrawnGridLine {
  readonly id: string
  readonly axis: GridMark['axis']
  readonly label: string
  /** Null where it is out of view or where others stand too near. */
  readonly at: Point | null
  readonly stroke:
    | { readonly kind: 'line'; readonly from: Point; readonly to: Point }
    | { readonly kind: 'ring'; readonly centre: Point; readonly radius: number }
  /** It runs beside what is on the level: fainter. */
  readonly outside: boolean
}

export const gridTextSize = 14

/** Half of the box that a label of a grid line takes. */
const half = 8

/** Lines that are too near to be told apart by their labels take turns: every second label stands further out. */
const turn = 15

/** Where labels of lines across the grid stand, in pixels: x of those at the left, y of those at the top. */
export function gridLabelPlaces(box: Box, view: Viewport): { readonly x: number; readonly y: number } {
  const [left] = toScreen(view, [box.x0, box.y0])
  const [, top] = toScreen(view, [box.x1, box.y1])
  return { x: Math.max(left - 40, 16), y: Math.max(top - 34, 14) }
}

/**
 * Grid lines run a little beyond the drawing, with their labels at the top and at the left, skew ones and rings at their
 * end. Those beside the drawing are there as far as the view reaches.
 */
export function drawnGrid(
  { grid, box }: Pick<Scene, 'grid' | 'box'>,
  view: Viewport,
  measure: (text: string) => number,
): readonly DrawnGridLine[] {
  const places = gridLabelPlaces(box, view)
  const ends = endsOfGrid(grid, box, view)
  const taken: Extent[] = []
  const room: Extent = { x0: 0, y0: 0, x1: view.width, y1: view.height }
  return grid.flatMap((mark): readonly DrawnGridLine[] => {
    const line = lineOf(mark, box, view, places, ends)
    if (!line) return []
    const width = measure(mark.label)
    const turns = [0, turn].map((out): Point => [
      line.at[0] - (mark.axis === 'y' ? out : 0),
      line.at[1] - (mark.axis === 'x' ? out : 0),
    ])
    const at = turns.find((place) => {
      const own = gridLabelExtent(place, width)
      return within(own, room) && !taken.some((other) => meets(own, other))
    })
    if (at) taken.push(gridLabelExtent(at, width))
    return [{ ...line, at: at ?? null }]
  })
}

/** Where lines across the grid end, in pixels: those that run up the sheet below, those that run across it at the right. */
function endsOfGrid(grid: readonly GridMark[], box: Box, view: Viewport): Point {
  const [right, bottom] = toScreen(view, [box.x1, box.y0])
  const onScreen = (axis: 'x' | 'y') =>
    grid.filter((mark) => mark.axis === axis).map(({ at }) => toScreen(view, [at, at])[axis === 'x' ? 0 : 1])
  return [
    Math.max(right, Math.min(view.width, largest(onScreen('x')))) + 8,
    Math.max(bottom, Math.min(view.height, largest(onScreen('y')))) + 8,
  ]
}

type Line = Omit<DrawnGridLine, 'at'> & { readonly at: Point }

function lineOf(
  { id, axis, label, at, path: [a, b] }: GridMark,
  box: Box,
  view: Viewport,
  places: { readonly x: number; readonly y: number },
  [right, bottom]: Point,
): Line | null {
  const [x, y] = toScreen(view, [at, at])
  if (axis === 'x')
    return {
      id,
      axis,
      label,
      at: [x, places.y],
      stroke: { kind: 'line', from: [x, places.y + 11], to: [x, bottom] },
      outside: at < box.x0 - slack || at > box.x1 + slack,
    }
  if (axis === 'y')
    return {
      id,
      axis,
      label,
      at: [places.x, y],
      stroke: { kind: 'line', from: [places.x + 12, y], to: [right, y] },
      outside: at < box.y0 - slack || at > box.y1 + slack,
    }
  if (!a) return null
  const [x0, y0] = toScreen(view, a)
  if (axis === 'ring') {
    const radius = at * view.scale
    // beside its lowest point
    const place: Point = [x0 + 9, y0 + radius + 11]
    return { id, axis, label, at: place, stroke: { kind: 'ring', centre: [x0, y0], radius }, outside: false }
  }
  if (!b) return null
  const [x1, y1] = toScreen(view, b)
  const length = Math.hypot(x1 - x0, y1 - y0) || 1
  const [ux, uy] = [(x1 - x0) / length, (y1 - y0) / length]
  const beyond = (pixels: number): Point => [x1 + pixels * ux, y1 + pixels * uy]
  return {
    id,
    axis,
    label,
    at: beyond(28),
    stroke: { kind: 'line', from: [x0 - 8 * ux, y0 - 8 * uy], to: beyond(18) },
    outside: false,
  }
}

/** A line this near the drawing belongs to it, metres. */
const slack = 0.01

export const gridLabelExtent = ([x, y]: Point, width: number): Extent => ({
  x0: x - width / 2 - 2,
  x1: x + width / 2 + 2,
  y0: y - half,
  y1: y + half,
})

const within = (own: Extent, room: Extent): boolean =>
  own.x0 >= room.x0 && own.y0 >= room.y0 && own.x1 <= room.x1 && own.y1 <= room.y1
