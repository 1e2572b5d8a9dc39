import type { Quantity } from '../units/quantity'
import type { Field, Limits } from './fields'
import { recordKinds, type Kind } from './recordKinds'

/** What a field asks of a number, in SI base units. */
export interface NumberField extends Limits {
  readonly quantity: Quantity
}

/**
 * The quantity and the limits of a number of a record, as its kind defines them: a screen asks for nothing else.
 * @param path - `height`, or within lists and objects `layers.0.load`
 * @throws where the kind has no number there: a fault of the program
 */
export function numberField(kind: Kind, path: string): NumberField {
  const [head = '', ...names] = path.split('.')
  const fields: Readonly<Record<string, Field<unknown>>> = recordKinds[kind]
  const field = names.reduce((at, name) => at?.inner?.(name), Object.hasOwn(fields, head) ? fields[head] : undefined)
  if (!field?.quantity || !field.limits) throw new Error(`${kind} has no number at ${path}`)
  return { quantity: field.quantity, ...field.limits }
}
