import { signedArea, type Opening } from '@hedrion/core'
import { ConcernsHere } from '../../sheet/ConcernsHere'
import { NameField } from '../../sheet/NameField'
import { Line, Section } from '../../sheet/Sheet'
import { Value } from '../../sheet/Value'

export function OpeningLines({ opening }: { readonly opening: Opening }) {
  return (
    <Section title="Opening">
      <Line reference="label" result={<Value value={Math.abs(signedArea(opening.outline))} quantity="area" />}>
        <NameField label="Label" record={opening} />
      </Line>
      <ConcernsHere ids={opening.id} />
    </Section>
  )
}
