import { reductionReason, type KeyLoads, type LoadKey, type Traced } from '@hedrion/core'
import { useWords } from '../../compute/useWords'
import { useAnswer, useRecord, useRecords } from '../../compute/SessionContext'
import { FromMemory } from '../../sheet/FromMemory'
import { Line } from '../../sheet/Sheet'
import { SymbolText } from '../../sheet/SymbolText'
import { useChoiceOf } from '../../sheet/useChoiceOf'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Value } from '../../sheet/Value'
import { Choice } from '../../ui/Choice'
import { QuantityField } from '../../ui/QuantityField'
import { useUses } from './useUses'
import { useTerms } from '../../compute/useTerms'

/** The clause that a value of the standard is from, and whether it is remembered. */
export function clauseOf(traced: Traced | null | undefined, otherwise: string) {
  if (traced?.basis.kind !== 'parameter') return otherwise
  return (
    <>
      {traced.basis.clause}
      <FromMemory shown={traced.basis.fromMemory} />
    </>
  )
}

/** The use gives the imposed load; a typed value stands instead of it. */
export function UseLine({ loadKey }: { readonly loadKey: LoadKey }) {
  const choiceOf = useChoiceOf()
  const fieldOf = useFieldOf()
  const loads = useAnswer({ kind: 'keys' })?.find(({ key }) => key.id === loadKey.id)
  const uses = useUses()
  const terms = useTerms()
  return (
    <Line
      reference={clauseOf(loads?.imposed, terms.imposed)}
      result={
        loads?.imposed && (
          <Value value={loads.imposed.value} quantity="pressure" address={`key:${loadKey.id}:imposed`} />
        )
      }
    >
      <Choice {...choiceOf(loadKey, 'use', 'use', { ...uses, label: `Use of ${loadKey.name}` })} />{' '}
      {loadKey.use !== null && (
        <>
          <SymbolText name={loads?.imposed?.symbol ?? 'q'} />{' '}
          <QuantityField
            {...fieldOf(loadKey, 'imposed', `entered ${terms.imposed} load of ${loadKey.name}`, {
              optional: true,
              placeholder: 'from the use',
            })}
          />
        </>
      )}
      {loads?.perMetre && loadKey.imposed === null && (
        <>
          {' '}
          stored up to{' '}
          <QuantityField
            {...fieldOf(loadKey, 'storageHeight', `storage height on ${loadKey.name}`, {
              optional: true,
              placeholder: loads.imposed ? 'minimum value' : 'height',
            })}
          />
        </>
      )}
      {loads && <Reduced loadKey={loadKey} loads={loads} />}
    </Line>
  )
}

/** Whether its imposed load may be reduced, and why. */
function Reduced({ loadKey, loads }: { readonly loadKey: LoadKey; readonly loads: KeyLoads }) {
  const inWords = useWords()
  const choiceOf = useChoiceOf()
  const [basis] = useRecords('basis')
  const own = useRecord(basis?.reductionTable ?? undefined)
  const reason = basis && reductionReason(basis.family, loads, own?.kind === 'reductionTable' ? own.name : null)
  if (!reason) return null
  // a use that the standard keeps whole stays whole
  const mayBe = loads.reducible || loadKey.reducible === 'never'
  return (
    <>
      <small> {reason}</small>
      {mayBe && (
        <>
          {', '}
          <Choice
            {...choiceOf(loadKey, 'reducible', inWords('reduction by area or storeys'), {
              label: `Reduction of ${loadKey.name}`,
              options: [
                ['byUse', 'as for its use'],
                ['never', 'never reduced'],
              ],
            })}
          />
        </>
      )}
    </>
  )
}
