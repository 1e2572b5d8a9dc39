import { pressureAt, topInWind } from '../derivation/climate'
import type { ProjectState } from '../derivation/project'

export interface WindProfile {
  /** Height above ground (m) and pressure of the wind there (Pa), rising. */
  readonly points: readonly { readonly z: number; readonly q: number }[]
  /** The top of the building with its parapet; 10 m while nothing stands. */
  readonly top: number
  readonly topPressure: number
}

const steps = 48

/** Pressure of the wind over height, a little beyond the top of the building; null while there is no velocity, or no rule. */
export function windProfile(state: ProjectState): WindProfile | null {
  const top = topInWind(state)
  const topPressure = pressureAt(state, top)?.value
  if (topPressure === undefined) return null
  // an even number of metres, for a scale with round figures
  const height = 2 * Math.ceil(Math.max(12, top * 1.35) / 2)
  const points = Array.from({ length: steps + 1 }, (_, i) => Math.max(0.05, (height * i) / steps)).flatMap((z) => {
    const q = pressureAt(state, z)?.value
    return q === undefined ? [] : [{ z, q }]
  })
  return { points, top, topPressure }
}
