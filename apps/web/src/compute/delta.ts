/** How one plain value differs from another: another value altogether, some fields of an object, or some entries of a list. */
export type Delta =
  | { readonly to: unknown }
  | { readonly fields: Readonly<Record<string, Delta>> }
  | { readonly length: number; readonly items: readonly (readonly [index: number, delta: Delta])[] }

type Fields = Readonly<Record<string, unknown>>

/** An object literal of whatever realm: neither a list nor a typed array. */
const isFields = (value: unknown): value is Fields => Object.prototype.toString.call(value) === '[object Object]'

/** What leads from one plain value to another; null where they are equal. Numbers are equal as JSON has them. */
export function deltaOf(before: unknown, after: unknown): Delta | null {
  if (before === after || (Number.isNaN(before) && Number.isNaN(after))) return null
  if (Array.isArray(before) && Array.isArray(after)) return listDelta(before, after)
  if (isFields(before) && isFields(after)) return fieldsDelta(before, after)
  return { to: after }
}

/** A list of which more than half is new goes as a whole. */
function listDelta(before: readonly unknown[], after: readonly unknown[]): Delta | null {
  const items: (readonly [number, Delta])[] = []
  for (const [index, value] of after.entries()) {
    const delta = index < before.length ? deltaOf(before[index], value) : { to: value }
    if (delta) items.push([index, delta])
    if (items.length > 8 && items.length > after.length / 2) return { to: after }
  }
  return items.length === 0 && before.length === after.length ? null : { length: after.length, items }
}

function fieldsDelta(before: Fields, after: Fields): Delta | null {
  const keys = Object.keys(after)
  if (keys.length !== Object.keys(before).length || keys.some((key) => !Object.hasOwn(before, key)))
    return { to: after }
  const fields: Record<string, Delta> = {}
  for (const key of keys) {
    const delta = deltaOf(before[key], after[key])
    if (delta) fields[key] = delta
  }
  return Object.keys(fields).length === 0 ? null : { fields }
}

/** The other value; what is equal in it stays the same object, so that whoever shows it sees what changed. */
export function withDelta(before: unknown, delta: Delta): unknown {
  if ('to' in delta) return delta.to
  if ('fields' in delta) {
    const changed = Object.entries(delta.fields).map(([key, part]) => [key, withDelta((before as Fields)[key], part)])
    return { ...(before as Fields), ...Object.fromEntries(changed) }
  }
  const list = (before as readonly unknown[]).slice(0, delta.length)
  for (const [index, part] of delta.items) list[index] = withDelta(list[index], part)
  return list
}
