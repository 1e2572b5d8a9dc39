import { crossingsOf } from '../building/grid'
import type { GridLine } from '../document/recordKinds'
import type { Point } from '../geometry/point'
import { tidyPoint } from '../geometry/tolerance'
import { orRefused, refuse } from '../outcome/refusal'
import { formatQuantity, type NumberFormat } from '../units/format'
import { parseQuantity } from '../units/parseQuantity'

/** Places that were read, or why they could not be. */
export type PlacedAs<P> =
  { readonly ok: true; readonly points: readonly P[] } | { readonly ok: false; readonly problem: string }
export type Placed = PlacedAs<Point>

export interface Surroundings {
  readonly grid: readonly GridLine[]
  readonly format: NumberFormat
  /** The point from which a distance alone is taken: the last one that was set. */
  readonly last: Point | undefined
}

const compass: Readonly<Record<string, Point>> = {
  east: [1, 0],
  north: [0, 1],
  west: [-1, 0],
  south: [0, -1],
}

/**
 * Reads places as a person types them while drawing: `B2`, `B2 to C3`, `C2 + 4.2 m east`, `4.2 m north`, `4.2 m at 30°`,
 * or coordinates `7.2; 3.0`. Several places are joined by `to`.
 */
export function readPlaces(text: string, surroundings: Surroundings): Placed {
  return readEach(text, surroundings.last, (part, last) => readPlace(part, { ...surroundings, last }))
}

/** Places joined by `to`, each read with the one before it at hand. */
export function readEach<P>(
  text: string,
  last: P | undefined,
  readOne: (part: string, last: P | undefined) => P,
): PlacedAs<P> {
  return orRefused(() => {
    const points: P[] = []
    for (const part of text.trim().split(/\s+to\s+/i)) points.push(readOne(part.trim(), points.at(-1) ?? last))
    return { ok: true, points }
  })
}

export function readPlace(text: string, surroundings: Surroundings): Point {
  if (text === '') return refuse('Enter a point, e.g. B2 or 4.2 m east.')
  const coordinates = text.split(';')
  const [x, y] = coordinates
  if (coordinates.length === 2) return [lengthOf(x ?? '', surroundings.format), lengthOf(y ?? '', surroundings.format)]
  const [head = '', ...steps] = text.split(/\s*\+\s*/)
  const start = gridPoint(head, surroundings.grid)
  if (start) return steps.reduce<Point>((at, step) => along(at, step, surroundings), start)
  const { last } = surroundings
  if (!last)
    return refuse(`“${head}” is not an intersection of grid lines, and there is no previous point to continue from.`)
  return [head, ...steps].reduce<Point>((at, step) => along(at, step, surroundings), last)
}

/** `B2`, `2B`, `B/2`: the crossing of two lines, the labels in either order; of two crossings with a ring the first. */
export function gridPoint(text: string, grid: readonly GridLine[]): Point | undefined {
  const plain = text.replace(/[\s/]/g, '').toLowerCase()
  const labelled = (label: string) => grid.filter((line) => line.label.toLowerCase() === label)
  for (let cut = 1; cut < plain.length; cut++) {
    const [first, second] = [labelled(plain.slice(0, cut)), labelled(plain.slice(cut))]
    for (const a of first)
      for (const b of second) {
        const [crossing] = crossingsOf(a, b)
        if (crossing) return crossing
      }
  }
  return undefined
}

/** A distance with a direction: `4.2 m east`, `4.2 at 30°` (anticlockwise from east). */
function along(from: Point, step: string, surroundings: Surroundings): Point {
  const [dx, dy] = readShift(step, surroundings.format)
  return [from[0] + dx, from[1] + dy]
}

/** Reads a shift, or refuses it with a sentence. */
function readShift(step: string, format: NumberFormat): Point {
  const named = /^(.*?)\s*\b(east|north|west|south)$/i.exec(step)
  const turned = /^(.*?)\s+at\s+(.+)$/i.exec(step)
  if (named) {
    const [ux, uy] = compass[(named[2] ?? '').toLowerCase()] ?? [1, 0]
    const length = amount(named[1] ?? '', 'length', format)
    return [ux * length, uy * length]
  }
  if (turned) {
    const [length, angle] = [amount(turned[1] ?? '', 'length', format), amount(turned[2] ?? '', 'angle', format)]
    return [length * Math.cos(angle), length * Math.sin(angle)]
  }
  return refuse(`“${step}” has no direction. Enter 4.2 m east, north, west, south, or 4.2 m at 30°.`)
}

/** A value of a quantity, or refused with a sentence. */
export function amount(text: string, quantity: 'length' | 'angle', format: NumberFormat): number {
  const read = parseQuantity(text, quantity, format)
  return read.ok ? read.value : refuse(read.problem)
}

/** A length in m, or refused with a sentence. */
export const lengthOf = (text: string, format: NumberFormat): number => amount(text, 'length', format)

export type ReadShift = { readonly ok: true; readonly shift: Point } | { readonly ok: false; readonly problem: string }

/** A shift by itself, for moving: `0.5 m east`. */
export function readShiftText(text: string, format: NumberFormat): ReadShift {
  return orRefused(() => ({ ok: true, shift: readShift(text.trim(), format) }))
}

/** A shift as one would type it: `1.20 m east`, `1.30 m at 22.62°`. */
export function shiftText([dx, dy]: Point, format: NumberFormat): string {
  const length = formatQuantity(Math.hypot(dx, dy), 'length', format)
  const aside = 1e-6
  if (Math.abs(dy) <= aside) return `${length} ${dx < 0 ? 'west' : 'east'}`
  if (Math.abs(dx) <= aside) return `${length} ${dy < 0 ? 'south' : 'north'}`
  return `${length} at ${formatQuantity(Math.atan2(dy, dx), 'angle', format)}`
}

/** A point by a shift further. */
export const moveOf = ([x, y]: Point, [dx, dy]: Point): Point => tidyPoint([x + dx, y + dy])
