import type { Point } from '../geometry/point'
import { refuse } from '../outcome/refusal'
import type { NumberFormat } from '../units/format'
import { lengthOf, readEach, type Placed } from './placeText'

/** What an elevation knows by name. */
export interface UprightNames {
  /** Grid lines that run along the sight, by their label: where they are to the right, m. */
  readonly lines: ReadonlyMap<string, number>
  /** Levels by their name: their elevation, m. */
  readonly levels: ReadonlyMap<string, number>
  readonly format: NumberFormat
  /** The point from which a distance alone is taken. */
  readonly last: Point | undefined
}

const ways: Readonly<Record<string, Point>> = { right: [1, 0], left: [-1, 0], up: [0, 1], down: [0, -1] }

/**
 * Reads places in an elevation: `2 at Roof`, `2 at 3.5 m`, `7.2 m at level 1`, or from the last point `3.5 m up`, `2 m left`. Several are joined by `to`. A name goes
 * before a number: on line 2 at level 1 is `2 at 1`, at a height of one metre `2 at 1 m`.
 */
export const readUprightPlaces = (text: string, names: UprightNames): Placed =>
  readEach(text, names.last, (part, last) => readPlace(part, { ...names, last }))

function readPlace(text: string, names: UprightNames): Point {
  const at = /^(.+?)\s+at\s+(.+)$/i.exec(text)
  if (at) return [across(at[1] ?? '', names), height(at[2] ?? '', names)]
  const step = /^(.*?)\s*\b(right|left|up|down)$/i.exec(text)
  if (!step) return refuse(`“${text}” is not a point. Enter 2 at Roof, 7.2 m at 3.5 m, or 3.5 m up.`)
  if (!names.last) return refuse('There is no previous point to continue from.')
  const [ux, uz] = ways[(step[2] ?? '').toLowerCase()] ?? [1, 0]
  const length = lengthOf(step[1] ?? '', names.format)
  return [names.last[0] + ux * length, names.last[1] + uz * length]
}

const across = (text: string, { lines, format }: UprightNames): number =>
  named(text.replace(/^line\s+/i, ''), lines) ?? lengthOf(text, format)

/** A level by its name, or a height over the datum, m; refuses what is neither. */
export const height = (text: string, { levels, format }: Pick<UprightNames, 'levels' | 'format'>): number =>
  named(text.replace(/^level\s+/i, ''), levels) ?? lengthOf(text, format)

const named = (text: string, names: ReadonlyMap<string, number>): number | undefined => {
  const wanted = text.trim().toLowerCase()
  for (const [name, value] of names) if (name.toLowerCase() === wanted) return value
  return undefined
}
