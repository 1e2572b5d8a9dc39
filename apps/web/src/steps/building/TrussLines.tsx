import {
  numberField,
  distance,
  formatQuantity,
  trussLengths,
  trussParts,
  trussShape,
  type Member,
  largest,
  smallest,
} from '@hedrion/core'
import { useMemo } from 'react'
import styled from 'styled-components'
import { useFormat, useRecords } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { Working } from '../../sheet/Chain'
import { Line, Section } from '../../sheet/Sheet'
import { Value } from '../../sheet/Value'
import { Choice } from '../../ui/Choice'
import { QuantityField } from '../../ui/QuantityField'

type Truss = NonNullable<Member['truss']>

const bottoms = [
  ['straight', 'straight from end to end'],
  ['alongTop', 'along the top chord'],
] as const
const webs = [
  ['posts', 'diagonals and posts'],
  ['diagonals', 'diagonals only'],
] as const

/** What a truss is made of below its top chord, with its picture and its weight. */
export function TrussLines({ member, truss }: { readonly member: Member; readonly truss: Truss }) {
  const sections = useRecords('section')
  const slopes = useRecords('slope')
  const format = useFormat()
  const edit = useEdit()
  const note = useNote()
  const parts = useMemo(
    () =>
      trussParts(
        trussShape(member),
        slopes.filter(({ layout }) => layout === member.layout),
      ),
    [member, slopes],
  )
  const lengths = trussLengths(parts)
  const set = (what: string, fields: Partial<Truss>) =>
    edit.set(member, `${note.subject(member)}: ${what}`, { truss: { ...truss, ...fields } })
  const sectionChoice = (label: string, key: 'bottomSection' | 'webSection') => (
    <Choice
      label={label}
      value={truss[key]}
      options={sections.map(({ id, name }) => [id as string, name])}
      onChange={(id) => {
        const section = sections.find((entry) => entry.id === id)
        if (section) set(`${label.toLowerCase()} ${section.name}`, { [key]: section.id })
      }}
    />
  )
  return (
    <Section title="Truss">
      <TrussPicture parts={parts} length={lengthOf(member)} text={`Truss ${member.label} to scale`} />
      <Line reference="depth at the ends">
        <QuantityField
          label="Depth at the ends"
          {...numberField('member', 'truss.depth')}
          format={format}
          value={truss.depth}
          onCommit={(depth) =>
            depth === null ? 'Enter a truss depth.' : set(`depth ${formatQuantity(depth, 'length', format)}`, { depth })
          }
        />{' '}
        between the chords
      </Line>
      <Line reference="bays">
        <QuantityField
          label="Bays of the truss"
          {...numberField('member', 'truss.bays')}
          format={format}
          value={truss.bays}
          onCommit={(bays) =>
            bays === null || !Number.isInteger(bays) ? 'Enter an integer from 2 to 60.' : set(`${bays} bays`, { bays })
          }
        />{' '}
        <Choice
          label="Web"
          value={truss.posts ? 'posts' : 'diagonals'}
          options={webs}
          onChange={(web) => set(web === 'posts' ? 'with posts' : 'without posts', { posts: web === 'posts' })}
        />
      </Line>
      <Line reference="bottom chord" result={<Value value={lengths.bottom} quantity="length" />}>
        {sectionChoice('Bottom chord', 'bottomSection')}{' '}
        <Choice
          label="Shape of the bottom chord"
          value={truss.bottom}
          options={bottoms}
          onChange={(bottom) => set(bottom === 'straight' ? 'bottom straight' : 'bottom along the top', { bottom })}
        />
      </Line>
      <Line reference="web" result={<Value value={lengths.web} quantity="length" />}>
        {sectionChoice('Web', 'webSection')}
      </Line>
      <Working reference="self-weight, connections excluded" address={`barWeight:${member.id}`} />
    </Section>
  )
}

const lengthOf = ({ path: [a, b] }: Member): number => (a && b ? distance(a, b) : 1)

const [wide, high] = [446, 110] as const

function TrussPicture({
  parts,
  length,
  text,
}: {
  readonly parts: ReturnType<typeof trussParts>
  readonly length: number
  readonly text: string
}) {
  const heights = parts.flatMap(({ from, to }) => [from[1], to[1]])
  const [low, top] = [smallest(heights), largest(heights)]
  const scale = Math.min((wide - 20) / length, (high - 20) / Math.max(top - low, 0.1))
  const at = ([s, z]: readonly [number, number]) => `${10 + s * scale} ${10 + (top - z) * scale}`
  return (
    <Picture viewBox={`0 0 ${wide} ${20 + (top - low) * scale}`} role="img" aria-label={text}>
      {parts.map(({ part, from, to }, i) => (
        <path key={i} d={`M${at(from)} L${at(to)}`} strokeWidth={part === 'web' ? 1.2 : 2.6} />
      ))}
    </Picture>
  )
}

const Picture = styled.svg`
  display: block;
  width: 446px;
  max-width: calc(100% - 40px);
  margin: 4px 20px;
  path {
    stroke: var(--ink);
    stroke-linecap: round;
  }
`
