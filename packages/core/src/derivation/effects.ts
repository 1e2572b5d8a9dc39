import { entry } from '../outcome/assert'
import { windDirectionOf } from '../actions/cases'
import { isHanger } from '../building/frame'
import { expanded, labelOf } from '../document/labels'
import { alike, type CaseEffects } from '../envelopes/extremes'
import type { Quantity } from '../units/quantity'
import { caseRow } from './cells'
import type { FloorState } from './floorStates'
import { rowLabel } from './namesOnFloor'
import { rakingUnder } from './thrust'
import { allSidewaysForces, storeyForcesOf } from './storeyForces'
import { shareStoreyForces } from './storeyShears'
import { storeysOf } from './storeys'
import type { ProjectState } from './project'
import { footKey, reducedFeet, reductionOfBeam } from './reductions'

export const effectKinds = ['reaction', 'columnForce', 'storeyShear', 'elementShear', 'beamTotal'] as const
export type EffectKind = (typeof effectKinds)[number]

/** A result that combinations are made for: what, where and which component. */
export interface Effect {
  readonly kind: EffectKind
  /** `originId@levelId`; for a storey shear the level at the top of the storey. */
  readonly expandedId: string
  readonly component: 'Z' | 'N' | 'x' | 'y' | 'V'
  readonly label: string
  readonly levelName: string
  readonly quantity: Quantity
  /** One value per case at unit factor, N; gravity positive downwards, compression positive, shears in global axes. */
  readonly values: Float64Array
  /** The same as combinations take them: imposed load reduced where the project says so. */
  readonly combined: CaseEffects
  /** Whether beside psi the lower of both stands, in place of psi. */
  readonly lower: boolean
}

export const effectKey = ({ kind, expandedId, component }: Pick<Effect, 'kind' | 'expandedId' | 'component'>): string =>
  `${kind}:${expandedId}:${component}`

/** All effects of one kind, in the order of the building from the bottom. */
export function effectsOf(state: ProjectState, kind: EffectKind): readonly Effect[] {
  switch (kind) {
    case 'storeyShear':
      return storeyShears(state)
    case 'elementShear':
      return elementShears(state)
    case 'beamTotal':
      return state.floors.flatMap((floor) => beamTotals(state, floor))
    case 'columnForce':
      return state.floors.flatMap((floor) => columnEffects(state, floor, kind))
    case 'reaction':
      return state.floors.slice(0, 1).flatMap((floor) => columnEffects(state, floor, kind))
  }
}

function columnEffects(state: ProjectState, floor: FloorState, kind: 'reaction' | 'columnForce'): readonly Effect[] {
  return floor.operator.plan.frame.columns.flatMap((column, row): readonly Effect[] => {
    if (kind === 'columnForce') return [columnEffect(state, floor, row, 'N', axialOf(floor, row))]
    if (isHanger(column)) return []
    const vertical = columnEffect(state, floor, row, 'Z', null)
    return column.far ? [vertical, ...thrustEffects(state, floor, row)] : [vertical]
  })
}

/** A number of a column or hanger from the vertical forces at its own level and at its other end, N. */
type FromEnds = (own: number, far: number) => number

/** Along the axis, compression positive; null where that is the vertical force itself. */
function axialOf(floor: FloorState, row: number): FromEnds | null {
  const column = floor.operator.plan.frame.columns[row]
  const sign = column && isHanger(column) ? -1 : 1
  if (!column?.far) return sign === 1 ? null : (_, far) => -far
  return (own, far) => sign * (rakingUnder(floor, row, own, far)?.axial ?? far)
}

/** Horizontal reactions of a raking column, on the structure in global axes. */
const thrustEffects = (state: ProjectState, floor: FloorState, row: number): readonly Effect[] =>
  (['x', 'y'] as const).map((component, i) =>
    columnEffect(state, floor, row, component, (own, far) => {
      const raking = rakingUnder(floor, row, own, far)
      return raking ? (raking.direction[i] ?? 0) * raking.thrust : 0
    }),
  )

function columnEffect(
  state: ProjectState,
  floor: FloorState,
  row: number,
  component: Effect['component'],
  fromEnds: FromEnds | null,
): Effect {
  const id = floor.operator.plan.frame.columns[row]?.member.id ?? ''
  const expandedId = expanded(id, floor.level.id)
  const [tops, feet] = [caseRow(state, floor.rundown.tops, row), caseRow(state, floor.rundown.feet, row)]
  const values = fromEnds ? feet.map((far, i) => fromEnds(tops[i] ?? 0, far)) : feet
  return {
    kind: component === 'N' ? 'columnForce' : 'reaction',
    expandedId,
    component,
    label: rowLabel(state, floor, id),
    levelName: floor.level.name,
    quantity: 'force',
    values,
    ...reduced(state, values, (caseId) => {
      const foot = reducedFeet(state).get(footKey(expandedId, caseId))
      if (foot === undefined) return undefined
      const spared = (whole: number, value: number): Reduced => ({ value, sparedByStoreys: whole - value })
      // what it is spared, it is spared at both ends
      const i = state.caseIds.indexOf(caseId)
      const value = fromEnds ? fromEnds((tops[i] ?? 0) - (feet[i] ?? 0) + foot, foot) : foot
      return spared(values[i] ?? 0, value)
    }),
  }
}

function beamTotals(state: ProjectState, floor: FloorState): readonly Effect[] {
  return floor.operator.plan.frame.beams.map(({ member }, row) => {
    const values = caseRow(state, floor.rundown.beamTotals, row)
    return {
      kind: 'beamTotal',
      expandedId: expanded(member.id, floor.level.id),
      component: 'Z',
      label: rowLabel(state, floor, member.id),
      levelName: floor.level.name,
      quantity: 'force',
      values,
      ...reduced(state, values, (caseId, total) => {
        const found = reductionOfBeam(state, { floor, row }, caseId, total)
        return found ? { value: found.total, sparedByStoreys: found.sparedByStoreys } : undefined
      }),
    }
  })
}

/** An effect reduced, and how much of what it is spared is spared for storeys. */
interface Reduced {
  readonly value: number
  readonly sparedByStoreys: number
}

/** What combinations take of an effect (EN 1991-1-1, 3.3.2(2): of psi and the reduction only one). */
function reduced(
  { basis, caseIds, standard }: ProjectState,
  values: Float64Array,
  of: (caseId: string, value: number) => Reduced | undefined,
): Pick<Effect, 'combined' | 'lower'> {
  const where = basis?.reductions ?? 'nowhere'
  const lower = where === 'lower'
  if (where === 'nowhere') return { combined: alike(values), lower }
  const less = Array.from(values, (value, i) => of(caseIds[i] ?? '', value) ?? { value, sparedByStoreys: 0 })
  const apart = standard.methods['imposed.columns'] !== undefined
  const combined: CaseEffects = (index, psi) => {
    const [whole, { value: reduced, sparedByStoreys }] = [entry(values, index), entry(less, index)]
    if (psi === null) return reduced
    // alpha_A may stand beside psi; alpha_n does not: there psi alone lowers that part (EN 1991-1-1, 3.3.2(2))
    if (where === 'everywhere') return apart && sparedByStoreys !== 0 ? reduced + sparedByStoreys : reduced
    // of psi and the reduction the lower: whole · psi, or reduced · 1
    return lower && psi > 0 && Math.abs(reduced) < psi * Math.abs(whole) ? reduced / psi : whole
  }
  return { combined, lower }
}

/** The shear in the storey under each level: the sum of the storey forces at that level and above. */
function storeyShears(state: ProjectState): readonly Effect[] {
  const forces = new Map(
    state.caseIds.flatMap((id) => {
      const found = windDirectionOf(id) ? storeyForcesOf(state, id) : null
      return found ? [[id, found.storeys.map(({ force }) => force)] as const] : []
    }),
  )
  const heights = new Map([...forces.values()].flat().map(({ levelId, z }) => [levelId, z] as const))
  const levels = [...heights].sort(([, p], [, q]) => p - q).map(([levelId]) => levelId)
  return levels.flatMap((levelId, from) =>
    (['x', 'y'] as const).map((component): Effect => {
      const values = Float64Array.from(state.caseIds, (caseId) => {
        const above = (forces.get(caseId) ?? []).filter(({ levelId: at }) => levels.indexOf(at) >= from)
        return above.reduce((sum, { fx, fy }) => sum + (component === 'x' ? fx : fy), 0)
      })
      const levelName = labelOf(state.document, levelId)
      const label = from === 0 ? `base shear, with the force at ${levelName}` : `shear under ${levelName}`
      return {
        kind: 'storeyShear',
        expandedId: levelId,
        component,
        label,
        levelName,
        quantity: 'force',
        values,
        combined: alike(values),
        lower: false,
      }
    }),
  )
}

/** What stiff elements take of the shear of their storey, along them. */
function elementShears(state: ProjectState): readonly Effect[] {
  const shears = new Map(
    allSidewaysForces(state).map((forces) => [forces.caseId, shareStoreyForces(state, forces).storeys]),
  )
  return storeysOf(state).flatMap(({ floor: { level }, elements }, at) =>
    elements.map(({ expandedId, record }, i): Effect => {
      const values = Float64Array.from(state.caseIds, (id) => shears.get(id)?.[at]?.elements[i]?.shear ?? 0)
      return {
        kind: 'elementShear',
        expandedId,
        component: 'V',
        label: record.label,
        levelName: level.name,
        quantity: 'force',
        values,
        combined: alike(values),
        lower: false,
      }
    }),
  )
}

/** An effect by its key, or undefined where nothing has that key (any more). */
export function findEffect(state: ProjectState, key: string): Effect | undefined {
  const kind = effectKinds.find((candidate) => key.startsWith(`${candidate}:`))
  return kind && effectsOf(state, kind).find((effect) => effectKey(effect) === key)
}
