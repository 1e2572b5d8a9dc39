import {
  boxOf,
  distance,
  drawnOf,
  expanded,
  formatQuantity,
  isDrawn,
  moved,
  pointsOf,
  repeatEdits,
  splitExpanded,
  type Document,
  type Drawn,
  type Edit,
  type LevelView,
  type NumberFormat,
  type Point,
} from '@hedrion/core'
import type { ReactNode } from 'react'
import styled from 'styled-components'
import { create, useStore } from 'zustand'
import { useShallow } from 'zustand/react/shallow'
import { useAnswer, useFormat, useGetDocument, useRecords, useSession } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { setDraft } from '../../sheet/draftStore'
import { useLook } from '../../state/look'
import { useLevel } from '../useLevel'
import type { Grab } from '../usePointer'
import { heldText } from '../heldText'
import { recordPath } from '../recordPath'
import type { Plane } from '../viewport'
import { snapped, snapPoints } from './snaps'
import { useTool } from './toolStore'

/** The handle is held within so many pixels of its middle, and a point falls on a snap within as many. */
const reach = 14
/** Where it stands beside the lower right corner of what is picked, pixels. */
const beside: Point = [18, 18]

/** How far the copy is held from what it is a copy of; null while nothing is held. */
const useHeld = create<{ readonly shift: Point | null }>(() => ({ shift: null }))

export interface CopyHandle {
  /** The level on which what is picked stands. */
  readonly level: LevelView | null
  readonly deep: Point
  readonly onGrab: (at: Point, plane: Plane) => Grab | null
  readonly overlay: (plane: Plane) => ReactNode
}

/** What is picked on one level can be dragged to a copy of it, on the plane of that level, by a handle beside it; points fall on snaps. */
export function useCopyHandle(): CopyHandle {
  const [look, change] = useLook()
  const { levels, level: inView } = useLevel()
  const [, on] = splitExpanded(look.picked.at(-1) ?? '')
  const level = look.view === 'plan' ? inView : levels.find(({ id }) => id === on)
  const getDocument = useGetDocument()
  const format = useFormat()
  const edit = useEdit()
  const grid = useRecords('gridLine')
  const floor = useAnswer({ kind: 'floor', levelId: level?.id ?? '', caseId: '' })
  const tool = useTool((state) => state.tool)
  const picked = useStore(
    useSession().store,
    useShallow(({ document }) => pickedHere(document, look.picked, level?.id, level?.layoutId)),
  )
  if (!level || tool || picked.length === 0) return noHandle
  const drop = (shift: Point) => {
    const edits = copyEdits(picked, shift, drawnOf(getDocument()))
    const name = picked.length === 1 ? (picked[0]?.label ?? '') : `${picked.length} selected`
    edit.apply(`Copied ${name} ${shiftText(shift, format)}`, edits)
    change({ picked: edits.flatMap(({ after }) => (after ? [expanded(after.id, level.id)] : [])) })
  }
  return {
    level,
    deep: picked.flatMap(pointsOf)[0] ?? [0, 0],
    onGrab: (at, plane) => {
      const handle = handleAt(picked, plane)
      if (!handle || distance(at, handle) > reach) return null
      const snaps = snapPoints(floor, grid)
      const there = drawnOf(getDocument())
      const shiftTo = (pixels: Point) => shiftOf(picked, [at, pixels], snaps, plane)
      return {
        move: (pixels) => {
          const shift = shiftTo(pixels)
          useHeld.setState({ shift })
          setDraft(copyEdits(picked, shift, there))
        },
        end: (pixels) => {
          useHeld.setState({ shift: null })
          setDraft(null)
          const shift = pixels && shiftTo(pixels)
          if (shift && Math.hypot(...shift) > 1e-6) drop(shift)
        },
      }
    },
    overlay: (plane) => <Handle picked={picked} plane={plane} format={format} />,
  }
}

const noHandle: CopyHandle = { level: null, deep: [0, 0], onGrab: () => null, overlay: () => null }

const copyEdits = (picked: readonly Drawn[], shift: Point, there: readonly Drawn[]): readonly Edit[] =>
  repeatEdits(picked, { kind: 'along', shift, times: 1 }, there, Math.random)

function pickedHere(
  document: Document,
  picked: readonly string[],
  levelId: string | undefined,
  layoutId: string | null | undefined,
): readonly Drawn[] {
  return picked.flatMap((id) => {
    const [recordId, on] = splitExpanded(id)
    const record = document.records.get(recordId)
    return on === levelId && isDrawn(record) && record.layout === layoutId ? [record] : []
  })
}

function handleAt(picked: readonly Drawn[], plane: Plane): Point | null {
  const { x1, y0 } = boxOf(picked.flatMap(pointsOf))
  const corner = plane.seen([x1, y0])
  return corner && [corner[0] + beside[0], corner[1] + beside[1]]
}

/** How far the points of a record are over its level. */
const heightOf = (record: Drawn, index: number): number =>
  record.kind !== 'strut' ? 0 : index === 0 ? record.startHeight : record.endHeight

/** So far as the pointer went, to 0.1 m; a first point that comes near a snap falls on it. */
function shiftOf(
  picked: readonly Drawn[],
  held: readonly [from: Point, to: Point],
  snaps: readonly Point[],
  plane: Plane,
): Point {
  const [from, to] = held.map(plane.under)
  const [first] = picked.flatMap(pointsOf)
  if (!first || !from || !to) return [0, 0]
  const plain: Point = [Math.round((to[0] - from[0]) * 10) / 10, Math.round((to[1] - from[1]) * 10) / 10]
  const aimed: Point = [first[0] + to[0] - from[0], first[1] + to[1] - from[1]]
  const fallen = snapped(aimed, snaps, reach / plane.pixelsPerMetre)
  return snaps.includes(fallen) ? [fallen[0] - first[0], fallen[1] - first[1]] : plain
}

/** “3.00 m east, 1.20 m south”. */
function shiftText([dx, dy]: Point, format: NumberFormat): string {
  const part = (value: number, plus: string, minus: string) =>
    Math.abs(value) < 1e-9 ? [] : [`${formatQuantity(Math.abs(value), 'length', format)} ${value > 0 ? plus : minus}`]
  return [...part(dx, 'east', 'west'), ...part(dy, 'north', 'south')].join(', ')
}

interface HandleProps {
  readonly picked: readonly Drawn[]
  readonly plane: Plane
  readonly format: NumberFormat
}

/** The handle, and the copy while it is held. */
function Handle({ picked, plane, format }: HandleProps) {
  const shift = useHeld((state) => state.shift)
  const copies = shift ? picked.map((record) => moved(record, shift)) : picked
  const corner = handleAt(copies, plane)
  if (!corner) return null
  const [x, y] = corner
  if (!shift)
    return (
      <Sign transform={`translate(${x} ${y})`} data-testid="copy handle">
        <title>Drag to copy</title>
        <rect x={-9} y={-9} width={18} height={18} rx={3} />
        <path d="M-4.5 0h9M0 -4.5v9" />
      </Sign>
    )
  return (
    <Ghost>
      {copies.map((copy, i) => (
        <path key={i} d={recordPath(copy, (point, index) => plane.seen(point, heightOf(copy, index)), 5)} />
      ))}
      <text x={x} y={y}>
        {shiftText(shift, format)}
      </text>
    </Ghost>
  )
}

const Sign = styled.g`
  rect {
    fill: var(--raised);
    stroke: var(--accent);
    stroke-width: 1.4;
  }
  path {
    stroke: var(--accent);
    stroke-width: 1.6;
  }
`
const Ghost = styled.g`
  path {
    fill: var(--accent);
    fill-opacity: 0.06;
    stroke: var(--accent);
    stroke-width: 2;
    stroke-dasharray: 6 4;
  }
  text {
    ${heldText}
  }
`
