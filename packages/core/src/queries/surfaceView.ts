import { caseOfPressure } from '../actions/surfacePressures'
import { expandedAt } from '../derivation/floorQueries'
import type { ProjectState } from '../derivation/project'
import {
  inwardOf,
  isInDerivedWind,
  levelNameOf,
  reachesOf,
  recordOfRest,
  restLoads,
  stretchesOn,
} from '../derivation/surfaceLoads'
import type { Rest } from '../derivation/surfaceRests'
import type { SurfaceStretch } from '../derivation/surfaces'
import { labelOf, splitExpanded } from '../document/labels'
import type { Point } from '../geometry/point'
import { regionArea, type Region, type Ring } from '../geometry/polygon'
import { loadTotal } from '../rundown/memberLines'

/** What rests in the plane of a stretch and takes pressure there. */
export interface RestView {
  readonly expandedId: string
  /** Of the member, or empty for the edge of a floor and for the ground. */
  readonly label: string
  readonly kind: Rest['on']['kind'] | 'ground'
  readonly levelName: string
  /** In the plane of the stretch. */
  readonly a: Point
  readonly b: Point
  /** What it takes in the case, N inwards. */
  readonly force: number
}

/** One stretch of a wall surface on its level in a case; heights from the level. */
export interface StretchView {
  readonly index: number
  readonly length: number
  /** Whether it runs from right to left where one stands outside of it. */
  readonly leftwards: boolean
  readonly outline: Ring
  readonly net: Region
  readonly area: number
  readonly top: number
  readonly foot: number
  /** N inwards: all of it, and what reaches each level that takes some. */
  readonly applied: number
  readonly levels: readonly { readonly levelId: string | null; readonly levelName: string; readonly force: number }[]
  readonly notCarried: number
  readonly rests: readonly RestView[]
}

export interface SurfaceView {
  readonly expandedId: string
  readonly label: string
  readonly levelName: string
  readonly stretches: readonly StretchView[]
  readonly area: number
  readonly applied: number
  readonly notCarried: number
  /** The cases in which anything presses on it, in the order of its pressures. */
  readonly cases: readonly string[]
  /** Whether the derived wind of the case holds all of it already. */
  readonly inDerivedWind: boolean
}

/** A wall surface on one level; null where there is none. */
export function surfaceView(state: ProjectState, expandedId: string, caseId: string): SurfaceView | null {
  const [id, levelId] = splitExpanded(expandedId)
  const own = stretchesOn(state, levelId, caseId).filter(({ stretch }) => stretch.surface.id === id)
  const first = own[0]?.stretch
  if (!first) return null
  const stretches = own.map(({ stretch, on }): StretchView => {
    const { atLevels, notCarried } = on ? reachesOf(on) : { atLevels: [], notCarried: 0 }
    const forces = new Map<number, number>()
    for (const { order, force } of atLevels) forces.set(order, (forces.get(order) ?? 0) + force)
    const taken = new Map((on ? restLoads(on) : []).map((load) => [load.rest.key, loadTotal(load)]))
    return {
      index: stretch.index,
      length: stretch.length,
      leftwards: runsLeftwards(stretch, inwardOf(state, stretch)),
      outline: stretch.shape.outline,
      net: stretch.shape.net,
      area: regionArea(stretch.shape.net),
      top: on?.top ?? 0,
      foot: on?.foot ?? 0,
      applied: on?.share.applied ?? 0,
      levels: [...forces]
        .sort(([p], [q]) => q - p)
        .map(([order, force]) => ({ levelId: levelOf(state, order), levelName: levelNameOf(state, order), force })),
      notCarried,
      rests: [...stretch.rests.values()].map((rest) => restView(state, stretch, rest, taken.get(rest.key) ?? 0)),
    }
  })
  const sum = (pick: (stretch: StretchView) => number) => stretches.reduce((total, one) => total + pick(one), 0)
  return {
    expandedId,
    label: first.surface.label,
    levelName: levelNameOf(state, first.order),
    stretches,
    area: sum(({ area }) => area),
    applied: sum(({ applied }) => applied),
    notCarried: sum(({ notCarried }) => notCarried),
    cases: casesOf(state, first),
    inDerivedWind: own.every(({ stretch }) => isInDerivedWind(state, caseId, stretch)),
  }
}

const casesOf = ({ standard }: ProjectState, { surface }: SurfaceStretch): readonly string[] => [
  ...new Set(
    surface.pressures.flatMap((pressure) =>
      pressure.top === 0 && pressure.foot === 0 ? [] : (caseOfPressure(pressure, standard) ?? []),
    ),
  ),
]

const runsLeftwards = ({ a, b }: SurfaceStretch, [x, y]: Point): boolean => (b[0] - a[0]) * y - (b[1] - a[1]) * x < 0

const levelOf = (state: ProjectState, order: number): string | null => state.floors[order]?.level.id ?? null

function restView(state: ProjectState, stretch: SurfaceStretch, rest: Rest, force: number): RestView {
  const { a, b, on } = rest
  const [recordId, order] = recordOfRest(state, stretch, rest)
  const floor = state.floors[order]
  return {
    expandedId: recordId !== null && floor ? expandedAt(floor, recordId) : '',
    label: recordId === null ? '' : labelOf(state.document, recordId),
    kind: on.kind === 'edge' && on.order < 0 ? 'ground' : on.kind,
    levelName: levelNameOf(state, order),
    a,
    b,
    force,
  }
}
