/** A text that is equal for equal content, whatever the order of the keys. Throws on what is not plain data. */
export function canonical(value: unknown): string {
  if (value === null || typeof value === 'boolean' || typeof value === 'string') return JSON.stringify(value)
  if (typeof value === 'number') {
    if (!Number.isFinite(value)) throw new Error('A record holds a number that is not finite')
    return Object.is(value, -0) ? '-0' : String(value)
  }
  if (Array.isArray(value)) return `[${value.map(canonical).join()}]`
  if (
    typeof value !== 'object' ||
    (Object.getPrototypeOf(value) !== Object.prototype && Object.getPrototypeOf(value) !== null)
  )
    throw new Error(`Not plain data: ${typeof value}`)
  const entries = Object.entries(value as Record<string, unknown>).filter(([, entry]) => entry !== undefined)
  return `{${entries
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([key, entry]) => `${JSON.stringify(key)}:${canonical(entry)}`)
    .join()}}`
}
