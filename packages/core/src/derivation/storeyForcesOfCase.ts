import type { StoreyForce } from '../actions/wind/windLoads'
import type { Point } from '../geometry/point'
import type { Traced } from '../trace/traced'

/** The storey forces of one case, bottom first, each with how it came about. */
export interface StoreyForcesOfCase {
  readonly caseId: string
  /** Unit vector along the push. */
  readonly way: Point
  readonly storeys: readonly { readonly force: StoreyForce; readonly trace: Traced<'force'> }[]
  /** Along the push, N. */
  readonly total: number
  /** What of it reaches no level, N along the push: pressure on wall surfaces that nothing carries. */
  readonly lost: number
}
