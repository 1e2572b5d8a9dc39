import { pushAll } from '../outcome/lists'
import type { DiaphragmShare, HorizontalForce, Unheld } from '../actions/lateral/diaphragm'
import type { StoreyForce } from '../actions/wind/windLoads'
import { recordsOf } from '../document/document'
import type { Point } from '../geometry/point'
import { overlapOn } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'
import type { ProjectState } from './project'
import type { StoreyForcesOfCase } from './storeyForcesOfCase'
import { storeysOf, type Storey, type StoreyElement } from './storeys'

export interface ElementForce {
  readonly element: StoreyElement
  /** Along the element, N: of the force moved to the centre of stiffness, and of its turning about it. */
  readonly direct: number
  readonly turning: number
  /** Both together. */
  readonly shear: number
  /** Over its foot, N·m: shear times height, storey by storey, as far as elements stand on elements. */
  readonly moment: number
}

/** One storey under one case. */
export interface StoreyShear {
  readonly storey: Storey
  /** What acts at the level, N and N·m about the origin; all zero where nothing does. */
  readonly force: HorizontalForce
  /** Where that acts; null where nothing does. */
  readonly point: Point | null
  /** What the storey has to hold: the forces of all levels above too, but for what an upper storey could not hold. */
  readonly shear: HorizontalForce
  readonly share: DiaphragmShare
  readonly elements: readonly ElementForce[]
}

export interface StoreyShears {
  /** Bottom first. */
  readonly storeys: readonly StoreyShear[]
  /** Forces at or below the lowest storey's foot, N along the push: they go straight into the ground. */
  readonly intoGround: number
  /** Along the push, N: what storeys over the base hand to the ground, and what storeys cannot hold. */
  readonly atFoot: number
  readonly unheld: number
}

/** Whether the project says what holds its floors; else storey forces are handed on as they are. */
export const hasStiffElements = ({ document }: Pick<ProjectState, 'document'>): boolean =>
  recordsOf(document, 'stiffElement').length > 0

const none: HorizontalForce = { fx: 0, fy: 0, moment: 0 }

const sumOf = (a: HorizontalForce, b: HorizontalForce): HorizontalForce => ({
  fx: a.fx + b.fx,
  fy: a.fy + b.fy,
  moment: a.moment + b.moment,
})

/** Storey forces taken down from the top, every storey's sum shared by stiffness among what holds it. */
export function shareStoreyForces(state: ProjectState, { storeys: forces, way }: StoreyForcesOfCase): StoreyShears {
  const storeys = storeysOf(state)
  const ground = state.basis?.ground ?? 0
  const left = [...forces].sort((p, q) => q.force.z - p.force.z).map(({ force }) => force)
  const alongPush = ({ fx, fy }: Pick<HorizontalForce, 'fx' | 'fy'>) => fx * way[0] + fy * way[1]
  const shears: StoreyShear[] = []
  let unheld = 0
  for (const [index, storey] of [...storeys.entries()].reverse()) {
    const { level } = storey.floor
    const here: StoreyForce[] = []
    while (left[0] && left[0].z + ground >= level.elevation - onLine) pushAll(here, left.splice(0, 1))
    const force = here
      .map(({ fx, fy, x, y }): HorizontalForce => ({ fx, fy, moment: x * fy - y * fx }))
      .reduce(sumOf, none)
    const over = storey.above.flatMap((i) => shears[i] ?? [])
    const shear = over.map(({ share, shear: upper }) => (share.held ? upper : none)).reduce(sumOf, force)
    const share = storey.diaphragm.share(shear)
    const upper = over.flatMap((entry) => entry.elements)
    if (!share.held) unheld += alongPush(shear)
    const point: Point | null = here[0] ? [here[0].x, here[0].y] : null
    shears[index] = {
      storey,
      force,
      point,
      shear,
      share,
      elements: share.held ? elementForces(storey, share, upper) : [],
    }
  }
  const taken = new Set(storeys.flatMap(({ above }) => above))
  const atFoot = shears
    .filter(({ share }, i) => share.held && !taken.has(i))
    .reduce((sum, { shear }) => sum + alongPush(shear), 0)
  const intoGround = left.reduce((sum, force) => sum + alongPush(force), 0)
  return { storeys: shears, intoGround, atFoot, unheld }
}

function elementForces(
  { height, elements }: Storey,
  { direct, turning }: Extract<DiaphragmShare, { held: true }>,
  above: readonly ElementForce[],
): readonly ElementForce[] {
  // the moment of an element over two goes to both by what each takes of its length
  const taken = above.map((upper) => elements.reduce((sum, lower) => sum + overlap(upper.element, lower), 0))
  return elements.map((element, i): ElementForce => {
    const [d, t] = [direct[i] ?? 0, turning[i] ?? 0]
    const over = above.reduce((sum, upper, n) => {
      const on = overlap(upper.element, element)
      return on === 0 ? sum : sum + (upper.moment * on) / (taken[n] ?? on)
    }, 0)
    return { element, direct: d, turning: t, shear: d + t, moment: over + (d + t) * height }
  })
}

/** The length over which an upper element stands on a lower one, m: on the same line. */
export function overlap(upper: StoreyElement, lower: StoreyElement): number {
  const common = overlapOn(lower.a, lower.b, upper.a, upper.b, onLine)
  return common ? common.to - common.from : 0
}

export const unheldOf = (share: DiaphragmShare): Unheld | null => (share.held ? null : share.why)
