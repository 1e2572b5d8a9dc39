import fc from 'fast-check'
import { holds } from './holds'
import { selfWeight } from '../src/actions/cases'
import { balanceOf } from '../src/derivation/balance'
import { readCase } from '../src/derivation/cells'
import type { ProjectState } from '../src/derivation/project'
import { concernsOf } from '../src/concerns/concernsOf'
import { recordsOf } from '../src/document/document'
import { expanded } from '../src/document/labels'
import type { Layout } from '../src/document/recordKinds'
import type { Point } from '../src/geometry/point'
import { ask } from '../src/queries/derive'
import { Building, oneStorey } from './build'
import { rectangle, turned } from './shapes'

const imposed = 'imposed/B'

/** Force at the foot of every column and stretch of a level, by its label. */
function feet(state: ProjectState, level = 0, caseId = imposed): ReadonlyMap<string, number> {
  const floor = state.floors[level]
  const at = readCase(state, caseId)
  return new Map(
    (floor?.operator.plan.frame.columns ?? []).map(({ member }, row) => [
      ask(state, { kind: 'column', expandedId: expanded(member.id, floor?.level.id ?? ''), caseId })?.rows.at(-1)
        ?.label ?? member.id,
      at(floor?.rundown.feet ?? new Float64Array(0), row),
    ]),
  )
}
const sum = (values: Iterable<number>) => [...values].reduce((total, value) => total + value, 0)
const near = (value: number) => expect.closeTo(value, 6) as number

const thick = (building: Building, thickness = 0.24) =>
  building.sectionOf({ shape: 'rectangle', width: thickness, depth: 1, area: thickness })
const wall = (
  building: Building,
  layout: Layout,
  path: readonly Point[],
  more: Parameters<Building['member']>[3] = {},
) => building.member(layout, 'wall', path, { label: 'M', ...more })

describe('walls that bear a floor', () => {
  test('hand: a slab of 6 m that spans from wall to wall brings half of it to each, even along the wall', () => {
    const { building, layout } = oneStorey(2000)
    wall(
      building,
      layout,
      [
        [0, 0],
        [8, 0],
      ],
      { label: 'south' },
    )
    wall(
      building,
      layout,
      [
        [0, 6],
        [8, 6],
      ],
      { label: 'north' },
    )
    building.panel(layout, rectangle(0, 0, 8, 6))
    const state = building.state()
    // 2 kN/m² · 6 m / 2 = 6 kN/m: eight stretches of 1 m on each
    expect([...feet(state)]).toHaveLength(16)
    for (const force of feet(state).values()) expect(force).toBeCloseTo(6000, 6)
    expect(balanceOf(state, imposed)).toMatchObject({ applied: near(96_000), atSupports: near(96_000), notCarried: 0 })
  })

  test('hand: a beam that ends on a wall stands on the stretch that it meets; between two it is halved', () => {
    const { building, layout } = oneStorey(0)
    const south = wall(building, layout, [
      [0, 0],
      [4, 0],
    ])
    building.column(layout, [2.5, 5])
    building.column(layout, [3, 5])
    const met = building.beam(layout, [2.5, 0], [2.5, 5])
    building.lineLoad(layout, met.path, 1000)
    const halved = building.beam(layout, [3, 0], [3, 5])
    building.lineLoad(layout, halved.path, 4000)
    const state = building.state()
    const typed = state.caseIds.find((id) => feet(state, 0, id).get('M/3') !== 0) ?? ''
    // 1 kN/m · 5 m / 2 = 2.5 kN to M/3 (2 to 3 m), 4 kN/m · 5 m / 2 = 10 kN to M/3 and M/4 by halves
    const found = feet(state, 0, typed)
    expect(['M/1', 'M/2', 'M/3', 'M/4'].map((label) => Math.round(found.get(label) ?? NaN))).toEqual([0, 0, 7500, 5000])
    const view = ask(state, { kind: 'member', expandedId: expanded(south.id, layoutLevel(state)), caseId: typed })
    expect(view?.stretches.map(({ s0, s1, top }) => [s0, s1, Math.round(top)])).toEqual([
      [0, 1, 0],
      [1, 2, 0],
      [2, 3, 7500],
      [3, 4, 5000],
    ])
    expect(Math.abs(view?.residual ?? NaN)).toBeLessThan(1e-6)
  })

  test('hand: a beam over three walls has two spans', () => {
    const { building, layout } = oneStorey(0)
    for (const x of [0, 4, 10])
      wall(
        building,
        layout,
        [
          [x, -1],
          [x, 1],
        ],
        { label: `x${x}` },
      )
    const beam = building.beam(layout, [0, 0], [10, 0])
    building.lineLoad(layout, beam.path, 1000)
    const state = building.state()
    const typed = state.caseIds.find((id) => sum(feet(state, 0, id).values()) > 1) ?? ''
    const at = (name: string) =>
      sum([...feet(state, 0, typed)].flatMap(([label, force]) => (label.startsWith(`${name}/`) ? [force] : [])))
    expect([at('x0'), at('x4'), at('x10')].map(Math.round)).toEqual([2000, 5000, 3000])
  })

  test('hand: own weight is thickness by storey height by unit weight, at the foot', () => {
    const { building, layout } = oneStorey(0)
    const masonry = building.material({ unitWeight: 18_000 })
    wall(
      building,
      layout,
      [
        [0, 0],
        [5, 0],
      ],
      { section: thick(building).id, material: masonry.id, openShare: 0.2 },
    )
    const state = building.state()
    const own = feet(state, 0, selfWeight)
    // 0.24 m · 3 m · 18 kN/m³ = 12.96 kN/m, less a fifth for openings
    expect(sum(own.values())).toBeCloseTo(0.8 * 5 * 12_960, 4)
    const [id] = [...(state.floors[0]?.operator.plan.frame.columns ?? [])].map(({ member }) => member.id)
    const why = ask(state, { kind: 'why', address: `columnWeight:${expanded(id ?? '', layoutLevel(state))}` })
    expect(why?.value).toBeCloseTo(0.8 * 12_960, 6)
    expect(balanceOf(state, selfWeight)).toMatchObject({ applied: near(51_840), atSupports: near(51_840) })
  })
})

const layoutLevel = (state: ProjectState) => state.floors[0]?.level.id ?? ''

/** Two storeys of 3 m: walls and slab above, what is given below. */
function twoStoreys(above: readonly Point[], below: (building: Building, layout: Layout) => void, load = 10_000) {
  const building = new Building()
  const [, first, top] = ['Base', '1', '2'].map((name, i) => building.level(name, 3 * i))
  if (!first || !top) throw new Error('levels')
  const lower = building.layout('Lower', null, first)
  const upper = building.layout('Upper', null, top)
  wall(building, upper, above, { label: 'U' })
  building.lineLoad(upper, above, load)
  below(building, lower)
  const state = building.state()
  const typed = state.caseIds.find((id) => sum(feet(state, 1, id).values()) > 1) ?? ''
  return { state, typed, building, lower }
}

describe('walls over one another', () => {
  const line: readonly Point[] = [
    [0, 0],
    [6, 0],
  ]

  test('hand: a wall on a wall goes down stretch by stretch', () => {
    const { state, typed } = twoStoreys(line, (building, lower) => wall(building, lower, line, { label: 'L' }))
    const found = feet(state, 0, typed)
    for (const k of [1, 2, 3, 4, 5, 6]) expect(found.get(`L/${k}`)).toBeCloseTo(10_000, 6)
    const [row] = state.floors[1]?.operator.plan.frame.columns ?? []
    const chain = ask(state, {
      kind: 'column',
      expandedId: expanded(row?.member.id ?? '', state.floors[1]?.level.id ?? ''),
      caseId: typed,
    })
    expect(chain?.rows.map(({ label, foot }) => [label, Math.round(foot)])).toEqual([
      ['U/1', 10_000],
      ['L/1', 10_000],
    ])
    expect(chain?.standsOn).toBe('base')
  })

  test('hand: a wall of other stretches takes by the length that lies on each', () => {
    const shifted: readonly Point[] = [
      [-0.5, 0],
      [6.5, 0],
    ]
    const { state, typed } = twoStoreys(line, (building, lower) => wall(building, lower, shifted, { label: 'L' }))
    const found = feet(state, 0, typed)
    // 7 m in seven stretches, of which the outer two have half a metre over them
    expect([1, 2, 3, 4, 5, 6, 7].map((k) => Math.round(found.get(`L/${k}`) ?? NaN))).toEqual([
      5000, 10_000, 10_000, 10_000, 10_000, 10_000, 5000,
    ])
  })

  test('hand: over a gap in the wall below the load goes to both sides of it', () => {
    const { state, typed } = twoStoreys(line, (building, lower) => {
      wall(
        building,
        lower,
        [
          [0, 0],
          [2, 0],
        ],
        { label: 'A' },
      )
      wall(
        building,
        lower,
        [
          [4, 0],
          [6, 0],
        ],
        { label: 'B' },
      )
    })
    const found = feet(state, 0, typed)
    // 2 m of 10 kN/m over the gap: 10 kN more at each side
    expect(['A/1', 'A/2', 'B/1', 'B/2'].map((label) => Math.round(found.get(label) ?? NaN))).toEqual([
      10_000, 20_000, 20_000, 10_000,
    ])
    expect(balanceOf(state, typed).notCarried).toBeCloseTo(0, 6)
  })

  test('hand: over a wide gap each stretch goes to both sides by its lever', () => {
    const { state, typed } = twoStoreys(line, (building, lower) => {
      for (const [label, a, b] of [
        ['A', 0, 1],
        ['B', 3, 6],
      ] as const)
        wall(
          building,
          lower,
          [
            [a, 0],
            [b, 0],
          ],
          { label },
        )
      const upper = recordsOf(building.document, 'layout').find(({ name }) => name === 'Upper')
      if (upper)
        building.lineLoad(
          upper,
          [
            [1, 0],
            [2, 0],
          ],
          30_000,
        )
    })
    const found = feet(state, 0, typed)
    const sum = (label: string) =>
      [...found].reduce((total, [name, force]) => total + (name.startsWith(`${label}/`) ? force : 0), 0)
    // 10 kN on A; over the gap 40 kN a third of the way from it and 10 kN two thirds; 30 kN on B
    expect([sum('A'), sum('B')]).toEqual([
      near(10_000 + 80_000 / 3 + 10_000 / 3),
      near(30_000 + 40_000 / 3 + 20_000 / 3),
    ])
  })

  test('hand: a beam that runs under a wall takes it as a transfer; columns under its ends get half each', () => {
    const { state, typed } = twoStoreys(line, (building, lower) => {
      building.column(lower, [0, 0])
      building.column(lower, [6, 0])
      building.beam(lower, [0, 0], [6, 0])
    })
    expect([...feet(state, 0, typed).values()].map(Math.round)).toEqual([30_000, 30_000])
  })

  test('hand: a wall across beams bears on each of them', () => {
    const { state, typed } = twoStoreys(line, (building, lower) => {
      for (const x of [0, 3, 6]) {
        building.column(lower, [x, -2])
        building.column(lower, [x, 2])
        building.beam(lower, [x, -2], [x, 2])
      }
    })
    // 10 kN of each metre: the metres at a beam go to it, those between two by lever: 10 + 5, 5 + 10 + 10 + 5, 5 + 10
    const found = [...feet(state, 0, typed).values()].map(Math.round).sort((p, q) => p - q)
    expect(found).toEqual([7500, 7500, 7500, 7500, 15_000, 15_000])
  })

  test('hand: a wall in the middle of a slab goes to both beams that the slab spans between', () => {
    const slab = (building: Building, lower: Layout) => {
      for (const at of rectangle(0, -2, 6, 2)) building.column(lower, at)
      building.beam(lower, [0, -2], [6, -2])
      building.beam(lower, [0, 2], [6, 2])
      building.panel(lower, rectangle(0, -2, 6, 2))
    }
    const { state, typed } = twoStoreys(line, slab)
    expect([...feet(state, 0, typed).values()].map(Math.round)).toEqual([15_000, 15_000, 15_000, 15_000])
    expect(balanceOf(state, typed)).toMatchObject({ atSupports: near(60_000), notCarried: near(0) })
    expect(concernsOf(state).filter(({ code }) => code === 'column.unsupported')).toEqual([])
    // what lands on a beam says where it comes from, half of the 10 kN of each of six stretches, in the middle of each
    const [floor] = state.floors
    const beam = floor?.operator.plan.frame.beams[0]?.member.id ?? ''
    const view = ask(state, { kind: 'member', expandedId: expanded(beam, floor?.level.id ?? ''), caseId: typed })
    expect(view?.lands.map(({ kind, force }) => [kind, Math.round(force)])).toEqual(Array(6).fill(['column', 5000]))
    expect(view?.lands.map(({ at }) => at).sort()).toEqual([0.5, 1.5, 2.5, 3.5, 4.5, 5.5].map(near))
    expect(Math.abs(view?.residual ?? NaN)).toBeLessThan(1e-6)
    const upper = state.floors[1]
    const stretch = upper?.operator.plan.frame.columns[2]?.member.id ?? ''
    const strip = ask(state, { kind: 'column', expandedId: expanded(stretch, upper?.level.id ?? ''), caseId: typed })
    expect(strip?.standsOn).toBe('slab')
  })

  test('an end that hangs over nothing is not carried, and is named', () => {
    const { state, typed } = twoStoreys(line, (building, lower) => {
      wall(
        building,
        lower,
        [
          [0, 0],
          [4, 0],
        ],
        { label: 'L' },
      )
      building.panel(lower, rectangle(0, -1, 6, 1))
    })
    expect(balanceOf(state, typed)).toMatchObject({ atSupports: near(40_000), notCarried: near(20_000) })
    const said = concernsOf(state).filter(({ code }) => code === 'column.unsupported')
    expect(said.map(({ data }) => data.labels)).toEqual(['U/5, U/6'])
  })
})

test('turning the building, turning a wall end for end, and splitting the panel on it change nothing', () => {
  holds(
    fc.property(
      fc.integer({ min: 0, max: 628 }),
      fc.integer({ min: 20, max: 80 }),
      fc.boolean(),
      fc.boolean(),
      (hundredths, tenths, reversed, split) => {
        const make = (angle: number, back: boolean, parts: boolean) => {
          const { building, layout } = oneStorey(3000)
          const turn = (points: readonly Point[]) => points.map(turned(angle))
          const long = tenths / 10
          const south: readonly Point[] = [
            [0, 0],
            [long, 0],
          ]
          wall(building, layout, turn(back ? [...south].reverse() : south), { label: 'S' })
          wall(
            building,
            layout,
            turn([
              [0, 5],
              [long, 5],
            ]),
            { label: 'N' },
          )
          const rings = parts
            ? [rectangle(0, 0, long / 3, 5), rectangle(long / 3, 0, long, 5)]
            : [rectangle(0, 0, long, 5)]
          for (const ring of rings) building.panel(layout, turn(ring), { spanAngle: angle + Math.PI / 2 })
          return feet(building.state())
        }
        const [plain, other] = [make(0, false, false), make(hundredths / 100, reversed, split)]
        const count = plain.size / 2
        for (let k = 1; k <= count; k++) {
          const twin = reversed ? count + 1 - k : k
          expect(other.get(`S/${twin}`)).toBeCloseTo(plain.get(`S/${k}`) ?? NaN, 3)
          expect(other.get(`N/${k}`)).toBeCloseTo(plain.get(`N/${k}`) ?? NaN, 3)
        }
      },
    ),
    { numRuns: 30 },
  )
})
