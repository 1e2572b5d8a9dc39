import { define } from '../definition'
import { stepOfKind } from '../stepOfKind'
import { tenTimes } from '../makers'
import type { Quantity } from '../../units/quantity'

/** Values that are entered and are unlikely. */
export const ofValues = {
  'value.unusual': define({
    severity: 'caution',
    step: stepOfKind,
    data: { field: 'text', name: 'text', quantity: 'text', value: 'number', from: 'number', to: 'number' },
    sentence: ({ name }, { quantity }, show) => {
      const shown = (field: string) => show(field, quantity as Quantity)
      return `The ${name} of ${shown('value')} is outside the usual range ${shown('from')} to ${shown('to')}. Check it.`
    },
  }),
  'value.factor-of-ten': define({
    severity: 'caution',
    step: stepOfKind,
    data: {
      field: 'text',
      name: 'text',
      quantity: 'text',
      value: 'number',
      from: 'number',
      to: 'number',
      meant: 'number',
    },
    sentence: ({ name }, { quantity }, show) =>
      `The ${name} of ${show('value', quantity as Quantity)} is outside the usual range. Check whether ${show('meant', quantity as Quantity)} is meant.`,
    mends: tenTimes,
  }),
}
