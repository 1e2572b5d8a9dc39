import { capitalized, familyOf, type Basis } from '@hedrion/core'
import { useWords } from '../../compute/useWords'
import { useRecords } from '../../compute/SessionContext'
import { Line, Note, Section } from '../../sheet/Sheet'
import { useChoiceOf } from '../../sheet/useChoiceOf'
import { Choice } from '../../ui/Choice'
import { FactorsChoice, OwnReduction } from './OwnReduction'
import { useTerms } from '../../compute/useTerms'

type Reductions = Basis['reductions']

/** How combinations use imposed load that is reducible by area or storeys. */
export function ReductionChoice() {
  const inWords = useWords()
  const [basis] = useRecords('basis')
  const choiceOf = useChoiceOf()
  const { imposed } = useTerms()
  if (!basis) return null
  // rows of a table know no psi: there it is unreduced or reduced
  const hasPsi = familyOf(basis.family).ruleRows.length === 0
  const options: readonly (readonly [Reductions, string])[] = hasPsi
    ? [
        ['nowhere', 'unreduced'],
        ['withoutPsi', 'reduced where no ψ applies'],
        ['lower', 'the lower of reduced and ψ-factored load'],
        ['everywhere', 'reduced; by area also together with ψ'],
      ]
    : [
        ['nowhere', 'unreduced'],
        ['withoutPsi', 'reduced'],
      ]
  return (
    <>
      <Section title={`${capitalized(imposed)} load of columns and beams`}>
        <Line reference={inWords('reduction by area or storeys')}>
          <Choice
            {...choiceOf(basis, 'reductions', `${imposed} load in combinations`, {
              label: `${capitalized(imposed)} load in combinations`,
              options,
            })}
          />
        </Line>
        <FactorsChoice basis={basis} />
        <Line reference="from columns on transfer beams">
          <Choice
            {...choiceOf(basis, 'transferred', 'load from columns on transfer beams', {
              label: 'Load from columns on transfer beams',
              options: [
                ['reduced', 'reduced below the transfer beam too'],
                ['whole', 'unreduced below the transfer beam'],
              ],
            })}
          />
        </Line>
        {basis.reductions !== 'nowhere' && (
          <Note>
            Applies to envelopes of column forces, reactions and beam totals, with the factors shown in Paths. Lists of
            combinations are unchanged.
          </Note>
        )}
      </Section>
      <OwnReduction basis={basis} />
    </>
  )
}
