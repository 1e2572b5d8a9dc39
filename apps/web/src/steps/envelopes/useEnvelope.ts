import { effectKinds, type EffectKind, type EnvelopeRow, type RuleId } from '@hedrion/core'
import { useAnswer } from '../../compute/SessionContext'
import { useLook } from '../../state/look'

export interface EnvelopeInView {
  readonly rule: RuleId
  readonly kind: EffectKind
  readonly rows: readonly EnvelopeRow[]
  /** The effect whose make-up is looked at: the picked one, else the one with the largest value. */
  readonly key: string | null
  readonly choose: (key: string) => void
  readonly setRule: (rule: RuleId) => void
  readonly setKind: (kind: EffectKind) => void
}

const rules = ['strength', 'characteristic', 'frequent', 'quasiPermanent'] as const

/** Rule, kind of effect and effect that are looked at. */
export function useEnvelope(): EnvelopeInView {
  const [look, change] = useLook()
  const rule = rules.find((id) => id === look.rule) ?? 'strength'
  const kind = effectKinds.find((entry) => look.effect?.startsWith(`${entry}:`) || look.effect === entry) ?? 'reaction'
  const rows = useAnswer({ kind: 'envelopes', rule, effects: kind }) ?? []
  const picked = look.picked.at(-1)
  const largest = rows.reduce<EnvelopeRow | undefined>(
    (best, row) => (!best || Math.abs(row.most) > Math.abs(best.most) ? row : best),
    undefined,
  )
  const row =
    rows.find(({ key }) => key === look.effect) ?? rows.find(({ expandedId }) => expandedId === picked) ?? largest
  return {
    rule,
    kind,
    rows,
    key: row?.key ?? null,
    choose: (key) => {
      const chosen = rows.find((entry) => entry.key === key)
      change({ effect: key, ...(chosen && kind !== 'storeyShear' ? { picked: [chosen.expandedId] } : {}) })
    },
    setRule: (next) => change({ rule: next }),
    setKind: (next) => change({ effect: next }),
  }
}
