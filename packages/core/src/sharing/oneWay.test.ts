import fc from 'fast-check'
import { holds } from '../../test/holds'
import type { Point } from '../geometry/point'
import { difference, intersection, regionOf } from '../geometry/clip'
import { distance, along } from '../geometry/segment'
import { contains, regionArea, type Region, type Ring } from '../geometry/polygon'
import { densityAt, even, loadOver, type Density } from '../geometry/density'
import { evenEnds, loadAlong, type Ends } from './lineEnds'
import * as oneWay from './oneWay'
import type { OneWayPanel } from './oneWay'
import { usualLimits, type Carrier } from './rails'
import { shareTotals, type Share } from './share'

const rect = (x0: number, y0: number, x1: number, y1: number): Ring => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
]
const carrier = (index: number, a: Point, b: Point): Carrier => ({ member: `m${index}`, a, b, from: 0, bent: false })
const panelOf = (
  ring: Ring,
  carriers: readonly Carrier[],
  spanAngle = Math.PI / 2,
  more: Partial<OneWayPanel> = {},
): OneWayPanel => ({
  outline: regionOf(ring),
  spanAngle,
  overhang: 'lever',
  carriers,
  limits: usualLimits,
  ...more,
})
const shareArea = (panel: OneWayPanel, region: Region, density = even): Share =>
  oneWay.shareArea(panel, region, density)
const shareLine = (panel: OneWayPanel, a: Point, b: Point, ends: Ends = evenEnds): Share =>
  oneWay.shareLine(panel, a, b, ends)
const forceOn = (share: Share, index: number): number =>
  share.lines
    .filter((line) => line.member === `m${index}`)
    .reduce((force, { s0, s1, q0, q1 }) => force + ((s1 - s0) * (q0 + q1)) / 2, 0) +
  share.points.filter((point) => point.member === `m${index}`).reduce((force, point) => force + point.force, 0)
const on =
  (carriers: readonly Carrier[]) =>
  (member: string, s: number): Point => {
    const found = carriers.find((candidate) => candidate.member === member)
    return found ? along(found.a, found.b, s) : [NaN, NaN]
  }

describe('one-way sharing against hand calculation', () => {
  test('common practice: an inner beam of equal bays carries twice the edge beam', () => {
    const beams = [0, 3, 6].map((y, i) => carrier(i, [0, y], [7.2, y]))
    const share = shareArea(panelOf(rect(0, 0, 7.2, 6), beams), regionOf(rect(0, 0, 7.2, 6)))
    expect(share.lines).toEqual([
      { member: 'm0', s0: 0, s1: expect.closeTo(7.2, 9), q0: expect.closeTo(1.5, 9), q1: expect.closeTo(1.5, 9) },
      { member: 'm1', s0: 0, s1: expect.closeTo(7.2, 9), q0: expect.closeTo(3, 9), q1: expect.closeTo(3, 9) },
      { member: 'm2', s0: 0, s1: expect.closeTo(7.2, 9), q0: expect.closeTo(1.5, 9), q1: expect.closeTo(1.5, 9) },
    ])
  })

  test('hand: beside a 3.0 m opening at the end of a 7.2 m beam, 3.00 falls to 1.50 from x = 4.2', () => {
    const beams = [0, 3, 6].map((y, i) => carrier(i, [0, y], [7.2, y]))
    const net = difference(regionOf(rect(0, 0, 7.2, 6)), regionOf(rect(4.2, 0, 7.2, 3)))
    const share = shareArea(panelOf(rect(0, 0, 7.2, 6), beams), net)
    const inner = share.lines.filter((l) => l.member === 'm1')
    expect(inner).toHaveLength(2)
    expect(inner[0]).toMatchObject({ s0: 0, s1: expect.closeTo(4.2, 6), q0: expect.closeTo(3, 6) })
    expect(inner[1]).toMatchObject({
      s1: expect.closeTo(7.2, 6),
      q0: expect.closeTo(1.5, 6),
      q1: expect.closeTo(1.5, 6),
    })
  })

  test('hand: overhang of 1.5 m past a 3 m span: by lever R2 = 4.5²/(2·3) = 3.375 and R1 = 1.125; by width 3.0 and 1.5', () => {
    const beams = [carrier(0, [0, 0], [5, 0]), carrier(1, [0, 3], [5, 3])]
    const ring = rect(0, 0, 5, 4.5)
    const lever = shareArea(panelOf(ring, beams), regionOf(ring))
    expect(forceOn(lever, 1)).toBeCloseTo(5 * 3.375, 9)
    expect(forceOn(lever, 0)).toBeCloseTo(5 * 1.125, 9)
    const width = shareArea(panelOf(ring, beams, Math.PI / 2, { overhang: 'tributary' }), regionOf(ring))
    expect(forceOn(width, 1)).toBeCloseTo(5 * 3, 9)
    expect(forceOn(width, 0)).toBeCloseTo(5 * 1.5, 9)
  })

  test('hand: an overhang longer than the span lifts the far support', () => {
    const beams = [carrier(0, [0, 0], [1, 0]), carrier(1, [0, 2], [1, 2])]
    const ring = rect(0, 0, 1, 6)
    const share = shareArea(panelOf(ring, beams), regionOf(ring))
    // moments about the second support: R1 · 2 = 6 · (2 − 3) = −6, so R1 = −3 and R2 = 9
    expect(forceOn(share, 0)).toBeCloseTo(-3, 9)
    expect(forceOn(share, 1)).toBeCloseTo(9, 9)
  })

  test('a member along the span takes nothing and does not split strips', () => {
    const beams = [carrier(0, [0, 0], [6, 0]), carrier(1, [0, 4], [6, 4]), carrier(2, [3, 0], [3, 4])]
    const share = shareArea(panelOf(rect(0, 0, 6, 4), beams), regionOf(rect(0, 0, 6, 4)))
    expect(forceOn(share, 2)).toBe(0)
    expect(forceOn(share, 0)).toBeCloseTo(12, 9)
  })

  test('a support that ends inside the panel acts only where it is', () => {
    const beams = [carrier(0, [0, 0], [6, 0]), carrier(1, [0, 4], [6, 4]), carrier(2, [0, 2], [3, 2])]
    const share = shareArea(panelOf(rect(0, 0, 6, 4), beams), regionOf(rect(0, 0, 6, 4)))
    expect(forceOn(share, 2)).toBeCloseTo(3 * 2, 9) // hand: 3 m long, tributary 1 + 1
    expect(forceOn(share, 0)).toBeCloseTo(3 * 1 + 3 * 2, 9)
  })

  test('coincident members share equally and are named', () => {
    const beams = [carrier(0, [0, 0], [6, 0]), carrier(1, [0, 4], [6, 4]), carrier(2, [0, 4], [6, 4])]
    const share = shareArea(panelOf(rect(0, 0, 6, 4), beams), regionOf(rect(0, 0, 6, 4)))
    expect(forceOn(share, 1)).toBeCloseTo(6, 9)
    expect(forceOn(share, 2)).toBeCloseTo(6, 9)
    expect(share.merged).toEqual([['m1', 'm2']])
  })

  test('law: a beam that leaves a corner at a small angle takes what spans give it, the edge beam the sliver between them', () => {
    holds(
      fc.property(
        fc.double({ min: 0.005, max: 0.3, noNaN: true }),
        fc.boolean(),
        fc.constantFrom('lever' as const, 'tributary' as const),
        (rise, swapped, overhang) => {
          const [edge, leaving] = swapped ? [2, 0] : [0, 2]
          const beams = [carrier(edge, [0, 0], [6, 0]), carrier(1, [0, 4], [6, 4]), carrier(leaving, [0, 0], [6, rise])]
          const share = shareArea(
            panelOf(rect(0, 0, 6, 4), beams, Math.PI / 2, { overhang }),
            regionOf(rect(0, 0, 6, 4)),
          )
          // hand: between the two y(x) = rise · x / 6, half of it to each; the rest by halves to the north and to the one that leaves
          const sliver = (rise * 6) / 2
          expect(Math.abs(forceOn(share, edge) - sliver / 2)).toBeLessThan(2e-3)
          expect(Math.abs(forceOn(share, 1) - (24 - sliver) / 2)).toBeLessThan(2e-3)
          expect(Math.abs(forceOn(share, leaving) - 12)).toBeLessThan(4e-3)
        },
      ),
    )
  })

  test('two supports near each other count as one where the strip stands out beyond them, and nowhere else', () => {
    const near = [carrier(0, [0, 1], [6, 1]), carrier(2, [0, 1.03], [6, 1.03])]
    const far = carrier(1, [0, 4], [6, 4])
    // hand: the strip of 4 m with supports at the mean of 1 and 1.03 and at 4, lever 4 · (4 - 2) / (4 - 1.015)
    const out = shareArea(panelOf(rect(0, 0, 6, 4), [...near, far]), regionOf(rect(0, 0, 6, 4)))
    const both = (6 * (4 * 2)) / (4 - 1.015)
    expect([forceOn(out, 0), forceOn(out, 2)]).toEqual([expect.closeTo(both / 2, 6), expect.closeTo(both / 2, 6)])
    expect(out.merged).toEqual([['m0', 'm2']])
    // between other supports each has its own spans: half of 1 and of 0.03, half of 0.03 and of 2.97
    const within = shareArea(
      panelOf(rect(0, 0, 6, 4), [...near, far, carrier(3, [0, 0], [6, 0])]),
      regionOf(rect(0, 0, 6, 4)),
    )
    expect(forceOn(within, 0)).toBeCloseTo(6 * (0.5 + 0.015), 6)
    expect(forceOn(within, 2)).toBeCloseTo(6 * (0.015 + 1.485), 6)
    expect(within.merged).toEqual([])
    // all to the last one beyond it: nothing grows, and nothing is merged
    const all = shareArea(
      panelOf(rect(0, 0, 6, 4), [...near, far], Math.PI / 2, { overhang: 'tributary' }),
      regionOf(rect(0, 0, 6, 4)),
    )
    expect(forceOn(all, 0)).toBeCloseTo(6 * (1 + 0.015), 6)
    expect(all.merged).toEqual([])
  })

  test('no support: all of it is not carried; one support: all of it and the torque', () => {
    const ring = rect(0, 0, 6, 4)
    expect(shareArea(panelOf(ring, []), regionOf(ring)).notCarried).toBeCloseTo(24, 9)
    const share = shareArea(panelOf(ring, [carrier(0, [0, 0], [6, 0])]), regionOf(ring))
    expect(forceOn(share, 0)).toBeCloseTo(24, 9)
    expect(share.torque).toBeCloseTo(24 * 2, 9)
  })

  test('an opening may interrupt the strip: the rest beyond it has one support', () => {
    const beams = [carrier(0, [0, 0], [2, 0]), carrier(1, [0, 6], [2, 6])]
    const net = difference(regionOf(rect(0, 0, 2, 6)), regionOf(rect(-1, 1, 3, 4)))
    const share = shareArea(panelOf(rect(0, 0, 2, 6), beams, Math.PI / 2, { outline: net }), net)
    expect(forceOn(share, 0)).toBeCloseTo(2, 6)
    expect(forceOn(share, 1)).toBeCloseTo(4, 6)
  })

  test('hand: what rises along the beams stands on them as it is; what rises across them is a lever of its own', () => {
    const beams = [carrier(0, [0, 0], [6, 0]), carrier(1, [0, 3], [6, 3])]
    const panel = panelOf(rect(0, 0, 6, 3), beams)
    // 0 at x = 0 to 6 kN/m2 at x = 6: half of 3 m on each
    const alongBeams = shareArea(panel, regionOf(rect(0, 0, 6, 3)), { at: [0, 0], value: 0, grows: [1, 0] })
    expect(alongBeams.lines).toEqual(
      ['m0', 'm1'].map((member) => ({
        member,
        s0: 0,
        s1: expect.closeTo(6, 9),
        q0: expect.closeTo(0, 9),
        q1: expect.closeTo(9, 9),
      })),
    )
    // a triangle of 3 kN/m2 over a span of 3 m: q l / 6 and q l / 3
    const across = shareArea(panel, regionOf(rect(0, 0, 6, 3)), { at: [0, 0], value: 0, grows: [0, 1] })
    expect(across.lines.map(({ member, q0, q1 }) => [member, q0, q1])).toEqual([
      ['m0', expect.closeTo(1.5, 9), expect.closeTo(1.5, 9)],
      ['m1', expect.closeTo(3, 9), expect.closeTo(3, 9)],
    ])
  })

  test('a wall across the span goes by lever; a wall along the span becomes point loads', () => {
    const beams = [carrier(0, [0, 0], [6, 0]), carrier(1, [0, 4], [6, 4])]
    const panel = panelOf(rect(0, 0, 6, 4), beams)
    const across = shareLine(panel, [0, 1], [6, 1])
    expect(forceOn(across, 0)).toBeCloseTo(6 * 0.75, 9)
    const along = shareLine(panel, [2, 0], [2, 4])
    expect(along.points.map((p) => [p.member, p.s, p.force])).toEqual([
      ['m0', expect.closeTo(2, 9), expect.closeTo(2, 9)],
      ['m1', expect.closeTo(2, 9), expect.closeTo(2, 9)],
    ])
  })
})

/** Where a vertical line at x crosses the sides of a region, rising. */
const cutAt = (region: Region, x: number): readonly number[] =>
  region
    .flatMap((ring) =>
      ring.flatMap((a, k) => {
        const b = ring[(k + 1) % ring.length] ?? a
        return a[0] > x !== b[0] > x ? [a[1] + ((b[1] - a[1]) * (x - a[0])) / (b[0] - a[0])] : []
      }),
    )
    .sort((p, q) => p - q)

/** Independent reference: many thin strips along y, each a row of simple spans with overhangs, solved by hand. */
function denseStrips(
  region: Region,
  carriers: readonly Carrier[],
  strips: number,
  density: Density,
): ReadonlyMap<string, number> {
  const totals = new Map<string, number>()
  const xs = region.flat().map(([x]) => x)
  const width = (Math.max(...xs) - Math.min(...xs)) / strips
  for (let i = 0; i < strips; i++) {
    const x = Math.min(...xs) + (i + 0.5) * width
    const [from = 0, to = 0] = cutAt(region, x)
    const met = carriers
      .map(({ member, a, b }) => ({ member, y: a[1] + ((b[1] - a[1]) * (x - a[0])) / (b[0] - a[0]) }))
      .sort((p, q) => p.y - q.y)
    met.slice(1).forEach((upper, k) => {
      const lower = met[k] ?? upper
      const low = k === 0 ? from : Math.max(from, lower.y)
      const high = k === met.length - 2 ? to : Math.min(to, upper.y)
      const [below, above] = [densityAt(density, [x, low]), densityAt(density, [x, high])]
      const force = ((below + above) / 2) * (high - low) * width
      // of a trapezoid about the lower beam
      const moment = force * (low - lower.y) + (width * (high - low) ** 2 * (below + 2 * above)) / 6
      const onUpper = moment / (upper.y - lower.y)
      totals.set(upper.member, (totals.get(upper.member) ?? 0) + onUpper)
      totals.set(lower.member, (totals.get(lower.member) ?? 0) + force - onUpper)
    })
  }
  return totals
}

describe('one-way sharing by laws', () => {
  const angle = fc.double({ min: -3, max: 3, noNaN: true })
  const starShaped = fc
    .array(fc.double({ min: 2, max: 8, noNaN: true }), { minLength: 3, maxLength: 9 })
    .map((radii): Ring =>
      radii.map((r, i) => [
        10 + r * Math.cos((2 * Math.PI * i) / radii.length),
        10 + r * Math.sin((2 * Math.PI * i) / radii.length),
      ]),
    )
  const somewhere = fc.tuple(fc.double({ min: 0, max: 20, noNaN: true }), fc.double({ min: 0, max: 20, noNaN: true }))
  const segment = fc.tuple(somewhere, somewhere).filter(([a, b]) => distance(a, b) > 0.5)

  const slope = fc.double({ min: -0.3, max: 0.3, noNaN: true })
  /** Some even, some linear with parts below nought. */
  const varying = fc
    .record({ value: fc.double({ min: 0.5, max: 2, noNaN: true }), x: slope, y: slope, isEven: fc.boolean() })
    .map(({ value, x, y, isEven }): Density => (isEven ? { ...even, value } : { at: [3, 4], value, grows: [x, y] }))

  test('force and both moments arrive, whatever the polygon, opening, span, members and however the load varies', () => {
    holds(
      fc.property(
        starShaped,
        starShaped,
        angle,
        fc.array(segment, { maxLength: 5 }),
        varying,
        (ring, hole, spanAngle, segments, density) => {
          const carriers = segments.map(([a, b], i) => carrier(i, a, b))
          const small: Ring = hole.map(([x, y]) => [10 + (x - 10) / 4, 10 + (y - 10) / 4])
          const region = difference(regionOf(ring), regionOf(small))
          const share = shareArea(panelOf(ring, carriers, spanAngle), region, density)
          const { force, moments } = shareTotals(share, on(carriers))
          const load = loadOver(region, density)
          const scale = share.lines.reduce(
            (sum, l) => sum + ((l.s1 - l.s0) * (Math.abs(l.q0) + Math.abs(l.q1))) / 2,
            regionArea(region) * 5,
          )
          expect(Math.abs(share.applied - load.force)).toBeLessThanOrEqual(1e-9 * scale)
          expect(Math.abs(force + share.notCarried - load.force)).toBeLessThanOrEqual(1e-9 * scale)
          if (share.notCarried === 0 && share.torque === 0 && share.merged.length === 0) {
            const [mx, my] = load.moments
            expect(Math.abs(moments[0] - mx)).toBeLessThanOrEqual(1e-9 * scale * 20)
            expect(Math.abs(moments[1] - my)).toBeLessThanOrEqual(1e-9 * scale * 20)
          }
        },
      ),
      { numRuns: 150 },
    )
  })

  test('the same as many dense strips, in a convex panel between two skew beams', () => {
    holds(
      fc.property(
        fc.tuple(...[1, 2, 3, 4].map(() => fc.double({ min: 0.5, max: 2, noNaN: true }))),
        varying,
        (d, density) => {
          const ring: Ring = [
            [0, 0],
            [8, 0],
            [8, 9],
            [0, 9],
          ]
          const carriers = [
            carrier(0, [0, d[0] ?? 1], [8, d[1] ?? 1]),
            carrier(1, [0, 9 - (d[2] ?? 1)], [8, 9 - (d[3] ?? 1)]),
            carrier(2, [0, 4], [8, 5]),
          ]
          const share = shareArea(panelOf(ring, carriers), regionOf(ring), density)
          const dense = denseStrips(regionOf(ring), carriers, 4000, density)
          for (const index of [0, 1, 2])
            expect(Math.abs(forceOn(share, index) - (dense.get(`m${index}`) ?? 0))).toBeLessThan(2e-4)
        },
      ),
      { numRuns: 25 },
    )
  })

  test('a line that varies arrives with its force and both moments', () => {
    const value = fc.double({ min: -2, max: 2, noNaN: true })
    holds(
      fc.property(
        starShaped,
        angle,
        fc.array(segment, { minLength: 2, maxLength: 5 }),
        segment,
        fc.tuple(value, value),
        (ring, spanAngle, segments, [a, b], ends) => {
          const carriers = segments.map(([p, q], i) => carrier(i, p, q))
          const share = shareLine(panelOf(ring, carriers, spanAngle), a, b, ends)
          const { force, moments } = shareTotals(share, on(carriers))
          const load = loadAlong(a, b, ends)
          const scale = [...share.lines.map((l) => ((l.s1 - l.s0) * (Math.abs(l.q0) + Math.abs(l.q1))) / 2)].reduce(
            (sum, one) => sum + one,
            share.points.reduce((sum, point) => sum + Math.abs(point.force), 2 * distance(a, b)),
          )
          expect(Math.abs(force + share.notCarried - load.force)).toBeLessThanOrEqual(1e-9 * scale)
          // up on one half and down on the other it may come to no force at all, and nothing of it need meet a support
          const reaches = share.lines.length + share.points.length > 0
          if (reaches && share.notCarried === 0 && share.torque === 0 && share.merged.length === 0)
            for (const axis of [0, 1] as const)
              expect(Math.abs(moments[axis] - load.moments[axis])).toBeLessThanOrEqual(1e-9 * scale * 20)
        },
      ),
      { numRuns: 150 },
    )
  })

  test('a panel in two, parted along its span, shares as in one', () => {
    const place = fc.double({ min: 4, max: 16, noNaN: true })
    holds(
      fc.property(starShaped, starShaped, fc.array(segment, { maxLength: 5 }), place, (ring, hole, segments, cut) => {
        const carriers = segments.map(([a, b], i) => carrier(i, a, b))
        const small: Ring = hole.map(([x, y]) => [10 + (x - 10) / 4, 10 + (y - 10) / 4])
        const whole = panelOf(ring, carriers)
        const region = difference(whole.outline, regionOf(small))
        const one = shareArea(whole, region)
        const halves = [rect(-100, -100, cut, 100), rect(cut, -100, 100, 100)].map((side) => ({
          outline: intersection(whole.outline, regionOf(side)),
          region: intersection(region, regionOf(side)),
        }))
        // the clipping leaves out slivers below 1 cm², so that there is less to share
        const area = halves.reduce((all, half) => all + regionArea(half.region), 0)
        fc.pre(Math.abs(area - regionArea(region)) < 1e-6)
        const two = halves.map((half) => shareArea({ ...whole, outline: half.outline }, half.region))
        const sum = (read: (share: Share) => number) => two.reduce((all, share) => all + read(share), 0)
        const scale = one.lines.reduce(
          (all, { s0, s1, q0, q1 }) => all + ((s1 - s0) * (Math.abs(q0) + Math.abs(q1))) / 2,
          regionArea(region),
        )
        const within = 1e-6 * scale
        expect(Math.abs(sum(({ notCarried }) => notCarried) - one.notCarried)).toBeLessThanOrEqual(within)
        carriers.forEach((_, i) =>
          expect(Math.abs(sum((share) => forceOn(share, i)) - forceOn(one, i))).toBeLessThanOrEqual(within),
        )
      }),
      { numRuns: 60 },
    )
  })

  test('turning everything, drawing clockwise and splitting a beam change nothing', () => {
    holds(
      fc.property(angle, fc.double({ min: 0.2, max: 0.8, noNaN: true }), (turn, cut) => {
        const rotate = ([x, y]: Point): Point => [
          x * Math.cos(turn) - y * Math.sin(turn) + 5,
          x * Math.sin(turn) + y * Math.cos(turn) - 3,
        ]
        const ring: Ring = [
          [0, 0],
          [7, 0.5],
          [6, 5],
          [1, 4],
        ]
        const plain = [carrier(0, [0, 0], [7, 0.5]), carrier(1, [6, 5], [1, 4])]
        const before = shareArea(panelOf(ring, plain), regionOf(ring))
        const turned = plain.map(({ a, b }, index) => carrier(index, rotate(a), rotate(b)))
        const back = [...ring].reverse().map(rotate)
        const after = shareArea(panelOf(back, turned, Math.PI / 2 + turn), regionOf(back))
        for (const index of [0, 1]) expect(forceOn(after, index)).toBeCloseTo(forceOn(before, index), 6)
        const at = along([0, 0], [7, 0.5], cut * distance([0, 0], [7, 0.5]))
        const split = shareArea(
          panelOf(ring, [carrier(0, [0, 0], at), carrier(2, at, [7, 0.5]), carrier(1, [6, 5], [1, 4])]),
          regionOf(ring),
        )
        expect(forceOn(split, 0) + forceOn(split, 2)).toBeCloseTo(forceOn(before, 0), 6)
      }),
      { numRuns: 40 },
    )
  })

  test('slivers, far coordinates and rings the wrong way round give finite numbers that balance', () => {
    for (const ring of [rect(0, 0, 7, 1e-3), rect(1e6 - 10, 1e6 - 10, 1e6, 1e6), rect(0, 0, 5, 5).slice().reverse()]) {
      const xs = ring.map(([x]) => x)
      const ys = ring.map(([, y]) => y)
      const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
      const carriers = [carrier(0, [x0, y0], [x1, y0]), carrier(1, [x0, y1], [x1, y1])]
      const region = regionOf(ring)
      const share = shareArea(panelOf(ring, carriers), region)
      expect(forceOn(share, 0) + forceOn(share, 1) + share.notCarried).toBeCloseTo(regionArea(region), 6)
    }
    expect(contains(regionOf(rect(0, 0, 5, 5)), [2, 2])).toBe(true)
  })
})
