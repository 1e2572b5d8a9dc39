import {
  expanded,
  formatQuantity,
  leastPoints,
  tools,
  type Made,
  type Point,
  type Point3,
  type Tool,
} from '@hedrion/core'
import { useFormat } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { useLook } from '../../state/look'
import { setPoints, setProblem, startOver, useTool, withHeight } from './toolStore'

export type Shape = (typeof tools)[Tool]['shape']

/** Points nearer to one another than this are one, m. */
const same = 1e-6

export const apart = (p: Point3, q: Point3): number => Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2])

export const lengthOf = (points: readonly Point3[]): number =>
  points.reduce((sum, point, i) => sum + apart(points[i - 1] ?? point, point), 0)

/** Adds points to the drawing under way; ends it when its shape has all that it needs, or is back where it began. */
export function addPoints(
  added: readonly (Point | Point3)[],
  shape: Shape,
  end: (points: readonly Point3[], closed: boolean) => void,
): void {
  const { points } = useTool.getState()
  const open = shape === 'ring' || shape === 'path'
  const [first] = points
  const [point] = added.map(withHeight)
  const isBack = first && point && points.length >= leastPoints[shape] && apart(first, point) < same
  if (open && isBack) return end(points, true)
  const next = [...points, ...added.map(withHeight)].filter((p, i, all) => i === 0 || apart(p, all[i - 1] ?? p) > same)
  setPoints(next)
  if (!open && next.length >= leastPoints[shape]) end(next.slice(0, leastPoints[shape]), false)
}

/** Takes what was made of a drawing into the project and picks it, or says why not. */
export function useTakeMade() {
  const edit = useEdit()
  const format = useFormat()
  const [, change] = useLook()
  return (tool: Tool, made: Made, levelId: string | undefined, points: readonly Point3[]): void => {
    if (!made.ok) return setProblem(made.problem)
    const { record } = made
    const size = points.length === 2 ? `, ${formatQuantity(lengthOf(points), 'length', format)}` : ''
    const refused = edit.add(`New ${tools[tool].name} ${record.label}${size}`, [record])
    if (refused) return setProblem(refused)
    startOver()
    if (levelId) change({ picked: [expanded(record.id, levelId)] })
  }
}
