import { smallest } from '../outcome/lists'
import { heightAt } from '../building/slopes'
import { expandedAt } from '../derivation/floorQueries'
import type { FloorState } from '../derivation/floorStates'
import type { ProjectState } from '../derivation/project'
import { memberOf } from '../document/labels'
import type { Strut } from '../document/recordKinds'
import type { Point } from '../geometry/point'
import { touches } from '../geometry/polygon'
import { feetAlong } from '../geometry/course'
import { distance } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'
import type { Concern } from '../outcome/outcome'

/** An end within this of an axis was meant to meet it: half of a deep member (common practice), m. */
const meets = 0.5

/** Heights over the level where an end finds something. */
type Reach = readonly [low: number, high: number]

/** Members in space whose end is over or under what is there in plan: their weight goes to it all the same. */
export function strutEnds(state: ProjectState): readonly Concern[] {
  const layouts = new Map(state.floors.map((floor) => [floor.floor.layoutId, floor]))
  return [...layouts.values()].flatMap((floor) =>
    floor.operator.plan.sources.flatMap((source): readonly Concern[] => {
      const strut = source.kind === 'strut' ? state.document.records.get(source.strut.id) : undefined
      return strut?.kind === 'strut' ? endsOf(state, floor, strut) : []
    }),
  )
}

function endsOf(state: ProjectState, floor: FloorState, strut: Strut): readonly Concern[] {
  const [a, b] = strut.path
  const ends = [
    { at: a, height: strut.startHeight, end: 'start' },
    { at: b, height: strut.endHeight, end: 'end' },
  ]
  return ends.flatMap(({ at, height, end }): Concern[] => {
    const reaches = at ? reachesAt(state, floor, at) : []
    // where there is nothing at all, the load that is not carried says so
    if (reaches.length === 0 || reaches.some(([low, high]) => height >= low && height <= high)) return []
    const gap = smallest(reaches.map(([low, high]) => Math.max(low - height, height - high)))
    const data = { label: strut.label, level: floor.level.name, end, height, gap }
    return [{ code: 'strut.end-beside', about: [expandedAt(floor, strut.id)], data }]
  })
}

function reachesAt(state: ProjectState, { operator, level, hung }: FloorState, at: Point): readonly Reach[] {
  const { frame, panels, slopes } = operator.plan
  const top = heightAt(slopes, at)
  const near: Reach = [top - meets, top + meets]
  const below = state.levels.flatMap(({ level: { elevation } }) =>
    elevation < level.elevation ? [elevation - level.elevation] : [],
  )
  const standing = frame.columns.flatMap((column, row) =>
    distance(column.at, at) <= onLine ? [hung.rises[row] ?? null] : [],
  )
  const beams = frame.beams.filter(({ legs }) => feetAlong(legs, at, onLine).length > 0)
  const found: readonly Reach[] = [
    // it may pass levels, and one more may stand under it
    ...standing.map((hanging): Reach =>
      hanging === null ? [Math.min(0, smallest(below)) - meets, top + meets] : [top - meets, top + hanging + meets],
    ),
    ...beams.map(({ member }): Reach => {
      const truss = memberOf(state.document, member.id)?.truss
      return truss ? [top - truss.depth - meets, top + meets] : near
    }),
    ...panels.filter(({ outline }) => touches(outline, at)).map(() => near),
  ]
  // what stands on a level below, or on the base
  return found.length === 0 ? [] : [...found, ...below.map((height): Reach => [height - meets, height + meets])]
}
