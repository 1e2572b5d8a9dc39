import { expandedAt } from '../derivation/floorQueries'
import type { FloorState } from '../derivation/floorStates'
import type { ProjectState } from '../derivation/project'
import { recordsOf } from '../document/document'
import { labelOf } from '../document/labels'
import { crossesItself } from '../geometry/polygon'
import { onLine } from '../geometry/tolerance'
import type { Concern } from '../outcome/outcome'

/** Two members of one layout with the same label: legal, and a source of mistakes. */
export function sameLabels({ document }: ProjectState): readonly Concern[] {
  const seen = new Map<string, string>()
  return labelled.flatMap((kind) =>
    recordsOf(document, kind).flatMap(({ id, layout, label }): Concern[] => {
      const key = `${kind} ${layout} ${label}`
      const other = seen.get(key)
      seen.set(key, id)
      if (other === undefined) return []
      const data = { label, kind, layout: labelOf(document, layout) }
      return [{ code: 'record.same-label', about: [other, id], data }]
    }),
  )
}

/** Kinds that stand on a layout under a label of their own. */
const labelled = [
  'member',
  'panel',
  'opening',
  'patch',
  'wallRun',
  'lineLoad',
  'pointLoad',
  'areaLoad',
  'slope',
  'strut',
  'stair',
  'barrier',
  'wallSurface',
  'stiffElement',
  'reductionRegion',
] as const

/**
 * Columns of two layouts that stand on one floor under the same labels, since those of the upper layout pass down beside
 * the others: one concern for each two layouts, about the columns of the second.
 */
export function labelsSharedOnFloors(state: ProjectState): readonly Concern[] {
  const found = new Map<string, Shared & { level: string; ids: Map<string, string> }>()
  for (const floor of state.floors)
    for (const shared of sharedOn(state, floor)) {
      const key = `${shared.first.layout} ${shared.second.layout}`
      const known = found.get(key) ?? { ...shared, level: floor.level.name, ids: new Map<string, string>() }
      known.ids.set(shared.second.label, shared.second.id)
      found.set(key, known)
    }
  return [...found.values()].map(({ first, second, level, ids }) => {
    const labels = [...ids.keys()].sort(byNumber)
    const named =
      labels.length > 4 ? `${labels.slice(0, 3).join(', ')} and ${labels.length - 3} more` : labels.join(', ')
    const data = { first: first.name, second: second.name, level, labels: named, count: labels.length }
    return { code: 'floor.same-labels', about: labels.flatMap((label) => ids.get(label) ?? []), data }
  })
}

interface Named {
  readonly id: string
  readonly label: string
  readonly layout: string
  /** That of the layout. */
  readonly name: string
}

interface Shared {
  readonly first: Named
  readonly second: Named
}

/** Columns of a floor whose label one of another layout has too, each beside the first of them by the layout's name. */
function sharedOn({ document }: ProjectState, { operator }: FloorState): readonly Shared[] {
  const byLabel = new Map<string, Map<string, Named>>()
  for (const { member } of operator.plan.frame.columns) {
    const record = document.records.get(member.id)
    if (record?.kind !== 'member') continue
    const { id, label, layout } = record
    const byLayout = byLabel.get(label) ?? new Map<string, Named>()
    byLabel.set(label, byLayout.set(layout, { id, label, layout, name: labelOf(document, layout) }))
  }
  return [...byLabel.values()].flatMap((byLayout) => {
    const named = [...byLayout.values()].sort((a, b) => byNumber(a.name, b.name) || byNumber(a.layout, b.layout))
    const [first, ...others] = named
    return first ? others.map((second) => ({ first, second })) : []
  })
}

const byNumber = new Intl.Collator('en', { numeric: true }).compare

/** Outlines whose sides cross, so that inside and outside are in doubt. */
export const crossedOutlines = ({ document }: ProjectState): readonly Concern[] =>
  (['panel', 'opening', 'patch'] as const).flatMap((kind) =>
    recordsOf(document, kind).flatMap(({ id, label, outline }): Concern[] =>
      crossesItself(outline) ? [{ code: 'outline.crosses-itself', about: [id], data: { label } }] : [],
    ),
  )

/** Beams that carry each other in a ring, and beams that nothing carries. */
export const frameConcerns = (state: ProjectState): readonly Concern[] =>
  state.floors.flatMap((floor) => [...rings(state, floor), ...unsupported(state, floor)])

function rings(state: ProjectState, { operator, level }: FloorState): readonly Concern[] {
  const { beams, loop } = operator.plan.frame
  if (loop.length === 0) return []
  const about = loop.flatMap((i) => beams[i]?.member.id ?? [])
  const labels = about.map((id) => labelOf(state.document, id)).join(', ')
  return [{ code: 'member.loop', about, data: { level: level.name, labels } }]
}

function unsupported(state: ProjectState, floor: FloorState): readonly Concern[] {
  const { beams, loop } = floor.operator.plan.frame
  return beams.flatMap(({ stable, stations, member, length }, i): Concern[] => {
    if (stable || loop.includes(i)) return []
    const label = labelOf(state.document, member.id)
    const data = { label, level: floor.level.name, supports: stations.length, end: heldEnd(stations, length) }
    return [{ code: 'member.unsupported', about: [expandedAt(floor, member.id)], data }]
  })
}

/** The end at which a beam's only support is; empty where it is inside, or not the only one. */
function heldEnd(stations: readonly { readonly s: number }[], length: number): 'start' | 'end' | '' {
  const [only, other] = stations
  if (!only || other) return ''
  if (only.s <= onLine) return 'start'
  return only.s >= length - onLine ? 'end' : ''
}
