import { memo } from 'react'
import {
  deletionEdits,
  drawnOf,
  isDrawn,
  moved,
  readRepeat,
  readShiftText,
  repeated,
  splitExpanded,
  type Document,
  type Drawn,
  type Rec,
} from '@hedrion/core'
import styled from 'styled-components'
import { useStore } from 'zustand'
import { useShallow } from 'zustand/react/shallow'
import { useDocumentState, useFormat, useGetDocument, useSession } from '../compute/SessionContext'
import { useEdit } from '../compute/useEdit'
import { useLook } from '../state/look'
import { Button } from '../ui/Button'
import { TextLine } from '../ui/TextLine'
import { Line, Section } from './Sheet'

/** The drawn records among what is picked; a record picked on two levels is one record. */
export function usePicked(): readonly Drawn[] {
  const [look] = useLook()
  return useStore(
    useSession().store,
    useShallow(({ document }) => pickedOf(document, look.picked)),
  )
}

const pickedOf = (document: Document, picked: readonly string[]): readonly Drawn[] => [
  ...new Set(picked.map((id) => document.records.get(splitExpanded(id)[0])).filter(isDrawn)),
]

const nameOf = (records: readonly Drawn[]): string | null =>
  records.length === 0 ? null : records.length === 1 ? (records[0]?.label ?? '') : `${records.length} picked`

/** What can be done with whatever is picked: move it, repeat it, take it away. */
export const PickedTools = memo(function PickedTools() {
  const getDocument = useGetDocument()
  const format = useFormat()
  const edit = useEdit()
  const [look, change] = useLook()
  const name = useDocumentState(({ document }) => nameOf(pickedOf(document, look.picked)))
  const one = useDocumentState(({ document }) => pickedOf(document, look.picked).length === 1)
  const pickedNow = () => pickedOf(getDocument(), look.picked)
  if (name === null) return null
  const move = (text: string): string | undefined => {
    if (text === '') return undefined
    const read = readShiftText(text, format)
    if (!read.ok) return read.problem
    return edit.apply(
      `Moved ${name} ${text}`,
      pickedNow().map((before) => ({ id: before.id, before, after: moved(before, read.shift) })),
    )
  }
  const repeat = (text: string): string | undefined => {
    if (text === '') return undefined
    const read = readRepeat(text, getDocument(), format)
    if (!read.ok) return read.problem
    const copies: readonly Rec[] = repeated(pickedNow(), read.repeat, drawnOf(getDocument()), Math.random)
    if (copies.length === 0) return 'They stand there already: these levels share one layout.'
    return edit.add(`Repeated ${name} ${text}`, copies)
  }
  const remove = () => {
    const refused = edit.apply(`Deleted ${name}`, deletionEdits(getDocument(), pickedNow()))
    if (!refused) change({ picked: [] })
  }
  return (
    <Section title={one ? 'Change its place' : 'Change their place'}>
      <Line reference="move">
        <TextLine label="Move" value="" placeholder="0.5 m east" onCommit={move} />
      </Line>
      <Line
        reference="repeat"
        result={
          <Button kind="warm" onPress={remove}>
            Delete {name}
          </Button>
        }
      >
        <Wide>
          <TextLine label="Repeat" value="" placeholder="every 3 m east, 4 times" onCommit={repeat} />
        </Wide>
      </Line>
    </Section>
  )
})

const Wide = styled.span`
  input {
    min-width: 200px;
  }
`
