import fc from 'fast-check'
import { holds } from '../../test/holds'
import type { MemberShape } from '../document/shapes'
import type { Point } from '../geometry/point'
import { turned } from '../../test/shapes'
import type { FramePlan } from './frame'
import { framePlan } from './framePlan'

type Ends = Partial<Pick<MemberShape, 'startRelease' | 'endRelease'>>
const member = (name: string, path: readonly Point[], ends: Ends = {}): MemberShape => ({
  id: `member:${name}`,
  role: path.length === 1 ? 'column' : 'beam',
  path,
  startRelease: 'pinned',
  endRelease: 'pinned',
  spans: 'simple',
  takesLoad: true,
  sparedActions: [],
  ...ends,
})
const beam = (name: string, a: Point, b: Point, ends: Ends = {}) => member(name, [a, b], ends)
const column = (name: string, at: Point) => member(name, [at])

/** What each beam rests on, in words: `B1: column C1 at 0, beam B2 at 6`. */
const wording = ({ beams, columns }: FramePlan): Readonly<Record<string, string>> => {
  const nameOf = (id: string) => id.slice('member:'.length)
  return Object.fromEntries(
    beams.map(({ member: { id }, supports }) => [
      nameOf(id),
      supports
        .map(({ s, on, index }) => {
          const found = on === 'column' ? columns[index] : beams[index]
          return `${on} ${nameOf(found?.member.id ?? '')} at ${Number(s.toFixed(3))}`
        })
        .join(', '),
    ]),
  )
}
const stableOf = ({ beams }: FramePlan) =>
  Object.fromEntries(beams.map(({ member: { id }, stable }) => [id.slice(7), stable]))

describe('what a beam rests on follows from geometry', () => {
  test('columns at its ends and along it, and the beam that its free end meets', () => {
    const plan = framePlan([
      column('C1', [0, 0]),
      column('C2', [6, 0]),
      column('C3', [12, 0]),
      column('C4', [0, 5]),
      beam('B1', [0, 0], [12, 0]),
      beam('B2', [3, 0], [3, 5]),
      beam('B3', [0, 5], [6, 5]),
      column('C5', [6, 5]),
    ])
    expect(wording(plan)).toEqual({
      B1: 'column C1 at 0, column C2 at 6, column C3 at 12',
      B2: 'beam B1 at 0, beam B3 at 5',
      B3: 'column C4 at 0, column C5 at 6',
    })
    // a beam hands on after all that rest on it
    expect(plan.order.map((i) => plan.beams[i]?.member.id)).toEqual(['member:B2', 'member:B1', 'member:B3'])
  })

  test('a column within 10 mm of the axis counts, one beside it does not', () => {
    const at = (off: number) =>
      wording(framePlan([column('C', [2, off]), column('L', [0, 0]), column('R', [5, 0]), beam('B', [0, 0], [5, 0])]))[
        'B'
      ]
    expect(at(0.0099)).toContain('column C')
    expect(at(0.0101)).not.toContain('column C')
  })

  test('of two beams under one end the one on more columns carries it', () => {
    const plan = framePlan([
      column('C1', [0, -4]),
      column('C2', [0, 4]),
      beam('strong', [0, -4], [0, 4]),
      column('C3', [-3, -3]),
      beam('weak', [-3, -3], [3, 3]),
      beam('B', [0, 0], [0.1, 9]),
    ])
    expect(wording(plan)['B']).toBe('beam strong at 0')
  })

  test('a beam does not stand on one that runs along it, nor on the tip of one that stands nowhere', () => {
    const plan = framePlan([beam('A', [0, 0], [6, 0]), beam('B', [6, 0], [9, 0])])
    expect(wording(plan)).toEqual({ A: '', B: '' })
    expect(stableOf(plan)).toEqual({ A: false, B: false })
  })

  test('a balcony: edge beams hang on the tips of cantilevers that run over a column', () => {
    const plan = framePlan([
      column('C1', [0, 0]),
      column('C2', [0, 6]),
      column('C3', [5, 0]),
      column('C4', [5, 6]),
      beam('L', [0, -2], [0, 6]),
      beam('R', [5, -2], [5, 6]),
      beam('edge', [0, -2], [5, -2]),
    ])
    expect(wording(plan)['edge']).toBe('beam L at 0, beam R at 5')
    expect(stableOf(plan)).toEqual({ L: true, R: true, edge: true })
  })

  test('one support is enough where that end is held against turning, at the end only', () => {
    const one = (ends: Ends, at = 0) =>
      stableOf(framePlan([column('C', [at, 0]), beam('B', [0, 0], [3, 0], ends)]))['B']
    expect(one({})).toBe(false)
    expect(one({ startRelease: 'fixed' })).toBe(true)
    expect(one({ endRelease: 'fixed' })).toBe(false)
    expect(one({ endRelease: 'fixed' }, 3)).toBe(true)
    expect(one({ startRelease: 'fixed', endRelease: 'fixed' }, 1.5)).toBe(false)
  })

  test('a beam without length is no beam; a column on it holds nothing', () => {
    expect(framePlan([beam('B', [1, 1], [1, 1.005]), column('C', [1, 1])]).beams).toEqual([])
  })

  test('supports within 50 mm of each other are one station', () => {
    const stations = (second: number) =>
      framePlan([column('C1', [0, 0]), column('C2', [second, 0]), column('C3', [6, 0]), beam('B', [0, 0], [6, 0])])
        .beams[0]?.stations
    expect(stations(0.049)?.map(({ supports }) => supports.length)).toEqual([2, 1])
    expect(stations(0.051)?.map(({ supports }) => supports.length)).toEqual([1, 1, 1])
  })
})

describe('rings', () => {
  // each beam has its outer end on a column and its inner end on the next beam: none of them can hand its load on
  const ring = [
    column('C1', [0, 1]),
    column('C2', [3, 0]),
    column('C3', [4, 3]),
    column('C4', [1, 4]),
    beam('B1', [0, 1], [3, 1]),
    beam('B2', [3, 0], [3, 3]),
    beam('B3', [4, 3], [1, 3]),
    beam('B4', [1, 4], [1, 1]),
  ]
  const namesOf = (plan: FramePlan, list: readonly number[]) => list.map((i) => plan.beams[i]?.member.id.slice(7))

  test('beams that carry each other in a ring are found', () => {
    const plan = framePlan(ring)
    expect(wording(plan)['B1']).toBe('column C1 at 0, beam B2 at 3')
    expect(namesOf(plan, plan.loop)).toEqual(['B1', 'B2', 'B3', 'B4'])
    expect(plan.order).toEqual([])
  })

  test('what rests on a ring, and what a ring rests on, is not part of it', () => {
    const plan = framePlan([
      ...ring.slice(1),
      column('C5', [0, -1]),
      column('C6', [0, 3]),
      beam('under', [0, -1], [0, 3]),
      column('C7', [2, -3]),
      beam('on', [2, 1], [2, -3]),
    ])
    expect(wording(plan)).toMatchObject({ B1: 'beam under at 0, beam B2 at 3', on: 'beam B1 at 0, column C7 at 4' })
    expect(namesOf(plan, plan.loop)).toEqual(['B1', 'B2', 'B3', 'B4'])
    expect(namesOf(plan, plan.order)).toEqual(['under', 'on'])
  })
})

test('the order of records and the way members were drawn do not matter', () => {
  const members = [
    column('C1', [0, 0]),
    column('C2', [6, 0]),
    column('C3', [0, 5]),
    column('C4', [6, 5]),
    beam('B1', [0, 0], [6, 0]),
    beam('B2', [0, 5], [6, 5]),
    beam('B3', [2, 0], [2, 5]),
    beam('B4', [4, 0], [4, 5]),
    beam('B5', [2, 2.5], [4, 2.5]),
  ]
  const reference = wording(framePlan(members))
  holds(
    fc.property(fc.double({ min: -3, max: 3, noNaN: true }), (angle) => {
      const turn = turned(angle, [1, 1])
      const after = members.map((entry) => ({ ...entry, path: entry.path.map(turn) }))
      expect(wording(framePlan(after))).toEqual(reference)
    }),
    { numRuns: 40 },
  )
})
