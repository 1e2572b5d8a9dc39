import {
  caseThatHolds,
  casesOf,
  formatQuantity,
  formatValue,
  typeset,
  type NumberFormat,
  type Traced,
} from '@hedrion/core'
import { Fragment, type ReactNode } from 'react'
import { SymbolText } from './SymbolText'

const functions = new Set(['ln', 'max', 'min', 'sqrt'])

/** Cuts an expression into names, powers, and what stands between them. */
const pieces = (expression: string): readonly string[] =>
  typeset(expression)
    .split(/(\p{L}\w*(?:,\w+)*| \^ (?:[\d.]+|\p{L}\w*|\([^()]*\)))/u)
    .filter(Boolean)

interface ExpressionProps {
  readonly expression: string
  /** With inputs and a format the numbers stand in place of the symbols. */
  readonly inputs?: Readonly<Record<string, Traced>>
  readonly format?: NumberFormat
  readonly withUnits?: boolean
}

/** A formula of a clause: in symbols, with all of its cases, or in numbers, with the case that holds. */
export function Expression({ expression, inputs, format, withUnits = false }: ExpressionProps) {
  if (inputs && format)
    return (
      <Plain
        expression={caseThatHolds(expression, inputs)}
        numberOf={(name) => numberText(inputs[name], format, withUnits)}
      />
    )
  const cases = casesOf(expression)
  if (cases.length === 1) return <Plain expression={expression} />
  return cases.map(({ value, condition }, i) => (
    <Fragment key={i}>
      {i > 0 && '; '}
      <Plain expression={value} />
      {condition === null ? (
        ' otherwise'
      ) : (
        <>
          {' for '}
          <Plain expression={condition} />
        </>
      )}
    </Fragment>
  ))
}

const numberText = (input: Traced | undefined, format: NumberFormat, withUnits: boolean): string | undefined =>
  input && (withUnits ? formatQuantity : formatValue)(input.value, input.quantity, format)

interface PlainProps {
  readonly expression: string
  readonly numberOf?: (symbol: string) => string | undefined
}

function Plain({ expression, numberOf = () => undefined }: PlainProps) {
  return (
    <>
      {pieces(expression).map((piece, i) => (
        <Fragment key={i}>{render(piece, numberOf)}</Fragment>
      ))}
    </>
  )
}

function render(piece: string, numberOf: (symbol: string) => string | undefined): ReactNode {
  const power = /^ \^ (.*)$/.exec(piece)
  if (power) {
    const exponent = (power[1] ?? '').replace(/^\((.*)\)$/, '$1')
    return (
      <sup>
        <Plain expression={exponent} numberOf={numberOf} />
      </sup>
    )
  }
  if (!/^\p{L}/u.test(piece) || functions.has(piece)) return piece
  return numberOf(piece) ?? <SymbolText name={piece} />
}
