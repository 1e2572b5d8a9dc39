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
  ['replaces', (r) => (r.replaced.length === 1 ? shown(r, r.replaced[0] ?? null) : listed(r))],
  ['value set', (r) => r.layer],
  ['clause', (r) => r.clause],
  ['not checked against print', (r) => r.fromMemory],
]

const listed = (row: ReplacedRow): string => row.replaced.map((value) => String(shown(row, value))).join(', then ')

const caseColumns: readonly Column<RowOf<typeof caseRows>>[] = [
  ['load case', (r) => r.id],
  ['name', (r) => r.name],
  ['action', (r) => r.action],
  ['acting', (r) => r.rule],
  ['applied [kN]', (r) => kilo(r.applied)],
  ['on members [kN]', (r) => kilo(r.onMembers)],
  ['at supports [kN]', (r) => kilo(r.atSupports)],
  ['not carried [kN]', (r) => kilo(r.notCarried)],
  ['not in reactions', (r) => r.notInReactions],
]

const memberLoadColumns: readonly Column<ReturnType<typeof handedRow<RowOf<typeof memberLoadRows>>>>[] = [
  ['load case', (r) => r.case],
  ['id', (r) => r.id],
  ['label', (r) => r.label],
  ['level', (r) => r.level],
  ['start [m]', (r) => r.from],
  ['end [m]', (r) => r.to],
  ['q start [kN/m]', (r) => kiloOrNone(r.q0)],
  ['q end [kN/m]', (r) => kiloOrNone(r.q1)],
  ['P [kN]', (r) => kiloOrNone(r.force)],
]

const turningColumns: readonly Column<RowOf<typeof turningRows>>[] = [
  ['load case', (r) => r.case],
  ['id', (r) => r.id],
  ['label', (r) => r.label],
  ['level', (r) => r.level],
  ['start [m]', (r) => r.from],
  ['end [m]', (r) => r.to],
  ['t start [kNm/m]', (r) => kiloOrNone(r.m0)],
  ['t end [kNm/m]', (r) => kiloOrNone(r.m1)],
  ['T [kNm]', (r) => kiloOrNone(r.moment)],
]

const storeyColumns: readonly Column<RowOf<typeof storeyRows>>[] = [
  ['load case', (r) => r.case],
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
  ['load case', (r) => r.case],
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
  ['base moment [kNm]', (r) => kilo(r.moment)],
]

const thrustColumns: readonly Column<RowOf<typeof thrustRows>>[] = [
  ['load case', (r) => r.case],
  ['id', (r) => r.id],
  ['label', (r) => r.label],
  ['level', (r) => r.level],
  ['x at level [m]', (r) => r.x0],
  ['y at level [m]', (r) => r.y0],
  ['x at other end [m]', (r) => r.x1],
  ['y at other end [m]', (r) => r.y1],
  ['Fx on level [kN]', (r) => kilo(r.fx)],
  ['Fy on level [kN]', (r) => kilo(r.fy)],
  ['axial compression [kN]', (r) => kilo(r.axial)],
]

const sidewaysColumns: readonly Column<ReturnType<typeof handedSideways>>[] = [
  ['load case', (r) => r.case],
  ['id', (r) => r.id],
  ['label', (r) => r.label],
  ['level', (r) => r.level],
  ['start [m]', (r) => r.from],
  ['end [m]', (r) => r.to],
  ['qx start [kN/m]', (r) => kiloOrNone(r.qx0)],
  ['qy start [kN/m]', (r) => kiloOrNone(r.qy0)],
  ['qx end [kN/m]', (r) => kiloOrNone(r.qx1)],
  ['qy end [kN/m]', (r) => kiloOrNone(r.qy1)],
  ['Px [kN]', (r) => kiloOrNone(r.fx)],
  ['Py [kN]', (r) => kiloOrNone(r.fy)],
]

const barrierColumns: readonly Column<RowOf<typeof barrierRows>>[] = [
  ['load case', (r) => r.case],
  ['id', (r) => r.id],
  ['label', (r) => r.label],
  ['level', (r) => r.level],
  ['adjacent use', (r) => r.use],
  ['x0 [m]', (r) => r.x0],
  ['y0 [m]', (r) => r.y0],
  ['x1 [m]', (r) => r.x1],
  ['y1 [m]', (r) => r.y1],
  ['qx [kN/m]', (r) => kilo(r.fx)],
  ['qy [kN/m]', (r) => kilo(r.fy)],
  ['height above level [m]', (r) => r.height],
  ['moment about the edge [kNm/m]', (r) => kilo(r.moment)],
]

const envelopeColumns: readonly Column<RowOf<typeof envelopeRows>>[] = [
  ['rule set', (r) => r.rule],
  ['effect', (r) => r.effect],
  ['id', (r) => r.id],
  ['label', (r) => r.label],
  ['level', (r) => r.level],
  ['component', (r) => r.component],
  ['max [kN]', (r) => kilo(r.max)],
  ['rule for max', (r) => r.maxRule],
  ['leading action for max', (r) => r.maxLeading],
  ['min [kN]', (r) => kilo(r.min)],
  ['rule for min', (r) => r.minRule],
  ['leading action for min', (r) => r.minLeading],
]

/** One column per case; the case's name says what its factor is on. */
function combinationsText(state: ProjectState): string {
  const rows = combinationRows(state).flatMap(({ rule, list }) => list.map((combination) => ({ rule, ...combination })))
  const columns: readonly Column<(typeof rows)[number]>[] = [
    ['rule set', (r) => r.rule],
    ['combination', (r) => r.name],
    ['leading action', (r) => r.leading],
    ...state.caseIds.map((id): Column<(typeof rows)[number]> => [`factor on ${id} [-]`, (r) => r.factors[id] ?? 0]),
  ]
  return csvText(columns, rows)
}

const texts: Readonly<Record<ResultStage, (state: ProjectState) => string>> = {
  overriddenValues: ({ standard }) => csvText(replacedColumns, replacedRows(standard)),
  cases: (state) => csvText(caseColumns, caseRows(state)),
  memberLoads: (state) => csvText(memberLoadColumns, memberLoadRows(state).map(handedRow)),
  memberTorsion: (state) => csvText(turningColumns, turningRows(state)),
  storeyForces: (state) => csvText(storeyColumns, storeyRows(state)),
  lateralElements: (state) => csvText(elementColumns, stiffElementRows(state)),
  thrusts: (state) => csvText(thrustColumns, thrustRows(state)),
  horizontalMemberLoads: (state) => csvText(sidewaysColumns, sidewaysRows(state).map(handedSideways)),
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
