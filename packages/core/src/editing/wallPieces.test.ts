import fc from 'fast-check'
import { holds } from '../../test/holds'
import { oneStorey } from '../../test/build'
import { rectangle } from '../../test/shapes'
import { wallSegments } from '../building/wallSegments'
import { withEdits, type Edit } from '../document/changes'
import { recordsOf, seededRandom, type Document } from '../document/document'
import type { WallRun } from '../document/recordKinds'
import { present } from '../outcome/assert'
import type { Point } from '../geometry/point'
import { cutAt, withoutStretch } from './wallPieces'

const lengthOf = (run: WallRun) => wallSegments(run).reduce((sum, { drawn }) => sum + drawn, 0)

function drawn(path: readonly Point[], closed: boolean) {
  const { building, layout } = oneStorey()
  const run = building.wall(layout, path, { closed, openingSizes: [{ count: 1, width: 1, height: 2 }] })
  return { document: building.document, run }
}

const runsAfter = (document: Document, edits: readonly Edit[]): readonly WallRun[] =>
  [...recordsOf(withEdits(document, edits), 'wallRun')].sort((p, q) => (p.path[0]?.[0] ?? 0) - (q.path[0]?.[0] ?? 0))

describe('a stretch of a wall run is taken away', () => {
  test('a closed run opens there and keeps the others', () => {
    const { document, run } = drawn(rectangle(0, 0, 6, 4), true)
    for (const k of [0, 1, 2, 3]) {
      const [left, ...more] = runsAfter(document, withoutStretch(document, run, k, k + 1, seededRandom(1)))
      expect(more).toEqual([])
      expect(left?.closed).toBe(false)
      expect(lengthOf(present(left, 'run'))).toBeCloseTo(k % 2 === 0 ? 14 : 16, 9)
    }
  })

  test('an open one is shortened at an end, and becomes two in the middle, whose openings are counted once', () => {
    const path: readonly Point[] = [
      [0, 0],
      [3, 0],
      [3, 2],
      [5, 2],
    ]
    const { document, run } = drawn(path, false)
    expect(runsAfter(document, withoutStretch(document, run, 0, 1, seededRandom(1))).map((left) => left.path)).toEqual([
      path.slice(1),
    ])
    const two = runsAfter(document, withoutStretch(document, run, 1, 2, seededRandom(1)))
    expect(two.map((left) => left.path)).toEqual([path.slice(0, 2), path.slice(2)])
    expect(new Set(two.map(({ label }) => label)).size).toBe(2)
    expect(two.map(({ openingSizes }) => openingSizes.length)).toEqual([1, 0])
  })

  test('the only stretch goes with its run', () => {
    const { document, run } = drawn(
      [
        [0, 0],
        [3, 0],
      ],
      false,
    )
    expect(runsAfter(document, withoutStretch(document, run, 0, 1, seededRandom(1)))).toEqual([])
  })
})

const corner = fc.tuple(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 0, max: 40 }))

// law: a cut neither adds nor loses wall, and every corner of it stays
test('cut anywhere, a run keeps its length and its corners', () => {
  holds(
    fc.property(
      fc.uniqueArray(corner, { minLength: 2, maxLength: 7, selector: String }),
      fc.boolean(),
      fc.double({ min: 0.01, max: 0.99, noNaN: true }),
      (corners, closed, part) => {
        const path = corners.map(([x, y]): Point => [x / 4, y / 4])
        const { document, run } = drawn(path, closed && path.length > 2)
        const before = lengthOf(run)
        const edits = cutAt(document, run, part * before, seededRandom(2))
        if (!edits) return
        const after = runsAfter(document, edits)
        expect(after.reduce((sum, piece) => sum + lengthOf(piece), 0)).toBeCloseTo(before, 9)
        expect(after).toHaveLength(run.closed ? 1 : 2)
        const there = after.flatMap((piece) => piece.path)
        for (const [x, y] of path) expect(there.some(([u, v]) => Math.hypot(u - x, v - y) <= 0.0101)).toBe(true)
      },
    ),
  )
})

test('beyond its ends there is nothing to cut', () => {
  const { document, run } = drawn(rectangle(0, 0, 6, 4), true)
  for (const s of [-1, 0, 20, 25]) expect(cutAt(document, run, s, seededRandom(1))).toBeNull()
})
