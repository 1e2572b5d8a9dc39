import { balanceOf, equilibriumResidual } from '../src/derivation/balance'
import { expanded } from '../src/document/labels'
import { barrierRows, memberLoadSums } from '../src/exchange/results'
import { ask } from '../src/queries/derive'
import { levelMasses } from '../src/derivation/masses'
import { bay, oneStorey } from './build'
import { rectangle } from './shapes'

// A bay of 6 by 4 m whose panel spans 4 m; a flight of 1.20 m climbs from the south beam to the north one.

describe('flights of stairs, by hand', () => {
  const flight = () => {
    const storey = oneStorey(0)
    const { building, layout } = storey
    const parts = bay(storey)
    const concrete = building.material({ unitWeight: 25_000 })
    const finish = building.buildUp([{ name: 'stone', thickness: 0.04, unitWeight: 25_000, load: null, source: '' }])
    const key = building.key(3000, { buildUp: finish.id })
    // over 4 m it rises 3 m: the waist of 160 mm counts 5/4 times, with 18 steps of 3/18 m, which come nearest to 170 mm
    const stair = building.stair(layout, [3, 0], [3, 4], {
      width: 1.2,
      rise: 3,
      waist: 0.16,
      riser: 0.17,
      material: concrete.id,
      key: key.id,
    })
    return { ...storey, ...parts, stair }
  }

  test('25 · (0.16 · 1.25 + 3/36) = 7.083 kN/m² of plan; half of 7.083 · 4 · 1.2 on each beam', () => {
    const { building, south, north, top, stair } = flight()
    const state = building.state()
    expect(balanceOf(state, 'permanent/self-weight').applied).toBeCloseTo(34_000, 6)
    for (const beam of [south, north]) {
      const view = ask(state, {
        kind: 'member',
        expandedId: expanded(beam.id, top.id),
        caseId: 'permanent/self-weight',
      })
      const [landing] = view?.lands.filter(({ kind }) => kind === 'stair') ?? []
      expect(landing?.force).toBeCloseTo(17_000, 6)
      // 14.17 kN/m over 1.20 m, with its trace
      expect(landing?.intensity).toBeCloseTo((25_000 * (0.2 + 3 / 36) * 4) / 2, 6)
      expect(ask(state, { kind: 'why', address: landing?.address ?? '' })?.value).toBeCloseTo(17_000, 6)
    }
    const why = ask(state, { kind: 'why', address: `stairEnd:${stair.id}:permanent/self-weight` })
    expect(why?.value).toBeCloseTo((25_000 * (0.2 + 3 / 36) * 4) / 2, 6)
    expect(equilibriumResidual(state)).toBeLessThan(1e-12)
    expect(memberLoadSums(state)['permanent/self-weight']).toBeCloseTo(34_000, 6)
  })

  test('its load key brings stone and people: 1.00 and 3.00 kN/m² on 4.8 m²', () => {
    const { building, stair } = flight()
    const state = building.state()
    expect(balanceOf(state, 'permanent/build-ups').applied).toBeCloseTo(4800, 6)
    expect(balanceOf(state, 'imposed/B').applied).toBeCloseTo(14_400, 6)
    const why = (caseId: string) => ask(state, { kind: 'why', address: `stairEnd:${stair.id}:${caseId}` })?.value
    expect(why('permanent/build-ups')).toBeCloseTo(2000, 6)
    expect(why('imposed/B')).toBeCloseTo(6000, 6)
    // the sums per load key have it as well
    const [sum] = ask(state, { kind: 'keySums' }).filter(({ imposed }) => imposed > 0)
    expect([sum?.area, sum?.permanent, sum?.imposed]).toEqual([
      expect.closeTo(4.8, 9),
      expect.closeTo(4800, 6),
      expect.closeTo(14_400, 6),
    ])
  })

  test('the mass of the level: flight and stone whole, people by psi_2 = 0.3 (EN 1990 table A1.1, from memory)', () => {
    const { building } = flight()
    const [level] = levelMasses(building.state())
    expect(level?.parts.permanent).toBeCloseTo(34_000 + 4800, 6)
    expect(level?.parts.imposed).toBeCloseTo(0.3 * 14_400, 6)
    expect(level?.centre).toEqual([expect.closeTo(3, 9), expect.closeTo(2, 9)])
  })

  test('an end on nothing is not carried, and said', () => {
    const storey = oneStorey(0)
    const { building, layout } = storey
    bay(storey)
    const key = building.key(3000)
    building.stair(layout, [3, 4], [3, 7], { key: key.id })
    const state = building.state()
    // 3 · 3 / 2 = 4.5 kN on the north beam, as much on nothing
    expect(balanceOf(state, 'imposed/B')).toMatchObject({
      applied: expect.closeTo(9000, 6) as number,
      notCarried: expect.closeTo(4500, 6) as number,
    })
    expect(ask(state, { kind: 'overview' }).concerns.map(({ sentence }) => sentence)).toContainEqual(
      expect.stringMatching(/^4\.5 kN of flight of stairs Z1 on level Top is not carried/),
    )
  })
})

describe('barriers, by hand', () => {
  const guarded = (more = {}) => {
    const storey = oneStorey(0)
    const { building, layout } = storey
    bay(storey)
    const barrier = building.barrier(layout, rectangle(0, 0, 6, 4), { closed: true, use: 'C5', ...more })
    return { ...storey, barrier }
  }

  test('crowds press 3 kN/m outwards all round a floor of 6 by 4 m: 60 kN in all, nothing in any direction', () => {
    const { building, barrier } = guarded()
    const state = building.state()
    expect(balanceOf(state, 'barrier/people')).toEqual({
      caseId: 'barrier/people',
      applied: expect.closeTo(60_000, 6) as number,
      onMembers: 0,
      atSupports: 0,
      notCarried: 0,
      handedOn: 'barriers',
    })
    const rows = barrierRows(state)
    expect(rows.map(({ fx, fy }) => [fx, fy].map((force) => Math.round(force) + 0))).toEqual([
      [0, -3000],
      [3000, 0],
      [0, 3000],
      [-3000, 0],
    ])
    // 3 kN/m at 1.10 m
    for (const { moment } of rows) expect(moment).toBeCloseTo(3300, 6)
    expect(ask(state, { kind: 'why', address: 'applied:barrier/people' })?.value).toBeCloseTo(60_000, 6)
    expect(ask(state, { kind: 'why', address: `barrier:${barrier.id}:moment` })?.value).toBeCloseTo(3300, 6)
  })

  test('a parapet of 1.50 m is pressed at 1.20 m (EN 1991-1-1 6.4(2), from memory)', () => {
    const { building } = guarded({ height: 1.5 })
    expect(barrierRows(building.state())[0]).toMatchObject({ height: 1.2, moment: 3600 })
  })

  test('drawn the other way round it is pressed outwards all the same', () => {
    const { building } = guarded({ path: [...rectangle(0, 0, 6, 4)].reverse() })
    const rows = barrierRows(building.state())
    for (const { x0, y0, x1, y1, fx, fy } of rows) {
      const [x, y] = [(x0 + x1) / 2 - 3, (y0 + y1) / 2 - 2]
      expect(x * fx + y * fy).toBeGreaterThan(0)
    }
  })

  test('its case is handed on and in no combination', () => {
    const { building } = guarded()
    building.key(2000)
    const state = building.state()
    const lists = ask(state, { kind: 'results', only: 'combinations' })
    expect(state.caseIds).toContain('barrier/people')
    expect(JSON.stringify(lists)).not.toContain('barrier/people')
  })
})
