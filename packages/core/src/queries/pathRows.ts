import { buildUps, constructionPermanent, isConstruction, isPartitionCase, selfWeight } from '../actions/cases'
import { readCase } from '../derivation/cells'
import { rowLabel } from '../derivation/namesOnFloor'
import { lengthOfColumn } from '../derivation/columnExtents'
import { expandedAt, floorAbove, floorIn, hungFrom, keyOfRegion, type Place } from '../derivation/floorQueries'
import type { FloorState } from '../derivation/floorStates'
import type { ProjectState } from '../derivation/project'
import { labelOf, panelOf } from '../document/labels'
import { rowSum, type SparseRows } from '../rundown/operator'
import { endOf, recordOfSource, type RegionSource, type Source } from '../rundown/sources'

/** A part of what lands on a member, or where it goes; N, downwards. `detail` is worded where it is shown. */
export interface PathRow {
  readonly kind:
    'region' | 'wall' | 'line' | 'point' | 'area' | 'stair' | 'ownWeight' | 'beam' | 'strut' | 'column' | 'hanger'
  readonly label: string
  readonly force: number
  /** Load per unit and how much of it: Pa and m², or N/m and m. */
  readonly intensity: number | null
  readonly part: number | null
  /** Along the member, where it is a point. */
  readonly at: number | null
  /** Index among the floor's sources, where it is one. */
  readonly source: number | null
  /** Leads to the trace of the load itself. */
  readonly address: string | null
  readonly expandedId: string
}

/** Every source and every member that puts load on a beam, largest first. */
export function landingRows(state: ProjectState, place: Place, caseId: string): readonly PathRow[] {
  return [
    ...sourceRows(state, place, caseId),
    ...beamsOn(state, place, caseId),
    ...columnsOn(state, place, caseId),
    ...hangersOn(state, place, 'beam', caseId),
  ].sort((a, b) => Math.abs(b.force) - Math.abs(a.force))
}

function sourceRows(state: ProjectState, { floor, row }: Place, caseId: string): readonly PathRow[] {
  const { toBeams, plan } = floorIn(floor, caseId).operator
  return rowsOnto(state, floor, toBeams, row, plan.frame.beams[row]?.member.id ?? '', caseId)
}

/** Sources that put load on one row of an operator; a column's traces lead to the load itself. */
function rowsOnto(
  state: ProjectState,
  floor: Place['floor'],
  rows: SparseRows,
  row: number,
  beam: string | null,
  caseId: string,
): readonly PathRow[] {
  const at = readCase(state, caseId)
  return floor.operator.plan.sources.flatMap((source, i): PathRow[] => {
    const intensity = at(floor.intensities, i)
    const part = intensity === 0 ? 0 : rowSum(rows, i, row)
    if (part === 0) return []
    const [kind, id] = subjectOf(source)
    return [
      {
        kind,
        label: `${labelOf(state.document, id)}${valueWords(source)}`,
        force: part * intensity,
        intensity,
        part,
        at: null,
        source: i,
        address:
          beam === null
            ? sourceAddress(state, source, caseId, floor.level.id)
            : `landing:${expandedAt(floor, beam)}:${i}:${caseId}`,
        expandedId: expandedAt(floor, id),
      },
    ]
  })
}

/** Which of its two values a load that varies brings there. */
const valueWords = (source: Source): string =>
  (source.kind === 'line' || source.kind === 'area') && source.load.varies
    ? `, value at its ${endOf(source) === 'end' ? 'end' : 'beginning'}`
    : ''

const subjectOf = (source: Source): readonly [PathRow['kind'], string] => [
  source.kind === 'beam' ? 'ownWeight' : source.kind,
  recordOfSource(source),
]

/** Of a typed load; null for others. */
function typedAddress(source: Source): string | null {
  if (source.kind !== 'line' && source.kind !== 'area' && source.kind !== 'point') return null
  return `typed:${source.load.id}${endOf(source) === 'end' ? ':end' : ''}`
}

/** Where the trace of a source's load begins. */
export function sourceAddress(state: ProjectState, source: Source, caseId: string, levelId: string): string | null {
  if (source.kind === 'wall') return `wall:${source.id}@${levelId}`
  if (source.kind === 'beam' || source.kind === 'strut') return `beamWeight:${source.id}`
  const typed = typedAddress(source)
  if (typed !== null) return typed
  if (source.kind === 'stair') return `stairEnd:${source.stair.id}:${caseId}`
  if (source.kind !== 'region') return null
  const address = regionAddress(state, source, caseId)
  const { slopeId } = source.region
  const lies = caseId.startsWith('permanent/') || caseId === constructionPermanent
  return address && slopeId && lies ? `onPlan:${slopeId};${address}` : address
}

function regionAddress(state: ProjectState, source: RegionSource, caseId: string): string | null {
  const { id } = source.panel.panel
  if (caseId === selfWeight) return panelOf(state.document, id)?.slab ? `slab:${id}` : null
  const key = keyOfRegion(state, source)
  const address = key && keyAddress(key, caseId)
  const { stretch } = source.region
  const goesByPitch = key !== null && stretch > 1 && state.keys.get(key)?.pitched
  return address && goesByPitch && address.endsWith(':imposed') ? `roofLoad:${key}:${stretch}` : address
}

/** Where the trace of what a load key brings in a case begins. */
export function keyAddress(key: string, caseId: string): string {
  if (isConstruction(caseId)) return `key:${key}:${caseId}`
  const part = isPartitionCase(caseId) ? 'partitions' : caseId === buildUps ? 'buildUp' : 'imposed'
  return `key:${key}:${part}`
}

/** Beams of the floor that rest on this one. */
function beamsOn(state: ProjectState, { floor, row }: Place, caseId: string): readonly PathRow[] {
  return reactionsOnto(state, { floor, row }, 'beam', caseId)
}

/** Reactions of beams that end on a beam or column of their floor. */
export function reactionsOnto(
  state: ProjectState,
  { floor, row }: Place,
  target: 'beam' | 'column',
  caseId: string,
): readonly PathRow[] {
  const read = readCase(state, caseId)
  return floor.operator.plan.frame.beams.flatMap(({ member: { id }, supports }, i) =>
    supports.flatMap(({ on, index, at }, k): PathRow[] => {
      const force = read(floor.rundown.reactions, (floor.operator.firstSupport[i] ?? 0) + k)
      if (on !== target || index !== row || force === 0) return []
      const expandedId = expandedAt(floor, id)
      const address = `reaction:${expandedId}:${k}:${caseId}`
      return [beamRow(labelOf(state.document, id), expandedId, force, target === 'beam' ? at : null, address)]
    }),
  )
}

const beamRow = (label: string, expandedId: string, force: number, at: number | null, address: string): PathRow => ({
  kind: 'beam',
  label,
  force,
  intensity: null,
  part: null,
  at,
  source: null,
  address,
  expandedId,
})

/** Columns of the floor above that stand on this beam. */
const columnsOn = (state: ProjectState, place: Place, caseId: string): readonly PathRow[] =>
  columnsStandingOn(state, place, 'beam', caseId)

export function columnsStandingOn(
  state: ProjectState,
  { floor, row }: Place,
  target: 'beam' | 'column',
  caseId: string,
): readonly PathRow[] {
  const above = floorAbove(state, floor)
  if (!above) return []
  const rowOf = (foot: number, part: number, at: number | null) =>
    uprightRow(state, above, foot, 'column', part, at, caseId)
  const standing = (floor.feetAbove?.landings ?? []).flatMap(({ row: foot, on, index, s, part }) =>
    on === target && index === row ? rowOf(foot, part, target === 'beam' ? s : null) : [],
  )
  return [
    ...standing,
    ...throughSlab(floorIn(floor, caseId), target, row).flatMap(({ foot, part, at }) => rowOf(foot, part, at)),
  ]
}

/** Hangers of floors below that hang from a beam or hanger. */
const hangersOn = (state: ProjectState, place: Place, target: 'beam' | 'column', caseId: string): readonly PathRow[] =>
  hungFrom(state, place, target).flatMap(({ s, part, place: { floor, row } }) =>
    uprightRow(state, floor, row, 'hanger', part, target === 'beam' ? s : null, caseId),
  )

/** What a column or hanger hands on, or a part of it. */
function uprightRow(
  state: ProjectState,
  floor: FloorState,
  row: number,
  kind: 'column' | 'hanger',
  part: number,
  at: number | null,
  caseId: string,
): readonly PathRow[] {
  const member = floor.operator.plan.frame.columns[row]?.member
  if (!member || part === 0) return []
  const expandedId = expandedAt(floor, member.id)
  return [
    {
      kind,
      label: rowLabel(state, floor, member.id),
      force: part * readCase(state, caseId)(floor.rundown.feet, row),
      intensity: null,
      part: null,
      at,
      source: null,
      address: `column:${expandedId}:${caseId}`,
      expandedId,
    },
  ]
}

interface ThroughSlab {
  readonly foot: number
  readonly part: number
  readonly at: number | null
}

/** Feet on the slab that it hands to a beam, in the middle of what the beam takes of each, or to a column. */
function throughSlab({ onSlab, operator }: FloorState, target: 'beam' | 'column', row: number): readonly ThroughSlab[] {
  if (!onSlab) return []
  const { rows, shared } = onSlab
  const beam = target === 'beam' ? operator.plan.frame.beams[row] : undefined
  return rows.map((foot, k): ThroughSlab => {
    const part = rowSum(target === 'beam' ? shared.toBeams : shared.toColumns, k, row)
    if (!beam || part === 0) return { foot, part, at: null }
    const first = shared.firstSupport[row] ?? 0
    const moment = beam.supports.reduce((sum, { s }, i) => sum + s * rowSum(shared.toSupports, k, first + i), 0)
    return { foot, part, at: moment / part }
  })
}

/** What enters a length of a column or hanger: the column above or hanger below, the beams that end on it, its own weight. */
export function columnRows(state: ProjectState, place: Place, caseId: string): readonly PathRow[] {
  const read = readCase(state, caseId)
  const { floor, row } = place
  const member = floor.operator.plan.frame.columns[row]?.member
  const own = read(floor.rundown.feet, row) - read(floor.rundown.tops, row)
  const length = lengthOfColumn(floor, row)
  const ownRow: PathRow[] =
    own === 0 || !member
      ? []
      : [
          {
            kind: 'ownWeight',
            label: labelOf(state.document, member.id),
            force: own,
            intensity: own / length,
            part: length,
            at: null,
            source: null,
            address: `columnWeight:${expandedAt(floor, member.id)}`,
            expandedId: expandedAt(floor, member.id),
          },
        ]
  return [
    ...columnsStandingOn(state, place, 'column', caseId),
    ...hangersOn(state, place, 'column', caseId),
    ...reactionsOnto(state, place, 'column', caseId),
    ...rowsOnto(state, floor, floorIn(floor, caseId).operator.toColumns, row, null, caseId),
    ...ownRow,
  ]
}
