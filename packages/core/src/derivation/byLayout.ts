/** Records by the layout they belong to, in the order of their ids. */
export function byLayout<T extends { readonly layout: string }>(list: readonly T[]): ReadonlyMap<string, readonly T[]> {
  const grouped = new Map<string, T[]>()
  for (const record of list) {
    const there = grouped.get(record.layout)
    if (there) there.push(record)
    else grouped.set(record.layout, [record])
  }
  return grouped
}
