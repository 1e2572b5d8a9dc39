import { candidateText } from '@hedrion/core'
import { useAnswer, useFormat } from '../../compute/SessionContext'
import { Line, Section } from '../../sheet/Sheet'
import { useLook } from '../../state/look'
import { Button } from '../../ui/Button'

/** The members at a panel that its limits decide on: off it but counted, or left out, each with its number. */
export function CandidateLines({ expandedId }: { readonly expandedId: string }) {
  const candidates = useAnswer({ kind: 'candidates', expandedId })
  const format = useFormat()
  const [, change] = useLook()
  const decided = (candidates ?? []).flatMap((candidate) => {
    const text = candidateText(candidate, format)
    return text === '' ? [] : [{ ...candidate, text }]
  })
  if (decided.length === 0) return null
  return (
    <Section title="Supports considered">
      {decided.map(({ expandedId: member, label, verdict, text }, i) => (
        <Line key={i} reference={references[verdict]}>
          <Button kind="link" onPress={() => change({ picked: [member] })}>
            {label}
          </Button>{' '}
          {text}
        </Line>
      ))}
    </Section>
  )
}

const references = {
  counts: 'reach',
  offPanel: 'reach',
  alongSpan: 'minimum angle',
  spared: 'spared',
  takesNone: 'all panels',
  inSpace: 'self-weight only',
} as const
