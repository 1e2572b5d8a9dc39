import { distance, meanOf, type FloorView, type Point, type StiffView } from '@hedrion/core'
import type { PlanOptions } from './planOptions'
import type { Label, Scene, Shape, Target } from './scene'

export const stiffNames: Readonly<Record<StiffView['sort'], string>> = {
  wall: 'wall',
  bracing: 'braced bay',
  given: 'entered stiffness',
}

/** What holds the floor: a wall as a full line, a braced bay as a zigzag, entered stiffness as a line of dashes; with their names where names are shown. */
export function stiffPart(
  { stiff }: Pick<FloorView, 'stiff'>,
  { names }: Pick<PlanOptions, 'names'>,
): Pick<Scene, 'shapes' | 'labels' | 'targets'> {
  return {
    shapes: stiff.map(({ sort, a, b }): Shape => {
      if (sort === 'bracing') return { kind: 'line', points: zigzag(a, b), stroke: { tone: 'ink', width: 1.6 } }
      return {
        kind: 'line',
        points: [a, b],
        stroke: { tone: 'ink', width: 7, ...(sort === 'given' ? { dash: [4, 3] } : {}) },
      }
    }),
    labels: (names ? stiff : []).map(({ label, expandedId, a, b }): Label => ({
      text: label,
      of: expandedId,
      at: meanOf([a, b]),
      priority: 34,
      dx: 14,
      dy: 12,
    })),
    targets: stiff.map(({ expandedId, label, sort, a, b }): Target => ({
      id: expandedId,
      kind: 'stiff',
      shape: { kind: 'path', points: [a, b] },
      text: `Lateral element ${label}, ${stiffNames[sort]}`,
    })),
  }
}

/** Half a metre to each tooth, a fifth of a metre to each side. */
function zigzag(a: Point, b: Point): readonly Point[] {
  const length = distance(a, b) || 1
  const [ux, uy] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length]
  const teeth = Math.min(80, Math.max(2, 2 * Math.round(length)))
  const between = Array.from({ length: teeth }, (_, i): Point => {
    const [s, off] = [((i + 0.5) / teeth) * length, i % 2 === 0 ? 0.2 : -0.2]
    return [a[0] + s * ux - off * uy, a[1] + s * uy + off * ux]
  })
  return [a, ...between, b]
}
