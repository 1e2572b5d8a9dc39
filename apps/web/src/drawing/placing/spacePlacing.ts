import type { Point, Point3 } from '@hedrion/core'
import type { KeyboardEvent } from 'react'
import type { Sight } from '../sight'
import type { Placing } from './usePlacing'

export type AtPixels = (pixels: Point, sight: Sight) => void

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
