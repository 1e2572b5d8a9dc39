import { useMemo } from 'react'
import { useAnswer } from '../../compute/SessionContext'
import { PlaceLine } from '../../drawing/placing/PlaceLine'
import { ToolBar } from '../../drawing/placing/ToolBar'
import { useDrawingIn } from '../../drawing/placing/useDrawingIn'
import { PlanPane } from '../../drawing/PlanPane'
import { ViewBar } from '../../drawing/ViewBar'
import { StepLayout } from '../../sheet/StepLayout'
import { useLook } from '../../state/look'
import { BuildingSheet } from './BuildingSheet'
import { OpeningSentence } from './OpeningSentence'
import { HeldLine } from './HeldLine'
import { useGridDimensions } from './useGridDimensions'
import { useGridDrag } from './useGridDrag'

/** Grid, levels and layouts, members and panels. */
export function BuildingStep() {
  const overview = useAnswer({ kind: 'overview' })
  const [look] = useLook()
  const { placing, flat, space, onKey } = useDrawingIn()
  const dimensions = useGridDimensions()
  const grabGrid = useGridDrag()
  const options = useMemo(() => ({ area: false, member: false, names: true, spans: true }), [])
  if (!overview) return null
  const onPlan: typeof flat = {
    ...flat,
    overlay: (view) => (
      <>
        {flat.overlay(view)}
        <HeldLine view={view} />
      </>
    ),
    onGrab: (at, view, box) => flat.onGrab(at, view, box) ?? grabGrid(at, view, box),
  }
  if (overview.levels.length === 0) return <OpeningSentence />
  return (
    <StepLayout
      name="Building"
      bar={
        <ViewBar>
          <ToolBar
            offered={['beam', 'girder', 'column', 'panel', 'opening']}
            more={[
              'wall',
              'hanger',
              'rakingColumn',
              'panelInRing',
              'bentBeam',
              'joist',
              'rafter',
              'purlin',
              'truss',
              'strut',
              'girt',
              'post',
              'tie',
              'chord',
              'trussMember',
              'slope',
              'stiffElement',
            ]}
          />
        </ViewBar>
      }
      drawing={
        <PlanPane
          options={options}
          supports
          more={dimensions}
          onKey={onKey}
          drawing={look.view === 'plan' ? onPlan : flat}
          inSpace={space}
          foot={<PlaceLine placing={placing} />}
        />
      }
      sheet={<BuildingSheet />}
    />
  )
}
