import { formatValue, hasStoreyForces, unitOf, type Balance, type NumberFormat, type Overview } from '@hedrion/core'
import { useWords } from '../../compute/useWords'
import { useAnswer, useFormat } from '../../compute/SessionContext'
import { allCases } from '../../drawing/marks'
import { Line, Note, Section, Sheet } from '../../sheet/Sheet'
import { Value } from '../../sheet/Value'
import { useLook } from '../../state/look'
import { Button } from '../../ui/Button'
import { Later } from '../../ui/Later'
import { TableOut } from '../../ui/TableOut'
import { useLevel } from '../../drawing/useLevel'
import { HeldStoreys } from './HeldStoreys'
import { MassLines } from './MassLines'
import { MemberLoads } from './MemberLoads'
import { OtherRules } from './OtherRules'
import { Thrusts } from './Thrusts'
import { ReducedBase } from './ReducedBase'

const caseTable = (overview: Overview, format: NumberFormat): readonly (readonly string[])[] => [
  [
    'case',
    ...['applied', 'at supports', 'not carried'].map((name) => `${name}, ${unitOf('force', format)}`),
    'outcome',
  ],
  ...allCases(overview).map(({ loadCase: { name, balance } }) => [
    name,
    ...[balance.applied, balance.atSupports, balance.notCarried].map((value) => formatValue(value, 'force', format)),
    wayOf(balance),
  ]),
]

/** Where the load of a case ends. */
function wayOf({ handedOn, notCarried }: Balance): string {
  const lost = Math.abs(notCarried) >= 1
  if (handedOn === 'stiffElements') return lost ? 'not fully resisted' : 'fully resisted'
  if (handedOn) return 'exported'
  return lost ? 'not fully carried' : 'fully carried'
}

/** The building in one case: what each level applies against what reaches the supports; and all cases in short. */
export function LevelSums({ caseId, overview }: { readonly caseId: string; readonly overview: Overview }) {
  const inWords = useWords()
  const applied = useAnswer({ kind: 'why', address: `applied:${caseId}` })
  const [, change] = useLook()
  const format = useFormat()
  const { level } = useLevel()
  const balance = useAnswer({ kind: 'balance', caseId })
  const terms = applied?.basis.kind === 'sum' ? applied.basis.terms : []
  return (
    <Sheet
      title="The building"
      scope={allCases(overview).find(({ loadCase }) => loadCase.id === caseId)?.loadCase.name}
    >
      <Note>Select a beam, column or panel in the drawing or the list.</Note>
      <Section title="By level">
        {terms.map(({ label, value, address }) => (
          <Line key={label} result={<Value value={value} quantity="force" address={address} />}>
            {label}
          </Line>
        ))}
        {balance && !balance.handedOn && (
          <>
            <Line
              reference="sum"
              result={<Value value={balance.applied} quantity="force" address={`applied:${caseId}`} />}
            >
              applied
            </Line>
            <Line
              reference="reactions"
              result={<Value value={balance.atSupports} quantity="force" address={`base:${caseId}`} />}
            >
              at supports
            </Line>
            <Line
              reference="missing"
              result={<Value value={balance.notCarried} quantity="force" address={`notCarried:${caseId}`} />}
            >
              not carried
            </Line>
          </>
        )}
        {balance?.handedOn && balance.handedOn !== 'stiffElements' && (
          <Note>
            {balance.handedOn === 'barriers' ? 'Loads on barriers' : inWords('Storey forces')} are exported; reactions
            are not derived for them.
          </Note>
        )}
      </Section>
      {hasStoreyForces(caseId) && <HeldStoreys caseId={caseId} />}
      {level && !balance?.handedOn && (
        <OtherRules key={level.id} levelId={level.id} panelId={null} caseId={caseId} sharing={null} />
      )}
      <Section title="All cases" aside={<TableOut name="cases" rows={() => caseTable(overview, format)} />}>
        {allCases(overview).map(({ loadCase: { id, name, balance: sums } }) => (
          <Line
            key={id}
            lit={id === caseId}
            reference={wayOf(sums)}
            result={<Value value={sums.applied} quantity="force" address={`applied:${id}`} />}
          >
            <Button kind="link" onPress={() => change({ case: id })}>
              {name}
            </Button>
          </Line>
        ))}
      </Section>
      <Later>
        <Thrusts caseId={caseId} />
        {!hasStoreyForces(caseId) && <HeldStoreys caseId={caseId} pushed />}
        <ReducedBase caseId={caseId} />
        <MassLines />
      </Later>
      <Later after={2}>
        <MemberLoads caseId={caseId} />
      </Later>
    </Sheet>
  )
}
