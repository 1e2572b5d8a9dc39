import { lateralCase, reducibleGroupOf, standsApart } from '../actions/cases'
import { pressedOnFloor } from '../derivation/barriers'
import { balanceOf } from '../derivation/balance'
import { pressureAt } from '../derivation/climate'
import { levelMasses, type LevelMass } from '../derivation/masses'
import type { ProjectState } from '../derivation/project'
import { storeyForcesOf } from '../derivation/storeyForces'
import { recordsOf } from '../document/document'
import type { Quantity } from '../units/quantity'
import { keySums, type KeySum } from './keySums'
import { reducedBase } from './reducedBase'

/** What is drawn of the building beside a parameter, in its own numbers. */
export type SourcePicture = LevelsPicture | PartsPicture

/** A number of every level that stands for it, top first. */
export interface LevelsPicture {
  readonly kind: 'levels'
  readonly says: 'uses' | 'barriers' | 'partitions' | 'imposedMass' | 'earthquake' | 'weights' | 'wind'
  readonly quantity: Quantity
  readonly levels: readonly {
    readonly name: string
    /** Above ground, m. */
    readonly z: number
    readonly value: number
  }[]
}

/** Sums of the building as they are, and what the parameter makes of them, N. */
export interface PartsPicture {
  readonly kind: 'parts'
  readonly says: 'factored' | 'reduced'
  readonly parts: readonly { readonly name: string; readonly whole: number; readonly part: number }[]
}

type Maker = (state: ProjectState, row: string, value: number) => SourcePicture

/** By the beginning of the key; what follows it is the row of a table. The first that fits counts. */
const makers: readonly (readonly [prefix: string, make: Maker])[] = [
  [
    'imposed.partitions.',
    (state) =>
      levels(
        state,
        'partitions',
        'force',
        sumsOf(state, ({ partitions }) => partitions),
      ),
  ],
  ...['imposed.q_k.', 'imposed.Q_k.', 'imposed.q_h.', 'imposed.h_0.'].map((prefix) => [prefix, areaOfUse] as const),
  ['barrier.', pressedByLevel],
  [
    'mass.',
    (state) =>
      levels(
        state,
        'imposedMass',
        'force',
        massOf(state, ({ parts }) => parts.imposed),
      ),
  ],
  ['earthquake.', earthquakeByLevel],
  ['wind.', windByLevel],
  ['reduction.', reducedCases],
  ...['basis.psi_0.', 'basis.psi_1.', 'basis.psi_2.'].map(
    (prefix) => [prefix, (state: ProjectState, row: string, value: number) => factored(state, value, row)] as const,
  ),
  ['basis.gamma_G', (state, _, value) => factored(state, value, null)],
  ['basis.gamma_Q', (state, _, value) => factored(state, value, 'variable')],
  ['basis.K_FI.', (state, _, value) => factored(state, value, 'all')],
  ['rule.', ofRule],
]

/** The picture of a parameter; null for one that has none. */
export function sourcePicture(state: ProjectState, key: string, value: number): SourcePicture | null {
  const found = makers.find(([prefix]) => key.startsWith(prefix))
  if (!found) return null
  const [prefix, make] = found
  return make(state, key.slice(prefix.length), value)
}

function levels(
  { floors, basis }: ProjectState,
  says: LevelsPicture['says'],
  quantity: Quantity,
  valueOf: (levelId: string, z: number) => number,
): LevelsPicture {
  const ground = basis?.ground ?? 0
  return {
    kind: 'levels',
    says,
    quantity,
    levels: [...floors].reverse().map(({ level: { id, name, elevation } }) => {
      const z = elevation - ground
      return { name, z, value: valueOf(id, z) }
    }),
  }
}

/** Sums of load keys by level. */
function sumsOf(state: ProjectState, pick: (sum: KeySum) => number): (levelId: string) => number {
  const sums = keySums(state)
  return (levelId) => sums.reduce((total, sum) => total + (sum.levelId === levelId ? pick(sum) : 0), 0)
}

function areaOfUse(state: ProjectState, use: string): LevelsPicture {
  const keys = new Set<string>(recordsOf(state.document, 'loadKey').flatMap((key) => (key.use === use ? key.id : [])))
  return levels(
    state,
    'uses',
    'area',
    sumsOf(state, ({ keyId, area }) => (keys.has(keyId) ? area : 0)),
  )
}

function pressedByLevel(state: ProjectState): LevelsPicture {
  const pressed = new Map(state.floors.map((floor) => [floor.level.id as string, pressedOnFloor(state, floor)]))
  return levels(state, 'barriers', 'force', (id) => pressed.get(id) ?? 0)
}

function massOf(state: ProjectState, pick: (mass: LevelMass) => number): (levelId: string) => number {
  const masses = new Map(levelMasses(state).map((mass) => [mass.levelId, pick(mass)]))
  return (levelId) => masses.get(levelId) ?? 0
}

/** The storey forces that go by the clauses; weights while there are none. */
function earthquakeByLevel(state: ProjectState): LevelsPicture {
  const record = recordsOf(state.document, 'storeyForces').find(({ rule }) => rule === 'earthquake')
  const forces = record && storeyForcesOf(state, lateralCase(record.id))
  if (!forces)
    return levels(
      state,
      'weights',
      'force',
      massOf(state, ({ weight }) => weight),
    )
  const byLevel = new Map(forces.storeys.map(({ force }) => [force.levelId, Math.hypot(force.fx, force.fy)]))
  return levels(state, 'earthquake', 'force', (id) => byLevel.get(id) ?? 0)
}

function windByLevel(state: ProjectState): LevelsPicture {
  return levels(state, 'wind', 'pressure', (_, z) => (z > 0 ? (pressureAt(state, z)?.value ?? 0) : 0))
}

/** What reaches the feet of the columns of each case that may be reduced. */
function reducedCases(state: ProjectState): PartsPicture {
  const parts = state.actions
    .flatMap(({ cases }) => cases)
    .filter(({ id }) => reducibleGroupOf(id) !== null)
    .flatMap(({ id, name }) => {
      const columns = reducedBase(state, id)
      if (columns.length === 0) return []
      const sum = (pick: 'whole' | 'reduced') => columns.reduce((total, column) => total + column[pick], 0)
      return [{ name, whole: sum('whole'), part: sum('reduced') }]
    })
  return { kind: 'parts', says: 'reduced', parts }
}

/** What each case of a group applies, whole and times a factor; null stands for permanent cases. */
function factored(state: ProjectState, factor: number, group: string | null): PartsPicture {
  const parts = state.actions
    .filter(({ id }) => !standsApart(id))
    .flatMap(({ nature, cases }) =>
      cases
        .filter((entry) => group === 'all' || (group === 'variable' ? nature === group : entry.group === group))
        .map(({ id, name }) => {
          const whole = balanceOf(state, id).applied
          return { name, whole, part: factor * whole }
        }),
    )
  return { kind: 'parts', says: 'factored', parts }
}

/** `rule.ROW.G_sup`, or with the group of the cases. */
function ofRule(state: ProjectState, row: string, value: number): PartsPicture {
  const group = row.slice(row.indexOf('.') + 1)
  return factored(state, value, group.startsWith('G_') ? null : group)
}
