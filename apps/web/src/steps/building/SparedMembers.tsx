import { memberLabelsText, readMemberLabels, type Panel } from '@hedrion/core'
import { useDocument, useGetDocument } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { Line } from '../../sheet/Sheet'
import { severalWord } from '../../sheet/several'
import { TextLine } from '../../ui/TextLine'

/** Single members that take no load of these panels, by their labels. */
export function SparedMembers({ panels }: { readonly panels: readonly Panel[] }) {
  const document = useDocument()
  const getDocument = useGetDocument()
  const edit = useEdit()
  const note = useNote()
  const said = ({ sparedMembers }: Panel) => memberLabelsText(document, sparedMembers)
  const [first] = panels
  const commit = (text: string): string | undefined => {
    const read = panels.map((panel) => [panel, readMemberLabels(text, getDocument(), panel.layout)] as const)
    for (const [, found] of read) if (!found.ok) return found.problem
    return edit.apply(
      `${note.subject(panels)}: ${text === '' ? 'no members excluded' : `${text} excluded`}`,
      read.map(([before, found]) => ({
        id: before.id,
        before,
        after: { ...before, sparedMembers: found.ok ? found.ids : [] },
      })),
    )
  }
  if (!first) return null
  const same = panels.every((panel) => said(panel) === said(first))
  return (
    <Line reference="excluded">
      <TextLine
        label="Members excluded from this panel"
        value={same ? said(first) : ''}
        placeholder={same ? 'B2, G1' : severalWord}
        maxLength={200}
        onCommit={commit}
      />
    </Line>
  )
}
