import { memo } from 'react'
import { selfWeight } from '@hedrion/core'
import { useAnswer } from '../../compute/SessionContext'
import { Line, Section } from '../../sheet/Sheet'
import { Value } from '../../sheet/Value'
import { useLook } from '../../state/look'
import { Button } from '../../ui/Button'

/** The last line: self-weight is counted once, from sections and slabs, in one case with the factor 1. */
export const SelfWeightLine = memo(function SelfWeightLine() {
  const balance = useAnswer({ kind: 'balance', caseId: selfWeight })
  const [, change] = useLook()
  return (
    <Section title="Self-weight">
      <Line
        reference="once"
        result={balance && <Value value={balance.applied} quantity="force" address={`applied:${selfWeight}`} />}
      >
        from sections and slabs, in{' '}
        <Button kind="link" onPress={() => change({ case: selfWeight })}>
          a case of its own
        </Button>
      </Line>
    </Section>
  )
})
