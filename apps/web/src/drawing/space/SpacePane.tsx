import { isUpright, formatQuantity } from '@hedrion/core'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import styled from 'styled-components'
import { useAnswer, useFormat, useRecords } from '../../compute/SessionContext'
import { useLook } from '../../state/look'
import { usePalette } from '../../ui/theme'
import { type } from '../../ui/tokens'
import { roleText, strutNames } from '../describe'
import { DrawnList } from '../DrawnList'
import { markOf } from '../marks'
import type { SpaceDrawing } from '../placing/useDrawingIn'
import type { Target } from '../scene'
import { useCaseId } from '../useCaseInView'
import { largestOf } from './solids'
import { SpaceOverlay } from './SpaceOverlay'
import { SpaceScene } from './SpaceScene'
import { useSpaceHandlers } from './useSpaceHandlers'

interface SpacePaneProps {
  readonly area: boolean
  readonly member: boolean
  /** Panels and members that stand out, beside what is picked. */
  readonly lit?: readonly string[] | undefined
  /** How one draws here; null where one only looks. */
  readonly drawing: SpaceDrawing | null
}

const nothing: readonly string[] = []

/** The whole building in space, for the case in view; it shares what is picked with plan and elevation. */
export function SpacePane({ area, member, lit = nothing, drawing }: SpacePaneProps) {
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
  const grid = useRecords('gridLine')
  const plane = drawing?.plane ?? null
  useEffect(() => {
    if (typeof scene !== 'string') scene?.showGrid(grid, plane)
  }, [scene, view, palette, grid, plane])
  const targets = useMemo(() => targetsOf(view), [view])
  const largest = view && member ? largestOf(view.loads) : { line: 0, point: 0 }
  const seen = typeof scene === 'string' ? null : scene
  const handlers = useSpaceHandlers({ scene: seen, frame, targets, drawing })
  return (
    <Body>
      {(look.list || typeof scene === 'string') && (
        <DrawnList targets={targets} picked={look.picked} onPick={(picked) => change({ picked })} />
      )}
      <Frame
        ref={frame}
        tabIndex={0}
        role="group"
        aria-label="Drawing, building in 3D. Arrow keys select the nearest object, with Shift they rotate the view."
        data-testid="drawing"
        {...handlers}
      >
        <canvas ref={attach} aria-hidden />
        {seen && drawing && <SpaceOverlay scene={seen} draw={drawing.overlay} />}
        {typeof scene === 'string' ? (
          <Said>{scene}</Said>
        ) : (
          <Said aria-hidden>
            {largest.line > 0 && <>Largest ordinate {formatQuantity(largest.line, 'lineLoad', format)}. </>}
            {largest.point > 0 && <>Longest arrow {formatQuantity(largest.point, 'force', format)}. </>}
            Drag to rotate, right button to pan, wheel to zoom, Shift and drag to select a box.
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
    return 'This browser cannot display 3D. Use the list of objects instead.'
  }
}

const surfaceNames = {
  wall: 'Wall run',
  bearingWall: 'Bearing wall',
  barrier: 'Barrier',
  stair: 'Flight',
  stiff: 'Lateral element',
  wallSurface: 'Pressure surface',
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
