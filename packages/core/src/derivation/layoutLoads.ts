import { caseOfTyped, typedLoadsOf, valueAt } from '../actions/typedLoads'
import type { KeyLoads } from '../actions/keyLoads'
import { trussLengths, trussParts } from '../building/truss'
import { recordsOf, type Document } from '../document/document'
import type { BuildUp, LoadKey, Member, Panel, Stair, Strut, WallRun } from '../document/recordKinds'
import {
  materialWeight,
  memberStock,
  panelSlab,
  sectionArea,
  stairStock,
  trussShape,
  wallStock,
  type SlopeShape,
  type TrussShape,
} from '../document/shapes'
import type { Standard } from '../standards/layer'
import type { Depths } from './heads'
import { byLayout } from './byLayout'
import type { SolvedLayout } from './layouts'
import { weightsStage, type KeysInUse, type OwnWeights, type TrussWeight, type TypedIntensity } from './loads'
import type { Memo } from './memo'
import { stage } from './stage'

/** What a layout contributes to every level that it stands on. */
export interface LayoutLoads extends SolvedLayout {
  readonly runs: readonly WallRun[]
  readonly wallBuildUps: readonly BuildUp[]
  readonly weights: OwnWeights
  readonly beamDepths: Depths
  readonly slabDepths: Depths
  readonly keys: readonly KeyLoads[]
  readonly keyOf: KeysInUse
  readonly typed: readonly TypedIntensity[]
}

/** The load keys that each layout uses: its default, then those of its patches and flights of stairs. */
export function keysInUse(document: Document): (layoutId: string) => KeysInUse {
  const patches = byLayout(recordsOf(document, 'patch'))
  const stairs = byLayout(recordsOf(document, 'stair'))
  return (layoutId) => {
    const layout = document.records.get(layoutId)
    const own = layout?.kind === 'layout' ? layout.defaultKey : null
    const others = [...(patches.get(layoutId) ?? []), ...(stairs.get(layoutId) ?? [])]
    return [['default', own], ...others.map(({ id, key }) => [id, key] as const)].filter(
      (entry): entry is [string, LoadKey['id']] => entry[1] !== null,
    )
  }
}

export function layoutLoads(
  memo: Memo,
  document: Document,
  solved: ReadonlyMap<string, SolvedLayout>,
  keys: ReadonlyMap<string, KeyLoads>,
  standard: Standard,
): ReadonlyMap<string, LayoutLoads> {
  const members = byLayout(recordsOf(document, 'member'))
  const struts = byLayout(recordsOf(document, 'strut'))
  const panels = byLayout(recordsOf(document, 'panel'))
  const stairs = byLayout(recordsOf(document, 'stair'))
  const keysOf = keysInUse(document)
  const runs = byLayout(recordsOf(document, 'wallRun'))
  const typed = byLayout(typedLoadsOf(document))
  return new Map(
    [...solved].map(([id, layout]) => {
      const [ownMembers, ownPanels] = [members.get(id) ?? [], panels.get(id) ?? []]
      const keyOf = keysOf(id)
      const used = [...new Set(keyOf.map(([, key]) => key))].sort()
      return [
        id,
        {
          ...layout,
          runs: runs.get(id) ?? [],
          wallBuildUps: buildUpsOf(document, runs.get(id) ?? []),
          weights: weightsOf(memo, document, layout.operator.plan.slopes, {
            members: ownMembers,
            struts: struts.get(id) ?? [],
            panels: ownPanels,
            stairs: stairs.get(id) ?? [],
          }),
          beamDepths: ownMembers.map((member) => [member.id, depthOf(document, member)] as const),
          slabDepths: ownPanels.flatMap(({ id: panel, slab }) => (slab ? [[panel, slab.thickness] as const] : [])),
          keys: used.flatMap((key) => keys.get(key) ?? []),
          keyOf,
          typed: (typed.get(id) ?? []).flatMap((load): TypedIntensity[] => {
            const caseId = caseOfTyped(load, standard)
            return caseId === null ? [] : [{ id: load.id, caseId, start: load.value, end: valueAt(load, 'end') }]
          }),
        },
      ]
    }),
  )
}

/** Only those that a wall of the layout is made of. */
function buildUpsOf(document: Document, runs: readonly WallRun[]): readonly BuildUp[] {
  const used = new Set<string>(runs.flatMap(({ buildUp }) => buildUp ?? []))
  return used.size === 0 ? [] : recordsOf(document, 'buildUp').filter(({ id }) => used.has(id))
}

/** A wall under the slab is no deeper than it. */
function depthOf(document: Document, member: Member): number {
  if (member.role === 'wall') return 0
  const section = document.records.get(member.section)
  return section?.kind === 'section' ? section.depth : 0
}

/** Only sections and materials in use go in, so that others can change without a new result. */
function weightsOf(
  memo: Memo,
  document: Document,
  slopes: readonly SlopeShape[],
  { members, struts, panels, stairs }: OfLayout,
): OwnWeights {
  const used = new Set<string>()
  for (const { section, material } of [...members, ...struts]) used.add(section).add(material)
  const trusses = members.filter(({ truss }) => truss !== null)
  for (const { truss } of trusses) if (truss) used.add(truss.bottomSection).add(truss.webSection)
  for (const { material } of stairs) used.add(material)
  for (const { slab } of panels) if (slab) used.add(slab.material)
  const inUse = <T extends { readonly id: string }>(records: readonly T[]) => records.filter(({ id }) => used.has(id))
  return memo.get(
    weightsStage,
    // a wall weighs by its stretches, not along itself
    [...members.filter(({ role }) => role !== 'wall'), ...struts].map(memberStock),
    members.filter(({ role }) => role === 'wall').map(wallStock),
    panels.map(panelSlab),
    inUse(recordsOf(document, 'section')).map(sectionArea),
    inUse(recordsOf(document, 'material')).map(materialWeight),
    trusses.map((member) => memo.get(trussStage, trussShape(member), slopes)),
    stairs.map(stairStock),
    recordsOf(document, 'basis')[0]?.selfWeightFactor ?? 1,
  )
}

interface OfLayout {
  readonly members: readonly Member[]
  readonly struts: readonly Strut[]
  readonly panels: readonly Panel[]
  readonly stairs: readonly Stair[]
}

const trussStage = stage('truss', (shape: TrussShape, slopes: readonly SlopeShape[]): TrussWeight => ({
  member: shape.id,
  bottom: shape.truss?.bottomSection ?? '',
  web: shape.truss?.webSection ?? '',
  lengths: trussLengths(trussParts(shape, slopes)),
}))
