/** Adds to a sum that is kept by place. */
export function addTo(row: Map<number, number>, place: number, value: number): void {
  row.set(place, (row.get(place) ?? 0) + value)
}
