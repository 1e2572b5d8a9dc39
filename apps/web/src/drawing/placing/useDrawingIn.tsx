import type { Point } from '@hedrion/core'
import type { KeyboardEvent, ReactNode } from 'react'
import { useLook } from '../../state/look'
import type { DrawingProps } from '../Drawing'
import { levelPlane, type Sight } from '../sight'
import type { Grab } from '../usePointer'
import { elevationPlane, planPlane, toScreen } from '../viewport'
import { PlacingOverlay } from './PlacingOverlay'
import { takeTool } from './toolStore'
import { useCopyHandle } from './useCopyHandle'
import { usePlacing, type Placing } from './usePlacing'
import type { SpacePlacing } from './spacePlacing'
import { useSpacePlacing } from './useSpacePlacing'
import { useUprightPlacing } from './useUprightPlacing'
import { pressed } from '../../state/shortcuts'

/** How one draws and copies in the picture of the building in space. */
export interface SpaceDrawing extends Omit<SpacePlacing, 'placing' | 'place'> {
  readonly overlay: (sight: Sight) => ReactNode
  readonly onGrab: (pixels: Point, sight: Sight) => Grab | null
}

export interface DrawingIn {
  readonly placing: Placing
  readonly onKey: (event: KeyboardEvent) => boolean
  /** For the picture of the plan or elevation in view. */
  readonly flat: Required<Pick<DrawingProps, 'overlay' | 'onPlace' | 'onHover' | 'onGrab'>>
  /** For the picture in space; null in other views. */
  readonly space: SpaceDrawing | null
}

/** Drawing, typing of places, and copying by a handle, in whichever view is open. */
export function useDrawingIn(): DrawingIn {
  const [{ view: open }] = useLook()
  const onPlan = usePlacing()
  const upright = useUprightPlacing()
  const space = useSpacePlacing(onPlan)
  const copy = useCopyHandle()
  const placing = space?.placing ?? upright ?? onPlan
  const z = copy.level?.elevation ?? 0
  const planeOf = (view: Parameters<typeof planPlane>[0]) =>
    open === 'x' || open === 'y' ? elevationPlane(view, open, z, copy.deep) : planPlane(view)
  // a plan's places mean nothing in an elevation
  const flat = open === 'plan' ? onPlan : upright
  return {
    placing,
    onKey: (event) => {
      if (flat) return flat.onKey(event)
      const putsAway = placing.tool !== null && pressed(event, 'stopPlacing')
      if (putsAway) takeTool(null)
      return putsAway
    },
    flat: {
      overlay: (view) => (
        <>
          {flat && <PlacingOverlay place={([x, y]) => toScreen(view, [x, y])} />}
          {copy.overlay(planeOf(view))}
        </>
      ),
      onPlace: flat?.onPlace,
      onHover: flat?.onHover,
      onGrab: (at, view) => copy.onGrab(at, planeOf(view)),
    },
    space: space && {
      ...space,
      overlay: (sight) => (
        <>
          <PlacingOverlay place={(at) => space.place(at, sight)} />
          {copy.overlay(levelPlane(sight, z, copy.deep))}
        </>
      ),
      onGrab: (pixels, sight) => copy.onGrab(pixels, levelPlane(sight, z, copy.deep)),
    },
  }
}
