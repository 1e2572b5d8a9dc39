import { isUpright, formatQuantity } from '@hedrion/core'
import {
  useCallback,
  useEffect,
  useMemo,
  useRef,
  useState,
  type KeyboardEvent,
  type PointerEvent,
  type RefObject,
} from 'react'
import styled from 'styled-components'
import { useAnswer, useFormat } from '../../compute/SessionContext'
import { useLook } from '../../state/look'
import { usePalette } from '../../ui/theme'
import { type } from '../../ui/tokens'
import { roleText, strutNames } from '../describe'
import { DrawnList } from '../DrawnList'
import { neighbour } from '../hit'
import { markOf } from '../marks'
import { directions, pickedAfter } from '../picking'
import type { Target } from '../scene'
import { useCaseId } from '../useCaseInView'
import { largestOf } from './solids'
import { SpaceScene } from './SpaceScene'

interface SpacePaneProps {
  readonly area: boolean
  readonly member: boolean
  /** Panels and members that stand out, beside what is picked. */
  readonly lit?: readonly string[] | undefined
}

const nothing: readonly string[] = []

/** The whole building in space, for the case in view; it shares what is picked with plan and elevation. */
export function SpacePane({ area, member, lit = nothing }: SpacePaneProps) {
  const [look, change] = useLook()
  const format = useFormat()
  const overview = useAnswer({ kind: 'overview' })
  const caseId = useCaseId()
  const view = useAnswer({ kind: 'space', caseId })
  const palette = usePalette()
  const frame = useRef<HTMLDivElement>(null)
  const [scene, attach] = useScene()
  const levels = overview?.levels
  useEffect(() => {
    if (!view || !levels || typeof scene === 'string') return
    const named = levels.map(({ name, elevation }) => ({ name, z: elevation }))
    scene?.show(view, { palette, mark: markOf(caseId), area, member, levels: named, font: type.sans })
  }, [scene, view, levels, palette, caseId, area, member])
  useEffect(() => {
    if (typeof scene !== 'string') scene?.pick(look.picked, lit)
  }, [scene, view, palette, look.picked, lit])
  const targets = useMemo(() => targetsOf(view), [view])
  const largest = view && member ? largestOf(view.loads) : { line: 0, point: 0 }
  const handlers = useHandlers(typeof scene === 'string' ? null : scene, frame, targets)
  return (
    <Body>
      {(look.list || typeof scene === 'string') && (
        <DrawnList targets={targets} picked={look.picked} onPick={(picked) => change({ picked })} />
      )}
      <Frame
        ref={frame}
        tabIndex={0}
        role="group"
        aria-label="Drawing, the building in space. Arrow keys pick the nearest neighbour, with Shift they turn the view."
        data-testid="drawing"
        {...handlers}
      >
        <canvas ref={attach} aria-hidden />
        {typeof scene === 'string' ? (
          <Said>{scene}</Said>
        ) : (
          <Said aria-hidden>
            {largest.line > 0 && <>Tallest ordinate {formatQuantity(largest.line, 'lineLoad', format)}. </>}
            {largest.point > 0 && <>Longest arrow {formatQuantity(largest.point, 'force', format)}. </>}
            Drag to turn, with the right button to move, wheel to come nearer.
          </Said>
        )}
      </Frame>
    </Body>
  )
}

/** The scene as long as its canvas is there; a sentence where the browser cannot draw in space. */
function useScene(): readonly [SpaceScene | string | null, (canvas: HTMLCanvasElement) => () => void] {
  const [scene, setScene] = useState<SpaceScene | string | null>(null)
  const attach = useCallback((canvas: HTMLCanvasElement) => {
    const box = canvas.parentElement
    const made = sceneOn(canvas)
    setScene(made)
    if (typeof made === 'string' || !box) return () => setScene(null)
    const sized = new ResizeObserver(() => made.resize(box.clientWidth, box.clientHeight))
    sized.observe(box)
    return () => {
      sized.disconnect()
      made.dispose()
    }
  }, [])
  return [scene, attach]
}

function sceneOn(canvas: HTMLCanvasElement): SpaceScene | string {
  try {
    return new SpaceScene(canvas)
  } catch {
    return 'This browser cannot draw in space. The list beside says what is there.'
  }
}

const surfaceNames = {
  wall: 'Wall run',
  bearingWall: 'Bearing wall',
  barrier: 'Barrier',
  stair: 'Flight',
  stiff: 'Stiff element',
  wallSurface: 'Wall surface',
} as const

function targetsOf(view: ReturnType<typeof useAnswer<{ kind: 'space'; caseId: string }>>): readonly Target[] {
  const place: Target['shape'] = { kind: 'point', at: [0, 0] }
  const members = (view?.members ?? []).map(({ expandedId, label, role }): Target => ({
    id: expandedId,
    kind: isUpright(role) ? 'column' : role in strutNames ? 'strut' : 'beam',
    shape: place,
    text: `${roleText(role)} ${label}`,
  }))
  const faces = (view?.faces ?? []).map(({ expandedId, label }): Target => ({
    id: expandedId,
    kind: 'panel',
    shape: place,
    text: `Panel ${label}`,
  }))
  const surfaces = new Map(
    (view?.surfaces ?? []).map(({ expandedId, kind, label }): readonly [string, Target] => [
      expandedId,
      {
        id: expandedId,
        kind: kind === 'bearingWall' ? 'beam' : kind,
        shape: place,
        text: `${surfaceNames[kind]} ${label}`,
      },
    ]),
  )
  return [...faces, ...members, ...surfaces.values()]
}

/** A press that moves less than this is a click, pixels. */
const clickWithin = 4

function useHandlers(scene: SpaceScene | null, frame: RefObject<HTMLDivElement | null>, targets: readonly Target[]) {
  const [look, change] = useLook()
  const down = useRef<readonly [number, number] | null>(null)
  const size = () => [frame.current?.clientWidth ?? 1, frame.current?.clientHeight ?? 1] as const
  const choose = (id: string | null, more: boolean) => {
    if (id !== null) change({ picked: pickedAfter(look.picked, id, more) })
    else if (!more) change({ picked: [] })
  }
  const toNeighbour = (direction: readonly [number, number]) => {
    const seen = (scene?.middles(...size()) ?? []).map(({ id, at }): Target => ({
      id,
      kind: 'beam',
      shape: { kind: 'point', at },
      text: '',
    }))
    const from = seen.find(({ id }) => id === look.picked.at(-1))
    choose((from ? neighbour(seen, from, direction) : targets[0])?.id ?? look.picked.at(-1) ?? null, false)
  }
  const onKeyDown = (event: KeyboardEvent) => {
    const direction = event.ctrlKey ? undefined : directions[event.key]
    if (direction) {
      event.preventDefault()
      if (event.shiftKey) scene?.turn(direction[0] * 0.2, direction[1] * 0.15)
      else toNeighbour(direction)
    } else if (event.key === 'Escape') change({ picked: [] })
    else if (event.key === '0') scene?.fit()
    else if (event.key === '+') scene?.zoom(1.25)
    else if (event.key === '-') scene?.zoom(0.8)
  }
  return {
    onKeyDown,
    onPointerDown: (event: PointerEvent) => {
      down.current = [event.clientX, event.clientY]
    },
    onPointerUp: (event: PointerEvent) => {
      const [x, y] = down.current ?? [Infinity, 0]
      down.current = null
      if (event.button !== 0 || Math.hypot(event.clientX - x, event.clientY - y) > clickWithin) return
      const box = frame.current?.getBoundingClientRect()
      frame.current?.focus()
      if (box && scene)
        choose(
          scene.at(event.clientX - box.left, event.clientY - box.top, box.width, box.height),
          event.ctrlKey || event.metaKey || event.shiftKey,
        )
    },
  }
}

const Body = styled.div`
  display: flex;
  flex: 1;
  min-height: 0;
`
const Frame = styled.div`
  position: relative;
  flex: 1;
  min-width: 0;
  overflow: hidden;
  touch-action: none;
  cursor: grab;
  &:focus-visible {
    outline-offset: -2px;
  }
  canvas {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
  }
`
const Said = styled.p`
  position: absolute;
  left: 16px;
  bottom: 10px;
  right: 16px;
  font-size: 13px;
  color: var(--quiet);
  pointer-events: none;
`
