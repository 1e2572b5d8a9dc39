import {
  formatQuantity,
  formatValue,
  sourceNames,
  unitOf,
  type MemberView,
  type NumberFormat,
  type PathRow,
} from '@hedrion/core'
import { useAnswer, useFormat } from '../../compute/SessionContext'
import { roleNames } from '../../drawing/describe'
import { markOf } from '../../drawing/marks'
import { usePicked } from '../../sheet/PickedTools'
import { Scope } from '../../sheet/Scope'
import { Line, Note, Section, Sheet } from '../../sheet/Sheet'
import { SymbolText } from '../../sheet/SymbolText'
import { Value } from '../../sheet/Value'
import { Swatch } from '../../ui/Swatch'
import { TableOut } from '../../ui/TableOut'
import { BeamSketch } from './BeamSketch'
import { SidewaysLine } from './SidewaysLine'
import { Stretches } from './Stretches'

/** What lands on a beam and where it goes, written out as by hand. */
export function BeamSheet({ expandedId, caseId }: { readonly expandedId: string; readonly caseId: string }) {
  const view = useAnswer({ kind: 'member', expandedId, caseId })
  const format = useFormat()
  const picked = usePicked()
  if (!view) return <Sheet title="Load paths">{null}</Sheet>
  const { label, role, levelName, section, length, lands, total } = view
  return (
    <Sheet title={`${roleNames[role]} ${label}`} scope={<Scope records={picked} />}>
      <Note>
        level {levelName} · {section} · {formatQuantity(length, 'length', format)}
      </Note>
      <Section
        title="Applied loads"
        aside={lands.length > 0 && <TableOut name={`${role} ${label}`} rows={() => landingTable(view, format)} />}
      >
        {lands.length === 0 && <Note>No load in this case.</Note>}
        {lands.map((row, i) => (
          <LandingLine key={i} row={row} caseId={caseId} />
        ))}
        <Line
          reference="sum"
          result={<Value value={total} quantity="force" address={`beam:${expandedId}:${caseId}`} />}
        >
          total load
        </Line>
        <Reduced view={view} address={`reduction:${expandedId}:${caseId}:area`} />
      </Section>
      <BeamSketch view={view} mark={markOf(caseId)} />
      {view.role === 'wall' ? <Stretches view={view} caseId={caseId} /> : <Supports view={view} caseId={caseId} />}
    </Sheet>
  )
}

/** Where a beam goes: the reaction of each support. */
function Supports({ view, caseId }: { readonly view: MemberView; readonly caseId: string }) {
  const format = useFormat()
  return (
    <Section title={view.continuous ? 'Reactions, continuous over supports' : 'Reactions'}>
      {view.supports.length === 0 && <Note>No supports.</Note>}
      {view.supports.map(({ s, on, label: under, reaction }, i) => (
        <Line
          key={i}
          reference={`${on} ${under}`}
          result={
            <Value value={Math.abs(reaction)} quantity="force" address={`reaction:${view.expandedId}:${i}:${caseId}`} />
          }
        >
          <SymbolText name={`R_${letter(i)}`} /> at {formatQuantity(s, 'length', format)}
          {reaction < 0 ? ', uplift' : ''}
        </Line>
      ))}
      <SidewaysLine force={view.sideways} of="loads normal to a slope" />
      <SidewaysLine force={view.pressed} of="pressure on pressure surfaces" />
      <Turning view={view} />
      <Chords view={view} />
      <Audit view={view} />
    </Section>
  )
}

const landingTable = ({ lands }: MemberView, format: NumberFormat): readonly (readonly string[])[] => [
  ['what', 'label', 'load', 'on', 'at', `force, ${unitOf('force', format)}`],
  ...lands.map(({ kind, label, intensity, part, at, force }) => [
    sourceNames[kind],
    label,
    intensity === null ? '' : formatQuantity(intensity, units[kind][0], format),
    part === null ? '' : formatQuantity(part, units[kind][1], format),
    at === null ? '' : formatQuantity(at, 'length', format),
    formatValue(force, 'force', format),
  ]),
]

const letter = (index: number): string => String.fromCharCode(65 + (index % 26))

/** What a load is per, and how much of that lands. */
const units = {
  region: ['pressure', 'area'],
  wall: ['lineLoad', 'length'],
  line: ['lineLoad', 'length'],
  point: ['force', 'factor'],
  area: ['pressure', 'area'],
  stair: ['lineLoad', 'length'],
  ownWeight: ['lineLoad', 'length'],
  strut: ['lineLoad', 'length'],
  beam: ['force', 'factor'],
  column: ['force', 'factor'],
  hanger: ['force', 'factor'],
} as const
const rules = {
  region: 'from the sharing rule',
  wall: 'net height',
  line: 'typed',
  point: 'typed',
  area: 'typed',
  stair: 'half of the flight',
  ownWeight: 'by length',
  strut: 'half of its weight',
  beam: 'reaction',
  column: 'supported column',
  hanger: 'hanger',
} as const

function LandingLine({ row, caseId }: { readonly row: PathRow; readonly caseId: string }) {
  const format = useFormat()
  const { kind, label, force, intensity, part, at, address } = row
  return (
    <Line
      reference={rules[kind]}
      result={
        <>
          <Swatch $mark={markOf(caseId)} aria-hidden /> <Value value={force} quantity="force" address={address} />
        </>
      }
    >
      {sourceNames[kind]} {kind === 'ownWeight' ? '' : label}
      {intensity !== null && part !== null && (
        <small>
          {' '}
          {formatQuantity(intensity, units[kind][0], format)} · {formatQuantity(part, units[kind][1], format)}
        </small>
      )}
      {at !== null && <small> at {formatQuantity(at, 'length', format)}</small>}
    </Line>
  )
}

/** The same with its imposed load reduced for the area that the beam supports. */
function Reduced({ view: { reduction }, address }: { readonly view: MemberView; readonly address: string }) {
  if (!reduction) return null
  return (
    <Line reference="reduced by area" result={<Value value={reduction.total} quantity="force" />}>
      times <Value value={reduction.byArea} quantity="factor" address={address} /> for{' '}
      <Value value={reduction.area} quantity="area" strong={false} />
    </Line>
  )
}

/** What turns the beam about its axis where a slab has no other support. */
function Turning({ view: { turning } }: { readonly view: MemberView }) {
  if (Math.abs(turning) < 0.5) return null
  return (
    <Line reference="turning" result={<Value value={Math.abs(round(turning))} quantity="moment" />}>
      about its axis, its {turning > 0 ? 'left' : 'right'} side down; torsional restraint is required
    </Line>
  )
}

/** What a bent beam leaves to its supports beside their forces. */
function Chords({ view: { chordMoments } }: { readonly view: MemberView }) {
  if (chordMoments.length === 0) return null
  return (
    <>
      {chordMoments.map((moment, i) => (
        <Line key={i} reference="turning" result={<Value value={Math.abs(round(moment))} quantity="moment" />}>
          torsion about the chord {letter(i)} to {letter(i + 1)}; the ends must resist this
        </Line>
      ))}
      <Note>
        The member is cranked or curved, so its load is offset from the straight line between supports. This moment is
        not transferred to columns.
      </Note>
    </>
  )
}

function Audit({ view }: { readonly view: MemberView }) {
  const { residual, residualMoment } = view
  return (
    <Line
      reference="audit"
      result={
        <>
          <Value value={round(residual)} quantity="force" />
          {residualMoment !== null && (
            <>
              {' · '}
              <Value value={round(residualMoment)} quantity="moment" />
            </>
          )}
        </>
      }
    >
      {residualMoment === null ? 'force; the fixed end resists the moment' : 'residual force and moment'}
    </Line>
  )
}

/** Less than a thousandth of a newton is rounding. */
const round = (value: number): number => (Math.abs(value) < 1e-3 ? 0 : value)
