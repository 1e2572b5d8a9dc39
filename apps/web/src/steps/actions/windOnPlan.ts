import { formatQuantity, windDirectionOf, type NumberFormat, type WindResult } from '@hedrion/core'
import type { Scene } from '../../drawing/scene'

const length = 74

/** The storey force of the level in view, at its point and in its direction. */
export function windOnPlan(
  scene: Scene,
  results: readonly WindResult[],
  caseId: string,
  levelId: string,
  format: NumberFormat,
): Scene {
  const result = results.find(({ direction }) => direction.id === windDirectionOf(caseId))
  const force = result?.storeys.find((storey) => storey.force.levelId === levelId)?.force
  if (!result || !force) return scene
  const { x, y } = result.direction
  return {
    ...scene,
    shapes: [
      ...scene.shapes,
      { kind: 'arrow', at: [force.x, force.y], dx: x * length, dy: y * length, tone: 'wind', width: 4, tail: 'away' },
    ],
    labels: [
      ...scene.labels,
      {
        text: formatQuantity(Math.abs(force.fx) + Math.abs(force.fy), 'force', format),
        at: [force.x, force.y],
        dx: x === 0 ? 14 : -x * 40,
        dy: x === 0 ? y * 40 : -14,
        align: x === 0 ? 'left' : 'center',
        bold: true,
        priority: 99,
        must: true,
      },
    ],
  }
}
