import { pressureRuleOf, referenceText, type Traced } from '@hedrion/core'
import { useAnswer, useFormat, useRecords } from '../../compute/SessionContext'
import { Expression } from '../../sheet/Expression'
import { Line, Note, Section } from '../../sheet/Sheet'
import { Symbol } from '../../sheet/Symbol'
import { Value } from '../../sheet/Value'

/** The formulae from the basic velocity to the peak pressure, each once, in the order in which they are needed. */
function chainOf(traced: Traced, seen = new Set<string>()): readonly Traced[] {
  const { basis } = traced
  if (basis.kind !== 'formula' || seen.has(traced.symbol)) return []
  seen.add(traced.symbol)
  return [...Object.values(basis.inputs).flatMap((input) => chainOf(input, seen)), traced]
}

/** Pressure of the wind at the top of the building, written out. */
export function PressureChain() {
  const profile = useAnswer({ kind: 'windProfile' })
  const address = `qp:${profile?.top ?? 0}`
  const traced = useAnswer({ kind: 'why', address })
  const format = useFormat()
  const [basis] = useRecords('basis')
  const rule = basis && pressureRuleOf(basis.family)
  if (!rule) return null
  return (
    <Section title={`${rule.name} at the top`}>
      {!profile && <Note>No velocity yet, so no wind. Type it above.</Note>}
      {profile && (
        <Line reference="height" result={<Value value={profile.top} quantity="length" />}>
          <Symbol name="z" /> of the top with its parapet
        </Line>
      )}
      {traced &&
        chainOf(traced).map((step) => (
          <Line
            key={step.symbol}
            reference={referenceText(step).replace(/^(EN 1991-1-4|ASCE 7-16|IS 875-3) /, '')}
            result={<Value value={step.value} quantity={step.quantity} {...(step === traced ? { address } : {})} />}
          >
            <Symbol name={step.symbol} />
            {step.basis.kind === 'formula' && (
              <>
                {' = '}
                <Expression expression={step.basis.expression} />
                {' = '}
                <Expression expression={step.basis.expression} inputs={step.basis.inputs} format={format} />
              </>
            )}
          </Line>
        ))}
    </Section>
  )
}
