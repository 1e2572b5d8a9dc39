import { newId, recordsOf, type Document, type Random } from '../document/document'
import type { Floor } from '../building/floors'
import type { Strut } from '../document/recordKinds'
import type { Point, Point3 } from '../geometry/point'
import { tidy } from '../geometry/tolerance'
import { floorsOf } from './levels'
import { made, noStock, problem, type Base, type Made, type Maker } from './made'
import { freeLabel } from './shaped'
import { storeyUnder, usualStock } from './usual'

/** Tools that draw members in space, with the role of each. */
export const spaceTools = {
  strut: 'brace',
  girt: 'girt',
  tie: 'tie',
  post: 'post',
  chord: 'chord',
  trussMember: 'web',
} as const satisfies Record<string, Strut['role']>
export type SpaceTool = keyof typeof spaceTools

export const isSpaceTool = (tool: string): tool is SpaceTool => Object.hasOwn(spaceTools, tool)

/** Heights of its ends over the level until others are typed: a brace over the storey, a post too, a girt at half of it, a tie and the members of a truss on the level. */
export const usualHeights = (role: Strut['role'], storey: number): readonly [start: number, end: number] =>
  role === 'girt' ? [-storey / 2, -storey / 2] : onLevel.has(role) ? [0, 0] : [-storey, 0]

const onLevel: ReadonlySet<Strut['role']> = new Set(['tie', 'chord', 'web'])

/** On the plan of a level; a post is drawn by its point. */
export const strutMaker =
  (role: Strut['role']): Maker =>
  ([a, b], base, { document, layout, random }) => {
    const [startHeight, endHeight] = usualHeights(role, storeyUnder(document, layout))
    return a
      ? strutOf(role, [a, b ?? a], [startHeight, endHeight], base, document, random)
      : problem('The position is missing.')
  }

/**
 * A member in space from joint to joint. It belongs to the lowest level that carries and is not under its upper end, as the columns beside it do.
 */
export function strutBetween(
  tool: SpaceTool,
  [from, to]: readonly [Point3, Point3],
  document: Document,
  random: Random,
): MadeOnLevel {
  const top = Math.max(from[2], to[2])
  const carrying = carryingFloors(document)
  const floor = carrying.find(({ level }) => level.elevation >= top - hand) ?? carrying.at(-1)
  const layout = document.records.get(floor?.layoutId ?? '')
  if (!floor || layout?.kind !== 'layout') return problem('No level has a layout yet.')
  const heights = [from, to].map(([, , z]) => tidy(z - floor.level.elevation)) as [number, number]
  const taken = recordsOf(document, 'strut').flatMap(({ layout: on, label }) => (on === layout.id ? [label] : []))
  const base = { layout: layout.id, label: freeLabel('K1', new Set(taken)) }
  const path = [onPlan(from), onPlan(to)] as const
  const drawn = strutOf(spaceTools[tool], path, heights, base, document, random)
  return drawn.ok ? { ...drawn, levelId: floor.level.id } : drawn
}

const onPlan = ([x, y]: Point3): Point => [x, y]

/** What is drawn where no level is in view says on which it stands. */
export type MadeOnLevel = Made & { readonly levelId?: string }

/** A hand under a level still counts as at it. */
export const hand = 0.1

/** Levels that carry a layout, bottom first. */
export const carryingFloors = (document: Document): readonly Floor[] =>
  floorsOf(document).filter(({ layoutId }) => layoutId !== null)

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
