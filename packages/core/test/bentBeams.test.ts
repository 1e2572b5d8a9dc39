import fc from 'fast-check'
import { holds } from './holds'
import { balanceOf, equilibriumResidual } from '../src/derivation/balance'
import { expanded } from '../src/document/labels'
import { documentOf } from '../src/document/document'
import { invariantProblems } from '../src/document/invariants'
import { memberLoadSums } from '../src/exchange/results'
import { arcPath } from '../src/geometry/arc'
import type { Point } from '../src/geometry/point'
import { signedArea } from '../src/geometry/polygon'
import { ask } from '../src/queries/derive'
import { oneStorey } from './build'

/** A beam over a path with a column at each end, and a view of it in a case. */
function over(path: readonly Point[], unitWeight = 25_000) {
  const storey = oneStorey(0)
  const { building, layout, top } = storey
  const concrete = building.material({ unitWeight })
  // 0.01 m² of section: 250 N/m
  const beam = building.member(layout, 'beam', path, { material: concrete.id })
  for (const at of [path[0], path.at(-1)]) if (at) building.column(layout, at)
  const view = (caseId: string) => {
    const found = ask(building.state(), { kind: 'member', expandedId: expanded(beam.id, top.id), caseId })
    if (!found) throw new Error('no view')
    return found
  }
  return { ...storey, beam, view }
}

const selfWeight = 'permanent/self-weight'

describe('bent beams, by hand', () => {
  test('half a ring of radius 3 m under its own weight: w·π·R in all, half at each end, 2·w·R² about the chord', () => {
    // the middle of a half circle's line lies 2 R / π from its centre (Pappus; handbooks of mechanics)
    const { view, building } = over(arcPath([-3, 0], [3, 0], 3))
    const found = view(selfWeight)
    // 18 chords are 0.13 % shorter than the arc
    const chords = 18 * 2 * 3 * Math.sin(Math.PI / 36)
    expect(found.length).toBeCloseTo(chords, 9)
    expect(found.total).toBeCloseTo(250 * chords, 6)
    expect(found.total / (250 * Math.PI * 3)).toBeCloseTo(1, 2)
    expect(found.supports.map(({ reaction }) => reaction)).toEqual([
      expect.closeTo(125 * chords, 6),
      expect.closeTo(125 * chords, 6),
    ])
    expect(Math.abs((found.chordMoments[0] ?? 0) / (2 * 250 * 9) - 1)).toBeLessThan(0.005)
    expect(Math.abs(found.residual)).toBeLessThan(1e-9)
    expect(found.residualMoment).toBeLessThan(1e-6)
    expect(memberLoadSums(building.state())[selfWeight]).toBeCloseTo(250 * chords, 6)
  })

  test('a corner of 4 by 3 m: each side acts at its middle, projected on the chord of 5 m', () => {
    // along the chord from the start: the corner lies at 4·4/5 = 3.2 m, the middles at 1.6 m and 4.1 m
    const { view } = over([
      [0, 0],
      [4, 0],
      [4, 3],
    ])
    const found = view(selfWeight)
    const atEnd = (1000 * 1.6 + 750 * 4.1) / 5
    expect(found.supports.map(({ reaction }) => reaction)).toEqual([
      expect.closeTo(1750 - atEnd, 9),
      expect.closeTo(atEnd, 9),
    ])
    // the corner lies 4·3/5 = 2.4 m beside the chord, at its right, both middles half of that
    expect(found.chordMoments).toEqual([expect.closeTo(-1750 * 1.2, 9)])
  })

  test('a column under the corner makes two spans of it, with nothing about their chords', () => {
    const { view, building, layout } = over([
      [0, 0],
      [4, 0],
      [4, 3],
    ])
    building.column(layout, [4, 0])
    const found = view(selfWeight)
    expect(found.supports.map(({ reaction }) => reaction)).toEqual([
      expect.closeTo(500, 9),
      expect.closeTo(875, 9),
      expect.closeTo(375, 9),
    ])
    for (const moment of found.chordMoments) expect(Math.abs(moment)).toBeLessThan(1e-9)
  })

  test('a wall along it, and a balcony slab on it: all of both arrives, equal at both ends', () => {
    const path = arcPath([0, 0], [8, 0], -2)
    const { view, building, layout } = over(path, 0)
    building.beam(layout, [0, 0], [8, 0])
    building.wall(layout, path, { weight: 1000, height: 2 })
    const key = building.key(5000)
    const outline = [...path]
    const panel = building.panel(layout, outline)
    building.patch(layout, key, outline)
    const state = building.state()
    const area = Math.abs(signedArea(outline))
    // a segment of a circle: R²/2 (θ - sin θ), R = (4² + 2²)/(2·2) = 5 m, θ = 2 asin(4/5)
    const turn = 2 * Math.asin(0.8)
    expect(area / (12.5 * (turn - Math.sin(turn)))).toBeCloseTo(1, 1)
    const imposed = balanceOf(state, 'imposed/B')
    expect(imposed.applied).toBeCloseTo(5000 * area, 2)
    expect(imposed.notCarried).toBeCloseTo(0, 2)
    const walls = view('permanent/walls')
    expect(walls.total).toBeCloseTo(2000 * walls.length, 5)
    for (const caseId of ['permanent/walls', 'imposed/B']) {
      const { supports } = view(caseId)
      expect((supports[0]?.reaction ?? 0) / (supports[1]?.reaction ?? 1)).toBeCloseTo(1, 9)
    }
    const audit = ask(state, {
      kind: 'panel',
      expandedId: expanded(panel.id, state.floors[0]?.level.id ?? ''),
      caseId: 'imposed/B',
    })
    expect(Math.abs(audit?.residual.force ?? 1)).toBeLessThan(1e-6 * imposed.applied)
    expect(equilibriumResidual(state)).toBeLessThan(1e-9)
  })

  test('it stands on another beam inside its length, and other beams stand on it', () => {
    const { building, layout, view } = over([
      [0, 0],
      [4, 2],
      [8, 0],
    ])
    // from the wall side into the bend: a beam of its own with a column at the far end
    building.column(layout, [4, 6])
    building.beam(layout, [4, 2], [4, 6])
    building.pointLoad(layout, [4, 4], 10_000)
    const found = view('permanent/typed')
    expect(found.total).toBeCloseTo(5000, 6)
    expect(found.supports.map(({ reaction }) => reaction)).toEqual([expect.closeTo(2500, 6), expect.closeTo(2500, 6)])
    expect(found.chordMoments).toEqual([expect.closeTo(10_000, 6)])
  })
})

test('a beam with points on its straight line is the same as one without', () => {
  const part = fc.double({ min: 0.05, max: 0.95, noNaN: true })
  holds(
    fc.property(fc.array(part, { minLength: 1, maxLength: 5 }), part, part, (parts, load, column) => {
      const at = (t: number): Point => [9 * t, 4 * t]
      const build = (points: readonly number[]) => {
        const { building, layout, top } = oneStorey(2000)
        const beam = building.member(layout, 'beam', [0, ...points, 1].map(at))
        building.beam(layout, [0, 8], [9, 8])
        for (const point of [at(0), at(1), at(column), [0, 8], [9, 8]] as const) building.column(layout, point)
        building.panel(layout, [at(0), at(1), [9, 8], [0, 8]])
        building.pointLoad(layout, at(load), 7000)
        const state = building.state()
        return ['permanent/typed', 'imposed/B'].map((caseId) => {
          const view = ask(state, { kind: 'member', expandedId: expanded(beam.id, top.id), caseId })
          return view?.supports.map(({ reaction }) => reaction) ?? []
        })
      }
      const sorted = [...new Set(parts.map((value) => Math.round(value * 1e4) / 1e4))].sort((p, q) => p - q)
      const [plain, pointed] = [build([]), build(sorted)]
      pointed.forEach((reactions, i) =>
        reactions.forEach((reaction, k) => expect(Math.abs(reaction - (plain[i]?.[k] ?? NaN))).toBeLessThan(1e-6)),
      )
    }),
    { numRuns: 30 },
  )
})

test('a truss has two points, and a beam does not end where it begins', () => {
  const { building, layout } = oneStorey(0)
  building.member(layout, 'truss', [
    [0, 0],
    [3, 1],
    [6, 0],
  ])
  building.member(layout, 'beam', [
    [0, 0],
    [3, 1],
    [0, 0],
  ])
  expect(
    invariantProblems(documentOf(building.records))
      .map(({ problem }) => problem)
      .sort(),
  ).toEqual(['A beam cannot end at its start; use two beams for a closed ring.', 'A truss has two points.'])
})
