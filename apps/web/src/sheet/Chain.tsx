import { referenceText, type Traced } from '@hedrion/core'
import { useFormat } from '../compute/SessionContext'
import { Expression } from './Expression'
import { Line } from './Sheet'
import { SymbolText } from './SymbolText'
import { Value } from './Value'

/** The formulae that a number came by, each once, in the order in which they are needed. */
function chainOf(traced: Traced, seen = new Set<string>()): readonly Traced[] {
  const { basis } = traced
  if (basis.kind !== 'formula' || seen.has(traced.symbol)) return []
  seen.add(traced.symbol)
  return [...Object.values(basis.inputs).flatMap((input) => chainOf(input, seen)), traced]
}

/** A number written out, formula by formula; the last line is the number itself, by its address. */
export function Chain({ traced, address }: { readonly traced: Traced; readonly address: string }) {
  const format = useFormat()
  return chainOf(traced).map((step) => (
    <Line
      key={step.symbol}
      reference={referenceText(step).replace(/^(EN 1991-1-4|ASCE 7-\d+|IS 875-3|IS 1893-1) /, '')}
      result={<Value value={step.value} quantity={step.quantity} {...(step === traced ? { address } : {})} />}
    >
      <SymbolText name={step.symbol} />
      {step.basis.kind === 'formula' && (
        <>
          {' = '}
          <Expression expression={step.basis.expression} />
          {' = '}
          <Expression expression={step.basis.expression} inputs={step.basis.inputs} format={format} />
        </>
      )}
    </Line>
  ))
}
