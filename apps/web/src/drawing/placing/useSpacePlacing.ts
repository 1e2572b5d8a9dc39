import type { Point, Point3 } from '@hedrion/core'
import type { KeyboardEvent } from 'react'
import { useLook } from '../../state/look'
import { levelPlane, type Sight } from '../sight'
import { useLevel } from '../useLevel'
import { useJointPlacing } from './useJointPlacing'
import type { Placing } from './usePlacing'

type AtPixels = (pixels: Point, sight: Sight) => void

/** Drawing in space, by what the pointer and the keys mean in the picture as it is seen. */
export interface SpacePlacing {
  readonly placing: Placing
  readonly onPlace: AtPixels | undefined
  readonly onHover: AtPixels | undefined
  readonly onKey: (event: KeyboardEvent, sight: Sight) => boolean
  /** Where a point of the drawing under way is seen. */
  readonly place: (at: Point3, sight: Sight) => Point | null
  /** Elevation of the level that is drawn on, m; null while nothing is drawn. */
  readonly plane: number | null
}

/** In space members in space are drawn from joint to joint, everything else on the level in view as on its plan; null in other views. */
export function useSpacePlacing(onPlan: Placing): SpacePlacing | null {
  const [look] = useLook()
  const { level } = useLevel()
  const joints = useJointPlacing(level?.elevation ?? 0)
  if (look.view !== 'space') return null
  if (joints) return joints
  const { tool, onPlace, onHover, onKey } = onPlan
  const z = level?.elevation ?? 0
  const onLevel =
    (take: (at: Point, sight: Sight) => void): AtPixels =>
    (pixels, sight) => {
      const at = sight.atElevation(pixels, z)
      if (at) take(at, sight)
    }
  return {
    placing: onPlan,
    onPlace: onPlace && onLevel(onPlace),
    onHover: onHover && onLevel((at, sight) => onHover(at, levelPlane(sight, z, at).pixelsPerMetre)),
    onKey: (event, sight) => onKey(event, sight.onPlan),
    place: ([x, y], sight) => sight.seen([x, y, z]),
    plane: tool ? z : null,
  }
}
