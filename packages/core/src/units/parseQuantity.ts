import { orRefused, refuse } from '../outcome/refusal'
import { formatNumber, type NumberFormat } from './format'
import { displayFactor, typedUnits, type Quantity } from './quantity'

export type ParsedQuantity =
  { readonly ok: true; readonly value: number } | { readonly ok: false; readonly problem: string }

interface Cursor {
  readonly text: string
  at: number
}

/**
 * Reads what a person typed into a field: a number in the field's display unit, a number with a unit ("6 in",
 * "0.5 kip/ft", "2 ft 6 in"), or a small sum of these ("3.15 - 0.45"). Answers the SI value, or one sentence.
 */
export function parseQuantity(text: string, quantity: Quantity, format: NumberFormat): ParsedQuantity {
  const clean = text
    .replace(/[\u00a0\u202f]/g, ' ')
    .replace(/−/g, '-')
    .trim()
  if (clean === '') return { ok: false, problem: 'Type a value.' }
  if (clean.length > 80) return { ok: false, problem: 'This is too long for a value: 80 characters at most.' }
  const ambiguous = ambiguousThousands(clean, format)
  if (ambiguous) return { ok: false, problem: ambiguous }
  const cursor: Cursor = { text: clean, at: 0 }
  return orRefused(() => {
    const value = readSum(cursor, quantity, format)
    if (cursor.at < clean.length) refuse(`“${clean.slice(cursor.at)}” is not understood.`)
    if (!Number.isFinite(value) || Math.abs(value) > 1e15) refuse('This number is too large.')
    return { ok: true, value: value === 0 ? 0 : value }
  })
}

/** "1,200" may mean twelve hundred or one and a fifth: refused with both readings. */
function ambiguousThousands(text: string, format: NumberFormat): string | undefined {
  const mark = format.decimal === 'point' ? ',' : '.'
  const found = new RegExp(`\\d+\\${mark}\\d+`).exec(text)
  if (!found) return undefined
  const [whole = '', fraction = ''] = found[0].split(mark)
  const decimalMark = format.decimal === 'point' ? '.' : ','
  const asFraction = `${whole}${decimalMark}${fraction}`
  if (fraction.length !== 3) return `“${found[0]}” is not understood here: write ${asFraction}.`
  return `“${found[0]}” can be read as ${formatNumber(Number(whole + fraction), 0, format.decimal)} or as ${asFraction}: write ${whole}${fraction} or ${asFraction}.`
}

const skipSpace = (cursor: Cursor) => {
  while (cursor.text[cursor.at] === ' ') cursor.at++
}

const peek = (cursor: Cursor): string => {
  skipSpace(cursor)
  return cursor.text[cursor.at] ?? ''
}

function readSum(cursor: Cursor, quantity: Quantity, format: NumberFormat): number {
  let value = readTerm(cursor, quantity, format)
  for (let sign = peek(cursor); sign === '+' || sign === '-'; sign = peek(cursor)) {
    cursor.at++
    const next = readTerm(cursor, quantity, format)
    value += sign === '+' ? next : -next
  }
  return value
}

function readTerm(cursor: Cursor, quantity: Quantity, format: NumberFormat): number {
  let { value, plain } = readFactor(cursor, quantity, format)
  for (let sign = peek(cursor); sign === '*' || sign === '·' || sign === '/'; sign = peek(cursor)) {
    cursor.at++
    const next = readFactor(cursor, quantity, format)
    if (sign === '/') {
      if (!next.plain) refuse('Divide by a plain number only.')
      if (next.value === 0) refuse('This divides by zero.')
      value /= next.value
    } else {
      if (!next.plain && !plain) refuse('Multiply by a plain number only.')
      value *= next.value
    }
    plain = plain && next.plain
  }
  return plain ? value * displayFactor(quantity, format.system) : value
}

interface Factor {
  readonly value: number
  /** No unit was written: the number is still to be taken in the field's display unit. */
  readonly plain: boolean
}

function readFactor(cursor: Cursor, quantity: Quantity, format: NumberFormat): Factor {
  const next = peek(cursor)
  if (next === '-' || next === '+') {
    cursor.at++
    const factor = readFactor(cursor, quantity, format)
    return next === '-' ? { ...factor, value: -factor.value } : factor
  }
  if (next === '(') {
    cursor.at++
    const value = readSum(cursor, quantity, format)
    if (peek(cursor) !== ')') refuse('A bracket is not closed.')
    cursor.at++
    return { value: value / displayFactor(quantity, format.system), plain: true }
  }
  return readMeasure(cursor, quantity, format)
}

/** One number with or without a unit; numbers with units that follow each other add up ("2 ft 6 in"). */
function readMeasure(cursor: Cursor, quantity: Quantity, format: NumberFormat): Factor {
  const value = readNumber(cursor, format)
  const unit = readUnit(cursor, quantity)
  if (unit === undefined) return { value, plain: true }
  let total = value * unit
  while (/\d/.test(peek(cursor))) {
    const more = readNumber(cursor, format)
    total += more * (readUnit(cursor, quantity) ?? refuse('Each part needs a unit, as in “2 ft 6 in”.'))
  }
  return { value: total, plain: false }
}

function readNumber(cursor: Cursor, format: NumberFormat): number {
  skipSpace(cursor)
  const pattern =
    format.decimal === 'comma' ? /(\d+(,\d*)?|,\d+)(e[+-]?\d{1,3})?/iy : /(\d+(\.\d*)?|\.\d+)(e[+-]?\d{1,3})?/iy
  pattern.lastIndex = cursor.at
  const found = pattern.exec(cursor.text)
  if (!found) {
    const rest = cursor.text.slice(cursor.at)
    return refuse(rest === '' ? 'A number is missing at the end.' : `“${rest}” is not a number.`)
  }
  cursor.at += found[0].length
  return Number(found[0].replace(',', '.'))
}

function readUnit(cursor: Cursor, quantity: Quantity): number | undefined {
  skipSpace(cursor)
  const found = /[a-zA-Z°%][a-zA-Z0-9°²³-]*(\/[a-zA-Z][a-zA-Z0-9²³]*)?/y
  found.lastIndex = cursor.at
  const match = found.exec(cursor.text)
  if (!match) return undefined
  const unit = typedUnits[quantity].find(({ symbol }) => symbol === match[0])
  if (!unit) {
    const known = [...new Set(typedUnits[quantity].map(({ symbol }) => symbol))].slice(0, 8).join(', ')
    return refuse(`“${match[0]}” is not a unit for this value${known ? ` (use ${known})` : ': it has no unit'}.`)
  }
  cursor.at += match[0].length
  return unit.si
}
