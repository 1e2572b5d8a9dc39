import {
  familyEdits,
  familyOf,
  families,
  formatQuantity,
  meantOtherwise,
  nationalSetEdits,
  setsOnOffer,
  type Basis,
  type FamilyId,
  type Layer,
} from '@hedrion/core'
import { useState } from 'react'
import { useFormat, useGetDocument, useRecords } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { ConcernsHere } from '../../sheet/ConcernsHere'
import { Line, Section, Warm } from '../../sheet/Sheet'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { SetFiles } from './SetFiles'

const none = ' none'
const consequenceClasses = [
  ['CC1', 'CC1 · low'],
  ['CC2', 'CC2 · medium'],
  ['CC3', 'CC3 · high'],
] as const
const riskCategories = [
  ['I', 'I · low risk to life'],
  ['II', 'II · usual'],
  ['III', 'III · substantial risk'],
  ['IV', 'IV · essential facilities'],
] as const

const familyOptions = (Object.keys(families) as FamilyId[]).map((id) => [id, familyOf(id).name] as const)

/** Family, national set or edition, and how much hangs on the building. */
export function FamilyLines({ basis }: { readonly basis: Basis }) {
  const getDocument = useGetDocument()
  const edit = useEdit()
  const note = useNote()
  const format = useFormat()
  const [asked, setAsked] = useState<FamilyId | null>(null)
  const change = (id: FamilyId) => {
    setAsked(null)
    edit.apply(
      note.text(basis, 'family', familyOf(basis.family).name, familyOf(id).name),
      familyEdits(getDocument(), basis, id),
    )
  }
  const chooseFamily = (id: FamilyId) => (meantOtherwise(basis, id) ? setAsked(id) : change(id))
  const otherwise = asked && meantOtherwise(basis, asked)
  return (
    <Section title="Standard">
      <Line reference="family">
        <Choice label="Design standards" value={basis.family} options={familyOptions} onChange={chooseFamily} />{' '}
        <small>{familyOf(basis.family).documents}</small>
      </Line>
      {asked && otherwise && (
        <Warm role="alert">
          The wind velocity of {formatQuantity(otherwise.velocity, 'velocity', format)} is a {otherwise.here}. In{' '}
          {familyOf(asked).name} it is a {otherwise.there}, so it is cleared. Enter it again; Undo restores it.
          <div>
            <Button kind="warm" onPress={() => change(asked)}>
              Change to {familyOf(asked).name}
            </Button>{' '}
            <Button kind="warm" onPress={() => setAsked(null)}>
              Keep {familyOf(basis.family).name}
            </Button>
          </div>
        </Warm>
      )}
      <SetLine basis={basis} />
      {basis.family === 'EN' && (
        <Line reference="EN 1990 B3.1">
          <Choice
            label="Consequence class"
            value={basis.consequenceClass}
            options={consequenceClasses}
            onChange={(consequenceClass) =>
              edit.set(basis, note.text(basis, 'consequence class', basis.consequenceClass, consequenceClass), {
                consequenceClass,
              })
            }
          />
        </Line>
      )}
      {basis.family === 'ASCE' && (
        <Line reference="ASCE 7 1.5-1">
          risk category{' '}
          <Choice
            label="Risk category"
            value={basis.riskCategory}
            options={riskCategories}
            onChange={(riskCategory) =>
              edit.set(basis, note.text(basis, 'risk category', basis.riskCategory, riskCategory), { riskCategory })
            }
          />{' '}
          <small>for snow, wind and earthquake; no effect on loads in this version</small>
        </Line>
      )}
      <ConcernsHere codes="layer." />
    </Section>
  )
}

/** The set over the family's own values: one that ships, or one from a file, which stays on offer while it is in use. */
function SetLine({ basis }: { readonly basis: Basis }) {
  const getDocument = useGetDocument()
  const edit = useEdit()
  const national: Layer | undefined = useRecords('layer').find(
    ({ standing, family }) => standing === 'national' && family === basis.family,
  )
  const { recommended } = familyOf(basis.family)
  const offered = setsOnOffer(getDocument()).map(({ name }) => name)
  const names = national && !offered.includes(national.name) ? [...offered, national.name] : offered
  const choose = (name: string) => {
    if (name === national?.name) return
    const set = setsOnOffer(getDocument()).find((entry) => entry.name === name) ?? null
    edit.apply(
      `${setWords[basis.family]} ${national?.name ?? 'none'} → ${set?.name ?? 'none'}`,
      nationalSetEdits(getDocument(), set, Math.random),
    )
  }
  return (
    <Line reference={setWords[basis.family].toLowerCase()} result={<SetFiles basis={basis} national={national} />}>
      <Choice
        label={setWords[basis.family]}
        value={national?.name ?? none}
        options={[
          [none, basis.family === 'EN' ? 'none (recommended values)' : recommended.name],
          ...names.map((name) => [name, name] as const),
        ]}
        onChange={choose}
      />
    </Line>
  )
}

const setWords: Readonly<Record<FamilyId, string>> = {
  EN: 'National Annex',
  ASCE: 'Edition',
  IS: 'Value set',
  BS: 'Value set',
}
