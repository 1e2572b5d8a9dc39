import { panelsInRings, type Layout } from '@hedrion/core'
import { memo } from 'react'
import { useAnswer, useGetDocument } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { Line, Note, Section } from '../../sheet/Sheet'
import { useChoiceOf } from '../../sheet/useChoiceOf'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'

const floorChoices = [
  ['drawn', 'no panel automatically'],
  ['everyRing', 'a panel automatically'],
] as const

/** Whether enclosed bays get a floor automatically, and those without one, filled in one step. */
export const RingLines = memo(function RingLines({ layout }: { readonly layout: Layout }) {
  const getDocument = useGetDocument()
  const edit = useEdit()
  const choiceOf = useChoiceOf()
  const length = useAnswer({ kind: 'openRings', layoutId: layout.id })?.count ?? 0
  const fill = () => {
    const made = panelsInRings(getDocument(), layout, Math.random)
    edit.add(`${made.length === 1 ? 'A panel' : `${made.length} panels`} in beam bays`, made)
  }
  return (
    <Section
      title="Panels"
      aside={
        length > 0 && (
          <Button kind="link" onPress={fill}>
            {length === 1 ? 'Add a panel' : `Add ${length} panels`}
          </Button>
        )
      }
    >
      <Line reference="enclosed bays">
        new bays get{' '}
        <Choice
          {...choiceOf(layout, 'floors', 'new bays', {
            label: 'New bays get',
            options: floorChoices,
          })}
        />
      </Line>
      {length > 0 && (
        <Note>
          {length === 1 ? 'One bay' : `${length} bays`} enclosed by beams on “{layout.name}”{' '}
          {length === 1 ? 'has' : 'have'} no floor panel. Leave voids without one.
        </Note>
      )}
    </Section>
  )
})
