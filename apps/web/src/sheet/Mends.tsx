import { mendsOf, type Concern } from '@hedrion/core'
import { useDocument, useFormat } from '../compute/SessionContext'
import { useEdit } from '../compute/useEdit'
import { Button } from '../ui/Button'

/** What takes a concern away in one step, as buttons that say the outcome. */
export function Mends({ concern }: { readonly concern: Concern }) {
  const document = useDocument()
  const format = useFormat()
  const edit = useEdit()
  return mendsOf(document, concern, format, Math.random).map(({ words, edits }) => (
    <Button key={words} kind="link" onPress={() => edit.apply(words, edits)}>
      {words}
    </Button>
  ))
}
