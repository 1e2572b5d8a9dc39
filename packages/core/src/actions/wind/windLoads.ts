import { pushAll } from '../../outcome/lists'
import type { Box } from '../../geometry/polygon'
import { refused, sound, type Concern, type Outcome } from '../../outcome/outcome'
import { peakVelocityPressure } from '../../standards/en/peakVelocityPressure'
import type { WindSite } from '../../standards/pressureRule'
import { parameterOf, type Standard } from '../../standards/layer'
import { formula } from '../../trace/formula'
import { given, tracedSum, type Traced, type TracedTerm } from '../../trace/traced'
import { windDirections, type WindDirection } from '../cases'
import { wallCoefficients, type WallCoefficients } from './wallCoefficients'
import { tributaryHeights, windwardStrips, type Tributary, type WindLevel, type WindStrip } from './wallStrips'

/** The stated bounding rectangle and height of the building, above ground at z = 0. */
export interface WindBody {
  readonly box: Box
  /** Height of the top level, without the parapet. */
  readonly roof: number
  readonly parapet: number
}

export interface StoreyForce {
  readonly levelId: string
  /** Force on the building in global axes, N. */
  readonly fx: number
  readonly fy: number
  /** Where it acts: the middle of the rectangle, at the level; z above the ground. */
  readonly x: number
  readonly y: number
  readonly z: number
}

export interface WindResult extends WallCoefficients {
  readonly direction: WindDirection
  /** Width across and depth along the wind, height with parapet, m. */
  readonly b: number
  readonly d: number
  readonly h: number
  readonly strips: readonly WindStrip[]
  /** Leeward side: one reference height, that of the top. */
  readonly q_E: Traced<'pressure'>
  /** Bottom first; the lowest takes what lies below half the first storey, at the ground. */
  readonly storeys: readonly { readonly force: StoreyForce; readonly trace: Traced<'force'> }[]
  /** Along the wind, N. */
  readonly total: number
}

export interface WindLoads {
  readonly results: readonly WindResult[]
  readonly concerns: readonly Concern[]
}

export const stripHeight = formula({
  symbol: 'h_s',
  quantity: 'length',
  clause: 'EN 1991-1-4 7.2.2(1)',
  inputs: { z_top: 'length', z_bottom: 'length' },
  expression: 'z_top - z_bottom',
  evaluate: ({ z_top, z_bottom }) => z_top - z_bottom,
})

export const stripForce = formula({
  symbol: 'F_w',
  quantity: 'force',
  clause: 'EN 1991-1-4 5.3(3), 7.2.2',
  inputs: {
    c_scd: 'factor',
    k_corr: 'factor',
    b: 'length',
    h_s: 'length',
    q_D: 'pressure',
    c_D: 'factor',
    q_E: 'pressure',
    c_E: 'factor',
  },
  expression: 'c_scd * k_corr * b * h_s * (q_D * c_D - q_E * c_E)',
  evaluate: ({ c_scd, k_corr, b, h_s, q_D, c_D, q_E, c_E }) => c_scd * k_corr * b * h_s * (q_D * c_D - q_E * c_E),
})

/** Wind on the walls of the bounding rectangle, as one horizontal force per level (EN 1991-1-4; zones D and E). */
export function windLoads(
  body: WindBody,
  levels: readonly WindLevel[],
  site: WindSite,
  standard: Standard,
  structuralFactor: number,
): WindLoads {
  const height = body.roof + body.parapet
  const limit = parameterOf(standard, 'wind.z_max', 'length').value
  if (height > limit)
    return {
      results: [],
      concerns: [{ code: 'wind.too-high', about: [], data: { height, limit } }],
    }
  const concerns: Concern[] = [{ code: 'wind.roof-underived', about: [], data: {} }]
  // 6.2(1): c_s c_d = 1 may be taken for buildings lower than 15 m
  if (height >= 15 && structuralFactor === 1)
    concerns.push({ code: 'wind.structural-factor', about: [], data: { height } })
  const results: WindResult[] = []
  for (const direction of windDirections) {
    const outcome = windFrom(direction, body, levels, site, standard, structuralFactor)
    pushAll(concerns, outcome.concerns)
    if (outcome.ok) results.push(outcome.value)
  }
  return { results, concerns }
}

function windFrom(
  direction: WindDirection,
  body: WindBody,
  levels: readonly WindLevel[],
  site: WindSite,
  standard: Standard,
  structuralFactor: number,
): Outcome<WindResult> {
  const { x0, x1, y0, y1 } = body.box
  const [b, d] = direction.x !== 0 ? [y1 - y0, x1 - x0] : [x1 - x0, y1 - y0]
  const h = body.roof + body.parapet
  const coefficients = wallCoefficients(h, d, direction.name, standard)
  if (!coefficients.ok) return refused(...coefficients.concerns)
  const pressureAt = (z_e: number) => peakVelocityPressure(z_e, site, standard)
  const wall: Wall = {
    ...coefficients.value,
    c_scd: given('c_scd', 'factor', structuralFactor, 'structural factor'),
    b: given('b', 'length', b, 'width across the wind'),
    q_E: pressureAt(h),
    strips: windwardStrips(h, b, levels, pressureAt),
  }
  const middle = [(x0 + x1) / 2, (y0 + y1) / 2] as const
  const storeys = tributaryHeights(levels, h).map((tributary) => storeyForce(wall, tributary, direction, middle))
  const total = storeys.reduce((sum, { trace }) => sum + trace.value, 0)
  const { strips, q_E } = wall
  return sound({ ...coefficients.value, direction, b, d, h, strips, q_E, storeys, total })
}

interface Wall extends WallCoefficients {
  readonly c_scd: Traced<'factor'>
  readonly b: Traced<'length'>
  readonly q_E: Traced<'pressure'>
  readonly strips: readonly WindStrip[]
}

function storeyForce(
  wall: Wall,
  { levelId, z, from, to }: Tributary,
  direction: WindDirection,
  [x, y]: readonly [number, number],
): WindResult['storeys'][number] {
  const terms = wall.strips.flatMap((strip, i): TracedTerm[] => {
    const [low, high] = [Math.max(from, strip.from), Math.min(to, strip.to)]
    if (high - low <= 1e-9) return []
    const traced = forceOf(wall, strip, low, high)
    return [{ label: `strip ${i + 1} of the wall`, value: traced.value, traced }]
  })
  const trace = tracedSum('F_w', 'force', 'EN 1991-1-4 5.3(3), 7.2.2', terms)
  return { trace, force: { levelId, x, y, z, fx: direction.x * trace.value, fy: direction.y * trace.value } }
}

function forceOf(
  { c_scd, k_corr, b, c_D, c_E, q_E }: Wall,
  { q_p }: WindStrip,
  low: number,
  high: number,
): Traced<'force'> {
  const h_s = stripHeight({
    z_top: given('z_top', 'length', high, 'upper end of the strip, or half a storey up'),
    z_bottom: given('z_bottom', 'length', low, 'lower end of the strip, or half a storey down'),
  })
  return stripForce({ c_scd, k_corr, b, h_s, q_D: q_p, c_D, q_E, c_E })
}
