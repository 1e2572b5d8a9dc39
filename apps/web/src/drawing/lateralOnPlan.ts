import { inWordsOf, meanOf, type LateralView, type NumberFormat, type Point, type StoreyView } from '@hedrion/core'
import { said } from './said'
import type { Label, Scene, Shape } from './scene'

type Storey = Pick<StoreyView, 'force' | 'point' | 'shear' | 'at' | 'elements' | 'centreOfMass' | 'centreOfStiffness'>

const length = 74
const short = 34

const storeyOf = (view: LateralView | null | undefined, levelId: string): StoreyView | undefined =>
  view?.storeys.find((storey) => storey.levelId === levelId)

/** The storey force of the level in view, at its point and in its direction. */
export function forceOnPlan(
  scene: Scene,
  view: LateralView | null | undefined,
  levelId: string,
  format: NumberFormat,
): Scene {
  const { force, point } = storeyOf(view, levelId) ?? {}
  return force && point ? withArrow(scene, point, [force.fx, force.fy], '', format) : scene
}

/** What the storey under the level in view has to hold, its centres, and what each stiff element takes of it. */
export function sharesOnPlan(
  scene: Scene,
  view: LateralView | null | undefined,
  levelId: string,
  format: NumberFormat,
): Scene {
  const storey = storeyOf(view, levelId)
  if (!storey?.at) return scene
  const { shapes, labels } = sharesOf(storey, format)
  const pushed = withArrow(scene, storey.at, [storey.shear.fx, storey.shear.fy], 'shear ', format)
  return { ...pushed, shapes: [...pushed.shapes, ...shapes], labels: [...pushed.labels, ...labels] }
}

function withArrow(scene: Scene, at: Point, [fx, fy]: Point, name: string, format: NumberFormat): Scene {
  const size = Math.hypot(fx, fy)
  if (size < 1) return scene
  const [x, y] = [fx / size, fy / size]
  const steep = Math.abs(y) > Math.abs(x)
  return {
    ...scene,
    shapes: [
      ...scene.shapes,
      { kind: 'arrow', at, dx: x * length, dy: y * length, tone: 'wind', width: 4, tail: 'away' },
    ],
    labels: [
      ...scene.labels,
      {
        ...said(size, 'force', format, (number) => `${name}${number}`),
        at,
        dx: steep ? 14 : -x * 40,
        dy: steep ? y * 40 : -14,
        align: steep ? 'left' : 'center',
        bold: true,
        priority: 99,
        must: true,
      },
    ],
  }
}

/** Arrows along the elements, the way the floor pushes them; both centres by name. */
function sharesOf(
  storey: Storey,
  format: NumberFormat,
): { readonly shapes: readonly Shape[]; readonly labels: readonly Label[] } {
  const taken = storey.elements.flatMap(({ expandedId, label, a, b, along, force }) => {
    if (!force || Math.abs(force.shear) < 1) return []
    const sign = Math.sign(force.shear)
    return [
      {
        expandedId,
        label,
        at: meanOf([a, b]),
        way: [sign * along[0], sign * along[1]] as const,
        size: Math.abs(force.shear),
      },
    ]
  })
  const { centreOfMass: mass, centreOfStiffness: stiffness } = storey
  const inWords = (text: string) => inWordsOf(format.words, text)
  return {
    shapes: [
      ...taken.map(({ at, way: [x, y] }): Shape => ({
        kind: 'arrow',
        at,
        dx: short * x,
        dy: short * y,
        tone: 'wind',
        width: 2.4,
        tail: 'at',
      })),
      ...(mass ? [{ kind: 'dot', at: mass, size: 9, tone: 'quiet', round: true, clear: true } as const] : []),
      ...(stiffness ? [{ kind: 'dot', at: stiffness, size: 9, tone: 'ink', clear: true } as const] : []),
    ],
    labels: [
      ...taken.map(({ expandedId, label, at, way: [x, y], size }): Label => ({
        ...said(size, 'force', format, (number) => `${label} ${number}`),
        of: expandedId,
        at,
        ...(Math.abs(y) > Math.abs(x) ? { dx: -10, dy: -y * 20, align: 'right' } : { dx: x * 20, dy: -14 }),
        bold: true,
        priority: 92,
      })),
      ...(mass ? [centreLabel(inWords('centre of mass'), mass, -1)] : []),
      ...(stiffness ? [centreLabel(inWords('centre of stiffness'), stiffness, 1)] : []),
    ],
  }
}

const centreLabel = (text: string, at: Point, side: 1 | -1): Label => ({
  text,
  at,
  dx: 10,
  dy: 14 * side,
  align: 'left',
  tone: 'quiet',
  priority: 70,
})
