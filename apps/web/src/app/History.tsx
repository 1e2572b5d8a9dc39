import type { AcceptedChange } from '@hedrion/contract'
import { inverse } from '@hedrion/core'
import { memo, useEffect, useState } from 'react'
import { Button as AriaButton, Dialog, DialogTrigger } from 'react-aria-components'
import styled from 'styled-components'
import { useDocumentState, useSession } from '../compute/SessionContext'
import { request } from '../state/api'
import { Button } from '../ui/Button'
import { PopCard } from '../ui/PopCard'

/** Undo, redo, and the changes of the project, each of which can be taken back while nothing stands on it. */
export const History = memo(function History() {
  const session = useSession()
  return (
    <Group>
      <Back word="Undo" stack="undoable" onPress={() => session.undo()} />
      <Back word="Redo" stack="redoable" onPress={() => session.redo()} />
      <DialogTrigger>
        <Open>History</Open>
        <Card placement="bottom end">
          <Dialog aria-label="History">
            <Changes />
          </Dialog>
        </Card>
      </DialogTrigger>
    </Group>
  )
})

interface BackProps {
  readonly word: string
  readonly stack: 'undoable' | 'redoable'
  readonly onPress: () => void
}

function Back({ word, stack, onPress }: BackProps) {
  const note = useDocumentState((state) => state[stack].at(-1)?.note)
  return (
    <Button
      kind="quiet"
      isDisabled={note === undefined}
      onPress={onPress}
      aria-label={note === undefined ? word : `${word}: ${note}`}
    >
      {word}
    </Button>
  )
}

type Loaded = readonly AcceptedChange[] | 'loading' | 'away'

function Changes() {
  const session = useSession()
  const { projectId, pending } = session.store.getState()
  const [changes, setChanges] = useState<Loaded>('loading')
  useEffect(() => {
    let open = true
    const show = (loaded: Loaded) => open && setChanges(loaded)
    request<readonly AcceptedChange[]>('GET', `/projects/${projectId}/changes/latest`).then(show, () => show('away'))
    return () => {
      open = false
    }
  }, [projectId])
  const [problem, setProblem] = useState<string | null>(null)
  const takeBack = (change: AcceptedChange) => {
    const { note, edits } = inverse(change, '', 0)
    const done = session.commit(note, edits)
    if (done.ok) setProblem(null)
    else setProblem(done.problems[0]?.problem ?? `“${change.note}” cannot be undone: later changes depend on it.`)
  }
  return (
    <Body>
      {problem && <p role="alert">{problem}</p>}
      {pending.length > 0 && <p>{pending.length} not sent yet</p>}
      {changes === 'loading' && <p>Loading …</p>}
      {changes === 'away' && <p>History is unavailable while the server is not responding.</p>}
      {typeof changes !== 'string' && (
        <ol>
          {changes.map((change) => (
            <li key={change.id}>
              <span>{change.note}</span>
              <small>{new Date(change.at).toLocaleString('en-GB')}</small>
              <Button kind="link" onPress={() => takeBack(change)} aria-label={`Undo this change: ${change.note}`}>
                Undo this change
              </Button>
            </li>
          ))}
        </ol>
      )}
    </Body>
  )
}

const Group = styled.div`
  display: flex;
  align-items: center;
`
const Open = styled(AriaButton)`
  background: none;
  border: 1px solid transparent;
  border-radius: 4px;
  padding: 4px 6px;
  font: inherit;
  color: var(--ink);
  cursor: pointer;
  &[data-hovered] {
    border-color: var(--border);
  }
`
const Card = styled(PopCard)`
  width: 440px;
`
const Body = styled.div`
  padding: 8px 16px;
  p[role='alert'] {
    color: var(--warm);
  }
  ol {
    list-style: none;
    margin: 0;
    padding: 0;
  }
  li {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 0 12px;
    padding: 6px 0;
    border-bottom: 1px solid var(--hairline);
  }
  small {
    grid-column: 1;
    color: var(--quiet);
  }
  li > button {
    grid-column: 2;
    grid-row: 1 / span 2;
    align-self: center;
  }
`
