import styled from 'styled-components'
import { isUpright, releaseEdits, type Member } from '@hedrion/core'
import { useDocumentState, useGetDocument, useRecords } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { Working } from '../../sheet/Chain'
import { ConcernsHere } from '../../sheet/ConcernsHere'
import { NameField } from '../../sheet/NameField'
import { Several } from '../../sheet/Several'
import { Line, Section } from '../../sheet/Sheet'
import { severalWord, shared, wordOf } from '../../sheet/several'
import { useFieldOf } from '../../sheet/useFieldOf'
import { useChoiceOf } from '../../sheet/useChoiceOf'
import { SymbolText } from '../../sheet/SymbolText'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { ToggleWord } from '../../ui/Segmented'
import { QuantityField } from '../../ui/QuantityField'
import { RakeLine } from './RakeLine'
import { StockChoices } from './StockChoices'
import { CourseLine } from './CourseLine'
import { TrussLines } from './TrussLines'
import { useTerms } from '../../compute/useTerms'

const roles = [
  ['beam', 'beam'],
  ['girder', 'girder'],
  ['joist', 'joist'],
  ['rafter', 'rafter'],
  ['purlin', 'purlin'],
  ['truss', 'truss'],
  ['wall', 'bearing wall'],
] as const

const uprightRoles = [
  ['column', 'column'],
  ['hanger', 'hanger'],
] as const

const releases = [
  ['pinned', 'pinned'],
  ['fixed', 'fixed'],
] as const

const spanWays = [
  ['simple', 'simply supported spans'],
  ['continuous', 'continuous over supports'],
] as const

const takings = [
  ['yes', 'loaded by panels and walls'],
  ['no', 'not loaded by panels or walls'],
] as const

/** Section, material and ends of the picked members; where they differ, each value stands there with its count. */
export function MemberLines({ members }: { readonly members: readonly Member[] }) {
  const choiceOf = useChoiceOf()
  const edit = useEdit()
  const note = useNote()
  const [first] = members
  if (!first) return null
  const set = (what: string, fields: Partial<Member>) =>
    edit.setEach(members, `${note.subject(members)}: ${what}`, () => fields)
  const beams = members.filter(({ role }) => !isUpright(role))
  // a wall hands down along its length: it has no ends that turn and no spans
  const spanning = beams.filter(({ role }) => role !== 'wall')
  return (
    <Section title={members.length === 1 ? 'Member' : `${members.length} members`}>
      {members.length === 1 && (
        <Line reference="label">
          <NameField label="Label" record={first} />
          {', a '}
          {isUpright(first.role) ? (
            <Choice
              label="Role"
              value={first.role}
              options={uprightRoles}
              onChange={(role) => set(`role ${role}`, { role })}
            />
          ) : (
            <Choice
              label="Role"
              value={first.role}
              options={roles}
              onChange={(role) =>
                set(`role ${wordOf(roles, role)}`, { role, ...(role === 'truss' ? {} : { truss: null }) })
              }
            />
          )}
        </Line>
      )}
      <StockChoices records={members} />
      {members.length === 1 && <CourseLine key={first.id} member={first} />}
      {members.length === 1 && <RakeLine key={`rake ${first.id}`} member={first} />}
      {members.length === 1 && !first.truss && <Weight member={first} />}
      {spanning.length > 0 && (
        <Line reference="ends">
          start <Choice {...choiceOf(spanning, 'startRelease', 'start', { label: 'Start', options: releases })} />
          {', end '}
          <Choice {...choiceOf(spanning, 'endRelease', 'end', { label: 'End', options: releases })} />
          <Several records={spanning} textOf={endsOf} /> <ByRule beams={spanning} />
        </Line>
      )}
      {spanning.length > 0 && (
        <Line reference="spans">
          <Choice {...choiceOf(spanning, 'spans', 'spans', { label: 'Spans', options: spanWays })} />
          <Several records={spanning} textOf={({ spans }) => wordOf(spanWays, spans)} />
        </Line>
      )}
      {beams.length > 0 && <Taking beams={beams} />}
      {beams.some(({ takesLoad }) => takesLoad) && <SparedActions beams={beams} />}
      <ElementFactor members={members} />
      {members.length === 1 && first.truss && <TrussLines member={first} truss={first.truss} />}
      <ConcernsHere ids={members.map(({ id }) => id).join()} />
    </Section>
  )
}

/** Load that a member does not take goes to what remains; what stands on it, it still bears. */
function Taking({ beams }: { readonly beams: readonly Member[] }) {
  const edit = useEdit()
  const note = useNote()
  const said = ({ takesLoad }: Member) => (takesLoad ? 'yes' : 'no')
  return (
    <Line reference="load">
      <Choice
        label="Load"
        value={shared(beams.map(said))}
        placeholder={severalWord}
        options={takings}
        onChange={(taking) =>
          edit.setEach(beams, `${note.subject(beams)}: ${wordOf(takings, taking)}`, () => ({
            takesLoad: taking === 'yes',
          }))
        }
      />
      <Several records={beams} textOf={(beam) => wordOf(takings, said(beam))} />
    </Line>
  )
}

const actions = ['permanent', 'imposed', 'roof', 'construction'] as const

/** Actions of which members that take load take none all the same. */
function SparedActions({ beams }: { readonly beams: readonly Member[] }) {
  const terms = useTerms()
  const edit = useEdit()
  const note = useNote()
  const toggle = (action: (typeof actions)[number], name: string, none: boolean) =>
    edit.setEach(
      beams,
      `${note.subject(beams)}: ${none ? 'no' : 'its'} share of ${name} load`,
      ({ sparedActions }) => ({
        sparedActions: none
          ? [...sparedActions.filter((of) => of !== action), action]
          : sparedActions.filter((of) => of !== action),
      }),
    )
  return (
    <Line reference="except">
      <Words role="group" aria-label="Excluded load of">
        {actions.map((action) => (
          <ToggleWord
            key={action}
            isSelected={beams.every(({ sparedActions }) => sparedActions.includes(action))}
            onChange={(none) => toggle(action, terms[action], none)}
          >
            {terms[action]}
          </ToggleWord>
        ))}
      </Words>
    </Line>
  )
}

/** Where slabs cantilever beyond a column or an edge beam its factor is smaller than the usual one (ASCE 7 table 4.7-1). */
function ElementFactor({ members }: { readonly members: readonly Member[] }) {
  const fieldOf = useFieldOf()
  const [basis] = useRecords('basis')
  if (basis?.family !== 'ASCE') return null
  const columns = members.every(({ role }) => role === 'column')
  return (
    <Line reference="table 4.7-1">
      <SymbolText name="K_LL" /> ={' '}
      <QuantityField
        {...fieldOf(members, 'elementFactor', 'live load element factor', {
          optional: true,
          placeholder: columns ? '4' : 'usual',
        })}
      />{' '}
      <small>
        {columns
          ? '(3 for edge and 2 for corner columns with cantilever slabs)'
          : '(2 for beams; 1 for cantilevers, edge beams with cantilever slabs, and hangers)'}
      </small>
    </Line>
  )
}

/** Where an end goes on in line in another beam it is fixed, else pinned; not offered where all are so already. */
function ByRule({ beams }: { readonly beams: readonly Member[] }) {
  const getDocument = useGetDocument()
  const edit = useEdit()
  const note = useNote()
  const differ = useDocumentState(({ document }) => releaseEdits(document, beams).length > 0)
  if (!differ) return null
  const rule = () => edit.apply(`${note.subject(beams)}: ends by default`, releaseEdits(getDocument(), beams))
  return (
    <Button kind="link" onPress={rule}>
      Fix collinear ends, pin the others
    </Button>
  )
}

const endsOf = ({ startRelease, endRelease }: Member): string =>
  startRelease === endRelease ? `both ${startRelease}` : `start ${startRelease}, end ${endRelease}`

function Weight({ member }: { readonly member: Member }) {
  const fieldOf = useFieldOf()
  if (member.role !== 'wall') return <Working reference="self-weight" address={`beamWeight:${member.id}`} />
  return (
    <>
      <Line reference="openings">
        <QuantityField {...fieldOf([member], 'openShare', 'share of openings in the wall')} /> of the wall
      </Line>
      <Working reference="self-weight per area" address={`faceWeight:${member.id}`} />
    </>
  )
}

const Words = styled.span`
  display: inline-flex;
  flex-wrap: wrap;
  gap: 2px 14px;
`
