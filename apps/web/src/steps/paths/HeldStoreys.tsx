import { formatValue, unitOf, type Basis, type LateralView, type NumberFormat, type StoreyView } from '@hedrion/core'
import styled from 'styled-components'
import { useWords, type InWords } from '../../compute/useWords'
import { useAnswer, useFormat, useRecords } from '../../compute/SessionContext'
import { useLevel } from '../../drawing/useLevel'
import { ConcernsHere } from '../../sheet/ConcernsHere'
import { Line, Note, Section } from '../../sheet/Sheet'
import { SymbolText } from '../../sheet/SymbolText'
import { useChoiceOf } from '../../sheet/useChoiceOf'
import { Value } from '../../sheet/Value'
import { useLook } from '../../state/look'
import { Choice } from '../../ui/Choice'
import { byNumber } from '../../ui/byNumber'
import { TableOut } from '../../ui/TableOut'
import { Heads, WideTable, LeadingRow } from './ColumnTable'

interface HeldStoreysProps {
  readonly caseId: string
  /** A case of gravity, whose pushes stand in a table of their own: said only where something is there to hold them. */
  readonly pushed?: boolean
}

/** Storey forces of the case down the building, and what holds every storey. */
export function HeldStoreys({ caseId, pushed = false }: HeldStoreysProps) {
  const inWords = useWords()
  const view = useAnswer({ kind: 'lateral', caseId })
  const { level } = useLevel()
  if (!view || (pushed && !view.shared)) return null
  const storey = view.storeys.find(({ levelId }) => levelId === level?.id)
  if (!view.shared)
    return (
      <Section title="Lateral stability">
        <Note>
          {inWords(
            'No lateral elements, so storey forces are exported without distribution. Draw lateral elements (walls, braced bays) in Building to distribute each storey shear among them.',
          )}
        </Note>
      </Section>
    )
  return (
    <>
      <Storeys view={view} />
      {storey && <Elements storey={storey} caseId={caseId} />}
      <Section title="Method of distribution">
        <WallStiffness />
        <Note>
          {inWords(
            'Each floor acts as a rigid diaphragm. The storey shear, the sum of the forces of all levels above, is distributed to the elements in proportion to their stiffness, including torsion about the centre of stiffness. Interaction of frames and walls over several storeys is left to the frame analysis.',
          )}
        </Note>
        <ConcernsHere codes="storey." />
      </Section>
    </>
  )
}

const unheldWords = {
  nothing: 'no lateral elements',
  way: 'no element in this direction',
  turning: 'no torsional restraint',
} as const

const sizeOf = ({ fx, fy }: StoreyView['force']): number => Math.hypot(fx, fy)

function Storeys({ view }: { readonly view: LateralView }) {
  const inWords = useWords()
  const format = useFormat()
  const [look, change] = useLook()
  const force = unitOf('force', format)
  const moment = unitOf('moment', format)
  const heading = ['level', `force, ${force}`, `${inWords('storey shear below')}, ${force}`, `torsion, ${moment}`]
  const rows = view.storeys.map((storey) => ({ storey, cells: storeyCells(storey, format) }))
  return (
    <Section
      title="Lateral stability"
      aside={
        <TableOut name="storeys" rows={() => [heading, ...rows.map(({ storey, cells }) => [storey.level, ...cells])]} />
      }
    >
      <WideTable aria-label={inWords('By storey')}>
        <Heads words={heading} />
        <tbody>
          {rows.map(({ storey: { levelId, level, unheld }, cells: [first, second, third] }) => (
            <LeadingRow
              key={levelId}
              head={level}
              isLit={levelId === look.level}
              onPress={() => change({ level: levelId, picked: [] })}
            >
              <td>{first}</td>
              <td>{second}</td>
              <td>{unheld ? <Unheld>{unheldWords[unheld]}</Unheld> : third}</td>
            </LeadingRow>
          ))}
        </tbody>
      </WideTable>
      {Math.abs(view.intoGround) >= 1 && (
        <Line reference="at ground level" result={<Value value={view.intoGround} quantity="force" />}>
          transferred directly to ground
        </Line>
      )}
      <Line lit reference="sum" result={<Value value={view.atFoot + view.intoGround} quantity="force" />}>
        to ground, of <Value value={view.total} quantity="force" strong={false} />
      </Line>
      {Math.abs(view.unheld) >= 1 && (
        <Line reference="missing" result={<Value value={view.unheld} quantity="force" />}>
          not resisted
        </Line>
      )}
    </Section>
  )
}

const storeyCells = ({ force, shear, torsion, unheld }: StoreyView, format: NumberFormat): readonly string[] => [
  formatValue(sizeOf(force), 'force', format),
  formatValue(sizeOf(shear), 'force', format),
  unheld ? unheldWords[unheld] : torsion === null ? '–' : formatValue(torsion, 'moment', format),
]

function Elements({ storey, caseId }: { readonly storey: StoreyView; readonly caseId: string }) {
  const inWords = useWords()
  const format = useFormat()
  const [look, change] = useLook()
  const { level, centreOfMass, centreOfStiffness, residual } = storey
  const elements = [...storey.elements].sort((a, b) => byNumber.compare(a.label, b.label))
  const force = unitOf('force', format)
  const heading = [
    'element',
    `stiffness, ${unitOf('stiffness', format)}`,
    `direct, ${force}`,
    `from torsion, ${force}`,
    `force, ${force}`,
    `base moment, ${unitOf('moment', format)}`,
  ]
  const text = (): readonly (readonly string[])[] => [
    heading,
    ...elements.map(({ label, stiffness, force: taken, moment }) => [
      label,
      formatValue(stiffness, 'stiffness', format),
      ...[taken?.direct, taken?.turning, taken?.shear].map((value) => formatValue(value ?? 0, 'force', format)),
      formatValue(moment, 'moment', format),
    ]),
  ]
  if (elements.length === 0) return null
  return (
    <Section title={`Under level ${level}`} aside={<TableOut name={`lateral elements under ${level}`} rows={text} />}>
      <WideTable aria-label={`Lateral elements under level ${level}`}>
        <Heads words={heading} />
        <tbody>
          {elements.map(({ expandedId, label, stiffness, force: taken, moment }) => (
            <LeadingRow
              key={expandedId}
              head={label}
              isLit={look.picked.includes(expandedId)}
              onPress={() => change({ picked: [expandedId] })}
            >
              <td>
                <Value
                  value={stiffness}
                  quantity="stiffness"
                  unit={false}
                  strong={false}
                  address={`stiffness:${expandedId}`}
                />
              </td>
              <td>{formatValue(taken?.direct ?? 0, 'force', format)}</td>
              <td>{formatValue(taken?.turning ?? 0, 'force', format)}</td>
              <td>
                <Value
                  value={taken?.shear ?? 0}
                  quantity="force"
                  unit={false}
                  address={`element:${expandedId}:${caseId}`}
                />
              </td>
              <td>
                <Value
                  value={moment}
                  quantity="moment"
                  unit={false}
                  strong={false}
                  address={`elementMoment:${expandedId}:${caseId}`}
                />
              </td>
            </LeadingRow>
          ))}
        </tbody>
      </WideTable>
      {centreOfMass && <Centre name={inWords('centre of mass')} at={centreOfMass} />}
      {centreOfStiffness && <Centre name={inWords('centre of stiffness')} at={centreOfStiffness} />}
      <Line reference="check" result={<span>{residual < 1e-9 ? 'less than 1e-9' : residual.toExponential(1)}</span>}>
        sum of element forces less the shear, relative
      </Line>
      <Note>Positive in +x, or in +y for elements along y.</Note>
    </Section>
  )
}

function Centre({ name, at: [x, y] }: { readonly name: string; readonly at: readonly [number, number] }) {
  return (
    <Line reference={name}>
      <SymbolText name="x" /> = <Value value={x} quantity="length" strong={false} />, <SymbolText name="y" /> ={' '}
      <Value value={y} quantity="length" strong={false} />
    </Line>
  )
}

const estimates = (inWords: InWords): readonly (readonly [Basis['wallStiffness'], string])[] => [
  ['bending', 'bending only'],
  ['bendingAndShear', inWords('bending and shear of the storey')],
]

function WallStiffness() {
  const inWords = useWords()
  const [basis] = useRecords('basis')
  const choiceOf = useChoiceOf()
  if (!basis) return null
  return (
    <Line reference="walls">
      stiff{' '}
      <Choice
        {...choiceOf(basis, 'wallStiffness', 'stiffness of walls', {
          label: 'Stiffness of walls',
          options: estimates(inWords),
        })}
      />
    </Line>
  )
}

const Unheld = styled.span`
  color: var(--warm);
  font-weight: 600;
`
