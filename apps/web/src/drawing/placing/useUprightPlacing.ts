import {
  distance,
  expanded,
  formatQuantity,
  isSpaceTool,
  readUprightPlaces,
  strutInPlane,
  tools,
  type GridLine,
  type Point,
} from '@hedrion/core'
import { useMemo } from 'react'
import { useAnswer, useFormat, useGetDocument, useRecords } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { useLook } from '../../state/look'
import { placingKey, takePlaces } from './placingKeys'
import { snapped } from './snaps'
import { setCursor, setDepth, setPoints, setProblem, startOver, useTool } from './toolStore'
import { pixelReach, type Placing } from './usePlacing'

/** A point counts as in the plane that is this near to it, m. */
const nearPlane = 0.05

/** Drawing of members in space in an elevation, in the plane of a grid line, as on a plan; null where none is drawn, or the view is no elevation. */
export function useUprightPlacing(): Placing | null {
  const getDocument = useGetDocument()
  const format = useFormat()
  const edit = useEdit()
  const [look, change] = useLook()
  const { tool, depth: chosen } = useTool()
  const axis = look.view === 'x' || look.view === 'y' ? look.view : null
  const active = tool !== null && isSpaceTool(tool) && axis !== null
  const grid = useRecords('gridLine')
  const levels = useRecords('level')
  const points = useAnswer({ kind: 'uprightSnaps', axis: active ? axis : null })
  const planes = useMemo(() => planesBehind(grid, axis), [grid, axis])
  const depth = planes.some(({ at }) => at === chosen) ? (chosen ?? 0) : (planes[0]?.at ?? points?.[0]?.depth ?? 0)
  const snaps = useMemo(() => {
    const inPlane = (points ?? []).filter((snap) => Math.abs(snap.depth - depth) <= nearPlane).map(({ at }) => at)
    const lines = grid.filter((line) => line.axis === axis).map(({ at }) => at)
    return [...inPlane, ...lines.flatMap((u) => levels.map(({ elevation }): Point => [u, elevation]))]
  }, [points, depth, grid, levels, axis])
  if (!active) return null

  const end = ([from, to]: readonly Point[]) => {
    if (!from || !to) return setProblem('It needs two points.')
    const made = strutInPlane(tool, [from, to], { axis, depth }, getDocument(), Math.random)
    if (!made.ok) return setProblem(made.problem)
    const { record, levelId } = made
    const size = formatQuantity(distance(from, to), 'length', format)
    const refused = edit.add(`New ${tools[tool].name} ${record.label}, ${size}`, [record])
    if (refused) return setProblem(refused)
    startOver()
    if (levelId) change({ picked: [expanded(record.id, levelId)] })
  }
  const set = (added: readonly Point[]) => {
    const next = [...useTool.getState().points, ...added].filter(
      (p, i, all) => i === 0 || distance(p, all[i - 1] ?? p) > 1e-6,
    )
    setPoints(next)
    if (next.length >= 2) end(next)
  }
  const finish = () => end(useTool.getState().points)
  const type = (text: string): boolean => {
    const read = readUprightPlaces(text, {
      lines: new Map(grid.filter((line) => line.axis === axis).map(({ label, at }) => [label, at])),
      levels: new Map(levels.map(({ name, elevation }) => [name, elevation])),
      format,
      last: useTool.getState().points.at(-1),
    })
    return takePlaces(read, set)
  }
  return {
    tool,
    onPlace: (at) => set([snapped(at, snaps, useTool.getState().reach)]),
    onHover: (at, pixelsPerMetre) => {
      const metres = pixelReach / pixelsPerMetre
      setCursor(snapped(at, snaps, metres), metres)
    },
    onKey: (event) => placingKey(event, snaps, set, finish),
    type,
    finish,
    upright: {
      examples: ['2 at Roof, or 7.2 m at 3.5 m', '3.5 m up, 3 at Roof'],
      planes: planes.map(({ at, label }) => ({ at, text: `line ${label}` })),
      depth,
      onPlane: setDepth,
    },
  }
}

/** Grid lines that run across the sight, the nearest to the viewer first: one looks north, or west. */
const planesBehind = (grid: readonly GridLine[], axis: 'x' | 'y' | null): readonly GridLine[] =>
  grid
    .filter((line) => axis !== null && line.axis === (axis === 'x' ? 'y' : 'x'))
    .sort((p, q) => (axis === 'x' ? p.at - q.at : q.at - p.at))
