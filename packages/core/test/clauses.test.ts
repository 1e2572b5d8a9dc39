import { partitionAllowance } from '../src/actions/partitions'
import { lessPerDegree, toSixty } from '../src/actions/pitchedRoof'
import { balanceOf } from '../src/derivation/balance'
import { levelMasses } from '../src/derivation/masses'
import type { Basis, LoadKey } from '../src/document/recordKinds'
import { ask } from '../src/queries/derive'
import { citedInEdition } from '../src/standards/asce/cited'
import { embedded, shippedSets, standardOf } from '../src/standards/families'
import { weightOf } from '../src/standards/stock/unitWeights'
import { Building, oneStorey } from './build'
import { rectangle } from './shapes'

const psf = 47.880259
const setOf = (family: 'EN' | 'ASCE', name: string) => {
  const found = shippedSets[family].find((set) => set.name === name)
  if (!found) throw new Error(name)
  return embedded(family, found, 'layer:set0000000000')
}

/** A key as it stands in a project of a family, with a set over it. */
function keyed(family: Basis['family'], more: Partial<LoadKey>, set?: ReturnType<typeof setOf>) {
  const building = new Building({ family })
  if (set) building.add(set)
  const key = building.key(null, more)
  const standard = standardOf(family, set ? [set] : [])
  const found = building.state().keys.get(key.id)
  if (!found) throw new Error('no key')
  return { key, standard, found }
}

describe('allowances for partitions (clauses from memory)', () => {
  test.each([
    // up to and including 80 psf by 7-05 4.2.2 and 7-10 4.3.2, below it from 7-16 on
    ['ASCE 7-05', 15],
    ['ASCE 7-10', 15],
    [undefined, 0],
    ['ASCE 7-22', 0],
  ] as const)('beside 80 psf, %s: %d psf', (name, wanted) => {
    const set = name && setOf('ASCE', name)
    const { found } = keyed('ASCE', { use: 'offices', imposed: 80 * psf, partitionRule: 'least' }, set)
    expect((found.partitions?.value ?? NaN) / psf).toBeCloseTo(wanted, 3)
    const above = keyed('ASCE', { use: 'offices', imposed: 81 * psf, partitionRule: 'least' }, set)
    expect(above.found.partitions?.value).toBe(0)
  })

  test('IS 875-2 3.1.2: up to 4.0 kN per metre; heavier ones are wall runs', () => {
    expect(keyed('IS', { use: 'offices', partitionWeight: 4000 }).found.partitions?.value).toBeCloseTo(4000 / 3, 9)
    const { key, standard } = keyed('IS', { use: 'offices', partitionWeight: 4010 })
    expect(partitionAllowance(key, null, standard)).toMatchObject({
      value: null,
      concerns: [{ code: 'partitions.too-heavy' }],
    })
  })

  test('BS 6399-1 5.1.4: at least 1.0 kN/m² with offices alone', () => {
    expect(keyed('BS', { use: 'B-offices', partitionWeight: 1500 }).found.partitions?.value).toBe(1000)
    expect(keyed('BS', { use: 'C1-classrooms', partitionWeight: 1500 }).found.partitions?.value).toBe(500)
  })

  test('DIN EN 1991-1-1/NA: none where the imposed load is 5 kN/m² or more', () => {
    const germany = setOf('EN', 'Germany')
    const of = (imposed: number) => keyed('EN', { use: 'B2', imposed, partitionWeight: 4000 }, germany).found.partitions
    expect(of(4990)?.value).toBe(1200)
    expect(of(5000)?.value).toBe(0)
    expect(JSON.stringify(of(5000))).toContain('6.3.1.2(8)')
    // the recommended values know no such limit
    expect(keyed('EN', { use: 'C5', partitionWeight: 2500 }).found.partitions?.value).toBe(1200)
  })
})

describe('roofs by their pitch', () => {
  const degrees = Math.PI / 180
  test.each([
    [0, 750],
    [10, 750],
    [20, 550],
    [27.5, 400],
    [45, 400],
  ])('IS 875-2 table 2, %d degrees: %d N/m² (from memory)', (pitch, q) =>
    expect(lessPerDegree.evaluate({ q: 750, q_deg: 20, q_min: 400, alpha: pitch * degrees })).toBeCloseTo(q, 9),
  )
  test.each([
    [0, 600],
    [30, 600],
    [45, 300],
    [60, 0],
    [70, 0],
  ])('BS 6399-3 4.3.1, %d degrees: %d N/m² (from memory)', (pitch, q) =>
    expect(toSixty.evaluate({ q: 600, alpha: pitch * degrees })).toBeCloseTo(q, 9),
  )

  /** A roof of 6 by 4 m in plan, of which one half rises at a pitch. */
  function halfPitched(family: 'IS' | 'BS', pitch: number) {
    const building = new Building({ family })
    const [, top] = [building.level('Base', 0), building.level('1', 3)]
    const key = building.key(null, { use: 'roof' })
    const layout = building.layout('Roof', key, top)
    const corners = rectangle(0, 0, 6, 4)
    corners.forEach((at, i) => {
      building.column(layout, at)
      building.beam(layout, at, corners[(i + 1) % 4] ?? at)
    })
    building.panel(layout, corners)
    building.slope(layout, rectangle(3, 0, 6, 4), pitch * degrees, 0)
    return { state: building.state(), key }
  }

  test('on the plan, slope by slope, with a trace that says the pitch; sums agree', () => {
    const { state, key } = halfPitched('IS', 20)
    const caseId = state.caseIds.find((id) => id.startsWith('roof/')) ?? ''
    // hand: 12 m² of 0.75 and 12 m² of 0.75 - 0.02 · 10
    expect(balanceOf(state, caseId).applied).toBeCloseTo(12 * 750 + 12 * 550, 6)
    expect(ask(state, { kind: 'why', address: `roofLoad:${key.id}:${1 / Math.cos(20 * degrees)}` })).toMatchObject({
      value: expect.closeTo(550, 6) as number,
      basis: { kind: 'formula', clause: 'IS 875-2 table 2' },
    })
    const [sum] = ask(state, { kind: 'keySums' })
    expect(sum?.imposed).toBeCloseTo(12 * 750 + 12 * 550, 6)
    expect(balanceOf(halfPitched('BS', 50).state, 'roof/Qr').applied).toBeCloseTo(12 * 600 + 12 * 200, 6)
  })
})

describe('masses', () => {
  const weightOfFloor = (family: Basis['family'], more: Partial<LoadKey>) => {
    const building = new Building({ family })
    const [, top] = [building.level('Base', 0), building.level('1', 3)]
    const layout = building.layout('Floor', building.key(null, more), top)
    rectangle(0, 0, 6, 4).forEach((at) => building.column(layout, at))
    building.panel(layout, rectangle(0, 0, 6, 4))
    return { building, layout, mass: () => levelMasses(building.state())[0] }
  }

  test('ASCE 7 12.7.2, item 2: 10 psf of partitions where an allowance is asked for, or what is typed if that is more', () => {
    const of = (more: Partial<LoadKey>) =>
      (weightOfFloor('ASCE', { use: 'offices', ...more }).mass()?.parts.partitions ?? NaN) / (24 * psf)
    expect(of({ partitionRule: 'least' })).toBeCloseTo(10, 6)
    expect(of({ partitionRule: 'typed', partitionLoad: 20 * psf })).toBeCloseTo(20, 6)
    expect(of({ partitionRule: 'typed', partitionLoad: 5 * psf })).toBeCloseTo(10, 6)
    expect(of({ partitionRule: 'least', imposed: 100 * psf })).toBe(0)
  })

  test('IS 1893-1 table 10: half of a typed load above 3 kN/m², a quarter up to it; partitions whole', () => {
    const { building, layout, mass } = weightOfFloor('IS', { use: 'offices', partitionWeight: 3000 })
    building.areaLoad(layout, rectangle(0, 0, 6, 4), 4000, { nature: 'imposed', use: 'offices' })
    building.areaLoad(layout, rectangle(0, 0, 6, 4), 3000, { nature: 'imposed', use: 'offices' })
    // hand: a quarter of 2.5, half of 4, a quarter of 3, on 24 m²; 1.0 kN/m² of partitions, all of it
    expect(mass()?.parts.imposed).toBeCloseTo(24 * (0.25 * 2500 + 0.5 * 4000 + 0.25 * 3000), 6)
    expect(mass()?.parts.partitions).toBeCloseTo(24 * 1000, 6)
  })
})

test('ASCE traces cite the edition in use', () => {
  expect(citedInEdition(['ASCE 7-16'], 'ASCE 7-16 4.3.2')).toBe('ASCE 7-16 4.3.2')
  expect(citedInEdition(['ASCE 7-16', 'ASCE 7-05'], 'ASCE 7-16 4.3.2')).toBe('ASCE 7-05 4.2.2')
  expect(citedInEdition(['ASCE 7-16', 'ASCE 7-05'], 'ASCE 7-16 table 4.3-1')).toBe('ASCE 7-05 table 4-1')
  expect(citedInEdition(['ASCE 7-16', 'ASCE 7-22'], 'ASCE 7 4.7.2')).toBe('ASCE 7-22 4.7.2')
  expect(citedInEdition(['ASCE 7-16', 'this project'], 'ASCE 7-16 4.3.2')).toBe('ASCE 7-16 4.3.2')
  const storey = oneStorey(0)
  storey.building.records.splice(0, 1, { ...storey.building.basis, family: 'ASCE' })
  storey.building.add(setOf('ASCE', 'ASCE 7-05'))
  const key = storey.building.key(null, { use: 'offices', partitionRule: 'least' })
  const traced = ask(storey.building.state(), { kind: 'why', address: `key:${key.id}:partitions` })
  expect(JSON.stringify(traced)).toContain('ASCE 7-05 4.2.2')
  expect(JSON.stringify(traced)).not.toContain('"clause":"ASCE 7-16')
})

test('fabric awnings and screen frames are not reduced (ASCE 7 4.8.2, from memory)', () => {
  for (const use of ['awnings-fabric', 'awnings-screens']) expect(keyed('ASCE', { use }).found.reducible).toBe(false)
  expect(keyed('ASCE', { use: 'awnings-other' }).found.reducible).toBe(true)
})

test('concrete by IS 456 19.2.1, and fresh concrete by the notes of EN 1991-1-1 table A.1 (from memory)', () => {
  expect(weightOf('plain concrete, IS 456').unitWeight).toBe(24_000)
  expect(weightOf('reinforced concrete, IS 456').unitWeight).toBe(25_000)
  expect(weightOf('reinforced concrete, fresh').unitWeight).toBe(26_000)
})
