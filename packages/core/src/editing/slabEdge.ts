import type { Member, Panel } from '../document/recordKinds'
import { legsOf } from '../geometry/course'
import { regionOf } from '../geometry/clip'
import type { Point } from '../geometry/point'
import { contains, counterClockwise, corners, type Ring } from '../geometry/polygon'
import { crossing } from '../geometry/segment'
import { tidy, tidyPoint } from '../geometry/tolerance'

type Outlined = Pick<Panel, 'outline'>
type Drawn = Pick<Member, 'path'>

/** A side of a panel along which no other panel lies. */
export interface FreeSide {
  /** Its place among the sides of the outline, counter-clockwise and without straight corners. */
  readonly side: number
  /** Where it faces: `south`, and `south 2` where another faces there too. */
  readonly facing: string
  /** How far the slab stands out beyond the nearest beam, wall or column along it, m; null where nothing carries it there. */
  readonly overhang: number | null
}

/** How a side moves, by its place; m outward. */
type Shift = number | ((side: number) => number)

/**
 * The outline of a panel whose free sides move outward (inward where less than zero); sides along which another panel lies stay
 * where they are.
 */
export function edgeMoved(panel: Outlined, others: readonly Outlined[], by: Shift): Ring {
  const lines = sidesOf(panel, others).map(({ a, out, isFree }, side) => {
    const shift = isFree ? (typeof by === 'number' ? by : by(side)) : 0
    return { at: [a[0] + out[0] * shift, a[1] + out[1] * shift] as const, along: [-out[1], out[0]] as const }
  })
  return lines.map((line, i) => meet(lines[(i + lines.length - 1) % lines.length] ?? line, line))
}

/** The free sides of a panel with their overhangs; `others` are the panels of its layout, `members` what may carry it there. */
export function freeSides(
  panel: Outlined,
  others: readonly Outlined[],
  members: readonly Drawn[],
): readonly FreeSide[] {
  const seen = new Map<string, number>()
  return sidesOf(panel, others).flatMap((side, i) => {
    if (!side.isFree) return []
    const word = compassWord(side.out)
    const count = (seen.get(word) ?? 0) + 1
    seen.set(word, count)
    return [{ side: i, facing: count > 1 ? `${word} ${count}` : word, overhang: overhangOf(side, members) }]
  })
}

/** The outline with overhangs as given for some of its free sides; one that nothing carries moves by what is given. */
export function withOverhangs(
  panel: Outlined,
  others: readonly Outlined[],
  members: readonly Drawn[],
  wanted: (side: FreeSide) => number | null,
): Ring {
  const shifts = new Map(
    freeSides(panel, others, members).map((side) => {
      const overhang = wanted(side)
      return [side.side, overhang === null ? 0 : overhang - (side.overhang ?? 0)]
    }),
  )
  return edgeMoved(panel, others, (side) => shifts.get(side) ?? 0)
}

interface DrawnSide {
  readonly a: Point
  readonly length: number
  /** Along it and outward, unit length. */
  readonly along: Point
  readonly out: Point
  readonly isFree: boolean
}

function sidesOf({ outline }: Outlined, others: readonly Outlined[]): readonly DrawnSide[] {
  const ring = corners(counterClockwise(outline))
  const regions = others.map((other) => regionOf(other.outline))
  return ring.map((a, i) => {
    const b = ring[(i + 1) % ring.length] ?? a
    const length = Math.hypot(b[0] - a[0], b[1] - a[1])
    const along: Point = [(b[0] - a[0]) / length, (b[1] - a[1]) / length]
    const out: Point = [along[1], -along[0]]
    const middle: Point = [(a[0] + b[0]) / 2 + beside * out[0], (a[1] + b[1]) / 2 + beside * out[1]]
    return { a, length, along, out, isFree: !regions.some((region) => contains(region, middle)) }
  })
}

/** Far enough outside of a side to be in the neighbour, m. */
const beside = 0.05
/** A beam outside of the slab by more than this does not carry its edge, m. */
const outside = 0.5
/** The sine of the angle up to which a member runs along a side. */
const parallel = 0.09
/** Length along a side, m, below which a member does not run along it. */
const least = 0.05

function overhangOf(side: DrawnSide, members: readonly Drawn[]): number | null {
  const depths = members.flatMap(({ path }) => depthsOf(side, path)).filter((depth) => depth >= -outside)
  return depths.length === 0 ? null : tidy(depths.reduce((least, depth) => Math.min(least, depth)))
}

/** How far inside of a side a column, or what of a member runs along it, lies. */
function depthsOf(side: DrawnSide, path: readonly Point[]): readonly number[] {
  const [first] = path
  if (path.length === 1 && first) {
    const { s, depth } = against(side, first)
    return s >= -least && s <= side.length + least ? [depth] : []
  }
  return legsOf(path).flatMap(({ a, b }) => {
    const [p, q] = [against(side, a), against(side, b)]
    if (Math.abs(p.depth - q.depth) > parallel * Math.hypot(b[0] - a[0], b[1] - a[1])) return []
    const shared = Math.min(side.length, Math.max(p.s, q.s)) - Math.max(0, Math.min(p.s, q.s))
    return shared > least ? [(p.depth + q.depth) / 2] : []
  })
}

const against = ({ a, along, out }: DrawnSide, [x, y]: Point) => ({
  s: (x - a[0]) * along[0] + (y - a[1]) * along[1],
  depth: -(x - a[0]) * out[0] - (y - a[1]) * out[1],
})

const points = ['east', 'north-east', 'north', 'north-west', 'west', 'south-west', 'south', 'south-east'] as const

const compassWord = ([x, y]: Point): string => points[(Math.round((4 * Math.atan2(y, x)) / Math.PI) + 8) % 8] ?? 'east'

interface Line {
  readonly at: Point
  readonly along: Point
}

/** Where two sides meet; sides of a ring without straight corners are never parallel. */
function meet(before: Line, side: Line): Point {
  return tidyPoint(crossing(before.at, before.along, side.at, side.along, 1e-9) ?? side.at)
}
