import { pushAll } from '../outcome/lists'
import { entry } from '../outcome/assert'
import { addTo } from './entries'

/** A symmetric matrix while it is added up: its lower half, row by row. */
export class Symmetric {
  readonly rows: readonly Map<number, number>[]

  constructor(readonly size: number) {
    this.rows = Array.from({ length: size }, () => new Map<number, number>())
  }

  /** Adds to a pair of places; each pair is added once, whichever way round. */
  add(i: number, j: number, value: number): void {
    const [high, low] = i >= j ? [i, j] : [j, i]
    const row = this.rows[high]
    if (row) addTo(row, low, value)
  }
}

/** A factorised matrix: solves for one right-hand side after another. */
export interface Factor {
  readonly solve: (right: Float64Array) => Float64Array
  /** How many numbers it keeps. */
  readonly kept: number
}

/** A pivot that falls to this part of what its place had is none: something can move without force. */
const leastPivot = 1e-10

/**
 * LDL' of a positive definite matrix, each row from its first entry on (G. H. Golub, C. F. Van Loan, Matrix Computations, 4.3), in
 * an order that keeps rows short. Undefined where the matrix has no inverse.
 */
export function factorise(matrix: Symmetric): Factor | undefined {
  const order = shortRows(matrix)
  const place = new Int32Array(matrix.size)
  order.forEach((old, now) => (place[old] = now))
  const rows = inRows(matrix, place)
  const original = Float64Array.from(rows.diagonal)
  for (let i = 0; i < matrix.size; i++) {
    reduceRow(rows, i)
    const pivot = scaleRow(rows, i)
    if (!(pivot > leastPivot * entry(original, i))) return undefined
    rows.diagonal[i] = pivot
  }
  return { solve: (right) => solved(rows, order, right), kept: rows.values.length }
}

/** Takes from a row what the rows before it say. */
function reduceRow({ start, first, values }: Rows, i: number): void {
  const [from, base] = [entry(first, i), entry(start, i)]
  for (let j = from; j < i; j++) {
    const [other, otherBase] = [entry(first, j), entry(start, j)]
    let sum = entry(values, base + j - from)
    for (let k = Math.max(from, other); k < j; k++)
      sum -= entry(values, base + k - from) * entry(values, otherBase + k - other)
    values[base + j - from] = sum
  }
}

/** Divides a row by the pivots before it, and says its own. */
function scaleRow({ start, first, values, diagonal }: Rows, i: number): number {
  const [from, base] = [entry(first, i), entry(start, i)]
  let pivot = entry(diagonal, i)
  for (let j = from; j < i; j++) {
    const sum = entry(values, base + j - from)
    const part = sum / entry(diagonal, j)
    pivot -= sum * part
    values[base + j - from] = part
  }
  return pivot
}

interface Rows {
  /** Where the entries of each row begin, and the column of the first of them. */
  readonly start: Int32Array
  readonly first: Int32Array
  readonly values: Float64Array
  readonly diagonal: Float64Array
}

function inRows({ rows, size }: Symmetric, place: Int32Array): Rows {
  const first = Int32Array.from({ length: size }, (_, i) => i)
  const each = (visit: (i: number, j: number, value: number) => void) =>
    rows.forEach((row, old) => {
      for (const [other, value] of row) {
        const [p, q] = [entry(place, old), entry(place, other)]
        visit(Math.max(p, q), Math.min(p, q), value)
      }
    })
  each((i, j) => (first[i] = Math.min(first[i] ?? i, j)))
  const start = new Int32Array(size + 1)
  for (let i = 0; i < size; i++) start[i + 1] = entry(start, i) + i - (first[i] ?? i)
  const values = new Float64Array(entry(start, size))
  const diagonal = new Float64Array(size)
  each((i, j, value) => {
    if (i === j) diagonal[i] = value
    else values[entry(start, i) + j - entry(first, i)] = value
  })
  return { start, first, values, diagonal }
}

function solved({ start, first, values, diagonal }: Rows, order: readonly number[], right: Float64Array): Float64Array {
  const size = diagonal.length
  const x = Float64Array.from(order, (old) => entry(right, old))
  for (let i = 0; i < size; i++) {
    const [from, base] = [entry(first, i), entry(start, i)]
    let sum = entry(x, i)
    for (let j = from; j < i; j++) sum -= entry(values, base + j - from) * entry(x, j)
    x[i] = sum
  }
  for (let i = 0; i < size; i++) x[i] = entry(x, i) / entry(diagonal, i)
  for (let i = size - 1; i >= 0; i--) {
    const [from, base, value] = [entry(first, i), entry(start, i), entry(x, i)]
    for (let j = from; j < i; j++) x[j] = entry(x, j) - entry(values, base + j - from) * value
  }
  const out = new Float64Array(size)
  order.forEach((old, now) => (out[old] = entry(x, now)))
  return out
}

/** Neighbours after one another, from one end of the structure, turned round (reverse Cuthill-McKee). */
function shortRows({ rows, size }: Symmetric): readonly number[] {
  const next: number[][] = Array.from({ length: size }, () => [])
  rows.forEach((row, i) => {
    for (const j of row.keys())
      if (i !== j) {
        next[i]?.push(j)
        next[j]?.push(i)
      }
  })
  const degree = next.map((list) => list.length)
  for (const list of next) list.sort((p, q) => entry(degree, p) - entry(degree, q) || p - q)
  const seen = new Uint8Array(size)
  const order: number[] = []
  for (let i = 0; i < size; i++) {
    if (seen[i]) continue
    // the last that is reached from anywhere lies at an end
    const end = spread(next, farthest(next, i), seen)
    pushAll(order, end)
  }
  return order.reverse()
}

function farthest(next: readonly (readonly number[])[], from: number): number {
  let at = from
  for (let k = 0; k < 2; k++) at = spread(next, at, new Uint8Array(next.length)).at(-1) ?? at
  return at
}

function spread(next: readonly (readonly number[])[], from: number, seen: Uint8Array): number[] {
  const order = [from]
  seen[from] = 1
  for (let i = 0; i < order.length; i++)
    for (const other of next[order[i] ?? from] ?? [])
      if (!seen[other]) {
        seen[other] = 1
        order.push(other)
      }
  return order
}
