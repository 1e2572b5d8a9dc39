import { drawRecord, readPlaces, tools, type Point, type Tool, placeExampleWords } from '@hedrion/core'
import { useMemo, type KeyboardEvent } from 'react'
import { useAnswer, useFormat, useGetDocument, useRecords } from '../../compute/SessionContext'
import { useLevel } from '../useLevel'
import { addPoints, useTakeMade, type Shape } from './drawing'
import { overSnaps, placingKey, takePlaces, type Turn } from './placingKeys'
import { snapped, snapPoints } from './snaps'
import { inPlane, setCursor, setProblem, useTool } from './toolStore'

/** Pixels within which a pointer falls on a snap. */
export const pixelReach = 14

export interface Placing {
  readonly tool: Tool | null
  readonly shape: Shape
  readonly onPlace: ((at: Point) => void) | undefined
  readonly onHover: ((at: Point, pixelsPerMetre: number) => void) | undefined
  readonly onKey: (event: KeyboardEvent, turn?: Turn) => boolean
  /** Takes a typed place; answers whether it was understood. */
  readonly type: (text: string) => boolean
  readonly finish: () => void
  /** How places are said, for the first point and for those after it. */
  readonly examples: readonly [string, string]
  /** The level on whose plan it is drawn. */
  readonly levelName?: string | undefined
  /** In an elevation: the plane that is drawn in. */
  readonly upright?: {
    readonly planes: readonly { readonly at: number; readonly text: string }[]
    readonly depth: number
    readonly onPlane: (depth: number) => void
  }
}

/** Drawing on the plan by pointer, by arrow keys over snaps, and by typed places. */
export function usePlacing(): Placing {
  const getDocument = useGetDocument()
  const format = useFormat()
  const take = useTakeMade()
  const { level } = useLevel()
  const tool = useTool((state) => state.tool)
  const floor = useAnswer({ kind: 'floor', levelId: level?.id ?? '', caseId: '' })
  const grid = useRecords('gridLine')
  const snaps = useMemo(() => snapPoints(floor, grid), [floor, grid])
  const shape = tools[tool ?? 'beam'].shape

  const end: Parameters<typeof addPoints>[2] = (points, closed) => {
    if (!tool) return
    const document = getDocument()
    const layout = document.records.get(level?.layoutId ?? '')
    if (!level || layout?.kind !== 'layout') return setProblem('This level has no layout yet. Add one in Building.')
    const made = drawRecord(tool, points.map(inPlane), { document, layout, random: Math.random, closed })
    take(tool, made, level.id, shape === 'segment' ? points : [])
  }
  const set = (added: readonly Point[]) => addPoints(added, shape, end)
  const finish = () => end(useTool.getState().points, false)
  const type = (text: string): boolean => {
    const last = useTool.getState().points.at(-1)
    return takePlaces(readPlaces(text, { grid, format, last: last && inPlane(last) }), set)
  }
  return {
    tool,
    shape,
    onPlace: tool ? (at) => set([snapped(at, snaps, useTool.getState().reach)]) : undefined,
    onHover: tool
      ? (at, pixelsPerMetre) => {
          const metres = pixelReach / pixelsPerMetre
          setCursor(snapped(at, snaps, metres), metres)
        }
      : undefined,
    onKey: (event, turn) => tool !== null && placingKey(event, { ...overSnaps(snaps, set, turn), finish }),
    type,
    finish,
    examples: placeExampleWords('plan', format),
    levelName: level?.name,
  }
}
