import type { ColumnView } from '@hedrion/core'

/** How a sheet speaks of a column, of a stretch of wall, or of a hanger, which gathers load upwards. */
export interface ColumnWords {
  readonly name: string
  /** Where the load goes together. */
  readonly way: string
  readonly gathered: string
  readonly end: string
  readonly sense: string
  readonly support: string
}

const column: ColumnWords = {
  name: 'Column',
  way: 'From the roof down',
  gathered: 'all above',
  end: 'at base',
  sense: 'at base, compression',
  support: '',
}

const footings = {
  base: 'on the foundation',
  beam: 'on a beam',
  slab: 'on the slab',
  nothing: 'unsupported',
} as const

export function wordsOf({ hangs, stretch, standsOn }: ColumnView): ColumnWords {
  if (!hangs) return { ...column, name: stretch === null ? 'Column' : 'Piece of wall', support: footings[standsOn] }
  return {
    name: 'Hanger',
    way: 'From the top down',
    gathered: 'all below',
    end: 'at the top',
    sense: 'at the top, tension',
    support: standsOn === 'nothing' ? 'no hanger support above' : 'from a beam',
  }
}

/** Lengths as the building stands, the highest first. */
export const rowsFromAbove = ({ rows, hangs }: ColumnView): ColumnView['rows'] => (hangs ? [...rows].reverse() : rows)

/** Their reductions in the same order; null where none of them may be reduced. */
export const reductionsFromAbove = ({ reductions, hangs }: ColumnView): ColumnView['reductions'] =>
  reductions && hangs ? [...reductions].reverse() : reductions
