import type { ProjectState } from '../derivation/project'
import {
  barrierRows,
  caseRows,
  combinationRows,
  envelopeRows,
  handedRow,
  handedSideways,
  memberLoadRows,
  sidewaysRows,
  resultStages,
  stiffElementRows,
  thrustRows,
  storeyRows,
  type ResultStage,
} from './results'
import { turningRows } from './turningRows'
import { metricPoint, unitOf } from '../units/format'
import { displayFactor } from '../units/quantity'
import { replacedRows, type ReplacedRow } from './replacedValues'
import { csvOf, type Cell } from './tables'

type Column<Row> = readonly [heading: string, read: (row: Row) => Cell]

const csvText = <Row>(columns: readonly Column<Row>[], rows: readonly Row[]): string =>
  csvOf([columns.map(([heading]) => heading), ...rows.map((row) => columns.map(([, read]) => read(row)))])

const kilo = (value: number): number => value / 1000

/** Empty where the row has none. */
const kiloOrNone = (value: number | null): number | null => (value === null ? null : kilo(value))

type RowOf<F extends (state: ProjectState) => readonly unknown[]> = ReturnType<F>[number]

/** Values in the units that the screen has them in, metric. */
const shown = ({ quantity }: ReplacedRow, value: number | string | null): Cell =>
  quantity === null || typeof value !== 'number' ? value : value / displayFactor(quantity, 'metric')

const replacedColumns: readonly Column<ReplacedRow>[] = [
  ['kind', (r) => r.kind],
  ['key', (r) => r.key],
  ['name', (r) => r.name],
  ['value', (r) => shown(r, r.value)],
  ['unit', (r) => (r.quantity === null ? '' : unitOf(r.quantity, metricPoint))],
  ['in place of', (r) => (r.replaced.length === 1 ? shown(r, r.replaced[0] ?? null) : listed(r))],
  ['by', (r) => r.layer],
  ['clause', (r) => r.clause],
  ['from memory', (r) => r.fromMemory],
]

const listed = (row: ReplacedRow): string => row.replaced.map((value) => String(shown(row, value))).join(', then ')

const caseColumns: readonly Column<RowOf<typeof caseRows>>[] = [
  ['case', (r) => r.id],
  ['name', (r) => r.name],
  ['action', (r) => r.action],
  ['acting rule', (r) => r.rule],
  ['applied [kN]', (r) => kilo(r.applied)],
  ['on members [kN]', (r) => kilo(r.onMembers)],
  ['at supports [kN]', (r) => kilo(r.atSupports)],
  ['not carried [kN]', (r) => kilo(r.notCarried)],
  ['handed on as it is', (r) => r.handedOn],
]

const memberLoadColumns: readonly Column<ReturnType<typeof handedRow<RowOf<typeof memberLoadRows>>>>[] = [
  ['case', (r) => r.case],
  ['id', (r) => r.id],
  ['label', (r) => r.label],
  ['level', (r) => r.level],
  ['from [m]', (r) => r.from],
  ['to [m]', (r) => r.to],
  ['at from, down [kN/m]', (r) => kiloOrNone(r.q0)],
  ['at to, down [kN/m]', (r) => kiloOrNone(r.q1)],
  ['force down [kN]', (r) => kiloOrNone(r.force)],
]

const turningColumns: readonly Column<RowOf<typeof turningRows>>[] = [
  ['case', (r) => r.case],
  ['id', (r) => r.id],
  ['label', (r) => r.label],
  ['level', (r) => r.level],
  ['from [m]', (r) => r.from],
  ['to [m]', (r) => r.to],
  ['turning at from, left side down [kNm/m]', (r) => kiloOrNone(r.m0)],
  ['turning at to, left side down [kNm/m]', (r) => kiloOrNone(r.m1)],
  ['moment, left side down [kNm]', (r) => kiloOrNone(r.moment)],
]

const storeyColumns: readonly Column<RowOf<typeof storeyRows>>[] = [
  ['case', (r) => r.case],
  ['id', (r) => r.id],
  ['label', (r) => r.label],
  ['level', (r) => r.level],
  ['Fx [kN]', (r) => kilo(r.fx)],
  ['Fy [kN]', (r) => kilo(r.fy)],
  ['x [m]', (r) => r.x],
  ['y [m]', (r) => r.y],
  ['z [m]', (r) => r.z],
]

const elementColumns: readonly Column<RowOf<typeof stiffElementRows>>[] = [
  ['case', (r) => r.case],
  ['id', (r) => r.id],
  ['label', (r) => r.label],
  ['level', (r) => r.level],
  ['x0 [m]', (r) => r.x0],
  ['y0 [m]', (r) => r.y0],
  ['x1 [m]', (r) => r.x1],
  ['y1 [m]', (r) => r.y1],
  ['stiffness [kN/m]', (r) => kilo(r.stiffness)],
  ['Fx [kN]', (r) => kilo(r.fx)],
  ['Fy [kN]', (r) => kilo(r.fy)],
  ['moment over its foot [kNm]', (r) => kilo(r.moment)],
]

const thrustColumns: readonly Column<RowOf<typeof thrustRows>>[] = [
  ['case', (r) => r.case],
  ['id', (r) => r.id],
  ['label', (r) => r.label],
  ['level', (r) => r.level],
  ['x at its level [m]', (r) => r.x0],
  ['y at its level [m]', (r) => r.y0],
  ['x at its other end [m]', (r) => r.x1],
  ['y at its other end [m]', (r) => r.y1],
  ['Fx on its level [kN]', (r) => kilo(r.fx)],
  ['Fy on its level [kN]', (r) => kilo(r.fy)],
  ['compression along it [kN]', (r) => kilo(r.axial)],
]

const sidewaysColumns: readonly Column<ReturnType<typeof handedSideways>>[] = [
  ['case', (r) => r.case],
  ['id', (r) => r.id],
  ['label', (r) => r.label],
  ['level', (r) => r.level],
  ['from [m]', (r) => r.from],
  ['to [m]', (r) => r.to],
  ['at from, x [kN/m]', (r) => kiloOrNone(r.qx0)],
  ['at from, y [kN/m]', (r) => kiloOrNone(r.qy0)],
  ['at to, x [kN/m]', (r) => kiloOrNone(r.qx1)],
  ['at to, y [kN/m]', (r) => kiloOrNone(r.qy1)],
  ['force, x [kN]', (r) => kiloOrNone(r.fx)],
  ['force, y [kN]', (r) => kiloOrNone(r.fy)],
]

const barrierColumns: readonly Column<RowOf<typeof barrierRows>>[] = [
  ['case', (r) => r.case],
  ['id', (r) => r.id],
  ['label', (r) => r.label],
  ['level', (r) => r.level],
  ['use behind it', (r) => r.use],
  ['x0 [m]', (r) => r.x0],
  ['y0 [m]', (r) => r.y0],
  ['x1 [m]', (r) => r.x1],
  ['y1 [m]', (r) => r.y1],
  ['outwards, x [kN/m]', (r) => kilo(r.fx)],
  ['outwards, y [kN/m]', (r) => kilo(r.fy)],
  ['above the level [m]', (r) => r.height],
  ['moment about the edge [kNm/m]', (r) => kilo(r.moment)],
]

const envelopeColumns: readonly Column<RowOf<typeof envelopeRows>>[] = [
  ['rule', (r) => r.rule],
  ['effect', (r) => r.effect],
  ['id', (r) => r.id],
  ['label', (r) => r.label],
  ['level', (r) => r.level],
  ['component', (r) => r.component],
  ['most [kN]', (r) => kilo(r.most)],
  ['rule for most', (r) => r.mostRule],
  ['leading for most', (r) => r.mostLeading],
  ['least [kN]', (r) => kilo(r.least)],
  ['rule for least', (r) => r.leastRule],
  ['leading for least', (r) => r.leastLeading],
]

/** One column per case; the case's name says what its factor is on. */
function combinationsText(state: ProjectState): string {
  const rows = combinationRows(state).flatMap(({ rule, list }) => list.map((combination) => ({ rule, ...combination })))
  const columns: readonly Column<(typeof rows)[number]>[] = [
    ['rule', (r) => r.rule],
    ['combination', (r) => r.name],
    ['leading action', (r) => r.leading],
    ...state.caseIds.map((id): Column<(typeof rows)[number]> => [`factor on ${id} [-]`, (r) => r.factors[id] ?? 0]),
  ]
  return csvText(columns, rows)
}

const texts: Readonly<Record<ResultStage, (state: ProjectState) => string>> = {
  replacedValues: ({ standard }) => csvText(replacedColumns, replacedRows(standard)),
  cases: (state) => csvText(caseColumns, caseRows(state)),
  memberLoads: (state) => csvText(memberLoadColumns, memberLoadRows(state).map(handedRow)),
  turningMoments: (state) => csvText(turningColumns, turningRows(state)),
  storeyForces: (state) => csvText(storeyColumns, storeyRows(state)),
  stiffElements: (state) => csvText(elementColumns, stiffElementRows(state)),
  thrusts: (state) => csvText(thrustColumns, thrustRows(state)),
  sidewaysLoads: (state) => csvText(sidewaysColumns, sidewaysRows(state).map(handedSideways)),
  barriers: (state) => csvText(barrierColumns, barrierRows(state)),
  combinations: combinationsText,
  envelopes: (state) => csvText(envelopeColumns, envelopeRows(state)),
}

export interface CsvFile {
  readonly name: string
  readonly text: string
}

/** One CSV file per stage, with units in the headings and a point as the decimal sign. */
export function csvFiles(state: ProjectState, only: ResultStage | null): readonly CsvFile[] {
  return resultStages
    .filter((stage) => only === null || only === stage)
    .map((stage) => ({ name: `${stage}.csv`, text: texts[stage](state) }))
}
