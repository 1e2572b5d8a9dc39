import { list, number, object, oneOf, text } from './fields'

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
