import { useMemo } from 'react'
import {
  isLateral,
  isTypedLoad,
  windDirectionOf,
  type Layout,
  type Patch,
  type Rec,
  type ReductionRegion,
  type Barrier,
  type Stair,
  type TypedLoad,
  type WallRun,
  type WallSurface,
} from '@hedrion/core'
import { useAnswer, useRecord } from '../../compute/SessionContext'
import { useCaseId } from '../../drawing/useCaseInView'
import { useLevel } from '../../drawing/useLevel'
import { PickedTools, usePicked } from '../../sheet/PickedTools'
import { Scope } from '../../sheet/Scope'
import { Note, Section, Sheet } from '../../sheet/Sheet'
import { Later } from '../../ui/Later'
import { BarrierLines } from './BarrierLines'
import { EdgesOfLayout } from './EdgesOfLayout'
import { KeyLines } from './KeyLines'
import { KeySums } from './KeySums'
import { FloorLines, WallsOfLayout } from './LayoutLines'
import { PatchLines } from './PatchLines'
import { ReductionRegionLines } from './ReductionRegionLines'
import { SelfWeightLine } from './SelfWeightLine'
import { StairLines } from './StairLines'
import { LoadTable } from './LoadTable'
import { StoreyForcesList, StoreyForcesSheet } from './StoreyForcesSheet'
import { TypedLoadLines, TypedLoadsOfLayout } from './TypedLoadLines'
import { WallEditor, WallLines } from './WallLines'
import { WallMakers } from './WallMakers'
import { WallSurfaceLines } from './WallSurfaceLines'
import { WallTable } from './WallTable'
import { WindSheet } from './WindSheet'

/** Gravity actions of the level in view, or wind where a wind case is looked at. */
export function ActionsSheet() {
  const { level } = useLevel()
  const overview = useAnswer({ kind: 'overview' })
  const caseId = useCaseId()
  const layout = useRecord(level?.layoutId)
  const picked = usePicked()
  const { patches, runs, typed, stairs, barriers, regions, surfaces } = useMemo(() => byKind(picked), [picked])
  if (windDirectionOf(caseId) && surfaces.length === 0) return <WindSheet caseId={caseId} />
  if (isLateral(caseId)) return <StoreyForcesSheet caseId={caseId} />
  if (!level || layout?.kind !== 'layout')
    return (
      <Sheet title="Actions">
        <Note>No level has a layout yet. Start in Building.</Note>
      </Sheet>
    )
  const loaded = [...patches, ...runs, ...typed, ...stairs, ...barriers, ...regions, ...surfaces]
  const levels = (overview?.levels ?? []).filter(({ layoutId }) => layoutId === layout.id).map(({ name }) => name)
  return (
    <Sheet
      title={loaded.length === 0 ? `Level ${level.name}` : pickedTitle(loaded)}
      scope={loaded.length > 0 ? <Scope records={loaded} edited /> : layoutScope(layout, levels)}
    >
      <PatchLines patches={patches} />
      <TypedLoadLines loads={typed} />
      <StairLines stairs={stairs} />
      <BarrierLines barriers={barriers} />
      <ReductionRegionLines regions={regions} />
      <WallSurfaceLines surfaces={surfaces} levelId={level.id} caseId={caseId} />
      <PickedRuns runs={runs} levelId={level.id} />
      {loaded.length > 0 && (
        <Later after={5}>
          <PickedTools />
        </Later>
      )}
      <WallMakers picked={picked} layout={layout} levelId={level.id} />
      <FloorLines layout={layout} levelId={level.id} />
      <Later>
        <WallsOfLayout layout={layout} levelId={level.id} />
        <TypedLoadsOfLayout layout={layout} levelId={level.id} />
        <EdgesOfLayout layout={layout} levelId={level.id} />
        <LoadTable layout={layout} />
        <WallTable layout={layout} />
      </Later>
      <Later after={2}>
        <KeySums levelId={level.id} levelName={level.name} />
        <KeyLines layout={layout} />
        <SelfWeightLine />
        <StoreyForcesList />
      </Later>
    </Sheet>
  )
}

const byKind = (picked: readonly Rec[]) => ({
  patches: picked.filter((record) => record.kind === 'patch'),
  runs: picked.filter((record) => record.kind === 'wallRun'),
  typed: picked.filter((record) => isTypedLoad(record)),
  stairs: picked.filter((record) => record.kind === 'stair'),
  barriers: picked.filter((record) => record.kind === 'barrier'),
  surfaces: picked.filter((record) => record.kind === 'wallSurface'),
  regions: picked.filter((record) => record.kind === 'reductionRegion'),
})

const words = {
  patch: ['Patch', 'patches'],
  wallRun: ['Wall run', 'wall runs'],
  lineLoad: ['Line load', 'line loads'],
  pointLoad: ['Point load', 'point loads'],
  areaLoad: ['Area load', 'area loads'],
  stair: ['Flight', 'flights of stairs'],
  barrier: ['Barrier', 'barriers'],
  reductionRegion: ['Reduction region', 'reduction regions'],
  wallSurface: ['Pressure surface', 'pressure surfaces'],
} as const

/** One by its label, several of a kind by their number, else how many are picked. */
function pickedTitle(
  loaded: readonly (Patch | WallRun | TypedLoad | Stair | Barrier | ReductionRegion | WallSurface)[],
): string {
  const [first, second] = loaded
  if (!first) return ''
  if (!second) return `${words[first.kind][0]} ${first.label}`
  const alike = loaded.every(({ kind }) => kind === first.kind)
  return `${loaded.length} ${alike ? words[first.kind][1] : 'picked'}`
}

const layoutScope = ({ name }: Layout, levels: readonly string[]): string =>
  levels.length > 1 ? `layout “${name}”, on levels ${levels.join(', ')}` : `layout “${name}”`

/** One wall run with its picture; several with one set of fields, while their lines among the walls of the level are lit. */
function PickedRuns({ runs, levelId }: { readonly runs: readonly WallRun[]; readonly levelId: string }) {
  const [first] = runs
  if (!first) return null
  if (runs.length === 1) return <WallLines run={first} levelId={levelId} open />
  return (
    <Section title="Weight and height">
      <WallEditor runs={runs} />
    </Section>
  )
}
