import {
  formatQuantity,
  formatValue,
  sourceNames,
  unitOf,
  type ColumnView,
  type NumberFormat,
  type PathRow,
} from '@hedrion/core'
import { useAnswer, useFormat } from '../../compute/SessionContext'
import { usePicked } from '../../sheet/PickedTools'
import { Scope } from '../../sheet/Scope'
import { Line, Note, Section, Sheet } from '../../sheet/Sheet'
import { Value } from '../../sheet/Value'
import { useLook } from '../../state/look'
import { TableOut } from '../../ui/TableOut'
import { AreaLines } from './AreaLines'
import { ColumnStrip } from './ColumnStrip'
import { BesideStrip, ColumnTable, LeadingRow } from './ColumnTable'
import { rowsFromAbove, wordsOf } from './columnWords'
import { RakingLines } from './RakingLines'
import { SidewaysLine } from './SidewaysLine'
import { ReductionLines } from './ReductionLines'

/** A column from the roof to its base: what each level adds, and what the picked length gathers. */
export function ColumnSheet({ expandedId, caseId }: { readonly expandedId: string; readonly caseId: string }) {
  const view = useAnswer({ kind: 'column', expandedId, caseId })
  const format = useFormat()
  const picked = usePicked()
  if (!view) return <Sheet title="Load paths">{null}</Sheet>
  const words = wordsOf(view)
  return (
    <Sheet title={`${words.name} ${view.label}`} scope={<Scope records={picked} />}>
      <Note>
        {view.section} · {view.stretch !== null && `${formatQuantity(view.stretch, 'length', format)} of it · `}
        {words.support}
      </Note>
      <Section title={words.way} aside={<TableOut name="column" rows={() => tableText(view, format)} />}>
        <Lengths view={view} picked={expandedId} caseId={caseId} />
      </Section>
      <AreaLines view={view} picked={expandedId} />
      <ReductionLines view={view} picked={expandedId} caseId={caseId} />
      <Section title="Loads on this length">
        {view.enters.length === 0 && <Note>No load in this case.</Note>}
        {view.enters.map((row, i) => (
          <Line
            key={i}
            reference={references[row.kind]}
            result={<Value value={row.force} quantity="force" address={row.address} />}
          >
            {enterText(row)}
            {row.kind === 'ownWeight' && row.intensity !== null && row.part !== null && (
              <small>
                {' '}
                {formatQuantity(row.intensity, 'lineLoad', format)} · {formatQuantity(row.part, 'length', format)}
              </small>
            )}
          </Line>
        ))}
        <Line
          reference="sum"
          result={
            <Value
              value={view.enters.reduce((sum, { force }) => sum + force, 0)}
              quantity="force"
              address={`column:${expandedId}:${caseId}`}
            />
          }
        >
          {words.sense}
        </Line>
        <SidewaysLine force={view.pressed} of="pressure on pressure surfaces" />
      </Section>
      <RakingLines view={view} caseId={caseId} />
    </Sheet>
  )
}

interface LengthsProps {
  readonly view: ColumnView
  readonly picked: string
  readonly caseId: string
}

/** Length by length beside the strip: the area and what it adds, and the sum at its end. */
function Lengths({ view, picked, caseId }: LengthsProps) {
  const words = wordsOf(view)
  const [, change] = useLook()
  return (
    <BesideStrip>
      <ColumnStrip view={view} picked={picked} />
      <ColumnTable aria-label={words.way}>
        <thead>
          <tr>
            <th>level</th>
            <th>area</th>
            <th>{words.gathered}</th>
            <th>levels</th>
            <th>load from level</th>
            <th>{words.end}</th>
          </tr>
        </thead>
        <tbody>
          {rowsFromAbove(view).map((row) => (
            <LeadingRow
              key={row.expandedId}
              head={row.levelName}
              isLit={row.expandedId === picked}
              onPress={() => change({ picked: [row.expandedId], level: row.levelId })}
            >
              <td>
                <Value value={row.area} quantity="area" strong={false} />
              </td>
              <td>
                <Value
                  value={row.cumulativeArea}
                  quantity="area"
                  strong={false}
                  address={`columnArea:${row.expandedId}`}
                />
              </td>
              <td>{row.levels}</td>
              <td>
                <Value value={row.added} quantity="force" strong={false} address={`adds:${row.expandedId}:${caseId}`} />
              </td>
              <td>
                <Value value={row.foot} quantity="force" address={`column:${row.expandedId}:${caseId}`} />
              </td>
            </LeadingRow>
          ))}
        </tbody>
      </ColumnTable>
    </BesideStrip>
  )
}

function tableText(view: ColumnView, format: NumberFormat): readonly (readonly string[])[] {
  const { gathered, end } = wordsOf(view)
  const [area, force] = [unitOf('area', format), unitOf('force', format)]
  return [
    ['level', `area, ${area}`, `${gathered}, ${area}`, 'levels', `adds, ${force}`, `${end}, ${force}`],
    ...rowsFromAbove(view).map((row) => [
      row.levelName,
      formatValue(row.area, 'area', format),
      formatValue(row.cumulativeArea, 'area', format),
      String(row.levels),
      formatValue(row.added, 'force', format),
      formatValue(row.foot, 'force', format),
    ]),
  ]
}

const references: Readonly<Record<PathRow['kind'], string>> = {
  ...sourceNames,
  ownWeight: 'by length',
  strut: 'half of its weight',
  beam: 'reaction',
  column: 'from above',
  hanger: 'from below',
}

const enterText = ({ kind, label }: PathRow): string =>
  kind === 'ownWeight'
    ? 'self-weight'
    : kind === 'column'
      ? `column ${label} above`
      : kind === 'hanger'
        ? `hanger ${label} below`
        : `from ${label}`
