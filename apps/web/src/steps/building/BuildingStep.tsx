import { useMemo } from 'react'
import { useAnswer } from '../../compute/SessionContext'
import { PlaceLine } from '../../drawing/placing/PlaceLine'
import { PlacingOverlay } from '../../drawing/placing/PlacingOverlay'
import { ToolBar } from '../../drawing/placing/ToolBar'
import { useCopyHandle } from '../../drawing/placing/useCopyHandle'
import { usePlacing } from '../../drawing/placing/usePlacing'
import { useUprightPlacing } from '../../drawing/placing/useUprightPlacing'
import { PlanPane } from '../../drawing/PlanPane'
import { ViewBar } from '../../drawing/ViewBar'
import { StepLayout } from '../../sheet/StepLayout'
import { BuildingSheet } from './BuildingSheet'
import { OpeningSentence } from './OpeningSentence'
import { HeldLine } from './HeldLine'
import { useGridDimensions } from './useGridDimensions'
import { useGridDrag } from './useGridDrag'

/** Grid, levels and layouts, members and panels. */
export function BuildingStep() {
  const overview = useAnswer({ kind: 'overview' })
  const onPlan = usePlacing()
  const upright = useUprightPlacing()
  const placing = upright ?? onPlan
  const dimensions = useGridDimensions()
  const grabGrid = useGridDrag()
  const copy = useCopyHandle()
  const options = useMemo(() => ({ area: false, member: false, names: true, spans: true }), [])
  if (!overview) return null
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
              'slope',
              'stiffElement',
            ]}
          />
        </ViewBar>
      }
      drawing={
        <PlanPane
          options={options}
          more={dimensions}
          onKey={placing.onKey}
          drawing={{
            overlay: (view) => (
              <>
                <PlacingOverlay view={view} />
                <HeldLine view={view} />
                {copy.overlay(view)}
              </>
            ),
            onGrab: (at, view, box) => copy.onGrab(at, view) ?? grabGrid(at, view, box),
            onPlace: onPlan.onPlace,
            onHover: onPlan.onHover,
          }}
          {...(upright
            ? {
                upright: {
                  overlay: (view) => <PlacingOverlay view={view} />,
                  onPlace: upright.onPlace,
                  onHover: upright.onHover,
                },
              }
            : {})}
          foot={<PlaceLine placing={placing} />}
        />
      }
      sheet={<BuildingSheet />}
    />
  )
}
