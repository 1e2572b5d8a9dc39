interface Standing {
  readonly supports: readonly { readonly on: 'column' | 'beam'; readonly index: number }[]
}

export interface SupportOrder {
  /** Beams in the order in which they hand on: each after all that rest on it, rings left out. */
  readonly order: readonly number[]
  /** Beams that carry each other in a ring (or lie between two rings). */
  readonly loop: readonly number[]
}

/** Finds rings first, then Kahn's order over "rests on" among the other beams. */
export function supportOrder(beams: readonly Standing[]): SupportOrder {
  const under = beams.map(({ supports }) => supports.flatMap(({ on, index }) => (on === 'beam' ? [index] : [])))
  const over: number[][] = beams.map(() => [])
  under.forEach((targets, index) => targets.forEach((target) => over[target]?.push(index)))
  const hasNothingInRingAbove = new Set(peel(under, over, new Set()))
  // what is left stands in a ring or below one; taking away from below leaves the rings
  const below = new Set(peel(over, under, hasNothingInRingAbove))
  const loop = beams.flatMap((_, index) => (hasNothingInRingAbove.has(index) || below.has(index) ? [] : [index]))
  return { order: peel(under, over, new Set(loop)), loop }
}

/** Takes nodes, again and again, that no other node points at; `left out` nodes count as gone already. */
export function peel(
  next: readonly (readonly number[])[],
  from: readonly (readonly number[])[],
  leftOut: ReadonlySet<number>,
): number[] {
  const waitingFor = Int32Array.from(from, (sources) => sources.filter((source) => !leftOut.has(source)).length)
  const order = next.flatMap((_, index) => (waitingFor[index] === 0 && !leftOut.has(index) ? [index] : []))
  for (let i = 0; i < order.length; i++)
    for (const target of next[order[i] ?? -1] ?? []) {
      waitingFor[target] = (waitingFor[target] ?? 0) - 1
      if (waitingFor[target] === 0 && !leftOut.has(target)) order.push(target)
    }
  return order
}
