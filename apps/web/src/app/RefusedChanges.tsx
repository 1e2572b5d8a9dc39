import { kindNames, formatQuantity, labelOf, recordKinds, type Conflict, type Quantity, type Rec } from '@hedrion/core'
import styled from 'styled-components'
import { useDocumentState, useFormat, useSession } from '../compute/SessionContext'
import { useEdit } from '../compute/useEdit'
import { dismissRefused, type RefusedChange } from '../state/documentStore'
import { Button } from '../ui/Button'

/** Changes that the server would not take, each with both values: nothing is overwritten behind anyone's back. */
export function RefusedChanges() {
  const refused = useDocumentState((state) => state.refused)
  if (refused.length === 0) return null
  return (
    <Box role="alert">
      {refused.map((entry) => (
        <Refused key={entry.change.id} entry={entry} />
      ))}
    </Box>
  )
}

function Refused({ entry }: { readonly entry: RefusedChange }) {
  const { store } = useSession()
  const edit = useEdit()
  const { change, message, conflicts, failed } = entry
  const again = () => {
    const { document } = store.getState()
    const edits = change.edits.map((old) => ({ ...old, before: document.records.get(old.id) ?? null }))
    edit.apply(change.note, edits)
    dismissRefused(store, change.id)
  }
  return (
    <div>
      <p>
        <strong>“{change.note}” was not saved.</strong> {message}
      </p>
      {conflicts.map((conflict) => (
        <Both
          key={conflict.id}
          conflict={conflict}
          mine={change.edits.find(({ id }) => id === conflict.id)?.after ?? null}
        />
      ))}
      <Tools>
        <Button kind="warm" onPress={again}>
          {failed ? 'Retry' : 'Reapply my change'}
        </Button>
        <Button kind="warm" onPress={() => dismissRefused(store, change.id)}>
          {failed ? 'Discard my change' : 'Keep their version'}
        </Button>
      </Tools>
    </div>
  )
}

/** The fields in which the two differ. */
function Both({ conflict, mine }: { readonly conflict: Conflict; readonly mine: Rec | null }) {
  const { store } = useSession()
  const format = useFormat()
  const theirs = conflict.current
  const subject = mine ?? theirs ?? conflict.expected
  if (!subject) return null
  const name = `${kindNames[subject.kind]} ${labelOf(store.getState().document, subject.id)}`
  if (!theirs) return <p>{name} was deleted.</p>
  if (!mine) return <p>{name} was changed, and you deleted it.</p>
  const quantityOf = (field: string) =>
    (recordKinds[subject.kind] as Readonly<Record<string, { readonly quantity?: Quantity }>>)[field]?.quantity
  const show = (record: Rec, field: string): string => {
    const value = (record as unknown as Readonly<Record<string, unknown>>)[field]
    const quantity = quantityOf(field)
    if (typeof value === 'number' && quantity) return formatQuantity(value, quantity, format)
    return typeof value === 'string' || typeof value === 'number' ? String(value) : 'another shape'
  }
  const fields = Object.keys(recordKinds[subject.kind]).filter((field) => show(mine, field) !== show(theirs, field))
  return (
    <p>
      {name}: {fields.map((field) => `${field} mine ${show(mine, field)}, theirs ${show(theirs, field)}`).join('; ')}
    </p>
  )
}

const Box = styled.div`
  flex: none;
  background: var(--warm-soft);
  border-bottom: 2px solid var(--warm);
  padding: 8px 18px;
  max-height: 30vh;
  overflow: auto;
`
const Tools = styled.div`
  display: flex;
  gap: 18px;
`
