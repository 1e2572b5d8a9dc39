import { list, number, nullable, object, oneOf, point, ref, text, withDefault } from './fields'
import { label } from './recordParts'

/**
 * What holds a floor against horizontal forces along its line, from its level down to the next: a wall, a braced bay, or anything
 * whose stiffness is typed. It weighs nothing here.
 */
export const stiffElement = {
  layout: ref('layout'),
  label,
  path: list(point(), 2, 2),
  sort: oneOf('wall', 'bracing', 'given'),
  /** Of a wall. */
  thickness: number('smallLength', { above: 0, max: 10 }),
  material: ref('material'),
  /** Of the diagonals of a braced bay, and how many act at a time. */
  section: nullable(ref('section')),
  diagonals: number('count', { min: 1, max: 2 }),
  /** Force per drift of one storey, where it is given. */
  stiffness: number('stiffness', { min: 0, max: 1e15 }),
} as const

/**
 * Horizontal forces at the levels, each at the centre of mass: a part of what counts for the mass there, by the family's clauses for
 * earthquakes, or as typed. A case of its own.
 */
export const storeyForces = {
  name: text(60),
  /** The way they push, from global X. */
  angle: number('angle', { min: -7, max: 7 }),
  /** A part of the weight of each level, or what the standard asks for an earthquake. */
  rule: withDefault(oneOf('share', 'earthquake'), 'share'),
  /** Period of the building for an earthquake; null: by its height. */
  period: withDefault(nullable(number('period', { min: 0.01, max: 20 })), null),
  /** Horizontal force per weight. */
  share: number('factor', { min: 0, max: 2 }),
  /** How far they pass the centre of mass, to the left of the way they push. */
  aside: withDefault(number('length', { min: -1000, max: 1000 }), 0),
  /** Typed instead, level by level. */
  forces: withDefault(
    list(object({ level: ref('level'), force: number('force', { min: -1e10, max: 1e10 }) }), 500),
    [],
  ),
} as const
