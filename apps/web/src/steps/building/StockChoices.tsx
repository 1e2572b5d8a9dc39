import type { Member, Section as SectionRecord, StiffElement, Strut } from '@hedrion/core'
import { useRecords } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { Several } from '../../sheet/Several'
import { Line } from '../../sheet/Sheet'
import { severalWord, shared } from '../../sheet/several'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'

/** Section and material of members; where they differ, each value stands there with its count. */
export function StockChoices({ records }: { readonly records: readonly (Member | Strut)[] }) {
  const sections = useRecords('section')
  const materials = useRecords('material')
  const edit = useEdit()
  const note = useNote()
  const [first] = records
  const nameOf = (list: readonly { readonly id: string; readonly name: string }[], id: string) =>
    list.find((entry) => entry.id === id)?.name ?? ''
  return (
    <>
      <Line reference="section" result={<AssumedMark section={sections.find(({ id }) => id === first?.section)} />}>
        <Choice
          label="Section"
          value={shared(records.map(({ section }) => section as string))}
          placeholder={severalWord}
          options={sections.map(({ id, name }) => [id as string, name])}
          onChange={(id) => {
            const section = sections.find((entry) => entry.id === id)
            if (section)
              edit.setEach(records, `${note.subject(records)}: section ${section.name}`, () => ({
                section: section.id,
              }))
          }}
        />
        <Several records={records} textOf={({ section }) => nameOf(sections, section)} />
      </Line>
      <Line reference="material">
        <MaterialChoice records={records} />
        <Several records={records} textOf={({ material }) => nameOf(materials, material)} />
      </Line>
    </>
  )
}

/** What records are made of. */
export function MaterialChoice({ records }: { readonly records: readonly (Member | Strut | StiffElement)[] }) {
  const materials = useRecords('material')
  const edit = useEdit()
  const note = useNote()
  return (
    <Choice
      label="Material"
      value={shared(records.map(({ material }) => material as string))}
      placeholder={severalWord}
      options={materials.map(({ id, name }) => [id as string, name])}
      onChange={(id) => {
        const material = materials.find((entry) => entry.id === id)
        if (!material) return
        edit.setEach(records, `${note.subject(records)}: material ${material.name}`, () => ({ material: material.id }))
      }}
    />
  )
}

function AssumedMark({ section }: { readonly section: SectionRecord | undefined }) {
  const edit = useEdit()
  if (!section?.assumed) return null
  return (
    <Button kind="warm" onPress={() => edit.set(section, `Section ${section.name} confirmed`, { assumed: false })}>
      assumed; confirm
    </Button>
  )
}
