import {
  formatValue,
  sharingChoices,
  unitOf,
  type ComparedRules,
  type NumberFormat,
  type SharingRule,
} from '@hedrion/core'
import { useState } from 'react'
import styled from 'styled-components'
import { useAnswer, useFormat } from '../../compute/SessionContext'
import { Line, Note, Section } from '../../sheet/Sheet'
import { Value } from '../../sheet/Value'
import { useLook } from '../../state/look'
import { Choice } from '../../ui/Choice'
import { TableOut } from '../../ui/TableOut'
import { ColumnTable, LeadingRow } from './ColumnTable'

interface OtherRulesProps {
  readonly levelId: string
  /** All panels of the level where null. */
  readonly panelId: string | null
  readonly caseId: string
  /** The rule that stands; null where panels differ. */
  readonly sharing: SharingRule | null
}

/** What members would take if the same load were shared by another rule, side by side with what they take. */
export function OtherRules(props: OtherRulesProps) {
  const [other, setOther] = useState<SharingRule | null>(null)
  return (
    <Section title={props.panelId ? 'Compare sharing rules' : 'Panels of this level with another sharing rule'}>
      <Line reference="compare with">
        <Choice
          label="Other sharing rule"
          value={other}
          placeholder="choose a sharing rule"
          options={sharingChoices.filter(([rule]) => rule !== props.sharing)}
          onChange={setOther}
        />
      </Line>
      {other && <Compared {...props} other={other} />}
    </Section>
  )
}

function Compared({ levelId, panelId, caseId, other }: OtherRulesProps & { readonly other: SharingRule }) {
  const found = useAnswer({ kind: 'compare', levelId, panelId, caseId, rules: [null, other] })
  const format = useFormat()
  const [, change] = useLook()
  if (!found) return null
  if (found.members.length === 0) return <Note>No load in this case.</Note>
  const show = (force: number) => formatValue(force, 'force', format)
  return (
    <>
      <Side>
        <ColumnTable aria-label="Two sharing rules">
          <thead>
            <tr>
              <th>member</th>
              <th>current, {unitOf('force', format)}</th>
              <th>compared</th>
              <th>difference</th>
            </tr>
          </thead>
          <tbody>
            {found.members.map(({ expandedId, kind, label, forces: [now = 0, then = 0] }) => (
              <LeadingRow key={expandedId} head={`${kind} ${label}`} onPress={() => change({ picked: [expandedId] })}>
                <td>{show(now)}</td>
                <td>{show(then)}</td>
                <td>{show(then - now)}</td>
              </LeadingRow>
            ))}
            <tr>
              <th scope="row">sum</th>
              <td>{show(total(found, 0))}</td>
              <td>{show(total(found, 1))}</td>
              <td>{show(total(found, 1) - total(found, 0))}</td>
            </tr>
          </tbody>
        </ColumnTable>
      </Side>
      <LeftOver found={found} />
      <Aside>
        <TableOut name="sharing rules compared" rows={() => tableText(found, format)} />
      </Aside>
    </>
  )
}

/** Why a rule gives nothing of a panel. */
const lackWords = {
  slab: 'a panel without a slab has no stiffness. Assign a slab to use this rule.',
  hold: 'a panel is unstable as a plate. Support it on two sides, or add columns under its beams.',
  settled: 'the forces of a plate do not converge. Split it into panels without re-entrant corners.',
  corners: 'fewer than three corners of a panel are supported.',
} as const

/** What is not carried, and the moment that each rule leaves over. */
function LeftOver({ found: { lacks, notCarried, leftOver } }: { readonly found: ComparedRules }) {
  const [now, then] = lacks
  return (
    <>
      {now && <p>Current: {lackWords[now]}</p>}
      {then && <p>Compared: {lackWords[then]}</p>}
      {notCarried.some((force) => Math.abs(force) > 1) && (
        <Line reference="not carried" result={<Pair values={notCarried} quantity="force" />}>
          current · compared
        </Line>
      )}
      <Line reference="moment" result={<Pair values={leftOver} quantity="moment" />}>
        residual current · compared
      </Line>
    </>
  )
}

function Pair({ values, quantity }: { readonly values: readonly number[]; readonly quantity: 'force' | 'moment' }) {
  const [now = 0, then = 0] = values.map((value) => (Math.abs(value) < 1e-3 ? 0 : value))
  return (
    <>
      <Value value={now} quantity={quantity} strong={false} /> · <Value value={then} quantity={quantity} />
    </>
  )
}

const total = ({ members }: ComparedRules, rule: number): number =>
  members.reduce((sum, { forces }) => sum + (forces[rule] ?? 0), 0)

const tableText = ({ members }: ComparedRules, format: NumberFormat): readonly (readonly string[])[] => {
  const unit = unitOf('force', format)
  const show = (force: number) => formatValue(force, 'force', format)
  return [
    ['Member', `Current (${unit})`, `Compared (${unit})`, `Difference (${unit})`],
    ...members.map(({ label, forces: [now = 0, then = 0] }) => [label, show(now), show(then), show(then - now)]),
  ]
}

const Side = styled.div`
  display: flex;
  padding: 4px 20px;
`
const Aside = styled.div`
  padding: 4px 20px;
`
