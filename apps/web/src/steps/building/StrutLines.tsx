import { type Strut } from '@hedrion/core'
import { useEdit, useNote } from '../../compute/useEdit'
import { strutNames } from '../../drawing/describe'
import { Working } from '../../sheet/Chain'
import { ConcernsHere } from '../../sheet/ConcernsHere'
import { NameField } from '../../sheet/NameField'
import { Line, Note, Section } from '../../sheet/Sheet'
import { severalWord, shared } from '../../sheet/several'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Choice } from '../../ui/Choice'
import { QuantityField } from '../../ui/QuantityField'
import { StockChoices } from './StockChoices'

const roles = (Object.keys(strutNames) as (keyof typeof strutNames)[]).map(
  (role) => [role, strutNames[role].toLowerCase()] as const,
)

/** Heights and section of the picked secondary members. */
export function StrutLines({ struts }: { readonly struts: readonly Strut[] }) {
  const edit = useEdit()
  const note = useNote()
  const fieldOf = useFieldOf()
  const [first] = struts
  if (!first) return null
  return (
    <Section title={struts.length === 1 ? 'Secondary member' : `${struts.length} secondary members`}>
      <Line reference={struts.length === 1 ? 'label' : 'role'}>
        {struts.length === 1 && (
          <>
            <NameField label="Label" record={first} />
            {', a '}
          </>
        )}
        <Choice
          label="Role"
          value={shared(struts.map(({ role }) => role))}
          placeholder={severalWord}
          options={roles}
          onChange={(role) => edit.setEach(struts, `${note.subject(struts)}: role ${role}`, () => ({ role }))}
        />
      </Line>
      <Line reference="heights">
        from <QuantityField {...fieldOf(struts, 'startHeight', 'height of its start above the level')} /> to{' '}
        <QuantityField {...fieldOf(struts, 'endHeight', 'height of its end above the level')} /> above the level
      </Line>
      <StockChoices records={struts} />
      {struts.length === 1 && <Working reference="self-weight" address={`barWeight:${first.id}`} />}
      <Note>
        Half of its weight is transferred to the beam, column or panel at each end in plan; both halves of a post to
        what it meets there. If its weight goes to the ground, draw a column instead.
      </Note>
      <ConcernsHere ids={struts.map(({ id }) => id).join()} />
    </Section>
  )
}
