import { displayFactor, unitOf, type Box, type Point } from '@hedrion/core'
import { useEffect, useRef, useState, type KeyboardEvent, type ReactNode } from 'react'
import styled from 'styled-components'
import { useFormat } from '../compute/SessionContext'
import { useLook } from '../state/look'
import { usePalette } from '../ui/theme'
import { type } from '../ui/tokens'
import { DrawnList } from './DrawnList'
import { SplitHandle } from './SplitHandle'
import { useViewport } from './useViewport'
import { firstTarget, hit, middleOf, neighbour } from './hit'
import { directions, pickedAfter } from './picking'
import { paint, textSizes } from './paint'
import { LeftOut, PointedTexts, usePointed } from './PointedTexts'
import type { TextsOfView } from './texts'
import type { Scene, Target } from './scene'
import { usePointer, type Grab } from './usePointer'
import { toScreen, toWorld, zoomAt, type Margins, type Viewport } from './viewport'
import { pressed } from '../state/shortcuts'

export interface DrawingProps {
  /** Said to a reader in place of the picture. */
  readonly name: string
  readonly scene: Scene
  readonly picked: readonly string[]
  readonly onPick: (ids: readonly string[]) => void
  /** What an open edit reaches, outlined before it is made. */
  readonly outlined?: readonly string[]
  /** Above the picture in the world's metres: a drawing under way. */
  readonly overlay?: (view: Viewport) => ReactNode
  /** Takes clicks and moves away from picking, while something is being drawn. */
  readonly onPlace?: ((at: Point) => void) | undefined
  readonly onHover?: ((at: Point, pixelsPerMetre: number) => void) | undefined
  /** Takes hold of something at a place in pixels, so that a drag moves it. */
  readonly onGrab?: (at: Point, view: Viewport, box: Box) => Grab | null
  /** Keys that the picture does not use itself; answers whether it took the key. */
  readonly onKey?: (event: KeyboardEvent) => boolean
  readonly list: boolean
  readonly margins?: Margins
  /** Another picture of the same things, left of a line. */
  readonly split?: Split | undefined
}

export interface Split {
  readonly scene: Scene
  /** What a reader hears of the line, and what is drawn on each side of it. */
  readonly label: string
  readonly left: string
  readonly right: string
  /** Where it is, from the left edge, 0 to 1. */
  readonly part: number
  readonly onMove: (part: number) => void
}

const usualMargins: Margins = { top: 64, right: 56, bottom: 64, left: 76 }

/** The picture of a scene: painted on a canvas, with what is picked on top of it. Readers get the list instead. */
export function Drawing(props: DrawingProps) {
  const {
    name,
    scene,
    picked,
    onPick,
    outlined = [],
    overlay,
    onPlace,
    onHover,
    onGrab,
    list,
    margins = usualMargins,
    split,
  } = props
  const frame = useRef<HTMLDivElement>(null)
  const canvas = useRef<HTMLCanvasElement>(null)
  const { view, viewRef, setView } = useViewport(frame, scene, margins)
  const texts = usePainting(canvas, scene, view, split, picked)
  const pointed = usePointed(scene, view, texts)

  const pick = (target: Target | undefined, more: boolean) => {
    onPick(target ? pickedAfter(picked, target.id, more) : [])
  }
  const pointer = usePointer({
    view: viewRef,
    setView,
    onClick: (at, event) => {
      frame.current?.focus()
      if (!view) return
      if (onPlace) onPlace(toWorld(view, at))
      else pick(hit(scene.targets, view, at), event.ctrlKey || event.metaKey || event.shiftKey)
    },
    onMove: (at) => {
      if (!view) return
      if (onHover) onHover(toWorld(view, at), view.scale)
      else pointed.pointAt(at)
    },
    onLeave: pointed.leave,
    onGrab: view && onGrab && !onPlace ? (at) => onGrab(at, view, scene.box) : undefined,
    onBox: (from, to) => view && onPick(inBox(scene.targets, view, from, to)),
  })
  const onKeyDown = useDrawingKeys(props, view, setView, pick)
  return (
    <Body>
      {list && <DrawnList targets={scene.targets} picked={picked} onPick={onPick} />}
      <Stage>
        <Frame
          ref={frame}
          tabIndex={0}
          role="group"
          aria-label={`${name}. Arrow keys select the nearest object.`}
          data-testid="drawing"
          onKeyDown={onKeyDown}
          {...pointer}
        >
          <canvas ref={canvas} aria-hidden />
          {view && (
            <Overlay aria-hidden width={view.width} height={view.height}>
              {outlined.map((id) => (
                <Outline key={`o${id}`} targets={scene.targets} id={id} view={view} kind="outlined" />
              ))}
              {picked.map((id) => (
                <Outline key={id} targets={scene.targets} id={id} view={view} kind="picked" />
              ))}
              {overlay?.(view)}
            </Overlay>
          )}
          <PointedTexts {...pointed} />
          {texts && <LeftOut count={texts.leftOut.length} at={texts.countAt} />}
        </Frame>
        {split && <SplitHandle {...split} />}
      </Stage>
    </Body>
  )
}

/** Paints after the screen is settled, once per change, in the pixels of the device. */
function usePainting(
  canvas: React.RefObject<HTMLCanvasElement | null>,
  scene: Scene,
  view: Viewport | null,
  split: Split | undefined,
  picked: readonly string[],
): TextsOfView | null {
  const [texts, setTexts] = useState<TextsOfView | null>(null)
  const { scene: left, part = 0 } = split ?? {}
  const format = useFormat()
  const palette = usePalette()
  const [{ text }] = useLook()
  useEffect(() => {
    const pen = canvas.current?.getContext('2d')
    if (!canvas.current || !pen || !view) return
    const element = canvas.current
    const frame = requestAnimationFrame(() => {
      const ratio = globalThis.devicePixelRatio || 1
      element.width = view.width * ratio
      element.height = view.height * ratio
      element.style.width = `${view.width}px`
      element.style.height = `${view.height}px`
      pen.setTransform(ratio, 0, 0, ratio, 0, 0)
      const unit = { symbol: unitOf('length', format), metres: displayFactor('length', format.system) }
      const face = { sans: type.sans, size: textSizes[text], picked }
      const painted = paint(pen, scene, view, palette, face, unit)
      // a view that moves leaves out the same mostly: nothing is drawn anew then
      setTexts((before) => (before && leavesOutTheSame(before, painted) ? before : painted))
      if (left) {
        pen.save()
        pen.beginPath()
        pen.rect(0, 0, part * view.width, view.height)
        pen.clip()
        paint(pen, left, view, palette, face, unit)
        pen.restore()
      }
    })
    return () => cancelAnimationFrame(frame)
  }, [canvas, format, palette, scene, left, part, text, view, picked])
  return texts
}

/** Arrows pick neighbours, + - 0 zoom, Escape picks nothing; a step may take any key first. */
function useDrawingKeys(
  { scene, picked, onPick, onKey }: DrawingProps,
  view: Viewport | null,
  setView: (view: Viewport | null) => void,
  pick: (target: Target | undefined, more: boolean) => void,
) {
  const toNeighbour = (direction: Point) => {
    const from = scene.targets.find(({ id }) => id === picked.at(-1))
    const next = from ? (neighbour(scene.targets, from, direction) ?? from) : firstTarget(scene.targets)
    pick(next, false)
  }
  const zoom = (factor: number) => view && setView(zoomAt(view, [view.width / 2, view.height / 2], factor))
  return (event: KeyboardEvent) => {
    const direction = event.ctrlKey ? undefined : directions[event.key]
    if (onKey?.(event)) event.preventDefault()
    else if (direction) {
      event.preventDefault()
      toNeighbour(direction)
    } else if (pressed(event, 'pickNone')) onPick([])
    else if (pressed(event, 'fit')) setView(null)
    else if (pressed(event, 'zoomIn')) zoom(1.25)
    else if (pressed(event, 'zoomOut')) zoom(0.8)
  }
}

const leavesOutTheSame = (p: TextsOfView, q: TextsOfView): boolean =>
  p.countAt[0] === q.countAt[0] &&
  p.countAt[1] === q.countAt[1] &&
  p.leftOut.length === q.leftOut.length &&
  p.leftOut.every(({ text, of }, i) => text === q.leftOut[i]?.text && of === q.leftOut[i]?.of)

function inBox(targets: readonly Target[], view: Viewport, from: Point, to: Point): readonly string[] {
  const [x0, x1] = [Math.min(from[0], to[0]), Math.max(from[0], to[0])]
  const [y0, y1] = [Math.min(from[1], to[1]), Math.max(from[1], to[1])]
  const inside = targets.filter((target) => {
    const [x, y] = toScreen(view, middleOf(target))
    return target.kind !== 'level' && x >= x0 && x <= x1 && y >= y0 && y <= y1
  })
  return [...new Set(inside.map(({ id }) => id))]
}

interface OutlineProps {
  readonly targets: readonly Target[]
  readonly id: string
  readonly view: Viewport
  readonly kind: 'picked' | 'outlined'
}

function Outline({ targets, id, view, kind }: OutlineProps) {
  return targets
    .filter((target) => target.id === id)
    .map((target, i) => <path key={i} data-kind={kind} data-shape={target.shape.kind} d={pathOf(target, view)} />)
}

function pathOf({ shape }: Target, view: Viewport): string {
  const joined = (points: readonly Point[], closed: boolean) =>
    points
      .map(
        (point, i) =>
          `${i === 0 ? 'M' : 'L'}${toScreen(view, point)
            .map((v) => v.toFixed(1))
            .join(' ')}`,
      )
      .join('') + (closed ? 'Z' : '')
  if (shape.kind === 'path') return joined(shape.points, false)
  if (shape.kind === 'area') return shape.region.map((ring) => joined(ring, true)).join('')
  const [x, y] = toScreen(view, shape.at)
  return `M${x - 8} ${y - 8}H${x + 8}V${y + 8}H${x - 8}Z`
}

const Body = styled.div`
  display: flex;
  flex: 1;
  min-height: 0;
`
const Stage = styled.div`
  position: relative;
  display: flex;
  flex: 1;
  min-width: 0;
`
const Frame = styled.div`
  position: relative;
  flex: 1;
  min-width: 0;
  overflow: hidden;
  touch-action: none;
  &:focus-visible {
    outline-offset: -2px;
  }
  canvas {
    position: absolute;
    inset: 0;
  }
`
const Overlay = styled.svg`
  position: absolute;
  inset: 0;
  pointer-events: none;
  path {
    fill: none;
    stroke-linejoin: round;
    stroke-linecap: round;
  }
  path[data-kind='picked'] {
    stroke: var(--accent);
    stroke-width: 4;
  }
  path[data-kind='picked'][data-shape='area'] {
    fill: var(--accent);
    fill-opacity: 0.14;
    stroke-width: 2.5;
  }
  path[data-kind='picked'][data-shape='point'] {
    stroke-width: 2.5;
  }
  path[data-kind='outlined'] {
    stroke: var(--accent);
    stroke-width: 2;
    stroke-dasharray: 5 4;
  }
`
