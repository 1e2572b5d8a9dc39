import { formatValue, unitOf } from '@hedrion/core'
import { useWords } from '../../compute/useWords'
import { useAnswer, useFormat } from '../../compute/SessionContext'
import { Section } from '../../sheet/Sheet'
import { Value } from '../../sheet/Value'
import { useLook } from '../../state/look'
import { byNumber } from '../../ui/byNumber'
import { TableOut } from '../../ui/TableOut'
import { WideTable, LeadingRow } from './ColumnTable'
import { ReductionNote } from './ReductionNote'

/** With and without reduction of the imposed load, for all columns at the base. */
export function ReducedBase({ caseId }: { readonly caseId: string }) {
  const inWords = useWords()
  const found = useAnswer({ kind: 'reducedBase', caseId })
  const format = useFormat()
  const [, change] = useLook()
  if (!found || found.length === 0) return null
  const rows = [...found].sort((a, b) => byNumber.compare(a.label, b.label))
  const force = unitOf('force', format)
  const total = {
    whole: rows.reduce((sum, { whole }) => sum + whole, 0),
    reduced: rows.reduce((sum, { reduced }) => sum + reduced, 0),
  }
  const cells = ({ whole, reduced }: typeof total) =>
    [whole, reduced, whole - reduced].map((value) => formatValue(value, 'force', format))
  const text = () => [
    ['column', `unreduced, ${force}`, `reduced, ${force}`, `reduction, ${force}`],
    ...rows.map((row) => [row.label, ...cells(row)]),
    ['sum', ...cells(total)],
  ]
  return (
    <Section
      title={inWords('Reduced by area or storeys, at the base')}
      aside={<TableOut name="reduced at the base" rows={text} />}
    >
      <WideTable aria-label={inWords('Reduced by area or storeys, at the base')}>
        <thead>
          <tr>
            <th>column</th>
            <th>unreduced, {force}</th>
            <th>reduced, {force}</th>
            <th>reduction, {force}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => {
            const [whole, reduced, spared] = cells(row)
            return (
              <LeadingRow key={row.expandedId} head={row.label} onPress={() => change({ picked: [row.expandedId] })}>
                <td>{whole}</td>
                <td>{reduced}</td>
                <td>{spared}</td>
              </LeadingRow>
            )
          })}
        </tbody>
        <tfoot>
          <tr>
            <th scope="row">sum</th>
            <td>
              <Value value={total.whole} quantity="force" strong={false} />
            </td>
            <td>
              <Value value={total.reduced} quantity="force" strong={false} />
            </td>
            <td>
              <Value value={total.whole - total.reduced} quantity="force" strong={false} />
            </td>
          </tr>
        </tfoot>
      </WideTable>
      <ReductionNote />
    </Section>
  )
}
