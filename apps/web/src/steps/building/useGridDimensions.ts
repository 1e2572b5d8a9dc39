import { type FloorView } from '@hedrion/core'
import { useCallback } from 'react'
import { useFormat, useRecords } from '../../compute/SessionContext'
import { said } from '../../drawing/said'
import type { Label, Scene } from '../../drawing/scene'

/** Distances between neighbouring grid lines, along the lower and the right side. */
export function useGridDimensions(): (scene: Scene, floor: FloorView) => Scene {
  const format = useFormat()
  const grid = useRecords('gridLine')
  return useCallback(
    (scene) => {
      const between = (axis: 'x' | 'y'): readonly Label[] => {
        const lines = grid.filter((line) => line.axis === axis).sort((a, b) => a.at - b.at)
        return lines.slice(1).map(({ at }, i): Label => {
          const before = lines[i]?.at ?? at
          const middle = (before + at) / 2
          return {
            ...said(at - before, 'length', format),
            at: axis === 'x' ? [middle, scene.box.y0] : [scene.box.x1, middle],
            dx: axis === 'x' ? 0 : 30,
            dy: axis === 'x' ? 24 : 0,
            priority: 50,
            tone: 'quiet',
          }
        })
      }
      return { ...scene, labels: [...scene.labels, ...between('x'), ...between('y')] }
    },
    [format, grid],
  )
}
