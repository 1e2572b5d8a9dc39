import fc from 'fast-check'
import { holds } from '../../test/holds'
import { difference, intersection, regionOf } from '../geometry/clip'
import { densityAt, even, loadOver, type Density } from '../geometry/density'
import type { Point } from '../geometry/point'
import { contains, regionArea, type Region, type Ring } from '../geometry/polygon'
import { along, distance } from '../geometry/segment'
import { auditShare } from './audit'
import { footOnSite, nearestFeet } from './nearest'
import type { Carrier } from './rails'
import type { Share } from './share'
import { sitesAround, sitesWithin, type Site } from './sites'
import { evenEnds, loadAlong, type Ends } from './lineEnds'
import * as twoWay from './twoWay'

const { sharePointToNearest } = twoWay

const rect = (x0: number, y0: number, x1: number, y1: number): Ring => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
]
const carrier = (member: string, a: Point, b: Point): Carrier => ({ member, a, b, from: 0, bent: false })
const sidesOf = (ring: Ring): readonly Carrier[] =>
  ring.map((p, i) => carrier(`m${i}`, p, ring[(i + 1) % ring.length] ?? p))
const forceOn = (share: Share, member: string): number =>
  share.lines
    .filter((line) => line.member === member)
    .reduce((force, { s0, s1, q0, q1 }) => force + ((s1 - s0) * (q0 + q1)) / 2, 0) +
  share.points.filter((point) => point.member === member).reduce((force, point) => force + point.force, 0)
const ordinate = (share: Share, member: string, s: number): number =>
  share.lines
    .filter((line) => line.member === member && line.s0 <= s && s < line.s1)
    .reduce((sum, { s0, s1, q0, q1 }) => sum + q0 + ((q1 - q0) * (s - s0)) / (s1 - s0), 0)
type Sites = readonly Site[]
type Carriers = readonly Carrier[]
const shareAreaToNearest = (sites: Sites, carriers: Carriers, region: Region, density = even): Share =>
  twoWay.shareAreaToNearest(sites, carriers, region, density)
const shareAreaEvenly = (sites: Sites, carriers: Carriers, region: Region, density = even): Share =>
  twoWay.shareAreaEvenly(sites, carriers, region, density)
const shareLineToNearest = (sites: Sites, carriers: Carriers, a: Point, b: Point, ends: Ends = evenEnds): Share =>
  twoWay.shareLineToNearest(sites, carriers, a, b, ends)
const share = (ring: Ring, carriers: Carriers, region: Region = regionOf(ring), density = even): Share =>
  shareAreaToNearest(sitesWithin(regionOf(ring), carriers, 0.01), carriers, region, density)

describe('two-way sharing against hand calculation', () => {
  const bay = rect(0, 0, 8, 6)

  test('common practice: a 8 x 6 m panel gives triangles of 3 m to its short beams and trapezoids to its long ones', () => {
    const found = share(bay, sidesOf(bay))
    expect(found.points).toEqual([])
    // short beam m1: a triangle 6 long and 3 high; long beam m0: 3 up, 2 level, 3 down
    expect(found.lines.filter(({ member }) => member === 'm1')).toEqual([
      { member: 'm1', s0: 0, s1: expect.closeTo(3, 9), q0: expect.closeTo(0, 9), q1: expect.closeTo(3, 9) },
      {
        member: 'm1',
        s0: expect.closeTo(3, 9),
        s1: expect.closeTo(6, 9),
        q0: expect.closeTo(3, 9),
        q1: expect.closeTo(0, 9),
      },
    ])
    expect(found.lines.filter(({ member }) => member === 'm0')).toEqual([
      { member: 'm0', s0: 0, s1: expect.closeTo(3, 9), q0: expect.closeTo(0, 9), q1: expect.closeTo(3, 9) },
      {
        member: 'm0',
        s0: expect.closeTo(3, 9),
        s1: expect.closeTo(5, 9),
        q0: expect.closeTo(3, 9),
        q1: expect.closeTo(3, 9),
      },
      {
        member: 'm0',
        s0: expect.closeTo(5, 9),
        s1: expect.closeTo(8, 9),
        q0: expect.closeTo(3, 9),
        q1: expect.closeTo(0, 9),
      },
    ])
    expect(forceOn(found, 'm1')).toBeCloseTo((6 * 3) / 2, 9)
    expect(forceOn(found, 'm0')).toBeCloseTo(((8 + 2) / 2) * 3, 9)
  })

  test('hand: a load that rises from 0 to 8 along the long side puts a triangle under the same slope on it', () => {
    const found = share(bay, sidesOf(bay), regionOf(bay), { at: [0, 0], value: 0, grows: [1, 0] })
    // at x = 4 the value is 4 over 3 m; the short sides take what lies within 45 degrees: a triangle of 9 m2 with its middle 1 m off
    expect(ordinate(found, 'm0', 4)).toBeCloseTo(12, 9)
    expect(forceOn(found, 'm3')).toBeCloseTo(9 * 1, 9)
    expect(forceOn(found, 'm1')).toBeCloseTo(9 * 7, 9)
    expect(forceOn(found, 'm0')).toBeCloseTo((48 * 4 - 9 - 63) / 2, 9)
    // of the quadratic rise over the first 3 m of the long side: 0 at its beginning, 9 at 3 m
    expect(ordinate(found, 'm0', 1e-6)).toBeLessThan(0.5)
    expect(ordinate(found, 'm0', 3.0001)).toBeCloseTo(9, 2)
  })

  test('hand: a free edge takes nothing; its neighbours reach to it', () => {
    const found = share(bay, sidesOf(bay).slice(0, 3))
    // without m3 (x = 0): m1 keeps its triangle, m0 and m2 have 5 m level and 3 m down
    expect(forceOn(found, 'm1')).toBeCloseTo(9, 9)
    expect(forceOn(found, 'm0')).toBeCloseTo(5 * 3 + 4.5, 9)
    expect(ordinate(found, 'm0', 0.01)).toBeCloseTo(3, 9)
    expect(found.notCarried).toBe(0)
  })

  test('hand: a beam across halves the panel into two', () => {
    const middle = carrier('x', [4, 0], [4, 6])
    const found = share(bay, [...sidesOf(bay), middle])
    // two panels of 4 x 6: triangles of 2 m on the 4 m sides, trapezoids 2 m high on the 6 m ones
    expect(forceOn(found, 'x')).toBeCloseTo(2 * ((6 + 2) / 2) * 2, 9)
    expect(forceOn(found, 'm0')).toBeCloseTo(2 * ((4 * 2) / 2), 9)
    expect(ordinate(found, 'x', 3)).toBeCloseTo(4, 9)
  })

  test('hand: beams that lie on each other share alike', () => {
    const found = share(bay, [...sidesOf(bay), carrier('twin', [0, 6], [8, 6])])
    expect(forceOn(found, 'm2')).toBeCloseTo(7.5, 9)
    expect(forceOn(found, 'twin')).toBeCloseTo(7.5, 9)
  })

  test('hand: an opening at a beam takes its part out of the trapezoid', () => {
    const net = difference(regionOf(bay), regionOf(rect(3.5, 0, 4.5, 1)))
    const found = share(bay, sidesOf(bay), net)
    expect(forceOn(found, 'm0')).toBeCloseTo(15 - 1, 9)
    expect(ordinate(found, 'm0', 4)).toBeCloseTo(2, 9)
  })

  test('hand: what lies round the free end of a beam comes to it as a force', () => {
    // one beam from (0, 3) to (4, 3) in the middle of the bay: the half of the bay beyond x = 4 is nearest to its end
    const found = share(bay, [carrier('m', [0, 3], [4, 3])])
    expect(found.lines).toEqual([
      { member: 'm', s0: 0, s1: expect.closeTo(4, 9), q0: expect.closeTo(6, 9), q1: expect.closeTo(6, 9) },
    ])
    expect(found.points).toEqual([{ member: 'm', s: expect.closeTo(4, 9), force: expect.closeTo(24, 9) }])
  })

  test('hand: at an inner corner of an L the wedge is halved by the bisector', () => {
    // beams along the inner edges of an L alone: (3, 3)–(6, 3) and (3, 3)–(3, 6)
    const ring: Ring = [
      [0, 0],
      [6, 0],
      [6, 3],
      [3, 3],
      [3, 6],
      [0, 6],
    ]
    const found = share(ring, [carrier('a', [3, 3], [6, 3]), carrier('b', [3, 3], [3, 6])])
    expect(found.points.map(({ member, force }) => [member, Number(force.toFixed(9))])).toEqual([
      ['a', 4.5],
      ['b', 4.5],
    ])
    expect(forceOn(found, 'a')).toBeCloseTo(13.5, 9)
  })

  test('hand: between a point and a line the border is a parabola', () => {
    // a beam along y = 0 and a stub of 1 m that ends at (4, 2): below its tip it takes what is above y = 1 + (x − 4)²/4
    const carriers = [carrier('base', [0, 0], [8, 0]), carrier('stub', [4, 2], [4, 3])]
    const found = share(rect(0, 0, 8, 3), carriers)
    expect(ordinate(found, 'base', 4.0001)).toBeCloseTo(1, 2)
    // at x = 5: 1 + 1/4, straight below the flank of the stub
    expect(ordinate(found, 'base', 5)).toBeCloseTo(1.25, 2)
    expect(forceOn(found, 'base') + forceOn(found, 'stub')).toBeCloseTo(24, 9)
  })

  test('surrounding beams alone: a beam inside takes nothing; one even value goes round all of them', () => {
    const middle = carrier('x', [4, 0], [4, 6])
    const carriers = [...sidesOf(bay), middle]
    const sites = sitesAround(regionOf(bay), carriers, 0.01)
    const nearest = shareAreaToNearest(sites, carriers, regionOf(bay))
    expect([forceOn(nearest, 'x'), forceOn(nearest, 'm0')]).toEqual([0, expect.closeTo(15, 9)])
    const evenly = shareAreaEvenly(sites, carriers, regionOf(bay))
    // 48 m2 over 28 m of beams
    expect(ordinate(evenly, 'm1', 2)).toBeCloseTo(48 / 28, 9)
    expect(forceOn(evenly, 'm0')).toBeCloseTo((8 * 48) / 28, 9)
  })

  test('a line goes with what it stands on: along the middle to both long beams, square to them as a force', () => {
    const carriers = sidesOf(bay)
    const sites = sitesWithin(regionOf(bay), carriers, 0.01)
    const alongMiddle = shareLineToNearest(sites, carriers, [3.5, 3], [4.5, 3])
    expect([forceOn(alongMiddle, 'm0'), forceOn(alongMiddle, 'm2')]).toEqual([
      expect.closeTo(0.5, 9),
      expect.closeTo(0.5, 9),
    ])
    const across = shareLineToNearest(sites, carriers, [4, 0], [4, 6])
    expect(across.lines).toEqual([])
    expect(across.points.map(({ member, force }) => [member, Number(force.toFixed(9))])).toEqual([
      ['m0', 3],
      ['m2', 3],
    ])
    expect(sharePointToNearest(sites, [1, 2]).points).toEqual([{ member: 'm3', s: expect.closeTo(4, 9), force: 1 }])
  })

  test('no support: all of it is not carried', () => {
    expect(share(bay, []).notCarried).toBeCloseTo(48, 9)
    expect(sharePointToNearest([], [1, 1]).notCarried).toBe(1)
    expect(shareLineToNearest([], [], [1, 1], [2, 1]).notCarried).toBe(1)
  })
})

interface Case {
  readonly ring: Ring
  readonly region: Region
  readonly carriers: readonly Carrier[]
}

/** A star-shaped outline with an opening, some of its sides supported, and beams inside that end anywhere. */
/** Lengths to the millimetre. */
const between = (min: number, max: number) => fc.integer({ min: min * 1000, max: max * 1000 }).map((mm) => mm / 1000)

const cases: fc.Arbitrary<Case> = fc
  .record({
    radii: fc.array(between(2, 8), { minLength: 3, maxLength: 7 }),
    hole: fc.tuple(between(-2, 2), between(0.2, 2)),
    skip: fc.nat(5),
    inner: fc.array(
      fc.tuple(...[0, 1, 2, 3].map(() => between(-5, 5))) as unknown as fc.Arbitrary<
        readonly [number, number, number, number]
      >,
      { maxLength: 3 },
    ),
    turn: between(0, 6),
  })
  .map(({ radii, hole: [x, size], skip, inner, turn }) => {
    const ring = radii.map((r, i): Point => {
      const angle = turn + (2 * Math.PI * i) / radii.length
      return [r * Math.cos(angle), r * Math.sin(angle)]
    })
    const outline = regionOf(ring)
    const carriers = [
      ...sidesOf(ring).filter((_, i) => i !== skip),
      ...inner
        .filter(([ax, ay, bx, by]) => Math.hypot(bx - ax, by - ay) > 0.2)
        .map(([ax, ay, bx, by], i) => carrier(`i${i}`, [ax, ay], [bx, by])),
    ]
    return { ring, carriers, region: difference(outline, regionOf(rect(x, x, x + size, x + size))) }
  })

/** Even, or linear over the plan: 0.2 to 1.8 at the farthest. */
const varying: fc.Arbitrary<Density> = fc
  .record({ x: between(-0.05, 0.05), y: between(-0.05, 0.05), isEven: fc.boolean() })
  .map(({ x, y, isEven }) => (isEven ? even : { at: [0, 0], value: 1, grows: [x, y] }))

describe('two-way sharing of any shape', () => {
  test('every force arrives, to rounding', () => {
    holds(
      fc.property(cases, varying, ({ ring, region, carriers }, density) => {
        const found = share(ring, carriers, region, density)
        const { force, scale } = auditShare(found, carriers)
        expect(Math.abs(force)).toBeLessThanOrEqual(1e-9 * scale)
        expect(found.applied).toBeCloseTo(loadOver(region, density).force, 9)
      }),
      { numRuns: 300 },
    )
  })

  test('the moment left over is that of all levers from a point to its foot', () => {
    holds(
      fc.property(cases, varying, ({ ring, region, carriers }, density) => {
        const sites = sitesWithin(regionOf(ring), carriers, 0.01)
        const found = shareAreaToNearest(sites, carriers, region, density)
        const { moments } = auditShare(found, carriers)
        const [dense, cells] = leverByCells(sites, region, density)
        const area = regionArea(region)
        for (const axis of [0, 1] as const)
          expect(Math.abs(moments[axis] - dense[axis])).toBeLessThanOrEqual(0.02 * area + 40 / Math.sqrt(cells))
      }),
      { numRuns: 40 },
    )
  })

  test('what each member gets is the load on the area that is nearest to it', () => {
    holds(
      fc.property(cases, varying, ({ ring, region, carriers }, density) => {
        const sites = sitesWithin(regionOf(ring), carriers, 0.01)
        const found = shareAreaToNearest(sites, carriers, region, density)
        const counted = loadsByCells(sites, region, density)
        for (const { member } of carriers)
          expect(Math.abs(forceOn(found, member) - (counted.get(member) ?? 0))).toBeLessThanOrEqual(
            0.02 * regionArea(region) + 0.1,
          )
      }),
      { numRuns: 40 },
    )
  })

  test('a region in two parts shares as both together', () => {
    holds(
      fc.property(cases, ({ ring, region, carriers }) => {
        const half = regionOf(rect(-20, -20, 0.3, 20))
        const parts = [intersection(region, half), difference(region, half)].map((part) => share(ring, carriers, part))
        const whole = share(ring, carriers, region)
        for (const { member } of carriers)
          expect(parts.reduce((sum, part) => sum + forceOn(part, member), 0)).toBeCloseTo(forceOn(whole, member), 4)
      }),
      { numRuns: 60 },
    )
  })

  test('neither the order nor the direction of the members counts', () => {
    holds(
      fc.property(cases, ({ ring, region, carriers }) => {
        const turned = [...carriers].reverse().map(({ member, a, b }) => carrier(member, b, a))
        const [found, other] = [share(ring, carriers, region), share(ring, turned, region)]
        for (const { member } of carriers) expect(forceOn(other, member)).toBeCloseTo(forceOn(found, member), 7)
      }),
      { numRuns: 60 },
    )
  })

  test('every length of a line arrives where its points are nearest', () => {
    holds(
      fc.property(cases, between(0, 6), between(0, 3), ({ ring, carriers }, angle, last) => {
        const ends: Ends = [1, last]
        const sites = sitesWithin(regionOf(ring), carriers, 0.01)
        if (sites.length === 0) return
        const [a, b]: readonly Point[] = [
          [-1.5 * Math.cos(angle), -1.5 * Math.sin(angle)],
          [1.5 * Math.cos(angle), 1.5 * Math.sin(angle)],
        ]
        if (!a || !b) return
        const found = shareLineToNearest(sites, carriers, a, b, ends)
        expect(found.applied).toBeCloseTo(loadAlong(a, b, ends).force, 9)
        expect(Math.abs(auditShare(found, carriers).force)).toBeLessThanOrEqual(1e-9 * found.applied)
        const dense = new Map<string, number>()
        const n = 3000
        for (let i = 0; i < n; i++) {
          const feet = nearestFeet(sites, along(a, b, (distance(a, b) * (i + 0.5)) / n))
          for (const { site } of feet)
            for (const { member } of site.owners)
              dense.set(
                member,
                (dense.get(member) ?? 0) +
                  ((distance(a, b) / n) * (1 + ((last - 1) * (i + 0.5)) / n)) / feet.length / site.owners.length,
              )
        }
        for (const { member } of carriers)
          expect(Math.abs(forceOn(found, member) - (dense.get(member) ?? 0))).toBeLessThanOrEqual(0.01)
      }),
      { numRuns: 100 },
    )
  })
})

// 40 / √cells of the tolerance below is what cells of any size may err by
const step = 0.1

function eachCell(region: Region, visit: (at: Point, area: number) => void): number {
  let cells = 0
  for (let x = -8.5; x < 8.5; x += step)
    for (let y = -8.5; y < 8.5; y += step) {
      const at: Point = [x + step / 2, y + step / 2]
      if (!contains(region, at)) continue
      cells++
      visit(at, step * step)
    }
  return cells
}

/** Brute force: the moments of small cells less those of their feet. */
function leverByCells(sites: Sites, region: Region, density: Density): readonly [Point, number] {
  let [mx, my] = [0, 0]
  const cells = eachCell(region, (at, area) => {
    const feet = sites.map((site) => footOnSite(site, at)).sort((p, q) => p.gap - q.gap)
    const foot = feet[0]?.at ?? [0, 0]
    const load = area * densityAt(density, at)
    mx += load * (at[0] - foot[0])
    my += load * (at[1] - foot[1])
  })
  return [sites.length === 0 ? loadOver(region, density).moments : [mx, my], cells + 1]
}

function loadsByCells(sites: Sites, region: Region, density: Density): ReadonlyMap<string, number> {
  const loads = new Map<string, number>()
  eachCell(region, (at, area) => {
    const feet = nearestFeet(sites, at)
    const load = area * densityAt(density, at)
    for (const { site } of feet)
      for (const { member } of site.owners)
        loads.set(member, (loads.get(member) ?? 0) + load / feet.length / site.owners.length)
  })
  return loads
}

describe('degenerate input', () => {
  const bay = rect(0, 0, 8, 6)
  const moved = (ring: Ring, by: number): Ring => ring.map(([x, y]): Point => [x + by, y + by])

  test('a million metres from the origin it is the same to a micronewton in a newton', () => {
    const far = moved(bay, 1e6)
    const [near, found] = [share(bay, sidesOf(bay)), share(far, sidesOf(far))]
    for (const member of ['m0', 'm1', 'm2', 'm3']) expect(forceOn(found, member)).toBeCloseTo(forceOn(near, member), 5)
  })

  test('slivers, stubs and coincident members: every force arrives', () => {
    const carriers = [
      ...sidesOf(bay),
      carrier('twin', [8, 6], [0, 6]),
      carrier('beside', [0, 6.004], [8, 6.004]),
      carrier('stub', [4, 3], [4, 3.002]),
      carrier('dot', [1, 1], [1, 1]),
      carrier('sharp', [0, 0], [8, 0.02]),
    ]
    for (const region of [regionOf(bay), regionOf(rect(0, 0, 8, 1e-6)), [[...bay].slice(0, 3)] as Region]) {
      const found = share(bay, carriers, region)
      const { force, scale } = auditShare(found, carriers)
      expect(Math.abs(force)).toBeLessThanOrEqual(1e-9 * scale)
      expect(found.lines.every(({ q0, q1 }) => Number.isFinite(q0) && Number.isFinite(q1))).toBe(true)
    }
  })

  test('nothing left of the panel: nothing is shared', () => {
    const found = share(bay, sidesOf(bay), [])
    expect([found.applied, found.lines, found.points, found.notCarried]).toEqual([0, [], [], 0])
  })
})

test('a member that folds back over itself shares with itself, and loses nothing', () => {
  const bay = rect(0, 0, 4, 6)
  const folded: readonly Carrier[] = [
    { member: 'm', a: [0, 6], b: [0, 1], from: 0, bent: true },
    { member: 'm', a: [0, 1], b: [0, 4], from: 5, bent: true },
  ]
  const found = share(bay, folded)
  expect(forceOn(found, 'm')).toBeCloseTo(24, 9)
  // from y = 1 to 4 both pieces lie there: half of 4.0 m to each
  expect(ordinate(found, 'm', 1)).toBeCloseTo(4, 9)
  expect(ordinate(found, 'm', 3)).toBeCloseTo(2, 9)
  expect(ordinate(found, 'm', 6)).toBeCloseTo(2, 9)
})

test('an end that passes the border by less than a millimetre shares the same whichever way it is drawn', () => {
  // found by the law above: a beam that comes to the side from (-2.079, 0.478) at an angle, its end 0.8 mm beyond it
  const ring: Ring = [
    [-2.0787614130304837, 0.47795395980733013],
    [-4.896571165216722, -3.892122277622859],
    [-0.0031905532621703515, -1.9999974550908513],
    [1.9505633081524196, 0.4419307421864754],
  ]
  const along = (a: Point, b: Point): Share => share(ring, [...sidesOf(ring), carrier('x', a, b)])
  const [found, other] = [along([0, -1.518], [-3.408, -1.582]), along([-3.408, -1.582], [0, -1.518])]
  for (const member of ['m0', 'm1', 'm2', 'm3', 'x'])
    expect(forceOn(other, member)).toBeCloseTo(forceOn(found, member), 9)
})

test('carriers that all but meet, and borders crossed twice within a millimetre, share the same in any order', () => {
  // both found by the law above
  const nearCorner: Ring = [
    [-0.929565052748427, -1.770849743120182],
    [2.001380965286741, 0.08051851829184639],
    [-1.0688183374530107, 1.690451821710451],
  ]
  const twice: Ring = [
    [1.6752518793176459, 2.3928585710072157],
    [-1.2661972695638286, 4.293171377262863],
    [-6.737709280484034, 2.741231411551991],
    [-2.848466569009626, -1.5978091892446136],
    [-0.9461256844289387, -5.789197024567731],
    [1.3454202074464665, -1.486562970544708],
    [4.842556167871331, 0.302578520406406],
  ]
  const all: readonly (readonly [Ring, readonly Carrier[]])[] = [
    [nearCorner, [...sidesOf(nearCorner).slice(1), carrier('i', [2.077, 0], [0, 1.809])]],
    [twice, [...sidesOf(twice).filter((_, i) => i !== 5), carrier('i', [-0.639, 0.102], [3.23, 3.922])]],
  ]
  for (const [ring, carriers] of all) {
    const turned = [...carriers].reverse().map(({ member, a, b }) => carrier(member, b, a))
    const [found, other] = [share(ring, carriers), share(ring, turned)]
    for (const { member } of carriers) expect(forceOn(other, member)).toBeCloseTo(forceOn(found, member), 9)
  }
})
