import type { Floor } from '../building/floors'
import type { Document, Random } from '../document/document'
import type { Point, Point3 } from '../geometry/point'
import { drawRecord, tools, withArticle, type Tool } from './drawn'
import { carryingFloors, hand, isSpaceTool, strutBetween, type MadeOnLevel } from './drawnStruts'
import { problem } from './made'

/** An upright plane that an elevation looks at: the x or the y that all of it has. */
export interface UprightPlane {
  /** The axis that runs to the right in the view. */
  readonly axis: 'x' | 'y'
  /** The other coordinate, m. */
  readonly depth: number
}

/** What is found in a floor or goes from one to the next is drawn on its plan. */
const onPlanOnly: readonly Tool[] = ['panelInRing', 'patchInRing', 'stair']

/** Whether an upright plane can hold what a tool draws: points and lines, no rings. */
export const drawsUpright = (tool: Tool): boolean => tools[tool].shape !== 'ring' && !onPlanOnly.includes(tool)

/**
 * A record from points of an elevation, the way to the right and the elevation of each. A member in space goes from joint to joint; anything else lies on one
 * level that carries, a raking column from there down to the next that does.
 */
export function drawUpright(
  tool: Tool,
  points: readonly Point[],
  { axis, depth }: UprightPlane,
  document: Document,
  random: Random,
): MadeOnLevel {
  const placed = points.map(([u, z]): Point3 => (axis === 'x' ? [u, depth, z] : [depth, u, z]))
  const [from, to] = placed
  if (!isSpaceTool(tool)) return drawOnLevel(tool, placed, document, random)
  return from && to ? strutBetween(tool, [from, to], document, random) : problem('Two points are needed.')
}

function drawOnLevel(tool: Tool, placed: readonly Point3[], document: Document, random: Random): MadeOnLevel {
  const carrying = carryingFloors(document)
  if (carrying.length === 0) return problem('No level has a layout yet.')
  const raking = tool === 'rakingColumn'
  const points = raking ? [...placed].sort((p, q) => q[2] - p[2]) : placed
  const floor = carrying.find(({ level }) => isAt(level.elevation, points[0]))
  const layout = document.records.get(floor?.layoutId ?? '')
  if (!floor || layout?.kind !== 'layout')
    return problem(`${nameOf(tool)} is drawn at a level with a layout: ${namesOf(carrying)}.`)
  const { elevation } = floor.level
  const rest = raking ? elevation - floor.storeyHeight : elevation
  if (points.slice(1).some((point) => !isAt(rest, point)))
    return problem(
      raking
        ? 'A raking column runs from a level to the next level below with a layout.'
        : `${nameOf(tool)} is on one level; on a slope, draw it on the plan and it follows the slope.`,
    )
  const onPlan = points.map(([x, y]): Point => [x, y])
  const made = drawRecord(tool, onPlan, { document, layout, random })
  return made.ok ? { ...made, levelId: floor.level.id } : made
}

const nameOf = (tool: Tool): string => withArticle(tools[tool].name, 'A')

const isAt = (elevation: number, point: Point3 | undefined): boolean =>
  point !== undefined && Math.abs(elevation - point[2]) <= hand

const namesOf = (floors: readonly Floor[]): string => floors.map(({ level }) => level.name).join(', ')
