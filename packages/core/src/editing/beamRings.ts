import { nearestGap, ringRound, ringsOf, type Line } from '../building/rings'
import { recordsOf, type Document } from '../document/document'
import { intersection, union } from '../geometry/clip'
import { legsOf } from '../geometry/course'
import type { Point } from '../geometry/point'
import { regionArea, signedArea, type Ring } from '../geometry/polygon'

/** Beams of a layout as the lines that rings are made of. */
const beamLines = (document: Document, layout: string): readonly Line[] =>
  recordsOf(document, 'member').flatMap(({ layout: own, path }) => (own === layout ? legsOf(path) : []))

type Found = { readonly ok: true; readonly ring: Ring } | { readonly ok: false; readonly problem: string }

/** Ends further apart than this are not meant to meet, m. */
const likelyGap = 2

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
