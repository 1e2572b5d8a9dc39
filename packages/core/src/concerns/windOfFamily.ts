import { derivesWind } from '../derivation/climate'
import type { ProjectState } from '../derivation/project'
import type { Concern } from '../outcome/outcome'
import { familyOf } from '../standards/families'
import { enPressureRule, pressureRuleOf } from '../standards/pressureRules'

/** A velocity is given and the family in use derives no wind from it. */
export function windOfFamily({ basis, standard }: ProjectState): readonly Concern[] {
  if (!basis || basis.basicWindVelocity === null || derivesWind(standard)) return []
  const data = { family: familyOf(standard.family).name }
  return [{ code: 'wind.family-underived', about: [basis.id], data }]
}

/** The German profile of mixed terrain inland knows neither the terrain nor the altitude that the basis states. */
export function windWithoutTerrain({ basis, standard }: ProjectState): readonly Concern[] {
  if (!basis || basis.basicWindVelocity === null || !derivesWind(standard)) return []
  if (standard.methods['wind.peakPressure'] !== 'mixedInland') return []
  const data = { terrain: basis.terrain, altitude: basis.altitude }
  return [{ code: 'wind.without-terrain', about: [basis.id], data }]
}

/** The site service answers a mean velocity of 10 minutes; a family that wants another is given too little by it. */
export function velocityOfAnotherKind({ basis, standard }: ProjectState): readonly Concern[] {
  const rule = pressureRuleOf(standard.family)
  const answered = basis?.siteData?.basicWindVelocity
  if (!basis || !rule || rule === enPressureRule || answered === undefined) return []
  if (answered !== basis.basicWindVelocity) return []
  const data = { family: familyOf(standard.family).name, wanted: rule.velocity.says, velocity: answered }
  return [{ code: 'wind.velocity-of-another-kind', about: [basis.id], data }]
}
