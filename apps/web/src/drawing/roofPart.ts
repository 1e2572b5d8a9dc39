import { formatQuantity, meanOf, type FloorView, type NumberFormat, type Point, type SlopeView } from '@hedrion/core'
import { slopeText, strutText } from './describe'
import { closedPath } from './planOptions'
import { composed } from './said'
import type { Label, Scene, Shape, Target } from './scene'

interface RoofOptions {
  readonly format: NumberFormat
  /** Names and pitches, where the building is drawn. */
  readonly names: boolean
}

type Part = Pick<Scene, 'shapes' | 'labels' | 'targets'>

/** The planes of a roof: their borders, and an arrow down the fall with the pitch. */
export function slopesPart({ slopes }: FloorView, { format, names }: RoofOptions): Part {
  return {
    shapes: slopes.flatMap((slope): Shape[] => [
      {
        kind: 'line',
        points: slope.outline,
        closed: true,
        stroke: { tone: 'accent', width: 1.2, dash: [9, 3, 2, 3] },
      },
      ...(names && slope.pitch > 0 ? [fallArrow(slope)] : []),
    ]),
    labels: names ? slopes.map((slope) => pitchLabel(slope, format)) : [],
    // a click inside means the panel; the border, or the list, picks the slope
    targets: slopes.map((slope): Target => ({
      id: slope.expandedId,
      kind: 'slope',
      shape: { kind: 'path', points: closedPath(slope.outline) },
      text: slopeText(slope, format),
    })),
  }
}

/** Beside the middle, where a member may run along the fall. */
const arrowAt = (outline: readonly Point[]): Point => {
  const [x, y] = meanOf(outline)
  const [[ax, ay] = [0, 0], [bx, by] = [0, 0]] = outline
  return [x - 0.29 * (bx - ax), y - 0.29 * (by - ay)]
}

const fallArrow = ({ outline, uphill }: SlopeView): Shape => ({
  kind: 'arrow',
  at: arrowAt(outline),
  dx: -34 * Math.cos(uphill),
  dy: -34 * Math.sin(uphill),
  tone: 'accent',
  width: 1.6,
  tail: 'middle',
})

const pitchLabel = ({ expandedId, outline, label, pitch, low, high }: SlopeView, format: NumberFormat): Label => {
  const height = (value: number) => `${value > 0 ? '+' : ''}${formatQuantity(value, 'length', format)}`
  return {
    ...composed(`${label} · ${formatQuantity(pitch, 'angle', format)} · ${height(low)} to ${height(high)}`),
    of: expandedId,
    at: meanOf(outline),
    dx: 12,
    align: 'left',
    tone: 'accent',
    priority: 45,
  }
}

/** Members in space, as the plan sees them. */
export function strutsPart({ struts }: FloorView, { format, names }: RoofOptions): Part {
  return {
    shapes: struts.map(({ a, b, notCarried }): Shape => ({
      kind: 'line',
      points: [a, b],
      stroke: { tone: notCarried > 0 ? 'warm' : 'quiet', width: 1.6, dash: [8, 3] },
    })),
    labels: names
      ? struts.map(({ a, b, label, expandedId }) => ({
          text: label,
          of: expandedId,
          at: meanOf([a, b]),
          priority: 8,
          dy: 10,
          tone: 'quiet' as const,
        }))
      : [],
    targets: struts.map((strut): Target => ({
      id: strut.expandedId,
      kind: 'strut',
      shape: { kind: 'path', points: [strut.a, strut.b] },
      text: strutText(strut, format),
    })),
  }
}
