import { formatValue, ownValueEdits, type Overview, type RuleView } from '@hedrion/core'
import { useWords } from '../../compute/useWords'
import { useAnswer, useFormat, useGetDocument } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { Line, Note, Section } from '../../sheet/Sheet'
import { SymbolText } from '../../sheet/SymbolText'
import { QuantityField } from '../../ui/QuantityField'

/** The factors behind the rules: an edit here is the project's own value, shown as changed on the Basis. */
export function FactorLines({ rule, overview }: { readonly rule: RuleView; readonly overview: Overview }) {
  const inWords = useWords()
  const format = useFormat()
  const show = (value: number) => formatValue(value, 'factor', format)
  const categories = [...new Set(overview.actions.flatMap(({ cases }) => cases.flatMap(({ group }) => group ?? [])))]
  const values = useAnswer({ kind: 'standard' })?.values ?? []
  const psi = categories.filter((category) => values.some(({ key }) => key === `basis.psi_0.${category}`))
  const ofRow = rule.parameters.some((key) => key.startsWith('rule.'))
  return (
    <>
      {rule.parameters.length > 0 && (
        <Section title={ofRow ? `Factors of ${rule.name}` : 'Partial factors'}>
          {rule.parameters.map((parameter) => (
            <FactorLine key={parameter} parameter={parameter} />
          ))}
        </Section>
      )}
      {psi.length > 0 && (
        <Section title="Combination factors">
          {psi.map((category) => (
            <PsiLine key={category} category={category} />
          ))}
        </Section>
      )}
      <Section title={`Factors of each case, ${rule.name.toLowerCase()}`}>
        <Line reference={inWords('permanent')} result={rule.permanent.map(show).join(' or ')}>
          {inWords('all permanent cases have the same factor')}
        </Line>
        {rule.factors.map(({ caseId, name, leading, accompanying }) => (
          <Line key={caseId} result={`${leading === null ? '–' : show(leading)} / ${show(accompanying)}`}>
            {name}
          </Line>
        ))}
        <Note>{inWords('Leading / accompanying. Favourable variable cases are omitted.')}</Note>
      </Section>
    </>
  )
}

function useParameter(key: string) {
  const standard = useAnswer({ kind: 'standard' })
  return standard?.values.find((entry) => entry.key === key)
}

interface FactorProps {
  readonly parameter: string
}

function Factor({ parameter }: FactorProps) {
  const getDocument = useGetDocument()
  const format = useFormat()
  const edit = useEdit()
  const entry = useParameter(parameter)
  if (!entry) return null
  const { meaning, value } = entry
  return (
    <QuantityField
      label={`${meaning.symbol}, ${meaning.name}`}
      quantity={meaning.quantity}
      format={format}
      value={value}
      min={meaning.min}
      max={meaning.max}
      onCommit={(next) =>
        next === null
          ? 'Enter a factor.'
          : edit.apply(
              `${meaning.symbol} ${meaning.name}: ${formatValue(value, 'factor', format)} → ${formatValue(next, 'factor', format)}`,
              ownValueEdits(getDocument(), parameter, next, Math.random),
            )
      }
    />
  )
}

function FactorLine({ parameter }: FactorProps) {
  const entry = useParameter(parameter)
  if (!entry) return null
  return (
    <Line reference={entry.replaced.length > 0 ? entry.clause : entry.clause.replace('EN 1990 ', '')}>
      <SymbolText name={entry.meaning.symbol} /> = <Factor parameter={parameter} /> <small>{entry.meaning.name}</small>
    </Line>
  )
}

function PsiLine({ category }: { readonly category: string }) {
  const entry = useParameter(`basis.psi_0.${category}`)
  if (!entry) return null
  return (
    <Line reference="table A1.1">
      {category === 'wind' ? 'wind' : `category ${category}`}:{' '}
      {[0, 1, 2].map((i) => (
        <span key={i}>
          <SymbolText name={`ψ_${i}`} /> <Factor parameter={`basis.psi_${i}.${category}`} />{' '}
        </span>
      ))}
    </Line>
  )
}
