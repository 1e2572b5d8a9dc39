import { memo } from 'react'
import { newId, type GridLine } from '@hedrion/core'
import { useRecords } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { NameField } from '../../sheet/NameField'
import { Line, Section } from '../../sheet/Sheet'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Button } from '../../ui/Button'
import { QuantityField } from '../../ui/QuantityField'

const axes = [
  ['x', 'Lines at x'],
  ['y', 'Lines at y'],
] as const

/** Grid lines by the direction that they cross. */
export const GridLines = memo(function GridLines() {
  const edit = useEdit()
  const lines = useRecords('gridLine')
  const add = (axis: GridLine['axis']) => {
    const same = lines.filter((line) => line.axis === axis).sort((a, b) => a.at - b.at)
    const [last, before] = [same.at(-1), same.at(-2)]
    const at = last ? last.at + (before ? last.at - before.at : 6) : 0
    const label = nextLabel(last?.label, axis)
    edit.add(`New grid line ${label}`, [{ kind: 'gridLine', id: newId('gridLine', Math.random), axis, label, at }])
  }
  return (
    <Section title="Grid">
      {axes.map(([axis, name]) => (
        <Line
          key={axis}
          reference={name}
          result={
            <Button kind="link" onPress={() => add(axis)}>
              add
            </Button>
          }
        >
          {lines
            .filter((line) => line.axis === axis)
            .sort((a, b) => a.at - b.at)
            .map((line) => (
              <GridEntry key={line.id} line={line} />
            ))}
        </Line>
      ))}
    </Section>
  )
})

function GridEntry({ line }: { readonly line: GridLine }) {
  const edit = useEdit()
  const fieldOf = useFieldOf()
  return (
    <div>
      <NameField label={`Label of grid line ${line.label}`} record={line} maxLength={10} /> at{' '}
      <QuantityField {...fieldOf(line, 'at', `place of grid line ${line.label}`, 'length', { min: -1e5, max: 1e5 })} />{' '}
      <Button
        kind="link"
        aria-label={`Delete grid line ${line.label}`}
        onPress={() => edit.remove(`Deleted grid line ${line.label}`, [line])}
      >
        delete
      </Button>
    </div>
  )
}

/** 3 after 2, C after B; lines of x count, lines of y take letters, where there is none before. */
function nextLabel(last: string | undefined, axis: GridLine['axis']): string {
  if (last === undefined) return axis === 'x' ? '1' : 'A'
  const number = Number(last)
  if (Number.isInteger(number)) return String(number + 1)
  const code = last.charCodeAt(last.length - 1)
  return last.slice(0, -1) + String.fromCharCode(code + 1)
}
