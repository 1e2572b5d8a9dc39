import type { Traced } from '../trace/traced'

/** One case of a formula, as standards write them: a value, and the condition that it is for; null for what is left. */
export interface FormulaCase {
  readonly value: string
  readonly condition: string | null
}

/** `a <= b ? x : (a <= c ? y : z)` as cases: x where a ≤ b, y where a ≤ c, z otherwise. A formula without a choice is one case. */
export function casesOf(expression: string): readonly FormulaCase[] {
  const plain = withoutBrackets(expression.trim())
  const asks = outside(plain, '?')
  if (asks < 0) return [{ value: plain, condition: null }]
  const rest = plain.slice(asks + 1)
  const colon = outside(rest, ':')
  return [
    { value: rest.slice(0, colon).trim(), condition: plain.slice(0, asks).trim() },
    ...casesOf(rest.slice(colon + 1)),
  ]
}

/** The case that holds for the inputs: the first whose condition is met. */
export const caseThatHolds = (expression: string, inputs: Readonly<Record<string, Traced>>): string =>
  casesOf(expression).find(({ condition }) => condition === null || isMet(condition, inputs))?.value ?? expression

/** Where a sign stands outside of all brackets; -1 where it does not. */
function outside(text: string, sign: string): number {
  let depth = 0
  for (let i = 0; i < text.length; i++) {
    const letter = text.charAt(i)
    if (letter === '(') depth++
    else if (letter === ')') depth--
    else if (letter === sign && depth === 0) return i
  }
  return -1
}

/** Brackets round all of it say nothing. */
function withoutBrackets(text: string): string {
  if (!text.startsWith('(') || !text.endsWith(')')) return text
  const inner = text.slice(1, -1)
  let depth = 0
  for (const letter of inner) {
    depth += letter === '(' ? 1 : letter === ')' ? -1 : 0
    if (depth < 0) return text
  }
  return inner.trim()
}

function isMet(condition: string, inputs: Readonly<Record<string, Traced>>): boolean {
  const [, left = '', sign = '', right = ''] = /^(\S+) (<=|>=|<|>) (\S+)$/.exec(condition) ?? []
  const [a, b] = [left, right].map((name) => inputs[name]?.value ?? Number(name))
  if (a === undefined || b === undefined) return false
  if (sign === '<=') return a <= b
  if (sign === '>=') return a >= b
  return sign === '<' ? a < b : a > b
}
