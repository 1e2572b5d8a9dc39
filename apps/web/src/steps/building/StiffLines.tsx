import { distance, expanded, type StiffElement } from '@hedrion/core'
import { useWords } from '../../compute/useWords'
import { useAnswer, useRecords } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { stiffNames } from '../../drawing/stiffPart'
import { useLevel } from '../../drawing/useLevel'
import { ConcernsHere } from '../../sheet/ConcernsHere'
import { NameField } from '../../sheet/NameField'
import { Line, Note, Section } from '../../sheet/Sheet'
import { severalWord, shared } from '../../sheet/several'
import { SymbolText } from '../../sheet/SymbolText'
import { useChoiceOf } from '../../sheet/useChoiceOf'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Value } from '../../sheet/Value'
import { Choice } from '../../ui/Choice'
import { QuantityField } from '../../ui/QuantityField'
import { MaterialChoice } from './StockChoices'

const sorts = (Object.keys(stiffNames) as (keyof typeof stiffNames)[]).map((sort) => [sort, stiffNames[sort]] as const)

/** What holds a floor against horizontal forces: what it is, and how stiff that makes it. */
export function StiffLines({ elements }: { readonly elements: readonly StiffElement[] }) {
  const inWords = useWords()
  const choiceOf = useChoiceOf()
  const fieldOf = useFieldOf()
  const { level } = useLevel()
  const [first] = elements
  if (!first) return null
  const alone = elements.length === 1
  const sort = shared(elements.map((element) => element.sort))
  const [a, b] = first.path
  return (
    <Section title={alone ? 'Lateral element' : `${elements.length} lateral elements`}>
      <Line reference={alone ? 'label' : 'type'}>
        {alone && (
          <>
            <NameField label="Label" record={first} />
            {', a '}
          </>
        )}
        <Choice {...choiceOf(elements, 'sort', 'type', { label: 'Type', options: sorts })} />
        {alone && a && b && (
          <>
            {' of '}
            <Value value={distance(a, b)} quantity="length" strong={false} />
          </>
        )}
      </Line>
      {sort === 'wall' && (
        <Line reference="thickness">
          <QuantityField {...fieldOf(elements, 'thickness', 'thickness')} /> of <MaterialChoice records={elements} />
        </Line>
      )}
      {sort === 'bracing' && <Diagonals elements={elements} />}
      {sort === 'given' && (
        <Line reference="entered">
          <SymbolText name="k" /> = <QuantityField {...fieldOf(elements, 'stiffness', 'stiffness')} />
        </Line>
      )}
      {alone && level && sort !== 'given' && <Stiffness address={`stiffness:${expanded(first.id, level.id)}`} />}
      <Note>
        {inWords(
          'Resists horizontal force along its line from this level to the next below. No self-weight: add a wall run for that. Its share of the storey forces is shown in Paths.',
        )}
      </Note>
      <ConcernsHere ids={elements.map(({ id }) => id).join()} />
    </Section>
  )
}

/** Force per drift of the storey, by the clause. */
function Stiffness({ address }: { readonly address: string }) {
  const inWords = useWords()
  const traced = useAnswer({ kind: 'why', address })
  if (!traced) return null
  return (
    <Line reference="estimated" result={<Value value={traced.value} quantity="stiffness" address={address} />}>
      <SymbolText name="k" />
      {inWords(' along its line, per storey')}
    </Line>
  )
}

function Diagonals({ elements }: { readonly elements: readonly StiffElement[] }) {
  const sections = useRecords('section')
  const edit = useEdit()
  const note = useNote()
  const say = (what: string) => `${note.subject(elements)}: ${what}`
  return (
    <Line reference="diagonals">
      <Choice
        label="Active diagonals"
        value={shared(elements.map(({ diagonals }) => (diagonals === 2 ? 'two' : 'one')))}
        placeholder={severalWord}
        options={[
          ['one', 'one at a time (tension only),'],
          ['two', 'both'],
        ]}
        onChange={(count) =>
          edit.setEach(elements, say(`${count} active diagonals`), () => ({ diagonals: count === 'two' ? 2 : 1 }))
        }
      />{' '}
      of{' '}
      <Choice
        label="Section of the diagonals"
        value={shared(elements.map(({ section }) => section ?? ''))}
        placeholder={elements.every(({ section }) => section === null) ? 'no section' : severalWord}
        options={sections.map(({ id, name }) => [id as string, name])}
        onChange={(id) => {
          const section = sections.find((entry) => entry.id === id)
          if (section) edit.setEach(elements, say(`section ${section.name}`), () => ({ section: section.id }))
        }}
      />
      , <MaterialChoice records={elements} />
    </Line>
  )
}
