import { dictionary, flag, list, nullable, number, object, oneOf, point, ref, text, withDefault } from './fields'
import { quantities } from '../units/quantity'

// Fields that several kinds of record share.

export const label = text(40)
export const ring = list(point(), 500, 3)
/** Clause or table that values were taken from; empty for what was typed. */
export const source = withDefault(text(160), '')
export const quantityName = oneOf(...quantities)

/** Families of standards: EN 1990 and EN 1991; ASCE 7; IS 875, 456 and 800; BS 6399 and 8110. */
export const family = oneOf('EN', 'ASCE', 'IS', 'BS')

/** A table of a standard as a file may carry it; the shape is that of `trace/table`. */
export const standardTable = object({
  symbol: text(40),
  quantity: quantityName,
  clause: text(160),
  fromMemory: withDefault(flag(), false),
  axis: object({
    symbol: text(40),
    quantity: quantityName,
    at: list(number('factor'), 100, 1),
    between: oneOf('linear', 'log', 'nextAbove', 'lastBelow'),
    below: oneOf('nearest', 'refuse'),
    above: oneOf('nearest', 'refuse'),
  }),
  rows: dictionary(list(number('factor'), 100, 1), 100),
})

export const typedLoad = {
  layout: ref('layout'),
  label,
  /** What it comes from: “stair flight”, “chiller”. */
  what: text(60),
  nature: oneOf('permanent', 'imposed'),
  /** The use whose factors an imposed one goes by. */
  use: nullable(text(60)),
}

/** What a truss is made of below its top chord. */
export const truss = object({
  /** Follows the top chord, or runs straight from end to end. */
  bottom: oneOf('alongTop', 'straight'),
  /** Between the axes of the chords at the ends. */
  depth: number('length', { above: 0, max: 20 }),
  /** Equal parts of the length, each with one diagonal. */
  bays: number('count', { min: 2, max: 60 }),
  posts: flag(),
  bottomSection: ref('section'),
  webSection: ref('section'),
})
