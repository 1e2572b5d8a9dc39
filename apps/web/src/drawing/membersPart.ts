import {
  along,
  atBends,
  legsOf,
  lengthAlong,
  middleAlong,
  type BeamView,
  type FloorView,
  type Leg,
  type NumberFormat,
  type Point,
  largest,
} from '@hedrion/core'
import { beamText, columnText } from './describe'
import { ordinateLabel, ordinateScaleOf, roomBetween, type OrdinateScale } from './ordinates'
import { part, type PlanOptions } from './planOptions'
import type { Label, Shape, Target } from './scene'

/** How tall the ordinates of a floor stand. */
export function scaleOfBeams(beams: readonly BeamView[], { format }: PlanOptions): OrdinateScale {
  const values = beams.flatMap(({ lines }) => lines.flatMap(([, , q0, q1]) => [q0, q1]))
  const loaded = beams.filter(({ lines }) => lines.length > 0)
  return ordinateScaleOf(
    values,
    roomBetween(loaded.flatMap(({ path }) => legsOf(path).map(({ a, b }) => [a, b] as const))),
    format,
  )
}

const widths: Partial<Record<BeamView['role'], number>> = {
  girder: 3,
  rafter: 3,
  truss: 3,
  wall: 7,
  joist: 1.4,
  purlin: 1.4,
}

/** Beams as lines by their role, those that cannot stand in the warm colour; broken where they take no load. */
export function beamsPart(beams: readonly BeamView[], { names, format }: PlanOptions) {
  return part({
    shapes: beams.map(({ path, role, stable, takesLoad }): Shape => ({
      kind: 'line',
      points: path,
      stroke: { tone: stable ? 'ink' : 'warm', width: widths[role] ?? 2, ...(takesLoad ? {} : { dash: [9, 4] }) },
    })),
    labels: names
      ? beams.map(({ path, label, expandedId }) => ({
          text: label,
          of: expandedId,
          at: middleAlong(path),
          priority: 10 + Math.min(9, lengthAlong(path)),
          dy: -9,
          tone: 'quiet' as const,
        }))
      : [],
    targets: beams.map((beam): Target => ({
      id: beam.expandedId,
      kind: 'beam',
      shape: { kind: 'path', points: beam.path },
      text: beamText(beam, format),
    })),
  })
}

/** What lands on members, as ordinates across them. */
export function ordinatesPart(
  beams: readonly BeamView[],
  { mark, format }: PlanOptions,
  { scale, top }: OrdinateScale,
) {
  const loaded = beams.flatMap(({ path, lines, expandedId }) =>
    lines.length === 0 ? [] : ordinatesByLeg(path, lines).map(([leg, own]) => ({ leg, lines: own, expandedId })),
  )
  return part({
    shapes: loaded.map(({ leg: { a, b }, lines }): Shape => ({ kind: 'ordinates', a, b, lines, scale, mark })),
    labels: loaded.flatMap(({ leg, lines, expandedId }) =>
      toldApart(lines.flatMap((line) => ordinateValues(line, lines, top)))
        .map((value) => labelOnLeg(leg, value, { scale, top }, format))
        .map((label) => ({ ...label, of: expandedId })),
    ),
  })
}

type Ordinates = BeamView['lines']

/** The line loads of each straight piece of a beam, counted from where it begins. */
function ordinatesByLeg(path: BeamView['path'], lines: Ordinates): readonly (readonly [Leg, Ordinates])[] {
  const legs = legsOf(path)
  const parts = lines.flatMap((line) => atBends(legs, line))
  return legs.map((leg) => [
    leg,
    parts.flatMap(({ leg: under, line: [s0, s1, q0, q1] }): Ordinates =>
      under === leg ? [[s0 - leg.from, s1 - leg.from, q0, q1]] : [],
    ),
  ])
}

/** A value of an ordinate that is worth saying, at s along its leg, for a stretch of such a length. */
interface Said {
  readonly s: number
  readonly q: number
  readonly length: number
}

/** One value in the middle of an even piece, else one at each end; a kink that two pieces share is said once, nought never. */
function ordinateValues(line: Ordinates[number], lines: Ordinates, top: number): readonly Said[] {
  const [s0, s1, q0, q1] = line
  /** Pieces that go on from there with the same value. */
  const goingOn = (s: number, q: number) =>
    lines.filter(
      (other) => other !== line && ends(other).some(([at, value]) => Math.abs(at - s) < 1e-6 && isSame(value, q)),
    )
  const said = (s: number, q: number): readonly Said[] => (Math.abs(q) < 0.01 * top ? [] : [{ s, q, length: s1 - s0 }])
  if (isEven(line)) return said((s0 + s1) / 2, q0)
  const after = goingOn(s1, q1)
  const start = goingOn(s0, q0).length > 0 ? [] : said(s0 + (s1 - s0) * 0.12, q0)
  // a level piece that goes on says the value at its middle
  if (after.some(isEven)) return start
  return [...start, ...said(after.length > 0 ? s1 : s0 + (s1 - s0) * 0.88, q1)]
}

/** Of an ordinate that is followed in many pieces: values that differ from a greater one beside them by too little are not said. */
function toldApart(values: readonly Said[]): readonly Said[] {
  const most = largest(values.map(({ q }) => Math.abs(q)))
  const reach = 0.4 * values.reduce((sum, { length }) => sum + length, 0)
  if (values.length <= manyPieces) return values
  const kept: Said[] = []
  for (const value of [...values].sort((p, q) => Math.abs(q.q) - Math.abs(p.q)))
    if (!kept.some(({ s, q }) => Math.abs(s - value.s) < reach && Math.abs(q - value.q) < 0.25 * most)) kept.push(value)
  return kept
}

/** Triangles and trapezoids of two panels have fewer. */
const manyPieces = 6

function labelOnLeg(
  { a, b }: Leg,
  { s, q, length }: Said,
  { scale, top }: Pick<OrdinateScale, 'scale' | 'top'>,
  format: NumberFormat,
): Label {
  return {
    ...ordinateLabel(q, along(a, b, s), [a, b], scale, format),
    priority: 20 + (30 * Math.abs(q)) / top + length,
  }
}

const isSame = (p: number, q: number): boolean => Math.abs(p - q) < 0.005 * Math.max(Math.abs(p), Math.abs(q))
const isEven = ([, , q0, q1]: Ordinates[number]): boolean => isSame(q0, q1)
const ends = ([s0, s1, q0, q1]: Ordinates[number]) =>
  [
    [s0, q0],
    [s1, q1],
  ] as const

/** Columns as squares. */
export function columnsPart({ columns }: FloorView, { names, format }: PlanOptions) {
  return part({
    // one that goes on from above is lighter
    shapes: columns.flatMap(({ at, far, passing, hangs }): readonly Shape[] => [
      ...(far ? [rakingLine(at, far), farMark(far)] : []),
      {
        kind: 'dot',
        at,
        size: passing ? 9 : 11,
        tone: passing ? 'quiet' : 'ink',
        ...(hangs ? { hollow: true } : {}),
      },
    ]),
    labels: names
      ? columns.map(({ at, label, expandedId }) => ({
          text: label,
          of: expandedId,
          at,
          priority: 28,
          dx: 17,
          dy: 12,
          tone: 'quiet' as const,
        }))
      : [],
    targets: columns.map((column): Target => ({
      id: column.expandedId,
      kind: 'column',
      shape: { kind: 'point', at: column.at },
      text: columnText(column, format),
    })),
  })
}

/** From its own level to where its other end is, under it or over it. */
const rakingLine = (at: Point, far: Point): Shape => ({
  kind: 'line',
  points: [at, far],
  stroke: { tone: 'ink', width: 1.2, dash: [2, 3] },
})

/** Where its other end is: nothing of this level. */
const farMark = (at: Point): Shape => ({ kind: 'dot', at, size: 7, tone: 'quiet', round: true })
