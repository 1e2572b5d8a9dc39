import type { CandidateView, NumberFormat, Point } from '@hedrion/core'
import type { Parts } from '../state/look'
import type { Mark, Scene } from './scene'

export interface PlanOptions {
  readonly format: NumberFormat
  readonly mark: Mark
  /** Area load, member load, or neither. */
  readonly area: boolean
  readonly member: boolean
  /** Span arrows, member and section names. */
  readonly names: boolean
  readonly spans: boolean
  /** Lines that part what goes to one member from what goes to another. */
  readonly dividing?: readonly (readonly Point[])[]
  /** Members at the panel that is picked. */
  readonly candidates?: readonly CandidateView[]
  /** Loads of patches alone, or of the default alone. */
  readonly parts?: Parts
  /** Panels on a ground that stands out. */
  readonly lit?: ReadonlySet<string> | undefined
}

/** A part of a scene; what it does not have is nothing. */
export const part = (scene: Partial<Scene>): Pick<Scene, 'shapes' | 'labels' | 'targets'> => ({
  shapes: scene.shapes ?? [],
  labels: scene.labels ?? [],
  targets: scene.targets ?? [],
})

/** A ring as a path that comes back to its beginning: picked by its border. */
export const closedPath = (ring: readonly Point[]): readonly Point[] => [...ring, ...ring.slice(0, 1)]
