import fc from 'fast-check'
import { holds } from '../../../test/holds'
import { given } from '../../trace/traced'
import { tributaryHeights, windwardStrips, type WindLevel } from './wallStrips'

const q_p = (z_e: number) => given('q_p', 'pressure', 100 * z_e, 'test')
const levelsAt = (...heights: readonly number[]): readonly WindLevel[] =>
  heights.map((z) => ({ levelId: `level ${z}`, z }))
const bands = (h: number, b: number, levels: readonly WindLevel[] = []) =>
  windwardStrips(h, b, levels, q_p).map(({ from, to }) => [from, to])

describe('windward strips (EN 1991-1-4, 7.2.2(1), figure 7.4)', () => {
  test('h ≤ b: one strip with z_e = h', () => {
    expect(bands(10, 10)).toEqual([[0, 10]])
    expect(windwardStrips(8, 10, [], q_p)[0]?.q_p.value).toBe(800)
  })

  test('b < h ≤ 2b: two strips, z_e = b and z_e = h', () => {
    expect(bands(10.01, 10)).toEqual([
      [0, 10],
      [10, 10.01],
    ])
    expect(windwardStrips(20, 10, [], q_p).map((strip) => strip.q_p.value)).toEqual([1000, 2000])
  })

  test('h > 2b: a strip of b below, one of b above, and between them strips that end at the levels', () => {
    expect(bands(30, 10, levelsAt(0, 4, 8, 12, 16, 20, 24, 28))).toEqual([
      [0, 10],
      [10, 12],
      [12, 16],
      [16, 20],
      [20, 30],
    ])
  })

  test('the strips cover the wall once, whatever its shape, and their pressures rise', () => {
    const size = fc.double({ min: 1, max: 60, noNaN: true })
    holds(
      fc.property(size, size, fc.array(size, { maxLength: 8 }), (h, b, heights) => {
        const strips = windwardStrips(h, b, levelsAt(...heights), q_p)
        expect(strips[0]?.from).toBe(0)
        expect(strips.at(-1)?.to).toBe(h)
        strips.slice(1).forEach((strip, i) => expect(strip.from).toBe(strips[i]?.to))
        for (const { from, to, q_p: pressure } of strips) {
          expect(to).toBeGreaterThan(from)
          expect(pressure.value).toBe(100 * to)
        }
      }),
    )
  })
})

describe('what height a level takes (common practice: half a storey each way)', () => {
  test('the ground takes the lowest half, the top its half and the parapet', () => {
    expect(tributaryHeights(levelsAt(0, 4, 7), 8.5).map(({ from, to }) => [from, to])).toEqual([
      [0, 2],
      [2, 5.5],
      [5.5, 8.5],
    ])
  })

  test('levels below ground take nothing, in whatever order they come', () => {
    expect(tributaryHeights(levelsAt(7, -3, 0, 4), 7).map(({ levelId, from, to }) => [levelId, from, to])).toEqual([
      ['level 0', 0, 2],
      ['level 4', 2, 5.5],
      ['level 7', 5.5, 7],
    ])
  })

  test('without a level at the ground the lowest one takes all below it', () => {
    expect(tributaryHeights(levelsAt(4, 7), 7)[0]).toMatchObject({ from: 0, to: 5.5 })
  })
})
