import { countOf, splitExpanded, type WordedConcern } from '@hedrion/core'
import { useState } from 'react'
import { Button as AriaButton, Dialog, DialogTrigger } from 'react-aria-components'
import styled from 'styled-components'
import { useAnswer } from '../compute/SessionContext'
import { Mends } from '../sheet/Mends'
import { Button } from '../ui/Button'
import { PopCard } from '../ui/PopCard'
import { countedConcerns } from './countedConcerns'
import { useGoTo } from './useGoTo'

/** What a checker would ask about, in one list; each can be shown at its place. */
export function Concerns({ base }: { readonly base: string }) {
  const overview = useAnswer({ kind: 'overview' })
  const concerns = overview?.concerns ?? []
  const blocking = concerns.some(({ severity }) => severity === 'blocking')
  if (!overview) return null
  return (
    <DialogTrigger>
      <Open data-warm={blocking || undefined}>{concerns.length === 0 ? 'No concerns' : countedConcerns(concerns)}</Open>
      <Card placement="bottom end">
        <Dialog aria-label="Concerns">
          {({ close }) => (
            <List>
              {concerns.length === 0 && <li>No open checks.</li>}
              {kindsOf(concerns).map((kind) => (
                <Kind key={kind[0].code} concerns={kind} base={base} onShown={close} />
              ))}
            </List>
          )}
        </Dialog>
      </Card>
    </DialogTrigger>
  )
}

type OfAKind = readonly [WordedConcern, ...WordedConcern[]]

/** Concerns by their kind, in the order in which the first of each stands. */
function kindsOf(concerns: readonly WordedConcern[]): readonly OfAKind[] {
  const kinds = new Map<string, [WordedConcern, ...WordedConcern[]]>()
  for (const concern of concerns) {
    const kind = kinds.get(concern.code)
    if (kind) kind.push(concern)
    else kinds.set(concern.code, [concern])
  }
  return [...kinds.values()]
}

/** So many of a kind are shown before a person asks for the others. */
const shownOfAKind = 3

interface KindProps {
  readonly concerns: OfAKind
  readonly base: string
  readonly onShown: () => void
}

function Kind({ concerns, base, onShown }: KindProps) {
  const [all, setAll] = useState(false)
  const shown = all || concerns.length <= shownOfAKind + 1 ? concerns : concerns.slice(0, shownOfAKind)
  const others = countOf(concerns) - shown.length
  return (
    <>
      {shown.map((concern, i) => (
        <Concern key={i} concern={concern} base={base} onShown={onShown} />
      ))}
      {shown.length < concerns.length && (
        <Others>
          <Button kind="link" onPress={() => setAll(true)}>
            {others} more of this kind
          </Button>
        </Others>
      )}
    </>
  )
}

interface ConcernProps {
  readonly concern: WordedConcern
  readonly base: string
  readonly onShown: () => void
}

function Concern({ concern, base, onShown }: ConcernProps) {
  const goTo = useGoTo()
  const show = () => {
    const [about] = concern.about
    const [, levelId] = about ? splitExpanded(about) : ['', '']
    const caseId = concern.data['case']
    goTo(`${base}/${concern.step}`, {
      ...(typeof caseId === 'string' ? { case: caseId } : {}),
      ...(about ? { picked: [about], view: 'plan' as const } : {}),
      ...(levelId ? { level: levelId } : {}),
    })
    onShown()
  }
  return (
    <li data-severity={concern.severity}>
      <p>{concern.sentence}</p>
      <Tools>
        <Button kind="link" onPress={show}>
          Show
        </Button>
        <Mends concern={concern} />
      </Tools>
    </li>
  )
}

const Open = styled(AriaButton)`
  background: none;
  border: 1px solid transparent;
  border-radius: 4px;
  padding: 4px 8px;
  font: inherit;
  color: var(--quiet);
  cursor: pointer;
  white-space: nowrap;
  &[data-warm] {
    color: var(--warm);
    font-weight: 600;
  }
  &[data-hovered] {
    border-color: var(--border);
  }
`
const Card = styled(PopCard)`
  width: 420px;
`
const Tools = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0 16px;
`
const Others = styled.li`
  && {
    background: none;
    padding-top: 0;
  }
`
const List = styled.ul`
  list-style: none;
  margin: 0;
  padding: 8px 0;
  li {
    padding: 8px 16px;
    border-left: 3px solid var(--border);
    margin: 4px 10px;
    background: var(--sheet);
  }
  li[data-severity='blocking'] {
    border-left-color: var(--warm);
    background: var(--warm-soft);
  }
`
