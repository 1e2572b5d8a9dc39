import { readCase } from '../derivation/cells'
import { expandedAt } from '../derivation/floorQueries'
import type { FloorState } from '../derivation/floorStates'
import type { ProjectState } from '../derivation/project'
import { labelOf } from '../document/labels'
import type { Concern } from '../outcome/outcome'

/** A panel without imposed load whose neighbours on the level have some. */
export const unloadedPanels = (state: ProjectState): readonly Concern[] =>
  state.floors.flatMap((floor) => {
    const loads = imposedByPanel(state, floor)
    const bare = [...loads].filter(([, load]) => load === 0)
    if (bare.length === loads.size) return []
    const data = { level: floor.level.name, neighbours: loads.size - bare.length }
    return bare.map(([id]): Concern => ({
      code: 'panel.unloaded',
      about: [expandedAt(floor, id)],
      data: { label: labelOf(state.document, id), ...data },
    }))
  })

function imposedByPanel(state: ProjectState, { operator, intensities }: FloorState): ReadonlyMap<string, number> {
  const imposed = state.actions.filter(({ id }) => id === 'imposed' || id === 'roof').flatMap(({ cases }) => cases)
  const readers = imposed.map(({ id }) => readCase(state, id))
  const loads = new Map<string, number>()
  operator.plan.sources.forEach((source, row) => {
    if (source.kind !== 'region') return
    const { id } = source.panel.panel
    loads.set(id, (loads.get(id) ?? 0) + readers.reduce((sum, at) => sum + at(intensities, row), 0))
  })
  return loads
}
