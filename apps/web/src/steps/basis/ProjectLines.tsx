import type { Basis } from '@hedrion/core'
import { useEdit, useNote } from '../../compute/useEdit'
import { Line, Section } from '../../sheet/Sheet'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Choice } from '../../ui/Choice'
import { QuantityField } from '../../ui/QuantityField'
import { TextLine } from '../../ui/TextLine'

type Fact = 'number' | 'client' | 'author' | 'checker' | 'date'

const facts: readonly (readonly [field: Fact, label: string, placeholder: string, limit: number])[] = [
  ['number', 'Project number', 'none yet', 60],
  ['client', 'Client', 'name of the client', 120],
  ['author', 'Author', 'prepared by', 120],
  ['checker', 'Checker', 'checked by', 120],
  ['date', 'Date', '2026-11-25', 20],
]

const isDay = (text: string): boolean => {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return false
  const day = new Date(`${text}T00:00:00Z`)
  return !Number.isNaN(day.getTime()) && day.toISOString().startsWith(text)
}

/** What stands on the cover of the calculation, and how it shows numbers. */
export function ProjectLines({ basis }: { readonly basis: Basis }) {
  const edit = useEdit()
  const note = useNote()
  const fieldOf = useFieldOf()
  const setFact = (field: Fact, label: string, text: string): string | undefined => {
    if (field === 'date' && text !== '' && !isDay(text)) return 'Enter the date as year-month-day, e.g. 2026-11-25.'
    return edit.set(basis, note.text(basis, label.toLowerCase(), basis[field] || 'none', text || 'none'), {
      [field]: text,
    })
  }
  return (
    <Section title="Project">
      <Line reference="name">
        <TextLine
          label="Name of the project"
          value={basis.name}
          maxLength={120}
          onCommit={(name) =>
            name === ''
              ? 'Enter a project name.'
              : edit.set(basis, note.text(basis, 'name', basis.name, name), { name })
          }
        />
      </Line>
      {facts.map(([field, label, placeholder, maxLength]) => (
        <Line key={field} reference={label.toLowerCase()}>
          <TextLine
            label={label}
            value={basis[field]}
            placeholder={placeholder}
            maxLength={maxLength}
            onCommit={(text) => setFact(field, label, text)}
          />
        </Line>
      ))}
      <Line reference="EN 1990 table 2.1">
        design working life{' '}
        <QuantityField
          {...fieldOf(basis, 'workingLife', 'design working life', { optional: true, placeholder: 'not given' })}
        />{' '}
        years <small>(50 for buildings, 10 to 25 for replaceable parts, 100 for monuments)</small>
      </Line>
      <Line reference="load paths">
        members support a panel within <QuantityField {...fieldOf(basis, 'supportReach', 'support tolerance')} /> of it,
        and strips at more than <QuantityField {...fieldOf(basis, 'spanLimit', 'minimum angle to the span')} /> to the
        span <small>(can be set per panel)</small>
      </Line>
      <Line reference="units shown">
        <Choice
          label="Units"
          value={basis.units}
          options={[
            ['metric', 'kN, m'],
            ['us', 'kip, ft'],
          ]}
          onChange={(units) => edit.set(basis, note.text(basis, 'units', basis.units, units), { units })}
        />{' '}
        with a decimal{' '}
        <Choice
          label="Decimal sign"
          value={basis.decimal}
          options={[
            ['point', 'point'],
            ['comma', 'comma'],
          ]}
          onChange={(decimal) => edit.set(basis, note.text(basis, 'decimal sign', basis.decimal, decimal), { decimal })}
        />
      </Line>
    </Section>
  )
}
