import fc from 'fast-check'
import { holds } from '../../../test/holds'
import { given } from '../../trace/traced'
import { standardOf } from '../../standards/families'
import { peakVelocityPressure } from '../../standards/en/peakVelocityPressure'
import { wallCoefficients } from './wallCoefficients'
import { windLoads, type WindBody } from './windLoads'

const standard = standardOf('EN', [])
const site = { v_b0: given('v_b,0', 'velocity', 26, 'site'), terrain: 'II' } as const
const body: WindBody = { box: { x0: 0, y0: 0, x1: 20, y1: 12 }, roof: 9, parapet: 0 }
const levels = [0, 3, 6, 9].map((z) => ({ levelId: `level:${z}`, z }))
const derive = (more: Partial<WindBody> = {}, at = levels, c_scd = 1) =>
  windLoads({ ...body, ...more }, at, site, standard, c_scd)
const from = (name: string, loads = derive()) => {
  const found = loads.results.find(({ direction }) => direction.id === name)
  if (!found) throw new Error(`No wind from ${name}`)
  return found
}
const codes = ({ concerns }: ReturnType<typeof derive>) => concerns.map(({ code }) => code)

describe('coefficients of one direction (EN 1991-1-4, table 7.1 and 7.2.2(3))', () => {
  test('hand: h/d = 9/12 = 0.75: c_D = 0.7 + 0.1 · 0.5/0.75, c_E = −0.3 − 0.2 · 0.5/0.75, and 0.85', () => {
    const found = wallCoefficients(9, 12, 'wind from the south', standard)
    if (!found.ok) throw new Error(found.concerns[0].code)
    expect(found.value.ratio.value).toBe(0.75)
    expect(found.value.c_D.value).toBeCloseTo(0.76667, 5)
    expect(found.value.c_E.value).toBeCloseTo(-0.43333, 5)
    expect(found.value.k_corr.value).toBe(0.85)
  })

  test('above h/d = 5 the direction is refused by name', () => {
    const refused = wallCoefficients(51, 10, 'wind from the west', standard)
    expect(refused).toMatchObject({
      ok: false,
      concerns: [{ code: 'wind.too-slender', data: { direction: 'wind from the west', to: 5 } }],
    })
  })
})

describe('storey forces', () => {
  test('hand: south on 20 m of width: k · b · h · (q_D c_D + q_E |c_E|), one strip since h ≤ b', () => {
    const q = peakVelocityPressure(9, site, standard).value
    const south = from('south')
    const perHeight = 0.85 * 20 * q * (0.7 + (0.1 * 0.5) / 0.75 + 0.3 + (0.2 * 0.5) / 0.75)
    expect(south.storeys.map(({ force }) => force.fy)).toEqual([
      expect.closeTo(1.5 * perHeight, 6),
      expect.closeTo(3 * perHeight, 6),
      expect.closeTo(3 * perHeight, 6),
      expect.closeTo(1.5 * perHeight, 6),
    ])
    expect(south.storeys.every(({ force }) => force.fx === 0 && force.x === 10 && force.y === 6)).toBe(true)
    expect(south).toMatchObject({ b: 20, d: 12, h: 9 })
    expect(south.total).toBeCloseTo(9 * perHeight, 6)
  })

  test('opposite directions are equal and opposite', () => {
    for (const [a, b] of [
      ['west', 'east'],
      ['south', 'north'],
    ] as const)
      from(a).storeys.forEach(({ force: { fx, fy } }, i) => {
        const other = from(b).storeys[i]?.force
        expect([fx, fy]).toEqual([-(other?.fx ?? NaN) + 0, -(other?.fy ?? NaN) + 0])
      })
  })

  test('a building turned by a quarter has the forces of the other axis', () => {
    const quarter = derive({ box: { x0: 0, y0: 0, x1: 12, y1: 20 } })
    expect(from('west', quarter).total).toBeCloseTo(from('south').total, 9)
  })

  test('the parapet belongs to the height and to the top level; b and d follow the direction', () => {
    const raised = derive({ parapet: 1.5 })
    expect(from('west', raised)).toMatchObject({ h: 10.5, b: 12, d: 20 })
    const lastOf = (loads: ReturnType<typeof derive>) => from('west', loads).storeys.at(-1)?.force.fx ?? 0
    expect(lastOf(raised)).toBeGreaterThan((lastOf(derive()) * 3) / 1.5)
  })

  test('whatever the shape: the storeys add up to strip by strip, forces rise with velocity², and traces agree', () => {
    const size = fc.double({ min: 6, max: 40, noNaN: true })
    holds(
      fc.property(
        size,
        size,
        fc.integer({ min: 1, max: 9 }),
        fc.double({ min: 2.5, max: 5, noNaN: true }),
        (x1, y1, n, storey) => {
          const heights = Array.from({ length: n + 1 }, (_, i) => ({ levelId: `level:${i}`, z: i * storey }))
          const shape = { box: { x0: 0, y0: 0, x1, y1 }, roof: n * storey, parapet: 0.5 }
          const loads = windLoads(shape, heights, site, standard, 1)
          const stronger = windLoads(
            shape,
            heights,
            { ...site, v_b0: given('v_b,0', 'velocity', 52, 'site') },
            standard,
            1,
          )
          loads.results.forEach(({ strips, b, k_corr, c_D, c_E, q_E, storeys, total }, i) => {
            const byStrip = strips.reduce(
              (sum, { from: low, to, q_p }) =>
                sum + k_corr.value * b * (to - low) * (q_p.value * c_D.value - q_E.value * c_E.value),
              0,
            )
            expect(total).toBeCloseTo(byStrip, 3)
            expect(stronger.results[i]?.total).toBeCloseTo(4 * total, 3)
            for (const { force, trace } of storeys) expect(Math.abs(force.fx + force.fy)).toBeCloseTo(trace.value, 9)
          })
        },
      ),
      { numRuns: 60 },
    )
  })

  test('the structural factor multiplies every force', () => {
    expect(from('west', derive({}, levels, 1.1)).total).toBeCloseTo(1.1 * from('west').total, 6)
  })
})

describe('what is not derived is said', () => {
  test('wind on the roof, always; c_s c_d from 15 m on (EN 1991-1-4, 6.2(1)), unless it is typed', () => {
    expect(codes(derive())).toEqual(['wind.roof-underived'])
    const high = (roof: number, c_scd = 1) =>
      codes(
        windLoads(
          { ...body, roof },
          [
            { levelId: 'g', z: 0 },
            { levelId: 'top', z: roof },
          ],
          site,
          standard,
          c_scd,
        ),
      )
    expect(high(14.99)).not.toContain('wind.structural-factor')
    expect(high(15)).toContain('wind.structural-factor')
    expect(high(15, 0.98)).not.toContain('wind.structural-factor')
  })

  test('higher than the profile holds: nothing is derived', () => {
    const loads = derive({ roof: 199, parapet: 1.5 })
    expect(loads).toMatchObject({
      results: [],
      concerns: [{ code: 'wind.too-high', data: { height: 200.5, limit: 200 } }],
    })
    const wide = { x0: 0, y0: 0, x1: 90, y1: 90 }
    expect(derive({ box: wide, roof: 199, parapet: 1 }).results).toHaveLength(4)
  })

  test('too slender one way: that direction is left out and named, the other is there', () => {
    const loads = derive({ box: { x0: 0, y0: 0, x1: 20, y1: 1.7 } })
    expect(loads.results.map(({ direction }) => direction.id)).toEqual(['west', 'east'])
    expect(codes(loads).filter((code) => code === 'wind.too-slender')).toHaveLength(2)
  })
})
