import { define } from '../definition'
import { stepOfKind } from '../stepOfKind'
import { tenTimes } from '../makers'

const ofValue = { field: 'text', name: 'text', quantity: 'text', value: 'named', from: 'named', to: 'named' } as const

/** Values that are entered and are unlikely. */
export const ofValues = {
  'value.unusual': define({
    severity: 'caution',
    step: stepOfKind,
    data: ofValue,
    sentence: ({ name, value, from, to }) =>
      `The ${name} of ${value} is outside the usual range ${from} to ${to}. Check it.`,
  }),
  'value.factor-of-ten': define({
    severity: 'caution',
    step: stepOfKind,
    data: { ...ofValue, meant: 'named' },
    sentence: ({ name, value, meant }) =>
      `The ${name} of ${value} is outside the usual range. Check whether ${meant} is meant.`,
    mends: tenTimes,
  }),
}
