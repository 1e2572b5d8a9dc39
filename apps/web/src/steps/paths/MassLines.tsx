import { formatQuantity, formatValue } from '@hedrion/core'
import { useAnswer, useFormat } from '../../compute/SessionContext'
import { Line, Note, Section } from '../../sheet/Sheet'
import { Value } from '../../sheet/Value'

/** What each level weighs for earthquake, and where its centre is. */
export function MassLines() {
  const masses = useAnswer({ kind: 'masses' })
  const format = useFormat()
  if (!masses || masses.rows.every(({ weight }) => weight === 0)) return null
  const total = masses.rows.reduce((sum, { mass }) => sum + mass, 0)
  return (
    <Section title="Mass of each level" aside={<small>{masses.clause}</small>}>
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
              centre {formatValue(centre[0], 'length', format)}, {formatQuantity(centre[1], 'length', format)}
            </small>
          )}
        </Line>
      ))}
      <Line lit reference="sum" result={<Value value={total} quantity="mass" />}>
        all levels
      </Line>
      <Note>
        All that is permanent, the part of imposed load that the standard counts, and what counts as mass only. Columns
        go half up and half down; walls count where they stand.
      </Note>
    </Section>
  )
}
