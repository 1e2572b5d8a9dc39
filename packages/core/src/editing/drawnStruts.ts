import { newId, recordsOf, type Document, type Random } from '../document/document'
import { expandFloors, type Floor } from '../building/floors'
import type { Strut } from '../document/recordKinds'
import type { Point } from '../geometry/point'
import { tidy } from '../geometry/tolerance'
import { made, noStock, problem, type Base, type Made, type Maker } from './made'
import { freeLabel } from './shaped'
import { storeyUnder, usualStock } from './usual'

/** Tools that draw members in space, with the role of each. */
export const spaceTools = { strut: 'brace', girt: 'girt', tie: 'tie', post: 'post' } as const satisfies Record<
  string,
  Strut['role']
>
export type SpaceTool = keyof typeof spaceTools

export const isSpaceTool = (tool: string): tool is SpaceTool => Object.hasOwn(spaceTools, tool)

/** Heights of its ends over the level until others are typed: a brace over the storey, a post too, a girt at half of it, a tie on the level. */
const usualHeights = (role: Strut['role'], storey: number): readonly [start: number, end: number] =>
  role === 'girt' ? [-storey / 2, -storey / 2] : role === 'tie' ? [0, 0] : [-storey, 0]

/** On the plan of a level; a post is drawn by its point. */
export const strutMaker =
  (role: Strut['role']): Maker =>
  ([a, b], base, { document, layout, random }) => {
    const [startHeight, endHeight] = usualHeights(role, storeyUnder(document, layout))
    return a
      ? strutOf(role, [a, b ?? a], [startHeight, endHeight], base, document, random)
      : problem('It has no place.')
  }

/** An upright plane that an elevation looks at: the x or the y that all of it has. */
export interface UprightPlane {
  /** The axis that runs to the right in the view. */
  readonly axis: 'x' | 'y'
  /** The other coordinate, m. */
  readonly depth: number
}

/**
 * A member in space from two points of an elevation, the way to the right and the elevation of each. It belongs to the lowest level that carries and is not
 * under its upper end, as the columns beside it do.
 */
export function strutInPlane(
  tool: SpaceTool,
  [from, to]: readonly [Point, Point],
  { axis, depth }: UprightPlane,
  document: Document,
  random: Random,
): Made & { readonly levelId?: string } {
  const floor = floorFor(document, Math.max(from[1], to[1]))
  const layout = document.records.get(floor?.layoutId ?? '')
  if (!floor || layout?.kind !== 'layout') return problem('No level carries a layout yet that it could belong to.')
  const inPlan = ([u]: Point): Point => (axis === 'x' ? [u, depth] : [depth, u])
  const heights = [from, to].map(([, z]) => tidy(z - floor.level.elevation)) as [number, number]
  const taken = recordsOf(document, 'strut').flatMap(({ layout: on, label }) => (on === layout.id ? [label] : []))
  const base = { layout: layout.id, label: freeLabel('K1', new Set(taken)) }
  const drawn = strutOf(spaceTools[tool], [inPlan(from), inPlan(to)], heights, base, document, random)
  return drawn.ok ? { ...drawn, levelId: floor.level.id } : drawn
}

/** A hand under a level still counts as at it. */
const hand = 0.1

function floorFor(document: Document, top: number): Floor | undefined {
  const carrying = expandFloors(recordsOf(document, 'level'), recordsOf(document, 'levelRange')).filter(
    ({ layoutId }) => layoutId !== null,
  )
  return carrying.find(({ level }) => level.elevation >= top - hand) ?? carrying.at(-1)
}

function strutOf(
  role: Strut['role'],
  path: readonly [Point, Point],
  [startHeight, endHeight]: readonly [number, number],
  base: Base,
  document: Document,
  random: Random,
): Made {
  const struts = recordsOf(document, 'strut')
  const alike = struts.filter((strut) => strut.role === role)
  const stock = usualStock(document, alike.length > 0 ? alike : struts)
  if (!stock) return noStock
  return made<Strut>({
    kind: 'strut',
    id: newId('strut', random),
    ...base,
    role,
    path,
    startHeight,
    endHeight,
    ...stock,
  })
}
