import { isUpright, moveOf, readShiftText, shiftText, type Member } from '@hedrion/core'
import { useFormat } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { Line } from '../../sheet/Sheet'
import { TextLine } from '../../ui/TextLine'

/** Where the foot of a column, or the upper end of a hanger, is from the end on its own level. */
export function RakeLine({ member }: { readonly member: Member }) {
  const format = useFormat()
  const edit = useEdit()
  const note = useNote()
  const [at, far] = member.path
  if (!isUpright(member.role) || !at) return null
  const hangs = member.role === 'hanger'
  const end = hangs ? 'upper end' : 'foot'
  const commit = (text: string): string | undefined => {
    if (text === '') return edit.set(member, `${note.subject([member])}: upright`, { path: [at] })
    const read = readShiftText(text, format)
    if (!read.ok) return read.problem
    return edit.set(member, `${note.subject([member])}: ${end} ${text} aside`, { path: [at, moveOf(at, read.shift)] })
  }
  return (
    <Line reference="rakes">
      its {end}{' '}
      <TextLine
        label={`Horizontal offset of its ${end}`}
        value={far ? shiftText([far[0] - at[0], far[1] - at[1]], format) : ''}
        placeholder="vertical"
        maxLength={40}
        onCommit={commit}
      />
    </Line>
  )
}
