import { formatValue, unitOf, type ColumnView, type ReductionView } from '@hedrion/core'
import { useWords, type InWords } from '../../compute/useWords'
import { useFormat, useRecords } from '../../compute/SessionContext'
import { Line, Section } from '../../sheet/Sheet'
import { Value } from '../../sheet/Value'
import { TableOut } from '../../ui/TableOut'
import { WideTable } from './ColumnTable'
import { reductionsFromAbove, rowsFromAbove, wordsOf } from './columnWords'
import { ReductionNote } from './ReductionNote'

interface ReductionLinesProps {
  readonly view: ColumnView
  readonly picked: string
  readonly caseId: string
}

/** With and without reduction of the imposed load, length by length from the roof down. */
export function ReductionLines({ view, picked, caseId }: ReductionLinesProps) {
  const inWords = useWords()
  const format = useFormat()
  const reductions = reductionsFromAbove(view)
  if (!view.reductions || !reductions) return null
  const rows = rowsFromAbove(view)
  const force = unitOf('force', format)
  const text = () => [
    [
      'level',
      inWords('storeys'),
      `area, ${unitOf('area', format)}`,
      'by area',
      inWords('by storeys'),
      `whole, ${force}`,
      `reduced, ${force}`,
    ],
    ...rows.map(({ levelName, foot }, i) => [levelName, ...cellsOf(reductions[i] ?? null, foot)]),
  ]
  const cellsOf = (row: ReductionView | null, foot: number): readonly string[] => {
    const whole = formatValue(foot, 'force', format)
    if (!row) return ['0', formatValue(0, 'area', format), '', '', whole, whole]
    return [
      String(row.storeys),
      formatValue(row.area, 'area', format),
      row.byArea === null ? '' : formatValue(row.byArea, 'factor', format),
      row.byStoreys === null ? '' : formatValue(row.byStoreys, 'factor', format),
      whole,
      formatValue(row.foot, 'force', format),
    ]
  }
  return (
    <Section title={inWords('Reduced by area or storeys')} aside={<TableOut name="reduced" rows={text} />}>
      <WideTable aria-label={inWords('Reduced by area or storeys')}>
        <thead>
          <tr>
            <th>level</th>
            <th>{inWords('storeys')}</th>
            <th>area</th>
            <th>by area</th>
            <th>{inWords('by storeys')}</th>
            <th>{wordsOf(view).end}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ expandedId, levelName, foot }, i) => (
            <tr key={expandedId} data-lit={expandedId === picked || undefined}>
              <th>{levelName}</th>
              <Cells row={reductions[i] ?? null} foot={foot} address={`reduction:${expandedId}:${caseId}`} />
            </tr>
          ))}
        </tbody>
      </WideTable>
      <Transferred reductions={view.reductions} />
      <Held reductions={view.reductions} />
      <ReductionNote before={`${basisOf(reductions, inWords)} `} />
    </Section>
  )
}

/** Which of the factors applies: a standard may know both, of which one may be used, or the one for storeys, or the one for area. */
function basisOf(reductions: NonNullable<ColumnView['reductions']>, inWords: InWords): string {
  const byStoreys = reductions.filter((row) => row !== null && row.byStoreys !== null)
  if (byStoreys.some((row) => row?.byArea !== null))
    return 'The lower of the two factors applies; only one may be used.'
  return byStoreys.length > 0 ? inWords('Columns and walls use the factor for storeys.') : 'From the area supported.'
}

/** What columns on beams bring is reduced below them, or whole: the other way is stated. */
function Transferred({ reductions }: { readonly reductions: NonNullable<ColumnView['reductions']> }) {
  const [basis] = useRecords('basis')
  const lowest = reductions.findLast((row) => row !== null)
  if (typeof lowest?.otherwise !== 'number') return null
  const reduced = basis?.transferred !== 'whole'
  return (
    <Line reference="from columns on transfer beams" result={<Value value={lowest.otherwise} quantity="force" />}>
      {reduced ? 'also reduced; unreduced at the base:' : 'unreduced; reduced at the base:'}
    </Line>
  )
}

/** What the standard does not let go: what heavy floors keep, and lengths that take what is above them. */
function Held({ reductions }: { readonly reductions: NonNullable<ColumnView['reductions']> }) {
  const inWords = useWords()
  const kept = reductions.findLast((row) => row !== null && row.kept > 0)
  return (
    <>
      {kept && (
        <Line reference="kept" result={<Value value={kept.kept} quantity="force" />}>
          {inWords('of heavy floors, for any number of storeys')}
        </Line>
      )}
      {reductions.some((row) => row?.asAbove) && (
        <Line reference="IS 875-2 3.2.1.1">a step that would give less than above uses the value above</Line>
      )}
    </>
  )
}

interface CellsProps {
  readonly row: ReductionView | null
  readonly foot: number
  readonly address: string
}

function Cells({ row, foot, address }: CellsProps) {
  if (!row)
    return (
      <>
        <td>0</td>
        <td colSpan={3}>no reduction</td>
        <td>
          <Value value={foot} quantity="force" />
        </td>
      </>
    )
  return (
    <>
      <td>{row.storeys}</td>
      <td>
        <Value value={row.area} quantity="area" strong={false} />
      </td>
      <td>
        <Factor value={row.byArea} address={`${address}:area`} />
      </td>
      <td>
        <Factor value={row.byStoreys} address={`${address}:storeys`} />
      </td>
      <td>
        <Value value={row.foot} quantity="force" />
      </td>
    </>
  )
}

/** A factor with its trace; a dash where the standard has none of its kind. */
const Factor = ({ value, address }: { readonly value: number | null; readonly address: string }) =>
  value === null ? <>–</> : <Value value={value} quantity="factor" strong={false} address={address} />
