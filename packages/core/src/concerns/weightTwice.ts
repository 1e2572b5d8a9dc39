import { keyOfRegion } from '../derivation/floorQueries'
import type { ProjectState } from '../derivation/project'
import { panelOf } from '../document/labels'
import type { BuildUp } from '../document/recordKinds'
import type { Concern } from '../outcome/outcome'
import type { RegionSource } from '../rundown/sources'

/** Self-weight that does not count once: with another factor, or left to others. */
export function weightNotOnce({ basis }: ProjectState): readonly Concern[] {
  if (!basis || basis.selfWeightFactor === 1) return []
  const data = { factor: basis.selfWeightFactor }
  return [{ code: 'selfweight.factor', about: [basis.id], data }]
}

/** A slab weighed through its thickness and again as a concrete layer of the build-up on it; once per build-up. */
export function weightTwice(state: ProjectState): readonly Concern[] {
  const found = new Map<string, Concern>()
  for (const { operator } of state.floors)
    for (const source of operator.plan.sources) {
      const concern = source.kind === 'region' ? twiceOn(state, source) : undefined
      if (concern) found.set(concern.about[0] ?? '', concern)
    }
  return [...found.values()]
}

function twiceOn(state: ProjectState, source: RegionSource): Concern | undefined {
  const panel = panelOf(state.document, source.panel.panel.id)
  const buildUp = buildUpOf(state, source)
  const layer = buildUp && structuralConcrete(buildUp)
  if (!panel?.slab || !layer) return undefined
  const data = { layer: layer.name, thickness: layer.thickness ?? 0, slab: panel.slab.thickness, panel: panel.label }
  return { code: 'selfweight.twice', about: [buildUp.id, panel.id], data }
}

function buildUpOf(state: ProjectState, source: RegionSource): BuildUp | undefined {
  const key = state.keys.get(keyOfRegion(state, source) ?? '')?.key
  const record = key?.buildUp ? state.document.records.get(key.buildUp) : undefined
  return record?.kind === 'buildUp' ? record : undefined
}

/** A layer as thick and as heavy as a structural slab (common practice: 80 mm and more, 23 to 26 kN/m3). */
const structuralConcrete = ({ layers }: BuildUp): BuildUp['layers'][number] | undefined =>
  layers.find(
    ({ thickness, unitWeight }) =>
      (thickness ?? 0) >= 0.08 && (unitWeight ?? 0) >= 23_000 && (unitWeight ?? 0) <= 26_000,
  )
