import { memo, type ReactNode } from 'react'
import {
  kindNames,
  capitalized,
  changePictures,
  drawnOf,
  moved,
  pointsOf,
  pointsText,
  readRepeat,
  readShiftText,
  repeatEdits,
  newId,
  type Edit,
  type Drawn,
  type Rec,
  type Selection,
  typedExample,
  withPointsText,
} from '@hedrion/core'
import styled from 'styled-components'
import { countOf } from './countOf'
import { useStore } from 'zustand'
import { useShallow } from 'zustand/react/shallow'
import { useDocumentState, useFormat, useGetDocument, useRecords, useSession } from '../compute/SessionContext'
import { nameOfPicked, pickedOf, useDeletePicked } from '../compute/picked'
import { useEdit, useNote } from '../compute/useEdit'
import { useLook } from '../state/look'
import { Button } from '../ui/Button'
import { TextLine } from '../ui/TextLine'
import { ChangePictures } from './ChangePictures'
import { Line, Section } from './Sheet'

/** The drawn records among what is picked; a record picked on two levels is one record. */
export function usePicked(): readonly Drawn[] {
  const [look] = useLook()
  return useStore(
    useSession().store,
    useShallow(({ document }) => pickedOf(document, look.picked)),
  )
}

/** What can be done with whatever is picked: move it, repeat it, take it away. */
export const PickedTools = memo(function PickedTools() {
  const getDocument = useGetDocument()
  const format = useFormat()
  const edit = useEdit()
  const [look] = useLook()
  const name = useDocumentState(({ document }) => nameOfPicked(pickedOf(document, look.picked)))
  const one = useDocumentState(({ document }) => pickedOf(document, look.picked).length === 1)
  const pickedNow = () => pickedOf(getDocument(), look.picked)
  const remove = useDeletePicked()
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
    const edits = repeatEdits(pickedNow(), read.repeat, drawnOf(getDocument()), Math.random)
    if (edits.length === 0) return 'Already there: these levels share one layout.'
    return edit.apply(`Repeated ${name} ${text}`, edits)
  }
  const whatRepeatDoes = (text: string): ReactNode => {
    const read = readRepeat(text, getDocument(), format)
    if (!read.ok) return undefined
    const edits = repeatEdits(pickedNow(), read.repeat, drawnOf(getDocument()), Math.random)
    return (
      <>
        {effectText(edits)}
        <ChangePictures pictures={changePictures(getDocument(), edits)} />
      </>
    )
  }
  return (
    <Section title={one ? 'Change its position' : 'Change their positions'}>
      <Line
        reference="move"
        result={
          <Button kind="warm" onPress={remove}>
            Delete {name}
          </Button>
        }
      >
        <TextLine label="Move" value="" placeholder={typedExample('move', format)} onCommit={move} />
      </Line>
      <Line reference="repeat">
        <Wide>
          <TextLine
            label="Repeat"
            value=""
            placeholder={typedExample('repeat', format)}
            maxLength={80}
            preview={whatRepeatDoes}
            onCommit={repeat}
          />
        </Wide>
      </Line>
      {one && <PointsLine key={look.picked.join()} />}
      <KeepLine picked={look.picked} />
    </Section>
  )
})

/** More points than these are a curve, whose points nobody types. */
const mostPoints = 12

/** Where a record lies, by crossings of the grid and coordinates, to be read and typed. */
function PointsLine() {
  const format = useFormat()
  const grid = useRecords('gridLine')
  const edit = useEdit()
  const note = useNote()
  const [record] = usePicked()
  if (!record) return null
  const points = pointsOf(record)
  if (points.length > mostPoints) return null
  const name = !('path' in record) ? 'corners' : points.length === 1 ? 'point' : points.length === 2 ? 'ends' : 'points'
  const set = (text: string): string | undefined => {
    const read = withPointsText(record, text, grid, format)
    if (!read.ok) return read.problem
    return edit.apply(`${note.subject([record])}: ${name} ${text}`, [
      { id: record.id, before: record, after: read.record },
    ])
  }
  return (
    <Line reference={name}>
      <TextLine label={capitalized(name)} value={pointsText(record, grid, format)} maxLength={400} onCommit={set} />
    </Line>
  )
}

/** What is picked can be kept by a name and called back through Find; kept selections that hold it can be let go. */
function KeepLine({ picked }: { readonly picked: readonly string[] }) {
  const kept = useRecords('selection')
  const edit = useEdit()
  const same = kept.find((selection) => selection.picked.join() === [...picked].sort().join())
  const keep = (name: string): string | undefined => {
    if (name === '') return undefined
    if (kept.some((selection) => selection.name === name)) return 'Another saved selection has this name.'
    const selection: Selection = {
      kind: 'selection',
      id: newId('selection', Math.random),
      name,
      picked: [...picked].sort(),
    }
    return edit.add(`Saved selection “${name}”`, [selection])
  }
  return (
    <Line
      reference="keep"
      result={
        same && (
          <Button kind="link" onPress={() => edit.remove(`Deleted selection “${same.name}”`, [same])}>
            delete selection
          </Button>
        )
      }
    >
      {same ? (
        `saved as “${same.name}”`
      ) : (
        <TextLine label="Save selection as" value="" placeholder="a name" onCommit={keep} />
      )}
    </Line>
  )
}

/** “Enter adds 6 copies; 3 wall runs there are deleted.” */
function effectText(edits: readonly Edit[]): string {
  const copies = edits.filter(({ after }) => after !== null).length
  const gone = new Map<string, number>()
  for (const { before } of edits) if (before) gone.set(before.kind, (gone.get(before.kind) ?? 0) + 1)
  const going = [...gone].map(([kind, count]) => countOf(count, kindNames[kind as Rec['kind']].toLowerCase()))
  const made = `Enter adds ${countOf(copies, 'cop').replace(/cop$/, 'copy').replace(/cops$/, 'copies')}`
  return going.length === 0
    ? `${made}; existing objects are kept.`
    : `${made}; ${going.join(' and ')} there ${gone.size === 1 && [...gone.values()][0] === 1 ? 'is' : 'are'} deleted.`
}

const Wide = styled.span`
  input {
    min-width: 200px;
  }
`
