import type { Beam, FramePlan } from '../building/frame'
import { present, entry } from '../outcome/assert'
import { turnsByMember, type Share } from '../sharing/share'
import { lineReactions, pointReactions } from './beamStatics'
import type { LayoutPlan } from './sources'

/** Sparse rows in typed arrays: entries start[i] to start[i + 1] belong to row i. */
export interface SparseRows {
  readonly start: Int32Array
  readonly index: Int32Array
  readonly value: Float64Array
}

/** What a row of a block reaches, by index. */
export const takersOf = ({ start, index }: SparseRows, row: number): Int32Array =>
  index.subarray(entry(start, row), entry(start, row + 1))

/** How shares reach a frame; one row of each block for one share. */
export interface SharedOut {
  /** First support row of each beam; one more entry at the end. */
  readonly firstSupport: Int32Array
  readonly supportCount: number
  /** Row by share: reaction at each support, as if the beam carried the share alone. */
  readonly toSupports: SparseRows
  /** Row by share: force on each beam. */
  readonly toBeams: SparseRows
  /** Row by share: force at the top of each column that takes it without a beam. */
  readonly toColumns: SparseRows
  /** Row by share: moment about the axis of each beam, positive where its left side goes down. */
  readonly toTurns: SparseRows
  /** Per unit of each share: what met no support, or a beam that cannot stand. */
  readonly notCarried: Float64Array
  readonly applied: Float64Array
}

/** How one layout hands its sources to its beams and to the supports of its beams; solved once, it serves every case. Rows by source. */
export interface LayoutOperator extends SharedOut {
  readonly plan: LayoutPlan
  /** By action, where members take no load of it: the same frame, panels and sources, otherwise shared. */
  readonly variants: ReadonlyMap<string, LayoutOperator>
}

export const noVariants: ReadonlyMap<string, LayoutOperator> = new Map()

export const layoutOperator = (plan: LayoutPlan): LayoutOperator => ({
  plan,
  ...sharedOut(
    plan.frame,
    plan.sources.map(({ share }) => share),
  ),
  variants: noVariants,
})

/** Hands shares to the beams and columns of a frame. */
export function sharedOut({ beams, columns, loop }: FramePlan, shares: readonly Share[]): SharedOut {
  const stuck = new Set(loop)
  const beamAt = new Map(beams.map(({ member }, i) => [member.id as string, i]))
  const columnAt = new Map(columns.map(({ member }, i) => [member.id as string, i]))
  const firstSupport = new Int32Array(beams.length + 1)
  beams.forEach(({ supports }, i) => (firstSupport[i + 1] = entry(firstSupport, i) + supports.length))
  const [toSupports, toBeams, toColumns, toTurns] = [rowsBuilder(), rowsBuilder(), rowsBuilder(), rowsBuilder()]
  const notCarried = new Float64Array(shares.length)
  shares.forEach((share, i) => {
    let lost = share.notCarried
    for (const [index, { force, reactions }] of forcesByBeam(share, beams, beamAt)) {
      toBeams.put(index, force)
      if (!beams[index]?.stable || stuck.has(index)) lost += force
      else reactions.forEach((value, k) => toSupports.put(entry(firstSupport, index) + k, value))
    }
    for (const { member, force } of share.onColumns)
      toColumns.put(present(columnAt.get(member), `column ${member}`), force)
    for (const [member, moment] of turnsByMember(share))
      toTurns.put(present(beamAt.get(member), `beam ${member}`), moment)
    notCarried[i] = lost
    toSupports.end()
    toBeams.end()
    toColumns.end()
    toTurns.end()
  })
  return {
    firstSupport,
    supportCount: entry(firstSupport, beams.length),
    toSupports: toSupports.rows(),
    toBeams: toBeams.rows(),
    toColumns: toColumns.rows(),
    toTurns: toTurns.rows(),
    notCarried,
    applied: Float64Array.from(shares, ({ applied }) => applied),
  }
}

function rowsBuilder() {
  const start: number[] = [0]
  const index: number[] = []
  const value: number[] = []
  return {
    put: (at: number, amount: number): void => {
      index.push(at)
      value.push(amount)
    },
    end: (): void => void start.push(index.length),
    rows: (): SparseRows => ({
      start: Int32Array.from(start),
      index: Int32Array.from(index),
      value: Float64Array.from(value),
    }),
  }
}

interface OnBeam {
  readonly force: number
  readonly reactions: readonly number[]
}

function forcesByBeam(
  share: Share,
  beams: readonly Beam[],
  beamAt: ReadonlyMap<string, number>,
): ReadonlyMap<number, OnBeam> {
  const found = new Map<number, OnBeam>()
  const add = (member: string, force: number, reactionsOf: (beam: Beam) => readonly number[]): void => {
    const index = present(beamAt.get(member), `beam ${member}`)
    const reactions = reactionsOf(present(beams[index], `beam ${member}`))
    const known = found.get(index)
    found.set(index, {
      force: force + (known?.force ?? 0),
      reactions: known ? reactions.map((value, k) => value + entry(known.reactions, k)) : reactions,
    })
  }
  for (const line of share.lines)
    add(line.member, ((line.s1 - line.s0) * (line.q0 + line.q1)) / 2, (beam) => lineReactions(beam, line))
  for (const { member, s, force } of share.points) add(member, force, (beam) => pointReactions(beam, s, force))
  return found
}

/** The sum of what a sparse row has from one index to before another; of one index where no other is given. */
export function rowSum({ start, index, value }: SparseRows, row: number, from: number, before = from + 1): number {
  let sum = 0
  for (let e = entry(start, row); e < entry(start, row + 1); e++) {
    const at = index[e] ?? -1
    if (at >= from && at < before) sum += entry(value, e)
  }
  return sum
}

/** How much of one unit of a source members take: what is on beams, and what goes to columns directly. */
export const takenOf = ({ toBeams, toColumns }: LayoutOperator, row: number): number =>
  rowSum(toBeams, row, 0, Infinity) + rowSum(toColumns, row, 0, Infinity)
