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
 * "0.5 kip/ft", "2 ft 6 in"), or a small sum of these ("3.15 - 0.45"). A plain number that is a term takes the unit; in a product or
 * quotient plain numbers are factors, and the result takes it. Answers the SI value, or one sentence.
 * @param heading - the unit of plain numbers where a table says it in its heading; else they are in the display unit
 */
export function parseQuantity(text: string, quantity: Quantity, format: NumberFormat, heading = ''): ParsedQuantity {
  const clean = text
    .replace(/[\u00a0\u202f]/g, ' ')
    .replace(/−/g, '-')
    .trim()
  if (clean === '') return { ok: false, problem: 'Enter a value.' }
  if (clean.length > 80) return { ok: false, problem: 'This is too long for a value: 80 characters at most.' }
  const ambiguous = ambiguousThousands(clean, format)
  if (ambiguous) return { ok: false, problem: ambiguous }
  const cursor: Cursor = { text: clean, at: 0 }
  return orRefused(() => {
    // asked for where a plain number is: a heading that is no unit harms no cell with a unit of its own
    const plainUnit = () => (heading === '' ? displayFactor(quantity, format.system) : factorOf(heading, quantity))
    const reading: Reading = { quantity, format, plainUnit }
    const value = inUnit(readSum(cursor, reading), reading)
    if (cursor.at < clean.length) refuse(`“${clean.slice(cursor.at)}” is not understood.`)
    if (!Number.isFinite(value) || Math.abs(value) > 1e15) refuse('This number is too large.')
    return { ok: true, value: value === 0 ? 0 : value }
  })
}

/** What a text is read as. */
interface Reading {
  readonly quantity: Quantity
  readonly format: NumberFormat
  /** SI value of one where no unit is written. */
  readonly plainUnit: () => number
}

/** A number, or a measure in SI where a unit was written. */
interface Amount {
  readonly value: number
  /** No unit was written: the number is still to be taken in that of plain numbers. */
  readonly plain: boolean
}

const inUnit = ({ value, plain }: Amount, { plainUnit }: Reading): number => (plain ? value * plainUnit() : value)

/** "1,200" may mean twelve hundred or one and a fifth: refused with both readings. */
function ambiguousThousands(text: string, format: NumberFormat): string | undefined {
  const mark = format.decimal === 'point' ? ',' : '.'
  const found = new RegExp(`\\d+\\${mark}\\d+`).exec(text)
  if (!found) return undefined
  const [whole = '', fraction = ''] = found[0].split(mark)
  const decimalMark = format.decimal === 'point' ? '.' : ','
  const asFraction = `${whole}${decimalMark}${fraction}`
  if (fraction.length !== 3) return `“${found[0]}” is not understood. Write ${asFraction}.`
  return `“${found[0]}” can be read as ${formatNumber(Number(whole + fraction), 0, format.decimal)} or as ${asFraction}: write ${whole}${fraction} or ${asFraction}.`
}

const skipSpace = (cursor: Cursor) => {
  while (cursor.text[cursor.at] === ' ') cursor.at++
}

const peek = (cursor: Cursor): string => {
  skipSpace(cursor)
  return cursor.text[cursor.at] ?? ''
}

/** A sum of plain numbers is a plain number, so that a bracket of them can be a factor. */
function readSum(cursor: Cursor, reading: Reading): Amount {
  let sum = readTerm(cursor, reading)
  for (let sign = peek(cursor); sign === '+' || sign === '-'; sign = peek(cursor)) {
    cursor.at++
    const next = readTerm(cursor, reading)
    const plain = sum.plain && next.plain
    const [a, b] = [sum, next].map((term) => (plain ? term.value : inUnit(term, reading))) as [number, number]
    sum = { value: sign === '+' ? a + b : a - b, plain }
  }
  return sum
}

function readTerm(cursor: Cursor, reading: Reading): Amount {
  let term = readFactor(cursor, reading)
  for (let sign = peek(cursor); sign === '*' || sign === '·' || sign === '/'; sign = peek(cursor)) {
    cursor.at++
    const next = readFactor(cursor, reading)
    if (sign === '/') {
      if (!next.plain) refuse('Divide by a plain number only.')
      if (next.value === 0) refuse('This divides by zero.')
      term = { value: term.value / next.value, plain: term.plain }
    } else {
      if (!next.plain && !term.plain) refuse('Multiply by a plain number only.')
      term = { value: term.value * next.value, plain: term.plain && next.plain }
    }
  }
  return term
}

function readFactor(cursor: Cursor, reading: Reading): Amount {
  const next = peek(cursor)
  if (next === '-' || next === '+') {
    cursor.at++
    const factor = readFactor(cursor, reading)
    return next === '-' ? { ...factor, value: -factor.value } : factor
  }
  if (next === '(') {
    cursor.at++
    const sum = readSum(cursor, reading)
    if (peek(cursor) !== ')') refuse('A bracket is not closed.')
    cursor.at++
    return sum
  }
  return readMeasure(cursor, reading)
}

/** One number with or without a unit; numbers with units that follow each other add up ("2 ft 6 in"). */
function readMeasure(cursor: Cursor, { quantity, format }: Reading): Amount {
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
  const factor = factorOf(match[0], quantity)
  cursor.at += match[0].length
  return factor
}

function factorOf(symbol: string, quantity: Quantity): number {
  const unit = typedUnits[quantity].find((candidate) => candidate.symbol === symbol)
  if (unit) return unit.si
  const known = [...new Set(typedUnits[quantity].map((candidate) => candidate.symbol))].slice(0, 8).join(', ')
  return refuse(`“${symbol}” is not a unit for this value${known ? ` (use ${known})` : ': it has no unit'}.`)
}
