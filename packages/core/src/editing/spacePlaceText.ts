import type { GridLine } from '../document/recordKinds'
import type { Point3 } from '../geometry/point'
import { refuse } from '../outcome/refusal'
import type { NumberFormat } from '../units/format'
import { lengthOf, readEach, readPlace, type PlacedAs } from './placeText'
import { height } from './uprightPlaceText'

/** What is known by name where places in space are typed. */
export interface SpaceNames {
  readonly grid: readonly GridLine[]
  /** Levels by their name: their elevation, m. */
  readonly levels: ReadonlyMap<string, number>
  readonly format: NumberFormat
  /** The point from which a step is taken, and whose height goes on. */
  readonly last: Point3 | undefined
}

/**
 * Reads places in space: a place of the plan and a height, `B2 at Roof`, `C2 + 4.2 m east at 3.5 m`; from the last point on `3.5 m up`, or a place of the plan
 * alone (`C3`, `3 m east`), at the same height. Several are joined by `to`.
 */
export const readSpacePlaces = (text: string, names: SpaceNames): PlacedAs<Point3> =>
  readEach(text, names.last, (part, last) => readSpacePlace(part, { ...names, last }))

function readSpacePlace(text: string, names: SpaceNames): Point3 {
  const { last, grid, format } = names
  const onPlan = (part: string) => readPlace(part, { grid, format, last: last && [last[0], last[1]] })
  const step = /^(.*?)\s*\b(up|down)$/i.exec(text)
  if (step) {
    if (!last) return refuse('There is no previous point to continue from.')
    const [, length = '', way = ''] = step
    const rise = lengthOf(length, format)
    return [last[0], last[1], last[2] + (way.toLowerCase() === 'up' ? rise : -rise)]
  }
  const [, place = '', over = ''] = /^(.+)\s+at\s+(.+)$/i.exec(text) ?? []
  const isAngle = /°|\b(deg|rad)\b/i.test(over)
  if (over !== '' && !isAngle) return [...onPlan(place), height(over, names)]
  return last ? [...onPlan(text), last[2]] : refuse(`“${text}” has no height. Enter B2 at Roof, or B2 at 3.5 m.`)
}
