import {
  along,
  distance,
  meanOf,
  type BarrierView,
  type FloorView,
  type NumberFormat,
  type Point,
  type StairView,
} from '@hedrion/core'
import { barrierText, stairText } from './describe'
import { said } from './said'
import type { Label, Mark, Scene, Shape, Target } from './scene'

interface Options {
  readonly format: NumberFormat
  readonly mark: Mark
  readonly area: boolean
}

type Part = Pick<Scene, 'shapes' | 'labels' | 'targets'>

/** One line for about every going of a flight. */
const tread = 0.28

/** Flights of stairs with the arrow that points up, as the trade draws them, and what each end hands on. */
export function stairsPart({ stairs }: Pick<FloorView, 'stairs'>, { format, mark, area }: Options): Part {
  return {
    shapes: stairs.flatMap((stair) => flightShapes(stair, mark)),
    labels: area ? stairs.flatMap((stair) => endLabels(stair, format)) : [],
    targets: stairs.map((stair): Target => ({
      id: stair.expandedId,
      kind: 'stair',
      shape: { kind: 'area', region: [stair.outline] },
      text: stairText(stair, format),
    })),
  }
}

function flightShapes({ outline, foot, head, load, notCarriedWidth }: StairView, mark: Mark): readonly Shape[] {
  const [a = foot, b = foot, c = head, d = head] = outline
  const length = distance(foot, head)
  const treads = Math.min(60, Math.max(2, Math.round(length / tread)))
  const lost = notCarriedWidth > 1e-6
  const end = (from: Point, to: Point): Shape => ({
    kind: 'line',
    points: [from, to],
    stroke: {
      tone: lost ? 'warm' : load === 0 ? 'border' : mark === 'imposed' ? 'imposed' : 'permanent',
      width: load === 0 && !lost ? 1.4 : 4,
    },
  })
  return [
    { kind: 'area', region: [outline], ground: 'floor', stroke: { tone: 'quiet', width: 1 } },
    ...Array.from({ length: treads - 1 }, (_, i): Shape => {
      const t = (i + 1) / treads
      return { kind: 'line', points: [partWay(a, d, t), partWay(b, c, t)], stroke: { tone: 'border', width: 0.7 } }
    }),
    {
      kind: 'line',
      points: [partWay(foot, head, 0.08), partWay(foot, head, 0.92)],
      stroke: { tone: 'ink', width: 1.2 },
    },
    { kind: 'arrow', at: partWay(foot, head, 0.92), ...towards(foot, head), tone: 'ink', width: 1.2, tail: 'away' },
    end(a, b),
    end(d, c),
  ]
}

/** The point at a part of the way from one to the other. */
const partWay = (from: Point, to: Point, part: number): Point => along(from, to, part * distance(from, to))

/** A dozen pixels the way up. */
function towards([x0, y0]: Point, [x1, y1]: Point): { readonly dx: number; readonly dy: number } {
  const length = Math.hypot(x1 - x0, y1 - y0) || 1
  return { dx: (12 * (x1 - x0)) / length, dy: (12 * (y1 - y0)) / length }
}

/** Beside each end, away from the flight. */
function endLabels({ foot, head, load, expandedId }: StairView, format: NumberFormat): readonly Label[] {
  if (load === 0) return []
  const { dx, dy } = towards(foot, head)
  const text = said(load, 'lineLoad', format)
  return [
    { at: foot, side: -1 },
    { at: head, side: 1 },
  ].map(({ at, side }) => ({
    ...text,
    of: expandedId,
    at,
    priority: 57,
    bold: true,
    ...(Math.abs(dx) > Math.abs(dy)
      ? { dx: side * Math.sign(dx) * 9, align: side * dx > 0 ? ('left' as const) : ('right' as const) }
      : { dy: -side * Math.sign(dy) * 13 }),
  }))
}

/** Barriers as a line with strokes; arrows outwards where their case is looked at. */
export function barriersPart({ barriers }: Pick<FloorView, 'barriers'>, { format }: Options): Part {
  const stretchesOf = (id: string) => barriers.filter(({ expandedId }) => expandedId === id)
  return {
    shapes: barriers.flatMap(barrierShapes),
    labels: barriers.flatMap(({ a, b, outward, load, expandedId }): Label[] =>
      load === 0
        ? []
        : [
            {
              ...said(load, 'lineLoad', format),
              of: expandedId,
              at: meanOf([a, b]),
              priority: 58,
              bold: true,
              dx: 46 * outward[0],
              dy: -34 * outward[1],
            },
          ],
    ),
    targets: barriers.map((barrier): Target => ({
      id: barrier.expandedId,
      kind: 'barrier',
      shape: { kind: 'path', points: [barrier.a, barrier.b] },
      text: barrierText(stretchesOf(barrier.expandedId), format),
    })),
  }
}

function barrierShapes({ a, b, outward, load, value }: BarrierView): readonly Shape[] {
  const tone = value === null ? 'warm' : load === 0 ? 'quiet' : 'imposed'
  const count = Math.min(12, Math.max(1, Math.round(distance(a, b) / 2)))
  const arrows =
    load === 0
      ? []
      : Array.from({ length: count }, (_, i): Shape => {
          const at = partWay(a, b, (i + 0.5) / count)
          return { kind: 'arrow', at, dx: 20 * outward[0], dy: 20 * outward[1], tone, width: 1.6, tail: 'at' }
        })
  return [{ kind: 'line', points: [a, b], stroke: { tone, width: load === 0 ? 1.6 : 3, dash: [1, 3] } }, ...arrows]
}
