import type { FramePlan } from '../building/frame'
import { borderOf, coverOf, most, sameOutline } from '../building/panelEdges'
import { likelyGap, nearestGap, ringsOf, type Line } from '../building/rings'
import type { ProjectState } from '../derivation/project'
import { recordsOf } from '../document/document'
import { once } from '../outcome/once'
import type { Panel } from '../document/recordKinds'
import { nearby, type Near } from '../geometry/nearby'
import type { Ring } from '../geometry/polygon'
import type { Concern } from '../outcome/outcome'

/** Panels that follow their beams where these do not close round them: what is drawn may no longer be what is built. */
export function panelsOffTheirBeams({ document, floors }: ProjectState): readonly Concern[] {
  const frames = new Map(floors.map(({ floor, operator }) => [floor.layoutId, operator.plan.frame]))
  return recordsOf(document, 'panel').flatMap((panel): readonly Concern[] => {
    const frame = panel.edges === 'drawn' ? undefined : frames.get(panel.layout)
    if (!frame || isClosed(panel, ringsAmong(frame))) return []
    const { lines, near } = ringsAmong(frame)
    const gap = nearestGap(near(panel.outline).flatMap((i) => lines[i] ?? []))
    const said =
      gap && gap.length <= likelyGap ? { gap: gap.length, x: gap.from[0], y: gap.from[1] } : { gap: -1, x: 0, y: 0 }
    return [{ code: 'panel.off-its-beams', about: [panel.id], data: { label: panel.label, ...said } }]
  })
}

interface FrameRings {
  readonly lines: readonly Line[]
  readonly near: Near
  readonly rings: readonly Ring[]
  readonly ringsNear: Near
}

// a frame is looked through once: an edit of a load keeps it
const ringsAmong = once((frame: FramePlan): FrameRings => {
  const lines = frame.beams.flatMap(({ legs }) => legs)
  const rings = ringsOf(lines)
  return { lines, near: nearby(lines.map(({ a, b }) => [a, b])), rings, ringsNear: nearby(rings) }
})

function isClosed({ outline, edges }: Panel, { rings, ringsNear }: FrameRings): boolean {
  const around = ringsNear(outline).flatMap((i) => (rings[i] ? [rings[i]] : []))
  if (around.some((ring) => sameOutline(ring, outline))) return true
  if (edges === 'ring') return false
  const border = borderOf(around.filter((ring) => coverOf(ring, outline) >= most))
  return border !== null && sameOutline(border, outline)
}
