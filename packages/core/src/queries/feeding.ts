import { expandedAt, floorIn, type Place } from '../derivation/floorQueries'

/** What hands load to a beam or column on its own level: beams that rest on it, directly or through others, and panels. */
export interface Feeding {
  readonly beams: readonly string[]
  readonly panels: readonly string[]
}

export function feedingOf({ floor: standing, row }: Place, target: 'beam' | 'column', caseId: string): Feeding {
  const floor = floorIn(standing, caseId)
  const { frame, sources } = floor.operator.plan
  const restOn = (on: 'beam' | 'column', index: number) =>
    frame.beams.flatMap(({ supports }, i) =>
      supports.some((support) => support.on === on && support.index === index) ? [i] : [],
    )
  const found = new Set<number>(restOn(target, row))
  // a set grows while it is walked through
  for (const beam of found) for (const next of restOn('beam', beam)) found.add(next)
  const takers = new Set(found)
  if (target === 'beam') takers.add(row)
  const { start, index } = floor.operator.toBeams
  const panels = new Set<string>()
  sources.forEach((source, i) => {
    if (source.kind !== 'region') return
    const entries = index.subarray(start[i] ?? 0, start[i + 1] ?? 0)
    if (entries.some((beam) => takers.has(beam))) panels.add(expandedAt(floor, source.panel.panel.id))
  })
  return {
    beams: [...found].map((i) => expandedAt(floor, frame.beams[i]?.member.id ?? '')),
    panels: [...panels],
  }
}
