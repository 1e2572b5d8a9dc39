import type { Point } from '@hedrion/core'
import { Raycaster, Vector2, Vector3, Vector4, type PerspectiveCamera } from 'three'
import type { Sight } from '../sight'

/** The sight of a camera in a picture of so many pixels, as it is now: the camera may move on. */
export function sightOf(camera: PerspectiveCamera, width: number, height: number): Sight {
  const eye = camera.clone()
  eye.updateMatrixWorld()
  const toClip = eye.projectionMatrix.clone().multiply(eye.matrixWorldInverse)
  const ray = new Raycaster()
  const right = new Vector3().setFromMatrixColumn(eye.matrixWorld, 0)
  return {
    seen: ([x, y, z]) => {
      const clip = new Vector4(x, y, z, 1).applyMatrix4(toClip)
      return clip.w <= 0 ? null : [(clip.x / clip.w + 1) * (width / 2), (1 - clip.y / clip.w) * (height / 2)]
    },
    away: (at) => eye.position.distanceTo(new Vector3(...at)),
    atElevation: ([x, y], z) => {
      ray.setFromCamera(new Vector2((x / width) * 2 - 1, 1 - (y / height) * 2), eye)
      const { origin, direction } = ray.ray
      const along = (z - origin.z) / direction.z
      return Number.isFinite(along) && along > 0
        ? [origin.x + along * direction.x, origin.y + along * direction.y]
        : null
    },
    // what is up on the screen runs away from the viewer on a floor: a quarter turn from what is to the right
    onPlan: ([dx, dy]) => nearestAxis([dx * right.x - dy * right.y, dx * right.y + dy * right.x]),
  }
}

const nearestAxis = ([x, y]: Point): Point => (Math.abs(x) >= Math.abs(y) ? [Math.sign(x), 0] : [0, Math.sign(y)])
