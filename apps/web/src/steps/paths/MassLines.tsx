import { formatQuantity, formatValue, unitOf } from '@hedrion/core'
import { useWords } from '../../compute/useWords'
import { useAnswer, useFormat } from '../../compute/SessionContext'
import { Line, Note, Section } from '../../sheet/Sheet'
import { Value } from '../../sheet/Value'
import { TableOut } from '../../ui/TableOut'

/** What each level weighs for earthquake, and where its centre is. */
export function MassLines() {
  const inWords = useWords()
  const masses = useAnswer({ kind: 'masses' })
  const format = useFormat()
  const heads = ['mass', 'weight', inWords('centre x'), inWords('centre y')]
  if (!masses || masses.rows.every(({ weight }) => weight === 0)) return null
  const total = masses.rows.reduce((sum, { mass }) => sum + mass, 0)
  const table = () => [
    ['level', ...(['mass', 'force', 'length', 'length'] as const).map((of, i) => `${heads[i]}, ${unitOf(of, format)}`)],
    ...masses.rows.map(({ levelName, mass, weight, centre }) => [
      levelName,
      formatValue(mass, 'mass', format),
      formatValue(weight, 'force', format),
      ...(centre ?? []).map((at) => formatValue(at, 'length', format)),
    ]),
  ]
  return (
    <Section title="Mass of each level" aside={<TableOut name="masses" rows={table} />}>
      {masses.rows.map(({ levelId, levelName, weight, mass, centre }) => (
        <Line
          key={levelId}
          reference={`level ${levelName}`}
          result={<Value value={mass} quantity="mass" address={`mass:${levelId}`} />}
        >
          <Value value={weight} quantity="force" strong={false} />
          {centre && (
            <small>
              {' '}
              {inWords('centre ')}
              {formatValue(centre[0], 'length', format)}, {formatQuantity(centre[1], 'length', format)}
            </small>
          )}
        </Line>
      ))}
      <Line lit reference="sum" result={<Value value={total} quantity="mass" />}>
        all levels
      </Line>
      <Note>
        {masses.clause}
        {inWords(
          ': permanent loads, the share of imposed load required by the standard, and additional seismic mass. Half of each column is assigned to the level above and half to the level below; walls to the level that supports them.',
        )}
      </Note>
    </Section>
  )
}
