import { largest } from '../outcome/lists'
import { newGridLine } from '../document/blanks'
import type { Random } from '../document/document'
import { gridLetter } from '../document/labels'
import type { GridLine } from '../document/recordKinds'
import { distance } from '../geometry/segment'
import { onLine, tidy, tidyPoint } from '../geometry/tolerance'
import { orRefused, refuse } from '../outcome/refusal'
import type { NumberFormat } from '../units/format'
import { partsOf, lengthsExample, readLengths } from './lengthsText'
import { amount, readPlaces } from './placeText'

export type ReadGrid =
  { readonly ok: true; readonly lines: readonly GridLine[] } | { readonly ok: false; readonly problem: string }

/** Lines that one sentence makes, at most. */
const most = 200

interface Ground {
  readonly grid: readonly GridLine[]
  readonly format: NumberFormat
  readonly random: Random
}

/** Reads spacings that go on from the last line of a direction: `3 x 7.2, 6.0, 2 x 4.8`. */
export const readSpacings = (text: string, axis: 'x' | 'y', ground: Ground): ReadGrid =>
  reading(() => spacings(text, axis, ground))

/**
 * Reads a grid that is not square to the axes: `A1 to C4` is one skew line through two places, `about 0; 0: 8 lines every 22.5° from
 * 0°, rings at 6, 12, 18 m` makes lines that leave a point, and rings round it; either part may be left out.
 */
export const readFreeGrid = (text: string, ground: Ground): ReadGrid =>
  reading(() => (/^\s*about\b/i.test(text) ? aboutPoint(text, ground) : throughPlaces(text, ground)))

const reading = (read: () => readonly GridLine[]): ReadGrid => orRefused(() => ({ ok: true, lines: read() }))

function spacings(text: string, axis: 'x' | 'y', ground: Ground): readonly GridLine[] {
  const example = lengthsExample('spacings', ground.format)
  const read = readLengths(text, ground.format, { name: 'spacing', example, least: 0.05, most: 1e5 })
  if (!read.ok) return refuse(read.problem)
  const last = risingLines(axis, ground.grid).at(-1)
  const labels = nextLabels(axis, ground.grid)
  const places = read.lengths.reduce<readonly number[]>(
    (all, step) => [...all, tidy((all.at(-1) ?? 0) + step)],
    [last?.at ?? 0],
  )
  return (last ? places.slice(1) : places).map((at) => newGridLine(axis, labels(), at, ground.random))
}

function throughPlaces(text: string, ground: Ground): readonly GridLine[] {
  const read = readPlaces(text, { grid: ground.grid, format: ground.format, last: undefined })
  if (!read.ok) return refuse(read.problem)
  const [a, b, more] = read.points
  if (!a || !b || more) return refuse('A skew line has two points: A1 to C4.')
  if (distance(a, b) <= onLine) return refuse('The two points are the same.')
  const labels = counting('S1', false, ground.grid)
  return [newGridLine('line', labels(), 0, ground.random, [a, b])]
}

function aboutPoint(text: string, ground: Ground): readonly GridLine[] {
  const [, place = '', rest = ''] = /^\s*about\s+(.+?)\s*:\s*(.*)$/i.exec(text) ?? []
  const read = readPlaces(place, { grid: ground.grid, format: ground.format, last: undefined })
  if (place === '' || !read.ok)
    return refuse(read.ok || place === '' ? 'Enter the centre: about 0; 0: 8 lines every 22.5°.' : read.problem)
  const [centre = [0, 0]] = read.points
  const rings = ringsOf(rest, ground.format)
  const reach = Math.max(10, largest(rings))
  const angles = anglesOf(rest, ground.format)
  if (rings.length + angles.length === 0)
    return refuse('Enter lines, rings or both: 8 lines every 22.5°, rings at 6, 12 m.')
  const [lineLabels, ringLabels] = [counting('1', false, ground.grid), counting('A', false, ground.grid)]
  return [
    ...angles.map((angle) =>
      newGridLine('line', lineLabels(), 0, ground.random, [
        centre,
        tidyPoint([centre[0] + reach * Math.cos(angle), centre[1] + reach * Math.sin(angle)]),
      ]),
    ),
    ...rings.map((radius) => newGridLine('ring', ringLabels(), radius, ground.random, [centre])),
  ]
}

function anglesOf(text: string, format: NumberFormat): readonly number[] {
  const [, count = '', every = '', from = '0°'] =
    /(\d+)\s+lines?\s+every\s+([-\d.,]+\s*(?:°|deg|rad)?)(?:\s+from\s+([-\d.,]+\s*(?:°|deg|rad)?))?/i.exec(text) ?? []
  if (count === '') return []
  if (Number(count) > most) return refuse(`${count} lines at once are more than ${most}.`)
  const [step, start] = [amount(every, 'angle', format), amount(from, 'angle', format)]
  if (step === 0) return refuse('The angle between the lines is zero.')
  if (Math.abs(step) * Number(count) > 2 * Math.PI + 1e-6)
    return refuse(`${count} lines every ${every.trim()} exceed a full circle.`)
  return Array.from({ length: Number(count) }, (_, i) => start + i * step)
}

function ringsOf(text: string, format: NumberFormat): readonly number[] {
  const [, list = ''] = /rings?\s+at\s+(.+)$/i.exec(text) ?? []
  const unit = /[a-z]+$/i.exec(list.trim())?.[0] ?? ''
  return partsOf(list, format).map((part) => {
    const value = amount(/[a-z]/i.test(part) ? part : `${part} ${unit}`, 'length', format)
    return value > 0 && value <= 1e5 ? value : refuse('The radius of a ring must be above 0, up to 100 km.')
  })
}

/** The lines across the grid at values of x or of y, from the lowest. */
const risingLines = (axis: 'x' | 'y', grid: readonly GridLine[]): readonly GridLine[] =>
  grid.filter((line) => line.axis === axis).sort((a, b) => a.at - b.at)

/** Labels that go on from the last line of a direction. */
function nextLabels(axis: 'x' | 'y', grid: readonly GridLine[]): () => string {
  const last = risingLines(axis, grid).at(-1)
  return counting(last?.label ?? (axis === 'x' ? '1' : 'A'), last !== undefined, grid)
}

/** One line more in a direction, as far from the last one as that is from the one before; 6 m where there is none. */
export function lineMore(axis: 'x' | 'y', grid: readonly GridLine[], random: Random): GridLine {
  const rising = risingLines(axis, grid)
  const [last, before] = [rising.at(-1), rising.at(-2)]
  const at = last ? last.at + (before ? last.at - before.at : 6) : 0
  return newGridLine(axis, nextLabels(axis, grid)(), at, random)
}

/** Labels that count on from a first one (or the one after it) and are not there yet: 3 after 2, C after B, S2 after S1. */
function counting(first: string, after: boolean, grid: readonly GridLine[]): () => string {
  const taken = new Set(grid.map(({ label }) => label))
  const number = /^(.*?)(\d+)$/.exec(first)
  const [head, start] = number ? [number[1] ?? '', Number(number[2])] : ['', letterIndex(first)]
  let next = start + (after ? 1 : 0)
  return () => {
    for (;;) {
      const label = number ? `${head}${next}` : gridLetter(next)
      next++
      if (!taken.has(label)) return label
    }
  }
}

function letterIndex(label: string): number {
  for (let i = 0; i < 500; i++) if (gridLetter(i) === label) return i
  return 0
}
