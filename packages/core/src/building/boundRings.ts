import type { Ring } from '../geometry/polygon'
import { closedBy, type Line } from './rings'

/** A straight piece of a member, by the member's id. */
export interface MemberLine extends Line {
  readonly id: string
}

/** A ring that members close between them, and which these are. */
export interface BoundRing {
  readonly ring: Ring
  /** The ids of the members along its sides, sorted: what it is known by when they move. */
  readonly key: string
}

/** The rings that members close between them (`closedBy`), each with the members that bound it. */
export const boundRings = (lines: readonly MemberLine[]): readonly BoundRing[] =>
  closedBy(lines).map(({ ring, bounding }) => ({
    ring,
    key: [...new Set(bounding.flatMap((i) => lines[i]?.id ?? []))].sort().join(' '),
  }))
