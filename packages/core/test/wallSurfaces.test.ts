import fc from 'fast-check'
import { holds } from './holds'
import { typedLoads } from '../src/actions/cases'
import { balanceOf } from '../src/derivation/balance'
import { concernsOf } from '../src/concerns/concernsOf'
import { pressedIn, reachesOf, restLoads } from '../src/derivation/surfaceLoads'
import { expanded } from '../src/document/labels'
import type { WallSurface } from '../src/document/recordKinds'
import { storeyForcesOf } from '../src/derivation/storeyForces'
import { effectsOf } from '../src/derivation/effects'
import { sidewaysRows, stiffElementRows, storeyRows } from '../src/exchange/results'
import type { Point } from '../src/geometry/point'
import { ask } from '../src/queries/derive'
import { loadTotal } from '../src/rundown/memberLines'
import { bay, oneStorey, pressure, type OneStorey } from './build'
import { rectangle, turned } from './shapes'

const near = (value: number, digits = 4) => expect.closeTo(value, digits) as number

/** What of a surface goes where, by label or kind, and by level. */
function taken({ building, top }: Pick<OneStorey, 'building' | 'top'>, surface: WallSurface, caseId = typedLoads) {
  const state = building.state()
  const view = ask(state, { kind: 'wallSurface', expandedId: expanded(surface.id, top.id), caseId })
  const rests = new Map<string, number>()
  const levels = new Map<string, number>()
  for (const stretch of view?.stretches ?? []) {
    for (const { label, kind, force } of stretch.rests)
      if (force !== 0) rests.set(label || kind, (rests.get(label || kind) ?? 0) + force)
    for (const { levelName, force } of stretch.levels) levels.set(levelName, (levels.get(levelName) ?? 0) + force)
  }
  return { state, view, rests: Object.fromEntries(rests), levels: Object.fromEntries(levels) }
}

const south: readonly Point[] = [
  [0, 0],
  [6, 0],
]

describe('1 kN/m² on 6 by 3 m over the south beam of a bay', () => {
  test('hand: spanning upright, half of 18 kN goes to the beam and half to the ground', () => {
    const storey = oneStorey(0)
    const { south: beam } = bay(storey)
    const { state, view, rests, levels } = taken(storey, storey.building.wallSurface(storey.layout, south))
    expect(view).toMatchObject({ area: near(18), applied: near(18_000), notCarried: near(0), inDerivedWind: false })
    expect(rests).toEqual({ [beam.label]: near(9000), ground: near(9000) })
    expect(levels).toEqual({ Top: near(9000), Base: near(9000) })
    // northwards, from outside into the bay
    const rows = sidewaysRows(state).map(({ label, from, to, fx0, fy0, fx1, fy1 }) => [
      label,
      from,
      to,
      fx0,
      fy0,
      fx1,
      fy1,
    ])
    expect(rows).toContainEqual([beam.label, near(0), near(6), near(0), near(1500), near(0), near(1500)])
    expect(rows).toContainEqual(['O1, segment 1, ground', near(0), near(6), near(0), near(1500), near(0), near(1500)])
    expect(ask(state, { kind: 'thrusts', caseId: typedLoads })).toEqual([
      { levelId: storey.top.id, levelName: 'Top', x: near(0), y: near(9000), moment: near(27_000) },
      { levelId: null, levelName: 'Base', x: near(0), y: near(9000), moment: near(27_000) },
    ])
    const member = ask(state, {
      kind: 'member',
      expandedId: expanded(beam.id, storey.top.id),
      caseId: typedLoads,
    })
    expect(member?.pressed).toEqual([near(0), near(9000)])
    expect(concernsOf(state).map(({ code }) => code)).toContain('level.pushed')
    const why = ask(state, { kind: 'why', address: `thrusts:${storey.top.id}:${typedLoads}:y` })
    expect(why?.value).toBeCloseTo(9000, 4)
    expect(why?.basis.kind === 'sum' && why.basis.terms.map(({ label }) => label)).toEqual([
      'pressure surface O1, segment 1',
    ])
  })

  test('hand: spanning level, half goes to each column, and of that half to each end', () => {
    const storey = oneStorey(0)
    const { columns } = bay(storey)
    const surface = storey.building.wallSurface(storey.layout, south, { sharing: 'level' })
    const { rests, levels, state } = taken(storey, surface)
    expect(rests).toEqual({ [columns[0]?.label ?? '']: near(9000), [columns[1]?.label ?? '']: near(9000) })
    expect(levels).toEqual({ Top: near(9000), Base: near(9000) })
    const column = ask(state, {
      kind: 'column',
      expandedId: expanded(columns[0]?.id ?? '', storey.top.id),
      caseId: typedLoads,
    })
    expect(column?.pressed).toEqual([near(0), near(9000)])
    // 3 kN/m along 3 m of column, from its foot
    expect(sidewaysRows(state).find(({ label }) => label === columns[0]?.label)).toMatchObject({
      from: near(0),
      to: near(3),
      fy0: near(3000),
    })
  })

  test('hand: two-way on 6 by 3 m, triangles of 2.25 m² on the columns and trapezoids of 6.75 m² above and below', () => {
    const storey = oneStorey(0)
    const { columns, south: beam } = bay(storey)
    const { rests } = taken(storey, storey.building.wallSurface(storey.layout, south, { sharing: 'twoWay' }))
    expect(rests).toEqual({
      [columns[0]?.label ?? '']: near(2250, 0),
      [columns[1]?.label ?? '']: near(2250, 0),
      [beam.label]: near(6750, 0),
      ground: near(6750, 0),
    })
  })

  test('hand: earth that grows from nothing at the top to 12 kN/m² at the foot: a third of 108 kN above, two thirds below', () => {
    const storey = oneStorey(0)
    bay(storey)
    const surface = storey.building.wallSurface(storey.layout, south, { pressures: [pressure(0, 12_000)] })
    const { view, levels } = taken(storey, surface)
    expect(view?.applied).toBeCloseTo(108_000, 3)
    // a band of 1/24 of the height counts as even at its mean
    expect(Math.abs((levels['Top'] ?? 0) / 36_000 - 1)).toBeLessThan(1e-3)
    expect(Math.abs((levels['Base'] ?? 0) / 72_000 - 1)).toBeLessThan(1e-3)
  })

  test('hand: the same from column to column: each takes 0 to 36 kN/m, and is held at a third and two thirds', () => {
    const storey = oneStorey(0)
    const { columns } = bay(storey)
    const surface = storey.building.wallSurface(storey.layout, south, {
      sharing: 'level',
      pressures: [pressure(0, 12_000)],
    })
    const { levels, state } = taken(storey, surface)
    expect(levels).toEqual({ Top: near(36_000), Base: near(72_000) })
    const rows = sidewaysRows(state).filter(({ label }) => label === columns[0]?.label)
    expect(rows).toEqual([expect.objectContaining({ from: near(0), to: near(3), fy0: near(36_000), fy1: near(0) })])
  })

  test('hand: a parapet of 1 m hangs over: 24 kN, two thirds of it above by lever', () => {
    const storey = oneStorey(0)
    bay(storey)
    const { view, levels } = taken(storey, storey.building.wallSurface(storey.layout, south, { above: 1 }))
    expect(view?.applied).toBeCloseTo(24_000, 4)
    // about the foot: 24 kN at 2 m = R · 3 m
    expect(levels).toEqual({ Top: near(16_000), Base: near(8000) })
  })

  test('hand: a window of 2 by 1.5 m in the middle takes its 3 kN off, half above and half below', () => {
    const storey = oneStorey(0)
    bay(storey)
    const openings = [{ along: 2, sill: 0.75, width: 2, height: 1.5 }]
    const { view, levels } = taken(storey, storey.building.wallSurface(storey.layout, south, { openings }))
    expect(view).toMatchObject({ area: near(15), applied: near(15_000), notCarried: near(0) })
    expect(levels).toEqual({ Top: near(7500), Base: near(7500) })
  })

  test('the edge of a slab without a beam takes it; without a floor there nothing does, and that is said', () => {
    const storey = oneStorey(0)
    bay(storey)
    const ahead: readonly Point[] = [
      [0, -1],
      [6, -1],
    ]
    const surface = storey.building.wallSurface(storey.layout, ahead)
    expect(taken(storey, surface).rests).toEqual({ ground: near(18_000) })
    storey.building.panel(storey.layout, rectangle(0, -1, 6, 0))
    expect(taken(storey, surface).rests).toEqual({ edge: near(9000), ground: near(9000) })
    const off = storey.building.wallSurface(storey.layout, ahead, { depth: 2, sharing: 'level' })
    const { view, state } = taken(storey, off)
    expect(view).toMatchObject({ applied: near(12_000), notCarried: near(12_000) })
    expect(concernsOf(state)).toContainEqual({
      code: 'surface.not-carried',

      about: [expanded(off.id, storey.top.id)],
      data: { label: off.label, level: 'Top', of: near(12_000), force: near(12_000) },
    })
  })

  test('drawn either way it presses inwards; suction pulls outwards', () => {
    const forces = [south, [...south].reverse()].map((path) => {
      const storey = oneStorey(0)
      bay(storey)
      storey.building.wallSurface(storey.layout, path, { pressures: [pressure(-500)] })
      return ask(storey.building.state(), { kind: 'thrusts', caseId: typedLoads })[0]?.y
    })
    expect(forces).toEqual([near(-4500), near(-4500)])
  })

  test('seen from outside it runs to the right, or to the left where it was drawn the other way', () => {
    const ways = [south, [...south].reverse()].map((path) => {
      const storey = oneStorey(0)
      bay(storey)
      const { view } = taken(storey, storey.building.wallSurface(storey.layout, path))
      return view?.stretches[0]?.leftwards
    })
    expect(ways).toEqual([false, true])
  })
})

describe('girts and posts', () => {
  /** A bay with a girt at mid-height of its south side, from column to column. */
  function girted(spans: readonly (readonly [Point, Point])[]) {
    const storey = oneStorey(0)
    const { columns } = bay(storey)
    const girts = spans.map((path) => storey.building.strut(storey.layout, path, [-1.5, -1.5], { role: 'girt' }))
    return { ...storey, columns, girts }
  }

  test('hand: spanning upright a girt at mid-height takes half of it, its columns half of that each', () => {
    const { columns, girts, ...storey } = girted([
      [
        [0, 0],
        [6, 0],
      ],
    ])
    const { rests, levels } = taken(storey, storey.building.wallSurface(storey.layout, south))
    expect(rests).toEqual({ B1: near(4500), ground: near(4500), [girts[0]?.label ?? '']: near(9000) })
    // at mid-height of the columns, so half of the girt's goes up
    expect(levels).toEqual({ Top: near(9000), Base: near(9000) })
    expect(columns).toHaveLength(4)
  })

  test('hand: a brace takes none; a post in the middle takes half, and ends at the beam and on the ground', () => {
    const storey = oneStorey(0)
    bay(storey)
    storey.building.strut(storey.layout, south, [-3, 0])
    const post = storey.building.strut(
      storey.layout,
      [
        [3, 0],
        [3, 0],
      ],
      [-3, 0],
      { role: 'post' },
    )
    const { rests, levels, view } = taken(
      storey,
      storey.building.wallSurface(storey.layout, south, { sharing: 'level' }),
    )
    expect(rests).toMatchObject({ [post.label]: near(9000) })
    expect(levels).toEqual({ Top: near(9000), Base: near(9000) })
    expect(view?.notCarried).toBeCloseTo(0, 6)
  })

  test('hand: girts in two lengths meet on a post; one that ends at nothing loses what its end has', () => {
    const halves: readonly (readonly [Point, Point])[] = [
      [
        [0, 0],
        [3, 0],
      ],
      [
        [3, 0],
        [6, 0],
      ],
    ]
    const { building, layout, top, ...rest } = girted(halves)
    const surface = building.wallSurface(layout, south)
    // held at one end only, a girt turns away with its 4.5 kN
    expect(taken({ building, top }, surface).view?.notCarried).toBeCloseTo(9000, 4)
    building.strut(
      layout,
      [
        [3, 0],
        [3, 0],
      ],
      [-3, 0],
      { role: 'post' },
    )
    expect(taken({ building, top }, surface).levels).toEqual({ Top: near(9000), Base: near(9000) })
    expect(rest.girts).toHaveLength(2)
  })
})

test('hand: a gable of 8 m, 3 m high at the eaves and 5 m at the ridge: 32 m²; posts to its rafters', () => {
  const storey = oneStorey(0)
  const { building, layout } = storey
  const corners = rectangle(0, 0, 8, 10)
  corners.forEach((at) => building.column(layout, at))
  building.panel(layout, corners)
  const ends: readonly Point[] = [
    [0, 0],
    [4, 0],
    [8, 0],
  ]
  const rafters = [building.beam(layout, [0, 0], [4, 0]), building.beam(layout, [4, 0], [8, 0])]
  building.slope(layout, rectangle(0, 0, 4, 10), Math.atan(0.5), 0)
  building.slope(layout, rectangle(4, 0, 8, 10), Math.atan(0.5), Math.PI)
  const post = building.strut(
    layout,
    [
      [4, 0],
      [4, 0],
    ],
    [-3, 2],
    { role: 'post' },
  )
  const surface = building.wallSurface(layout, [ends[0] ?? [0, 0], ends[2] ?? [0, 0]], { sharing: 'level' })
  const { view, rests, levels } = taken(storey, surface)
  expect(view).toMatchObject({ area: near(32), applied: near(32_000), notCarried: near(0, 2) })
  // level strips go halves between the post and a column, or above the eaves a rafter
  expect((rests[post.label] ?? 0) / 16_000).toBeCloseTo(1, 4)
  expect((levels['Top'] ?? 0) + (levels['Base'] ?? 0)).toBeCloseTo(32_000, 2)
  const upright = taken(
    storey,
    building.wallSurface(layout, [
      [0, 0],
      [8, 0],
    ]),
  )
  // the middle of each strip is at half of its height: half goes to the rafters, 8 kN each
  expect(upright.rests).toEqual({
    [rafters[0]?.label ?? '']: near(8000),
    [rafters[1]?.label ?? '']: near(8000),
    ground: near(16_000),
  })
})

describe('cases', () => {
  test('wind from a side is a case of wind, also where the family derives none', () => {
    const storey = oneStorey(0, { family: 'BS' })
    bay(storey)
    const pressures = [pressure(800, 800, { nature: 'wind', from: 'south' })]
    const surface = storey.building.wallSurface(storey.layout, south, { pressures })
    const { state, view, levels } = taken(storey, surface, 'wind/south')
    expect(state.caseIds).toEqual(expect.arrayContaining(['wind/south', 'wind/north']))
    expect(view?.cases).toEqual(['wind/south'])
    expect(view?.applied).toBeCloseTo(14_400, 4)
    expect(levels).toEqual({ Top: near(7200), Base: near(7200) })
    expect(ask(state, { kind: 'thrusts', caseId: 'wind/south' })).toHaveLength(2)
  })

  test('hand: where no wind is derived, what presses is the storey forces, and two walls hold it', () => {
    const storey = oneStorey(0, { family: 'BS' })
    const { building, layout, top } = storey
    bay(storey)
    for (const x of [0, 6])
      building.stiffElement(layout, [
        [x, 0],
        [x, 4],
      ])
    const pressures = [pressure(800, 800, { nature: 'wind', from: 'south' })]
    building.wallSurface(layout, south, { pressures })
    const state = building.state()
    // 7.2 kN at the top in the middle between the walls, 7.2 kN into the ground
    const [caseId, half] = ['wind/south', near(7200)]
    expect(storeyRows(state).filter(({ case: id }) => id === caseId)).toEqual([
      expect.objectContaining({ level: 'Base', fx: near(0), fy: half, x: near(3) }),
      expect.objectContaining({ level: 'Top', fx: near(0), fy: half, x: near(3) }),
    ])
    expect(balanceOf(state, caseId)).toMatchObject({
      applied: near(14_400),
      atSupports: near(14_400),
      notCarried: near(0),
      handedOn: 'stiffElements',
    })
    const elements = stiffElementRows(state).filter(({ case: id }) => id === caseId)
    expect(elements.map(({ fy, moment }) => [fy, moment])).toEqual([
      [near(3600), near(10_800)],
      [near(3600), near(10_800)],
    ])
    const shears = effectsOf(state, 'storeyShear').filter(({ component }) => component === 'y')
    const at = state.caseIds.indexOf(caseId)
    expect(shears.map(({ levelName, values }) => [levelName, values[at]])).toEqual([
      ['Base', near(14_400)],
      ['Top', near(7200)],
    ])
    const why = ask(state, { kind: 'why', address: `storeyForce:${caseId}@${top.id}` })
    expect(why?.value).toBeCloseTo(7200, 4)
  })

  test('hand: earth on one side is held by the same walls in its own case, and is no concern then', () => {
    const storey = oneStorey(0)
    const { building, layout } = storey
    bay(storey)
    for (const x of [0, 6])
      building.stiffElement(layout, [
        [x, 0],
        [x, 4],
      ])
    building.wallSurface(layout, south)
    const state = building.state()
    const rows = stiffElementRows(state).filter(({ case: id }) => id === typedLoads)
    expect(rows.map(({ fy }) => fy)).toEqual([near(4500), near(4500)])
    expect(concernsOf(state).map(({ code }) => code)).not.toContain('level.pushed')
    const [effect] = effectsOf(state, 'elementShear')
    expect(effect?.values[state.caseIds.indexOf(typedLoads)]).toBeCloseTo(4500, 4)
    // nothing holds a push along x, so nothing is said of it either: none comes
    expect(concernsOf(state).map(({ code }) => code)).not.toContain('storey.unheld')
  })

  test('storey forces of the wind hold it already: members get it, levels do not get it twice', () => {
    const storey = oneStorey(0, { basicWindVelocity: 25 })
    bay(storey)
    const pressures = [pressure(800, 800, { nature: 'wind', from: 'south' })]
    const surface = storey.building.wallSurface(storey.layout, south, { pressures })
    const { state, view } = taken(storey, surface, 'wind/south')
    expect(view).toMatchObject({ applied: near(14_400), inDerivedWind: true })
    expect(sidewaysRows(state).filter(({ case: id }) => id === 'wind/south')).toHaveLength(2)
    expect(ask(state, { kind: 'thrusts', caseId: 'wind/south' })).toEqual([])
  })

  test('hand: beside the rectangle in the wind it is added at the levels', () => {
    const storey = oneStorey(0, { basicWindVelocity: 25 })
    const { building, layout, top } = storey
    bay(storey)
    building.part({ extent: { x0: 0, x1: 6, y0: 2, y1: 4 } })
    const plain = storeyForcesOf(building.state(), 'wind/south')
    const pressures = [pressure(800, 800, { nature: 'wind', from: 'south' })]
    building.wallSurface(layout, south, { pressures })
    const state = building.state()
    const forces = storeyForcesOf(state, 'wind/south')
    // 7.2 kN more at the top and at the base
    expect((forces?.total ?? 0) - (plain?.total ?? 0)).toBeCloseTo(14_400, 4)
    const at = (id: string) =>
      forces?.storeys.filter(({ force }) => force.levelId === id).map(({ force }) => force) ?? []
    const [derived] = plain?.storeys.filter(({ force }) => force.levelId === top.id).map(({ force }) => force) ?? []
    expect(at(top.id)).toHaveLength(1)
    expect((at(top.id)[0]?.fy ?? 0) - (derived?.fy ?? 0)).toBeCloseTo(7200, 4)
    expect(at(storey.base.id)).toHaveLength(1)
    const rows = ask(state, { kind: 'why', address: `storeyForce:wind/south@${top.id}` })
    expect(rows?.basis.kind === 'sum' && rows.basis.terms.map(({ label }) => label)).toEqual([
      'on the wind rectangle',
      'on pressure surfaces outside it',
    ])
  })

  test('an imposed pressure without a use is in no case, and that is said', () => {
    const storey = oneStorey(0)
    bay(storey)
    const surface = storey.building.wallSurface(storey.layout, south, {
      pressures: [pressure(800, 800, { nature: 'imposed' })],
    })
    const state = storey.building.state()
    expect(concernsOf(state)).toContainEqual(expect.objectContaining({ code: 'load.no-use', about: [surface.id] }))
  })
})

// laws: what members take, and what levels take with what is lost, is the pressure by the area; turning the building turns the push
test('any surface on any storey', () => {
  const part = fc.double({ min: 0.05, max: 0.95, noNaN: true })
  const sharing = fc.constantFrom('upright', 'level', 'twoWay', 'surrounding' as const)
  holds(
    fc.property(
      fc.record({ sharing, by: fc.double({ min: -3, max: 3, noNaN: true }), girt: part, post: part, u: part, w: part }),
      fc.record({
        top: fc.double({ min: -2e3, max: 2e3, noNaN: true }),
        foot: fc.double({ min: -2e3, max: 2e3, noNaN: true }),
      }),
      fc.boolean(),
      ({ sharing: rule, by, girt, post, u, w }, { top, foot }, bridged) => {
        const build = (angle: number) => {
          const storey = oneStorey(0)
          const { building, layout } = storey
          const place = turned(angle, [1, 2])
          const corners = rectangle(0, 0, 6, 4).map(place)
          corners.forEach((at) => building.column(layout, at))
          building.panel(layout, corners)
          const [a = [0, 0], b = [0, 0]] = corners
          building.strut(layout, [a, b], [-3 * girt, -3 * girt], { role: 'girt' })
          const at = place([6 * post, 0])
          building.strut(layout, [at, at], [-3, 0], { role: 'post' })
          building.wallSurface(layout, [a, b], {
            sharing: rule,
            above: 0.5 * u,
            overOpenings: bridged ? 'bridged' : 'interrupting',
            openings: [{ along: 5 * u, sill: 2 * w, width: 1, height: 1 }],
            pressures: [pressure(top, foot)],
          })
          return pressedIn(building.state(), typedLoads)
        }
        const [straight, aslant] = [build(0), build(by)]
        const scale = 20 * (Math.abs(top) + Math.abs(foot)) + 1e-9
        for (const [one, angle] of [
          [straight[0], 0],
          [aslant[0], by],
        ] as const) {
          if (!one) continue
          const { applied } = one.share
          const members = restLoads(one).reduce((sum, load) => sum + loadTotal(load), 0)
          expect(Math.abs(members + one.share.notCarried - applied) / scale).toBeLessThan(1e-9)
          const { atLevels, notCarried } = reachesOf(one)
          const levels = atLevels.reduce((sum, { force }) => sum + force, 0)
          expect(Math.abs(levels + notCarried - applied) / scale).toBeLessThan(1e-9)
          expect(one.inward[0]).toBeCloseTo(-Math.sin(angle), 9)
          expect(one.inward[1]).toBeCloseTo(Math.cos(angle), 9)
        }
        const [p, q] = [straight[0]?.share.applied ?? 0, aslant[0]?.share.applied ?? 0]
        expect(Math.abs(p - q) / scale).toBeLessThan(1e-6)
      },
    ),
    { numRuns: 25 },
  )
})
