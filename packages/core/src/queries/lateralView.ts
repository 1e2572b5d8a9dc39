import { sidewaysForcesOf } from '../derivation/storeyForces'
import {
  hasStiffElements,
  shareStoreyForces,
  unheldOf,
  type ElementForce,
  type StoreyShear,
} from '../derivation/storeyShears'
import { levelMasses } from '../derivation/masses'
import type { ProjectState } from '../derivation/project'
import { armOf, momentAbout, nearestOnLine, type HorizontalForce, type Unheld } from '../actions/lateral/diaphragm'
import type { Point } from '../geometry/point'
import type { StiffElement } from '../document/recordKinds'

/** One stiff element of a storey, with what it takes of the case that is looked at. */
export interface ElementView {
  readonly id: string
  readonly expandedId: string
  readonly label: string
  readonly sort: StiffElement['sort']
  readonly a: Point
  readonly b: Point
  /** The way in which its force counts as positive. */
  readonly along: Point
  /** N/m; 0 where it has none. */
  readonly stiffness: number
  /** N along it; null where the case brings no storey forces, or the storey is not held. */
  readonly force: { readonly shear: number; readonly direct: number; readonly turning: number } | null
  /** Over its foot, N·m. */
  readonly moment: number
}

export interface StoreyView {
  readonly levelId: string
  readonly level: string
  readonly height: number
  readonly centreOfMass: Point | null
  readonly centreOfStiffness: Point | null
  /** What acts at the level, N, and where. */
  readonly force: HorizontalForce
  readonly point: Point | null
  /** What the storey under it holds, N; with the point of its line of action that is nearest to the centre of stiffness. */
  readonly shear: HorizontalForce
  readonly at: Point | null
  /** Of the storey's shear about the centre of stiffness, N·m; null without a centre. */
  readonly torsion: number | null
  readonly unheld: Unheld | null
  readonly elements: readonly ElementView[]
  /** What elements take less what the storey has to hold, over it. */
  readonly residual: number
}

export interface LateralView {
  /** Whether anything is said to hold the floors; else storey forces are handed on as they are. */
  readonly shared: boolean
  /** Unit vector along the push. */
  readonly way: Point
  readonly total: number
  readonly atFoot: number
  readonly intoGround: number
  readonly unheld: number
  /** Top first. */
  readonly storeys: readonly StoreyView[]
}

/** What acts on levels sideways in a case, down the building, and who holds it in every storey; null where nothing does. */
export function lateralView(state: ProjectState, caseId: string): LateralView | null {
  const forces = sidewaysForcesOf(state, caseId)
  if (!forces) return null
  const { storeys: shears, intoGround, atFoot, unheld } = shareStoreyForces(state, forces)
  const centres = new Map(levelMasses(state).map(({ levelId, centre }) => [levelId, centre]))
  return {
    shared: hasStiffElements(state),
    way: forces.way,
    total: forces.total,
    atFoot,
    intoGround,
    unheld,
    storeys: [...shears].reverse().map((shear) => storeyView(shear, centres.get(shear.storey.floor.level.id) ?? null)),
  }
}

function storeyView(
  { storey, force, point, shear, share, elements }: StoreyShear,
  centreOfMass: Point | null,
): StoreyView {
  const { floor, diaphragm } = storey
  const { centre } = diaphragm
  const size = Math.hypot(shear.fx, shear.fy)
  return {
    levelId: floor.level.id,
    level: floor.level.name,
    height: storey.height,
    centreOfMass,
    centreOfStiffness: centre,
    force,
    point,
    shear,
    at: size === 0 ? null : nearestOnLine(shear, centre ?? centreOfMass ?? [0, 0]),
    torsion: centre ? momentAbout(shear, centre) : null,
    unheld: unheldOf(share),
    elements: storey.elements.map(({ record, expandedId, a, b, along, stiffness }, i) => {
      const taken = size === 0 ? undefined : elements[i]
      return {
        id: record.id,
        expandedId,
        label: record.label,
        sort: record.sort,
        a,
        b,
        along,
        stiffness: stiffness?.value ?? 0,
        force: taken ? { shear: taken.shear, direct: taken.direct, turning: taken.turning } : null,
        moment: elements[i]?.moment ?? 0,
      }
    }),
    residual: size === 0 || !share.held ? 0 : leftOver(shear, elements) / size,
  }
}

/** Force and moment that elements take beside what is to be held; the moment over a lever of the plan's size. */
function leftOver(shear: HorizontalForce, elements: readonly ElementForce[]): number {
  let { fx, fy, moment } = shear
  let reach = 1
  for (const { element, shear: taken } of elements) {
    const { along, a } = element
    fx -= taken * along[0]
    fy -= taken * along[1]
    moment -= taken * armOf({ at: a, along }, [0, 0])
    reach = Math.max(reach, Math.hypot(...a))
  }
  return Math.max(Math.abs(fx), Math.abs(fy), Math.abs(moment) / reach)
}
