import {
  along,
  distance,
  formatQuantity,
  formatValue,
  type ElevationLoad,
  type ElevationView,
  type NumberFormat,
  type Point,
  type Ring,
  largest,
  smallest,
} from '@hedrion/core'
import { roleText, strutNames } from './describe'
import { ordinateLabel, ordinateScaleOf, roomBetween, type OrdinateScale } from './ordinates'
import { composed, said } from './said'
import {
  emptyBox,
  type GridMark,
  type Label,
  type Mark,
  type Scene,
  type Shape,
  type Stroke,
  type Target,
} from './scene'

interface ElevationOptions {
  readonly format: NumberFormat
  readonly mark: Mark
  /** Forces in columns and reactions of the case. */
  readonly forces: boolean
  /** Of these, those that run along the sight are named over the building. */
  readonly grid?: readonly GridMark[]
}

const longest = 96

/** The building seen along an axis: columns, levels, ground, supports, and the forces of a case. */
export function elevationScene(view: ElevationView | undefined, options: ElevationOptions): Scene {
  if (!view || view.levels.length === 0)
    return { box: emptyBox, shapes: [], labels: [], targets: [], grid: [], north: false }
  const drawn = view.lines.flatMap(({ points }) => points)
  const us = [...view.columns.map(({ u }) => u), ...drawn.map(([u]) => u)]
  const zs = [...view.levels.map(({ z }) => z), ...drawn.map(([, z]) => z)]
  const [u0, u1] = us.length > 0 ? [smallest(us), largest(us)] : [0, 20]
  const [z0, z1] = [smallest(zs), largest(zs) + view.parapet]
  const loads = loadsPart(view, options)
  const parts = [
    levelsPart(view, u0, u1, options),
    linesPart(view, z1, options),
    loads.part,
    framePart(view),
    forcesPart(view, u0, u1, options),
  ]
  return {
    box: { x0: u0 - 1, x1: u1 + 1, y0: z0, y1: z1 + 1 },
    shapes: parts.flatMap(({ shapes }) => shapes),
    labels: parts.flatMap(({ labels }) => labels),
    targets: parts.flatMap(({ targets }) => targets),
    grid: [],
    north: false,
    pushed: view.forces.length > 0,
    ...(loads.scale.said ? { ordinateScale: loads.scale.said } : {}),
  }
}

type Part = Pick<Scene, 'shapes' | 'labels' | 'targets'>

function levelsPart(
  { levels, forces, ground }: ElevationView,
  u0: number,
  u1: number,
  { format }: ElevationOptions,
): Part {
  const reach = (u1 - u0) * 0.04 + 0.4
  // the names stand on the leeward side, where no arrow comes from
  const fromRight = forces.some(({ along }) => along < 0)
  const side = fromRight ? u0 - reach : u1 + reach
  return {
    shapes: [
      ...levels.map(({ z, carrying }): Shape => ({
        kind: 'line',
        points: [
          [u0 - reach, z],
          [u1 + reach, z],
        ],
        stroke: { tone: 'hairline', width: 1, ...(carrying ? {} : { dash: [4, 4] }) },
      })),
      // as far as the columns on the side of the names
      {
        kind: 'ground',
        from: [fromRight ? u0 : u0 - 3 * reach, ground],
        to: [fromRight ? u1 + 3 * reach : u1, ground],
      },
    ],
    labels: levels.map(({ z, name, carrying }): Label => ({
      ...composed(`${name}  ${z > 0 ? '+' : ''}${formatQuantity(z, 'length', format)}`),
      at: [side, z],
      dx: fromRight ? -6 : 6,
      align: fromRight ? 'right' : 'left',
      tone: 'quiet',
      priority: carrying ? 61 : 60,
      stays: true,
    })),
    targets: levels.map(({ id, name, z }): Target => ({
      id,
      kind: 'level',
      shape: {
        kind: 'path',
        points: [
          [u0 - reach, z],
          [u1 + reach, z],
        ],
      },
      text: `Level ${name}, ${formatQuantity(z, 'length', format)}`,
    })),
  }
}

/** Names of grid lines as the plan has them, each over a short stroke. */
const linesPart = ({ axis }: ElevationView, top: number, { grid = [] }: ElevationOptions): Part => ({
  shapes: grid
    .filter((line) => line.axis === axis)
    .map(({ at }): Shape => ({
      kind: 'line',
      points: [
        [at, top + 0.3],
        [at, top + 1],
      ],
      stroke: { tone: 'hairline', width: 1 },
    })),
  labels: grid
    .filter((line) => line.axis === axis)
    .map(({ at, label }): Label => ({
      text: label,
      at: [at, top + 1],
      dy: -10,
      tone: 'quiet',
      priority: 55,
      stays: true,
    })),
  targets: [],
})

const heavy: Stroke = { tone: 'ink', width: 2.4 }
const strokes: Partial<Record<ElevationView['lines'][number]['role'], Stroke>> = {
  purlin: { tone: 'ink', width: 1 },
  joist: { tone: 'ink', width: 1 },
  truss: { tone: 'ink', width: 1.4 },
  brace: { tone: 'quiet', width: 1.2, dash: [7, 3] },
  girt: { tone: 'quiet', width: 1.2, dash: [7, 3] },
  tie: { tone: 'quiet', width: 1.2, dash: [7, 3] },
  web: { tone: 'ink', width: 1.2 },
}

/** From its lower end to its upper: that of a column is at its own level, that of a hanger at its other end. */
const axisOf = ({
  u,
  far,
  z0,
  z1,
  hangs,
}: Pick<ElevationView['columns'][number], 'u' | 'far' | 'z0' | 'z1' | 'hangs'>) =>
  hangs
    ? ([
        [u, z0],
        [far, z1],
      ] as const)
    : ([
        [far, z0],
        [u, z1],
      ] as const)

/** A column as a line, a stretch of wall by its face. */
function standingShape({ u, far, from, to, z0, z1, hangs }: ElevationView['columns'][number]): Shape {
  if (to - from > 0.01) {
    const face: Ring = [
      [from, z0],
      [to, z0],
      [to, z1],
      [from, z1],
    ]
    return { kind: 'area', region: [face], ground: 'film', stroke: { tone: 'quiet', width: 1 } }
  }
  return {
    kind: 'line',
    points: axisOf({ u, far, z0, z1, hangs }),
    stroke: { tone: 'ink', width: hangs ? 1.2 : 2.4 },
  }
}

function framePart({ columns, lines }: ElevationView): Part {
  return {
    shapes: [
      ...lines.map(({ points, role }): Shape => ({ kind: 'line', points, stroke: strokes[role] ?? heavy })),
      ...columns.map(standingShape),
    ],
    labels: [],
    targets: [
      ...lines.map(({ expandedId, label, role, points }): Target => ({
        id: expandedId,
        kind: role in strutNames ? 'strut' : 'beam',
        shape: { kind: 'path', points },
        text: `${roleText(role)} ${label}`,
      })),
      ...columns.map((column): Target => ({
        id: column.expandedId,
        kind: 'column',
        shape: { kind: 'path', points: axisOf(column) },
        text: `${column.hangs ? 'Hanger' : 'Column'} ${column.label}`,
      })),
    ],
  }
}

/** What lands on members in the case: ordinates of line loads, arrows of forces, of those behind one another the largest. */
function loadsPart(
  { loads, levels }: ElevationView,
  { format, mark }: ElevationOptions,
): { readonly part: Part; readonly scale: OrdinateScale } {
  const lines = loads.filter(({ kind }) => kind === 'line')
  const all = loads.filter(({ kind }) => kind === 'point')
  const most = largest(all.map(({ q0 }) => Math.abs(q0)))
  // what would be said as nought says nothing
  const forces = all.filter(({ q0 }) => Math.abs(q0) > 0.002 * most)
  const heights = levels.map(({ z }): readonly [Point, Point] => [
    [0, z],
    [1, z],
  ])
  const scale = ordinateScaleOf(
    lines.flatMap(({ q0, q1 }) => [q0, q1]),
    roomBetween(heights),
    format,
  )
  const part: Part = {
    shapes: [
      ...lines.map(({ from, to, q0, q1 }): Shape => ({
        kind: 'ordinates',
        a: from,
        b: to,
        lines: [[0, distance(from, to), q0, q1]],
        scale: scale.scale,
        mark,
      })),
      ...forces.map(({ from, q0 }): Shape => ({
        kind: 'arrow',
        at: from,
        dx: 0,
        dy: -Math.sign(q0) * (12 + (14 * Math.abs(q0)) / most),
        tone: mark === 'imposed' ? 'imposed' : 'permanent',
        width: 1.6,
        tail: 'away',
      })),
    ],
    labels: [
      ...lines.map((load) => lineLabel(load, scale, format)),
      ...forces.map(({ from, q0, count }): Label => ({
        ...said(q0, 'force', format, (number) => (count > 1 ? `${number}, sum of ${count}` : number)),
        at: from,
        dx: 6,
        dy: -20,
        align: 'left',
        priority: 40 + (10 * Math.abs(q0)) / most,
      })),
    ],
    targets: [],
  }
  return { part, scale }
}

/** The larger end of a line load, and the least of those behind it where they differ. */
function lineLabel(
  { from, to, q0, q1, least }: ElevationLoad,
  { scale, top }: OrdinateScale,
  format: NumberFormat,
): Label {
  const isFirst = Math.abs(q0) > Math.abs(q1)
  const isEven = Math.abs(q0 - q1) < 0.005 * Math.max(Math.abs(q0), Math.abs(q1))
  const q = isFirst ? q0 : q1
  const at = along(from, to, distance(from, to) * (isEven ? 0.5 : isFirst ? 0.12 : 0.88))
  const lowest = formatValue(least, 'lineLoad', format)
  return {
    ...ordinateLabel(q, at, [from, to], scale, format, (number) =>
      lowest === formatValue(q, 'lineLoad', format) ? number : `${lowest} to ${number}`,
    ),
    priority: 30 + (20 * Math.abs(q)) / (top || 1),
  }
}

function forcesPart(view: ElevationView, u0: number, u1: number, options: ElevationOptions): Part {
  const base = smallest(view.levels.map(({ z }) => z))
  const supports = view.reactions.map(({ u }): Shape => ({ kind: 'support', at: [u, base] }))
  if (!options.forces) return { shapes: supports, labels: [], targets: [] }
  const [side0, side1] = sidesInWind(view) ?? [u0, u1]
  const wind = windArrows(view, side0, side1, options)
  const reactions = view.forces.length === 0 ? reactionLabels(view, base, options) : []
  return { shapes: [...supports, ...wind.shapes], labels: [...wind.labels, ...reactions], targets: [] }
}

/** The sides of the body in the wind, which may be less than all that stands there. */
const sidesInWind = ({ axis, extent }: ElevationView): readonly [number, number] | null =>
  extent && (axis === 'x' ? [extent.x0, extent.x1] : [extent.y0, extent.y1])

/** Storey forces push from the windward side; those along the sight are drawn as the tip or the tail of an arrow. */
function windArrows(
  { forces }: ElevationView,
  u0: number,
  u1: number,
  { format }: ElevationOptions,
): Pick<Part, 'shapes' | 'labels'> {
  const top = Math.max(0, largest(forces.map(({ along, across }) => Math.max(Math.abs(along), Math.abs(across)))))
  if (top === 0) return { shapes: [], labels: [] }
  const shapes: Shape[] = []
  const labels: Label[] = []
  for (const { z, along, across } of forces) {
    const size = Math.abs(along) + Math.abs(across)
    if (Math.abs(along) > Math.abs(across)) {
      const at: Point = [along > 0 ? u0 : u1, z]
      const dx = Math.sign(along) * (14 + (longest * Math.abs(along)) / top)
      shapes.push({ kind: 'arrow', at, dx, dy: 0, tone: 'wind', width: 2.6, tail: 'away' })
      labels.push({
        ...said(size, 'force', format),
        at,
        dx: -dx - Math.sign(along) * 8,
        dy: -11,
        align: along > 0 ? 'left' : 'right',
        bold: true,
        priority: 80,
        must: true,
      })
    } else {
      const at: Point = [(u0 + u1) / 2, z]
      shapes.push({ kind: 'dot', at, size: 13, tone: 'wind', round: true })
      labels.push({
        ...said(size, 'force', format, (number) => `${number} ${across > 0 ? 'away from you' : 'towards you'}`),
        at,
        dx: 14,
        dy: -11,
        align: 'left',
        bold: true,
        priority: 80,
        must: true,
      })
    }
  }
  return { shapes, labels }
}

function reactionLabels({ reactions }: ElevationView, base: number, { format }: ElevationOptions): readonly Label[] {
  return reactions.map(({ u, force, count }): Label => ({
    ...said(Math.abs(force), 'force', format, (number) => `${number}${force < 0 ? ' down' : ''}`),
    at: [u, base],
    dy: 28,
    bold: true,
    downwards: true,
    priority: 70 + (count > 1 ? 1 : 0),
  }))
}
