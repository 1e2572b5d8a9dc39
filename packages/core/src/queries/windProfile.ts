import { derivesWind, topInWind, windSite } from '../derivation/climate'
import type { ProjectState } from '../derivation/project'
import { peakVelocityPressure } from '../standards/en/peakVelocityPressure'

export interface WindProfile {
  /** Height above ground (m) and peak velocity pressure there (Pa), rising. */
  readonly points: readonly { readonly z: number; readonly q: number }[]
  /** The top of the building with its parapet; 10 m while nothing stands. */
  readonly top: number
  readonly topPressure: number
}

const steps = 48

/** Peak velocity pressure over height, a little beyond the top of the building; null while there is no velocity. */
export function windProfile(state: ProjectState): WindProfile | null {
  const { basis, standard } = state
  if (!basis || basis.basicWindVelocity === null || !derivesWind(standard)) return null
  const site = windSite(basis.basicWindVelocity, basis.terrain)
  const top = topInWind(state)
  const at = (z: number) => peakVelocityPressure(z, site, standard).value
  // an even number of metres, for a scale with round figures
  const height = 2 * Math.ceil(Math.max(12, top * 1.35) / 2)
  const points = Array.from({ length: steps + 1 }, (_, i) => {
    const z = Math.max(0.05, (height * i) / steps)
    return { z, q: at(z) }
  })
  return { points, top, topPressure: at(top) }
}
