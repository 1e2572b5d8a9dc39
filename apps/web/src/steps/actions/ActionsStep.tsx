import { useCallback, useMemo } from 'react'
import type { FloorView } from '@hedrion/core'
import { useAnswer, useFormat } from '../../compute/SessionContext'
import { forceOnPlan } from '../../drawing/lateralOnPlan'
import { Legend } from '../../drawing/Legend'
import { markOf } from '../../drawing/marks'
import { PlaceLine } from '../../drawing/placing/PlaceLine'
import { ToolBar } from '../../drawing/placing/ToolBar'
import { useDrawingIn } from '../../drawing/placing/useDrawingIn'
import { PlanPane } from '../../drawing/PlanPane'
import type { Scene } from '../../drawing/scene'
import { useCaseId } from '../../drawing/useCaseInView'
import { useLevel } from '../../drawing/useLevel'
import { ViewBar } from '../../drawing/ViewBar'
import { StepLayout } from '../../sheet/StepLayout'
import { useLook } from '../../state/look'
import { ActionsSheet } from './ActionsSheet'
import { patchTargets } from './patchTargets'

/** What stands on the floors, and what the wind does to the walls. */
export function ActionsStep() {
  const [look] = useLook()
  const { level } = useLevel()
  const caseId = useCaseId()
  const floor = useAnswer({ kind: 'floor', levelId: level?.id ?? '', caseId })
  const { placing, flat, space, onKey } = useDrawingIn()
  const options = useMemo(() => ({ area: true, member: false, names: false, spans: false }), [])
  const format = useFormat()
  const lateral = useAnswer({ kind: 'lateral', caseId })
  const more = useCallback(
    (scene: Scene, view: FloorView): Scene => forceOnPlan(patchTargets(scene, view), lateral, view.levelId, format),
    [lateral, format],
  )
  return (
    <StepLayout
      name="Actions"
      bar={
        <ViewBar patches>
          <ToolBar
            offered={['patch', 'wallRun', 'lineLoad', 'pointLoad']}
            more={['areaLoad', 'patchInRing', 'stair', 'barrier', 'wallSurface', 'reductionRegion']}
          />
        </ViewBar>
      }
      drawing={
        <PlanPane
          options={options}
          more={more}
          onKey={onKey}
          drawing={flat}
          inSpace={space}
          foot={
            placing.tool ? (
              <PlaceLine placing={placing} />
            ) : floor && look.view === 'plan' ? (
              <Legend floor={floor} mark={markOf(caseId)} />
            ) : undefined
          }
        />
      }
      sheet={<ActionsSheet />}
    />
  )
}
