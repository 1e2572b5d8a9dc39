import type { WallSurface } from '../document/recordKinds'
import type { Concern } from '../outcome/outcome'
import type { Standard } from '../standards/layer'
import { typedLoads, windCase } from './cases'
import { casesOfUse } from './keyLoads'

export type SurfacePressure = WallSurface['pressures'][number]

/** The case that a pressure acts in; null where an imposed one has no use that the standard knows. */
export function caseOfPressure({ nature, use, from }: SurfacePressure, standard: Standard): string | null {
  if (nature === 'wind') return windCase(from)
  return nature === 'permanent' ? typedLoads : (casesOfUse(use, standard)?.imposed ?? null)
}

/** What presses on a surface in a case, at its top and at its foot, Pa towards the face. */
export function pressureIn(
  { pressures }: Pick<WallSurface, 'pressures'>,
  caseId: string,
  standard: Standard,
): Pick<SurfacePressure, 'top' | 'foot'> {
  const acting = pressures.filter((pressure) => caseOfPressure(pressure, standard) === caseId)
  return {
    top: acting.reduce((sum, { top }) => sum + top, 0),
    foot: acting.reduce((sum, { foot }) => sum + foot, 0),
  }
}

/** An imposed pressure without a use that the standard knows belongs to no case. */
export const pressureConcerns = (surfaces: readonly WallSurface[], standard: Standard): readonly Concern[] =>
  surfaces.flatMap(({ id, label, pressures }): readonly Concern[] =>
    pressures.some(
      (pressure) => caseOfPressure(pressure, standard) === null && (pressure.top !== 0 || pressure.foot !== 0),
    )
      ? [{ code: 'load.no-use', about: [id], data: { label } }]
      : [],
  )
