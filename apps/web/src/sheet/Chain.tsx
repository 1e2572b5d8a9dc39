import { referenceText, type Traced } from '@hedrion/core'
import type { ReactNode } from 'react'
import { useAnswer, useFormat } from '../compute/SessionContext'
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

interface ChainProps {
  readonly traced: Traced
  readonly address: string
  /** What the number is, in place of its clause. */
  readonly reference?: string
  readonly children?: ReactNode
  /** Each number with its unit, where their units differ from those of the result. */
  readonly withUnits?: boolean
}

/** A number written out, formula by formula; the last line is the number itself, by its address. */
export function Chain({ traced, address, reference, children, withUnits = false }: ChainProps) {
  return chainOf(traced).map((step) => {
    const clause = referenceText(step).replace(/^(EN 1991-1-4|ASCE 7-\d+|IS 875-3|IS 1893-1) /, '')
    const last = step === traced
    return (
      <Line
        key={step.symbol}
        reference={last ? (reference ?? clause) : clause}
        result={<Value value={step.value} quantity={step.quantity} {...(last ? { address } : {})} />}
      >
        <Worked traced={step} withUnits={withUnits} />
        {last && children}
      </Line>
    )
  })
}

/** The same, asked for by its address. */
export function Working({ address, ...rest }: Omit<ChainProps, 'traced'>) {
  const traced = useAnswer({ kind: 'why', address })
  return traced && <Chain traced={traced} address={address} withUnits {...rest} />
}

/** One formula in symbols, then in numbers. */
function Worked({ traced: { symbol, basis }, withUnits }: { readonly traced: Traced; readonly withUnits: boolean }) {
  const format = useFormat()
  return (
    <>
      <SymbolText name={symbol} />
      {basis.kind === 'formula' && (
        <>
          {' = '}
          <Expression expression={basis.expression} />
          {' = '}
          <Expression expression={basis.expression} inputs={basis.inputs} format={format} withUnits={withUnits} />
        </>
      )}
    </>
  )
}
