import { Memo } from '../src/derivation/memo'
import { deriveProject } from '../src/derivation/project'
import { documentOf } from '../src/document/document'
import type { Member, Panel } from '../src/document/recordKinds'
import type { Point } from '../src/geometry/point'
import { ask } from '../src/queries/derive'
import { Building } from './build'
import { rectangle, turned } from './shapes'

type More<T> = Partial<Omit<T, 'id' | 'kind'>>

/** A slab of 200 mm over 6 x 4 m with 3 kN/m2, on a beam along each side and columns at the corners. */
function bay(
  panel: More<Panel> = {},
  south: More<Member> = {},
  add: (building: Building, layout: string) => void = () => undefined,
) {
  const building = new Building({ basicWindVelocity: null }, 1)
  const [, top] = [building.level('Base', 0), building.level('Top', 3)]
  const layout = building.layout('Floor', building.key(3000, { name: 'Office' }), top)
  for (const x of [0, 6]) for (const y of [0, 4]) building.column(layout, [x, y])
  const beams = {
    south: building.beam(layout, [0, 0], [6, 0], south),
    north: building.beam(layout, [0, 4], [6, 4]),
    west: building.beam(layout, [0, 0], [0, 4]),
    east: building.beam(layout, [6, 0], [6, 4]),
  }
  const slab = {
    thickness: 0.2,
    material: building.material({ name: 'concrete', unitWeight: 0, elasticModulus: 33e9 }).id,
  }
  const drawn = building.panel(layout, rectangle(0, 0, 6, 4), { sharing: 'stiffness', slab, ...panel })
  add(building, layout.id)
  const memo = new Memo()
  const state = deriveProject(memo, building.document)
  const caseId = state.caseIds.find((id) => id.startsWith('imposed/')) ?? ''
  const view = ask(state, { kind: 'panel', expandedId: `${drawn.id}@${top.id}`, caseId })
  const forces = (name: keyof typeof beams) =>
    view?.takers.find(({ expandedId }) => expandedId === `${beams[name].id}@${top.id}`)?.force ?? 0
  const columns = view?.takers.filter(({ kind }) => kind === 'column').reduce((sum, { force }) => sum + force, 0) ?? 0
  return { building, memo, state, view, forces, columns, beams, panel: drawn, top }
}

describe('a panel shared by stiffness', () => {
  test('all of it arrives, and what is alike takes alike', () => {
    const { view, forces, columns } = bay()
    expect(view?.notCarried).toBe(0)
    expect(Math.abs(view?.residual.force ?? 1)).toBeLessThan(1e-6)
    expect(forces('south') + forces('north') + forces('west') + forces('east') + columns).toBeCloseTo(72_000, 4)
    // mesh and triangles are not symmetric: within 2 % of the load
    expect(Math.abs(forces('south') - forces('north'))).toBeLessThan(0.02 * 72_000)
    expect(Math.abs(forces('west') - forces('east'))).toBeLessThan(0.02 * 72_000)
    expect(forces('south')).toBeGreaterThan(forces('west'))
    expect(view?.reached?.change).toBeLessThan(0.02)
  })

  test('the moment left over is small: straight pieces between rests, not the rests, lose it', () => {
    const { view } = bay()
    for (const left of [view?.residual.mx ?? 1e9, view?.residual.my ?? 1e9])
      expect(Math.abs(left)).toBeLessThan(0.002 * 72_000 * 6)
  })

  test('a member that takes no load gets none, and the others take it', () => {
    const { forces, columns } = bay({}, { takesLoad: false })
    expect(forces('south')).toBe(0)
    expect(forces('north') + forces('west') + forces('east') + columns).toBeCloseTo(72_000, 4)
  })

  test('a stiffer beam takes more; a slab twice as thick leaves beams less', () => {
    const stiff = bay({}, {}, (building) => {
      const deep = building.sectionOf({ name: 'deep', shape: 'rectangle', area: 0.3, depth: 1, width: 0.3 })
      const index = building.records.findIndex((record) => record.kind === 'member' && record.role !== 'column')
      const south = building.records[index] as Member
      building.records[index] = { ...south, section: deep.id }
    })
    expect(stiff.forces('south')).toBeGreaterThan(1.2 * stiff.forces('north'))
    const [thin, thick] = [0.1, 0.4].map((thickness) =>
      bay({}, {}, (building) => {
        const index = building.records.findIndex(({ kind }) => kind === 'panel')
        const panel = building.records[index] as Panel
        building.records[index] = { ...panel, slab: panel.slab && { ...panel.slab, thickness } }
      }),
    )
    expect(thick?.columns).toBeGreaterThan((thin?.columns ?? Infinity) * 1.2)
  })

  test('beside an opening a beam takes less', () => {
    const whole = bay()
    const cut = bay({}, {}, (building, layout) =>
      building.opening({ id: layout } as Parameters<Building['opening']>[0], rectangle(1, 0, 5, 1.2)),
    )
    expect(cut.forces('south')).toBeLessThan(whole.forces('south'))
    expect(cut.view?.notCarried).toBe(0)
  })

  // common practice: the inner column of a flat slab takes more than all others together would by area
  test('a column inside takes its part without a beam', () => {
    const { columns, view } = bay({}, {}, (building, layout) =>
      building.column({ id: layout } as Parameters<Building['column']>[0], [3, 2]),
    )
    expect(columns).toBeGreaterThan(0.3 * 72_000)
    expect(view?.takers.some(({ kind, force }) => kind === 'column' && force > 0.3 * 72_000)).toBe(true)
  })

  test('walls and forces on it go the same way: nothing is lost', () => {
    const { state } = bay({}, {}, (building, layout) => {
      const on = { id: layout } as Parameters<Building['wall']>[0]
      building.wall(on, [[1, 1] as Point, [5, 3]], { heightRule: 'typed', height: 2.5 })
      building.pointLoad(on, [4, 1], 10_000, { nature: 'permanent' })
    })
    const [floor] = state.floors
    const shares = floor?.operator.plan.sources.flatMap((source) =>
      source.kind === 'wall' || source.kind === 'point' ? [source.share] : [],
    )
    expect(shares).toHaveLength(2)
    for (const share of shares ?? []) {
      const force =
        share.lines.reduce((sum, { s0, s1, q0, q1 }) => sum + ((s1 - s0) * (q0 + q1)) / 2, 0) +
        [...share.points, ...share.onColumns].reduce((sum, { force: part }) => sum + part, 0)
      expect(force).toBeCloseTo(share.applied, 8)
      expect(share.notCarried).toBe(0)
    }
  })

  test('the other rules can be compared with it, though the panel has another', () => {
    const { state, panel, top } = bay({ sharing: 'twoWay' })
    const caseId = state.caseIds.find((id) => id.startsWith('imposed/')) ?? ''
    const compared = ask(state, {
      kind: 'compare',
      levelId: top.id,
      panelId: panel.id,
      caseId,
      rules: [null, 'stiffness'],
    })
    const sums = [0, 1].map((k) => compared?.members.reduce((sum, { forces }) => sum + (forces[k] ?? 0), 0))
    expect(sums).toEqual([expect.closeTo(72_000, 4), expect.closeTo(72_000, 4)])
  })
})

test('a beam that hangs in the air bears nothing: the plate goes to the others whole', () => {
  const { view, forces, columns } = bay({}, {}, (building, layout) => {
    building.beam({ id: layout } as Parameters<Building['beam']>[0], [1, 2], [5, 2])
  })
  expect(view?.takers.some(({ label }) => label === 'B5')).toBe(false)
  expect(view?.notCarried).toBe(0)
  expect(forces('south') + forces('north') + forces('west') + forces('east') + columns).toBeCloseTo(72_000, 4)
})

describe('what nobody means to draw', () => {
  /** Two beams with columns, and what is drawn on top; every panel is a plate. */
  const drawn = (
    draw: (on: { building: Building; layout: ReturnType<Building['layout']>; slab: Panel['slab'] }) => void,
  ) => {
    const building = new Building({ basicWindVelocity: null }, 1)
    const [, top] = [building.level('Base', 0), building.level('Top', 3)]
    const layout = building.layout('Floor', building.key(3000, { name: 'Office' }), top)
    for (const x of [0, 6]) for (const y of [0, 4]) building.column(layout, [x, y])
    for (const y of [0, 4]) building.beam(layout, [0, y], [6, y])
    const slab = { thickness: 0.2, material: building.material({ unitWeight: 0, elasticModulus: 33e9 }).id }
    draw({ building, layout, slab })
    const state = deriveProject(new Memo(), building.document)
    const caseId = state.caseIds.find((id) => id.startsWith('imposed/')) ?? ''
    return ask(state, { kind: 'balance', caseId })
  }
  const ring = rectangle(0, 0, 6, 4)
  const spiked: readonly Point[] = [
    [0, 0],
    [0, 0],
    [3, 0],
    [3, -2],
    [3, 0],
    [6, 0],
    [6, 4],
    [0, 4],
  ]
  const far = (x: number, y: number): Point => [999_900.1 + x, -999_900.3 + y]

  test.each<readonly [string, Parameters<typeof drawn>[0]]>([
    [
      'a sliver',
      ({ building, layout, slab }) => building.panel(layout, rectangle(0, 0, 6, 0.015), { sharing: 'stiffness', slab }),
    ],
    [
      'a strip of 40 mm',
      ({ building, layout, slab }) => building.panel(layout, rectangle(0, 0, 6, 0.04), { sharing: 'stiffness', slab }),
    ],
    [
      'a spike and doubled corners',
      ({ building, layout, slab }) => building.panel(layout, spiked, { sharing: 'stiffness', slab }),
    ],
    [
      'beams on one another',
      ({ building, layout, slab }) => {
        building.beam(layout, [6, 0], [0, 0])
        building.beam(layout, [0, 0.004], [6, 0.004])
        building.panel(layout, ring, { sharing: 'stiffness', slab })
      },
    ],
    [
      'beams 30 mm apart that hang in the air',
      ({ building, layout, slab }) => {
        building.beam(layout, [1, 2], [5, 2])
        building.beam(layout, [1, 2.03], [5, 2.03])
        building.panel(layout, ring, { sharing: 'stiffness', slab })
      },
    ],
    [
      'an opening as large as the panel',
      ({ building, layout, slab }) => {
        building.panel(layout, ring, { sharing: 'stiffness', slab })
        building.opening(layout, ring)
      },
    ],
    [
      'openings that touch an edge, a corner and each other',
      ({ building, layout, slab }) => {
        building.panel(layout, ring, { sharing: 'stiffness', slab })
        building.opening(layout, rectangle(1, 0, 2, 1))
        building.opening(layout, rectangle(2, 1, 3, 2))
        building.opening(layout, rectangle(5, 3, 7, 5))
      },
    ],
    [
      'two parts that hang together at a point',
      ({ building, layout, slab }) => {
        building.panel(layout, ring, { sharing: 'stiffness', slab })
        building.opening(layout, rectangle(-1, 2, 3, 5))
        building.opening(layout, rectangle(3, -1, 7, 2))
      },
    ],
    [
      'a million metres from the origin',
      ({ building, layout, slab }) => {
        for (const [x, y] of ring) building.column(layout, far(x, y))
        for (const y of [0, 4]) building.beam(layout, far(0, y), far(6, y))
        building.panel(
          layout,
          ring.map(([x, y]) => far(x, y)),
          { sharing: 'stiffness', slab },
        )
      },
    ],
  ])('%s: all of it arrives or is named', (_, draw) => {
    const { applied, atSupports, notCarried } = drawn(draw)
    expect(Number.isFinite(atSupports)).toBe(true)
    expect(Math.abs(atSupports + notCarried - applied)).toBeLessThan(1e-5 * Math.max(1, applied))
    // nothing wild: no more is carried than is there, and a rest
    expect(atSupports).toBeLessThanOrEqual(applied + 1e-3)
  })
})

describe('work counted', () => {
  const changed = (building: Building, from: object, to: object) =>
    documentOf(building.records.map((record) => (record === from ? { ...record, ...to } : record)))

  test('a section counts for plates alone, and a load for none of it', () => {
    for (const [sharing, expected] of [
      ['stiffness', 1],
      ['oneWay', undefined],
    ] as const) {
      const { building, memo } = bay({ sharing })
      memo.resetCounts()
      deriveProject(memo, changed(building, building.section, { depth: 0.4 }))
      expect(memo.computed['plate']).toBe(expected)
      expect(memo.computed['panelShare']).toBe(expected)
      memo.resetCounts()
      const [key] = building.records.filter(({ kind }) => kind === 'loadKey')
      deriveProject(memo, changed(building, key ?? {}, { imposed: 5000 }))
      expect(memo.computed['panelShare']).toBeUndefined()
    }
  })
})

describe('a corner that turns into the panel', () => {
  /** An L of 8 by 8 m less 4 by 4 m, on stiff beams along its sides and a column under each corner. */
  function angled(turnedBy = 0, shuffled = false) {
    const building = new Building({ basicWindVelocity: null }, shuffled ? 7 : 1)
    const [, top] = [building.level('Base', 0), building.level('Top', 3)]
    const layout = building.layout('Floor', building.key(3000, { name: 'Office' }), top)
    const material = building.material({ name: 'concrete', unitWeight: 0, elasticModulus: 33e9 }).id
    const section = building.sectionOf({ shape: 'rectangle', area: 0.18, depth: 0.6, width: 0.3 }).id
    const outline = (
      [
        [0, 0],
        [8, 0],
        [8, 4],
        [4, 4],
        [4, 8],
        [0, 8],
      ] as const
    ).map(turned(turnedBy))
    const columns = outline.map((at) => building.column(layout, at))
    const beams = outline.map((at, i) => building.beam(layout, at, outline[(i + 1) % 6] ?? at, { section, material }))
    const panel = building.panel(layout, outline, { sharing: 'stiffness', slab: { thickness: 0.2, material } })
    const state = deriveProject(new Memo(), building.document)
    const caseId = state.caseIds.find((id) => id.startsWith('imposed/')) ?? ''
    const view = ask(state, { kind: 'panel', expandedId: `${panel.id}@${top.id}`, caseId })
    const of = (id: string) => view?.takers.find(({ expandedId }) => expandedId === `${id}@${top.id}`)?.force ?? 0
    return { view, beams: beams.map(({ id }) => of(id)), columns: columns.map(({ id }) => of(id)) }
  }
  const load = 48 * 3000
  let first: ReturnType<typeof angled> | undefined
  const asDrawn = () => (first ??= angled())

  test('the beams that meet there take alike and are not pulled, the column under it takes most, and forces settle', () => {
    const { view, beams, columns } = asDrawn()
    expect([...beams, ...columns].reduce((sum, force) => sum + force, 0)).toBeCloseTo(load, 3)
    expect(view?.reached?.change).toBeLessThan(0.03)
    const [one = 0, other = 0] = [beams[2], beams[3]]
    expect(Math.abs(one - other)).toBeLessThan(0.01 * load)
    expect(Math.min(one, other)).toBeGreaterThan(-0.02 * load)
    expect(Math.max(...columns)).toBe(columns[3])
    // the column, with what comes over the beams beside it: 0.4 to 0.6 of the load in every mesh that was tried
    expect((columns[3] ?? 0) / load).toBeGreaterThan(0.4)
    expect((columns[3] ?? 0) / load).toBeLessThan(0.6)
    for (const left of [view?.residual.mx ?? 1e9, view?.residual.my ?? 1e9])
      expect(Math.abs(left)).toBeLessThan(0.015 * load * 8)
  })

  test('ids change nothing, and turning it hardly anything', () => {
    const { beams, columns } = asDrawn()
    expect(angled(0, true)).toMatchObject({ beams, columns })
    const other = angled(0.3)
    ;[...other.beams, ...other.columns].forEach((force, i) =>
      expect(Math.abs(force - ([...beams, ...columns][i] ?? NaN))).toBeLessThan(0.02 * load),
    )
  })
})

test('without a slab, without hold and without forces that settle it says which, also where it is only tried', () => {
  const without = bay({ slab: null })
  expect(without.view?.notCarried).toBeCloseTo(72_000, 6)
  const level = without.state.floors[0]?.level.id ?? ''
  const tried = (made: ReturnType<typeof bay>) =>
    ask(made.state, {
      kind: 'compare',
      levelId: level,
      panelId: null,
      caseId: made.state.caseIds.find((id) => id.startsWith('imposed/')) ?? '',
      rules: ['oneWay', 'stiffness'],
    })?.lacks
  expect(tried(without)).toEqual([null, 'slab'])
  expect(tried(bay({ sharing: 'oneWay', slab: null }))).toEqual([null, 'slab'])
  expect(tried(bay())).toEqual([null, null])
})
