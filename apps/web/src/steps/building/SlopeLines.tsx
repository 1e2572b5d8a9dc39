import { formatQuantity, heightOn, type Slope, largest } from '@hedrion/core'
import { useWords } from '../../compute/useWords'
import { useFormat } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { Working } from '../../sheet/Chain'
import { ConcernsHere } from '../../sheet/ConcernsHere'
import { NameField } from '../../sheet/NameField'
import { Several } from '../../sheet/Several'
import { Line, Note, Section } from '../../sheet/Sheet'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Value } from '../../sheet/Value'
import { Button } from '../../ui/Button'
import { QuantityField } from '../../ui/QuantityField'
import { SlopePicture } from './SlopePicture'

/** Pitch, fall and eaves of the picked planes of a roof. */
export function SlopeLines({ slopes }: { readonly slopes: readonly Slope[] }) {
  const inWords = useWords()
  const fieldOf = useFieldOf()
  const format = useFormat()
  const edit = useEdit()
  const note = useNote()
  const [first] = slopes
  if (!first) return null
  const top = largest(first.outline.map((corner) => heightOn(first, corner)))
  const turn = () =>
    edit.setEach(slopes, `${note.subject(slopes)}: fall direction rotated`, ({ uphill }) => ({
      uphill: uphill > Math.PI ? uphill - 1.5 * Math.PI : uphill + Math.PI / 2,
    }))
  return (
    <Section title={slopes.length === 1 ? 'Roof slope' : `${slopes.length} roof slopes`}>
      {slopes.length === 1 && (
        <Line reference="label">
          <NameField label="Label" record={first} />
        </Line>
      )}
      <Line reference="pitch">
        <QuantityField {...fieldOf(slopes, 'pitch', 'pitch')} /> from the horizontal
        <Several records={slopes} textOf={({ pitch }) => formatQuantity(pitch, 'angle', format)} />
      </Line>
      <Line
        reference="uphill"
        result={
          <Button kind="link" onPress={turn}>
            rotate the fall
          </Button>
        }
      >
        <QuantityField {...fieldOf(slopes, 'uphill', 'direction uphill, from east, anticlockwise')} /> from east
      </Line>
      <Line reference="lowest edge">
        <QuantityField {...fieldOf(slopes, 'eaves', 'lowest edge above the level')} /> above the level
      </Line>
      {slopes.length === 1 && (
        <>
          <Line reference="highest edge" result={<Value value={top} quantity="length" />}>
            above the level
          </Line>
          <Working reference="true area" address={`slopeArea:${first.id}`} />
          <SlopePicture slope={first} />
        </>
      )}
      <Note>{inWords('Self-weight and build-ups use true lengths and areas; imposed loads use plan area.')}</Note>
      <ConcernsHere ids={slopes.map(({ id }) => id).join()} />
    </Section>
  )
}
