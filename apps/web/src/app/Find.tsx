import { asksByValue, type Overview, typedExample } from '@hedrion/core'
import { useEffect, useMemo, useRef, useState } from 'react'
import {
  Autocomplete,
  Button as AriaButton,
  Dialog,
  Input,
  ListBox,
  ListBoxItem,
  Modal,
  ModalOverlay,
  SearchField,
} from 'react-aria-components'
import { useNavigate } from 'react-router'
import styled from 'styled-components'
import { useAnswer, useFormat, useSession } from '../compute/SessionContext'
import { askWhy } from '../sheet/traceStore'
import { askFor, commands, type CommandName } from '../state/commands'
import { lookNow, type Look } from '../state/look'
import { caseInView } from '../drawing/marks'
import { reachedBy, stepFor, type Reached } from './findEntries'
import { useGoTo } from './useGoTo'
import { pressed } from '../state/shortcuts'

const most = 60

/** Ctrl K: reaches every step, element, clause, number and command by its name. */
export function FindButton({ base }: { readonly base: string }) {
  const [open, setOpen] = useState(false)
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!pressed(event, 'find')) return
      event.preventDefault()
      setOpen(true)
    }
    addEventListener('keydown', onKey)
    return () => removeEventListener('keydown', onKey)
  }, [])
  return (
    <>
      <Open onPress={() => setOpen(true)}>
        <span>Find</span>
        <kbd>Ctrl K</kbd>
      </Open>
      <Veil isOpen={open} onOpenChange={setOpen} isDismissable>
        <Window>
          <Dialog aria-label="Find">
            <FindBox base={base} onDone={() => setOpen(false)} />
          </Dialog>
        </Window>
      </Veil>
    </>
  )
}

function FindBox({ base, onDone }: { readonly base: string; readonly onDone: () => void }) {
  const session = useSession()
  const format = useFormat()
  const overview = useAnswer({ kind: 'overview' })
  const navigate = useNavigate()
  const goTo = useGoTo()
  const [text, setText] = useState('')
  const byValue = useByValue(text, overview)
  const answer = useAnswer({ kind: 'find', text, most })
  const isAnswered = answer?.text === text
  const found = useMemo(() => (byValue ? [byValue] : reachedBy(text, answer, most)), [answer, byValue, text])
  const go = (entry: Reached) => {
    onDone()
    if (entry.command === 'undo') session.undo()
    if (entry.command === 'redo') session.redo()
    if (entry.command === 'projects') void navigate('/')
    if (isNamed(entry.command)) askFor(entry.command)
    else if (entry.command) return
    const step = stepFor(entry, location.pathname.slice(base.length + 1))
    const pathname = step ? `${base}/${step}` : location.pathname
    goTo(pathname, lookOf(entry))
    if (entry.address) askWhy(entry.address, pathname)
  }
  const hurry = useHurry(text, isAnswered ? found[0] : undefined, go)
  return (
    <Autocomplete inputValue={text} onInputChange={setText}>
      <Search aria-label="Find" autoFocus>
        <Input
          onKeyDown={(event) => pressed(event, 'goToFound') && found.length === 0 && hurry()}
          placeholder={`A step, member, panel, wall run, case, clause or command; or “${typedExample('byValue', format)}”`}
        />
      </Search>
      <List
        aria-label="Found"
        items={found}
        onAction={(key) => {
          const entry = found.find(({ id }) => id === key)
          if (entry) go(entry)
        }}
        renderEmptyState={() => <p>{isAnswered ? 'No matches.' : 'Searching …'}</p>}
      >
        {(entry) => (
          <Item id={entry.id} textValue={entry.text}>
            <span>{entry.text}</span>
            <small>{entry.kind}</small>
          </Item>
        )}
      </List>
    </Autocomplete>
  )
}

/** Enter before the answer is there: goes to the first that it has, unless the text has changed by then. */
function useHurry(text: string, first: Reached | undefined, go: (entry: Reached) => void): () => void {
  const [hurried, setHurried] = useState<string | null>(null)
  const latest = useRef(go)
  useEffect(() => {
    latest.current = go
  })
  const wanted = hurried === text ? first : undefined
  useEffect(() => {
    if (wanted) latest.current(wanted)
  }, [wanted])
  return () => setHurried(text)
}

/** What is looked at; the sheet of wind or of storey forces is in place of what a command of Actions is on. */
const lookOf = ({ kind, command, steps, level, case: of, picked }: Reached): Partial<Look> => ({
  ...(level === undefined ? {} : { level, ...(kind === 'by value' ? {} : { view: 'plan' as const }) }),
  ...(picked === undefined ? {} : { picked }),
  ...(of === undefined ? {} : { case: of }),
  ...(command && steps?.[0] === 'actions' ? { case: null } : {}),
})

const isNamed = (command: Reached['command']): command is CommandName => command !== undefined && command in commands

/** “wall runs above 6 kN/m”: what it finds as one entry, or why it finds nothing. */
function useByValue(text: string, overview: Overview | undefined): Reached | null {
  const asks = asksByValue(text)
  const caseId = caseInView(overview, lookNow().case)?.loadCase.id ?? ''
  const answer = useAnswer({ kind: 'byValue', text: asks ? text : '', caseId })
  if (!asks || !answer) return null
  if (!answer.ok) return { id: 'by value', text: answer.problem, kind: 'by value' }
  const level = answer.ids[0]?.split('@')[1]
  return {
    id: 'by value',
    text: `Select ${answer.words}`,
    kind: 'by value',
    picked: answer.ids,
    ...(level ? { level } : {}),
  }
}

const Open = styled(AriaButton)`
  display: flex;
  justify-content: space-between;
  gap: 18px;
  min-width: 126px;
  background: var(--raised);
  border: 1px solid var(--border);
  border-radius: 4px;
  padding: 5px 12px;
  font: inherit;
  color: var(--quiet);
  cursor: pointer;
  kbd {
    font: inherit;
    font-size: 13px;
  }
`
const Veil = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  background: rgb(29 39 48 / 30%);
  display: flex;
  justify-content: center;
  align-items: flex-start;
  padding-top: 90px;
  z-index: 20;
`
const Window = styled(Modal)`
  width: min(620px, 92vw);
  background: var(--raised);
  border: 1px solid var(--border);
  border-radius: 6px;
  box-shadow: 0 12px 40px rgb(29 39 48 / 28%);
  overflow: hidden;
`
const Search = styled(SearchField)`
  input {
    width: 100%;
    border: 0;
    border-bottom: 1px solid var(--border);
    background: none;
    padding: 14px 18px;
    font: 400 17px var(--sans);
    color: var(--ink);
    outline: none;
  }
  input::-webkit-search-cancel-button {
    display: none;
  }
  input::placeholder {
    color: var(--quiet);
  }
`
const List = styled(ListBox<Reached>)`
  max-height: 50vh;
  overflow: auto;
  outline: none;
  padding: 4px 0;
  p {
    padding: 10px 18px;
    color: var(--quiet);
  }
`
const Item = styled(ListBoxItem)`
  display: flex;
  justify-content: space-between;
  gap: 16px;
  padding: 7px 18px;
  cursor: pointer;
  outline: none;
  small {
    color: var(--quiet);
    white-space: nowrap;
  }
  &[data-focused],
  &[data-hovered] {
    background: var(--accent-soft);
  }
`
