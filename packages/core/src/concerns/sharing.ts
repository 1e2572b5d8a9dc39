import { readCase } from '../derivation/cells'
import { recordOfSource } from '../rundown/sources'
import { turnsByMember } from '../sharing/share'
import { expandedAt } from '../derivation/floorQueries'
import type { FloorState } from '../derivation/floorStates'
import type { ProjectState } from '../derivation/project'
import { labelOf } from '../document/labels'
import { caseName } from './caseName'
import type { Concern } from '../outcome/outcome'
import { converged } from '../plate/plate'
import type { RegionSource } from '../rundown/sources'
import type { SharingRule } from '../sharing/sharer'

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

/** Nm */
const felt = 1

/**
 * Loads on a part of a panel that has one support only: it takes all, and is turned about its axis. With the largest moment about one
 * member in one case.
 */
export function oneSupport(state: ProjectState): readonly Concern[] {
  const cases = state.caseIds.map((id) => [id, readCase(state, id)] as const)
  const found = new Map<string, Concern>()
  for (const floor of state.floors)
    floor.operator.plan.sources.forEach((source, row) => {
      if (source.share.torque <= 1e-6) return
      const id = source.kind === 'region' ? source.panel.panel.id : recordOfSource(source)
      const turned = [...turnsByMember(source.share)]
      const most = cases
        .flatMap(([caseId, at]) => {
          const q = at(floor.intensities, row)
          return turned.map(([member, moment]) => ({ caseId, member, moment: q * moment }))
        })
        .reduce((a, b) => (Math.abs(b.moment) > Math.abs(a.moment) ? b : a), { caseId: '', member: '', moment: 0 })
      const known = found.get(id)?.data['moment'] ?? 0
      const isPanel = source.kind === 'region'
      // a panel is named whatever its load; a wall or load where it turns something
      if (found.has(id) ? Math.abs(most.moment) <= Math.abs(Number(known)) : !isPanel && Math.abs(most.moment) < felt)
        return
      found.set(id, {
        code: isPanel ? 'panel.one-support' : 'load.one-support',
        about: [expandedAt(floor, id)],
        data: {
          label: labelOf(state.document, id),
          what: source.kind,
          level: floor.level.name,
          member: labelOf(state.document, most.member),
          moment: Math.abs(most.moment),
          case: most.caseId,
          caseName: caseName(state, most.caseId),
        },
      })
    })
  return [...found.values()]
}

/** What is said of a panel whose rule finds too little to stand on, by the rule. */
const lacking: Partial<Readonly<Record<SharingRule, Concern['code']>>> = {
  corners: 'panel.corners',
  stiffness: 'panel.plate',
}

/** Panels whose rule asks for more than stands under them: three corners, or a slab on beams and columns that hold it. */
export function ruleLacks(state: ProjectState): readonly Concern[] {
  const panels = new Map(
    sharedPanels(state).flatMap(({ floor, source: { panel, share } }) =>
      share.notCarried > 0 ? [[panel.panel.id, { floor, share, code: lacking[panel.panel.sharing] }] as const] : [],
    ),
  )
  return [...panels].flatMap(([id, { floor, share, code }]): Concern[] =>
    code
      ? [
          {
            code,
            about: [expandedAt(floor, id)],
            data: {
              label: labelOf(state.document, id),
              lacks: share.lacks ?? '',
              ...(share.reached ?? {}),
            },
          },
        ]
      : [],
  )
}

/** Plates whose members still change by more than they should where the mesh may grow no finer. */
export function coarsePlates(state: ProjectState): readonly Concern[] {
  const found = new Map<string, Concern>()
  for (const { floor, source } of sharedPanels(state)) {
    const { reached } = source.share
    const { id } = source.panel.panel
    if (!reached || source.share.lacks || reached.change < converged) continue
    found.set(id, {
      code: 'panel.mesh',
      about: [expandedAt(floor, id)],
      data: { label: labelOf(state.document, id), ...reached },
    })
  }
  return [...found.values()]
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
        about,
        data: { label, a: first, b: second },
      })
    }
  return [...found.values()]
}
