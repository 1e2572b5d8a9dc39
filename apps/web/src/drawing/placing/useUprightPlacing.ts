import {
  drawsUpright,
  drawUpright,
  isSpaceTool,
  readUprightPlaces,
  tools,
  type GridLine,
  type Point,
  type Point3,
  placeExampleWords,
} from '@hedrion/core'
import { useMemo } from 'react'
import { useAnswer, useFormat, useGetDocument, useRecords } from '../../compute/SessionContext'
import { useLook } from '../../state/look'
import { useLevel } from '../useLevel'
import { addPoints, useTakeMade, type Shape } from './drawing'
import { overSnaps, placingKey, takePlaces } from './placingKeys'
import { snapped } from './snaps'
import { inPlane, setCursor, setDepth, useTool } from './toolStore'
import { pixelReach, type Placing } from './usePlacing'

/** A point counts as in the plane that is this near to it, m. */
const nearPlane = 0.05

/** Drawing in an elevation, in the plane of a grid line, as on a plan; null where the plane cannot hold what is drawn, or the view is no elevation. */
export function useUprightPlacing(): Placing | null {
  const getDocument = useGetDocument()
  const format = useFormat()
  const take = useTakeMade()
  const [look] = useLook()
  const { tool, depth: chosen } = useTool()
  const axis = look.view === 'x' || look.view === 'y' ? look.view : null
  const active = tool !== null && drawsUpright(tool) && axis !== null
  const grid = useRecords('gridLine')
  const { levels } = useLevel()
  const joints = useAnswer({ kind: 'joints', wanted: active })
  const planes = useMemo(() => planesBehind(grid, axis), [grid, axis])
  const fallback = planes[0]?.at ?? joints?.[0]?.[axis === 'y' ? 0 : 1] ?? 0
  const depth = planes.some(({ at }) => at === chosen) ? (chosen ?? 0) : fallback
  const snaps = useMemo(() => {
    const [right, away] = axis === 'y' ? ([1, 0] as const) : ([0, 1] as const)
    const inIt = (joints ?? []).filter((joint) => Math.abs(joint[away] - depth) <= nearPlane)
    const lines = grid.filter((line) => line.axis === axis).map(({ at }) => at)
    return [
      ...inIt.map((joint): Point => [joint[right], joint[2]]),
      ...lines.flatMap((u) => levels.map(({ elevation }): Point => [u, elevation])),
    ]
  }, [joints, depth, grid, levels, axis])
  if (!active) return null

  const heights = levels
    .filter(({ layoutId }) => layoutId !== null || tool === 'rakingColumn')
    .map(({ elevation }) => elevation)
  // what is no member in space lies on a level, however near to it one clicks
  const fallen = (at: Point, metres: number): Point => {
    const point = snapped(at, snaps, metres)
    return isSpaceTool(tool) ? point : [point[0], nearestTo(point[1], heights)]
  }
  const shape: Shape = isSpaceTool(tool) ? 'segment' : tools[tool].shape
  const end = (points: readonly Point3[]) => {
    const made = drawUpright(tool, points.map(inPlane), { axis, depth }, getDocument(), Math.random)
    take(tool, made, made.levelId, shape === 'segment' ? points : [])
  }
  const set = (added: readonly Point[]) => addPoints(added, shape, end)
  const finish = () => end(useTool.getState().points)
  const type = (text: string): boolean => {
    const last = useTool.getState().points.at(-1)
    const read = readUprightPlaces(text, {
      lines: new Map(grid.filter((line) => line.axis === axis).map(({ label, at }) => [label, at])),
      levels: new Map(levels.map(({ name, elevation }) => [name, elevation])),
      format,
      last: last && inPlane(last),
    })
    return takePlaces(read, set)
  }
  return {
    tool,
    shape,
    onPlace: (at) => set([fallen(at, useTool.getState().reach)]),
    onHover: (at, pixelsPerMetre) => {
      const metres = pixelReach / pixelsPerMetre
      setCursor(fallen(at, metres), metres)
    },
    onKey: (event) => placingKey(event, { ...overSnaps(snaps, set), finish }),
    type,
    finish,
    examples: placeExampleWords('elevation', format),
    upright: { planes: planes.map(({ at, label }) => ({ at, text: `line ${label}` })), depth, onPlane: setDepth },
  }
}

const nearestTo = (z: number, heights: readonly number[]): number =>
  heights.reduce((best, height) => (Math.abs(height - z) < Math.abs(best - z) ? height : best), heights[0] ?? z)

/** Grid lines that run across the sight, the nearest to the viewer first: one looks north, or west. */
const planesBehind = (grid: readonly GridLine[], axis: 'x' | 'y' | null): readonly GridLine[] =>
  grid
    .filter((line) => axis !== null && line.axis === (axis === 'x' ? 'y' : 'x'))
    .sort((p, q) => (axis === 'x' ? p.at - q.at : q.at - p.at))
