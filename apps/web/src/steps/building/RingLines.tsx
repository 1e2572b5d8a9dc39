import { panelsInRings, type Layout } from '@hedrion/core'
import { memo } from 'react'
import { useAnswer, useGetDocument } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { Line, Note, Section } from '../../sheet/Sheet'
import { useChoiceOf } from '../../sheet/useChoiceOf'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'

const floorChoices = [
  ['drawn', 'no panel by itself'],
  ['everyRing', 'a panel by itself'],
] as const

/** Whether rings of beams get a floor by themselves, and those without one, filled in one step. */
export const RingLines = memo(function RingLines({ layout }: { readonly layout: Layout }) {
  const getDocument = useGetDocument()
  const edit = useEdit()
  const choiceOf = useChoiceOf()
  const length = useAnswer({ kind: 'openRings', layoutId: layout.id })?.count ?? 0
  const fill = () => {
    const made = panelsInRings(getDocument(), layout, Math.random)
    edit.add(`${made.length === 1 ? 'A panel' : `${made.length} panels`} in rings of beams`, made)
  }
  return (
    <Section
      title="Panels"
      aside={
        length > 0 && (
          <Button kind="link" onPress={fill}>
            {length === 1 ? 'Fill it with a panel' : `Fill them with ${length} panels`}
          </Button>
        )
      }
    >
      <Line reference="rings of beams">
        each new one gets{' '}
        <Choice
          {...choiceOf(layout, 'floors', 'each new ring of beams', {
            label: 'Each new ring of beams gets',
            options: floorChoices,
          })}
        />
      </Line>
      {length > 0 && (
        <Note>
          {length === 1 ? 'One ring' : `${length} rings`} of beams on “{layout.name}” {length === 1 ? 'has' : 'have'} no
          floor. Voids can stay so.
        </Note>
      )}
    </Section>
  )
})
