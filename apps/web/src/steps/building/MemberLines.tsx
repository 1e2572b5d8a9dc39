import { type Member, type Section as SectionRecord } from '@hedrion/core'
import { useRecord, useRecords } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { ConcernsHere } from '../../sheet/ConcernsHere'
import { NameField } from '../../sheet/NameField'
import { Several } from '../../sheet/Several'
import { Line, Section } from '../../sheet/Sheet'
import { severalWord, shared } from '../../sheet/several'
import { Symbol } from '../../sheet/Symbol'
import { Value } from '../../sheet/Value'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'

const roles = [
  ['beam', 'beam'],
  ['girder', 'girder'],
  ['joist', 'joist'],
] as const

const releases = [
  ['pinned', 'pinned'],
  ['fixed', 'fixed'],
] as const

/** Section, material and ends of the picked members; where they differ, each value stands there with its count. */
export function MemberLines({ members }: { readonly members: readonly Member[] }) {
  const sections = useRecords('section')
  const materials = useRecords('material')
  const edit = useEdit()
  const note = useNote()
  const [first] = members
  if (!first) return null
  const set = (what: string, fields: Partial<Member>) =>
    edit.setEach(members, `${note.subject(members)}: ${what}`, () => fields)
  const sectionName = (id: string) => sections.find((section) => section.id === id)?.name ?? ''
  const beams = members.filter(({ role }) => role !== 'column')
  return (
    <Section title={members.length === 1 ? 'Member' : `${members.length} members`}>
      {members.length === 1 && (
        <Line reference="label">
          <NameField label="Label" record={first} />
          {beams.length === 1 && (
            <>
              {', a '}
              <Choice
                label="Role"
                value={first.role === 'column' ? null : first.role}
                options={roles}
                onChange={(role) => set(`role ${role}`, { role })}
              />
            </>
          )}
        </Line>
      )}
      <Line reference="section" result={<AssumedMark section={sections.find(({ id }) => id === first.section)} />}>
        <Choice
          label="Section"
          value={shared(members.map(({ section }) => section as string))}
          placeholder={severalWord}
          options={sections.map(({ id, name: section }) => [id as string, section])}
          onChange={(id) => {
            const section = sections.find((entry) => entry.id === id)
            if (section) set(`section ${section.name}`, { section: section.id })
          }}
        />
        <Several records={members} textOf={({ section }) => sectionName(section)} />
      </Line>
      <Line reference="material">
        <Choice
          label="Material"
          value={shared(members.map(({ material }) => material as string))}
          placeholder={severalWord}
          options={materials.map(({ id, name: material }) => [id as string, material])}
          onChange={(id) => {
            const material = materials.find((entry) => entry.id === id)
            if (material) set(`material ${material.name}`, { material: material.id })
          }}
        />
        <Several records={members} textOf={({ material }) => materials.find(({ id }) => id === material)?.name ?? ''} />
      </Line>
      {members.length === 1 && <Weight member={first} sections={sections} />}
      {beams.length > 0 && (
        <Line reference="ends">
          start{' '}
          <Choice
            label="Start"
            value={shared(beams.map(({ startRelease }) => startRelease))}
            placeholder={severalWord}
            options={releases}
            onChange={(startRelease) => set(`start ${startRelease}`, { startRelease })}
          />
          {', end '}
          <Choice
            label="End"
            value={shared(beams.map(({ endRelease }) => endRelease))}
            placeholder={severalWord}
            options={releases}
            onChange={(endRelease) => set(`end ${endRelease}`, { endRelease })}
          />
          <Several records={beams} textOf={endsOf} />
        </Line>
      )}
      <ConcernsHere ids={members.map(({ id }) => id).join()} />
    </Section>
  )
}

const endsOf = ({ startRelease, endRelease }: Member): string =>
  startRelease === endRelease ? `both ${startRelease}` : `start ${startRelease}, end ${endRelease}`

function Weight({ member, sections }: { readonly member: Member; readonly sections: readonly SectionRecord[] }) {
  const section = sections.find(({ id }) => id === member.section)
  const material = useRecord(member.material)
  if (!section || material?.kind !== 'material') return null
  return (
    <Line
      reference="own weight"
      result={
        <Value value={section.area * material.unitWeight} quantity="lineLoad" address={`beamWeight:${member.id}`} />
      }
    >
      <Symbol name="g_0" /> = A · γ = <Value value={section.area} quantity="sectionArea" strong={false} /> ·{' '}
      <Value value={material.unitWeight} quantity="unitWeight" strong={false} />
    </Line>
  )
}

function AssumedMark({ section }: { readonly section: SectionRecord | undefined }) {
  const edit = useEdit()
  if (!section?.assumed) return null
  return (
    <Button kind="warm" onPress={() => edit.set(section, `Section ${section.name} confirmed`, { assumed: false })}>
      assumed; confirm it
    </Button>
  )
}
