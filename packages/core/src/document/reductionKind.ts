import { list, nullable, number, object, oneOf, ref, text } from './fields'
import { label, ring } from './recordParts'

/** Factors on imposed load by the floors or the area that a column or beam supports. */
export const reductionTable = {
  name: text(60),
  /** By number of floors, each row from its floor on; or by supported area, in a straight line from row to row. */
  form: oneOf('floors', 'area'),
  /** Two rows of one area are a step: from there on the second holds. */
  rows: list(
    object({ from: number('factor', { min: 0, max: 1e6 }), factor: number('factor', { min: 0, max: 1 }) }),
    240,
    1,
  ),
  /** Under fewer storeys nothing is reduced. */
  leastStoreys: number('count', { min: 0, max: 200 }),
  appliesTo: oneOf('columns', 'beams', 'both'),
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
