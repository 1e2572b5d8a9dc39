import type { Point } from '@hedrion/core'
import fc from 'fast-check'
import { firstTarget, hit, middleOf, neighbour } from './hit'
import { placeLabels } from './labels'
import type { Label, Target } from './scene'
import { elevationPlane, fit, pan, planPlane, roundLength, toScreen, toWorld, zoomAt, type Viewport } from './viewport'

const margins = { top: 20, right: 30, bottom: 40, left: 50 }
const view = fit({ x0: 0, y0: 0, x1: 20, y1: 10 }, 880, 660, margins)
const coordinate = fc.double({ min: -500, max: 500, noNaN: true })

describe('metres and pixels', () => {
  test('the box fits inside the margins, upwards is up', () => {
    expect(view.scale).toBe(40)
    expect(toScreen(view, [0, 0])).toEqual([50, 520])
    expect(toScreen(view, [20, 10])).toEqual([850, 120])
  })

  test('there and back, also after zooming and moving', () => {
    fc.assert(
      fc.property(
        coordinate,
        coordinate,
        fc.double({ min: 0.2, max: 5, noNaN: true }),
        coordinate,
        (x, y, factor, shift) => {
          const seen = pan(zoomAt(view, [300, 200], factor), shift, -shift)
          const [bx, by] = toWorld(seen, toScreen(seen, [x, y]))
          expect(bx).toBeCloseTo(x, 6)
          expect(by).toBeCloseTo(y, 6)
        },
      ),
    )
  })

  test('zooming keeps the point under the pointer, and ends somewhere', () => {
    const at: Point = [321, 123]
    const before = toWorld(view, at)
    const after = toWorld(zoomAt(view, at, 2.5), at)
    expect(after[0]).toBeCloseTo(before[0], 9)
    expect(after[1]).toBeCloseTo(before[1], 9)
    expect(zoomAt(view, at, 1e9).scale).toBe(2000)
    expect(zoomAt(view, at, 1e-9).scale).toBe(0.02)
  })

  test('a point or nothing to fit gives a view; a view too small for its margins too', () => {
    expect(Number.isFinite(fit({ x0: 3, y0: 3, x1: 3, y1: 3 }, 400, 300, margins).scale)).toBe(true)
    expect(fit({ x0: 0, y0: 0, x1: 9, y1: 9 }, 10, 10, margins).scale).toBe(0.01)
  })

  test('the scale bar has a round length that is not longer than wanted', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 900, noNaN: true }), fc.constantFrom(1, 0.3048), (scale, unit) => {
        const length = roundLength({ ...view, scale }, 120, unit)
        expect(length * unit * scale).toBeLessThanOrEqual(120.0001)
        expect(length * unit * scale).toBeGreaterThan(120 / 2.51)
        expect([1, 2, 5]).toContain(Number((length / 10 ** Math.floor(Math.log10(length) + 1e-9)).toFixed(6)))
      }),
    )
  })
})

const target = (id: string, kind: Target['kind'], shape: Target['shape']): Target => ({ id, kind, shape, text: id })
const targets: readonly Target[] = [
  target('panel', 'panel', {
    kind: 'area',
    region: [
      [
        [0, 0],
        [10, 0],
        [10, 10],
        [0, 10],
      ],
    ],
  }),
  target('patch', 'panel', {
    kind: 'area',
    region: [
      [
        [2, 2],
        [5, 2],
        [5, 5],
        [2, 5],
      ],
    ],
  }),
  target('beam', 'beam', {
    kind: 'path',
    points: [
      [0, 4],
      [10, 4],
    ],
  }),
  target('column', 'column', { kind: 'point', at: [3, 4] }),
  target('far', 'column', { kind: 'point', at: [9, 4.2] }),
  target('aside', 'column', { kind: 'point', at: [5, 9] }),
]

describe('what a click means', () => {
  const at = (x: number, y: number, dx = 0, dy = 0) => {
    const [sx, sy] = toScreen(view, [x, y])
    return hit(targets, view, [sx + dx, sy + dy])?.id
  }

  test('points before lines before areas; of areas the smaller; within eight pixels', () => {
    expect(at(3, 4, 7)).toBe('column')
    expect(at(3, 4, 9)).toBe('beam')
    expect(at(4.2, 4, 0, 9)).toBe('patch')
    expect(at(8, 8)).toBe('panel')
    expect(at(15, 15)).toBeUndefined()
    // beyond the end of a beam by more than the reach
    expect(at(10, 4, 9)).toBeUndefined()
  })

  test('a hole of an area is not the area', () => {
    const holed = target('holed', 'panel', {
      kind: 'area',
      region: [
        [
          [0, 0],
          [4, 0],
          [4, 4],
          [0, 4],
        ],
        [
          [1, 1],
          [1, 3],
          [3, 3],
          [3, 1],
        ],
      ],
    })
    expect(hit([holed], view, toScreen(view, [2, 2]))).toBeUndefined()
    expect(hit([holed], view, toScreen(view, [0.5, 2]))?.id).toBe('holed')
  })
})

describe('picking by keys', () => {
  const [, , , column] = targets
  if (!column) throw new Error('no column')

  test('begins at the column farthest down and left, and goes to the nearest of its kind straight ahead', () => {
    expect(firstTarget(targets)?.id).toBe('column')
    expect(neighbour(targets, column, [1, 0])?.id).toBe('far')
    expect(neighbour(targets, column, [0, 1])?.id).toBe('aside')
    expect(neighbour(targets, column, [-1, 0])).toBeUndefined()
  })

  test('the middle of each shape', () => {
    expect(targets.slice(0, 4).map(middleOf)).toEqual([
      [5, 5],
      [3.5, 3.5],
      [5, 4],
      [3, 4],
    ])
  })
})

describe('labels do not lie on each other', () => {
  const measure = (text: string) => text.length * 7
  const screen: Viewport = { width: 400, height: 300, scale: 1, x: 0, y: 300 }
  const label = (text: string, at: Point, more: Partial<Label> = {}): Label => ({ text, at, priority: 1, ...more })
  const place = (labels: readonly Label[]) => placeLabels(labels, screen, { measure }).placed

  test('one that would mean something else beside its place is there, or left out', () => {
    const first = label('first', [200, 150], { priority: 9 })
    const beside = place([first, label('other', [200, 150])])
    expect(beside).toHaveLength(2)
    const [, second] = place([first, label('other', [200, 150], { stays: true })])
    expect(second).toBeUndefined()
  })

  test('the important one has its place, the other stands beside it', () => {
    const placed = place([label('second', [200, 150]), label('first', [200, 150], { priority: 9 })])
    expect(placed.map(({ label: { text }, y }) => [text, y])).toEqual([
      ['first', 150],
      ['second', 135],
    ])
  })

  test('one that goes downwards never lies over what is above its place', () => {
    const row = Array.from({ length: 6 }, (_, i) => label(`96.0 kN ${i}`, [200 + 4 * i, 150], { downwards: true }))
    const placed = place(row)
    // four lines of a column of labels, and no more
    expect(placed.map(({ y }) => y)).toEqual([150, 165, 180, 195])
  })

  test('one that finds no room is left out, unless it must be there', () => {
    const crowd = Array.from({ length: 12 }, (_, i) => label(`label ${i}`, [200, 150]))
    expect(place(crowd).length).toBeLessThan(12)
    expect(
      place([...crowd, label('must', [200, 150], { must: true })]).some(({ label: { text } }) => text === 'must'),
    ).toBe(true)
    expect(place([label('outside', [900, 150])])).toEqual([])
  })

  test('whatever is asked for, no two that were placed meet, and none leaves the view', () => {
    const some = fc.array(
      fc.record({
        text: fc.string({ minLength: 1, maxLength: 12 }),
        x: fc.integer({ min: 0, max: 400 }),
        y: fc.integer({ min: 0, max: 300 }),
        priority: fc.nat(9),
      }),
      { maxLength: 40 },
    )
    fc.assert(
      fc.property(some, (wanted) => {
        const placed = place(wanted.map(({ text, x, y, priority }) => label(text, [x, y], { priority })))
        const boxes = placed.map(({ label: { text }, x, y }) => ({
          x0: x - measure(text) / 2,
          x1: x + measure(text) / 2,
          y0: y - 7.5,
          y1: y + 7.5,
        }))
        boxes.forEach((a, i) => {
          expect(a.x0).toBeGreaterThanOrEqual(0)
          expect(a.y1).toBeLessThanOrEqual(300)
          for (const b of boxes.slice(i + 1))
            expect(a.x0 < b.x1 && b.x0 < a.x1 && a.y0 < b.y1 && b.y0 < a.y1).toBe(false)
        })
      }),
    )
  })
})

describe('planes that are drawn in', () => {
  test('on a plan a place is where it is, whatever its height', () => {
    const plane = planPlane(view)
    expect(plane.seen([20, 10], 3)).toEqual([850, 120])
    expect(plane.under([850, 120])).toEqual([20, 10])
  })

  test('in an elevation one coordinate is seen and the other stays as deep as it was', () => {
    const [south, east] = [elevationPlane(view, 'x', 2, [1, 7]), elevationPlane(view, 'y', 2, [1, 7])]
    expect(south.seen([4, 99])).toEqual(toScreen(view, [4, 2]))
    expect(south.seen([4, 99], 1.5)).toEqual(toScreen(view, [4, 3.5]))
    expect(south.under(toScreen(view, [4, 8]))).toEqual([4, 7])
    expect(east.seen([99, 4])).toEqual(toScreen(view, [4, 2]))
    expect(east.under(toScreen(view, [4, 8]))).toEqual([1, 4])
  })
})
