import type { Point } from '../geometry/point'

/** A stretch of line load on a member, linear from q0 at s0 to q1 at s1; force per true length per unit load. */
export interface ShareLine {
  readonly member: string
  readonly s0: number
  readonly s1: number
  readonly q0: number
  readonly q1: number
}

export interface SharePoint {
  readonly member: string
  readonly s: number
  readonly force: number
}

export interface ColumnPoint {
  readonly member: string
  readonly at: Point
  readonly force: number
}

/** What one unit of a load hands to members. Solved once per geometry; every case scales it. */
export type PlateLack = 'slab' | 'hold' | 'settled'

export interface Share {
  readonly lines: readonly ShareLine[]
  readonly points: readonly SharePoint[]
  /** What goes to the top of a column without a beam. */
  readonly onColumns: readonly ColumnPoint[]
  /** All that was applied per unit load: area of a region, length of a line. */
  readonly applied: number
  readonly appliedMoments: Point
  /** The part that met no support. */
  readonly notCarried: number
  /** Torque left where a strip had one support only (sum of magnitudes). */
  readonly torque: number
  /**
   * What turns members about their axes where a strip has one support only: moments per true length, linear from q0 at s0 to q1 at s1.
   * Positive where the side at the left goes down, looking from the start of the member to its end.
   */
  readonly turns: readonly ShareLine[]
  /** The same of a load along the strip: a moment at a place (`force`). */
  readonly turnPoints: readonly SharePoint[]
  /** Pairs of members that were nearer than 50 mm along a strip and counted as one support. */
  readonly merged: readonly (readonly [string, string])[]
  /** Of a panel solved as a plate: the size of its triangles, m, and the greatest change of a member's force at half of it. */
  readonly reached?: { readonly size: number; readonly change: number }
  /** Of a panel shared by stiffness that nothing is taken of: it has no slab, nothing holds it, or forces do not settle. */
  readonly lacks?: PlateLack
}

export const emptyShare: Share = {
  lines: [],
  points: [],
  onColumns: [],
  applied: 0,
  appliedMoments: [0, 0],
  notCarried: 0,
  torque: 0,
  turns: [],
  turnPoints: [],
  merged: [],
}

/** Shares by parts as one, for what was applied as the given share says. */
export function sumOfShares(whole: Share, parts: readonly (readonly [share: Share, part: number])[]): Share {
  const sum = (pick: (share: Share) => number) => parts.reduce((total, [share, part]) => total + pick(share) * part, 0)
  return {
    ...whole,
    lines: parts.flatMap(([{ lines }, part]) =>
      lines.map((line) => ({ ...line, q0: line.q0 * part, q1: line.q1 * part })),
    ),
    points: parts.flatMap(([{ points }, part]) => points.map((point) => ({ ...point, force: point.force * part }))),
    onColumns: parts.flatMap(([{ onColumns }, part]) =>
      onColumns.map((point) => ({ ...point, force: point.force * part })),
    ),
    notCarried: sum(({ notCarried }) => notCarried),
    torque: sum(({ torque }) => torque),
    turns: parts.flatMap(([{ turns }, part]) =>
      turns.map((line) => ({ ...line, q0: line.q0 * part, q1: line.q1 * part })),
    ),
    turnPoints: parts.flatMap(([{ turnPoints }, part]) =>
      turnPoints.map((point) => ({ ...point, force: point.force * part })),
    ),
    merged: parts.flatMap(([{ merged }]) => merged),
  }
}

/** Moment about the axis of each member, Nm per unit load. */
export function turnsByMember({ turns, turnPoints }: Pick<Share, 'turns' | 'turnPoints'>): ReadonlyMap<string, number> {
  const found = new Map<string, number>()
  const add = (member: string, moment: number) => found.set(member, (found.get(member) ?? 0) + moment)
  for (const { member, s0, s1, q0, q1 } of turns) add(member, ((s1 - s0) * (q0 + q1)) / 2)
  for (const { member, force } of turnPoints) add(member, force)
  return found
}

/** Total force on members and its first moments about the axes, given where the members lie. */
export function shareTotals(
  share: Share,
  pointOn: (member: string, s: number) => Point,
): { readonly force: number; readonly moments: Point } {
  let [force, mx, my] = [0, 0, 0]
  const add = (f: number, [x, y]: Point) => {
    force += f
    mx += f * x
    my += f * y
  }
  for (const { member, s0, s1, q0, q1 } of share.lines) {
    const h = s1 - s0
    const f = (h * (q0 + q1)) / 2
    if (f === 0 && q0 === 0) continue
    const moment = (h * h * (q0 + 2 * q1)) / 6
    const [ax, ay] = pointOn(member, s0)
    const [bx, by] = pointOn(member, s1)
    add(f, [ax, ay])
    mx += (moment * (bx - ax)) / h
    my += (moment * (by - ay)) / h
  }
  for (const { member, s, force: f } of share.points) add(f, pointOn(member, s))
  for (const { at, force: f } of share.onColumns) add(f, at)
  return { force, moments: [mx, my] }
}
