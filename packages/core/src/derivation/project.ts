import type { Action, GroupOnPlan, OnPlan } from '../actions/cases'
import { casesOfUse, type KeyLoads } from '../actions/keyLoads'
import { typedLoadsOf } from '../actions/typedLoads'
import type { SurfacePressure } from '../actions/surfacePressures'
import type { WindLoads } from '../actions/wind/windLoads'
import { expandFloors, type Floor } from '../building/floors'
import { recordsOf, type Document } from '../document/document'
import type { Basis, BuildingPart, Layer, Level, LevelRange } from '../document/recordKinds'
import type { Box } from '../geometry/polygon'
import type { LayoutOperator } from '../rundown/operator'
import { standardOf } from '../standards/families'
import type { FamilyId } from '../standards/family'
import type { Standard } from '../standards/layer'
import { deriveWind, extentOf } from './climate'
import { deriveFloors, type FloorState } from './floorStates'
import { keysInUse } from './layoutLoads'
import { deriveLayouts } from './layouts'
import { casesStage, deriveKeys } from './loads'
import type { Memo } from './memo'
import { stage } from './stage'
import { deriveSurfaces, type SurfaceStretch } from './surfaces'

/** Everything derived from a document that more than one query needs. */
export interface ProjectState {
  readonly document: Document
  readonly basis: Basis | undefined
  readonly part: BuildingPart | undefined
  readonly standard: Standard
  /** Every level, bottom first. */
  readonly levels: readonly Floor[]
  /** Carrying floors, bottom first. */
  readonly floors: readonly FloorState[]
  /** Wall surfaces of every carrying floor, stretch by stretch. */
  readonly surfaces: readonly SurfaceStretch[]
  readonly keys: ReadonlyMap<string, KeyLoads>
  readonly actions: readonly Action[]
  readonly caseIds: readonly string[]
  readonly wind: WindLoads | null
  readonly extent: Box | null
}

const standardStage = stage(
  'standard',
  (family: FamilyId, layers: readonly Layer[]): Standard => standardOf(family, layers),
  () => 60_000,
)

interface Levels {
  readonly floors: readonly Floor[]
}

const levelsStage = stage('levels', (levels: readonly Level[], ranges: readonly LevelRange[]): Levels => ({
  floors: expandFloors(levels, ranges),
}))

/** The chain of stages from records to the rundown; what is equal to before is taken from the memo. */
export function deriveProject(memo: Memo, document: Document): ProjectState {
  const [basis] = recordsOf(document, 'basis')
  const standard = memo.get(standardStage, basis?.family ?? 'EN', recordsOf(document, 'layer'))
  const levels = memo.get(levelsStage, recordsOf(document, 'level'), recordsOf(document, 'levelRange')).floors
  const solved = deriveLayouts(memo, document, layoutsInUse(levels))
  const operators = new Map([...solved].map(([id, { operator }]) => [id, operator]))
  const keys = deriveKeys(memo, document, standard)
  const [part] = recordsOf(document, 'buildingPart')
  const extent = extentOf(levels, operators, part, basis?.ground ?? 0)
  const wind = deriveWind(memo, document, levels, operators, extent, standard)
  const pressures = recordsOf(document, 'wallSurface').flatMap((surface) =>
    operators.has(surface.layout) ? surface.pressures : [],
  )
  const { actions, caseIds } = memo.get(casesStage, standard.family, {
    ...loadsOnPlan(document, operators, keys, pressures, standard),
    wind: wind !== null || pressures.some(({ nature }) => nature === 'wind'),
    barriers: recordsOf(document, 'barrier').some(({ layout }) => operators.has(layout)),
    lateral: recordsOf(document, 'storeyForces').map(({ id, name }) => ({ id, name })),
  })
  const floors = deriveFloors(memo, document, levels, solved, keys, caseIds, standard)
  const surfaces = deriveSurfaces(memo, document, floors, levels[0]?.level.elevation ?? 0)
  return { document, basis, part, standard, levels, floors, surfaces, keys, actions, caseIds, wind, extent }
}

const layoutsInUse = (levels: readonly Floor[]): readonly string[] =>
  [...new Set(levels.flatMap(({ layoutId }) => layoutId ?? []))].sort()

/** The groups of uses that stand on a level, in the order of the keys' ids, and whether a permanent load or pressure is typed there. */
function loadsOnPlan(
  document: Document,
  operators: ReadonlyMap<string, LayoutOperator>,
  keys: ReadonlyMap<string, KeyLoads>,
  pressures: readonly SurfacePressure[],
  standard: Standard,
): Omit<OnPlan, 'wind' | 'barriers' | 'lateral'> {
  const keysOf = keysInUse(document)
  const used = [...operators.keys()].flatMap((id) => keysOf(id).map(([, key]) => key))
  const ofKeys = [...new Set(used)].sort().flatMap((id): GroupOnPlan[] => {
    const loads = keys.get(id)
    return loads?.cases ? [{ group: loads.cases.group, partitions: loads.partitions !== null }] : []
  })
  const typed = [...typedLoadsOf(document).filter(({ layout }) => operators.has(layout)), ...pressures]
  const ofTyped = typed.flatMap(({ nature, use }): GroupOnPlan[] => {
    const cases = nature === 'imposed' ? casesOfUse(use, standard) : null
    return cases ? [{ group: cases.group, partitions: false }] : []
  })
  const onPlan = [...new Set(used)].flatMap((id) => keys.get(id) ?? [])
  return {
    groups: [...ofKeys, ...ofTyped],
    typed: typed.some(({ nature }) => nature === 'permanent'),
    construction: {
      permanent: onPlan.some(({ construction }) => construction.permanent !== null),
      imposed: onPlan.some(({ construction }) => construction.imposed !== null),
    },
  }
}
