import { hasStoreyForces, type FloorView } from '@hedrion/core'
import { useMemo } from 'react'
import { useAnswer, useFormat } from '../../compute/SessionContext'
import { sharesOnPlan } from '../../drawing/lateralOnPlan'
import type { Scene } from '../../drawing/scene'

/** Draws what a storey has to hold and who holds it; null for a case without storey forces. */
export function useSharesOnPlan(caseId: string): ((scene: Scene, floor: FloorView) => Scene) | null {
  const view = useAnswer({ kind: 'lateral', caseId })
  const format = useFormat()
  return useMemo(
    () =>
      hasStoreyForces(caseId)
        ? (scene: Scene, { levelId }: FloorView) => sharesOnPlan(scene, view, levelId, format)
        : null,
    [view, format, caseId],
  )
}
