import { memo } from 'react'
import { selfWeight } from '@hedrion/core'
import { useAnswer, useRecords } from '../../compute/SessionContext'
import { ConcernsHere } from '../../sheet/ConcernsHere'
import { Line, Section } from '../../sheet/Sheet'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Value } from '../../sheet/Value'
import { useLook } from '../../state/look'
import { Button } from '../../ui/Button'
import { QuantityField } from '../../ui/QuantityField'

/** The last line: self-weight is counted once, from sections and slabs, in one case; another factor is a concern. */
export const SelfWeightLine = memo(function SelfWeightLine() {
  const balance = useAnswer({ kind: 'balance', caseId: selfWeight })
  const [, change] = useLook()
  const [basis] = useRecords('basis')
  const fieldOf = useFieldOf()
  return (
    <Section title="Self-weight">
      <Line
        reference={basis?.selfWeightFactor === 1 ? 'once' : 'with a factor'}
        result={balance && <Value value={balance.applied} quantity="force" address={`applied:${selfWeight}`} />}
      >
        from sections and slabs, in{' '}
        <Button kind="link" onPress={() => change({ case: selfWeight })}>
          a separate case
        </Button>
        {basis && (
          <>
            , times <QuantityField {...fieldOf(basis, 'selfWeightFactor', 'factor on self-weight')} />
          </>
        )}
      </Line>
      <ConcernsHere codes="selfweight.factor" />
    </Section>
  )
})
