import type { Drawn } from '@hedrion/core'
import { useRecord } from '../../compute/SessionContext'
import { useLevel } from '../../drawing/useLevel'
import { PickedTools, usePicked } from '../../sheet/PickedTools'
import { Scope } from '../../sheet/Scope'
import { Sheet } from '../../sheet/Sheet'
import { Later } from '../../ui/Later'
import { GridLines } from './GridLines'
import { LevelLines } from './LevelLines'
import { MemberLines } from './MemberLines'
import { MemberTable } from './MemberTable'
import { OpeningLines } from './OpeningLines'
import { PanelLines } from './PanelLines'
import { PlanFile } from './PlanFile'
import { RingLines } from './RingLines'
import { SlopeLines } from './SlopeLines'
import { StiffLines } from './StiffLines'
import { StockLines } from './StockLines'
import { StrutLines } from './StrutLines'

/** What is picked, then levels, grid, sections and materials. */
export function BuildingSheet() {
  const picked = usePicked()
  const { level } = useLevel()
  const layout = useRecord(level?.layoutId)
  const title =
    picked.length === 0 ? 'Building' : picked.length === 1 ? (picked[0]?.label ?? '') : `${picked.length} selected`
  return (
    <Sheet title={title} scope={picked.length > 0 ? <Scope records={picked} edited /> : undefined}>
      <PickedLines picked={picked} />
      <PickedTools />
      <Later>
        <LevelLines />
      </Later>
      <Later after={3}>
        <GridLines />
      </Later>
      <Later after={4}>{layout?.kind === 'layout' && <RingLines layout={layout} />}</Later>
      <Later after={4}>{layout?.kind === 'layout' && <MemberTable layout={layout} />}</Later>
      <Later after={5}>{layout?.kind === 'layout' && <PlanFile layout={layout} />}</Later>
      <Later after={5}>
        <StockLines />
      </Later>
    </Sheet>
  )
}

/** What is picked, kind by kind. */
function PickedLines({ picked }: { readonly picked: readonly Drawn[] }) {
  const members = picked.filter((record) => record.kind === 'member')
  const panels = picked.filter((record) => record.kind === 'panel')
  const slopes = picked.filter((record) => record.kind === 'slope')
  const struts = picked.filter((record) => record.kind === 'strut')
  const stiff = picked.filter((record) => record.kind === 'stiffElement')
  const openings = picked.filter((record) => record.kind === 'opening')
  return (
    <>
      {members.length > 0 && <MemberLines members={members} />}
      {panels.length > 0 && <PanelLines panels={panels} />}
      {slopes.length > 0 && <SlopeLines slopes={slopes} />}
      {struts.length > 0 && <StrutLines struts={struts} />}
      {stiff.length > 0 && <StiffLines elements={stiff} />}
      {openings.map((opening) => (
        <OpeningLines key={opening.id} opening={opening} />
      ))}
    </>
  )
}
