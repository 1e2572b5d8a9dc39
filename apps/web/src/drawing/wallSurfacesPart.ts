import { distance, along, meanOf, type FloorView, type Point, type SurfaceOnPlan } from '@hedrion/core'
import { pressureText, surfaceText } from './describe'
import { composed } from './said'
import type { Label, Mark, Scene, Shape, Target, Tone } from './scene'
import type { TypedOptions } from './typedLoadsPart'

/** How far outside the line of a surface its arrows begin, pixels. */
const arrow = 24

/** Wall surfaces as a double line; where the case presses on them arrows towards the face, or away from it. */
export function wallSurfacesPart(
  { wallSurfaces }: Pick<FloorView, 'wallSurfaces'>,
  { format, mark, area }: TypedOptions,
): Pick<Scene, 'shapes' | 'labels' | 'targets'> {
  const stretchesOf = (id: string) => wallSurfaces.filter(({ expandedId }) => expandedId === id)
  return {
    shapes: wallSurfaces.flatMap((stretch) => shapesOf(stretch, toneOf(mark))),
    labels: area
      ? wallSurfaces.filter(isPressed).map((stretch): Label => ({
          ...composed(pressureText(stretch, format)),
          of: stretch.expandedId,
          at: meanOf([stretch.a, stretch.b]),
          priority: 58,
          bold: true,
          ...besideArrows(stretch.inward),
        }))
      : [],
    targets: wallSurfaces.map((stretch): Target => ({
      id: stretch.expandedId,
      kind: 'wallSurface',
      shape: { kind: 'path', points: [stretch.a, stretch.b] },
      text: surfaceText(stretchesOf(stretch.expandedId), format),
    })),
  }
}

/** Before the arrows where these run north or south; inside where they run east or west, since numbers are wide. */
const besideArrows = ([x, y]: Point): Pick<Label, 'dx' | 'dy' | 'align'> =>
  Math.abs(y) >= Math.abs(x) ? { dy: 40 * y } : { dx: 14 * x, align: x > 0 ? 'left' : 'right' }

const isPressed = ({ top, foot }: SurfaceOnPlan): boolean => top !== 0 || foot !== 0

const toneOf = (mark: Mark): Tone => (mark === 'imposed' || mark === 'wind' ? mark : 'permanent')

function shapesOf(stretch: SurfaceOnPlan, tone: Tone): readonly Shape[] {
  const { a, b, inward, top, foot, notCarried } = stretch
  const pressed = isPressed(stretch)
  const colour: Tone = Math.abs(notCarried) >= 1 ? 'warm' : pressed ? tone : 'quiet'
  const line: Shape = {
    kind: 'line',
    points: [a, b],
    stroke: { tone: colour, width: pressed ? 3 : 1.6, dash: [10, 3, 2, 3] },
  }
  if (!pressed) return [line]
  const count = Math.min(16, Math.max(2, Math.round(distance(a, b) / 1.5)))
  // what presses comes from outside, what pulls leaves outwards
  const pulls = top + foot < 0
  const [dx, dy]: Point = pulls ? [-arrow * inward[0], -arrow * inward[1]] : [arrow * inward[0], arrow * inward[1]]
  const arrows = Array.from({ length: count }, (_, i): Shape => ({
    kind: 'arrow',
    at: along(a, b, (distance(a, b) * (i + 0.5)) / count),
    dx,
    dy,
    tone: colour,
    width: 1.5,
    tail: pulls ? 'at' : 'away',
  }))
  return [line, ...arrows]
}
