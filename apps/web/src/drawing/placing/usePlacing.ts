import {
  distance,
  drawRecord,
  expanded,
  formatQuantity,
  leastPoints,
  lengthAlong,
  readPlaces,
  tools,
  type Point,
  type Tool,
} from '@hedrion/core'
import { useMemo, type KeyboardEvent } from 'react'
import { useAnswer, useFormat, useGetDocument, useRecords } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { useLook } from '../../state/look'
import { useLevel } from '../useLevel'
import { placingKey, takePlaces } from './placingKeys'
import { snapped, snapPoints } from './snaps'
import { setCursor, setPoints, setProblem, startOver, useTool } from './toolStore'

/** Pixels within which a pointer falls on a snap. */
export const pixelReach = 14

export interface Placing {
  readonly tool: Tool | null
  readonly onPlace: ((at: Point) => void) | undefined
  readonly onHover: ((at: Point, pixelsPerMetre: number) => void) | undefined
  readonly onKey: (event: KeyboardEvent) => boolean
  /** Takes a typed place; answers whether it was understood. */
  readonly type: (text: string) => boolean
  readonly finish: () => void
  /** In an elevation: the plane that is drawn in, and how places are said there. */
  readonly upright?: {
    /** For the first point, and for those after it. */
    readonly examples: readonly [string, string]
    readonly planes: readonly { readonly at: number; readonly text: string }[]
    readonly depth: number
    readonly onPlane: (depth: number) => void
  }
}

/** Drawing on the plan by pointer, by arrow keys over snaps, and by typed places. */
export function usePlacing(): Placing {
  const getDocument = useGetDocument()
  const format = useFormat()
  const edit = useEdit()
  const { level } = useLevel()
  const [, change] = useLook()
  const tool = useTool((state) => state.tool)
  const floor = useAnswer({ kind: 'floor', levelId: level?.id ?? '', caseId: '' })
  const grid = useRecords('gridLine')
  const snaps = useMemo(() => snapPoints(floor, grid), [floor, grid])

  const end = (points: readonly Point[], closed: boolean) => {
    if (!tool) return
    const document = getDocument()
    const layout = document.records.get(level?.layoutId ?? '')
    if (!level || layout?.kind !== 'layout') return setProblem('There is no layout on this level to draw on yet.')
    const made = drawRecord(tool, points, { document, layout, random: Math.random, closed })
    if (!made.ok) return setProblem(made.problem)
    const { record } = made
    const size = tools[tool].shape === 'segment' ? `, ${formatQuantity(lengthAlong(points), 'length', format)}` : ''
    const refused = edit.add(`New ${tools[tool].name} ${record.label}${size}`, [record])
    if (refused) return setProblem(refused)
    startOver()
    change({ picked: [expanded(record.id, level.id)] })
  }
  const set = (added: readonly Point[]) => {
    if (!tool) return
    const { points } = useTool.getState()
    const { shape } = tools[tool]
    const [first] = points
    const [point] = added
    const backAtStart = first && point && points.length >= leastPoints[shape] && distance(first, point) < 1e-6
    if (backAtStart && (shape === 'ring' || shape === 'path')) return end(points, true)
    const next = [...points, ...added].filter((p, i, all) => i === 0 || distance(p, all[i - 1] ?? p) > 1e-6)
    setPoints(next)
    if (shape === 'point' || (shape === 'segment' && next.length >= 2)) end(next.slice(0, leastPoints[shape]), false)
  }
  const finish = () => end(useTool.getState().points, false)
  const onKey = (event: KeyboardEvent): boolean => tool !== null && placingKey(event, snaps, set, finish)
  const type = (text: string): boolean => {
    const read = readPlaces(text, { grid, format, last: useTool.getState().points.at(-1) })
    return takePlaces(read, set)
  }
  return {
    tool,
    onPlace: tool ? (at) => set([snapped(at, snaps, useTool.getState().reach)]) : undefined,
    onHover: tool
      ? (at, pixelsPerMetre) => {
          const metres = pixelReach / pixelsPerMetre
          setCursor(snapped(at, snaps, metres), metres)
        }
      : undefined,
    onKey,
    type,
    finish,
  }
}
