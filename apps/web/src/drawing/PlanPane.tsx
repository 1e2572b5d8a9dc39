import { expanded, reachedBy, recordIdOf, type FloorView } from '@hedrion/core'
import { lazy, Suspense, useMemo, useState, type KeyboardEvent, type ReactNode } from 'react'
import styled from 'styled-components'
import { useStore } from 'zustand'
import { useShallow } from 'zustand/react/shallow'
import { useAnswer, useFormat, useRecord, useRecords, useSession } from '../compute/SessionContext'
import { useDeletePicked } from '../compute/picked'
import { useLit } from '../sheet/litStore'
import { useLook } from '../state/look'
import { Drawing, type DrawingProps, type Split } from './Drawing'
import { elevationScene } from './elevationScene'
import { LevelStrip } from './LevelStrip'
import { markOf } from './marks'
import type { SpaceDrawing } from './placing/useDrawingIn'
import type { PlanOptions } from './planOptions'
import { planScene } from './planScene'
import type { Scene } from './scene'
import { useCaseId } from './useCaseInView'
import { useLevel } from './useLevel'
import { pressed } from '../state/shortcuts'

interface PlanPaneProps {
  readonly options: Omit<PlanOptions, 'format' | 'mark' | 'dividing' | 'candidates'>
  /** Whether lines part what goes to one member from what goes to another. */
  readonly divided?: boolean
  /** Whether members at a picked panel are marked by whether they support it. */
  readonly supports?: boolean
  /** Whether area loads stand left of a line, and what members take of them right of it. */
  readonly parted?: boolean
  /** What a step draws on top of the plan of a level. */
  readonly more?: (scene: Scene, floor: FloorView) => Scene
  readonly outlined?: readonly string[]
  /** Panels and members that stand out in space. */
  readonly litInSpace?: readonly string[]
  /** How one draws on the plan, or in the elevation, in view. */
  readonly drawing?: Pick<DrawingProps, 'overlay' | 'onPlace' | 'onHover' | 'onGrab'>
  /** How one draws in space. */
  readonly inSpace?: SpaceDrawing | null
  readonly onKey?: (event: KeyboardEvent) => boolean
  /** Under the picture: a legend, or the line in which places are typed. */
  readonly foot?: ReactNode
}

/** Room for the names of levels, and for storey forces, each on the side where they stand. */
const elevationMargins = {
  plain: { top: 40, right: 118, bottom: 76, left: 46 },
  pushed: { top: 40, right: 124, bottom: 76, left: 124 },
} as const

/** The building for the case in view: the plan of a level, an elevation, or all of it in space. */
export function PlanPane(props: PlanPaneProps) {
  const [look] = useLook()
  if (look.view === 'plan') return <Plan {...props} />
  return look.view === 'space' ? <InSpace {...props} /> : <Elevation {...props} />
}

function InSpace({ options: { area, member }, litInSpace, outlined, inSpace = null, foot }: PlanPaneProps) {
  const { level } = useLevel()
  const reached = useReached(level?.id ?? '')
  const lit = useMemo(() => [...(litInSpace ?? []), ...(outlined ?? []), ...reached], [litInSpace, outlined, reached])
  return (
    <Body>
      <Suspense fallback={<OneMoment>Loading …</OneMoment>}>
        <SpacePane area={area} member={member} lit={lit} drawing={inSpace} />
      </Suspense>
      {foot}
    </Body>
  )
}

// the library that draws in space comes when it is first asked for
const SpacePane = lazy(async () => ({ default: (await import('./space/SpacePane')).SpacePane }))

// each asks for its own picture alone: an elevation of a tower is a large answer
const Plan = (props: PlanPaneProps) => (props.parted ? <PartedPlan {...props} /> : <WholePlan {...props} />)
const WholePlan = (props: PlanPaneProps) => <FlatPane {...props} scene={usePlanScene(props)} />

/** Area loads left of a line, what members take of them right of it. */
function PartedPlan(props: PlanPaneProps) {
  const [part, move] = useState(0.5)
  const { options } = props
  const before = usePlanScene({ ...props, options: { ...options, area: true, member: false, spans: true } })
  const after = usePlanScene({ ...props, options: { ...options, area: false, member: true, spans: false } })
  const split: Split = {
    scene: before,
    label: 'Divider: area loads left, member loads right',
    left: 'area load',
    right: 'member load',
    part,
    onMove: move,
  }
  return <FlatPane {...props} scene={after} split={split} />
}

const Elevation = (props: PlanPaneProps) => <FlatPane {...props} scene={useElevationScene()} />

interface FlatPaneProps extends PlanPaneProps {
  readonly scene: Scene
  readonly split?: Split
}

function FlatPane({ scene, split, outlined, drawing, onKey, foot }: FlatPaneProps) {
  const [look, change] = useLook()
  const { level, go } = useLevel()
  const reached = useReached(level?.id ?? '')
  const removePicked = useDeletePicked()
  const keys = (event: KeyboardEvent): boolean => {
    if (onKey?.(event)) return true
    if (pressed(event, 'deletePicked')) return removePicked()
    const up = pressed(event, 'levelUp')
    if (!up && !pressed(event, 'levelDown')) return false
    go(up ? 1 : -1)
    return true
  }
  const name =
    look.view === 'plan'
      ? `Drawing, plan of level ${level?.name ?? 'none'}`
      : `Drawing, from the ${look.view === 'x' ? 'south' : 'east'}`
  return (
    <Body>
      <Row>
        {look.view === 'plan' && <LevelStrip />}
        <Drawing
          name={name}
          scene={scene}
          picked={look.picked}
          onPick={(picked) => change({ picked })}
          list={look.list}
          {...(look.view === 'plan' ? {} : { margins: elevationMargins[scene.pushed ? 'pushed' : 'plain'] })}
          onKey={keys}
          outlined={outlined ? [...outlined, ...reached] : reached}
          {...drawing}
          split={split}
        />
      </Row>
      {foot}
    </Body>
  )
}

/** What an edit in the field that has the focus would reach on the level. */
function useReached(levelId: string): readonly string[] {
  const lit = useLit(({ ids }) => ids)
  return useStore(
    useSession().store,
    useShallow(({ document }) => lit.flatMap((id) => reachedBy(document, id)).map(({ id }) => expanded(id, levelId))),
  )
}

function usePlanScene({ options, divided = false, supports = false, more }: PlanPaneProps): Scene {
  const grid = useRecords('gridLine')
  const format = useFormat()
  const { level } = useLevel()
  const caseId = useCaseId()
  const floor = useAnswer({ kind: 'floor', levelId: level?.id ?? '', caseId })
  const dividing = useAnswer({ kind: 'dividing', levelId: divided ? (level?.id ?? null) : null, caseId })
  const { area, member, names, spans } = options
  const pieces = useLit(useShallow(({ ids }) => ids.filter((id) => id.includes('/'))))
  const lit = useMemo(
    () => (pieces.length === 0 ? options.lit : new Set([...(options.lit ?? []), ...pieces])),
    [options.lit, pieces],
  )
  const [{ parts, picked }] = useLook()
  const [only = null] = supports && picked.length === 1 ? picked : []
  const isPanel = useRecord(only && recordIdOf(only))?.kind === 'panel'
  const candidates = useAnswer({ kind: 'candidates', expandedId: isPanel ? only : null })
  const scene = useMemo(() => {
    const made = planScene(floor, grid, {
      area,
      member,
      names,
      spans,
      dividing: dividing ?? [],
      candidates: candidates ?? [],
      lit,
      parts,
      format,
      mark: markOf(caseId),
    })
    return floor && more ? more(made, floor) : made
  }, [floor, grid, format, caseId, area, member, names, spans, dividing, candidates, lit, parts, more])
  return useNumbersWanted(scene)
}

/** Numbers and names of everything, or of what is picked alone. */
function useNumbersWanted(scene: Scene): Scene {
  const [{ numbers, picked }] = useLook()
  const wanted = numbers === 'picked' ? picked : null
  return useMemo(
    () =>
      wanted === null
        ? scene
        : { ...scene, labels: scene.labels.filter(({ of }) => of === undefined || wanted.includes(of)) },
    [scene, wanted],
  )
}

function useElevationScene(): Scene {
  const [look] = useLook()
  const format = useFormat()
  const caseId = useCaseId()
  const grid = useRecords('gridLine')
  const elevation = useAnswer({ kind: 'elevation', axis: look.view === 'y' ? 'y' : 'x', caseId })
  return useMemo(
    () => elevationScene(elevation, { format, mark: markOf(caseId), forces: true, grid }),
    [elevation, format, caseId, grid],
  )
}

const Body = styled.div`
  flex: 1;
  display: flex;
  flex-direction: column;
  min-height: 0;
`
const OneMoment = styled.p`
  padding: 24px;
  color: var(--quiet);
`
const Row = styled.div`
  flex: 1;
  display: flex;
  min-height: 0;
`
