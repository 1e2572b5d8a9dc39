import { familyOf, type Overview, type RuleView } from '@hedrion/core'
import { useAnswer } from '../../compute/SessionContext'
import { Expression } from '../../sheet/Expression'
import { Line, Note, Section, Sheet } from '../../sheet/Sheet'
import { useLook } from '../../state/look'
import { Button } from '../../ui/Button'
import { CombinationTable } from './CombinationTable'
import { FactorLines } from './FactorLines'
import { ReductionChoice } from './ReductionChoice'

/** The rules of the family with their factors and counts; one of them can be opened as a table. */
export function CombinationsSheet({ overview }: { readonly overview: Overview }) {
  const [look, change] = useLook()
  const wanted = look.rule ?? 'strength'
  const rules = useAnswer({ kind: 'rules', list: look.sheet === 'narrow' ? null : wanted })
  if (!rules) return null
  if (rules.length === 0)
    return (
      <Sheet title="Combinations">
        <Note>No actions yet, so nothing to combine.</Note>
      </Sheet>
    )
  // a set of rules that an envelope was looked at by stands for its first rule
  const rule = rules.find(({ id }) => id === wanted) ?? rules.find(({ set }) => set === wanted) ?? rules[0]
  return (
    <Sheet title="Combinations" scope={`${familyOf(overview.family).name}, counted without listing`}>
      {sections(rules, overview).map(({ title, rules: own }) => (
        <Section key={title} title={title}>
          {own.map((entry) => (
            <RuleLine
              key={entry.id}
              rule={entry}
              chosen={entry === rule}
              onOpen={() => change({ rule: entry.id, sheet: 'table' })}
              onChoose={() => change({ rule: entry.id })}
            />
          ))}
        </Section>
      ))}
      <ReductionChoice />
      <Section title="Total">
        <Line lit result={<strong>{overview.figures.combinations}</strong>}>
          combinations, from {overview.figures.cases} cases
        </Line>
      </Section>
      {look.sheet !== 'narrow' && rule ? (
        <CombinationTable rule={rule} overview={overview} />
      ) : (
        rule && <FactorLines rule={rule} overview={overview} />
      )}
    </Sheet>
  )
}

/** A section for each set of rules that are enveloped together; sets of one rule each stand together. */
function sections(rules: readonly RuleView[], { ruleSets }: Overview) {
  if (ruleSets.length === rules.length) return [{ title: 'Rules', rules }]
  return ruleSets.map(({ id, name }) => ({ title: name, rules: rules.filter(({ set }) => set === id) }))
}

interface RuleLineProps {
  readonly rule: RuleView
  readonly chosen: boolean
  readonly onChoose: () => void
  readonly onOpen: () => void
}

const RuleLine = ({ rule, chosen, onChoose, onOpen }: RuleLineProps) => (
  <Line
    reference={rule.clause.replace('EN 1990 ', '').replace(/^ASCE 7-\d+ /, '')}
    lit={chosen}
    result={
      <>
        <strong>{rule.count}</strong>{' '}
        {rule.waitsFor === null && (
          <Button kind="link" onPress={onOpen} aria-label={`List ${rule.name} as table`}>
            list
          </Button>
        )}
      </>
    }
  >
    <Button kind="link" onPress={onChoose}>
      {rule.name}
    </Button>
    <div>
      <Expression expression={rule.expression} />
      {rule.waitsFor !== null && <small>applies once there is a case of {rule.waitsFor}</small>}
    </div>
  </Line>
)
