import { largest } from '../outcome/lists'
import { bearersOf, type Bearer } from '../building/bearers'
import type { Column, FramePlan } from '../building/frame'
import { framePlan } from '../building/framePlan'
import { islandsOf, planPanel, type PanelPlan } from '../building/panelRegions'
import { wallSegments, type WallSegment } from '../building/wallSegments'
import { recordsOf, type Document } from '../document/document'
import { once } from '../outcome/once'
import type { Basis, Panel } from '../document/recordKinds'
import {
  areaLoadShape,
  lineLoadShape,
  memberShape,
  openingShape,
  panelShape,
  patchShape,
  pointLoadShape,
  slopeShape,
  stairShape,
  strutShape,
  wallShape,
  type AreaLoadShape,
  type LineLoadShape,
  type MemberShape,
  type OpeningShape,
  type PanelShape,
  type PatchShape,
  type PointLoadShape,
  type SlopeShape,
  type StairShape,
  type StrutShape,
  type WallShape,
} from '../document/shapes'
import { nearby } from '../geometry/nearby'
import type { Point } from '../geometry/point'
import type { Ring } from '../geometry/polygon'
import { present } from '../outcome/assert'
import { layoutOperator, type LayoutOperator } from '../rundown/operator'
import { beamSource, regionSource, wallSource, type LayoutPlan, type Source } from '../rundown/sources'
import { feetUnder } from '../sharing/feetUnder'
import { evenEnds, type Ends } from '../sharing/lineEnds'
import { carriersAmong, usualLimits, type Limits } from '../sharing/rails'
import { byLayout } from './byLayout'
import { elasticUnder, noStock, stockOf, type Stock } from './elastic'
import type { Memo } from './memo'
import {
  areaShareStage,
  forceShareStage,
  notPlated,
  panelShareStage,
  plateStage,
  wallShareStage,
  type AreaShares,
  type Plated,
  type Shares,
} from './panelShares'
import { stage } from './stage'
import { typedSources } from './typedSources'

const frameStage = stage(
  'frame',
  (members: readonly MemberShape[]): FramePlan => framePlan(members),
  ({ beams, columns }) => 400 * beams.length + 200 * columns.length,
)

/** What is cut out of a panel. */
interface Holed {
  readonly id: string
  readonly outline: Ring
}

const panelStage = stage(
  'panel',
  (
    panel: PanelShape,
    openings: readonly Holed[],
    patches: readonly PatchShape[],
    slopes: readonly SlopeShape[],
  ): PanelPlan => planPanel(panel, openings, patches, slopes),
)

const segmentsStage = stage('wallSegments', (run: WallShape): { readonly segments: readonly WallSegment[] } => ({
  segments: wallSegments(run),
}))

const operatorStage = stage(
  'operator',
  (
    frame: FramePlan,
    panels: readonly PanelPlan[],
    panelShares: readonly Shares[],
    walls: readonly { readonly run: WallShape; readonly segment: WallSegment }[],
    wallShares: readonly Shares[],
    typed: readonly Source[],
    slopes: readonly SlopeShape[],
  ): LayoutOperator => {
    const shareAt = (list: readonly Shares[], i: number, k: number) => present(list[i]?.shares[k], `share ${i}/${k}`)
    const plan: LayoutPlan = {
      frame,
      panels,
      slopes,
      sources: [
        ...panels.flatMap((panel, i) =>
          panel.regions.map((region, k) => regionSource(panel, region, shareAt(panelShares, i, k))),
        ),
        ...walls.map(({ run, segment }, i) => wallSource(run, segment, shareAt(wallShares, i, 0))),
        ...typed,
        ...frame.beams.map((beam) => beamSource(beam, slopes)),
      ],
    }
    return layoutOperator(plan)
  },
  ({ toSupports, plan }) => 12 * toSupports.index.length + 300 * plan.sources.length,
)

/** How a line that stands on a layout is shared: one unit of load to its length, or straight between values at its ends. */
export type LineShare = (segment: WallSegment, ends?: Ends) => Shares

/** What is solved of a layout. */
export interface SolvedLayout {
  readonly operator: LayoutOperator
  readonly lineShare: LineShare
  /** By action of which some members take no load. */
  readonly lineShareOf: ReadonlyMap<string, LineShare>
}

/** Every layout that stands on a level, solved, by its id. */
export function deriveLayouts(
  memo: Memo,
  document: Document,
  layoutIds: readonly string[],
): ReadonlyMap<string, SolvedLayout> {
  const grouped = {
    members: byLayout(recordsOf(document, 'member')),
    panels: byLayout(recordsOf(document, 'panel')),
    openings: byLayout(recordsOf(document, 'opening')),
    patches: byLayout(recordsOf(document, 'patch')),
    wallRuns: byLayout(recordsOf(document, 'wallRun')),
    lineLoads: byLayout(recordsOf(document, 'lineLoad')),
    pointLoads: byLayout(recordsOf(document, 'pointLoad')),
    areaLoads: byLayout(recordsOf(document, 'areaLoad')),
    stairs: byLayout(recordsOf(document, 'stair')),
    slopes: byLayout(recordsOf(document, 'slope')),
    struts: byLayout(recordsOf(document, 'strut')),
  }
  forgetOthers(memo, layoutIds)
  const limits = limitsOf(document)
  return new Map(
    layoutIds.map((id) => [
      id,
      solvedOf(
        memo,
        id,
        {
          ...stockOfPlates(document, id, grouped.panels.get(id)),
          members: (grouped.members.get(id) ?? []).map(memberShape),
          panels: (grouped.panels.get(id) ?? []).map(panelShape),
          openings: (grouped.openings.get(id) ?? []).map(openingShape),
          patches: (grouped.patches.get(id) ?? []).map(patchShape),
          wallRuns: (grouped.wallRuns.get(id) ?? []).map(wallShape),
          lineLoads: (grouped.lineLoads.get(id) ?? []).map(lineLoadShape),
          pointLoads: (grouped.pointLoads.get(id) ?? []).map(pointLoadShape),
          areaLoads: (grouped.areaLoads.get(id) ?? []).map(areaLoadShape),
          stairs: (grouped.stairs.get(id) ?? []).map(stairShape),
          slopes: (grouped.slopes.get(id) ?? []).map(slopeShape),
          struts: (grouped.struts.get(id) ?? []).map(strutShape),
        },
        limits,
      ),
    ]),
  )
}

const asLimits = once(({ supportReach, spanLimit }: Basis): Limits =>
  Object.freeze({ reach: supportReach, along: spanLimit }),
)

/** What counts as a support of panels in this project. */
export function limitsOf(document: Document): Limits {
  const [basis] = recordsOf(document, 'basis')
  return basis ? asLimits(basis) : usualLimits
}

const isPlate = ({ sharing }: Pick<PanelShape, 'sharing'>): boolean => sharing === 'stiffness'

/** Sections and slabs count for no other rule: a change of one solves nothing else again. */
const stockOfPlates = (document: Document, layoutId: string, panels: readonly Panel[] | undefined): Stock =>
  panels?.some(isPlate) ? stockOf(document, layoutId) : noStock

export interface LayoutShapes extends Stock {
  readonly members: readonly MemberShape[]
  readonly panels: readonly PanelShape[]
  readonly openings: readonly OpeningShape[]
  readonly patches: readonly PatchShape[]
  readonly wallRuns: readonly WallShape[]
  readonly lineLoads: readonly LineLoadShape[]
  readonly pointLoads: readonly PointLoadShape[]
  readonly areaLoads: readonly AreaLoadShape[]
  readonly stairs: readonly StairShape[]
  readonly slopes: readonly SlopeShape[]
  readonly struts: readonly StrutShape[]
}

/** Of each layout the last shapes and what came of them: the same objects again need not be looked through. */
const lastOf = once<Memo, Map<string, { shapes: LayoutShapes; limits: Limits; solved: SolvedLayout }>>(() => new Map())

function solvedOf(memo: Memo, layoutId: string, shapes: LayoutShapes, limits: Limits): SolvedLayout {
  const known = lastOf(memo)
  const last = known.get(layoutId)
  if (last && sameLimits(last.limits, limits) && sameShapes(last.shapes, shapes)) return last.solved
  const solved = withVariants(memo, shapes, limits)
  known.set(layoutId, { shapes, limits, solved })
  return solved
}

function forgetOthers(memo: Memo, layoutIds: readonly string[]): void {
  const known = lastOf(memo)
  for (const id of known.keys()) if (!layoutIds.includes(id)) known.delete(id)
}

const sameLimits = (a: Limits, b: Limits): boolean => a.reach === b.reach && a.along === b.along

const sameShapes = (a: LayoutShapes, b: LayoutShapes): boolean =>
  (Object.keys(a) as (keyof LayoutShapes)[]).every((kind) => {
    const [before, now]: readonly (readonly object[])[] = [a[kind], b[kind]]
    return before?.length === now?.length && (now ?? []).every((shape, i) => shape === before?.[i])
  })

const variantsStage = stage(
  'variants',
  (operator: LayoutOperator, actions: readonly string[], operators: readonly LayoutOperator[]): LayoutOperator => ({
    ...operator,
    variants: new Map(actions.flatMap((action, i) => (operators[i] ? [[action, operators[i]] as const] : []))),
  }),
)

/** The operator for all actions, and one for each action of which some members take no load. */
function withVariants(memo: Memo, shapes: LayoutShapes, limits: Limits): SolvedLayout {
  const solved = solve(memo, shapes, limits)
  const actions = [...new Set(shapes.members.flatMap(({ sparedActions }) => sparedActions))].sort()
  if (actions.length === 0) return solved
  const variants = actions.map((action) =>
    solve(memo, { ...shapes, members: shapes.members.map(sparing(action)) }, limits),
  )
  const operators = variants.map(({ operator }) => operator)
  return {
    operator: memo.get(variantsStage, solved.operator, actions, operators),
    lineShare: solved.lineShare,
    lineShareOf: new Map(actions.flatMap((action, i) => (variants[i] ? [[action, variants[i].lineShare]] : []))),
  }
}

const sparing = (action: MemberShape['sparedActions'][number]) => (member: MemberShape) =>
  member.sparedActions.includes(action) ? takingNone(member) : member

const takingNone = once((member: MemberShape): MemberShape => Object.freeze({ ...member, takesLoad: false }))

function solve(memo: Memo, shapes: LayoutShapes, limits: Limits): SolvedLayout {
  const frame = memo.get(frameStage, shapes.members)
  const plans = plansOf(memo, shapes)
  const { panelShare, lineShare, forceShare, areaShare } = sharingOf(memo, shapes, frame, plans, limits)
  const walls = shapes.wallRuns.flatMap((run) =>
    memo.get(segmentsStage, run).segments.map((segment) => ({ run, segment })),
  )
  const panelShares = plans.map(panelShare)
  const wallShares = walls.map(({ segment }) => lineShare(segment))
  const typed = typedSources(shapes, { lineShare, forceShare, areaShare })
  const operator = memo.get(operatorStage, frame, plans, panelShares, walls, wallShares, typed, shapes.slopes)
  return { operator, lineShare, lineShareOf: new Map() }
}

/** What a panel leaves out of an island: where it is, whatever else it is. */
const islandShape = once(({ id, outline }: PanelShape): Holed => Object.freeze({ id, outline }))

/** Panels, with the openings, islands, patches and slopes that lie over each. */
function plansOf(memo: Memo, { panels, openings, patches, slopes }: LayoutShapes): readonly PanelPlan[] {
  const openingsNear = among(openings, outlines(openings))
  const slopesNear = among(slopes, outlines(slopes))
  const patchesNear = among(patches, outlines(patches))
  const panelsNear = among(panels, outlines(panels))
  return panels.map((panel) => {
    const [holes, islands] = [openingsNear(panel.outline), islandsOf(panel, panelsNear(panel.outline))]
    const out = islands.length === 0 ? holes : [...holes, ...islands.map(islandShape)]
    return memo.get(panelStage, panel, out, patchesNear(panel.outline), slopesNear(panel.outline))
  })
}

/** How panels, lines and points of a layout share: each asks for no more than what is near it. */
function sharingOf(memo: Memo, shapes: LayoutShapes, frame: FramePlan, plans: readonly PanelPlan[], limits: Limits) {
  const carriers = carriersAmong(frame.beams)
  const carriersNear = among(
    carriers,
    carriers.map(({ a, b }) => [a, b]),
    Math.max(limits.reach, largest(shapes.panels.map(({ supportReach }) => supportReach ?? 0))),
  )
  const columnsNear = among(frame.columns, placesOf(frame.columns))
  const plansNear = among(plans, outlines(shapes.panels))
  const slopesNear = among(shapes.slopes, outlines(shapes.slopes))
  // columns count where a panel hands its load to its corners, or is a plate; others need not know of them
  const columnsUnder = (under: readonly PanelPlan[]): readonly Column[] =>
    under
      .filter(({ panel }) => panel.sharing === 'corners' || isPlate(panel))
      .flatMap(({ panel }) => columnsNear(panel.outline))
  const plateUnder = (plan: PanelPlan): Plated => {
    const near = carriersNear(plan.panel.outline)
    const elastic = elasticUnder(shapes, frame, plan.panel.id, near)
    return memo.get(plateStage, plan, near, columnsUnder([plan]), limits, elastic)
  }
  // what makes a panel stiff is looked for once, however many walls stand on it
  const plates = new Map(plans.filter(({ panel }) => isPlate(panel)).map((plan) => [plan, plateUnder(plan)]))
  // how well a member bears counts where several meet at a point: under a force, or under the corner of a panel that rests on those
  const bearerOf = new Map(bearersOf(frame).map((bearer) => [bearer.member, bearer]))
  const bearersAt = (at: Point): readonly Bearer[] => {
    const feet = feetUnder(at, carriersNear([at]))
    return feet.length < 2 ? [] : feet.flatMap(({ member }) => bearerOf.get(member) ?? [])
  }
  const bearersUnder = (under: readonly PanelPlan[]): readonly Bearer[] =>
    under.filter(({ panel }) => panel.sharing === 'corners').flatMap(({ panel }) => panel.outline.flatMap(bearersAt))
  const platesUnder = (under: readonly PanelPlan[]): readonly Plated[] =>
    under.map((plan) => plates.get(plan) ?? notPlated)
  // what a line or a point can land on: the panels there, and the members near them
  const groundUnder = (...points: readonly Point[]) => {
    const under = plansNear(points)
    return [carriersNear([...points, ...under.flatMap(({ panel }) => panel.outline)]), under] as const
  }
  return {
    panelShare: (plan: PanelPlan): Shares => {
      const plated = plates.get(plan) ?? notPlated
      const [near, columns, bearers] = [carriersNear(plan.panel.outline), columnsUnder([plan]), bearersUnder([plan])]
      return memo.get(panelShareStage, plan, near, columns, bearers, limits, plated)
    },
    lineShare: (segment: WallSegment, ends: Ends = evenEnds): Shares => {
      const [near, under] = groundUnder(segment.a, segment.b)
      const [columns, bearers] = [columnsUnder(under), bearersUnder(under)]
      return memo.get(wallShareStage, segment, ends, near, columns, bearers, limits, under, platesUnder(under))
    },
    areaShare: (load: AreaLoadShape): AreaShares => {
      const [near, under] = groundUnder(...load.outline)
      const slopes = load.measured === 'plan' ? [] : slopesNear(load.outline)
      const [columns, bearers] = [columnsUnder(under), bearersUnder(under)]
      return memo.get(areaShareStage, load, slopes, near, columns, bearers, limits, under, platesUnder(under))
    },
    forceShare: (at: Point): Shares => {
      const [near, under] = groundUnder(at)
      const columns = [...new Set([...columnsNear([at]), ...columnsUnder(under)])]
      const bearers = [...bearersAt(at), ...bearersUnder(under)]
      return memo.get(forceShareStage, at, near, columns, bearers, limits, under, platesUnder(under))
    },
  }
}

const placesOf = (columns: readonly Column[]): readonly Ring[] => columns.map(({ at }) => [at])

const outlines = (shapes: readonly { readonly outline: Ring }[]): readonly Ring[] =>
  shapes.map(({ outline }) => outline)

/** The things of a list whose box touches that of a ring. */
function among<T>(things: readonly T[], points: readonly Ring[], tolerance?: number): (ring: Ring) => readonly T[] {
  const near = nearby(points, tolerance)
  return (ring) => near(ring).flatMap((i) => things[i] ?? [])
}
