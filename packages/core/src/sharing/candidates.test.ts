import fc from 'fast-check'
import { holds } from '../../test/holds'
import { simplePanel } from '../document/blanks'
import { rectangle } from '../../test/shapes'
import { planPanel } from '../building/panelRegions'
import type { PanelShape } from '../document/shapes'
import { even } from '../geometry/density'
import type { Point } from '../geometry/point'
import { bracingOf, candidatesOf } from './candidates'
import { groundOf, sharerOf } from './ground'
import { usualLimits, type Carrier } from './rails'

const carrier = (member: string, a: Point, b: Point): Carrier => ({ member, a, b, from: 0, bent: false })
const panelOf = (more: Partial<PanelShape> = {}) =>
  planPanel(
    {
      id: 'panel:0000000000000001',
      layout: 'layout:0000000000000001',
      outline: rectangle(0, 0, 6, 4),
      spanAngle: Math.PI / 2,
      ...simplePanel,
      ...more,
    },
    [],
    [],
  )
const degrees = (value: number) => (value * Math.PI) / 180
const judged = (
  carriers: readonly Carrier[],
  more: Partial<PanelShape> = {},
  takes: (id: string) => boolean = () => true,
) =>
  Object.fromEntries(
    candidatesOf(panelOf(more), usualLimits, carriers, takes).map(({ member, verdict, off, angle }) => [
      member,
      [verdict, Math.round(off * 1e4) / 10, angle === null ? null : Math.round((angle * 1800) / Math.PI) / 10],
    ]),
  )

const south = carrier('south', [0, 0], [6, 0])
const north = carrier('north', [0, 4], [6, 4])

describe('members at a panel of 6 by 4 m that spans 4 m', () => {
  test('beams across the span count, beams along it are left out with their angle', () => {
    expect(judged([south, north, carrier('west', [0, 0], [0, 4])])).toEqual({
      south: ['counts', 0, 90],
      north: ['counts', 0, 90],
      west: ['alongSpan', 0, 0],
    })
  })

  test('off its edge by 8 mm a beam counts, by 12 mm it is left out, by half a metre it is not at the panel', () => {
    const beside = (off: number) => carrier('beside', [0, -off], [6, -off])
    expect(judged([beside(0.008)])).toEqual({ beside: ['counts', 8, 90] })
    expect(judged([beside(0.012)])).toEqual({ beside: ['offPanel', 12, 90] })
    expect(judged([beside(0.5)])).toEqual({})
    expect(judged([beside(0.012)], { supportReach: 0.02 })).toEqual({ beside: ['counts', 12, 90] })
  })

  test('bracing across it: at 4 degrees to the span it is left out, at 6 it counts, by the panel’s own limit not', () => {
    const brace = (angle: number) => carrier('brace', [3, 0], [3 + 4 * Math.tan(degrees(angle)), 4])
    expect(judged([brace(4)])).toEqual({ brace: ['alongSpan', 0, 4] })
    expect(judged([brace(6)])).toEqual({ brace: ['counts', 0, 6] })
    expect(judged([brace(6)], { spanLimit: degrees(10) })).toEqual({ brace: ['alongSpan', 0, 6] })
  })

  test('what the panel spares, and what takes no load at all, is told apart', () => {
    expect(judged([south], { sparedMembers: ['south'] as unknown as PanelShape['sparedMembers'] })).toEqual({
      south: ['spared', 0, 90],
    })
    expect(judged([south], { sparedAngle: 0 })).toEqual({ south: ['spared', 0, 90] })
    expect(judged([south], {}, () => false)).toEqual({ south: ['takesNone', 0, 90] })
  })

  test('bracing in space lies in its plane or under it by its depth, and is left out; farther off it is no matter of it', () => {
    const brace = (off: number) =>
      bracingOf(panelOf(), [{ member: 'brace', a: [0, 0], b: [6, 4], off }]).map(({ verdict, off: by }) => [
        verdict,
        by,
      ])
    expect(brace(0)).toEqual([['inSpace', 0]])
    expect(brace(0.25)).toEqual([['inSpace', 0.25]])
    expect(brace(0.6)).toEqual([])
    expect(bracingOf(panelOf(), [{ member: 'beside', a: [6, 2], b: [12, 2], off: 0 }])).toEqual([])
  })

  test('a beam that only ends on it is none; shared two-way there is no span', () => {
    expect(judged([carrier('far', [6, 2], [12, 2])])).toEqual({})
    expect(judged([carrier('west', [0, 0], [0, 4])], { sharing: 'twoWay' })).toEqual({ west: ['counts', 0, null] })
    expect(judged([south], { sharing: 'corners' })).toEqual({})
  })
})

// law: what is said to be left out takes nothing, and who takes something is said to count
test('the verdict is what sharing does, for random members under one-way and two-way panels', () => {
  const place = fc.tuple(
    fc.double({ min: -0.05, max: 6.05, noNaN: true }),
    fc.double({ min: -0.05, max: 4.05, noNaN: true }),
  )
  // along an edge, off it by some millimetres
  const beside = fc.double({ min: -0.03, max: 0.03, noNaN: true }).map((off): readonly [Point, Point] => [
    [0, off],
    [6, off],
  ])
  const member = fc.oneof(fc.tuple(place, place), beside)
  holds(
    fc.property(
      fc.array(member, { minLength: 1, maxLength: 5 }),
      fc.constantFrom('oneWay', 'twoWay'),
      (pairs, sharing) => {
        const carriers = pairs
          .filter(([a, b]) => Math.hypot(a[0] - b[0], a[1] - b[1]) > 0.8)
          .map(([a, b], i) => carrier(`m${i}`, a, b))
        const plan = panelOf({ sharing: sharing as PanelShape['sharing'] })
        const found = candidatesOf(plan, usualLimits, carriers, () => true)
        const share = sharerOf(
          groundOf(plan, { carriers, columns: [], bearers: [], limits: usualLimits, plateOf: () => 'slab' }),
        ).area(plan.outline, even)
        const taking = new Set([...share.lines, ...share.points].map((one) => one.member))
        const counting = new Set(found.flatMap(({ member: id, verdict }) => (verdict === 'counts' ? id : [])))
        const leftOut = found.filter(({ member: id, verdict }) => verdict !== 'counts' && !counting.has(id))
        expect(leftOut.filter(({ member: id }) => taking.has(id))).toEqual([])
        expect([...taking].filter((id) => !counting.has(id))).toEqual([])
      },
    ),
    { numRuns: 200 },
  )
})
