import type { Point } from '@hedrion/core'
import { useMemo } from 'react'
import type { Scene } from '../../drawing/scene'
import { StepLayout } from '../../sheet/StepLayout'
import { PlanPane } from '../../drawing/PlanPane'
import { useCaseId } from '../../drawing/useCaseInView'
import { useLevel } from '../../drawing/useLevel'
import { ViewBar } from '../../drawing/ViewBar'
import { useLook } from '../../state/look'
import { ToggleWord } from '../../ui/Segmented'
import { PathsSheet } from './PathsSheet'
import { useSharesOnPlan } from './useSharesOnPlan'
import { useCatchment } from './useCatchment'
import { useStrip } from './useStrip'

/** Load paths: what lands on members, where it goes, and what a column gathers. */
export function PathsStep() {
  const [look, change] = useLook()
  const { more, lit, litInSpace } = useCatchment()
  const { strip, levelId } = useStrip()
  const { level } = useLevel()
  const caseId = useCaseId()
  const lateral = useSharesOnPlan(caseId)
  const here = strip && level?.id === levelId ? strip : null
  const added = useMemo(() => {
    if (here) return (scene: Scene) => stripOnPlan(scene, here.ends)
    return lateral ?? more
  }, [here, lateral, more])
  return (
    <StepLayout
      name="Load paths"
      bar={
        <ViewBar loads>
          {look.view === 'plan' && (
            <ToggleWord isSelected={look.dividing} onChange={(dividing) => change({ dividing })}>
              dividing lines
            </ToggleWord>
          )}
        </ViewBar>
      }
      drawing={
        <PlanPane
          options={{
            area: look.shown !== 'member',
            member: look.shown !== 'area',
            names: false,
            spans: look.shown !== 'member',
            lit,
          }}
          divided={look.dividing}
          supports
          parted={look.shown === 'split'}
          litInSpace={litInSpace}
          more={added}
        />
      }
      sheet={<PathsSheet />}
    />
  )
}

/** The strip that is looked at, across its panel. */
const stripOnPlan = (scene: Scene, ends: readonly [Point, Point]): Scene => ({
  ...scene,
  shapes: [...scene.shapes, { kind: 'line', points: ends, stroke: { tone: 'accent', width: 2, dash: [2, 3] } }],
})
