import { lyingIn } from '../building/panelRegions'
import { partsBySlope, planeOf, slopeAt } from '../building/slopes'
import type { SlopeShape } from '../document/shapes'
import { isEmpty } from '../geometry/clip'
import type { Point } from '../geometry/point'
import { loadOver } from '../geometry/density'
import { along, distance } from '../geometry/segment'
import { addLines } from './addLines'
import { inPlane } from './inPlane'
import { endsBetween, loadAlong } from './lineEnds'
import { emptyShare, sumOfShares, type Share } from './share'
import type { Ground, Sharer } from './sharer'

/**
 * A rule over a panel that goes over ridges or valleys: what lies in one plane is shared in that plane, to members as they lie in it. Members
 * beyond a fold count as if the plane went on; a member along the fold is nearer than any of them.
 */
export function overFolds(ground: Ground, slopes: readonly SlopeShape[], rule: (laid: Ground) => Sharer): Sharer {
  const known = new Map<SlopeShape | null, Sharer>()
  const sharerIn = (slope: SlopeShape | null): Sharer => {
    const there = known.get(slope) ?? (slope ? inPlane(ground, planeOf(slope), rule) : rule(ground))
    known.set(slope, there)
    return there
  }
  const sum = (applied: number, appliedMoments: Point, shares: readonly Share[]): Share => {
    // slivers that clipping leaves out go with the rest
    const found = shares.reduce((total, share) => total + share.applied, 0)
    const part = found === 0 ? 1 : applied / found
    const whole = sumOfShares(
      { ...emptyShare, applied, appliedMoments },
      shares.map((share) => [share, part] as const),
    )
    return { ...whole, lines: addLines(whole.lines, ground.carriers) }
  }
  return {
    area: (region, density) => {
      const parts = lyingIn(region, slopes).filter((part) => !isEmpty(part.region))
      // a sliver of slivers
      if (parts.length === 0) return rule(ground).area(region, density)
      const { force, moments } = loadOver(region, density)
      return sum(
        force,
        moments,
        parts.map((part) => sharerIn(part.slope).area(part.region, density)),
      )
    },
    line: (a, b, ends) => {
      const length = distance(a, b)
      const { force, moments } = loadAlong(a, b, ends)
      return sum(
        force,
        moments,
        partsBySlope(slopes, a, b).map(({ s0, s1, slope }) =>
          sharerIn(slope).line(along(a, b, s0), along(a, b, s1), endsBetween(ends, s0 / length, s1 / length)),
        ),
      )
    },
    point: (at) => sharerIn(slopeAt(slopes, at)).point(at),
    dividing: (region) =>
      lyingIn(region, slopes).flatMap((part) =>
        isEmpty(part.region) ? [] : sharerIn(part.slope).dividing(part.region),
      ),
  }
}
