import { familyOf, type Basis } from '@hedrion/core'
import { useRecords } from '../../compute/SessionContext'
import { Line, Note, Section } from '../../sheet/Sheet'
import { useChoiceOf } from '../../sheet/useChoiceOf'
import { Choice } from '../../ui/Choice'
import { FactorsChoice, OwnReduction } from './OwnReduction'

type Reductions = Basis['reductions']

/** Where combinations take imposed load reduced for area or storeys. */
export function ReductionChoice() {
  const [basis] = useRecords('basis')
  const choiceOf = useChoiceOf()
  if (!basis) return null
  // rows of a table know no psi: there it is whole or reduced
  const hasPsi = familyOf(basis.family).ruleRows.length === 0
  const options: readonly (readonly [Reductions, string])[] = hasPsi
    ? [
        ['nowhere', 'whole'],
        ['withoutPsi', 'reduced where no ψ lowers it'],
        ['lower', 'reduced, or lowered by ψ: the lower of both'],
        ['everywhere', 'reduced, for area also beside ψ'],
      ]
    : [
        ['nowhere', 'whole'],
        ['withoutPsi', 'reduced'],
      ]
  return (
    <>
      <Section title="Imposed load of columns and beams">
        <Line reference="for area or storeys">
          <Choice
            {...choiceOf(basis, 'reductions', 'imposed load in combinations', {
              label: 'Imposed load in combinations',
              options,
            })}
          />
        </Line>
        <FactorsChoice basis={basis} />
        <Line reference="from columns on beams">
          <Choice
            {...choiceOf(basis, 'transferred', 'what comes from columns on beams', {
              label: 'What comes from columns on beams',
              options: [
                ['reduced', 'reduced below the beam too'],
                ['whole', 'whole below the beam'],
              ],
            })}
          />
        </Line>
        {basis.reductions !== 'nowhere' && (
          <Note>
            In envelopes of column forces, reactions and beam totals, by the factors in Paths; lists of combinations
            stay as they are.
          </Note>
        )}
      </Section>
      <OwnReduction basis={basis} />
    </>
  )
}
