import { useAnswer } from '../../compute/SessionContext'
import { StepLayout } from '../../sheet/StepLayout'
import { useLook } from '../../state/look'
import { Segmented } from '../../ui/Segmented'
import { CaseRows } from './CaseRows'
import { CombinationsSheet } from './CombinationsSheet'

/** Which cases act together, by which rules, and how many combinations that makes. */
export function CombinationsStep() {
  const overview = useAnswer({ kind: 'overview' })
  const [look, change] = useLook()
  if (!overview) return null
  const { cases } = overview.figures
  return (
    <StepLayout
      name="Combinations"
      bar={
        <>
          <span>
            <strong>{cases} cases</strong> in {overview.actions.length} actions
          </span>
          <Segmented
            label="Sheet"
            value={look.sheet === 'narrow' ? 'narrow' : 'table'}
            options={[
              ['narrow', 'rules'],
              ['table', 'open as table'],
            ]}
            onChange={(sheet) => change({ sheet })}
          />
        </>
      }
      drawing={<CaseRows overview={overview} />}
      sheet={<CombinationsSheet overview={overview} />}
    />
  )
}
