import { formatValue, unitOf } from '@hedrion/core'
import { useWords } from '../../compute/useWords'
import { useAnswer, useFormat } from '../../compute/SessionContext'
import { Note, Section } from '../../sheet/Sheet'
import { Value } from '../../sheet/Value'
import { TableOut } from '../../ui/TableOut'
import { WideTable } from './ColumnTable'

/** What raking columns and hangers, loads square to slopes, and wall surfaces do sideways to the levels, in one case; nothing where there are none. */
export function Thrusts({ caseId }: { readonly caseId: string }) {
  const inWords = useWords()
  const rows = useAnswer({ kind: 'thrusts', caseId })
  const format = useFormat()
  if (!rows || rows.length === 0) return null
  const [force, moment] = [unitOf('force', format), unitOf('moment', format)]
  const addressOf = (levelId: string | null, part: string) => `thrusts:${levelId ?? 'base'}:${caseId}:${part}`
  const text = () => [
    ['level', `to the east, ${force}`, `to the north, ${force}`, `about the origin, ${moment}`],
    ...rows.map(({ levelName, x, y, moment: turning }) => [
      levelName,
      formatValue(x, 'force', format),
      formatValue(y, 'force', format),
      formatValue(turning, 'moment', format),
    ]),
  ]
  return (
    <Section title="Horizontal thrusts" aside={<TableOut name="thrust" rows={text} />}>
      <WideTable aria-label="Horizontal thrusts">
        <thead>
          <tr>
            <th>level</th>
            <th>to the east</th>
            <th>to the north</th>
            <th>about the origin</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ levelId, levelName, x, y, moment: turning }) => (
            <tr key={levelId ?? 'base'}>
              <th>{levelName}</th>
              <td>
                <Value value={x} quantity="force" strong={false} address={addressOf(levelId, 'x')} />
              </td>
              <td>
                <Value value={y} quantity="force" strong={false} address={addressOf(levelId, 'y')} />
              </td>
              <td>
                <Value value={turning} quantity="moment" strong={false} address={addressOf(levelId, 'moment')} />
              </td>
            </tr>
          ))}
        </tbody>
      </WideTable>
      <Note>
        {inWords(
          'Thrusts of raking members sum to zero over all levels; loads normal to a slope and pressures on walls do not. Distributed to lateral elements by storey if drawn, otherwise exported.',
        )}
      </Note>
    </Section>
  )
}
