import type { Quantity } from '../units/quantity'
import type { Traced } from './traced'

interface FormulaSpec<I extends Record<string, Quantity>, Q extends Quantity> {
  readonly symbol: string
  readonly quantity: Q
  readonly clause: string
  readonly inputs: I
  /** The same arithmetic as text, in the symbols of the clause; a test holds it against `evaluate`. */
  readonly expression: string
  readonly evaluate: (inputs: { readonly [K in keyof I]: number }) => number
}

type TracedInputs<I extends Record<string, Quantity>> = { readonly [K in keyof I]: Traced<I[K]> }

export type Formula<I extends Record<string, Quantity>, Q extends Quantity> = FormulaSpec<I, Q> &
  ((inputs: TracedInputs<I>) => Traced<Q>)

/** A formula of a clause as a value: callable with traced inputs; its `evaluate` is the bare arithmetic for hot loops. */
export function formula<const I extends Record<string, Quantity>, const Q extends Quantity>(
  spec: FormulaSpec<I, Q>,
): Formula<I, Q> {
  const { symbol, quantity, clause, expression } = spec
  const apply = (inputs: TracedInputs<I>): Traced<Q> => {
    const numbers = Object.fromEntries(
      Object.entries<Traced>(inputs).map(([name, traced]) => [name, traced.value]),
    ) as {
      [K in keyof I]: number
    }
    return { symbol, quantity, value: spec.evaluate(numbers), basis: { kind: 'formula', clause, expression, inputs } }
  }
  return Object.assign(apply, spec)
}
