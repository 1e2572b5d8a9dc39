import { formatQuantity, formatValue, unitOf, type MemberView, type NumberFormat } from '@hedrion/core'
import { useFormat } from '../../compute/SessionContext'
import { Line, Note, Section } from '../../sheet/Sheet'
import { Value } from '../../sheet/Value'
import { useLook } from '../../state/look'
import { TableOut } from '../../ui/TableOut'
import { Heads, WideTable, LeadingRow } from './ColumnTable'

/** What goes down a bearing wall, stretch by stretch: a row leads to its strip through the levels. */
export function Stretches({ view, caseId }: { readonly view: MemberView; readonly caseId: string }) {
  const format = useFormat()
  const [, change] = useLook()
  const { stretches, label, levelName, supports, residual } = view
  const foot = stretches.reduce((sum, stretch) => sum + stretch.foot, 0)
  return (
    <Section title="Along the wall" aside={<TableOut name={`wall ${label}`} rows={() => tableOf(view, format)} />}>
      <WideTable aria-label={`Pieces of wall ${label}`}>
        <Heads words={['piece', 'from – to', `of level ${levelName}`, 'at base', 'per length']} />
        <tbody>
          {stretches.map((stretch, k) => (
            <LeadingRow
              key={stretch.expandedId}
              head={stretch.label}
              onPress={() => change({ picked: [stretch.expandedId] })}
            >
              <td>
                {formatValue(stretch.s0, 'length', format)} – {formatQuantity(stretch.s1, 'length', format)}
              </td>
              <td>
                <Value value={supports[k]?.reaction ?? 0} quantity="force" strong={false} />
              </td>
              <td>
                <Value value={stretch.foot} quantity="force" address={`column:${stretch.expandedId}:${caseId}`} />
              </td>
              <td>
                <Value value={stretch.foot / (stretch.s1 - stretch.s0)} quantity="lineLoad" strong={false} />
              </td>
            </LeadingRow>
          ))}
        </tbody>
      </WideTable>
      <Line reference="sum" result={<Value value={foot} quantity="force" />}>
        at the base, including applied load and self-weight
      </Line>
      <Line reference="audit" result={<Value value={Math.abs(residual) < 1e-3 ? 0 : residual} quantity="force" />}>
        residual force
      </Line>
      <Note>
        Each wall piece carries the load applied to it, uniformly over its length; a force between two pieces is shared
        equally.
      </Note>
    </Section>
  )
}

const tableOf = (
  { stretches, supports, levelName }: MemberView,
  format: NumberFormat,
): readonly (readonly string[])[] => {
  const [length, force, perLength] = [unitOf('length', format), unitOf('force', format), unitOf('lineLoad', format)]
  return [
    [
      'piece',
      `from, ${length}`,
      `to, ${length}`,
      `of level ${levelName}, ${force}`,
      `at base, ${force}`,
      `per length, ${perLength}`,
    ],
    ...stretches.map(({ label, s0, s1, foot }, k) => [
      label,
      formatValue(s0, 'length', format),
      formatValue(s1, 'length', format),
      formatValue(supports[k]?.reaction ?? 0, 'force', format),
      formatValue(foot, 'force', format),
      formatValue(foot / (s1 - s0), 'lineLoad', format),
    ]),
  ]
}
