import { barriersAlong, formatQuantity, movedAside, onSlabEdge, type WallRun } from '@hedrion/core'
import { useFormat, useGetDocument } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { Line } from '../../sheet/Sheet'
import { shared } from '../../sheet/several'
import { Button } from '../../ui/Button'
import { QuantityField } from '../../ui/QuantityField'

/** Where walls stand: moved aside as one, or onto the slab edge in one step, so that the beams are free of them. */
export function PlaceOfWalls({ runs }: { readonly runs: readonly WallRun[] }) {
  const getDocument = useGetDocument()
  const edit = useEdit()
  const note = useNote()
  const format = useFormat()
  const closed = shared(runs.map((run) => run.closed))
  const aside = (by: number | null): string | undefined =>
    by === null || by === 0
      ? undefined
      : edit.setEach(runs, `${note.subject(runs)}: offset ${formatQuantity(by, 'length', format)}`, (run) =>
          movedAside(run, by),
        )
  const toEdge = () => {
    const document = getDocument()
    return edit.setEach(runs, `${note.subject(runs)}: on the slab edge`, (run) => onSlabEdge(document, run) ?? {})
  }
  const leanOn = () => {
    const barriers = barriersAlong(getDocument(), runs, Math.random)
    return edit.add(`${barriers.length === 1 ? 'Barrier' : 'Barriers'} along ${note.subject(runs)}`, barriers)
  }
  return (
    <>
      <Line
        reference="position"
        result={
          <Button kind="link" onPress={toEdge}>
            Move to the slab edge
          </Button>
        }
      >
        offset{' '}
        <QuantityField
          label="Offset"
          quantity="length"
          format={format}
          value={null}
          placeholder="0.00"
          optional
          min={-50}
          max={50}
          onCommit={aside}
        />{' '}
        {closed === true ? 'outwards' : closed === false ? 'to its left' : 'outwards, or to the left'}
      </Line>
      <Line
        reference="people"
        result={
          <Button kind="link" onPress={leanOn}>
            {runs.length === 1 ? 'Barrier along it' : 'Barriers along them'}
          </Button>
        }
      >
        applies horizontal barrier loads along the parapet
      </Line>
    </>
  )
}
