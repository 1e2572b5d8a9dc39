import { largest, smallest } from '../outcome/lists'
import { isHanger } from '../building/frame'
import { barrierCase } from '../actions/cases'
import { heightOn } from '../building/slopes'
import { stairOutline } from '../building/stairs'
import { barriersOn } from '../derivation/barriers'
import { inwardOf, reachesOf, stretchesOn } from '../derivation/surfaceLoads'
import { readCase } from '../derivation/cells'
import { expandedAt, floorArea, floorSeen, keyOfRegion, memberLoadsIn } from '../derivation/floorQueries'
import type { FloorState } from '../derivation/floorStates'
import type { ProjectState } from '../derivation/project'
import { recordsOf } from '../document/document'
import { labelOf, memberOf, panelOf, sectionOf } from '../document/labels'
import type { Member, Panel, StiffElement, Strut, LoadKey } from '../document/recordKinds'
import type { Point } from '../geometry/point'
import { centroid, type Region } from '../geometry/polygon'
import type { LoadLine, LoadPoint } from '../rundown/memberLines'
import { reductionRegionViews, type ReductionRegionView } from './slabReductionViews'
import { areaLoadViews, typedViews, type AreaLoadView, type TypedLoadView } from './typedLoadViews'

export interface BeamView {
  readonly id: string
  readonly expandedId: string
  readonly label: string
  readonly role: Member['role']
  /** From end to end; more than two points where it is bent or follows a curve. */
  readonly path: readonly Point[]
  readonly section: string
  readonly stable: boolean
  /** Whether panels and walls hand it load. */
  readonly takesLoad: boolean
  /** What lands directly in the case, all sources summed. */
  readonly lines: readonly LoadLine[]
  readonly points: readonly LoadPoint[]
  /** All that lands, with reactions of members that rest on it, N. */
  readonly total: number
}

export interface ColumnView {
  readonly id: string
  readonly expandedId: string
  readonly label: string
  readonly at: Point
  /** Of one that rakes: where its other end is. */
  readonly far: Point | null
  /** Compression at the foot in the case, N; of a hanger tension at its upper end. */
  readonly force: number
  /** It holds its level up from above. */
  readonly hangs: boolean
  /** It belongs to a level above and goes on down here. */
  readonly passing: boolean
}

export interface RegionView {
  readonly id: string
  readonly panelId: string
  readonly expandedId: string
  readonly patchId: string | null
  readonly label: string
  readonly keyId: string | null
  readonly keyName: string
  /** As the key says; null where its place among those on the plan decides. */
  readonly keyHatch: LoadKey['hatch']
  /** Stands before the name in the legend; empty where it has none. */
  readonly keyCode: string
  readonly region: Region
  readonly centre: Point
  readonly area: number
  /** In the case, Pa. */
  readonly pressure: number
  readonly notCarriedArea: number
  readonly spanAngle: number
  readonly sharing: Panel['sharing']
}

export interface WallView {
  readonly id: string
  /** `runId/segment`. */
  readonly pieceId: string
  readonly expandedId: string
  readonly label: string
  readonly a: Point
  readonly b: Point
  /** In the case, N/m. */
  readonly load: number
  readonly notCarriedLength: number
}

/** A flight of stairs as the plan draws it. */
export interface StairView {
  readonly id: string
  readonly expandedId: string
  readonly label: string
  /** Round its rectangle from the lower end. */
  readonly outline: readonly Point[]
  /** The middle of its lower and of its upper end. */
  readonly foot: Point
  readonly head: Point
  /** In the case on each end, N/m of its width. */
  readonly load: number
  /** Of its two ends, the width that nothing carries, m. */
  readonly notCarriedWidth: number
}

export interface BarrierView {
  readonly id: string
  readonly expandedId: string
  readonly label: string
  readonly a: Point
  readonly b: Point
  readonly outward: Point
  /** N/m outwards in the case of barriers, else 0. */
  readonly load: number
  /** N/m whatever the case; null where nothing says how much. */
  readonly value: number | null
}

/** One straight stretch of a wall surface below the level, as the plan draws it. */
export interface SurfaceOnPlan {
  readonly expandedId: string
  readonly label: string
  readonly a: Point
  readonly b: Point
  /** Unit vector from outside inwards. */
  readonly inward: Point
  /** In the case, Pa towards its face. */
  readonly top: number
  readonly foot: number
  /** N inwards, and what of it nothing holds. */
  readonly applied: number
  readonly notCarried: number
}

/** A plane of the roof over the level, with the heights of its lowest and highest point over it. */
export interface SlopeView {
  readonly id: string
  readonly expandedId: string
  readonly label: string
  readonly outline: readonly Point[]
  readonly pitch: number
  readonly uphill: number
  readonly low: number
  readonly high: number
}

/** A member in space, as the plan sees it; heights over the level. */
export interface StrutView {
  readonly id: string
  readonly expandedId: string
  readonly label: string
  readonly role: Strut['role']
  readonly a: Point
  readonly b: Point
  readonly startHeight: number
  readonly endHeight: number
  readonly notCarried: number
}

export interface OpeningView {
  readonly id: string
  readonly expandedId: string
  readonly label: string
  readonly outline: readonly Point[]
}

/** What holds the floor against horizontal forces: its own elements, not those that pass it from above. */
export interface StiffView {
  readonly id: string
  readonly expandedId: string
  readonly label: string
  readonly sort: StiffElement['sort']
  readonly a: Point
  readonly b: Point
}

/** One level as the plan draws it, for one case. */
export interface FloorView {
  readonly levelId: string
  readonly layoutId: string
  readonly name: string
  readonly elevation: number
  readonly beams: readonly BeamView[]
  readonly columns: readonly ColumnView[]
  readonly regions: readonly RegionView[]
  readonly walls: readonly WallView[]
  readonly typed: readonly TypedLoadView[]
  readonly areaLoads: readonly AreaLoadView[]
  readonly openings: readonly OpeningView[]
  readonly slopes: readonly SlopeView[]
  readonly struts: readonly StrutView[]
  readonly stairs: readonly StairView[]
  readonly barriers: readonly BarrierView[]
  readonly wallSurfaces: readonly SurfaceOnPlan[]
  readonly stiff: readonly StiffView[]
  readonly reductionRegions: readonly ReductionRegionView[]
  readonly area: number
}

export function floorView(state: ProjectState, levelId: string, caseId: string): FloorView | null {
  const floor = floorSeen(state, levelId, caseId)
  if (!floor) return null
  const layoutId = floor.floor.layoutId ?? ''
  return {
    levelId,
    layoutId,
    name: floor.level.name,
    elevation: floor.level.elevation,
    beams: beamViews(state, floor, caseId),
    columns: columnViews(state, floor, caseId),
    regions: regionViews(state, floor, caseId),
    walls: wallViews(state, floor, caseId),
    typed: typedViews(state, floor, caseId),
    areaLoads: areaLoadViews(state, floor, caseId),
    openings: recordsOf(state.document, 'opening')
      .filter(({ layout }) => layout === layoutId)
      .map(({ id, label, outline }) => ({ id, expandedId: expandedAt(floor, id), label, outline })),
    slopes: slopeViews(state, floor),
    struts: strutViews(state, floor),
    stairs: stairViews(state, floor, caseId),
    barriers: barrierViews(state, floor, caseId),
    wallSurfaces: surfacesOnPlan(state, floor, caseId),
    stiff: stiffViews(state, floor),
    reductionRegions: reductionRegionViews(state, floor),
    area: floorArea(state, floor),
  }
}

function beamViews(state: ProjectState, floor: FloorState, caseId: string): readonly BeamView[] {
  const at = readCase(state, caseId)
  const loads = memberLoadsIn(state, floor, caseId)
  return floor.operator.plan.frame.beams.map(({ member: { id, role, path, takesLoad }, stable }, row) => ({
    id,
    expandedId: expandedAt(floor, id),
    label: labelOf(state.document, id),
    role,
    path,
    stable,
    takesLoad,
    section: sectionOf(state.document, memberOf(state.document, id))?.name ?? '',
    lines: loads[row]?.lines ?? [],
    points: loads[row]?.points ?? [],
    total: at(floor.rundown.beamTotals, row),
  }))
}

function columnViews(state: ProjectState, floor: FloorState, caseId: string): readonly ColumnView[] {
  const force = readCase(state, caseId)
  // the stretches of a wall show as the wall
  return floor.operator.plan.frame.columns.flatMap(({ member, at, far, stretch }, row) =>
    stretch
      ? []
      : [
          {
            id: member.id,
            expandedId: expandedAt(floor, member.id),
            label: labelOf(state.document, member.id),
            at,
            far: far ?? null,
            force: force(floor.rundown.feet, row),
            hangs: isHanger({ member }),
            passing: row >= floor.operator.plan.frame.columns.length - floor.passing,
          },
        ],
  )
}

function hatchOf({ document }: ProjectState, keyId: string | null): Pick<RegionView, 'keyHatch' | 'keyCode'> {
  const key = keyId === null ? undefined : document.records.get(keyId)
  return key?.kind === 'loadKey' ? { keyHatch: key.hatch, keyCode: key.code } : { keyHatch: null, keyCode: '' }
}

function regionViews(state: ProjectState, floor: FloorState, caseId: string): readonly RegionView[] {
  const at = readCase(state, caseId)
  return floor.operator.plan.sources.flatMap((source, row): RegionView[] => {
    if (source.kind !== 'region') return []
    const keyId = keyOfRegion(state, source)
    const { panel } = source.panel
    return [
      {
        id: source.id,
        panelId: panel.id,
        expandedId: expandedAt(floor, panel.id),
        patchId: source.region.patchId,
        label: panelOf(state.document, panel.id)?.label ?? '',
        keyId,
        keyName: keyId ? labelOf(state.document, keyId) : '',
        ...hatchOf(state, keyId),
        region: source.region.region,
        centre: centroid(source.region.region),
        area: source.share.applied,
        pressure: at(floor.intensities, row),
        notCarriedArea: floor.operator.notCarried[row] ?? 0,
        spanAngle: panel.spanAngle,
        sharing: panel.sharing,
      },
    ]
  })
}

function wallViews(state: ProjectState, floor: FloorState, caseId: string): readonly WallView[] {
  const at = readCase(state, caseId)
  return floor.operator.plan.sources.flatMap((source, row): WallView[] =>
    source.kind === 'wall'
      ? [
          {
            id: source.run.id,
            pieceId: source.id,
            expandedId: expandedAt(floor, source.run.id),
            label: labelOf(state.document, source.run.id),
            a: source.segment.a,
            b: source.segment.b,
            load: at(floor.intensities, row),
            notCarriedLength: floor.operator.notCarried[row] ?? 0,
          },
        ]
      : [],
  )
}

const slopeViews = (state: ProjectState, floor: FloorState): readonly SlopeView[] =>
  floor.operator.plan.slopes.map((slope) => {
    const heights = slope.outline.map((corner) => heightOn(slope, corner))
    return {
      id: slope.id,
      expandedId: expandedAt(floor, slope.id),
      label: labelOf(state.document, slope.id),
      outline: slope.outline,
      pitch: slope.pitch,
      uphill: slope.uphill,
      low: smallest(heights),
      high: largest(heights),
    }
  })

const strutViews = (state: ProjectState, floor: FloorState): readonly StrutView[] =>
  floor.operator.plan.sources.flatMap((source, row): StrutView[] => {
    const record = source.kind === 'strut' ? state.document.records.get(source.id) : undefined
    const [a, b] = record?.kind === 'strut' ? record.path : []
    if (record?.kind !== 'strut' || !a || !b) return []
    const { id, label, role, startHeight, endHeight } = record
    const notCarried = floor.operator.notCarried[row] ?? 0
    return [{ id, expandedId: expandedAt(floor, id), label, role, a, b, startHeight, endHeight, notCarried }]
  })

/** A flight's ends carry alike, so that the lower one stands for both. */
function stairViews(state: ProjectState, floor: FloorState, caseId: string): readonly StairView[] {
  const at = readCase(state, caseId)
  const lost = new Map<string, number>()
  floor.operator.plan.sources.forEach((source, row) => {
    if (source.kind !== 'stair') return
    lost.set(source.stair.id, (lost.get(source.stair.id) ?? 0) + (floor.operator.notCarried[row] ?? 0))
  })
  return floor.operator.plan.sources.flatMap((source, row): StairView[] => {
    if (source.kind !== 'stair' || !source.id.endsWith('/0')) return []
    const { id, path } = source.stair
    const [foot = source.a, head = source.b] = path
    return [
      {
        id,
        expandedId: expandedAt(floor, id),
        label: labelOf(state.document, id),
        outline: stairOutline(source.stair),
        foot,
        head,
        load: at(floor.intensities, row),
        notCarriedWidth: lost.get(id) ?? 0,
      },
    ]
  })
}

const stiffViews = ({ document }: ProjectState, floor: FloorState): readonly StiffView[] =>
  recordsOf(document, 'stiffElement').flatMap(({ id, label, sort, layout, path: [a, b] }) =>
    layout === floor.floor.layoutId && a && b ? [{ id, expandedId: expandedAt(floor, id), label, sort, a, b }] : [],
  )

const barrierViews = (state: ProjectState, floor: FloorState, caseId: string): readonly BarrierView[] =>
  barriersOn(state, floor).map(({ barrier: { id, label }, a, b, outward, load }) => {
    const value = load?.load.value ?? null
    return {
      id,
      expandedId: expandedAt(floor, id),
      label,
      a,
      b,
      outward,
      load: caseId === barrierCase ? (value ?? 0) : 0,
      value,
    }
  })

const surfacesOnPlan = (state: ProjectState, floor: FloorState, caseId: string): readonly SurfaceOnPlan[] =>
  stretchesOn(state, floor.level.id, caseId).map(({ stretch, on }) => ({
    expandedId: expandedAt(floor, stretch.surface.id),
    label: stretch.surface.label,
    a: stretch.a,
    b: stretch.b,
    inward: inwardOf(state, stretch),
    top: on?.top ?? 0,
    foot: on?.foot ?? 0,
    applied: on?.share.applied ?? 0,
    notCarried: on ? reachesOf(on).notCarried : 0,
  }))
