import { windDirectionOf } from '../actions/cases'
import { windLoads, type WindBody, type WindLoads, type WindResult } from '../actions/wind/windLoads'
import type { WindLevel } from '../actions/wind/wallStrips'
import type { Floor } from '../building/floors'
import { recordsOf, type Document } from '../document/document'
import type { Basis, BuildingPart, Level } from '../document/recordKinds'
import { boxesTouch, boxOf, centroid, type Box } from '../geometry/polygon'
import { onLine } from '../geometry/tolerance'
import type { LayoutOperator } from '../rundown/operator'
import { familyOf } from '../standards/families'
import type { Standard } from '../standards/layer'
import type { WindSite } from '../standards/pressureRule'
import { pressureRuleOf } from '../standards/pressureRules'
import { given, type Traced } from '../trace/traced'
import type { Memo } from './memo'
import { stage } from './stage'

const windStage = stage(
  'wind',
  (
    body: WindBody,
    levels: readonly WindLevel[],
    basicVelocity: number,
    terrain: WindSite['terrain'],
    standard: Standard,
    structuralFactor: number,
  ): WindLoads => windLoads(body, levels, windSite(basicVelocity, terrain), standard, structuralFactor),
  () => 60_000,
)

export const windSite = (basicVelocity: number, terrain: WindSite['terrain']): WindSite => ({
  v_b0: given('v_b,0', 'velocity', basicVelocity, 'site'),
  terrain,
})

/** Pressure of the wind at a height above ground by the family in use; null without a velocity, or where the family has none. */
export function pressureAt(
  { basis, standard }: { readonly basis: Basis | undefined; readonly standard: Standard },
  height: number,
): Traced<'pressure'> | null {
  if (!basis || basis.basicWindVelocity === null) return null
  const site = windSite(basis.basicWindVelocity, basis.terrain)
  return pressureRuleOf(standard.family)?.at(height, site, standard) ?? null
}

/** The derived wind of a case; undefined for other cases, and where none is derived. */
export const windResultOf = ({ wind }: { readonly wind: WindLoads | null }, caseId: string): WindResult | undefined => {
  const direction = windDirectionOf(caseId)
  return direction && wind?.results.find((result) => result.direction.id === direction)
}

/** Whether the family in use derives wind in this version. */
export const derivesWind = ({ family }: Standard): boolean => familyOf(family).derivesWind

/** The bounding rectangle in plan: as it is stated, else round the columns above ground, else round the panels. */
export function extentOf(
  levels: readonly Floor[],
  operators: ReadonlyMap<string, LayoutOperator>,
  part: BuildingPart | undefined,
  ground: number,
): Box | null {
  if (part?.extent) return part.extent
  const plans = levels
    .filter(({ level }) => level.elevation > ground)
    .flatMap(({ layoutId }) => operators.get(layoutId ?? '')?.plan ?? [])
  const columns = plans.flatMap(({ frame }) => frame.columns.map(({ at }) => at))
  const points =
    columns.length >= 3 ? columns : plans.flatMap(({ panels }) => panels.flatMap(({ panel }) => panel.outline))
  return points.length > 0 ? boxOf(points) : null
}

/** Whether a column of a level, or the middle of one of its panels, is in the rectangle. */
function standsIn(box: Box, operator: LayoutOperator | undefined): boolean {
  const { frame, panels } = operator?.plan ?? { frame: { columns: [] }, panels: [] }
  const points = [...frame.columns.map(({ at }) => at), ...panels.map(({ outline }) => centroid(outline))]
  return points.length === 0 || points.some((point) => boxesTouch(box, boxOf([point]), onLine))
}

/** Wind on the stated rectangle; null while there is no velocity or nothing stands above ground. */
export function deriveWind(
  memo: Memo,
  document: Document,
  levels: readonly Floor[],
  operators: ReadonlyMap<string, LayoutOperator>,
  extent: Box | null,
  standard: Standard,
): WindLoads | null {
  const [basis] = recordsOf(document, 'basis')
  const [part] = recordsOf(document, 'buildingPart')
  if (!extent || !basis || basis.basicWindVelocity === null || !derivesWind(standard)) return null
  const { ground } = basis
  const carrying = levels.filter(
    ({ layoutId, level }) => level.elevation > ground && layoutId !== null && standsIn(extent, operators.get(layoutId)),
  )
  const roof = carrying.at(-1)
  if (!roof) return null
  const lowest = levels.filter(({ level }) => level.elevation <= ground).at(-1)
  const exposed = [
    ...(lowest ? [{ levelId: lowest.level.id, z: 0 }] : []),
    ...carrying.map(({ level }) => ({ levelId: level.id, z: level.elevation - ground })),
  ]
  const body = { box: extent, roof: roof.level.elevation - ground, parapet: part?.parapet ?? 0 }
  const { basicWindVelocity, terrain } = basis
  return memo.get(windStage, body, exposed, basicWindVelocity, terrain, standard, part?.structuralFactor ?? 1)
}

/** What stands in the wind, as far as its height goes. */
interface Standing {
  readonly basis: Basis | undefined
  readonly floors: readonly { readonly level: Level }[]
  readonly part: BuildingPart | undefined
}

/** Height of the top of the building with its parapet over the ground, m; 10 m while nothing stands. */
export function topInWind({ basis, floors, part }: Standing): number {
  const top = floors.at(-1)?.level.elevation
  const roof = top === undefined ? 10 : top - (basis?.ground ?? 0)
  return Math.max(0.1, roof + (part?.parapet ?? 0))
}
