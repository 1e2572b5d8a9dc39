import type { Panel } from '../document/recordKinds'
import { regionOf } from '../geometry/clip'
import type { Point } from '../geometry/point'
import { contains, counterClockwise, corners, type Ring } from '../geometry/polygon'
import { crossing } from '../geometry/segment'
import { tidyPoint } from '../geometry/tolerance'

/**
 * The outline of a panel whose free sides stand out (or back, where less than zero) by a distance; sides along which another
 * panel lies stay where they are.
 */
export function edgeMoved(panel: Pick<Panel, 'outline'>, others: readonly Pick<Panel, 'outline'>[], by: number): Ring {
  const ring = corners(counterClockwise(panel.outline))
  const regions = others.map(({ outline }) => regionOf(outline))
  const lines = ring.map((a, i) => {
    const b = ring[(i + 1) % ring.length] ?? a
    const length = Math.hypot(b[0] - a[0], b[1] - a[1])
    const out: Point = [(b[1] - a[1]) / length, (a[0] - b[0]) / length]
    const middle: Point = [(a[0] + b[0]) / 2 + beside * out[0], (a[1] + b[1]) / 2 + beside * out[1]]
    const shift = regions.some((region) => contains(region, middle)) ? 0 : by
    return { at: [a[0] + out[0] * shift, a[1] + out[1] * shift] as const, along: [-out[1], out[0]] as const }
  })
  return lines.map((line, i) => meet(lines[(i + lines.length - 1) % lines.length] ?? line, line))
}

/** Far enough outside of a side to be in the neighbour, m. */
const beside = 0.05

interface Side {
  readonly at: Point
  readonly along: Point
}

/** Where two sides meet; sides of a ring without straight corners are never parallel. */
function meet(before: Side, side: Side): Point {
  return tidyPoint(crossing(before.at, before.along, side.at, side.along, 1e-9) ?? side.at)
}
