import { nullable, number } from './fields'
import { ring, typedLoad } from './recordParts'

const pressure = number('pressure', { min: -1e6, max: 1e6 })

/**
 * A load typed over an area: N/m² of plan downwards, less than zero where it lifts. Even, or straight from its value where the
 * outline begins along a way to another value where it ends.
 */
export const areaLoad = {
  ...typedLoad,
  outline: ring,
  value: pressure,
  /** At the far end; null where it is even. */
  endValue: nullable(pressure),
  /** The way from the one end to the other, from global X. */
  angle: number('angle', { min: -7, max: 7 }),
} as const
