import { expanded } from '../src/document/labels'
import type { ReductionView } from '../src/derivation/reductions'
import type { Basis, Layer, LoadKey, ReductionTable } from '../src/document/recordKinds'
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
/** A national set that says which factors columns take, and nothing else. */
const setWith = (columns: string): Layer => ({
  kind: 'layer',
  id: 'layer:columns000000',
  family: 'EN',
  standing: 'national',
  name: 'a country',
  values: {},
  tables: {},
  methods: { 'imposed.columns': columns },
  uses: {},
})

const near = (value: number, digits = 6) => expect.closeTo(value, digits) as number

describe('a column under three storeys of offices and a roof', () => {
  test('by storeys (2 + (n - 2) 0.7) / n, and not by area (EN 1991-1-1 6.2.2(2), 6.3.1.2(11), (6.2), ψ0 of table A1.1, from memory)', () => {
    const { reductions, rows } = tower().view('imposed/B')
    expect(rows.map(({ levelName }) => levelName)).toEqual(['4', '3', '2', '1'])
    expect(reductions).toMatchObject([
      // the roof is of category H
      null,
      {
        storeys: 1,
        area: near(30),
        byArea: null,
        byStoreys: near(1),
        reducible: near(90_000),
        foot: near(90_000),
      },
      {
        storeys: 2,
        area: near(60),
        byArea: null,
        byStoreys: near(1),
        reducible: near(180_000),
        foot: near(180_000),
      },
      {
        storeys: 3,
        area: near(90),
        byArea: null,
        byStoreys: near(2.7 / 3),
        reducible: near(270_000),
        foot: near(270_000 * (2.7 / 3)),
      },
    ])
    expect(rows.at(-1)?.foot).toBeCloseTo(270_000, 6)
  })

  test('each factor has its trace, down to the area and where it comes from', () => {
    const { building, below } = tower()
    const factor = (way: string) =>
      ask(building.state(), { kind: 'why', address: `reduction:${below}:imposed/B:${way}` })
    expect(factor('area')).toBeNull()
    expect(factor('storeys')?.value).toBeCloseTo(0.9, 9)
    expect(factor('height')).toBeNull()
  })

  test('where a national set lets columns take the factor for area as well, the lower of both', () => {
    const { building, below, view } = tower()
    building.add(setWith('byAreaToo'))
    expect(view('imposed/B').reductions?.at(-1)).toMatchObject({
      byArea: near(0.5 + 10 / 90),
      byStoreys: near(0.9),
      foot: near(270_000 * (0.5 + 10 / 90)),
    })
    const area = ask(building.state(), { kind: 'why', address: `reduction:${below}:imposed/B:area` })
    expect(area?.value).toBeCloseTo(0.5 + 10 / 90, 9)
    expect(JSON.stringify(area)).toContain('level 2')
  })

  test('twenty storeys: 0.73 of them, not the 0.5 that the area alone would leave', () => {
    const building = new Building()
    const levels = Array.from({ length: 21 }, (_, i) => building.level(String(i), 3 * i))
    const floors = building.layout('Floors', building.key(3000), levels[1], levels[20])
    const [column] = rectangle(0, 0, 12, 10).map((at) => building.column(floors, at))
    building.beam(floors, [0, 0], [12, 0])
    building.beam(floors, [0, 10], [12, 10])
    building.panel(floors, rectangle(0, 0, 12, 10))
    const expandedId = expanded(column?.id ?? '', levels[1]?.id ?? '')
    const found = ask(building.state(), { kind: 'column', expandedId, caseId: 'imposed/B' })
    // hand: (2 + 18 · 0.7) / 20 of 20 · 90 kN
    expect(found?.reductions?.at(-1)?.foot).toBeCloseTo(((2 + 18 * 0.7) / 20) * 1_800_000, 3)
  })

  test('of assembly as of offices; a single load on the column stays whole', () => {
    const { building, floors, view } = tower({ use: 'C1' })
    building.pointLoad(floors, [0, 0], 50_000, { nature: 'imposed', use: 'C1' })
    const bottom = view('imposed/C').reductions?.at(-1)
    expect(bottom?.reducible).toBeCloseTo(270_000, 6)
    expect(bottom?.foot).toBeCloseTo(3 * 50_000 + 270_000 * 0.9, 5)
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
    sparedByStoreys: 0,
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

  test('the German annex: 0.7 + 0.6/3 for columns, 0.5 + 10/60 for a beam of offices', () => {
    const { building, view } = tower({ use: 'B1' })
    const [germany] = shippedSets.EN
    if (!germany) throw new Error('no set')
    for (const { after } of nationalSetEdits(building.document, germany, building.random))
      if (after) building.add(after)
    expect(view('imposed/B').reductions?.at(-1)).toMatchObject({ byArea: null, byStoreys: near(0.9) })
    const state = building.state()
    const south = state.floors[0]?.operator.plan.frame.beams.find(({ a }) => a[1] === 0)?.member.id ?? ''
    const expandedId = expanded(south, state.floors[0]?.level.id ?? '')
    expect(ask(state, { kind: 'member', expandedId, caseId: 'imposed/B' })?.reduction?.byArea).toBeCloseTo(
      0.5 + 10 / 60,
      9,
    )
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
  expect(reasonOf('B', 'EN')).toMatch(/^reducible by area or storeys: EN 1991-1-1 6\.3\.1\.2/)
  expect(reasonOf('E1', 'EN')).toMatch(/^not reduced: EN 1991-1-1/)
  expect(reasonOf('offices', 'ASCE')).toBe('reducible by area: ASCE 7 4.7.2')
  expect(reasonOf('garages', 'ASCE')).toBe('reduced by at most 20 %, below two floors or more: ASCE 7 4.7.3, 4.7.4')
  expect(reasonOf('assembly-lobbies', 'ASCE')).toBe('not reduced: ASCE 7 4.7.3 to 4.7.5')
  expect(reasonOf('roof', 'ASCE')).toBe('reducible by area: ASCE 7 4.8')
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

  // the column of the tower above: 3 x 30 m2 of 3.00 kN/m2; by storeys (2 + 0.7)/3 = 0.9
  test('hand: whole, reduced where no psi is, and by the lower of both', () => {
    const [whole, beside, reduced] = [governed('nowhere'), governed('withoutPsi'), governed('lower')]
    // and the roof, 30 m2 of 0.40 kN/m2, which has no psi_0 and so leads or is not there
    expect(whole.most).toBeCloseTo(1.5 * 270_000, 3)
    // the floors lead and are reduced; with the roof leading they would have psi_0 = 0.7: 1.5 (12 + 189) = 301.5
    expect(beside.most).toBeCloseTo(1.5 * 0.9 * 270_000, 3)
    expect(reduced.most).toBeCloseTo(1.5 * 0.9 * 270_000, 3)
    const [term] = reduced.view?.most.terms.filter(({ caseId }) => caseId === 'imposed/B') ?? []
    expect(term).toMatchObject({ factor: near(1.5), reduction: near(0.9), characteristic: near(270_000, 3) })
    expect(reduced.view?.most.value).toBeCloseTo(reduced.most ?? 0, 6)
  })

  test('the trace has the reduction as a factor of its own, and adds up', () => {
    const { state, view, most } = governed('lower')
    const traced = ask(state, { kind: 'why', address: `extreme:strength:most:${view?.key ?? ''}` })
    expect(traced?.value).toBeCloseTo(most ?? 0, 6)
    expect(JSON.stringify(traced)).toContain('reduced')
  })

  test('the factor for area may stand beside psi, that for storeys does not, by an own table it is a concern', () => {
    const [column, state] = [governed('everywhere').view, governed('everywhere').state]
    // psi_0 alone where the floors accompany: the roof leads with its 12 kN, which is less than what 0.9 leaves where they lead
    expect(column?.most.value).toBeCloseTo(1.5 * 0.9 * 270_000, 3)
    const beam = ask(state, { kind: 'envelopes', set: 'strength', effects: 'beamTotal' })[0]
    expect(beam?.most).toBeCloseTo(1.5 * (0.5 + 10 / 60) * 180_000, 3)
    const frequent = (effects: 'beamTotal' | 'columnForce', key?: string) =>
      ask(state, { kind: 'envelopes', set: 'frequent', effects }).find((row) => key === undefined || row.key === key)
    // psi_1 = 0.5 of offices (table A1.1, from memory): beside alpha_A, and in place of alpha_n
    expect(frequent('beamTotal')?.most).toBeCloseTo(0.5 * (0.5 + 10 / 60) * 180_000, 3)
    expect(frequent('columnForce', column?.key)?.most).toBeCloseTo(0.5 * 270_000, 3)
    expect(ask(state, { kind: 'concerns' }).map(({ code }) => code)).not.toContain('reduction.beside-psi')
  })

  test('for the building: every column at the base, with and without', () => {
    const { state } = governed('nowhere')
    const rows = ask(state, { kind: 'reducedBase', caseId: 'imposed/B' })
    // four columns, each as above: 270 kN and 0.9 of them
    expect(rows.map(({ whole, reduced }) => [whole, reduced])).toEqual(
      Array.from({ length: 4 }, () => [near(270_000, 3), near(243_000, 3)]),
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

  test('by area, in a straight line or with a step, under 30, 60 and 90 m²', () => {
    const rows = [
      { from: 80, factor: 0.7 },
      { from: 40, factor: 0.9 },
    ]
    const stepped = factors({ form: 'area', rows: [...rows.slice(1), { from: 80, factor: 0.9 }, ...rows.slice(0, 1)] })
    expect(byLength(stepped.reductions, 'byArea')).toEqual([null, 1, 0.9, 0.7])
    expect(byLength(stepped.reductions, 'byStoreys')).toEqual([null, null, null, null])
    const linear = factors({ form: 'area', rows })
    expect(byLength(linear.reductions, 'byArea')).toEqual([null, 1, near(0.8), 0.7])
    const why = ask(linear.building.state(), { kind: 'why', address: `reduction:${linear.below}:imposed/B:area` })
    expect(why?.basis).toMatchObject({ kind: 'table', table: { clause: 'project table “own”' } })
  })

  test('by number of floors, from the third on; under fewer nothing is reduced', () => {
    const rows = [{ from: 1, factor: 0.5 }]
    const { reductions } = factors({ form: 'floors', rows, leastStoreys: 3 })
    expect(byLength(reductions, 'byStoreys')).toEqual([null, 1, 1, 0.5])
    // 3 · 90 kN at the foot of the lowest length, all of it may be reduced
    expect(reductions.at(-1)?.foot).toBeCloseTo(135_000, 6)
  })

  test('what IS 875-2 counts and keeps goes with its table', () => {
    const found = tower({ use: 'work-medium', imposed: 7000 }, { family: 'IS' })
    const table = found.building.reductionTable({ form: 'floors', rows: [{ from: 1, factor: 0.5 }] })
    found.building.records.splice(0, 1, { ...found.building.basis, reductionTable: table.id })
    // three floors, not four with the roof; and half of 7 kN/m², below 5
    expect(found.view('imposed/IL').reductions?.at(-1)).toMatchObject({
      storeys: 3,
      foot: near(0.5 * 7000 * 90),
      kept: 0,
      asAbove: false,
    })
  })

  test('a step holds at its area', () => {
    const rows = [
      { from: 30, factor: 1 },
      { from: 60, factor: 1 },
      { from: 60, factor: 0.8 },
    ]
    expect(byLength(factors({ form: 'area', rows }).reductions, 'byArea')).toEqual([null, 1, 0.8, 0.8])
  })

  test('for columns alone, for beams alone, or for both', () => {
    const beamOf = (appliesTo: 'columns' | 'beams' | 'both') => {
      const { building, floors } = factors({ form: 'area', appliesTo, rows: [{ from: 0, factor: 0.5 }] })
      const state = building.state()
      const [beam] = state.floors[0]?.operator.plan.frame.beams ?? []
      const expandedId = expanded(beam?.member.id ?? '', state.floors[0]?.level.id ?? '')
      expect(state.floors[0]?.floor.layoutId).toBe(floors.id)
      return ask(state, { kind: 'member', expandedId, caseId: 'imposed/B' })?.reduction
    }
    expect(beamOf('columns')).toBeNull()
    for (const both of ['beams', 'both'] as const)
      expect(beamOf(both)).toMatchObject({ byArea: 0.5, total: near(90_000) })
    // columns stay whole then
    const { reductions } = factors({ form: 'area', appliesTo: 'beams', rows: [{ from: 0, factor: 0.5 }] })
    expect(reductions.every((row) => row === null || (row.byArea === null && row.byStoreys === null))).toBe(true)
  })

  test('a load key that is never reduced stays whole', () => {
    const { view, building } = tower({ reducible: 'never' })
    expect(view('imposed/B').reductions).toBeNull()
    const [key] = [...building.state().keys.values()].filter(({ imposed }) => imposed?.value === 3000)
    expect(key && reductionReason('EN', key)).toBe('not reduced, as entered')
  })
})

describe('columns that stand on beams', () => {
  /** Above 12 by 10 m on four columns stand 6 by 10 m on four more, 3 m from the ends of two beams. */
  const over = (
    transferred: Basis['transferred'],
    upperFloors = 1,
    basis: Partial<Basis> = {},
    key: Partial<LoadKey> = {},
  ) => {
    const building = new Building({ transferred, ...basis })
    const [, low, ...high] = Array.from({ length: 2 + upperFloors }, (_, i) => building.level(String(i), 3 * i))
    const office = building.key(3000, key)
    const [floor, upper] = [
      building.layout('Floor', office, low),
      building.layout('Upper', office, high[0], high.at(-1)),
    ]
    const [corner] = rectangle(0, 0, 12, 10).map((at) => building.column(floor, at))
    const south = building.beam(floor, [0, 0], [12, 0])
    building.beam(floor, [0, 10], [12, 10])
    building.panel(floor, rectangle(0, 0, 12, 10))
    rectangle(3, 0, 9, 10).forEach((at) => building.column(upper, at))
    building.beam(upper, [3, 0], [9, 0])
    building.beam(upper, [3, 10], [9, 10])
    building.panel(upper, rectangle(3, 0, 9, 10))
    const state = building.state()
    const at = (id: string | undefined) => ({
      expandedId: expanded(id ?? '', low?.id ?? ''),
      caseId: basis.family === 'BS' ? 'imposed/Q' : 'imposed/B',
    })
    return {
      column: ask(state, { kind: 'column', ...at(corner?.id) })?.reductions?.[0],
      beam: ask(state, { kind: 'member', ...at(south.id) })?.reduction,
      state,
    }
  }

  test('below the beam the column counts two storeys, which stay whole; the beam is reduced for its own 60 m² alone', () => {
    const { column, beam } = over('reduced')
    expect(column).toMatchObject({ area: near(45), byArea: null, byStoreys: near(1), foot: near(135_000) })
    expect(column?.otherwise).toBeNull()
    expect(beam).toMatchObject({ area: near(60), byArea: near(0.5 + 10 / 60), sparedByStoreys: 0 })
    expect(beam?.total).toBeCloseTo(270_000 - (0.5 - 10 / 60) * 180_000, 6)
  })

  test('three floors on a beam: what their columns bring keeps the factor for three storeys, its own floor that for area', () => {
    const { column, beam } = over('reduced', 3)
    // hand: 60 m² of its own, 180 kN · (0.5 + 10/60) = 120; two columns of 3 · 15 m², 270 kN · (2 + 0.7)/3 = 243
    expect(beam).toMatchObject({ area: near(60), byArea: near(0.5 + 10 / 60), sparedByStoreys: near(27_000) })
    expect(beam?.total).toBeCloseTo(120_000 + 243_000, 6)
    // the column in the corner counts four: 30 + 3 · 15 m², 225 kN · (2 + 2 · 0.7)/4
    expect(column).toMatchObject({ storeys: 4, area: near(75), byStoreys: near(0.85), foot: near(191_250) })
  })

  test('whole below the beam: nothing of what columns bring is reduced', () => {
    const { column, beam } = over('whole', 3)
    expect(column).toMatchObject({ storeys: 1, area: near(30), reducible: near(90_000), foot: near(225_000) })
    expect(column?.otherwise).toBeCloseTo(191_250, 6)
    expect(beam).toMatchObject({ area: near(60), sparedByStoreys: 0, total: near(450_000 - (0.5 - 10 / 60) * 180_000) })
  })

  test('by an area alone, as BS 6399-1 has it, one factor is for all that lands', () => {
    const { beam } = over('reduced', 3, { family: 'BS' }, { use: 'B-offices' })
    // hand: 60 + 90 m²; table 3: 0.85 at 150 m² (from memory)
    expect(beam).toMatchObject({ area: near(150), byArea: near(0.85), sparedByStoreys: 0 })
  })
})
