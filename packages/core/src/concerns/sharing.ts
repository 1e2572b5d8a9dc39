import { expandedAt } from '../derivation/floorQueries'
import type { FloorState } from '../derivation/floorStates'
import type { ProjectState } from '../derivation/project'
import { labelOf } from '../document/labels'
import type { Concern } from '../outcome/outcome'
import type { RegionSource } from '../rundown/sources'

interface Shared {
  readonly floor: FloorState
  readonly source: RegionSource
}

/** One entry per panel record: the levels of one layout share alike. */
function sharedPanels({ floors }: ProjectState): readonly Shared[] {
  const found = new Map<string, Shared>()
  for (const floor of floors)
    for (const source of floor.operator.plan.sources)
      if (source.kind === 'region') found.set(source.id, found.get(source.id) ?? { floor, source })
  return [...found.values()]
}

/** Panels of which a part has one support only: it takes all and is twisted. */
export function oneSupport(state: ProjectState): readonly Concern[] {
  const panels = new Map(
    sharedPanels(state).flatMap(({ floor, source }) =>
      source.share.torque > 1e-6 ? [[source.panel.panel.id, floor] as const] : [],
    ),
  )
  return [...panels].map(([id, floor]) => ({
    code: 'panel.one-support',
    severity: 'caution',
    about: [expandedAt(floor, id)],
    data: { label: labelOf(state.document, id) },
  }))
}

/** Panels that hand their load to corners, and have too few of them that something stands under. */
export function cornersMissing(state: ProjectState): readonly Concern[] {
  const panels = new Map(
    sharedPanels(state).flatMap(({ floor, source: { panel, share } }) =>
      panel.panel.sharing === 'corners' && share.notCarried > 0 ? [[panel.panel.id, floor] as const] : [],
    ),
  )
  return [...panels].map(([id, floor]) => ({
    code: 'panel.corners',
    severity: 'blocking',
    about: [expandedAt(floor, id)],
    data: { label: labelOf(state.document, id) },
  }))
}

/** Members nearer than 50 mm along a strip, which share as one support. */
export function closeSupports(state: ProjectState): readonly Concern[] {
  const found = new Map<string, Concern>()
  for (const { source } of sharedPanels(state))
    for (const [a, b] of source.share.merged) {
      const { id } = source.panel.panel
      const [label = '', first = '', second = ''] = [id, a, b].map((record) => labelOf(state.document, record))
      const about = [id, a, b]
      found.set(about.join(), {
        code: 'panel.close-supports',
        severity: 'note',
        about,
        data: { label, a: first, b: second },
      })
    }
  return [...found.values()]
}
