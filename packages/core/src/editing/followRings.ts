import type { BoundRing } from '../building/boundRings'
import { borderOf, coverOf, coverOfAll, most, sameOutline } from '../building/panelEdges'
import { withEdits, type Edit } from '../document/changes'
import { newId, recordsOf, type Document, type Random } from '../document/document'
import type { Layout, Member, Panel, Rec } from '../document/recordKinds'
import { nearby } from '../geometry/nearby'
import { boxesTouch, boxOf, regionArea, signedArea, type Region, type Ring } from '../geometry/polygon'
import { onLine } from '../geometry/tolerance'
import { boundRingsOf, filled as filledBy, floorsOf } from './beamRings'
import { intersection, union } from '../geometry/clip'
import { panelsIn } from './panelsInRings'
import { isDrawn, labeller, pointsOf } from './shaped'

/**
 * Edits, and what panels do that follow their beams: their outlines go along, one whose ring a new beam parts becomes two, one whose
 * ring joins another's goes, and on layouts where every ring has a floor new rings get one. A panel whose beams no longer close
 * round it stays as it was. One whose outline is edited by itself follows no longer.
 */
export function withPanelsFollowing(document: Document, edits: readonly Edit[], random: Random): readonly Edit[] {
  const own = edits.map((edit) => byHand(edit, edits))
  const stirred = [...new Set(own.flatMap(layoutsStirred))].sort()
  // most edits stir none: the document is not copied for them
  if (stirred.length === 0) return own
  const after = withEdits(document, own)
  const following = stirred.flatMap((id) => {
    const layout = after.records.get(id)
    if (layout?.kind !== 'layout' || !concerns(layout, own, after)) return []
    return followed(document, after, layout, random)
  })
  return following.length === 0 ? own : merged(own, following)
}

const follows = (record: Rec | null): record is Panel => record?.kind === 'panel' && record.edges !== 'drawn'

/** A following panel of which the outline is edited, where no member of its layout is edited too. */
function byHand(edit: Edit, all: readonly Edit[]): Edit {
  const { before, after } = edit
  if (!follows(before) || !follows(after) || before.outline === after.outline) return edit
  const goesAlong = all.some(({ after: other }) => other?.kind === 'member' && other.layout === after.layout)
  if (goesAlong || sameOutline(before.outline, after.outline)) return edit
  return { ...edit, after: { ...after, edges: 'drawn' } }
}

/** Layouts whose rings, or what follows them, an edit may change. */
function layoutsStirred({ before, after }: Edit): readonly string[] {
  const [was, is] = [lineOf(before), lineOf(after)]
  if (was ?? is) return was && is && sameLine(was, is) ? [] : [was, is].flatMap((member) => member?.layout ?? [])
  if (follows(after)) return follows(before) && sameEdges(before, after) ? [] : [after.layout]
  return fillsOtherwise(before, after) && after ? [after.id] : []
}

const fillsOtherwise = (before: Rec | null, after: Rec | null): boolean =>
  after?.kind === 'layout' && before?.kind === 'layout' && before.floors !== after.floors

const sameEdges = (a: Panel, b: Panel): boolean => a.edges === b.edges && a.outline === b.outline

/** Whether anything on the layout may follow: one that has every ring filled, or a panel beside what is edited. */
function concerns(layout: Layout, edits: readonly Edit[], after: Document): boolean {
  if (layout.floors === 'everyRing') return true
  const boxes = edits
    .flatMap(({ before: was, after: is }) => [was, is])
    .flatMap((record) => (record && 'layout' in record && record.layout === layout.id ? [record] : []))
    .flatMap((record) => (isDrawn(record) ? [boxOf(pointsOf(record))] : []))
  return followersOn(after, layout).some(({ outline }) => {
    const own = boxOf(outline)
    return boxes.some((box) => boxesTouch(own, box, onLine))
  })
}

const lineOf = (record: Rec | null): Member | undefined => (record?.kind === 'member' ? record : undefined)

const sameLine = (a: Member, b: Member): boolean => a.path === b.path && a.layout === b.layout && a.role === b.role

/** The rings of a layout before and after, and whose they are: only rings that are asked for are looked at. */
interface Rings {
  readonly was: readonly BoundRing[]
  readonly now: readonly BoundRing[]
  /** Those that are now and were not, and those that were and are not. */
  readonly newOnes: readonly BoundRing[]
  readonly gone: readonly BoundRing[]
  readonly ownerWas: (bound: BoundRing) => string | undefined
  readonly ownerNow: (bound: BoundRing) => string | undefined
  /** Whether a panel that follows is over the border of several rings. */
  readonly isOverSeveral: (id: string) => boolean
  /** Whether a ring is no longer closed: no ring lies between the same beams, and most of it lies in none. */
  readonly opened: (bound: BoundRing) => boolean
}

/** What follows on one layout. */
function followed(before: Document, after: Document, layout: Layout, random: Random): readonly Edit[] {
  const panels = followersOn(after, layout)
  const everyRing = layout.floors === 'everyRing'
  const rings = ringsOn(before, after, layout)
  const label = labeller(after, layout)
  const edits = stirredPanels(before, panels, rings).flatMap((panel) =>
    editsOf(panel, rings).map((edit) =>
      edit.before === null && edit.after?.kind === 'panel' ? added(edit.after, label, random) : edit,
    ),
  )
  return everyRing ? [...edits, ...filled({ before, after: withEdits(after, edits) }, layout, rings, random)] : edits
}

const followersOn = (document: Document, { id }: Layout): readonly Panel[] =>
  recordsOf(document, 'panel').filter((panel) => panel.layout === id && follows(panel))

const added = (panel: Panel, label: (panel: Panel) => string, random: Random): Edit => {
  const after = { ...panel, id: newId('panel', random), label: label(panel) }
  return { id: after.id, before: null, after }
}

function ringsOn(before: Document, after: Document, layout: Layout): Rings {
  const [was, now] = [boundRingsOf(before, layout.id), boundRingsOf(after, layout.id)]
  const [ownerBefore, ownerAfter] = [owners(followersOn(before, layout)), owners(followersOn(after, layout))]
  const keysNow = new Set(now.map(({ key }) => key))
  const byKeyWas = new Map<string, BoundRing[]>()
  for (const bound of was) byKeyWas.set(bound.key, [...(byKeyWas.get(bound.key) ?? []), bound])
  const [marksWere, marksAre] = [was, now].map((rings) => new Set(rings.map(markOf)))
  const nearNow = nearby(now.map(({ ring }) => ring))
  const known = new Map<BoundRing, string | undefined>()
  const ownerWas = (bound: BoundRing) => {
    if (!known.has(bound)) known.set(bound, ownerBefore(bound.ring))
    return known.get(bound)
  }
  return {
    was,
    now,
    newOnes: now.filter((bound) => !marksWere?.has(markOf(bound))),
    gone: was.filter((bound) => !marksAre?.has(markOf(bound))),
    ownerWas,
    isOverSeveral: (id) => {
      const owner = after.records.get(id)
      return owner?.kind === 'panel' && owner.edges === 'rings'
    },
    /** Of the panel that had the ring between the same beams, else of the one that covers most of it. */
    ownerNow: ({ ring, key }) => {
      const same = (byKeyWas.get(key) ?? []).flatMap((bound) => {
        const owner = ownerWas(bound)
        return owner !== undefined && after.records.has(owner) ? [{ owner, ring: bound.ring }] : []
      })
      const [first] = same.length > 1 ? same.sort((p, q) => coverOf(ring, q.ring) - coverOf(ring, p.ring)) : same
      return first?.owner ?? ownerAfter(ring)
    },
    opened: ({ ring, key }) =>
      !keysNow.has(key) &&
      coverOfAll(
        ring,
        nearNow(ring).flatMap((i) => (now[i] ? [now[i].ring] : [])),
      ) < stillClosed,
  }
}

/** A ring of which less lies in rings than this was opened, and not only made smaller. */
const stillClosed = 0.75

/** A ring by its beams and corners. */
const markOf = ({ ring, key }: BoundRing): string =>
  [key, ...ring.map(([x, y]) => `${x.toFixed(6)} ${y.toFixed(6)}`).sort()].join()

/** The panel that covers most of a ring, the first by id of those that cover as much; undefined where they leave most of it. */
function owners(panels: readonly Panel[]): (ring: Ring) => string | undefined {
  const near = nearby(panels.map(({ outline }) => outline))
  return (ring) => {
    let [owner, best, all]: [string | undefined, number, number] = [undefined, 0, 0]
    const around = near(ring).flatMap((i) => panels[i] ?? [])
    const filler = around.find(({ outline }) => sameOutline(ring, outline))
    if (filler) return filler.id
    for (const { id, outline } of around) {
      const cover = coverOf(ring, outline)
      all += cover
      if (cover > best + 1e-9) [owner, best] = [id, cover]
    }
    return all >= most ? owner : undefined
  }
}

/** Panels that are edited, and those at which rings have come or gone. */
function stirredPanels(before: Document, panels: readonly Panel[], { newOnes, gone }: Rings): readonly Panel[] {
  const boxes = [...newOnes, ...gone].map(({ ring }) => boxOf(ring))
  return panels.filter((panel) => {
    const box = boxOf(panel.outline)
    return before.records.get(panel.id) !== panel || boxes.some((other) => boxesTouch(box, other))
  })
}

/**
 * Whether a ring of a panel over several rings came together with one of another panel's. Neither takes the other's floor then: nothing
 * would tell them apart when the beam between them is drawn again. Both stay as they were, which is a concern.
 */
function isJoinedToOthers(panel: Panel, lost: readonly BoundRing[], rings: Rings): boolean {
  const gone = new Set(rings.gone)
  return rings.newOnes.some((bound) => {
    if (!lost.some((was) => gone.has(was) && coverOf(was.ring, bound.ring) > most)) return false
    const owners = rings.gone.flatMap((was) =>
      coverOf(was.ring, bound.ring) > most ? (rings.ownerWas(was) ?? []) : [],
    )
    return owners.some((id) => id !== panel.id && (panel.edges === 'rings' || rings.isOverSeveral(id)))
  })
}

/** What becomes of one panel; panels that it leaves rings to have no id and label of their own yet. */
function editsOf(panel: Panel, rings: Rings): readonly Edit[] {
  const box = boxOf(panel.outline)
  const lost = rings.was.filter((bound) => boxesTouch(box, boxOf(bound.ring)) && rings.ownerWas(bound) === panel.id)
  const keys = new Set(lost.map(({ key }) => key))
  const own = rings.now.filter(
    (bound) => (keys.has(bound.key) || boxesTouch(box, boxOf(bound.ring))) && rings.ownerNow(bound) === panel.id,
  )
  if (lost.some(rings.opened) || isJoinedToOthers(panel, lost, rings)) return []
  if (own.length === 0) return lost.length > 0 ? [{ id: panel.id, before: panel, after: null }] : []
  if (panel.edges === 'rings') {
    const border = borderOf(own.map(({ ring }) => ring))
    return border ? outlined(panel, border) : []
  }
  const size = ({ ring, key }: BoundRing) => (keys.has(key) ? 1e12 : 0) + signedArea(ring)
  const [first, ...others] = [...own].sort((p, q) => size(q) - size(p))
  const more = others.map(({ ring }) => ({ ...panel, origin: panel.id, outline: ring }))
  return [
    ...(first ? outlined(panel, first.ring) : []),
    ...more.map((after): Edit => ({ id: after.id, before: null, after })),
  ]
}

const outlined = (panel: Panel, outline: Ring): readonly Edit[] =>
  sameOutline(outline, panel.outline) ? [] : [{ id: panel.id, before: panel, after: { ...panel, outline } }]

/**
 * Panels in rings that are new, or in all that have none where this begins to be asked for. Openings stay open, and so does a ring
 * whose panel was taken away when its beams move.
 */
function filled(
  { before, after }: { readonly before: Document; readonly after: Document },
  layout: Layout,
  { was, now, newOnes, ownerWas }: Rings,
  random: Random,
): readonly Edit[] {
  const former = before.records.get(layout.id)
  // the copy of a layout has the panels that were copied
  if (former?.kind !== 'layout') return []
  const begins = former.floors !== 'everyRing'
  const bare = new Set(begins ? [] : was.filter((bound) => ownerWas(bound) === undefined).map(({ key }) => key))
  const [panels, openings] = [outlinesOn(after, 'panel', layout), outlinesOn(after, 'opening', layout)]
  const floorOf = floorsOf(now.map(({ ring }) => ring))
  const open = (begins ? now : newOnes).flatMap(({ ring, key }) => {
    const isBare = bare.has(key) || coverOfAll(ring, openings(ring)) > most
    return isBare || partCovered(floorOf(ring), panels(ring)) > filledBy ? [] : [ring]
  })
  return panelsIn(open, { document: after, layout, random }).map((panel) => ({
    id: panel.id,
    before: null,
    after: panel,
  }))
}

const partCovered = (floor: Region, outlines: readonly Ring[]): number =>
  regionArea(intersection(floor, union(outlines))) / Math.max(regionArea(floor), Number.MIN_VALUE)

function outlinesOn(document: Document, kind: 'panel' | 'opening', { id }: Layout): (ring: Ring) => readonly Ring[] {
  const outlines = recordsOf(document, kind).flatMap(({ layout, outline }) => (layout === id ? [outline] : []))
  const near = nearby(outlines)
  return (ring) => near(ring).flatMap((i) => (outlines[i] ? [outlines[i]] : []))
}

/** One edit a record: what follows goes on from what was edited. */
function merged(own: readonly Edit[], following: readonly Edit[]): readonly Edit[] {
  const befores = new Map(own.map(({ id, before }) => [id, before]))
  const all = new Map(own.map((edit) => [edit.id, edit]))
  for (const edit of following) {
    const before = befores.has(edit.id) ? (befores.get(edit.id) ?? null) : edit.before
    if (before === null && edit.after === null) all.delete(edit.id)
    else all.set(edit.id, { ...edit, before })
  }
  return [...all.values()]
}
