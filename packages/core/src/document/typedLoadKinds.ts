import { list, nullable, number, oneOf, point, withDefault } from './fields'
import { ring, typedLoad } from './recordParts'

const perLength = number('lineLoad', { min: -1e7, max: 1e7 })

/** A load typed along a path: N/m downwards, less than zero where it lifts. Even, or straight along the path from its value to another one. */
export const lineLoad = {
  ...typedLoad,
  path: list(point(), 500, 2),
  value: perLength,
  /** At the end of the path; null where it is even. */
  endValue: withDefault(nullable(perLength), null),
} as const

/** A load typed at a point: N downwards, less than zero where it lifts. */
export const pointLoad = {
  ...typedLoad,
  path: list(point(), 1, 1),
  value: number('force', { min: -1e9, max: 1e9 }),
} as const

const pressure = number('pressure', { min: -1e6, max: 1e6 })

/**
 * A load typed over an area, less than zero where it lifts. Even, or straight from its value where the outline begins along a way to
 * another value where it ends. In a slope of the roof N/m² of plan downwards; of the area as it lies, downwards; or of the area as it
 * lies, square to it.
 */
export const areaLoad = {
  ...typedLoad,
  outline: ring,
  value: pressure,
  measured: withDefault(oneOf('plan', 'slope', 'square'), 'plan'),
  /** At the far end; null where it is even. */
  endValue: nullable(pressure),
  /** The way from the one end to the other, from global X. */
  angle: number('angle', { min: -7, max: 7 }),
} as const
