import { isUpright, arcPath, lengthAlong, mostRise, onLine, riseOf, type Member } from '@hedrion/core'
import { useEdit, useNote } from '../../compute/useEdit'
import { useFormat } from '../../compute/SessionContext'
import { setDraft } from '../../sheet/draftStore'
import { Line } from '../../sheet/Sheet'
import { Value } from '../../sheet/Value'
import { Button } from '../../ui/Button'
import { QuantityField } from '../../ui/QuantityField'

/** How a beam runs from end to end: straight, in an arc, or through points of its own. */
export function CourseLine({ member }: { readonly member: Member }) {
  const format = useFormat()
  const edit = useEdit()
  const note = useNote()
  const { path, role } = member
  const [start, end] = [path[0], path.at(-1)]
  if (isUpright(role) || role === 'truss' || !start || !end || path.length < 2) return null
  const rise = riseOf(path, onLine)
  const most = mostRise * Math.hypot(end[0] - start[0], end[1] - start[1])
  const withRise = (value: number) => ({ path: arcPath(start, end, value) })
  return (
    <Line reference="course" result={<Value value={lengthAlong(path)} quantity="length" strong={false} />}>
      {rise === null ? (
        <>
          through {path.length} points{' '}
          <Button kind="link" onPress={() => edit.set(member, `${note.subject([member])}: straight`, withRise(0))}>
            Make straight
          </Button>
        </>
      ) : (
        <>
          {rise === 0 ? 'straight; as an arc by' : 'an arc by'}{' '}
          <QuantityField
            label="Arc rise"
            quantity="length"
            format={format}
            value={rise}
            min={-most}
            max={most}
            onDraft={(next) =>
              setDraft(
                next === undefined || next === null
                  ? null
                  : [{ id: member.id, before: member, after: { ...member, ...withRise(next) } }],
              )
            }
            onCommit={(next) => {
              if (next !== null)
                edit.set(member, note.value([member], 'arc rise', 'length', rise, next), withRise(next))
            }}
          />{' '}
          to the left (start to end)
        </>
      )}
    </Line>
  )
}
