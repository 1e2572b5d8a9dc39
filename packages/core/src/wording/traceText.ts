import { caseThatHolds, casesOf } from './formulaCases'
import type { Traced, TracedTerm } from '../trace/traced'
import { formatQuantity, formatValue, type NumberFormat } from '../units/format'

/** The expression, of cases the one that holds, with each symbol replaced by its number: `k_r * log(z / z_0)` → `0.190 · ln(7.30 / 0.05)`. */
export function withNumbers(
  expression: string,
  inputs: Readonly<Record<string, Traced>>,
  format: NumberFormat,
): string {
  const numbers = caseThatHolds(expression, inputs).replace(/[A-Za-z]\w*/g, (name) => {
    const input = inputs[name]
    return input ? formatValue(input.value, input.quantity, format) : name
  })
  return typeset(numbers)
}

/** Names of Greek letters in expressions, and the letters. */
export const greekLetters: Readonly<Record<string, string>> = {
  alpha: 'α',
  eta: 'η',
  mu: 'μ',
  gamma: 'γ',
  psi: 'ψ',
  rho: 'ρ',
}

/** A text with Greek letters in place of their names: `t * gamma_c` → `t * γ_c`. */
export const inGreek = (text: string): string =>
  text.replace(/(?<![A-Za-z_])(alpha|eta|gamma|mu|psi|rho)(?![A-Za-z])/g, (name) => greekLetters[name] ?? name)

/** An expression as one writes it by hand: · for times, ln for the natural logarithm, signs that are not hyphens. */
export const typeset = (expression: string): string =>
  expression
    .replace(/ \* /g, ' · ')
    .replace(/\blog\(/g, 'ln(')
    .replace(/ - /g, ' − ')
    .replace(/ <= /g, ' ≤ ')
    .replace(/ >= /g, ' ≥ ')
    .replace(/ \^ 2\b/g, '²')

/** A formula with its cases: `1.5 · q_b for z ≤ 7; 2.1 · q_b otherwise`. */
export function casesText(expression: string): string {
  const cases = casesOf(expression)
  if (cases.length === 1) return typeset(expression)
  return cases
    .map(
      ({ value, condition }) => `${typeset(value)} ${condition === null ? 'otherwise' : `for ${typeset(condition)}`}`,
    )
    .join('; ')
}

/** A term as a product, where it is one: `3.00 kN/m² · 21.6 m²`. */
export const productText = ({ factors }: TracedTerm, format: NumberFormat): string =>
  (factors ?? []).map(({ value, quantity }) => formatQuantity(value, quantity, format)).join(' · ')

/** What stands behind a number, in a few words: its clause, layer, table row, or where it was given. */
export function referenceText({ basis }: Traced): string {
  switch (basis.kind) {
    case 'given':
      return basis.from
    case 'parameter':
      return [basis.clause, basis.layer, basis.fromMemory ? 'from memory' : undefined].filter(Boolean).join(', ')
    case 'table':
      return `${basis.table.clause}, row ${basis.row}${basis.table.fromMemory ? ', from memory' : ''}`
    default:
      return basis.clause
  }
}

/** The trace as indented lines of text: formulae with their inputs, sums with their terms. */
export function traceLines(traced: Traced, format: NumberFormat, indent = ''): readonly string[] {
  const { symbol, value, quantity, basis } = traced
  const deeper = `${indent}  `
  const result = formatQuantity(value, quantity, format)
  switch (basis.kind) {
    case 'formula': {
      const worked = `${inGreek(casesText(basis.expression))} = ${withNumbers(basis.expression, basis.inputs, format)}`
      const inputs = Object.entries(basis.inputs).flatMap(([name, input]) =>
        traceLines({ ...input, symbol: inGreek(name) }, format, deeper),
      )
      return [`${indent}${symbol} = ${worked} = ${result}   (${referenceText(traced)})`, ...inputs]
    }
    case 'sum': {
      const terms = basis.terms.flatMap((term) => termLines(term, traced, format, deeper))
      return [`${indent}${symbol} = ${result}   (${referenceText(traced)})`, ...terms]
    }
    case 'table':
      return [
        `${indent}${symbol} = ${result}   (${referenceText(traced)})`,
        ...basis.inputs.flatMap((input) => traceLines(input, format, deeper)),
      ]
    default:
      return [`${indent}${symbol} = ${result}   (${referenceText(traced)})`]
  }
}

function termLines(term: TracedTerm, sum: Traced, format: NumberFormat, indent: string): readonly string[] {
  const product = productText(term, format)
  const head = [formatQuantity(term.value, sum.quantity, format), term.label, product === '' ? '' : `= ${product}`]
  const line = `${indent}${head.filter(Boolean).join('  ')}${term.address ? `   → ${term.address}` : ''}`
  return [line, ...(term.traced ? traceLines(term.traced, format, `${indent}  `) : [])]
}
