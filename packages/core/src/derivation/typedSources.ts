import { stairEnds } from '../building/stairs'
import { wallSegments } from '../building/wallSegments'
import type { AreaLoadShape, LineLoadShape } from '../document/shapes'
import type { Point } from '../geometry/point'
import { present } from '../outcome/assert'
import {
  areaSource,
  lineSource,
  pointSource,
  stairSource,
  strutSource,
  type LineSource,
  type Source,
} from '../rundown/sources'
import type { Ends } from '../sharing/lineEnds'
import type { Share } from '../sharing/share'
import type { LayoutShapes, LineShare } from './layouts'
import type { AreaShares, Shares } from './panelShares'

const only = ({ shares }: Shares): Share => present(shares[0], 'the one share')

/** How loads that do not come from panels and walls are shared. */
export interface TypedSharing {
  readonly lineShare: LineShare
  readonly forceShare: (at: Point) => Shares
  readonly areaShare: (load: AreaLoadShape) => AreaShares
}

/** Typed loads, line loads stretch by stretch, flights of stairs by their ends, and members in space. */
export const typedSources = (
  { lineLoads, pointLoads, areaLoads, stairs, struts }: LayoutShapes,
  { lineShare, forceShare, areaShare }: TypedSharing,
): readonly Source[] => [
  ...lineLoads.flatMap((load) => lineSources(load, lineShare)),
  ...pointLoads.flatMap((load) => load.path.map((at) => pointSource(load, at, only(forceShare(at))))),
  ...areaLoads.flatMap((load) => areaShare(load).ends.map((ofEnd, end) => areaSource(load, end, ofEnd))),
  ...stairs.flatMap((stair) => stairEnds(stair).map((end) => stairSource(stair, end, only(lineShare(end))))),
  ...struts.map((strut) => strutSource(strut, (at) => only(forceShare(at)))),
]

/** Per unit along each stretch; where the load varies over its path, per unit at its beginning, then per unit at its end. */
function lineSources(load: LineLoadShape, lineShare: LineShare): readonly LineSource[] {
  const segments = wallSegments({ path: load.path, closed: false })
  const whole = segments.reduce((sum, { drawn }) => sum + drawn, 0)
  let before = 0
  return segments.flatMap((segment): readonly LineSource[] => {
    const along: Ends = [before / whole, (before + segment.drawn) / whole]
    before += segment.drawn
    if (!load.varies) return [lineSource(load, segment, 0, along, only(lineShare(segment)))]
    const falling: Ends = [1 - along[0], 1 - along[1]]
    return [falling, along].map((ends, end) => lineSource(load, segment, end, along, only(lineShare(segment, ends))))
  })
}
