import { entry } from '../outcome/assert'
import { largest, smallest } from '../outcome/lists'
import type { Point } from './point'
import { boxOf } from './polygon'
import { onLine } from './tolerance'

/** A straight piece of a thing; a bent one has several. */
export interface Piece {
  readonly of: number
  readonly a: Point
  readonly b: Point
}

export interface Together {
  /** Two things that come near each other somewhere, each pair once, the lower index first. */
  readonly pairs: readonly (readonly [number, number])[]
  /** Places of a size within which so many things pass that they are not looked at by pairs there. */
  readonly crowds: readonly { readonly at: Point; readonly size: number; readonly of: readonly number[] }[]
  /** Looks at pieces, cell by cell, and at pairs: what the time grows with. */
  readonly work: number
}

/** In a cell with so few every pair is looked at. */
const few = 12
/** Cells are not divided below this; more than a few in one of them are a crowd at one point (5 cm). */
const smallestCell = 0.05
/** Looks for each piece until cells are not divided any more; on a floor as people draw it a tenth is enough. */
const patience = 400

interface Cell {
  readonly x: number
  readonly y: number
  readonly size: number
  readonly pieces: readonly number[]
}

/**
 * Which things lie near each other, by cells that are divided where many are, the largest first. Boxes of lines that meet in a point all
 * lie over each other, so that an index of boxes would have every pair of them; here the work grows as their number does.
 */
export function together(pieces: readonly Piece[]): Together {
  const pairs = new Map<number, readonly [number, number]>()
  const crowds: Together['crowds'][number][] = []
  const things = 1 + largest(pieces.map(({ of }) => of))
  const budget = patience * pieces.length
  let work = 0
  const pair = (p: number, q: number) => {
    work++
    pairs.set(Math.min(p, q) * things + Math.max(p, q), p < q ? [p, q] : [q, p])
  }
  const cells: Cell[] = pieces.length === 0 ? [] : [whole(pieces)]
  // what is divided goes to the end: all cells of a size come before those of the next
  for (const cell of cells) {
    const { x, y, size } = cell
    const owners = [...new Set(cell.pieces.map((i) => entry(pieces, i).of))]
    if (owners.length <= few) owners.forEach((p, i) => owners.slice(i + 1).forEach((q) => pair(p, q)))
    else if (size <= smallestCell || work > budget) crowds.push({ at: [x + size / 2, y + size / 2], size, of: owners })
    else
      for (const quarter of quartersOf(cell)) {
        work += cell.pieces.length
        const within = cell.pieces.filter((i) => {
          const piece = pieces[i]
          return piece !== undefined && passes(piece, quarter)
        })
        if (within.length > 1) cells.push({ ...quarter, pieces: within })
      }
  }
  return { pairs: [...pairs.values()], crowds, work }
}

function whole(pieces: readonly Piece[]): Cell {
  const { x0, y0, x1, y1 } = boxOf(pieces.flatMap(({ a, b }) => [a, b]))
  return { x: x0, y: y0, size: Math.max(x1 - x0, y1 - y0, smallestCell), pieces: pieces.map((_, i) => i) }
}

const quartersOf = ({ x, y, size }: Cell): readonly Omit<Cell, 'pieces'>[] => {
  const half = size / 2
  return [
    { x, y, size: half },
    { x: x + half, y, size: half },
    { x, y: y + half, size: half },
    { x: x + half, y: y + half, size: half },
  ]
}

/** Whether a piece comes within the tolerance of a cell: their boxes touch, and the corners of the cell do not all lie to one side. */
function passes({ a, b }: Piece, { x, y, size }: Omit<Cell, 'pieces'>): boolean {
  const [x0, y0, x1, y1] = [x - onLine, y - onLine, x + size + onLine, y + size + onLine]
  if (Math.max(a[0], b[0]) < x0 || Math.min(a[0], b[0]) > x1) return false
  if (Math.max(a[1], b[1]) < y0 || Math.min(a[1], b[1]) > y1) return false
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
  const side = (px: number, py: number) => dx * (py - a[1]) - dy * (px - a[0])
  const sides = [side(x0, y0), side(x1, y0), side(x0, y1), side(x1, y1)]
  return smallest(sides) <= 0 && largest(sides) >= 0
}
