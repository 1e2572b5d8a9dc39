import type { Vocabulary } from '../outcome/vocabulary'
import { displayFactor, displayUnits, type Quantity, type UnitSystem } from './quantity'

/** How a project writes: its units, its decimal sign, and the words of its family where they are others than the product's. */
export interface NumberFormat {
  readonly system: UnitSystem
  readonly decimal: 'point' | 'comma'
  readonly words?: Vocabulary
}

export const metricPoint: NumberFormat = { system: 'metric', decimal: 'point' }

const thinSpace = '\u202f'

/**
 * A number half-way between two that can be shown is the upper one, however it was added up: what adding in another order leaves behind
 * (some 1e-13 of it) does not decide, so that one sum is not shown as 502.3 here and as 502.2 there.
 */
const roundedOnce = (value: number): number => value * (1 + 1e-11)

/** Groups digits by a thin space, so that no separator can be taken for a decimal sign. */
export function formatNumber(value: number, decimals: number, decimal: NumberFormat['decimal']): string {
  if (!Number.isFinite(value)) return '–'
  const fixed = roundedOnce(Math.abs(value)).toFixed(decimals)
  const [whole = '0', fraction] = fixed.split('.')
  const grouped = whole.length > 3 ? whole.replace(/\B(?=(\d{3})+$)/g, thinSpace) : whole
  const sign = value < 0 && Number(fixed) !== 0 ? '−' : ''
  return `${sign}${grouped}${fraction === undefined ? '' : (decimal === 'comma' ? ',' : '.') + fraction}`
}

/** The number alone, in the quantity's display unit and with its decimals. */
export function formatValue(value: number, quantity: Quantity, format: NumberFormat): string {
  const { decimals } = displayUnits[format.system][quantity]
  return formatNumber(value / displayFactor(quantity, format.system), decimals, format.decimal)
}

export const unitOf = (quantity: Quantity, format: NumberFormat): string => displayUnits[format.system][quantity].symbol

/** Number and unit, as read in a sentence. */
export function formatQuantity(value: number, quantity: Quantity, format: NumberFormat): string {
  const unit = unitOf(quantity, format)
  return unit === '' ? formatValue(value, quantity, format) : `${formatValue(value, quantity, format)} ${unit}`
}
