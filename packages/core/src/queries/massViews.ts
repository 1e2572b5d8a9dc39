import { levelMasses, tracedWeight, type LevelMass } from '../derivation/masses'
import type { ProjectState } from '../derivation/project'
import { familyOf } from '../standards/families'
import { formula } from '../trace/formula'
import { given, type Traced } from '../trace/traced'
import { gravity } from '../units/quantity'

/** Mass of what weighs W. */
export const massOfWeight = formula({
  symbol: 'm',
  quantity: 'mass',
  clause: 'weight over the standard acceleration of free fall',
  inputs: { W: 'force', g: 'acceleration' },
  expression: 'W / g',
  evaluate: ({ W, g }) => W / g,
})

export interface MassRow extends LevelMass {
  /** kg. */
  readonly mass: number
}

/** Mass and its centre, level by level from the top, and by which rule imposed load counts. */
export function massViews(state: ProjectState): { readonly clause: string; readonly rows: readonly MassRow[] } {
  const rows = levelMasses(state).map((level) => ({ ...level, mass: level.weight / gravity }))
  return { clause: familyOf(state.standard.family).mass.clause, rows }
}

/** `mass:LEVEL`: the weight of a level part by part, over g. */
export function massOfLevel(state: ProjectState, levelId: string): Traced | null {
  const level = levelMasses(state).find((entry) => entry.levelId === levelId)
  if (!level) return null
  return massOfWeight({
    W: tracedWeight(state, level),
    g: given('g', 'acceleration', gravity, 'standard acceleration of free fall'),
  })
}
