import { buildingEdits, hallSentence, openingSentence, readNewBuilding, seededRandom } from '@hedrion/core'
import { useMemo, useState, type KeyboardEvent } from 'react'
import { TextArea, TextField } from 'react-aria-components'
import styled from 'styled-components'
import { useWords } from '../../compute/useWords'
import { useGetDocument, useRecords } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { Drawing } from '../../drawing/Drawing'
import { sketchScene } from '../../drawing/sketchScene'
import { Note, Sheet } from '../../sheet/Sheet'
import { StepLayout } from '../../sheet/StepLayout'
import { Value } from '../../sheet/Value'
import { Button } from '../../ui/Button'
import { pressed } from '../../state/shortcuts'
import { BlankStart } from './BlankStart'

const nothing: readonly string[] = []

/** New building begins with one sentence; the drawing grows while it is typed. */
export function OpeningSentence() {
  const inWords = useWords()
  const edit = useEdit()
  const [basis] = useRecords('basis')
  const family = basis?.family ?? 'EN'
  const getDocument = useGetDocument()
  const [text, setText] = useState(inWords(openingSentence))
  const [refused, setRefused] = useState<string | null>(null)
  const read = useMemo(() => readNewBuilding(text, family), [text, family])
  const scene = useMemo(() => sketchScene(read.ok ? read.building.records('', seededRandom(7)) : []), [read])
  const build = () => {
    if (!read.ok) return
    const edits = buildingEdits(getDocument(), read.building, Math.random)
    const problem = edit.apply('Built from the opening sentence', edits)
    setRefused(problem ?? null)
    // the sentence goes with its field: the keyboard is at the next step of the work
    if (!problem) requestAnimationFrame(() => document.querySelector<HTMLElement>('nav a[href*="/actions"]')?.focus())
  }
  const buildOnEnter = (event: KeyboardEvent) => {
    if (!pressed(event, 'build') || pressed(event, 'newLine')) return
    event.preventDefault()
    build()
  }
  return (
    <StepLayout
      name="New building"
      drawing={
        <Drawing
          name="Drawing of the described building"
          scene={scene}
          picked={nothing}
          onPick={() => undefined}
          list={false}
        />
      }
      sheet={
        <Sheet title="New building">
          <Note>
            {inWords(
              'Describe it in one line. Everything can be edited later; sections are assumed and marked as such. A frame of bays and storeys, or',
            )}{' '}
            <Button
              kind="link"
              onPress={() => setText(text === hallSentence ? inWords(openingSentence) : hallSentence)}
            >
              {text === hallSentence ? 'start with a frame' : 'start with a hall'}
            </Button>
            .
          </Note>
          <Field
            aria-label="The building in one sentence"
            value={text}
            onChange={setText}
            autoFocus
            isInvalid={!read.ok}
          >
            <Area rows={4} onKeyDown={buildOnEnter} />
          </Field>
          <Foot>
            {read.ok ? (
              <p>
                {read.building.summary}, <Value value={read.building.area} quantity="area" /> in all.
              </p>
            ) : (
              <Problem role="alert">{read.problem}</Problem>
            )}
            {refused && <Problem role="alert">{refused}</Problem>}
            <Button kind="primary" isDisabled={!read.ok} onPress={build}>
              Build
            </Button>
          </Foot>
          <BlankStart />
        </Sheet>
      }
    />
  )
}

const Field = styled(TextField)`
  padding: 8px 20px;
`
const Area = styled(TextArea)`
  width: 100%;
  font: 400 18px/1.5 var(--serif);
  color: var(--ink);
  background: var(--accent-soft);
  border: 0;
  border-bottom: 2px solid var(--accent);
  padding: 10px 12px;
  resize: vertical;
  &[data-invalid] {
    background: var(--warm-soft);
    border-bottom-color: var(--warm);
  }
`
const Foot = styled.div`
  padding: 4px 20px;
  min-height: 90px;
  p {
    margin-bottom: 12px;
  }
`
const Problem = styled.p`
  color: var(--warm);
`
