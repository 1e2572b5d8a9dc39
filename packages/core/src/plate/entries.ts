/** An entry of a list of numbers; what was never set is nought. */
export const at = (list: ArrayLike<number>, i: number): number => list[i] ?? 0

/** Adds to a sum that is kept by place. */
export function addTo(row: Map<number, number>, place: number, value: number): void {
  row.set(place, (row.get(place) ?? 0) + value)
}
