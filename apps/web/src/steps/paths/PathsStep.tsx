import { StepLayout } from '../../sheet/StepLayout'
import { PlanPane } from '../../drawing/PlanPane'
import { ViewBar } from '../../drawing/ViewBar'
import { useLook } from '../../state/look'
import { ToggleWord } from '../../ui/Segmented'
import { PathsSheet } from './PathsSheet'
import { useCatchment } from './useCatchment'

/** Load paths: what lands on members, where it goes, and what a column gathers. */
export function PathsStep() {
  const [look, change] = useLook()
  const { more, lit } = useCatchment()
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
          more={more}
        />
      }
      sheet={<PathsSheet />}
    />
  )
}
