import { carriersOf } from '../sharing/rails'
import { readCase } from '../derivation/cells'
import { expandedAt, floorSeen, keyOfRegion } from '../derivation/floorQueries'
import type { FloorState } from '../derivation/floorStates'
import type { ProjectState } from '../derivation/project'
import { labelOf, panelOf, splitExpanded } from '../document/labels'
import { regionArea } from '../geometry/polygon'
import type { Panel } from '../document/recordKinds'
import type { SparseRows } from '../rundown/operator'
import type { RegionSource } from '../rundown/sources'
import { auditShare } from '../sharing/audit'
import { turnsByMember, type Share } from '../sharing/share'
import { areaLoadsOn, forcesOn } from './areaLoadsOnPanel'
import { sourceAddress } from './pathRows'

export interface PanelRegionView {
  /** Its place among the sources of the floor. */
  readonly row: number
  readonly keyName: string
  readonly patchLabel: string | null
  readonly area: number
  readonly pressure: number
  readonly force: number
  readonly address: string | null
}

export interface PanelTakerView {
  readonly kind: 'beam' | 'column'
  readonly expandedId: string
  readonly label: string
  readonly force: number
  /** Moment about the axis of the beam, Nm, positive where its left side goes down. */
  readonly turning: number
  /** Part of what the panel hands on. */
  readonly share: number
}

/** One panel and one case: its area and load, who takes which part, and what is left over. */
export interface PanelView {
  readonly expandedId: string
  readonly id: string
  readonly label: string
  readonly levelName: string
  readonly gross: number
  readonly net: number
  readonly spanAngle: number
  readonly sharing: Panel['sharing']
  readonly regions: readonly PanelRegionView[]
  /** Area loads that lie on it, as far as they do. */
  readonly areaLoads: readonly {
    readonly id: string
    readonly label: string
    readonly area: number
    readonly force: number
    readonly address: string
  }[]
  readonly takers: readonly PanelTakerView[]
  readonly applied: number
  readonly notCarried: number
  /** Area that nothing carries, whatever the case, m2. */
  readonly notCarriedArea: number
  /** Residual force (N) and moments about the axes (Nm) of what is carried. */
  readonly residual: { readonly force: number; readonly mx: number; readonly my: number }
  readonly oneSupport: boolean
  /** Of a plate: the size of its triangles, m, and the change of a member's force at half of it; null where it is none. */
  readonly reached: { readonly size: number; readonly change: number } | null
}

export function panelView(state: ProjectState, expandedId: string, caseId: string): PanelView | null {
  const [id, levelId] = splitExpanded(expandedId)
  const floor = floorSeen(state, levelId, caseId)
  const plan = floor?.operator.plan.panels.find(({ panel }) => panel.id === id)
  const record = panelOf(state.document, id)
  if (!floor || !plan || !record) return null
  const sources = loadedRegions(state, floor, id, caseId)
  const sum = (pick: (entry: LoadedRegion) => number) => sources.reduce((total, entry) => total + pick(entry), 0)
  const typed = areaLoadsOn(state, floor, id, caseId)
  const typedShares = typed.flatMap(({ shares }) => shares)
  const carriers = floor.operator.plan.frame.beams.flatMap(carriersOf)
  const audits = [
    ...sources.map(({ source, intensity }) => ({ intensity, audit: auditShare(source.share, carriers) })),
    // in N already
    ...typedShares.map((share) => ({ intensity: 1, audit: auditShare(share, carriers) })),
  ]
  const typedSum = (pick: (share: Share) => number) => typedShares.reduce((total, share) => total + pick(share), 0)
  return {
    expandedId,
    id,
    label: record.label,
    levelName: floor.level.name,
    gross: regionArea(plan.outline),
    net: regionArea(plan.net),
    spanAngle: record.spanAngle,
    sharing: record.sharing,
    regions: sources.map((entry) => regionRow(state, entry, caseId, levelId)),
    areaLoads: typed.map(({ id: load, label, area, force, address }) => ({ id: load, label, area, force, address })),
    takers: takersOf(state, floor, sources, typedShares),
    applied: sum(({ source, intensity }) => source.share.applied * intensity) + typedSum(({ applied }) => applied),
    notCarriedArea: sum(({ row }) => floor.operator.notCarried[row] ?? 0),
    notCarried:
      sum(({ row, intensity }) => (floor.operator.notCarried[row] ?? 0) * intensity) +
      typedSum(({ notCarried }) => notCarried),
    residual: {
      force: audits.reduce((total, { intensity, audit }) => total + intensity * audit.force, 0),
      mx: audits.reduce((total, { intensity, audit }) => total + intensity * audit.moments[1], 0),
      my: audits.reduce((total, { intensity, audit }) => total + intensity * audit.moments[0], 0),
    },
    oneSupport: sources.some(({ source }) => source.share.torque > 1e-6),
    reached: sources.find(({ source }) => source.share.reached)?.source.share.reached ?? null,
  }
}

/** A region of a panel with its load in a case, Pa; `row` is its place among the sources of the floor. */
export interface LoadedRegion {
  readonly source: RegionSource
  readonly row: number
  readonly intensity: number
}

export function loadedRegions(
  state: ProjectState,
  floor: FloorState,
  panelId: string,
  caseId: string,
): readonly LoadedRegion[] {
  const at = readCase(state, caseId)
  return floor.operator.plan.sources.flatMap((source, row): LoadedRegion[] =>
    source.kind === 'region' && source.panel.panel.id === panelId
      ? [{ source, row, intensity: at(floor.intensities, row) }]
      : [],
  )
}

function regionRow(
  state: ProjectState,
  { source, row, intensity }: LoadedRegion,
  caseId: string,
  levelId: string,
): PanelRegionView {
  const key = keyOfRegion(state, source)
  const { patchId } = source.region
  return {
    row,
    keyName: key ? labelOf(state.document, key) : '',
    patchLabel: patchId ? labelOf(state.document, patchId) : null,
    area: source.share.applied,
    pressure: intensity,
    force: source.share.applied * intensity,
    address: sourceAddress(state, source, caseId, levelId),
  }
}

function takersOf(
  state: ProjectState,
  floor: FloorState,
  sources: readonly LoadedRegion[],
  typed: readonly Share[],
): readonly PanelTakerView[] {
  const { toBeams, toColumns, plan } = floor.operator
  const more = forcesOn(typed)
  const turning = turningOf(sources, typed)
  const all = (list: typeof plan.frame.beams | typeof plan.frame.columns, regions: ReadonlyMap<number, number>) =>
    list.flatMap((taker, row) => {
      const [fromRegions, fromTyped] = [regions.get(row), more.get(taker.member.id)]
      return fromRegions === undefined && fromTyped === undefined
        ? []
        : [[taker, (fromRegions ?? 0) + (fromTyped ?? 0)] as const]
    })
  const taken = [
    ...all(plan.frame.beams, forcesOfRegions(toBeams, sources)).map(
      ([taker, force]) => ['beam', taker, force] as const,
    ),
    ...all(plan.frame.columns, forcesOfRegions(toColumns, sources)).map(
      ([taker, force]) => ['column', taker, force] as const,
    ),
  ]
  const total = taken.reduce((sum, [, , force]) => sum + force, 0)
  return taken.map(([kind, taker, force]) => {
    const { id } = taker.member
    return {
      kind,
      expandedId: expandedAt(floor, id),
      label: labelOf(state.document, id),
      force,
      turning: turning.get(id) ?? 0,
      share: total === 0 ? 0 : force / total,
    }
  })
}

/** Moments of loaded regions and of area loads about the axes of members. */
function turningOf(sources: readonly LoadedRegion[], typed: readonly Share[]): ReadonlyMap<string, number> {
  const found = new Map<string, number>()
  const put = (share: Share, factor: number) => {
    for (const [member, moment] of turnsByMember(share)) found.set(member, (found.get(member) ?? 0) + factor * moment)
  }
  for (const { source, intensity } of sources) put(source.share, intensity)
  for (const share of typed) put(share, 1)
  return found
}

/** Forces of loaded regions by row of what takes them. */
function forcesOfRegions(
  { start, index, value }: SparseRows,
  sources: readonly LoadedRegion[],
): ReadonlyMap<number, number> {
  const forces = new Map<number, number>()
  for (const { row, intensity } of sources)
    for (let e = start[row] ?? 0; e < (start[row + 1] ?? 0); e++) {
      const taker = index[e] ?? 0
      forces.set(taker, (forces.get(taker) ?? 0) + (value[e] ?? 0) * intensity)
    }
  return forces
}
