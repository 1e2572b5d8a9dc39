import type { Family } from '../standards/family'
import { formula } from '../trace/formula'
import { given, type Traced } from '../trace/traced'

/** IS 875-2 table 2, item 2: above 10 degrees 0.02 kN/m² of plan less for each degree, and at least 0.4. */
export const lessPerDegree = formula({
  symbol: 'q_roof',
  quantity: 'pressure',
  clause: 'IS 875-2 table 2',
  inputs: { q: 'pressure', q_deg: 'pressure', q_min: 'pressure', alpha: 'angle' },
  expression: 'max(q - q_deg * max(alpha * 57.29577951308232 - 10, 0), q_min)',
  evaluate: ({ q, q_deg, q_min, alpha }) => Math.max(q - q_deg * Math.max(alpha * degrees - 10, 0), q_min),
})

/** BS 6399-3 4.3.1: whole up to 30 degrees, falling to nothing at 60. */
export const toSixty = formula({
  symbol: 'q_roof',
  quantity: 'pressure',
  clause: 'BS 6399-3 4.3.1',
  inputs: { q: 'pressure', alpha: 'angle' },
  expression: 'q * max(min((60 - alpha * 57.29577951308232) / 30, 1), 0)',
  evaluate: ({ q, alpha }) => q * Math.max(Math.min((60 - alpha * degrees) / 30, 1), 0),
})

const degrees = 180 / Math.PI

const rules = {
  lessPerDegree: (q: Traced<'pressure'>, alpha: Traced<'angle'>) =>
    lessPerDegree({
      q,
      alpha,
      q_deg: given('q_deg', 'pressure', 20, 'less for each degree above 10'),
      q_min: given('q_min', 'pressure', 400, 'at least'),
    }),
  toSixty: (q: Traced<'pressure'>, alpha: Traced<'angle'>) => toSixty({ q, alpha }),
}

/**
 * The load of a roof by its pitch.
 * @param stretch - true area by area in plan: 1 on the level
 */
export const byPitch = (rule: NonNullable<Family['pitched']>['rule'], q: Traced, stretch: number): Traced =>
  stretch <= 1
    ? q
    : rules[rule]({ ...q, quantity: 'pressure' }, given('α', 'angle', Math.acos(1 / stretch), 'pitch of the slope'))
