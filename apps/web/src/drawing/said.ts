import { formatQuantity, formatValue, unitOf, type NumberFormat, type Quantity } from '@hedrion/core'
import type { Label } from './scene'

/** A number of a drawing: whether its unit stands beside it is decided for the drawing as a whole. */
export const said = (
  value: number,
  quantity: Quantity,
  format: NumberFormat,
  words: (number: string) => string = (number) => number,
): Pick<Label, 'text' | 'value'> => ({
  text: words(formatValue(value, quantity, format)),
  value: {
    size: Math.abs(value),
    unit: unitOf(quantity, format),
    text: words(formatQuantity(value, quantity, format)),
  },
})

/** Several numbers with units of their own in one text. */
export const composed = (text: string): Pick<Label, 'text' | 'value'> => ({
  text,
  value: { size: 0, unit: composedUnit, text },
})

const composedUnit = 'composed'

/**
 * Numbers of one drawing carry units alike: none does where all are of one unit, which is said once beside the scale;
 * else each does.
 */
export function withUnitsAlike(labels: readonly Label[]): {
  readonly labels: readonly Label[]
  readonly unit: string | null
} {
  const units = new Set(labels.flatMap(({ value }) => value?.unit ?? []))
  const [unit = null] = units
  if (units.size < 2) return { labels, unit: unit === composedUnit ? null : unit }
  return { labels: labels.map((label) => (label.value ? { ...label, text: label.value.text } : label)), unit: null }
}

/** The first label of each unit that says the largest number of that unit: never left out. */
export function largestOfEach(labels: readonly Label[]): ReadonlySet<Label> {
  const most = new Map<string, Label>()
  for (const label of labels) {
    const { value } = label
    if (!value || value.unit === composedUnit) continue
    if (value.size > (most.get(value.unit)?.value?.size ?? 0)) most.set(value.unit, label)
  }
  return new Set(most.values())
}
