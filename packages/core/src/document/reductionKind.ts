import { list, nullable, number, object, oneOf, ref, text } from './fields'
import { label, ring } from './recordParts'

/** Factors on imposed load by the area or the storeys that a column or beam supports. */
export const reductionTable = {
  name: text(60),
  by: oneOf('area', 'storeys'),
  /** From its row on, or in a straight line to the next. */
  between: oneOf('stepped', 'linear'),
  rows: list(
    object({ from: number('factor', { min: 0, max: 1e6 }), factor: number('factor', { min: 0, max: 1 }) }),
    40,
    1,
  ),
  /** Under fewer storeys nothing is reduced. */
  leastStoreys: number('count', { min: 0, max: 200 }),
  /** Forces of columns alone, or loads of beams too. */
  takes: oneOf('columns', 'all'),
} as const

const factor = nullable(number('factor', { min: 0, max: 1 }))

/** A part of a plan in which slabs and beams are spared imposed load in a way of its own. */
export const reductionRegion = {
  layout: ref('layout'),
  label,
  outline: ring,
  /** Slabs: not at all, for the floor of the region, or by a typed factor. */
  slabs: oneOf('whole', 'byArea', 'typed'),
  slabFactor: factor,
  /** Beams: for what each supports, as elsewhere; not at all; or by a typed factor. */
  beams: oneOf('usual', 'whole', 'typed'),
  beamFactor: factor,
} as const
