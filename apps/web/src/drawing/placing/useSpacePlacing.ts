import type { Point } from '@hedrion/core'
import { useLook } from '../../state/look'
import { levelPlane, type Sight } from '../sight'
import { useLevel } from '../useLevel'
import type { AtPixels, SpacePlacing } from './spacePlacing'
import { useJointPlacing } from './useJointPlacing'
import type { Placing } from './usePlacing'

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
