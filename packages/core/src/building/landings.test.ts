import { simplePanel } from '../document/blanks'
import type { MemberShape } from '../document/shapes'
import type { Point } from '../geometry/point'
import { rectangle } from '../../test/shapes'
import type { FramePlan } from './frame'
import { framePlan } from './framePlan'
import { passingColumns, standFeet } from './landings'
import { planPanel } from './panelRegions'
import { wallSegments } from './wallSegments'

const member = (id: string, ...path: readonly Point[]): MemberShape => ({
  id: `member:${id}`,
  role: path.length === 1 ? 'column' : 'beam',
  path,
  startRelease: 'pinned',
  endRelease: 'pinned',
  spans: 'simple',
  takesLoad: true,
  sparedActions: [],
})
const below = framePlan([
  member('a', [0, 0]),
  member('b', [6, 0]),
  member('t', [0, 0], [6, 0]),
  member('u', [6, 5], [6, 0]),
])
const feet = (...points: readonly Point[]) => standFeet(framePlan(points.map((at, i) => member(`c${i}`, at))), below)

describe('where the foot of a column stands', () => {
  test('on a column at the same point before the beam that is there too', () => {
    expect(feet([6, 0.005])).toEqual({ landings: [{ row: 0, on: 'column', index: 1, s: 0, part: 1 }], unsupported: [] })
  })

  test('on a beam under it: a transfer, measured from the start of that beam', () => {
    expect(feet([2.4, 0])).toMatchObject({ landings: [{ on: 'beam', index: 0, s: 2.4 }] })
    expect(feet([6, 1])).toMatchObject({ landings: [{ on: 'beam', index: 1, s: 4 }] })
    // 10 mm past the tip still counts, at the tip
    expect(feet([6, 5.009])).toMatchObject({ landings: [{ on: 'beam', index: 1, s: 0 }] })
  })

  test('on nothing, each by its row', () => {
    expect(feet([3, 2], [0, 0], [-0.02, 0])).toEqual({
      landings: [{ row: 1, on: 'column', index: 0, s: 0, part: 1 }],
      unsupported: [0, 2],
    })
  })

  test('a floor without members holds nothing', () => {
    expect(standFeet(below, framePlan([])).unsupported).toEqual([0, 1])
  })
})

describe('columns pass through a level where there is neither member nor floor', () => {
  const at = (...points: readonly Point[]) => framePlan(points.map((point, i) => member(`c${i}`, point)))
  const slab = (hole: readonly (readonly Point[])[] = []) => [
    planPanel(
      {
        id: 'panel:1',
        layout: 'layout:1',
        outline: rectangle(0, 1, 6, 4),
        spanAngle: 0,
        ...simplePanel,
      },
      hole.map((outline) => ({ id: 'opening:1' as const, outline })),
      [],
    ),
  ]
  const names = (above: FramePlan, ...rest: Parameters<typeof slab>) =>
    passingColumns(above, standFeet(above, below), slab(...rest)).map(({ at: point }) => point)

  test('beside the floor and through its opening, not onto the slab, its border, a column or a beam', () => {
    const columns = at([9, 9], [3, 2], [3, 4.005], [0, 0], [6, 2.5])
    expect(names(columns)).toEqual([[9, 9]])
    expect(names(columns, [rectangle(2, 1.5, 4, 3)])).toEqual([
      [9, 9],
      [3, 2],
    ])
  })
})

describe('the stretches of a wall run', () => {
  const path: readonly Point[] = [
    [0, 0],
    [3, 0],
    [3, 0.005],
    [3, 4],
  ]
  const lengths = (closed: boolean, points = path) =>
    wallSegments({ path: points, closed }).map(({ index, length }) => [index, length])

  test('from point to point; a step below 10 mm is none, and keeps its number', () => {
    expect(lengths(false)).toEqual([
      [0, 3],
      [2, 3.995],
    ])
  })

  test('a closed run returns to its start, unless it is one stretch there and back', () => {
    expect(lengths(true)).toEqual([
      [0, 3],
      [2, 3.995],
      [3, 5],
    ])
    expect(lengths(true, path.slice(0, 2))).toEqual([[0, 3]])
  })
})
