import type { Landing } from '../building/frame'
import { present, entry } from '../outcome/assert'
import { pointReactions } from './beamStatics'
import { takenOf, type LayoutOperator, type SharedOut, type SparseRows } from './operator'

/** Results of one floor. Every block is row by row with `columns` values: the cases, then the floor area. */
export interface FloorRundown {
  readonly columns: number
  /** One row per beam support. */
  readonly reactions: Float64Array
  /** One row per beam: all that lands on it. */
  readonly beamTotals: Float64Array
  /** One row per beam: the moment of what lands on it about its axis, positive where its left side goes down; it goes to no other member. */
  readonly beamTurns: Float64Array
  /** One row per column: force at its top and at its foot, positive in compression. */
  readonly tops: Float64Array
  readonly feet: Float64Array
  readonly applied: Float64Array
  readonly onMembers: Float64Array
  readonly notCarried: Float64Array
}

/** Feet of columns, row by row, that stand on something else. */
export interface Feet {
  readonly columns: number
  readonly feetAbove: Float64Array
  /** Columns of the blocks that do not go on where a column stands on a beam. */
  readonly ending: readonly number[]
}

/** What a floor gets: intensities (source × column), the weight of each column length, and feet from above. */
export interface FloorInput extends Feet {
  readonly intensities: Float64Array
  readonly columnWeights: Float64Array
  readonly landings: readonly Landing[]
  readonly onSlab: FeetOnSlab | null
}

/** Feet from above that stand on the slab, which hands them to the frame as it shares a line there. */
export interface FeetOnSlab {
  /** Rows of the feet above. */
  readonly rows: readonly number[]
  /** How the slab shares one unit of force of each, in their order. */
  readonly shared: SharedOut
}

/** One floor for all cases at once, in arrays of its own. */
export const floorRundown = (operator: LayoutOperator, input: FloorInput): FloorRundown =>
  rundownInto(emptyRundown(operator, input.columns), operator, input)

/** Blocks of a floor that are all zero. */
export function emptyRundown(operator: LayoutOperator, columns: number): FloorRundown {
  const { frame } = operator.plan
  return {
    columns,
    reactions: new Float64Array(operator.supportCount * columns),
    beamTotals: new Float64Array(frame.beams.length * columns),
    beamTurns: new Float64Array(frame.beams.length * columns),
    tops: new Float64Array(frame.columns.length * columns),
    feet: new Float64Array(frame.columns.length * columns),
    applied: new Float64Array(columns),
    onMembers: new Float64Array(columns),
    notCarried: new Float64Array(columns),
  }
}

/**
 * One floor for all cases at once into blocks that are all zero: intensities through the operator, then beam by beam in the order of
 * support, then into columns. The own weight of a column acts at the foot of its length.
 */
export function rundownInto(out: FloorRundown, operator: LayoutOperator, input: FloorInput): FloorRundown {
  const { frame } = operator.plan
  const stuck = new Set(frame.loop)
  takeWhatComes(operator, stuck, input, out)
  for (const index of frame.order) handOn(operator, stuck, index, out)
  frame.columns.forEach((_, row) => weighColumn(input.columnWeights, row, out))
  return out
}

/** The sources of a floor, and the feet of columns over it. */
export function takeWhatComes(
  operator: LayoutOperator,
  stuck: ReadonlySet<number>,
  input: FloorInput,
  out: FloorRundown,
): void {
  applySources(operator, input.intensities, out)
  for (const landing of input.landings) land(operator, stuck, landing, input, out)
  input.onSlab?.rows.forEach((_, k) => input.onSlab && standOnSlab(input.onSlab, k, input, out))
}

/** Puts some columns of one rundown of a floor in place of those of another. */
export function takeColumns(into: FloorRundown, from: FloorRundown, wanted: readonly number[]): void {
  const { columns } = into
  for (const block of [
    'reactions',
    'beamTotals',
    'beamTurns',
    'tops',
    'feet',
    'applied',
    'onMembers',
    'notCarried',
  ] as const)
    for (let row = 0; row < into[block].length; row += columns)
      for (const column of wanted) into[block][row + column] = entry(from[block], row + column)
}

const addRow = (
  target: Float64Array,
  row: number,
  source: Float64Array,
  from: number,
  factor: number,
  columns: number,
): void => {
  // most sources lose nothing
  if (factor === 0) return
  const [to, start] = [row * columns, from * columns]
  for (let c = 0; c < columns; c++) target[to + c] = entry(target, to + c) + factor * entry(source, start + c)
}

function applySources(operator: LayoutOperator, intensities: Float64Array, out: FloorRundown): void {
  const { columns } = out
  for (let i = 0; i < operator.applied.length; i++) {
    applyRow(operator.toSupports, i, intensities, out.reactions, columns)
    applyRow(operator.toBeams, i, intensities, out.beamTotals, columns)
    applyRow(operator.toColumns, i, intensities, out.tops, columns)
    applyRow(operator.toTurns, i, intensities, out.beamTurns, columns)
    addRow(out.onMembers, 0, intensities, i, takenOf(operator, i), columns)
    addRow(out.applied, 0, intensities, i, entry(operator.applied, i), columns)
    addRow(out.notCarried, 0, intensities, i, entry(operator.notCarried, i), columns)
  }
}

/** What a sparse row hands of a row of the source, that of the same number if no other is given. */
function applyRow(
  rows: SparseRows,
  i: number,
  source: Float64Array,
  target: Float64Array,
  columns: number,
  from = i,
): void {
  const { start, index, value } = rows
  for (let e = entry(start, i); e < entry(start, i + 1); e++)
    addRow(target, entry(index, e), source, from, entry(value, e), columns)
}

/** The foot of a column: on a column it passes on, on a beam it is a point load. */
export function land(
  operator: LayoutOperator,
  stuck: ReadonlySet<number>,
  { row, on, index, s, part }: Landing,
  { feetAbove, ending, columns }: Feet,
  out: FloorRundown,
): void {
  if (on === 'column') {
    addRow(out.tops, index, feetAbove, row, part, columns)
    return
  }
  const foot = feetAbove.slice(row * columns, (row + 1) * columns).map((force) => force * part)
  for (const column of ending) foot[column] = 0
  pointOnBeam(operator, stuck, index, s, foot, 0, out)
}

/** One of the feet that stand on the slab, by its shares; like those on beams it leaves what ends there. */
export function standOnSlab(
  { rows, shared }: FeetOnSlab,
  k: number,
  { feetAbove, ending, columns }: Feet,
  out: FloorRundown,
): void {
  const row = entry(rows, k)
  const foot = feetAbove.slice(row * columns, (row + 1) * columns)
  for (const column of ending) foot[column] = 0
  applyRow(shared.toSupports, k, foot, out.reactions, columns, 0)
  applyRow(shared.toBeams, k, foot, out.beamTotals, columns, 0)
  applyRow(shared.toColumns, k, foot, out.tops, columns, 0)
  applyRow(shared.toTurns, k, foot, out.beamTurns, columns, 0)
  addRow(out.notCarried, 0, foot, 0, entry(shared.notCarried, k), columns)
}

/** A beam gives each reaction to what is under it; on a beam this is a point load for that beam's own supports. */
export function handOn(operator: LayoutOperator, stuck: ReadonlySet<number>, index: number, out: FloorRundown): void {
  const beam = present(operator.plan.frame.beams[index], `beam ${index}`)
  if (!beam.stable) return
  beam.supports.forEach(({ on, index: under, at }, k) => {
    const row = entry(operator.firstSupport, index) + k
    if (on === 'column') addRow(out.tops, under, out.reactions, row, 1, out.columns)
    else pointOnBeam(operator, stuck, under, at, out.reactions, row, out)
  })
}

/** A row of forces as a point load at s; a beam that cannot hand it on leaves it not carried. */
function pointOnBeam(
  operator: LayoutOperator,
  stuck: ReadonlySet<number>,
  index: number,
  s: number,
  source: Float64Array,
  row: number,
  out: FloorRundown,
): void {
  const beam = present(operator.plan.frame.beams[index], `beam ${index}`)
  addRow(out.beamTotals, index, source, row, 1, out.columns)
  if (!beam.stable || stuck.has(index)) {
    addRow(out.notCarried, 0, source, row, 1, out.columns)
    return
  }
  const first = entry(operator.firstSupport, index)
  pointReactions(beam, s, 1).forEach((factor, k) => addRow(out.reactions, first + k, source, row, factor, out.columns))
}

/** Own weight comes to what a column, or hanger, bears. */
export function weighColumn(weights: Float64Array, row: number, out: FloorRundown): void {
  const { columns, tops, feet } = out
  for (let c = 0; c < columns; c++) {
    const i = row * columns + c
    const weight = entry(weights, i)
    feet[i] = entry(tops, i) + weight
    out.applied[c] = entry(out.applied, c) + weight
    out.onMembers[c] = entry(out.onMembers, c) + weight
  }
}
