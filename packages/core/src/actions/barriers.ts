import type { Barrier } from '../document/recordKinds'
import type { Concern } from '../outcome/outcome'
import { highestPlace } from '../standards/barriers'
import { barrierKey } from '../standards/family'
import { parameterIf, type Standard } from '../standards/layer'
import { formula } from '../trace/formula'
import { given, type Traced } from '../trace/traced'

/** Where the load on a barrier acts: at its top, and no higher than the standard says. */
export const barrierPlace = formula({
  symbol: 'z',
  quantity: 'length',
  clause: 'EN 1991-1-1 6.4(2)',
  inputs: { h: 'length', z_max: 'length' },
  expression: 'min(h, z_max)',
  evaluate: ({ h, z_max }) => Math.min(h, z_max),
})

/** Moment per length about the edge of the floor. */
export const barrierMoment = formula({
  symbol: 'm',
  quantity: 'lineMoment',
  clause: 'common practice',
  inputs: { q: 'lineLoad', z: 'length' },
  expression: 'q * z',
  evaluate: ({ q, z }) => q * z,
})

export interface BarrierLoad {
  /** Square to the barrier, N/m. */
  readonly load: Traced
  /** Above the level, m. */
  readonly place: Traced<'length'>
  /** About the edge, N·m/m. */
  readonly moment: Traced
}

/** What people press against a barrier with; null where its use has no value and none is typed. */
export function barrierLoad(barrier: Barrier, standard: Standard): BarrierLoad | null {
  const { label, use, value, height } = barrier
  const load =
    value === null
      ? use === null
        ? null
        : parameterIf(standard, barrierKey(use))
      : given('q', 'lineLoad', value, `entered for ${label}`)
  if (!load) return null
  const top = given('h', 'length', height, `top of ${label}`)
  const z_max = parameterIf(standard, highestPlace)
  const place = z_max ? barrierPlace({ h: top, z_max: { ...z_max, quantity: 'length' } }) : top
  return { load, place, moment: barrierMoment({ q: { ...load, quantity: 'lineLoad' }, z: place }) }
}

/** A barrier whose use has no value in the standard carries nothing, which is said. */
export function barrierConcerns(barriers: readonly Barrier[], standard: Standard): readonly Concern[] {
  return barriers.flatMap((barrier): Concern[] => {
    if (barrierLoad(barrier, standard)) return []
    const { id, label, use } = barrier
    const data = { label, use: use ?? '', standard: standard.layers.join(' + ') }
    return [{ code: 'barrier.no-value', about: [id], data }]
  })
}
