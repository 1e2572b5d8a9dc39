import { goingOf, stepsOf } from '../building/stairs'
import type { Material, Stair } from '../document/recordKinds'
import { formula } from '../trace/formula'
import { given, type Traced } from '../trace/traced'

/** Weight of a flight per area of its plan: the waist by its slope, the steps by half of their height. */
export const flightWeight = formula({
  symbol: 'g_flight',
  quantity: 'pressure',
  clause: 'common practice',
  inputs: { gamma: 'unitWeight', t: 'smallLength', h: 'length', l: 'length', r: 'smallLength' },
  expression: 'gamma * (t * sqrt(1 + (h / l) ^ 2) + r / 2)',
  evaluate: ({ gamma, t, h, l, r }) => gamma * (t * Math.sqrt(1 + (h / l) ** 2) + r / 2),
})

/** What a flight puts on each of its ends, per metre of its width. */
export const flightEnd = formula({
  symbol: 'q_end',
  quantity: 'lineLoad',
  clause: 'common practice',
  inputs: { q: 'pressure', l: 'length' },
  expression: 'q * l / 2',
  evaluate: ({ q, l }) => (q * l) / 2,
})

/** The inputs of a flight's weight, SI. */
export const flightInputs = (
  stair: Pick<Stair, 'path' | 'rise' | 'waist' | 'riser'>,
  unitWeight: number,
): Parameters<typeof flightWeight.evaluate>[0] => ({
  gamma: unitWeight,
  t: stair.waist,
  h: stair.rise,
  l: goingOf(stair),
  r: stepsOf(stair).height,
})

/** Whole steps: each as high as the rise makes it. */
const stepText = (stair: Stair): string => {
  const { count } = stepsOf(stair)
  return `step of ${stair.label}${count > 1 ? `, ${count} of them` : ''}`
}

/** Weight per area of plan with its trace. */
export function weightOfFlight(stair: Stair, material: Pick<Material, 'name' | 'unitWeight'>): Traced<'pressure'> {
  const { gamma, t, h, l, r } = flightInputs(stair, material.unitWeight)
  return flightWeight({
    gamma: given('γ', 'unitWeight', gamma, material.name),
    t: given('t', 'smallLength', t, `waist of ${stair.label}`),
    h: given('h', 'length', h, `rise of ${stair.label}`),
    l: given('l', 'length', l, `length of ${stair.label} in plan`),
    r: given('r', 'smallLength', r, stepText(stair)),
  })
}

/** Its half at one end. */
export const atEnd = (stair: Pick<Stair, 'path' | 'label'>, load: Traced): Traced<'lineLoad'> =>
  flightEnd({
    q: { ...load, quantity: 'pressure' },
    l: given('l', 'length', goingOf(stair), `length of ${stair.label} in plan`),
  })
