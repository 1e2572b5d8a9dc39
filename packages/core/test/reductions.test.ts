import { expanded } from '../src/document/labels'
import type { ReductionView } from '../src/derivation/reductions'
import type { Basis, LoadKey, ReductionTable } from '../src/document/recordKinds'
import { nationalSetEdits } from '../src/editing/ownLayer'
import { ask } from '../src/queries/derive'
import { reductionReason } from '../src/wording/reductionReason'
import { shippedSets } from '../src/standards/families'
import { Building } from './build'
import { rectangle } from './shapes'

/** Offices of 3.00 kN/m² on three levels of 12 by 10 m under a roof; a column stands under 30 m² of each. */
function tower(more: Partial<LoadKey> = {}, basis: Partial<Basis> = {}) {
  const building = new Building(basis)
  const levels = [0, 3, 6, 9, 12].map((z, i) => building.level(i === 0 ? 'Base' : String(i), z))
  const office = building.key(3000, more)
  const roof = building.key(400, { use: 'H' })
  const floors = building.layout('Floors', office, levels[1], levels[3])
  const top = building.layout('Roof', roof, levels[4])
  const columns = [floors, top].map((layout) => {
    const [column] = rectangle(0, 0, 12, 10).map((at) => building.column(layout, at))
    building.beam(layout, [0, 0], [12, 0])
    building.beam(layout, [0, 10], [12, 10])
    building.panel(layout, rectangle(0, 0, 12, 10))
    return column
  })
  const below = expanded(columns[0]?.id ?? '', levels[1]?.id ?? '')
  const view = (caseId: string) => {
    const found = ask(building.state(), { kind: 'column', expandedId: below, caseId })
    if (!found) throw new Error('no view')
    return found
  }
  return { building, floors, below, view }
}
const near = (value: number, digits = 6) => expect.closeTo(value, digits) as number

describe('a column under three storeys of offices and a roof', () => {
  test('by area 0.5 + 10/A, by storeys (2 + (n - 2) 0.7) / n (EN 1991-1-1 (6.1), (6.2), ψ0 of table A1.1, from memory)', () => {
    const { reductions, rows } = tower().view('imposed/B')
    expect(rows.map(({ levelName }) => levelName)).toEqual(['4', '3', '2', '1'])
    expect(reductions).toMatchObject([
      // the roof is of category H
      null,
      {
        storeys: 1,
        area: near(30),
        byArea: near(0.5 + 10 / 30),
        byStoreys: near(1),
        reducible: near(90_000),
        foot: near(75_000),
      },
      {
        storeys: 2,
        area: near(60),
        byArea: near(0.5 + 10 / 60),
        byStoreys: near(1),
        reducible: near(180_000),
        foot: near(120_000),
      },
      {
        storeys: 3,
        area: near(90),
        byArea: near(0.5 + 10 / 90),
        byStoreys: near(2.7 / 3),
        reducible: near(270_000),
        foot: near(270_000 * (0.5 + 10 / 90)),
      },
    ])
    expect(rows.at(-1)?.foot).toBeCloseTo(270_000, 6)
  })

  test('each factor has its trace, down to the area and where it comes from', () => {
    const { building, below } = tower()
    const factor = (way: string) =>
      ask(building.state(), { kind: 'why', address: `reduction:${below}:imposed/B:${way}` })
    expect(factor('area')?.value).toBeCloseTo(0.5 + 10 / 90, 9)
    expect(JSON.stringify(factor('area'))).toContain('level 2')
    expect(factor('storeys')?.value).toBeCloseTo(0.9, 9)
    expect(factor('height')).toBeNull()
  })

  test('of assembly as of offices down to 0.6; a single load on the column stays whole', () => {
    const { building, floors, view } = tower({ use: 'C1' })
    building.pointLoad(floors, [0, 0], 50_000, { nature: 'imposed', use: 'C1' })
    const bottom = view('imposed/C').reductions?.at(-1)
    // 90 m²: 0.5 + 0.11 = 0.611, from 100 m² on the least counts (checks of the formula)
    expect(bottom?.byArea).toBeCloseTo(0.5 + 10 / 90, 9)
    expect(bottom?.reducible).toBeCloseTo(270_000, 6)
    expect(bottom?.foot).toBeCloseTo(3 * 50_000 + 270_000 * (0.5 + 10 / 90), 5)
  })

  test('what lies on top of another load brings load and no area', () => {
    const { building, floors, view } = tower()
    building.patch(floors, building.key(1000), rectangle(0, 0, 12, 10), { mode: 'onTopOf' })
    const bottom = view('imposed/B').reductions?.at(-1)
    expect(bottom?.area).toBeCloseTo(90, 6)
    expect(bottom?.reducible).toBeCloseTo(360_000, 5)
  })

  test('storage is not reduced, nor what is permanent', () => {
    expect(tower({ use: 'E1' }).view('imposed/E').reductions).toBeNull()
    expect(tower().view('permanent/self-weight').reductions).toBeNull()
  })
})

test('a beam under 60 m² of offices: 0.5 + 10/60 of 180 kN, with its trace; none of it by floors', () => {
  const { building } = tower()
  const state = building.state()
  const south = state.floors[0]?.operator.plan.frame.beams.find(({ a }) => a[1] === 0)?.member.id ?? ''
  const expandedId = expanded(south, state.floors[0]?.level.id ?? '')
  const view = ask(state, { kind: 'member', expandedId, caseId: 'imposed/B' })
  expect(view?.reduction).toEqual({
    area: near(60),
    byArea: near(0.5 + 10 / 60),
    total: near(180_000 * (0.5 + 10 / 60)),
  })
  expect(view?.total).toBeCloseTo(180_000, 6)
  const why = (way: string) => ask(state, { kind: 'why', address: `reduction:${expandedId}:imposed/B:${way}` })
  expect(why('area')?.value).toBeCloseTo(0.5 + 10 / 60, 9)
  expect(why('storeys')).toBeNull()
  expect(ask(state, { kind: 'member', expandedId, caseId: 'permanent/self-weight' })?.reduction).toBeNull()
})

describe('other families, by their tables of floors and areas (from memory)', () => {
  test('BS 6399-1: three floors spare 20 %, 90 m² spare 9 %: the larger counts for a column', () => {
    const { reductions } = tower({ use: 'B-offices' }, { family: 'BS' }).view('imposed/Q')
    const bottom = reductions?.at(-1)
    expect(bottom).toMatchObject({ storeys: 3, byArea: near(0.91), byStoreys: near(0.8), foot: near(0.8 * 270_000) })
    expect(reductions?.[1]).toMatchObject({
      storeys: 1,
      byArea: near(0.97),
      byStoreys: near(1),
      foot: near(0.97 * 90_000),
    })
  })

  test('IS 875-2: by floors alone, the roof among them (3.2.1)', () => {
    const { reductions } = tower({ use: 'offices' }, { family: 'IS' }).view('imposed/IL')
    // three floors and the roof: 30 %
    expect(reductions?.at(-1)).toMatchObject({
      storeys: 4,
      byArea: null,
      byStoreys: near(0.7),
      foot: near(0.7 * 270_000),
      kept: 0,
      asAbove: false,
    })
  })

  test('IS 875-2 3.2.1.1: floors of 5 kN/m² and more are never below 5 kN/m²', () => {
    const feet = (use: string, q: number) => {
      const { reductions } = tower({ use, imposed: q }, { family: 'IS' }).view('imposed/IL')
      return reductions?.slice(1).map((row) => row && [row.foot, row.kept])
    }
    // 7.0 kN/m² on 30 m² a floor: 0.9 · 7 and 0.8 · 7 are above 5, 0.7 · 7 = 4.9 is not
    expect(feet('work-medium', 7000)).toEqual([
      [near(0.9 * 7000 * 30), 0],
      [near(0.8 * 7000 * 60), 0],
      [near(5000 * 90), near(5000 * 90)],
    ])
    // at 5 kN/m² there is nothing to take off, a little below there is
    expect(feet('assembly-open', 5000)).toEqual([30, 60, 90].map((area) => [near(5000 * area), near(5000 * area)]))
    expect(feet('assembly-open', 4999)?.at(-1)).toEqual([near(0.7 * 4999 * 90), 0])
  })

  test('BS 6399-1 6.1: factories are reduced where they are designed for 5 kN/m² or more, and never below it', () => {
    const bottom = (use: string, imposed: number) =>
      tower({ use, imposed }, { family: 'BS' }).view('imposed/Q').reductions?.at(-1) ?? null
    // three floors spare 20 %: 0.8 · 6 = 4.8 kN/m²
    expect(bottom('B-factories', 6000)).toMatchObject({ foot: near(5000 * 90), kept: near(5000 * 90) })
    expect(bottom('B-factories', 8000)).toMatchObject({ foot: near(0.8 * 8000 * 90), kept: 0 })
    expect(bottom('B-machinery', 4000)).toBeNull()
    // elsewhere nothing is kept
    expect(bottom('C5-crowds', 5000)).toMatchObject({ foot: near(0.8 * 5000 * 90), kept: 0 })
  })

  test('IS 875-2 3.2.1.1, note: where a step would leave less than above, what is above is adopted', () => {
    const building = new Building({ family: 'IS' })
    const levels = [0, 3, 6, 9].map((z, i) => building.level(i === 0 ? 'Base' : String(i), z))
    const keys = [100, 4900, 700].map((q, i) => building.key(q, { use: i === 2 ? 'roof' : 'offices' }))
    const columns = keys.map((key, i) => {
      const layout = building.layout(`Layout ${i}`, key, levels[i + 1])
      const [column] = rectangle(0, 0, 12, 10).map((at) => building.column(layout, at))
      building.beam(layout, [0, 0], [12, 0])
      building.beam(layout, [0, 10], [12, 10])
      building.panel(layout, rectangle(0, 0, 12, 10))
      return column
    })
    const expandedId = expanded(columns[0]?.id ?? '', levels[1]?.id ?? '')
    const view = ask(building.state(), { kind: 'column', expandedId, caseId: 'imposed/IL' })
    // 0.9 · 147 kN above; 0.8 · 150 kN below would be 120 kN
    expect(view?.reductions?.slice(1)).toMatchObject([
      { foot: near(0.9 * 147_000), asAbove: false },
      { byStoreys: near(0.8), foot: near(0.9 * 147_000), asAbove: true },
    ])
  })

  test('IS 875-2: uplift stays uplift', () => {
    const building = new Building({ family: 'IS' })
    const levels = [0, 3, 6].map((z, i) => building.level(i === 0 ? 'Base' : String(i), z))
    const layout = building.layout('Floors', null, levels[1], levels[2])
    const column = building.column(layout, [0, 0])
    building.column(layout, [4, 0])
    building.beam(layout, [0, 0], [6, 0])
    building.pointLoad(layout, [6, 0], 10_000, { nature: 'imposed', use: 'offices' })
    const floor = building.key(1000, { use: 'offices' })
    // a strip of floor beside the column, so that there is something to reduce
    building.panel(layout, rectangle(0, 0, 1, 0.5))
    building.patch(layout, floor, rectangle(0, 0, 1, 0.5))
    const expandedId = expanded(column.id, levels[1]?.id ?? '')
    const view = ask(building.state(), { kind: 'column', expandedId, caseId: 'imposed/IL' })
    // 10 kN at 2 m beyond a span of 4 m lift the other end by 5 kN on each level
    expect(view?.rows.at(-1)?.foot).toBeLessThan(-8000)
    for (const [i, row] of (view?.reductions ?? []).entries())
      expect(row?.foot).toBeLessThanOrEqual((view?.rows[i]?.foot ?? NaN) + 1e-6)
    expect(view?.reductions?.every((row) => row !== null)).toBe(true)
  })

  test('a beam by IS 875-2: a twentieth from 50 m² on; by BS 6399-1 table 3 in proportion', () => {
    for (const [family, use, caseId, factor] of [
      ['IS', 'offices', 'imposed/IL', 0.95],
      ['BS', 'B-offices', 'imposed/Q', 0.94],
    ] as const) {
      const state = tower({ use }, { family }).building.state()
      const south = state.floors[0]?.operator.plan.frame.beams.find(({ a }) => a[1] === 0)?.member.id ?? ''
      const expandedId = expanded(south, state.floors[0]?.level.id ?? '')
      expect(ask(state, { kind: 'member', expandedId, caseId })?.reduction).toMatchObject({
        area: near(60),
        byArea: near(factor),
      })
    }
  })

  test('the German annex: 0.5 + 10/90 for offices, 0.7 + 0.6/3', () => {
    const { building, view } = tower({ use: 'B1' })
    const [germany] = shippedSets.EN
    if (!germany) throw new Error('no set')
    for (const { after } of nationalSetEdits(building.document, germany, building.random))
      if (after) building.add(after)
    expect(view('imposed/B').reductions?.at(-1)).toMatchObject({ byArea: near(0.5 + 10 / 90), byStoreys: near(0.9) })
  })
})

describe('ASCE 7 4.7 and 4.8 (from memory)', () => {
  const asce = (use: string, q = 3000) => {
    const found = tower({ use }, { family: 'ASCE' })
    for (const record of found.building.records)
      if (record.kind === 'loadKey')
        Object.assign(record, { imposed: record.use === 'H' ? 958 : q, use: record.use === 'H' ? 'roof' : use })
    return found
  }

  test('hand: a column with K_LL = 4 under 30, 60 and 90 m2: 0.25 + 4.572/√(4 A), 0.5 and 0.4 at least', () => {
    const { reductions } = asce('offices').view('imposed/L')
    expect(reductions?.map((row) => row && Number(row.byArea?.toFixed(6)))).toEqual([
      null,
      Number((0.25 + 4.572 / Math.sqrt(120)).toFixed(6)),
      Number((0.25 + 4.572 / Math.sqrt(240)).toFixed(6)),
      Number((0.25 + 4.572 / Math.sqrt(360)).toFixed(6)),
    ])
    expect(reductions?.at(-1)?.byStoreys).toBeNull()
  })

  test('assembly stays whole; stacks under one floor stay whole, and lose a fifth at most under more', () => {
    expect(asce('assembly-lobbies', 4788).view('imposed/Lp').reductions).toBeNull()
    const { reductions } = asce('library-stacks', 7182).view('imposed/Lp')
    expect(reductions?.map((row) => row?.byArea ?? null)).toEqual([null, 1, 0.8, 0.8])
  })

  test('a roof by its area: 30 m2 give 1.2 − 0.001 x 30 / 0.0929, level as it is', () => {
    const { reductions } = asce('offices').view('roof/Lr')
    expect(reductions?.[0]?.byArea).toBeCloseTo(1.2 - (0.001 * 30) / 0.09290304, 9)
  })

  test('a factor typed at the member counts', () => {
    const found = asce('offices')
    for (const record of found.building.records)
      if (record.kind === 'member' && record.role === 'column') Object.assign(record, { elementFactor: 2 })
    expect(found.view('imposed/L').reductions?.at(-1)?.byArea).toBeCloseTo(0.25 + 4.572 / Math.sqrt(180), 9)
  })
})

test('each load key says why it may be reduced or not', () => {
  const reasonOf = (use: string, family: Basis['family']) => {
    const { building } = tower({ use }, { family })
    const loads = ask(building.state(), { kind: 'keys' }).find(({ key }) => key.imposed === 3000)
    if (!loads) throw new Error('no key')
    return reductionReason(family, loads)
  }
  expect(reasonOf('B', 'EN')).toMatch(/^may be reduced by area or storeys: EN 1991-1-1 6\.3\.1\.2/)
  expect(reasonOf('E1', 'EN')).toMatch(/^not reduced: EN 1991-1-1/)
  expect(reasonOf('offices', 'ASCE')).toBe('may be reduced by area: ASCE 7 4.7.2')
  expect(reasonOf('garages', 'ASCE')).toBe('reduced by a fifth at most, under two floors or more: ASCE 7 4.7.3, 4.7.4')
  expect(reasonOf('assembly-lobbies', 'ASCE')).toBe('not reduced: ASCE 7 4.7.3 to 4.7.5')
  expect(reasonOf('roof', 'ASCE')).toBe('may be reduced by area: ASCE 7 4.8')
})

describe('floor by use', () => {
  test('hand: three floors of 30 m2 of offices under 30 m2 of roof, whether their load may be reduced or not', () => {
    for (const use of ['B', 'E1']) {
      const { uses, rows } = tower({ use }).view('permanent/self-weight')
      expect(uses).toEqual([expect.stringContaining(use[0] ?? ''), expect.stringContaining('H')])
      expect(rows.map(({ areas, cumulativeArea }) => [...areas, cumulativeArea])).toEqual([
        [near(0), near(30), near(30)],
        [near(30), near(30), near(60)],
        [near(60), near(30), near(90)],
        [near(90), near(30), near(120)],
      ])
    }
  })
})

describe('in combinations', () => {
  const governed = (reductions: Basis['reductions']) => {
    const { building, below } = tower({}, { reductions, basicWindVelocity: null })
    const state = building.state()
    const key = `columnForce:${below}:N`
    const view = ask(state, { kind: 'governing', set: 'strength', key })
    const rows = ask(state, { kind: 'envelopes', set: 'strength', effects: 'columnForce' })
    return { state, view, most: rows.find((row) => row.key === key)?.most }
  }

  // the column of the tower above: 3 x 30 m2 of 3.00 kN/m2; by area 0.5 + 10/90 = 0.611, by storeys (2 + 0.7)/3 = 0.9
  test('hand: whole, reduced where no psi is, and by the lower of both', () => {
    const [whole, beside, reduced] = [governed('nowhere'), governed('withoutPsi'), governed('lower')]
    // and the roof, 30 m2 of 0.40 kN/m2, which has no psi_0 and so leads or is not there
    expect(whole.most).toBeCloseTo(1.5 * 270_000, 3)
    // with the roof leading the floors have psi_0 = 0.7 and no reduction: more than 1.5 x 0.611 x 270 = 247.5
    expect(beside.most).toBeCloseTo(1.5 * (12_000 + 0.7 * 270_000), 3)
    // of psi_0 and 0.611 the lower
    expect(reduced.most).toBeCloseTo(1.5 * (12_000 + (0.5 + 1 / 9) * 270_000), 3)
    const [term] = reduced.view?.most.terms.filter(({ caseId }) => caseId === 'imposed/B') ?? []
    // in place of psi_0: 1.5, not 1.05
    expect(term).toMatchObject({ factor: near(1.5), reduction: near(0.5 + 1 / 9), characteristic: near(270_000, 3) })
    expect(reduced.view?.most.value).toBeCloseTo(reduced.most ?? 0, 6)
  })

  test('the trace has the reduction as a factor of its own, and adds up', () => {
    const { state, view, most } = governed('lower')
    const traced = ask(state, { kind: 'why', address: `extreme:strength:most:${view?.key ?? ''}` })
    expect(traced?.value).toBeCloseTo(most ?? 0, 6)
    expect(JSON.stringify(traced)).toContain('reduced')
  })

  test('beside psi it is a concern, with its mend', () => {
    const codes = (reductions: Basis['reductions']) =>
      ask(governed(reductions).state, { kind: 'concerns' }).map(({ code }) => code)
    expect(codes('everywhere')).toContain('reduction.beside-psi')
    expect(codes('lower')).not.toContain('reduction.beside-psi')
    expect(codes('withoutPsi')).not.toContain('reduction.beside-psi')
  })

  test('for the building: every column at the base, with and without', () => {
    const { state } = governed('nowhere')
    const rows = ask(state, { kind: 'reducedBase', caseId: 'imposed/B' })
    // four columns, each as above: 270 kN and 0.611 of them
    expect(rows.map(({ whole, reduced }) => [whole, reduced])).toEqual(
      Array.from({ length: 4 }, () => [near(270_000, 3), near(165_000, 3)]),
    )
    expect(ask(state, { kind: 'reducedBase', caseId: 'permanent/self-weight' })).toEqual([])
  })

  test('storey shears and what is not imposed stay as they are', () => {
    const [whole, reduced] = [governed('nowhere'), governed('everywhere')].map(({ state }) =>
      ask(state, { kind: 'envelopes', set: 'strength', effects: 'storeyShear' }),
    )
    expect(reduced).toEqual(whole)
  })
})

describe('an own table in place of the standard', () => {
  const factors = (more: Partial<Omit<ReductionTable, 'kind' | 'id'>>, imposed = 'imposed/B') => {
    const storeys = tower()
    const table = storeys.building.reductionTable(more)
    const { building } = storeys
    building.records.splice(0, 1, { ...building.basis, reductionTable: table.id })
    const { reductions } = storeys.view(imposed)
    return { ...storeys, reductions: reductions ?? [] }
  }
  const byLength = (rows: readonly (ReductionView | null)[], way: 'byArea' | 'byStoreys') =>
    rows.map((row) => row && row[way])

  test('by area, in steps or in a straight line, under 30, 60 and 90 m²', () => {
    const rows = [
      { from: 80, factor: 0.7 },
      { from: 40, factor: 0.9 },
    ]
    const stepped = factors({ by: 'area', between: 'stepped', rows })
    expect(byLength(stepped.reductions, 'byArea')).toEqual([null, 1, 0.9, 0.7])
    expect(byLength(stepped.reductions, 'byStoreys')).toEqual([null, null, null, null])
    const linear = factors({ by: 'area', between: 'linear', rows })
    expect(byLength(linear.reductions, 'byArea')).toEqual([null, 1, near(0.8), 0.7])
    const why = ask(linear.building.state(), { kind: 'why', address: `reduction:${linear.below}:imposed/B:area` })
    expect(why?.basis).toMatchObject({ kind: 'table', table: { clause: 'own table “own”' } })
  })

  test('by storeys, from the third on; under fewer nothing is reduced', () => {
    const rows = [{ from: 1, factor: 0.5 }]
    const { reductions } = factors({ by: 'storeys', rows, leastStoreys: 3 })
    expect(byLength(reductions, 'byStoreys')).toEqual([null, 1, 1, 0.5])
    // 3 · 90 kN at the foot of the lowest length, all of it may be reduced
    expect(reductions.at(-1)?.foot).toBeCloseTo(135_000, 6)
  })

  test('what IS 875-2 counts and keeps goes with its table', () => {
    const found = tower({ use: 'work-medium', imposed: 7000 }, { family: 'IS' })
    const table = found.building.reductionTable({ by: 'storeys', rows: [{ from: 1, factor: 0.5 }] })
    found.building.records.splice(0, 1, { ...found.building.basis, reductionTable: table.id })
    // three floors, not four with the roof; and half of 7 kN/m², below 5
    expect(found.view('imposed/IL').reductions?.at(-1)).toMatchObject({
      storeys: 3,
      foot: near(0.5 * 7000 * 90),
      kept: 0,
      asAbove: false,
    })
  })

  test('for columns alone, or for beams too', () => {
    const beamOf = (takes: 'columns' | 'all') => {
      const { building, floors } = factors({ by: 'area', takes, rows: [{ from: 0, factor: 0.5 }] })
      const state = building.state()
      const [beam] = state.floors[0]?.operator.plan.frame.beams ?? []
      const expandedId = expanded(beam?.member.id ?? '', state.floors[0]?.level.id ?? '')
      expect(state.floors[0]?.floor.layoutId).toBe(floors.id)
      return ask(state, { kind: 'member', expandedId, caseId: 'imposed/B' })?.reduction
    }
    expect(beamOf('columns')).toBeNull()
    expect(beamOf('all')).toMatchObject({ byArea: 0.5, total: near(90_000) })
  })

  test('a load key that is never reduced stays whole', () => {
    const { view, building } = tower({ reducible: 'never' })
    expect(view('imposed/B').reductions).toBeNull()
    const [key] = [...building.state().keys.values()].filter(({ imposed }) => imposed?.value === 3000)
    expect(key && reductionReason('EN', key)).toBe('not reduced, as said here')
  })
})

describe('columns that stand on beams', () => {
  /** Above 12 by 10 m on four columns stand 6 by 10 m on four more, 3 m from the ends of two beams. */
  const over = (transferred: Basis['transferred']) => {
    const building = new Building({ transferred })
    const [, low, high] = ['Base', '1', '2'].map((name, i) => building.level(name, 3 * i))
    const office = building.key(3000)
    const [floor, upper] = [building.layout('Floor', office, low), building.layout('Upper', office, high)]
    const [corner] = rectangle(0, 0, 12, 10).map((at) => building.column(floor, at))
    const south = building.beam(floor, [0, 0], [12, 0])
    building.beam(floor, [0, 10], [12, 10])
    building.panel(floor, rectangle(0, 0, 12, 10))
    rectangle(3, 0, 9, 10).forEach((at) => building.column(upper, at))
    building.beam(upper, [3, 0], [9, 0])
    building.beam(upper, [3, 10], [9, 10])
    building.panel(upper, rectangle(3, 0, 9, 10))
    const state = building.state()
    const at = (id: string | undefined) => ({ expandedId: expanded(id ?? '', low?.id ?? ''), caseId: 'imposed/B' })
    return {
      column: ask(state, { kind: 'column', ...at(corner?.id) })?.reductions?.[0],
      beam: ask(state, { kind: 'member', ...at(south.id) })?.reduction,
      state,
    }
  }

  test('reduced below the beam too: 30 + 15 m² and 135 kN in the corner, 90 m² and 270 kN on the beam', () => {
    const { column, beam } = over('reduced')
    const foot = 135_000 * (0.5 + 10 / 45)
    expect(column).toMatchObject({
      area: near(45),
      byArea: near(0.5 + 10 / 45),
      reducible: near(135_000),
      foot: near(foot),
    })
    // and the other way beside it
    expect(column?.otherwise).toBeCloseTo(135_000 - (1 - (0.5 + 10 / 30)) * 90_000, 6)
    expect(beam).toMatchObject({ area: near(90), byArea: near(0.5 + 10 / 90), total: near(270_000 * (0.5 + 10 / 90)) })
  })

  test('whole below the beam: its own 30 m² and 90 kN are reduced alone', () => {
    const { column, beam, state } = over('whole')
    const foot = 135_000 - (1 - (0.5 + 10 / 30)) * 90_000
    expect(column).toMatchObject({
      area: near(30),
      byArea: near(0.5 + 10 / 30),
      reducible: near(90_000),
      foot: near(foot),
    })
    expect(column?.otherwise).toBeCloseTo(135_000 * (0.5 + 10 / 45), 6)
    expect(beam).toMatchObject({ area: near(60), total: near(270_000 - (0.5 - 10 / 60) * 180_000) })
    expect(ask(state, { kind: 'reducedBase', caseId: 'imposed/B' }).map(({ reduced }) => reduced)).toEqual(
      Array.from({ length: 4 }, () => near(foot)),
    )
  })
})
