import { flag, list, nullable, number, object, oneOf, point, ref, text } from './fields'
import { label } from './recordParts'

const pressure = number('pressure', { min: -1e6, max: 1e6 })

/**
 * An upright surface that takes pressure between floors: a facade, a gable, a wall against earth. It stands in the storey below its
 * level. What it weighs is a wall run's matter.
 */
export const wallSurface = {
  layout: ref('layout'),
  label,
  path: list(point(), 500, 2),
  closed: flag(),
  /** How far it rises past the floor or roof of its level. */
  above: number('length', { min: 0, max: 20 }),
  /** How far it goes down from its level; null: to the next level that is there at its place, or to the base. */
  depth: nullable(number('length', { above: 0, max: 300 })),
  /** Spans from floor to floor, from column to column, or hands each part to the nearest member. */
  sharing: oneOf('upright', 'level', 'twoWay', 'surrounding'),
  /** Whether strips run on over openings, or end at them. */
  overOpenings: oneOf('bridged', 'interrupting'),
  /** Rectangles that take no pressure: from a distance along the path, and from a height over its foot. */
  openings: list(
    object({
      along: number('length', { min: 0, max: 1e4 }),
      sill: number('length', { min: 0, max: 300 }),
      width: number('length', { above: 0, max: 1e3 }),
      height: number('length', { above: 0, max: 300 }),
    }),
    100,
  ),
  /** Towards the face from outside; straight from the value at its top to that at its foot. */
  pressures: list(
    object({
      what: text(60),
      nature: oneOf('permanent', 'imposed', 'wind'),
      /** The use whose factors an imposed one goes by. */
      use: nullable(text(60)),
      /** Where the wind comes from, of a pressure of wind. */
      from: oneOf('west', 'south', 'east', 'north'),
      top: pressure,
      foot: pressure,
    }),
    20,
  ),
} as const
