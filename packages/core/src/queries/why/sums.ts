import { isHanger } from '../../building/frame'
import { barrierCase, isHorizontal } from '../../actions/cases'
import { strandedAt } from '../../derivation/balance'
import { readCase } from '../../derivation/cells'
import { expandedAt, floorAt, floorIn, hangsAt, placeOf } from '../../derivation/floorQueries'
import { storeyForcesOf } from '../../derivation/storeyForces'
import type { StoreyForcesOfCase } from '../../derivation/storeyForcesOfCase'
import type { FloorState } from '../../derivation/floorStates'
import type { ProjectState } from '../../derivation/project'
import { labelOf } from '../../document/labels'
import { takenOf } from '../../rundown/operator'
import { recordOfSource, type Source } from '../../rundown/sources'
import { tracedSum, type Amount, type Traced, type TracedTerm } from '../../trace/traced'
import { sourceNames } from '../../wording/sourceNames'
import { barriersOn } from '../../derivation/barriers'
import { columnRows, landingRows, sourceAddress, type PathRow } from '../pathRows'

const shown = 10

/** The ten largest terms and the rest as one, so that a trace stays small whatever the building. */
export function folded(terms: readonly TracedTerm[]): readonly TracedTerm[] {
  const sorted = [...terms].sort((a, b) => Math.abs(b.value) - Math.abs(a.value))
  const rest = sorted.slice(shown)
  if (rest.length <= 1) return sorted
  return [
    ...sorted.slice(0, shown),
    { label: `${rest.length} more`, value: rest.reduce((sum, { value }) => sum + value, 0) },
  ]
}

/** An address ends with a case: `…:CASE`. */
export function splitCase(rest: string): readonly [what: string, caseId: string] {
  const at = rest.lastIndexOf(':')
  return [rest.slice(0, at), rest.slice(at + 1)]
}

export function termOf({ kind, label, force, intensity, part, address }: PathRow): TracedTerm {
  const factors = intensity === null || part === null ? undefined : product(kind, intensity, part)
  const name = kind === 'ownWeight' ? 'self-weight' : `${sourceNames[kind]} ${label}`
  return { label: name, value: force, ...(factors ? { factors } : {}), ...(address ? { address } : {}) }
}

const product = (kind: PathRow['kind'], intensity: number, part: number): readonly Amount[] => {
  const [load, amount] =
    kind === 'region' || kind === 'area'
      ? (['pressure', 'area'] as const)
      : kind === 'point'
        ? (['force', 'factor'] as const)
        : (['lineLoad', 'length'] as const)
  return [
    { value: intensity, quantity: load },
    { value: part, quantity: amount },
  ]
}

/** `beam:MEMBER@LEVEL:CASE`: what lands on a beam. */
export function beamSum(state: ProjectState, rest: string): Traced | null {
  const [expandedId, caseId] = splitCase(rest)
  const place = placeOf(state, expandedId, 'beams')
  if (!place || !state.caseIds.includes(caseId)) return null
  return tracedSum('Q', 'force', 'applied loads', folded(landingRows(state, place, caseId).map(termOf)))
}

/** `column:MEMBER@LEVEL:CASE`: what enters a column length, its self-weight with it. */
export function columnSum(state: ProjectState, rest: string): Traced | null {
  const [expandedId, caseId] = splitCase(rest)
  const place = placeOf(state, expandedId, 'columns')
  if (!place || !state.caseIds.includes(caseId)) return null
  const [symbol, what] = hangsAt(place) ? ['T', 'load held, tension'] : ['N', 'load on the column']
  return tracedSum(symbol, 'force', what, folded(columnRows(state, place, caseId).map(termOf)))
}

/** `applied:CASE`: all that is applied, level by level; of storey forces, one by one. */
export function levelsSum(state: ProjectState, caseId: string): Traced | null {
  if (!state.caseIds.includes(caseId)) return null
  const forces = storeyForcesOf(state, caseId)
  if (forces) return storeyForcesSum(state, forces)
  if (caseId === barrierCase) return barriersSum(state)
  const at = readCase(state, caseId)
  const terms = [...state.floors].reverse().map(({ level, rundown }): TracedTerm => ({
    label: `level ${level.name}`,
    value: at(rundown.applied, 0),
    address: `level:${level.id}:${caseId}`,
  }))
  return tracedSum('F', 'force', 'sum of the levels', terms)
}

/** Storey force by storey force, top first. */
function storeyForcesSum(state: ProjectState, forces: StoreyForcesOfCase): Traced {
  const terms = [...forces.storeys].reverse().map(({ force: { levelId }, trace }): TracedTerm => ({
    label: `level ${labelOf(state.document, levelId)}`,
    value: trace.value,
    address: `storeyForce:${forces.caseId}@${levelId}`,
  }))
  return tracedSum('F', 'force', 'sum of the storey forces', terms)
}

/** All barriers, stretch by stretch of each level. */
function barriersSum(state: ProjectState): Traced {
  const terms = [...state.floors].reverse().flatMap((floor) =>
    barriersOn(state, floor).flatMap(({ barrier, load, length }): TracedTerm[] =>
      load
        ? [
            {
              label: `barrier ${barrier.label}, level ${floor.level.name}`,
              value: load.load.value * length,
              factors: [
                { value: load.load.value, quantity: 'lineLoad' },
                { value: length, quantity: 'length' },
              ],
              address: `barrier:${barrier.id}:load`,
            },
          ]
        : [],
    ),
  )
  return tracedSum('H', 'force', 'outwards, all around', folded(terms))
}

const sourceTerm = (
  state: ProjectState,
  floor: FloorState,
  source: Source,
  intensity: number,
  amount: number,
  caseId: string,
): TracedTerm => {
  const address = sourceAddress(state, source, caseId, floor.level.id)
  return {
    label: `${sourceNames[source.kind]} ${labelOf(state.document, recordOfSource(source))}`,
    value: intensity * amount,
    factors: product(source.kind, intensity, amount),
    ...(address ? { address } : {}),
  }
}

/** Terms of every loaded source of a floor; `amount` says how much of the source counts (m2 or m). */
function sourceTerms(
  state: ProjectState,
  floor: FloorState,
  caseId: string,
  amount: (row: number) => number,
): readonly TracedTerm[] {
  const at = readCase(state, caseId)
  return floor.operator.plan.sources.flatMap((source, row): TracedTerm[] => {
    const [intensity, part] = [at(floor.intensities, row), amount(row)]
    return intensity * part === 0 ? [] : [sourceTerm(state, floor, source, intensity, part, caseId)]
  })
}

/** `level:LEVEL:CASE`: the loads of one level and the weight of the columns below it. */
export function levelSum(state: ProjectState, rest: string): Traced | null {
  const [levelId, caseId] = splitCase(rest)
  const floor = floorAt(state, levelId)
  if (!floor || !state.caseIds.includes(caseId)) return null
  const terms = sourceTerms(state, floor, caseId, (row) => floor.operator.applied[row] ?? 0)
  const whole = readCase(state, caseId)(floor.rundown.applied, 0)
  return tracedSum('F', 'force', 'sum of the loads of the level', folded([...terms, ...columnsBelow(whole, terms)]))
}

/** `onMembers:CASE`: all that members take, level by level. */
export function membersSum(state: ProjectState, caseId: string): Traced | null {
  if (!state.caseIds.includes(caseId) || isHorizontal(caseId)) return null
  const at = readCase(state, caseId)
  const terms = [...state.floors].reverse().map(({ level, rundown }): TracedTerm => ({
    label: `level ${level.name}`,
    value: at(rundown.onMembers, 0),
    address: `landed:${level.id}:${caseId}`,
  }))
  return tracedSum('F', 'force', 'load on members', terms)
}

/** `landed:LEVEL:CASE`: load on members on one level, with the weight of the columns below it. */
export function landedSum(state: ProjectState, rest: string): Traced | null {
  const [levelId, caseId] = splitCase(rest)
  const floor = floorAt(state, levelId)
  if (!floor || !state.caseIds.includes(caseId) || isHorizontal(caseId)) return null
  const { operator } = floorIn(floor, caseId)
  const terms = sourceTerms(state, floor, caseId, (row) => takenOf(operator, row))
  const whole = readCase(state, caseId)(floor.rundown.onMembers, 0)
  return tracedSum('F', 'force', 'load on members of the level', folded([...terms, ...columnsBelow(whole, terms)]))
}

/** What is left beside rounding is the self-weight of the columns. */
function columnsBelow(whole: number, terms: readonly TracedTerm[]): readonly TracedTerm[] {
  const value = whole - terms.reduce((sum, term) => sum + term.value, 0)
  return Math.abs(value) > 1e-3 ? [{ label: 'columns below and hangers, self-weight', value }] : []
}

/** `base:CASE`: all reactions. */
export function baseSum(state: ProjectState, caseId: string): Traced | null {
  const floor = state.floors[0]
  if (!floor || !state.caseIds.includes(caseId)) return null
  const at = readCase(state, caseId)
  const terms = floor.operator.plan.frame.columns.flatMap(({ member }, row): readonly TracedTerm[] =>
    isHanger({ member })
      ? []
      : [
          {
            label: `column ${labelOf(state.document, member.id)}`,
            value: at(floor.rundown.feet, row),
            address: `column:${expandedAt(floor, member.id)}:${caseId}`,
          },
        ],
  )
  return tracedSum('R', 'force', 'sum of the reactions', folded(terms))
}

/** `notCarried:CASE`: load not carried, by where it is lost. */
export function notCarriedSum(state: ProjectState, caseId: string): Traced | null {
  if (!state.caseIds.includes(caseId) || isHorizontal(caseId)) return null
  const terms = state.floors.flatMap((floor, index): readonly TracedTerm[] => {
    const { notCarried } = floorIn(floor, caseId).operator
    const lost = sourceTerms(state, floor, caseId, (row) => notCarried[row] ?? 0)
    const handedOn =
      readCase(state, caseId)(floor.rundown.notCarried, 0) - lost.reduce((sum, { value }) => sum + value, 0)
    const onBeams =
      Math.abs(handedOn) > 1e-3
        ? [{ label: `beams of level ${floor.level.name} that are unstable`, value: handedOn }]
        : []
    const stranded = strandedAt(state, index, caseId)
    const feet =
      stranded === 0
        ? []
        : [{ label: `columns and hangers of level ${floor.level.name} without support`, value: stranded }]
    return [...lost, ...onBeams, ...feet]
  })
  return tracedSum('F', 'force', 'load not carried', folded(terms))
}
