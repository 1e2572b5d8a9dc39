import { pressureRuleOf } from '@hedrion/core'
import { useAnswer, useRecords } from '../../compute/SessionContext'
import { Chain } from '../../sheet/Chain'
import { Line, Note, Section } from '../../sheet/Sheet'
import { SymbolText } from '../../sheet/SymbolText'
import { Value } from '../../sheet/Value'

/** Pressure of the wind at the top of the building, written out. */
export function PressureChain() {
  const profile = useAnswer({ kind: 'windProfile' })
  const address = `qp:${profile?.top ?? 0}`
  const traced = useAnswer({ kind: 'why', address })
  const [basis] = useRecords('basis')
  const rule = basis && pressureRuleOf(basis.family)
  if (!rule) return null
  return (
    <Section title={`${rule.name} at the top`}>
      {!profile && <Note>No velocity yet, so no wind. Enter it above.</Note>}
      {profile && (
        <Line reference="height" result={<Value value={profile.top} quantity="length" />}>
          <SymbolText name="z" /> of the top, including the parapet
        </Line>
      )}
      {traced && <Chain traced={traced} address={address} />}
    </Section>
  )
}
