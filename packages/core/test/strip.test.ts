import fc from 'fast-check'
import { holds } from './holds'
import { isHorizontal } from '../src/actions/cases'
import { readCase } from '../src/derivation/cells'
import { Memo } from '../src/derivation/memo'
import { deriveProject } from '../src/derivation/project'
import type { Panel } from '../src/document/recordKinds'
import { expanded } from '../src/document/labels'
import { ask } from '../src/queries/derive'
import { carriersAmong } from '../src/sharing/rails'

import { along, project } from '../src/geometry/segment'
import { Building } from './build'
import { randomBuilding } from './randomBuilding'
import { rectangle } from './shapes'

type More<T> = Partial<Omit<T, 'id' | 'kind'>>

/** 6 m wide, beams at y = 0 and 4, the slab goes on to y = 5.5; 3 kN/m2, and 5 kN/m2 instead over y from 1 to 2. */
function overhanging(more: More<Panel> = {}) {
  const building = new Building({ basicWindVelocity: null }, 1)
  const [, top] = [building.level('Base', 0), building.level('Top', 3)]
  const layout = building.layout('Floor', building.key(3000, { name: 'Office' }), top)
  for (const x of [0, 6]) for (const y of [0, 4]) building.column(layout, [x, y])
  building.beam(layout, [0, 0], [6, 0], { label: 'south' })
  building.beam(layout, [0, 4], [6, 4], { label: 'north' })
  const panel = building.panel(layout, rectangle(0, 0, 6, 5.5), more)
  building.patch(layout, building.key(5000), rectangle(0, 1, 6, 2))
  const state = deriveProject(new Memo(), building.document)
  const strip = (at: number | null) =>
    ask(state, { kind: 'strip', expandedId: expanded(panel.id, top.id), caseId: 'imposed/B', at })
  return { strip }
}

describe('a strip, written out', () => {
  test('hand: 5 over 1 m and 3 over the rest, by lever on the end span', () => {
    const strip = overhanging().strip(null)
    expect(strip).toMatchObject({ at: 3, width: 6, edge: 'west', overhang: 'lever' })
    // and it is counted from the west: the strip at 1 m has x = 1
    expect(overhanging().strip(1)?.ends[0][0]).toBeCloseTo(1, 9)
    const [piece] = strip?.pieces ?? []
    // north: 3·1·0.5/4 + 5·1·1.5/4 + 3·3.5·3.75/4 = 0.375 + 1.875 + 9.84375; south what is left of 3 + 5 + 10.5
    const north = 0.375 + 1.875 + 9.84375
    expect(piece?.supports.map(({ labels, u, force }) => [labels, u, force])).toEqual([
      [['south'], expect.closeTo(0, 9), expect.closeTo((18.5 - north) * 1000, 6)],
      [['north'], expect.closeTo(4, 9), expect.closeTo(north * 1000, 6)],
    ])
    expect(piece?.steps.map(({ force, middle, toSecond }) => [force, middle, toSecond])).toEqual(
      expect.arrayContaining([[expect.closeTo(5000, 6), expect.closeTo(1.5, 9), expect.closeTo(1875, 6)]]),
    )
  })

  test('hand: all beyond the last support to it, by tributary width', () => {
    const [piece] = overhanging({ overhang: 'tributary' }).strip(1)?.pieces ?? []
    // north: 0.375 + 1.875 + 3·2·3/4 + 3·1.5
    expect(piece?.supports[1]?.force).toBeCloseTo((0.375 + 1.875 + 4.5 + 4.5) * 1000, 6)
  })

  test('a panel of another rule has none, and a place outside is held within', () => {
    expect(overhanging({ sharing: 'twoWay' }).strip(null)).toBeNull()
    expect(overhanging().strip(99)?.at).toBeCloseTo(6, 3)
    expect(overhanging().strip(-1)?.pieces[0]?.supports).toHaveLength(2)
  })
})

// law: what a strip says is the ordinate that the share of the panel has there, away from jumps
let compared = 0
test('a strip agrees with the ordinates of the members that it meets, on random buildings', () => {
  holds(
    fc.property(fc.nat(1_000_000), fc.double({ min: 0.02, max: 0.98, noNaN: true }), (seed, part) => {
      const state = deriveProject(new Memo(), randomBuilding(seed))
      const [caseId] = state.caseIds.filter((id) => !isHorizontal(id) && id.startsWith('imposed/'))
      for (const floor of caseId ? state.floors : []) {
        const carriers = carriersAmong(floor.operator.plan.frame.beams)
        const at = readCase(state, caseId ?? '')
        for (const { panel } of floor.operator.plan.panels) {
          const query = { kind: 'strip', expandedId: expanded(panel.id, floor.level.id), caseId: caseId ?? '' } as const
          const width = ask(state, { ...query, at: null })?.width ?? 0
          const strip = ask(state, { ...query, at: part * width })
          if (!strip) continue
          const [a, b] = strip.ends
          for (const { supports } of strip.pieces)
            for (const { u, labels, ordinates } of supports) {
              if (labels.length !== 1) continue
              const place = along(a, b, u)
              const near = carriers.filter((carrier) => Math.abs(project(carrier.a, carrier.b, place).off) < 1e-6)
              for (const { member, ...carrier } of near) {
                if (near.length !== 1) continue
                const s = carrier.from + project(carrier.a, carrier.b, place).s
                const lines = floor.operator.plan.sources.flatMap((source, row) =>
                  source.kind === 'region' && source.panel.panel.id === panel.id
                    ? source.share.lines
                        .filter((line) => line.member === member)
                        .map((line) => ({ ...line, intensity: at(floor.intensities, row) }))
                    : [],
                )
                // near a jump or a short stretch the ordinate is not followed
                if (lines.some(({ s0, s1 }) => Math.min(Math.abs(s - s0), Math.abs(s - s1)) < 0.06)) continue
                const ordinate = lines
                  .filter(({ s0, s1 }) => s0 < s && s < s1)
                  .reduce(
                    (sum, { s0, s1, q0, q1, intensity }) => sum + intensity * (q0 + ((q1 - q0) * (s - s0)) / (s1 - s0)),
                    0,
                  )
                const peak = Math.max(
                  1,
                  ...lines.map(({ q0, q1, intensity }) => intensity * Math.max(Math.abs(q0), Math.abs(q1))),
                )
                compared++
                expect(Math.abs(ordinate - (ordinates[0] ?? 0))).toBeLessThan(4e-3 * peak)
              }
            }
        }
      }
    }),
    { numRuns: 40 },
  )
  // and there was something to compare
  expect(compared).toBeGreaterThan(40)
})
