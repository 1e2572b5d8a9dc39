import { wallSourcesOf } from '../derivation/heads'
import { readCase } from '../derivation/cells'
import { expandedAt } from '../derivation/floorQueries'
import type { FloorState } from '../derivation/floorStates'
import type { ProjectState } from '../derivation/project'
import { isTypedLoad, valueAt } from '../actions/typedLoads'
import { formatQuantity, type NumberFormat } from '../units/format'
import { parseQuantity } from '../units/parseQuantity'
import type { Quantity } from '../units/quantity'

/** What a question by value finds: its words (“3 wall runs above 6.00 kN/m”) and the expanded ids, by level from below. */
export type ByValue =
  | { readonly ok: true; readonly words: string; readonly ids: readonly string[] }
  | { readonly ok: false; readonly problem: string }

type Values = (
  state: ProjectState,
  floor: FloorState,
  caseId: string,
) => readonly (readonly [id: string, value: number])[]

interface Measure {
  readonly quantity: Quantity
  readonly values: Values
}

interface Subject {
  readonly one: string
  readonly many: string
  /** The first whose unit fits is meant. */
  readonly measures: readonly Measure[]
}

const beamsOf =
  (
    roles: readonly string[],
    value: (floor: FloorState, row: number, at: ReturnType<typeof readCase>) => number,
  ): Values =>
  (state, floor, caseId) =>
    floor.operator.plan.frame.beams.flatMap(({ member }, row) =>
      roles.includes(member.role)
        ? [[expandedAt(floor, member.id), value(floor, row, readCase(state, caseId))] as const]
        : [],
    )

const lengthOf = (floor: FloorState, row: number): number => floor.operator.plan.frame.beams[row]?.length ?? 0

const beamLike = (one: string, many: string, roles: readonly string[]): Subject => ({
  one,
  many,
  measures: [
    { quantity: 'length', values: beamsOf(roles, lengthOf) },
    // all that lands in the case in view
    { quantity: 'force', values: beamsOf(roles, ({ rundown }, row, at) => at(rundown.beamTotals, row)) },
  ],
})

/** The larger of the values at both ends. */
const typed =
  (kind: 'line' | 'point'): Values =>
  (state, floor) => {
    const found = new Map<string, number>()
    for (const source of floor.operator.plan.sources) {
      const record = source.kind === kind ? state.document.records.get(source.load.id) : undefined
      if (isTypedLoad(record))
        found.set(expandedAt(floor, record.id), Math.max(Math.abs(record.value), Math.abs(valueAt(record, 'end'))))
    }
    return [...found]
  }

/** Of the stretches of a wall run the one that weighs most. */
const wallValues: Values = (_, floor) => {
  const found = new Map<string, number>()
  wallSourcesOf(floor.operator).forEach(({ run }, i) => {
    const id = expandedAt(floor, run.id)
    found.set(id, Math.max(found.get(id) ?? 0, floor.walls.loads[i]?.value ?? 0))
  })
  return [...found]
}

/** Of the regions of a panel the one that is loaded most in the case in view. */
const panelPressures: Values = (state, floor, caseId) => {
  const at = readCase(state, caseId)
  const found = new Map<string, number>()
  floor.operator.plan.sources.forEach((source, row) => {
    if (source.kind !== 'region') return
    const id = expandedAt(floor, source.panel.panel.id)
    found.set(id, Math.max(found.get(id) ?? 0, at(floor.intensities, row)))
  })
  return [...found]
}

const uprightForces =
  (role: 'column' | 'hanger'): Values =>
  (state, floor, caseId) =>
    floor.operator.plan.frame.columns.flatMap(({ member }, row) =>
      member.role !== role
        ? []
        : [[expandedAt(floor, member.id), readCase(state, caseId)(floor.rundown.feet, row)] as const],
    )

const panelAreas: Values = (_, floor) => {
  const found = new Map<string, number>()
  for (const source of floor.operator.plan.sources)
    if (source.kind === 'region' && source.region.base) {
      const id = expandedAt(floor, source.panel.panel.id)
      found.set(id, (found.get(id) ?? 0) + source.share.applied)
    }
  return [...found]
}

const wallLengths: Values = (_, floor) => {
  const found = new Map<string, number>()
  for (const { run, segment } of wallSourcesOf(floor.operator)) {
    const id = expandedAt(floor, run.id)
    found.set(id, (found.get(id) ?? 0) + segment.drawn)
  }
  return [...found]
}

const subjects: readonly Subject[] = [
  { one: 'line load', many: 'line loads', measures: [{ quantity: 'lineLoad', values: typed('line') }] },
  { one: 'point load', many: 'point loads', measures: [{ quantity: 'force', values: typed('point') }] },
  {
    one: 'wall run',
    many: 'wall runs',
    measures: [
      { quantity: 'lineLoad', values: wallValues },
      { quantity: 'length', values: wallLengths },
    ],
  },
  {
    one: 'panel',
    many: 'panels',
    measures: [
      { quantity: 'pressure', values: panelPressures },
      { quantity: 'area', values: panelAreas },
    ],
  },
  beamLike('bearing wall', 'bearing walls', ['wall']),
  { one: 'column', many: 'columns', measures: [{ quantity: 'force', values: uprightForces('column') }] },
  { one: 'hanger', many: 'hangers', measures: [{ quantity: 'force', values: uprightForces('hanger') }] },
  beamLike('girder', 'girders', ['girder']),
  beamLike('purlin', 'purlins', ['purlin']),
  beamLike('beam', 'beams', ['beam', 'girder', 'joist', 'rafter', 'purlin', 'truss']),
]

const asked = /^(?:every |all )?(.+?) (above|over|longer than|below|under|shorter than) (.+)$/i

/** Whether a text asks for things by their value: “line loads above 20 kN/m”. */
export const asksByValue = (text: string): boolean => asked.test(text.trim())

/**
 * What is meant by a text such as “wall runs above 6 kN/m”, “beams longer than 8 m”, “columns over 500 kN”; forces and pressures
 * are those of the case. Null where the text does not ask so.
 */
export function byValue(state: ProjectState, text: string, caseId: string, format: NumberFormat): ByValue | null {
  const [, what = '', how = '', amount = ''] = asked.exec(text.trim()) ?? []
  const wanted = what.toLowerCase().replace(/^walls?$/, 'wall runs')
  const subject = subjects.find(({ one, many }) => wanted === one || wanted === many)
  if (!subject) return null
  const read = subject.measures
    .map((measure) => ({ measure, parsed: parseQuantity(amount, measure.quantity, format) }))
    .find(({ parsed }) => parsed.ok)
  if (!read?.parsed.ok) {
    const parsed = parseQuantity(amount, subject.measures[0]?.quantity ?? 'force', format)
    return { ok: false, problem: parsed.ok ? '' : parsed.problem }
  }
  const { measure, parsed } = read
  const above = /above|over|longer/i.test(how)
  const ids = state.floors.flatMap((floor) =>
    measure
      .values(state, floor, caseId)
      .flatMap(([id, value]) => ((above ? value > parsed.value : value < parsed.value) ? [id] : [])),
  )
  const name = ids.length === 1 ? subject.one : subject.many
  const limit = formatQuantity(parsed.value, measure.quantity, format)
  return { ok: true, words: `${ids.length} ${name} ${how.toLowerCase()} ${limit}`, ids }
}
