import { list, nullable, number, object, oneOf, ref, withDefault } from './fields'
import { label, ring } from './recordParts'

/** Of limits of what supports a panel: from a millimetre to half a metre, and from half a degree to 60. */
export const reachBounds = { min: 1e-3, max: 0.5 }
export const spanLimitBounds = { min: 0.0087, max: 1.0472 }

/** A piece of slab, deck or roof that shares what lies on it among members. */
export const panel = {
  layout: ref('layout'),
  label,
  outline: ring,
  /** What its outline follows: nothing, the one ring of beams that it fills, or the beams round all rings that it covers. */
  edges: withDefault(oneOf('drawn', 'ring', 'rings'), 'drawn'),
  /** Direction of the axis along which the deck spans, from global X. */
  spanAngle: number('angle', { min: -7, max: 7 }),
  slab: nullable(object({ thickness: number('smallLength', { above: 0, max: 5 }), material: ref('material') })),
  overhang: withDefault(oneOf('lever', 'tributary'), 'lever'),
  openings: withDefault(oneOf('bridged', 'interrupting'), 'bridged'),
  sharing: withDefault(oneOf('oneWay', 'twoWay', 'surrounding', 'even', 'corners', 'stiffness'), 'oneWay'),
  /** Members that run this way, from global X, take no load of it; null where all do. */
  sparedAngle: withDefault(nullable(number('angle', { min: -7, max: 7 })), null),
  /** Members that take no load of it, where they take that of others. */
  sparedMembers: withDefault(list(ref('member'), 100), []),
  /** Its own limits of what supports it; null where those of the project hold. */
  supportReach: withDefault(nullable(number('smallLength', reachBounds)), null),
  spanLimit: withDefault(nullable(number('angle', spanLimitBounds)), null),
} as const
