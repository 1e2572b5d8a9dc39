import { formula } from '../trace/formula'

/**
 * What a raking column or hanger does sideways at each of its ends. It turns at both: about one end the force at the other and its own
 * weight in the middle, half of what the ends differ by, are held by the horizontal force at the other.
 */
export const thrust = formula({
  symbol: 'H',
  quantity: 'force',
  clause: 'common practice: moments about one end',
  inputs: { V_1: 'force', V_2: 'force', a: 'length', h: 'length' },
  expression: '(V_1 + V_2) / 2 * a / h',
  evaluate: ({ V_1, V_2, a, h }) => (((V_1 + V_2) / 2) * a) / h,
})

/** Force along it at the end where its load comes together. */
export const alongAxis = formula({
  symbol: 'N',
  quantity: 'force',
  clause: 'common practice: both forces along the axis',
  inputs: { V_2: 'force', H: 'force', a: 'length', h: 'length' },
  expression: '(V_2 * h + H * a) / sqrt(h ^ 2 + a ^ 2)',
  evaluate: ({ V_2, H, a, h }) => (V_2 * h + H * a) / Math.hypot(h, a),
})
