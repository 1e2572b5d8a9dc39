import { boundRings, type BoundRing, type MemberLine } from '../building/boundRings'
import { likelyGap, nearestGap, ringRound, ringsOf } from '../building/rings'
import { recordsOf, type Document } from '../document/document'
import { isUpright } from '../document/roles'
import { intersection, union } from '../geometry/clip'
import { legsOf } from '../geometry/course'
import type { Point } from '../geometry/point'
import { regionArea, signedArea, type Ring } from '../geometry/polygon'

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
  return { ok: false, problem: `No ring of beams closes round that point.${open}` }
}

const gapText = ({ from: [x, y], length }: NonNullable<ReturnType<typeof nearestGap>>): string =>
  `Two ends are ${Math.round(length * 1000)} mm apart at ${x.toFixed(2)} m east, ${y.toFixed(2)} m north.`

/** Rings of beams of a layout that no panel fills yet. */
export function openRings(document: Document, layout: string): readonly Ring[] {
  const there = union(recordsOf(document, 'panel').flatMap((panel) => (panel.layout === layout ? [panel.outline] : [])))
  return ringsOf(beamLines(document, layout)).filter(
    (ring) => regionArea(intersection([ring], there)) < 0.01 * signedArea(ring),
  )
}
