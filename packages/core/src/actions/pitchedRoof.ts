import type { Family } from '../standards/family'
import { formula } from '../trace/formula'
import { given, type Traced } from '../trace/traced'

/** IS 875-2 table 2, item 2: above 10 degrees 0.02 kN/m² of plan less for each degree, and at least 0.4. */
export const lessPerDegree = formula({
  symbol: 'q_roof',
  quantity: 'pressure',
  clause: 'IS 875-2 table 2',
  inputs: { q: 'pressure', alpha: 'angle' },
  expression: 'max(q - 20 * max(alpha * 57.29577951308232 - 10, 0), 400)',
  evaluate: ({ q, alpha }) => Math.max(q - 20 * Math.max(alpha * degrees - 10, 0), 400),
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

const rules = { lessPerDegree, toSixty }

/**
 * The load of a roof by its pitch.
 * @param stretch - true area by area in plan: 1 on the level
 */
export const byPitch = (rule: NonNullable<Family['pitched']>['rule'], q: Traced, stretch: number): Traced =>
  stretch <= 1
    ? q
    : rules[rule]({
        q: { ...q, quantity: 'pressure' },
        alpha: given('α', 'angle', Math.acos(1 / stretch), 'pitch of the slope'),
      })
