import { formatQuantity, type Balance, type Edit } from '@hedrion/core'
import { useEffect, useRef, useState } from 'react'
import styled from 'styled-components'
import { useWords } from '../compute/useWords'
import { useDocumentState, useFormat, useSession } from '../compute/SessionContext'
import { useCaseInView } from '../drawing/useCaseInView'
import { useDraft } from '../sheet/draftStore'
import { Value } from '../sheet/Value'

/** The sum of the case that is looked at, always there; after a change it says what the change did for some seconds. */
export function BalanceBar() {
  const inView = useCaseInView()
  const balance = inView?.loadCase.balance
  return (
    <Bar aria-label="Balance">
      {balance && inView ? (
        <>
          <Case>{sentenceCase(inView.loadCase.name)}</Case>
          <Terms balance={balance} />
        </>
      ) : (
        <Case>No load yet.</Case>
      )}
      <AtRight balance={balance} />
    </Bar>
  )
}

/** Storey forces go down by what holds the floors. */
function Held({ balance: { caseId, applied, atSupports, notCarried } }: { readonly balance: Balance }) {
  return (
    <>
      <Term name="applied" value={applied} address={`applied:${caseId}`} />
      <Term name="→ to ground through lateral elements" value={atSupports} />
      <Missing value={notCarried} words="not resisted" />
    </>
  )
}

/** What reaches nothing, where there is any. */
function Missing({
  value,
  words,
  address,
}: {
  readonly value: number
  readonly words: string
  readonly address?: string
}) {
  return (
    <>
      <Word>·</Word>
      {Math.abs(value) >= nothing ? (
        <Lost>
          <Value value={value} quantity="force" address={address} /> {words}
        </Lost>
      ) : (
        <Word>all load reaches a support</Word>
      )}
    </>
  )
}

const sentenceCase = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

/** A newton is rounding. */
const nothing = 1

function Terms({ balance }: { readonly balance: Balance }) {
  const inWords = useWords()
  const { caseId, applied, onMembers, atSupports, notCarried, handedOn } = balance
  if (handedOn === 'stiffElements') return <Held balance={balance} />
  if (handedOn)
    return (
      <>
        <Term name="applied" value={applied} address={`applied:${caseId}`} />
        <Word>
          → passed to the frame analysis as {handedOn === 'barriers' ? 'barrier line loads' : inWords('storey forces')};
          not in these reactions
        </Word>
      </>
    )
  return (
    <>
      <Term name="applied" value={applied} address={`applied:${caseId}`} />
      <Term name="→ on members" value={onMembers} address={`onMembers:${caseId}`} />
      <Term name="→ at supports" value={atSupports} address={`base:${caseId}`} />
      <Missing value={notCarried} words="not carried" address={`notCarried:${caseId}`} />
    </>
  )
}

const Term = ({
  name,
  value,
  address,
}: {
  readonly name: string
  readonly value: number
  readonly address?: string
}) => (
  <span>
    <Word>{name}</Word> <Value value={value} quantity="force" address={address} />
  </span>
)

/** While a field holds a draft: what the sums would be; else what the last change was. */
function AtRight({ balance }: { readonly balance: Balance | undefined }) {
  const edits = useDraft((state) => state.edits)
  return edits && balance ? <Supposed edits={edits} balance={balance} /> : <LastChange balance={balance} />
}

/** Typing goes on for so long before it is worked out. */
const pause = 120

function Supposed({ edits, balance }: { readonly edits: readonly Edit[]; readonly balance: Balance }) {
  const { calculator } = useSession()
  const format = useFormat()
  const [supposed, setSupposed] = useState<Balance | null>(null)
  const { caseId } = balance
  useEffect(() => {
    const off = new AbortController()
    const timer = setTimeout(() => {
      calculator.ask({ kind: 'balance', caseId }, { supposing: edits, signal: off.signal }).then(
        (found) => off.signal.aborted || setSupposed(found),
        // a later change came first, or the draft cannot be computed: the commit will say so
        () => setSupposed(null),
      )
    }, pause)
    return () => {
      clearTimeout(timer)
      off.abort()
    }
  }, [calculator, caseId, edits])
  if (!supposed || supposed.caseId !== caseId) return null
  const moved = supposed.applied - balance.applied
  const lost = supposed.notCarried - balance.notCarried
  const by = (value: number) => `${value > 0 ? '+' : ''}${formatQuantity(value, 'force', format)}`
  return (
    <Change>
      {Math.abs(moved) < nothing
        ? 'Pressing Enter leaves the totals of this case unchanged'
        : `Pressing Enter would apply ${formatQuantity(supposed.applied, 'force', format)}, ${by(moved)}`}
      {Math.abs(lost) < nothing ? '' : `; ${by(lost)} not carried`}
    </Change>
  )
}

const shownFor = 8000

/** What the last change was and how the applied sum moved with it; announced once. */
function LastChange({ balance }: { readonly balance: Balance | undefined }) {
  const format = useFormat()
  const last = useDocumentState((state) => state.last)
  const before = useRef<Balance | undefined>(undefined)
  const [shown, setShown] = useState<{ readonly count: number; readonly text: string } | null>(null)
  const count = last?.count ?? 0
  const announced = useRef(0)
  useEffect(() => {
    if (!balance) return
    const old = before.current
    before.current = balance
    if (!last || announced.current === count) return
    announced.current = count
    const moved = old && old.caseId === balance.caseId ? balance.applied - old.applied : 0
    const difference =
      Math.abs(moved) < nothing ? '' : `, ${moved > 0 ? '+' : ''}${formatQuantity(moved, 'force', format)} applied`
    const missing =
      Math.abs(balance.notCarried) < nothing
        ? 'All load reaches a support.'
        : `${formatQuantity(balance.notCarried, 'force', format)} not carried.`
    setShown({ count, text: `${last.note}${difference}. ${balance.handedOn ? '' : missing}` })
  }, [balance, count, format, last])
  useEffect(() => {
    if (!shown) return
    const timer = setTimeout(() => setShown(null), shownFor)
    return () => clearTimeout(timer)
  }, [shown])
  return (
    <Change role="status" title={shown?.text}>
      {shown?.text}
    </Change>
  )
}

const Bar = styled.footer`
  flex: none;
  min-height: 43px;
  border-top: 1px solid var(--hairline);
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 12px;
  padding: 4px 18px;
  font-size: 15px;
`
const Case = styled.span`
  color: var(--quiet);
`
const Word = styled.span`
  color: var(--quiet);
`
const Lost = styled.span`
  color: var(--warm);
  font-weight: 600;
`
const Change = styled.span`
  margin-left: auto;
  color: var(--accent);
  max-width: 50%;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
`
