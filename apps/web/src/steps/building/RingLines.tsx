import { panelsInRings, type Layout } from '@hedrion/core'
import { memo } from 'react'
import { useAnswer, useGetDocument } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { Note, Section } from '../../sheet/Sheet'
import { Button } from '../../ui/Button'

/** Rings of beams without a floor, filled in one step; nothing where there is none. */
export const RingLines = memo(function RingLines({ layout }: { readonly layout: Layout }) {
  const getDocument = useGetDocument()
  const edit = useEdit()
  const length = useAnswer({ kind: 'openRings', layoutId: layout.id })?.count ?? 0
  if (length === 0) return null
  const fill = () => {
    const made = panelsInRings(getDocument(), layout, Math.random)
    edit.add(`${made.length === 1 ? 'A panel' : `${made.length} panels`} in rings of beams`, made)
  }
  return (
    <Section
      title="Panels"
      aside={
        <Button kind="link" onPress={fill}>
          {length === 1 ? 'Fill it with a panel' : `Fill them with ${length} panels`}
        </Button>
      }
    >
      <Note>
        {length === 1 ? 'One ring' : `${length} rings`} of beams on “{layout.name}” {length === 1 ? 'has' : 'have'} no
        floor. Voids can stay so.
      </Note>
    </Section>
  )
})
