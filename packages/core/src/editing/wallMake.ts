import type { Edit } from '../document/changes'
import { newId, recordsOf, type Document, type Random } from '../document/document'
import type { BuildUp, WallRun } from '../document/recordKinds'
import type { Drawn } from './shaped'
import { withoutSpared } from './sparedMembers'

/** Walls made of one new list of layers, which begins with a layer of the weight that was typed, so that no load changes. */
export function wallOfLayersEdits(runs: readonly WallRun[], random: Random): readonly Edit[] {
  const [first] = runs
  if (!first) return []
  const buildUp: BuildUp = {
    kind: 'buildUp',
    id: newId('buildUp', random),
    name: `Wall ${first.label}`,
    layers: [{ name: 'wall', thickness: null, unitWeight: null, load: first.weight, source: '' }],
  }
  return [
    { id: buildUp.id, before: null, after: buildUp },
    ...runs.map((before): Edit => ({ id: before.id, before, after: { ...before, buildUp: buildUp.id } })),
  ]
}

/** Layers that nothing is made of once some walls are not. */
function leftBuildUps(document: Document, runs: readonly WallRun[]): readonly Edit[] {
  const own = new Set<string>(runs.map(({ id }) => id))
  const kept = new Set<string | null>([
    ...recordsOf(document, 'loadKey').map(({ buildUp }) => buildUp),
    ...recordsOf(document, 'wallRun').flatMap(({ id, buildUp }) => (own.has(id) ? [] : [buildUp])),
  ])
  const left = new Set(runs.flatMap(({ buildUp }) => (buildUp && !kept.has(buildUp) ? [buildUp] : [])))
  return [...left].flatMap((id): Edit[] => {
    const before = document.records.get(id)
    return before ? [{ id, before, after: null }] : []
  })
}

/** Walls whose weight is typed again, as it was before they had layers; layers that nothing is made of any more go. */
export const wallTypedEdits = (document: Document, runs: readonly WallRun[]): readonly Edit[] => [
  ...runs.map((before): Edit => ({ id: before.id, before, after: { ...before, buildUp: null } })),
  ...leftBuildUps(document, runs),
]

/** Drawn things away, the layers that were theirs alone, and what panels say of members that go. */
export const deletionEdits = (document: Document, records: readonly Drawn[]): readonly Edit[] => [
  ...records.map((before): Edit => ({ id: before.id, before, after: null })),
  ...withoutSpared(recordsOf(document, 'panel'), new Set(records.map(({ id }) => id))),
  ...leftBuildUps(
    document,
    records.filter((record) => record.kind === 'wallRun'),
  ),
]
