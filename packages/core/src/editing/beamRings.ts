import { boundRings, type BoundRing, type MemberLine } from '../building/boundRings'
import { likelyGap, nearestGap, ringRound, ringsOf } from '../building/rings'
import { recordsOf, type Document } from '../document/document'
import { isUpright } from '../document/roles'
import { coverOf, most } from '../building/panelEdges'
import { difference, intersection, union } from '../geometry/clip'
import { legsOf } from '../geometry/course'
import type { Point } from '../geometry/point'
import { nearby } from '../geometry/nearby'
import { regionArea, signedArea, type Region, type Ring } from '../geometry/polygon'

/** Beams and bearing walls of a layout as the lines that rings are made of; what stands upright closes none, though it rakes. */
const beamLines = (document: Document, layout: string): readonly MemberLine[] =>
  recordsOf(document, 'member').flatMap(({ id, role, layout: own, path }) =>
    own === layout && !isUpright(role) ? legsOf(path).map(({ a, b }) => ({ id, a, b })) : [],
  )

/** Rings of the beams of a layout, each with the beams that bound it. */
export const boundRingsOf = (document: Document, layout: string): readonly BoundRing[] =>
  boundRings(beamLines(document, layout))

type Found = { readonly ok: true; readonly ring: Ring } | { readonly ok: false; readonly problem: string }

/** The ring of beams round a point; where there is none, it is said where it is likely open. */
export function ringAt(document: Document, layout: string, at: Point): Found {
  const lines = beamLines(document, layout)
  const ring = ringRound(ringsOf(lines), at)
  if (ring) return { ok: true, ring }
  const gap = nearestGap(lines)
  const open = gap && gap.length <= likelyGap ? ` ${gapText(gap)}` : ''
  return { ok: false, problem: `No closed bay of beams around this point.${open}` }
}

const gapText = ({ from: [x, y], length }: NonNullable<ReturnType<typeof nearestGap>>): string =>
  `Two ends are ${Math.round(length * 1000)} mm apart at ${x.toFixed(2)} m east, ${y.toFixed(2)} m north.`

/** Rings of beams of a layout that no panel fills yet. */
export function openRings(document: Document, layout: string): readonly Ring[] {
  const there = recordsOf(document, 'panel').flatMap((panel) => (panel.layout === layout ? [panel.outline] : []))
  const near = nearby(there)
  const rings = ringsOf(beamLines(document, layout))
  const floorOf = floorsOf(rings)
  return rings.filter((ring) => {
    const floor = floorOf(ring)
    const outlines = near(ring).flatMap((i) => (there[i] ? [there[i]] : []))
    return regionArea(intersection(floor, union(outlines))) < filled * regionArea(floor)
  })
}

/** A ring of which panels cover more than this has a floor. */
export const filled = 0.01

/** The floor of a ring: less the rings that stand in it and touch none of its beams, each of which has a floor of its own. */
export function floorsOf(rings: readonly Ring[]): (ring: Ring) => Region {
  const near = nearby(rings)
  return (ring) => {
    const area = signedArea(ring)
    const inner = near(ring).flatMap((i) => {
      const other = rings[i]
      return other && other !== ring && signedArea(other) < area && coverOf(other, ring) > most ? [other] : []
    })
    return inner.length === 0 ? [ring] : difference([ring], union(inner))
  }
}
