import type { Landing } from '../building/frame'
import { present } from '../outcome/assert'
import { pointReactions } from './beamStatics'
import { takenOf, type LayoutOperator, type SharedOut, type SparseRows } from './operator'

/** Results of one floor. Every block is row by row with `columns` values: the cases, then the floor area. */
export interface FloorRundown {
  readonly columns: number
  /** One row per beam support. */
  readonly reactions: Float64Array
  /** One row per beam: all that lands on it. */
  readonly beamTotals: Float64Array
  /** One row per column: force at its top and at its foot, positive in compression. */
  readonly tops: Float64Array
  readonly feet: Float64Array
  readonly applied: Float64Array
  readonly onMembers: Float64Array
  readonly notCarried: Float64Array
}

/** What a floor gets: intensities (source × column), the weight of each column length, and feet from above. */
export interface FloorInput {
  readonly columns: number
  readonly intensities: Float64Array
  readonly columnWeights: Float64Array
  readonly feetAbove: Float64Array
  readonly landings: readonly Landing[]
  readonly onSlab: FeetOnSlab | null
  /** Columns of the blocks that do not go on where a column stands on a beam. */
  readonly ending: readonly number[]
}

/** Feet from above that stand on the slab, which hands them to the frame as it shares a line there. */
export interface FeetOnSlab {
  /** Rows of the feet above. */
  readonly rows: readonly number[]
  /** How the slab shares one unit of force of each, in their order. */
  readonly shared: SharedOut
}

/** One floor for all cases at once, in arrays of its own. */
export function floorRundown(operator: LayoutOperator, input: FloorInput): FloorRundown {
  const { frame } = operator.plan
  const { columns } = input
  const out: FloorRundown = {
    columns,
    reactions: new Float64Array(operator.supportCount * columns),
    beamTotals: new Float64Array(frame.beams.length * columns),
    tops: new Float64Array(frame.columns.length * columns),
    feet: new Float64Array(frame.columns.length * columns),
    applied: new Float64Array(columns),
    onMembers: new Float64Array(columns),
    notCarried: new Float64Array(columns),
  }
  return rundownInto(out, operator, input)
}

/**
 * One floor for all cases at once into blocks that are all zero: intensities through the operator, then beam by beam in the order of
 * support, then into columns. The own weight of a column acts at the foot of its length.
 */
export function rundownInto(out: FloorRundown, operator: LayoutOperator, input: FloorInput): FloorRundown {
  const { frame } = operator.plan
  applySources(operator, input.intensities, out)
  const stuck = new Set(frame.loop)
  for (const landing of input.landings) land(operator, stuck, landing, input, out)
  if (input.onSlab) standOnSlab(input.onSlab, input, out)
  for (const index of frame.order) handOn(operator, stuck, index, out)
  weighColumns(input.columnWeights, out)
  return out
}

/** Puts some columns of one rundown of a floor in place of those of another. */
export function takeColumns(into: FloorRundown, from: FloorRundown, wanted: readonly number[]): void {
  const { columns } = into
  for (const block of ['reactions', 'beamTotals', 'tops', 'feet', 'applied', 'onMembers', 'notCarried'] as const)
    for (let row = 0; row < into[block].length; row += columns)
      for (const column of wanted) into[block][row + column] = from[block][row + column] ?? 0
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
  for (let c = 0; c < columns; c++) target[to + c] = (target[to + c] ?? 0) + factor * (source[start + c] ?? 0)
}

function applySources(operator: LayoutOperator, intensities: Float64Array, out: FloorRundown): void {
  const { columns } = out
  for (let i = 0; i < operator.applied.length; i++) {
    applyRow(operator.toSupports, i, intensities, out.reactions, columns)
    applyRow(operator.toBeams, i, intensities, out.beamTotals, columns)
    applyRow(operator.toColumns, i, intensities, out.tops, columns)
    addRow(out.onMembers, 0, intensities, i, takenOf(operator, i), columns)
    addRow(out.applied, 0, intensities, i, operator.applied[i] ?? 0, columns)
    addRow(out.notCarried, 0, intensities, i, operator.notCarried[i] ?? 0, columns)
  }
}

function applyRow(rows: SparseRows, i: number, source: Float64Array, target: Float64Array, columns: number): void {
  const { start, index, value } = rows
  for (let e = start[i] ?? 0; e < (start[i + 1] ?? 0); e++)
    addRow(target, index[e] ?? 0, source, i, value[e] ?? 0, columns)
}

/** The foot of a column from above: on a column it passes on, on a beam it is a point load. */
function land(
  operator: LayoutOperator,
  stuck: ReadonlySet<number>,
  { row, on, index, s, part }: Landing,
  { feetAbove, ending, columns }: FloorInput,
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

/** Feet that stand on the slab, by its shares; like those on beams they leave what ends there. */
function standOnSlab(
  { rows, shared }: FeetOnSlab,
  { feetAbove, ending, columns }: FloorInput,
  out: FloorRundown,
): void {
  const feet = new Float64Array(rows.length * columns)
  rows.forEach((row, k) => {
    feet.set(feetAbove.subarray(row * columns, (row + 1) * columns), k * columns)
    for (const column of ending) feet[k * columns + column] = 0
  })
  rows.forEach((_, k) => {
    applyRow(shared.toSupports, k, feet, out.reactions, columns)
    applyRow(shared.toBeams, k, feet, out.beamTotals, columns)
    applyRow(shared.toColumns, k, feet, out.tops, columns)
    addRow(out.notCarried, 0, feet, k, shared.notCarried[k] ?? 0, columns)
  })
}

/** A beam gives each reaction to what is under it; on a beam this is a point load for that beam's own supports. */
function handOn(operator: LayoutOperator, stuck: ReadonlySet<number>, index: number, out: FloorRundown): void {
  const beam = present(operator.plan.frame.beams[index], `beam ${index}`)
  if (!beam.stable) return
  beam.supports.forEach(({ on, index: under, at }, k) => {
    const row = (operator.firstSupport[index] ?? 0) + k
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
  const first = operator.firstSupport[index] ?? 0
  pointReactions(beam, s, 1).forEach((factor, k) => addRow(out.reactions, first + k, source, row, factor, out.columns))
}

function weighColumns(weights: Float64Array, out: FloorRundown): void {
  const { columns, tops, feet } = out
  for (let i = 0; i < tops.length; i++) {
    const weight = weights[i] ?? 0
    const c = i % columns
    feet[i] = (tops[i] ?? 0) + weight
    out.applied[c] = (out.applied[c] ?? 0) + weight
    out.onMembers[c] = (out.onMembers[c] ?? 0) + weight
  }
}
