import { familyOf, type LoadKey, type PartitionRule, type ResolvedValue } from '@hedrion/core'
import { useAnswer, useRecords } from '../../compute/SessionContext'
import { useCited } from '../../compute/useCited'
import { useEdit, useNote } from '../../compute/useEdit'
import { FromMemory } from '../../sheet/FromMemory'
import { Line } from '../../sheet/Sheet'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Value } from '../../sheet/Value'
import { Choice } from '../../ui/Choice'
import { QuantityField } from '../../ui/QuantityField'

const ruleNames: Readonly<Record<PartitionRule, string>> = {
  byWeight: 'from wall weight',
  least: 'minimum in the standard',
  typed: 'typed',
}

/** The allowance for movable partitions: kept apart from the imposed load, since it is never reduced. */
export function PartitionLine({ loadKey }: { readonly loadKey: LoadKey }) {
  const edit = useEdit()
  const note = useNote()
  const cited = useCited()
  const [basis] = useRecords('basis')
  const standard = useAnswer({ kind: 'standard' })
  const loads = useAnswer({ kind: 'keys' })?.find(({ key }) => key.id === loadKey.id)
  if (loadKey.use === null || !basis) return null
  const { partitionRules, partitionClause } = familyOf(basis.family)
  const choose = (partitionRule: PartitionRule) =>
    edit.set(loadKey, note.text(loadKey, 'partitions', ruleNames[loadKey.partitionRule], ruleNames[partitionRule]), {
      partitionRule,
    })
  return (
    <Line
      reference={
        <>
          partitions, {cited(partitionClause)}
          <FromMemory shown={isRemembered(standard)} />
        </>
      }
      result={
        loads?.partitions && (
          <Value value={loads.partitions.value} quantity="pressure" address={`key:${loadKey.id}:partitions`} />
        )
      }
    >
      <Choice
        label={`Partition method of ${loadKey.name}`}
        value={loadKey.partitionRule}
        options={partitionRules.map((rule) => [rule, ruleNames[rule]] as const)}
        onChange={choose}
        placeholder="not a method of this standard"
      />{' '}
      <AllowanceField loadKey={loadKey} />
    </Line>
  )
}

/** Whether what the allowance follows from stands from memory. */
function isRemembered(
  standard:
    | {
        readonly values: readonly ResolvedValue[]
        readonly tables: Readonly<Record<string, { readonly fromMemory?: boolean }>>
      }
    | undefined,
): boolean {
  const least = standard?.values.find(({ key }) => key === 'imposed.partitions.least')
  return least?.fromMemory ?? standard?.tables['imposed.partitions']?.fromMemory ?? false
}

function AllowanceField({ loadKey }: { readonly loadKey: LoadKey }) {
  const fieldOf = useFieldOf()
  const none = { optional: true, placeholder: 'none' } as const
  switch (loadKey.partitionRule) {
    case 'least':
      return null
    case 'typed':
      return <QuantityField {...fieldOf(loadKey, 'partitionLoad', `partition allowance of ${loadKey.name}`, none)} />
    case 'byWeight':
      return (
        <>
          walls of{' '}
          <QuantityField {...fieldOf(loadKey, 'partitionWeight', `partition weight of ${loadKey.name}`, none)} />
        </>
      )
  }
}
