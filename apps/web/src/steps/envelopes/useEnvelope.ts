import { effectKinds, type EffectKind, type EnvelopeRow, type RuleSet } from '@hedrion/core'
import { useAnswer } from '../../compute/SessionContext'
import { useLook } from '../../state/look'

export interface EnvelopeInView {
  /** The rules that are enveloped together, and all such sets. */
  readonly set: string
  readonly sets: readonly RuleSet[]
  readonly kind: EffectKind
  readonly rows: readonly EnvelopeRow[]
  /** The effect whose make-up is looked at: the picked one, else the one with the largest value. */
  readonly key: string | null
  readonly choose: (key: string) => void
  readonly chooseSet: (set: string) => void
  readonly setKind: (kind: EffectKind) => void
}

/** Set of rules, kind of effect and effect that are looked at. */
export function useEnvelope(): EnvelopeInView {
  const [look, change] = useLook()
  const sets = useAnswer({ kind: 'overview' })?.ruleSets ?? []
  const set = sets.find(({ id }) => id === look.rule)?.id ?? 'strength'
  const kind = effectKinds.find((entry) => look.effect?.startsWith(`${entry}:`) || look.effect === entry) ?? 'reaction'
  const rows = useAnswer({ kind: 'envelopes', set, effects: kind }) ?? []
  const picked = look.picked.at(-1)
  const largest = rows.reduce<EnvelopeRow | undefined>(
    (best, row) => (!best || Math.abs(row.most) > Math.abs(best.most) ? row : best),
    undefined,
  )
  const row =
    rows.find(({ key }) => key === look.effect) ?? rows.find(({ expandedId }) => expandedId === picked) ?? largest
  return {
    set,
    sets,
    kind,
    rows,
    key: row?.key ?? null,
    choose: (key) => {
      const chosen = rows.find((entry) => entry.key === key)
      change({ effect: key, ...(chosen && kind !== 'storeyShear' ? { picked: [chosen.expandedId] } : {}) })
    },
    chooseSet: (next) => change({ rule: next }),
    setKind: (next) => change({ effect: next }),
  }
}
