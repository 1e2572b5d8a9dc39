import { simplePanel } from '../document/blanks'
import fc from 'fast-check'
import { holds } from '../../test/holds'
import { columnAt, rectangle } from '../../test/shapes'
import { planPanel, type PanelPlan } from '../building/panelRegions'
import { wallSegments, type WallSegment } from '../building/wallSegments'
import type { PanelShape } from '../document/shapes'
import type { Point } from '../geometry/point'
import { along, distance, overlapOn } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'
import type { Column } from '../building/frame'
import { auditShare } from './audit'
import type { Standing } from './ground'
import { usualLimits, type Carrier } from './rails'
import { shareTotals, type Share } from './share'
import { evenEnds } from './lineEnds'
import { shareForce, shareWall } from './wallPath'

const wall = (a: Point, b: Point): WallSegment => {
  const [segment] = wallSegments({ path: [a, b], closed: false })
  if (!segment) throw new Error('no segment')
  return segment
}
const on = (carriers: readonly Carrier[], columns: readonly Column[]): Standing => ({
  carriers,
  columns,
  bearers: carriers.map(({ member, a, b }) => ({ member, length: distance(a, b), sound: true, columns: 2 })),
  limits: usualLimits,
  plateOf: () => 'slab',
})
const wallOn = (
  segment: WallSegment,
  carriers: readonly Carrier[],
  columns: readonly Column[],
  panels: readonly PanelPlan[],
) => shareWall(segment, evenEnds, panels, on(carriers, columns))
const forceOn = (at: Point, carriers: readonly Carrier[], columns: readonly Column[], panels: readonly PanelPlan[]) =>
  shareForce(at, panels, on(carriers, columns))
const carrier = (member: string, a: Point, b: Point): Carrier => ({ member, a, b, from: 0, bent: false })
const panel = (n: number, outline: PanelShape['outline'], more: Partial<PanelShape> = {}): PanelPlan =>
  planPanel(
    {
      id: `panel:000000000000000${n}`,
      layout: 'layout:0000000000000001',
      outline,
      spanAngle: Math.PI / 2,
      ...simplePanel,
      ...more,
    },
    [],
    [],
  )
const forces = ({ lines, points }: Share): Readonly<Record<string, number>> => {
  const sums: Record<string, number> = {}
  for (const { member, s0, s1, q0, q1 } of lines) sums[member] = (sums[member] ?? 0) + ((s1 - s0) * (q0 + q1)) / 2
  for (const { member, force } of points) sums[member] = (sums[member] ?? 0) + force
  return Object.fromEntries(Object.entries(sums).map(([member, sum]) => [member, Number(sum.toFixed(6))]))
}

const bay = [carrier('south', [0, 0], [6, 0]), carrier('north', [0, 4], [6, 4]), carrier('west', [0, 0], [0, 4])]
const floor = [panel(1, rectangle(0, 0, 6, 4))]

describe('a wall goes to what is under it', () => {
  test('a beam on its line takes it stretch by stretch, whatever the directions', () => {
    const share = wallOn(wall([5, 0], [1, 0]), bay, [], floor)
    expect(share.lines).toEqual([{ member: 'south', s0: 1, s1: 5, q0: 1, q1: 1 }])
    expect(share.notCarried).toBe(0)
  })

  test('where the beam ends, the panel takes over by its span', () => {
    // the wall at y = 1 leaves the short beam at x = 2: 4 m on the slab, 3/4 to the south and 1/4 to the north
    const share = wallOn(wall([0, 1], [6, 1]), [...bay, carrier('short', [0, 1], [2, 1])], [], floor)
    expect(forces(share)).toEqual({ short: 2, south: 3, north: 1 })
  })

  test('beams that lie on each other share it equally', () => {
    const share = wallOn(wall([0, 0], [6, 0]), [...bay, carrier('twin', [6, 0], [0, 0])], [], floor)
    expect(forces(share)).toEqual({ south: 3, twin: 3 })
  })

  test('a wall along the span of the slab reaches the beams as points', () => {
    const share = wallOn(wall([2, 0], [2, 4]), bay, [], floor)
    expect(share.lines).toEqual([])
    expect(forces(share)).toEqual({ south: 2, north: 2 })
  })

  test('hand: a parapet of 5.74 kN/m on the tip of a balcony of 1.5 m behind a 4 m span lifts the far beam', () => {
    const over = [panel(1, rectangle(0, -1.5, 6, 4))]
    const share = wallOn(wall([0, -1.5], [6, -1.5]), bay, [], over)
    const perMetre = (member: string) => ((forces(share)[member] ?? 0) / 6) * 5.74
    expect(perMetre('south')).toBeCloseTo((5.74 * 5.5) / 4, 5)
    expect(perMetre('north')).toBeCloseTo((-5.74 * 1.5) / 4, 5)
  })

  test('on the very edge of a slab it belongs to that slab, from either side', () => {
    for (const [a, b] of [
      [
        [6, 0.5],
        [6, 3.5],
      ],
      [
        [6, 3.5],
        [6, 0.5],
      ],
    ] as const)
      expect(wallOn(wall(a, b), bay, [], floor).notCarried).toBeCloseTo(0, 9)
  })

  // common practice: a parapet drawn a hair off the slab edge is still the parapet of that slab
  test('drawn 8 mm off the slab edge it stands on the edge, along the span and across it', () => {
    const alongSpan = wallOn(wall([6.008, 0.5], [6.008, 3.5]), bay, [], floor)
    expect(forces(alongSpan)).toEqual({ south: 1.5, north: 1.5 })
    const across = [panel(1, rectangle(0, -1, 6, 4))]
    const share = wallOn(wall([1, -1.008], [5, -1.008]), bay, [], across)
    expect(forces(share)).toEqual({ south: 5, north: -1 })
    expect(wallOn(wall([6.02, 0.5], [6.02, 3.5]), bay, [], floor).notCarried).toBeCloseTo(3, 9)
  })

  test('8 mm inside a panel it is all of that panel; on the border that two share, half of each', () => {
    const two = [panel(1, rectangle(0, 0, 6, 4)), panel(2, rectangle(6, 0, 12, 4), { spanAngle: 0 })]
    const frame = [
      carrier('south', [0, 0], [6, 0]),
      carrier('north', [0, 4], [6, 4]),
      carrier('far', [9, 0], [9, 4]),
      carrier('east', [12, 0], [12, 4]),
    ]
    const onTo = (x: number) => forces(wallOn(wall([x, 0.5], [x, 3.5]), frame, [], two))
    expect(onTo(5.992)).toEqual({ south: 1.5, north: 1.5 })
    // half of 3 m, and 3 m beyond a span of 3 m: twice as much on the nearer beam, as much up on the other
    expect(onTo(6)).toEqual({ south: 0.75, north: 0.75, far: 3, east: -1.5 })
    expect(forces(forceOn([5.992, 1], frame, [], two))).toEqual({ south: 0.75, north: 0.25 })
  })

  // law: a wall that leaves a slab may be cut anywhere, in parts as short as 15 mm
  test('cut into short parts it does what it does whole, over every border', () => {
    const two = [panel(1, rectangle(0, 0, 6, 4)), panel(2, rectangle(6, 0.5, 9, 4), { spanAngle: 0 })]
    const frame = [...bay, carrier('mid', [6, 0], [6, 4]), carrier('east', [9, 0], [9, 4])]
    const place = fc.tuple(fc.double({ min: -1, max: 10, noNaN: true }), fc.double({ min: -1, max: 5, noNaN: true }))
    // between the ends of an edge, and past both of them
    const stretch = fc.constantFrom([6.5, 8.5] as const, [5.5, 9.5] as const)
    const off = fc.double({ min: -0.015, max: 0.015, noNaN: true })
    const beside = fc.tuple(stretch, off, off).map(([[from, to], first, second]): [Point, Point] => [
      [from, 0.5 + first],
      [to, 0.5 + second],
    ])
    holds(
      fc.property(fc.oneof(fc.tuple(place, place), beside), ([a, b]) => {
        const length = Math.hypot(a[0] - b[0], a[1] - b[1])
        // on a beam a part below 10 mm is none
        fc.pre(length > 0.3 && frame.every((beam) => !overlapOn(a, b, beam.a, beam.b, onLine)))
        const parts = Math.floor(length / 0.02)
        const cuts = Array.from({ length: parts + 1 }, (_, i) => along(a, b, (length * i) / parts))
        const shares = cuts.slice(1).map((end, i) => wallOn(wall(cuts[i] ?? a, end), frame, [], two))
        const whole = wallOn(wall(a, b), frame, [], two)
        // stops within a nanometre of each other, or of an end, are one place: so much may change sides at each
        expect(shares.reduce((sum, { notCarried }) => sum + notCarried, 0)).toBeCloseTo(whole.notCarried, 8)
        for (const member of ['south', 'north', 'west', 'mid', 'east'])
          expect(shares.reduce((sum, share) => sum + (forces(share)[member] ?? 0), 0)).toBeCloseTo(
            forces(whole)[member] ?? 0,
            4,
          )
      }),
      {
        examples: [
          [
            [
              [0, 0],
              [0, -1],
            ],
          ],
          [
            [
              [0, 4.999984972695872],
              [-0.01733644733981677, 0],
            ],
          ],
          [
            [
              [5.5, 0.5],
              [9.5, 0.4999521908509948],
            ],
          ],
        ],
        numRuns: 60,
      },
    )
  })

  test('beyond every panel and beam it is not carried, by its length', () => {
    const share = wallOn(wall([3, 2], [10, 2]), bay, [], floor)
    expect(share.notCarried).toBeCloseTo(4, 9)
    expect(forces(share)).toEqual({ south: 1.5, north: 1.5 })
  })

  test('from one panel to the next each rules its own part', () => {
    const two = [panel(1, rectangle(0, 0, 6, 4)), panel(2, rectangle(6, 0, 12, 4), { spanAngle: 0 })]
    const frame = [
      carrier('south', [0, 0], [6, 0]),
      carrier('north', [0, 4], [6, 4]),
      carrier('mid', [6, 0], [6, 4]),
      carrier('east', [12, 0], [12, 4]),
    ]
    const share = wallOn(wall([3, 2], [9, 2]), frame, [], two)
    expect(forces(share)).toEqual({ south: 1.5, north: 1.5, mid: 2.25, east: 0.75 })
  })
})

test('force and moments are kept wherever the wall stands, as far as it is carried', () => {
  const inside = fc.tuple(
    fc.double({ min: 0.1, max: 5.9, noNaN: true }),
    fc.double({ min: 0.1, max: 3.9, noNaN: true }),
  )
  const frame = [
    ...bay,
    carrier('east', [6, 0], [6, 4]),
    carrier('inner', [2.5, 0], [2.5, 4]),
    carrier('cross', [0, 2], [6, 2.2]),
  ]
  holds(
    fc.property(inside, inside, fc.double({ min: -3, max: 3, noNaN: true }), (a, b, spanAngle) => {
      fc.pre(Math.hypot(a[0] - b[0], a[1] - b[1]) > 0.3)
      const share = wallOn(wall(a, b), frame, [], [panel(1, rectangle(0, 0, 6, 4), { spanAngle })])
      const audit = auditShare(share, frame)
      expect(Math.abs(audit.force)).toBeLessThan(1e-9 * audit.scale + 1e-9)
      fc.pre(share.notCarried === 0 && share.torque === 0 && share.merged.length === 0)
      expect(Math.abs(audit.moments[0])).toBeLessThan(1e-6 * audit.scale * 6)
      expect(Math.abs(audit.moments[1])).toBeLessThan(1e-6 * audit.scale * 6)
    }),
    { numRuns: 200 },
  )
})

describe('the audit of a share', () => {
  const [south, north] = [carrier('south', [0, 0], [6, 0]), carrier('north', [0, 4], [6, 4])]

  test('agrees with the totals, and sees what is missing', () => {
    const share = wallOn(wall([1, 1], [5, 3]), [south, north], [], floor)
    const pointOn = (member: string, s: number): Point => {
      const found = member === 'south' ? south : north
      return along(found.a, found.b, s)
    }
    expect(shareTotals(share, pointOn).force).toBeCloseTo(share.applied, 9)
    expect(auditShare(share, [south, north])).toMatchObject({ force: expect.closeTo(0, 9) })
    const broken = { ...share, lines: share.lines.slice(1) }
    expect(Math.abs(auditShare(broken, [south, north]).force)).toBeGreaterThan(0.1)
  })

  test('a share on a member that is not there is a mistake of ours', () => {
    const share = wallOn(wall([1, 1], [5, 3]), [south, north], [], floor)
    expect(() => auditShare(share, [south])).toThrow(/No carrier/)
  })
})

describe('a force at a point goes to what is under it', () => {
  test('on the line of a beam it is a point load there', () => {
    expect(forceOn([2.5, 0], bay, [], floor).points).toEqual([{ member: 'south', s: 2.5, force: 1 }])
  })

  test('where beams meet they share it equally, at their ends', () => {
    expect(forceOn([0, 0], bay, [], floor).points).toEqual([
      { member: 'south', s: 0, force: 0.5 },
      { member: 'west', s: 0, force: 0.5 },
    ])
  })

  test('on the slab it goes by lever: 1 m from the south of a span of 4 m is three quarters and one', () => {
    expect(forces(forceOn([3, 1], bay, [], floor))).toEqual({ south: 0.75, north: 0.25 })
  })

  test('where supports end on each other it still finds them, on one side', () => {
    const cut = [
      carrier('south west', [0, 0], [3, 0]),
      carrier('south east', [3, 0], [6, 0]),
      carrier('north', [0, 4], [6, 4]),
    ]
    const share = forceOn([3, 1], cut, [], floor)
    expect(share.notCarried).toBe(0)
    expect(share.points.reduce((sum, { force }) => sum + force, 0)).toBeCloseTo(1, 12)
    expect(forces(share)['north']).toBeCloseTo(0.25, 6)
  })

  test('on a column it goes to the column, not to the slab round it nor to a beam that meets it there', () => {
    const column = [columnAt('C', [3, 1])]
    expect(forceOn([3, 1.005], bay, column, floor)).toMatchObject({
      points: [],
      onColumns: [{ member: 'member:C', at: [3, 1.005], force: 1 }],
      notCarried: 0,
    })
    expect(forceOn([3, 1.02], bay, column, floor).onColumns).toEqual([])
    const onBoth = forceOn([2.5, 0], bay, [columnAt('C', [2.5, 0])], floor)
    expect([onBoth.points, onBoth.onColumns.map(({ force }) => force)]).toEqual([[], [1]])
  })

  test('beyond every beam and panel nothing carries it', () => {
    expect(forceOn([9, 9], bay, [], floor)).toMatchObject({ points: [], notCarried: 1, applied: 1 })
  })

  // law: force and both moments are kept wherever a point stands on the slab, by lever
  test('equilibrium at random points, whatever the span', () => {
    holds(
      fc.property(
        fc.double({ min: 0.05, max: 5.95, noNaN: true }),
        fc.double({ min: 0.05, max: 3.95, noNaN: true }),
        fc.constantFrom(Math.PI / 2, 0, 1.2),
        (x, y, spanAngle) => {
          const ring = [...bay, carrier('east', [6, 0], [6, 4])]
          const share = forceOn([x, y], ring, [], [panel(1, rectangle(0, 0, 6, 4), { spanAngle })])
          const places = new Map(ring.map(({ member, a, b }) => [member, [a, b] as const]))
          const pointOn = (member: string, s: number): Point => {
            const [a, b] = places.get(member) ?? [
              [0, 0],
              [1, 0],
            ]
            return along(a, b, s)
          }
          const totals = shareTotals(share, pointOn)
          expect(totals.force).toBeCloseTo(1, 9)
          expect(totals.moments[0]).toBeCloseTo(x, 6)
          expect(totals.moments[1]).toBeCloseTo(y, 6)
        },
      ),
    )
  })
})
