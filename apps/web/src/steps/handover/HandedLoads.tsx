import type { Basis } from '@hedrion/core'
import { useAnswer } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { Line, Note, Section } from '../../sheet/Sheet'
import { wordOf } from '../../sheet/several'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Value } from '../../sheet/Value'
import { Choice } from '../../ui/Choice'
import { QuantityField } from '../../ui/QuantityField'

const ways = [
  ['exact', 'exact'],
  ['pieces', 'few linear segments'],
  ['even', 'one uniform load per member'],
] as const

/** How line loads of members are handed over, and what that changes. */
export function HandedLoads({ basis }: { readonly basis: Basis }) {
  const edit = useEdit()
  const note = useNote()
  const fieldOf = useFieldOf()
  return (
    <Section title="Line loads of members">
      <Line reference="exported as">
        <Choice
          label="Line loads are exported as"
          value={basis.handedLoads}
          options={ways}
          onChange={(handedLoads) =>
            edit.set(
              basis,
              note.text(basis, 'line loads exported as', wordOf(ways, basis.handedLoads), wordOf(ways, handedLoads)),
              { handedLoads },
            )
          }
        />
        {basis.handedLoads === 'pieces' && (
          <>
            {': at most '}
            <QuantityField {...fieldOf(basis, 'handedPieces', 'segments of a line load')} /> to a member
          </>
        )}
      </Line>
      {basis.handedLoads !== 'exact' && <Change keeps={basis.handedLoads === 'pieces'} />}
    </Section>
  )
}

function Change({ keeps }: { readonly keeps: boolean }) {
  const change = useAnswer({ kind: 'handedChange' })
  if (!change) return null
  const { before, after, most } = change
  return (
    <>
      <Note>
        {before} segments become {after}.{' '}
        {keeps ? 'Force and centroid of each are kept.' : 'Force is kept, the centroid is not.'}
      </Note>
      {most && (
        <Line
          reference="most"
          result={
            <>
              <Value value={most.was} quantity="moment" strong={false} /> → <Value value={most.is} quantity="moment" />
            </>
          }
        >
          moment at an end of {most.label}, level {most.level}, if the end were restrained
        </Line>
      )}
    </>
  )
}
