import fc from 'fast-check'
import { holds } from '../../test/holds'
import type { Point } from '../geometry/point'
import { patchOverlaps } from './patchOverlaps'

const rectangle = (x0: number, y0: number, x1: number, y1: number): readonly Point[] => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
]
const patch = (id: string, outline: readonly Point[], order: number, mode: 'insteadOf' | 'onTopOf' = 'insteadOf') => ({
  id: `patch:${id}` as const,
  outline,
  order,
  mode,
})

test('hand: what lies over and under a patch, and whether it is replaced there', () => {
  const patches = [
    patch('a', rectangle(0, 0, 4, 4), 1),
    patch('b', rectangle(2, 2, 6, 6), 2),
    patch('c', rectangle(3, 0, 5, 3), 3, 'onTopOf'),
    patch('d', rectangle(8, 8, 9, 9), 4),
    // touches along an edge alone
    patch('e', rectangle(4, 4, 6, 8), 0),
  ]
  const of = (id: string) => {
    const found = patches.find((entry) => entry.id === `patch:${id}`)
    if (!found) throw new Error(id)
    return patchOverlaps(found, patches)
  }
  expect(of('b')).toEqual([
    { otherId: 'patch:e', area: expect.closeTo(4, 9), isOver: true, replaces: true },
    { otherId: 'patch:a', area: expect.closeTo(4, 9), isOver: true, replaces: true },
    { otherId: 'patch:c', area: expect.closeTo(2, 9), isOver: false, replaces: false },
  ])
  expect(of('a')).toEqual([
    { otherId: 'patch:b', area: expect.closeTo(4, 9), isOver: false, replaces: true },
    { otherId: 'patch:c', area: expect.closeTo(3, 9), isOver: false, replaces: false },
  ])
  expect(of('d')).toEqual([])
})

// law: both patches say the same of their overlap, from either side; brute force by cells of a grid
test('overlaps are mutual, and as large as the cells that both cover', () => {
  const whole = fc.integer({ min: 0, max: 8 })
  const any = fc.tuple(whole, whole, fc.integer({ min: 1, max: 5 }), fc.integer({ min: 1, max: 5 }))
  holds(
    fc.property(any, any, fc.boolean(), ([x, y, w, h], [u, v, s, t], firstOver) => {
      const one = patch('one', rectangle(x, y, x + w, y + h), firstOver ? 2 : 1)
      const two = patch('two', rectangle(u, v, u + s, v + t), firstOver ? 1 : 2, 'onTopOf')
      const [ofOne] = patchOverlaps(one, [one, two])
      const [ofTwo] = patchOverlaps(two, [one, two])
      const along = (a: number, la: number, b: number, lb: number) =>
        Array.from({ length: la }, (_, i) => a + i).filter((cell) => cell >= b && cell < b + lb).length
      const cells = along(x, w, u, s) * along(y, h, v, t)
      expect(ofOne?.area ?? 0).toBeCloseTo(cells, 6)
      expect(ofTwo?.area ?? 0).toBeCloseTo(cells, 6)
      if (cells === 0) return
      expect([ofOne?.isOver, ofTwo?.isOver]).toEqual([firstOver, !firstOver])
      expect(ofOne?.replaces).toBe(ofTwo?.replaces)
      expect(ofOne?.replaces).toBe(firstOver)
    }),
  )
})
