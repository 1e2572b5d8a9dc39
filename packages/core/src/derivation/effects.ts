import { windDirectionOf } from '../actions/cases'
import { expanded, labelOf } from '../document/labels'
import type { Quantity } from '../units/quantity'
import { caseRow } from './cells'
import type { FloorState } from './floorStates'
import type { ProjectState } from './project'

export const effectKinds = ['reaction', 'columnForce', 'storeyShear', 'beamTotal'] as const
export type EffectKind = (typeof effectKinds)[number]

/** A result that combinations are made for: what, where and which component. */
export interface Effect {
  readonly kind: EffectKind
  /** `originId@levelId`; for a storey shear the level at the top of the storey. */
  readonly expandedId: string
  readonly component: 'Z' | 'N' | 'x' | 'y'
  readonly label: string
  readonly levelName: string
  readonly quantity: Quantity
  /** One value per case at unit factor, N; gravity positive downwards, compression positive, shears in global axes. */
  readonly values: Float64Array
}

export const effectKey = ({ kind, expandedId, component }: Pick<Effect, 'kind' | 'expandedId' | 'component'>): string =>
  `${kind}:${expandedId}:${component}`

/** All effects of one kind, in the order of the building from the bottom. */
export function effectsOf(state: ProjectState, kind: EffectKind): readonly Effect[] {
  switch (kind) {
    case 'storeyShear':
      return storeyShears(state)
    case 'beamTotal':
      return state.floors.flatMap((floor) => beamTotals(state, floor))
    case 'columnForce':
      return state.floors.flatMap((floor) => columnEffects(state, floor, kind))
    case 'reaction':
      return state.floors.slice(0, 1).flatMap((floor) => columnEffects(state, floor, kind))
  }
}

function columnEffects(state: ProjectState, floor: FloorState, kind: 'reaction' | 'columnForce'): readonly Effect[] {
  return floor.operator.plan.frame.columns.map(({ member }, row) => ({
    kind,
    expandedId: expanded(member.id, floor.level.id),
    component: kind === 'reaction' ? 'Z' : 'N',
    label: labelOf(state.document, member.id),
    levelName: floor.level.name,
    quantity: 'force',
    values: caseRow(state, floor.rundown.feet, row),
  }))
}

function beamTotals(state: ProjectState, floor: FloorState): readonly Effect[] {
  return floor.operator.plan.frame.beams.map(({ member }, row) => ({
    kind: 'beamTotal',
    expandedId: expanded(member.id, floor.level.id),
    component: 'Z',
    label: labelOf(state.document, member.id),
    levelName: floor.level.name,
    quantity: 'force',
    values: caseRow(state, floor.rundown.beamTotals, row),
  }))
}

/** The shear in the storey under each level: the sum of the storey forces at that level and above. */
function storeyShears(state: ProjectState): readonly Effect[] {
  const results = state.wind?.results ?? []
  const levels = results[0]?.storeys.map(({ force }) => force.levelId) ?? []
  return levels.flatMap((levelId, from) =>
    (['x', 'y'] as const).map((component): Effect => {
      const values = Float64Array.from(state.caseIds, (caseId) => {
        const result = results.find(({ direction }) => direction.id === windDirectionOf(caseId))
        const above = result?.storeys.slice(from) ?? []
        return above.reduce((sum, { force }) => sum + (component === 'x' ? force.fx : force.fy), 0)
      })
      const levelName = labelOf(state.document, levelId)
      const label = from === 0 ? `base shear, with the force at ${levelName}` : `shear under ${levelName}`
      return { kind: 'storeyShear', expandedId: levelId, component, label, levelName, quantity: 'force', values }
    }),
  )
}

/** An effect by its key, or undefined where nothing has that key (any more). */
export function findEffect(state: ProjectState, key: string): Effect | undefined {
  const kind = effectKinds.find((candidate) => key.startsWith(`${candidate}:`))
  return kind && effectsOf(state, kind).find((effect) => effectKey(effect) === key)
}
