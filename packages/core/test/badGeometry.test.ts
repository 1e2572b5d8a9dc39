import { balanceOf, equilibriumResidual } from '../src/derivation/balance'
import type { Point } from '../src/geometry/point'
import { ask } from '../src/queries/derive'
import { bay, oneStorey } from './build'
import { rectangle } from './shapes'

// What people draw by mistake: an answer in words or a right number, never a wrong one, and the balance holds.

const imposed = 'imposed/B'

/** A sound bay of 6 by 4 m under 1 kN/m², and something drawn beside or over it. */
function drawnWrong(draw: (storey: ReturnType<typeof oneStorey>, parts: ReturnType<typeof bay>) => unknown) {
  const storey = oneStorey(1000)
  const parts = bay(storey)
  draw(storey, parts)
  const state = storey.building.state()
  const { concerns } = ask(state, { kind: 'overview' })
  expect(equilibriumResidual(state)).toBeLessThan(1e-9)
  const balance = balanceOf(state, imposed)
  for (const value of Object.values(balance)) if (typeof value === 'number') expect(Number.isFinite(value)).toBe(true)
  return { balance, sentences: concerns.map(({ sentence }) => sentence) }
}

const sound = 24_000

describe('geometry that nobody means', () => {
  test('a sliver of a panel, 6 m by 1 mm, is a sliver: its load is there or named, and the bay keeps its own', () => {
    const { balance } = drawnWrong(({ building, layout }) => building.panel(layout, rectangle(0, 4, 6, 4.001)))
    expect(balance.applied).toBeGreaterThanOrEqual(sound - 1e-6)
    expect(balance.applied).toBeLessThanOrEqual(sound + 6 + 1e-6)
    expect(balance.atSupports + balance.notCarried).toBeCloseTo(balance.applied, 6)
  })

  test('an outline that crosses itself is said', () => {
    const bow: readonly Point[] = [
      [10, 0],
      [14, 4],
      [14, 0],
      [10, 4],
    ]
    const { sentences } = drawnWrong(({ building, layout }) => building.panel(layout, bow))
    expect(sentences).toContainEqual(expect.stringMatching(/^The outline of P2 crosses itself/))
  })

  test('points that stand there twice, and corners on a straight edge, change nothing', () => {
    const storey = oneStorey(1000)
    for (const at of rectangle(0, 0, 6, 4)) storey.building.column(storey.layout, at)
    for (const [a, b] of [
      [
        [0, 0],
        [6, 0],
      ],
      [
        [0, 4],
        [6, 4],
      ],
    ] as const)
      storey.building.beam(storey.layout, a, b)
    storey.building.panel(storey.layout, [
      [0, 0],
      [0, 0],
      [3, 0],
      [6, 0],
      [6, 4],
      [6, 4],
      [0, 4],
      [0, 2],
    ])
    expect(balanceOf(storey.building.state(), imposed)).toMatchObject({
      applied: expect.closeTo(sound, 6) as number,
      atSupports: expect.closeTo(sound, 6) as number,
    })
  })

  test('a member on a member shares with it, and both are named', () => {
    const { balance, sentences } = drawnWrong(({ building, layout }) => building.beam(layout, [0, 0], [6, 0]))
    expect(balance.atSupports).toBeCloseTo(sound, 6)
    expect(sentences).toContainEqual(expect.stringMatching(/overlap over 6\.00 m/))
  })

  test('a beam without length carries nothing, and is named', () => {
    const { balance, sentences } = drawnWrong(({ building, layout }) => building.beam(layout, [3, 2], [3, 2]))
    expect(balance.atSupports).toBeCloseTo(sound, 6)
    expect(sentences).toContainEqual(expect.stringMatching(/has zero length/))
  })

  test.each([
    ['that touches an edge', rectangle(0, 0, 2, 1), 22_000],
    ['over a corner', rectangle(-1, -1, 1, 1), 23_000],
    ['equal to the panel', rectangle(0, 0, 6, 4), 0],
    ['larger than the panel', rectangle(-1, -1, 7, 5), 0],
    ['beside it', rectangle(10, 0, 12, 2), sound],
  ])('an opening %s takes its area away and nothing else', (_, ring, applied) => {
    const { balance } = drawnWrong(({ building, layout }) => building.opening(layout, ring))
    expect(balance.applied).toBeCloseTo(applied, 6)
    expect(balance.atSupports).toBeCloseTo(applied, 6)
  })

  test('two beams 5 mm apart under a panel make no giant lever', () => {
    const { balance } = drawnWrong(({ building, layout }) => building.beam(layout, [0, 0.005], [6, 0.005]))
    expect(balance.atSupports + balance.notCarried).toBeCloseTo(sound, 6)
  })

  test('a panel without any support is not carried, and said with its force', () => {
    const { balance, sentences } = drawnWrong(({ building, layout }) => building.panel(layout, rectangle(20, 0, 24, 4)))
    expect(balance.notCarried).toBeCloseTo(16_000, 6)
    expect(sentences).toContainEqual(expect.stringMatching(/^16\.0 kN of panel P2 on level Top is not carried/))
  })

  test('a million metres from the origin the same bay gives the same forces', () => {
    const storey = oneStorey(1000)
    const at = (x: number, y: number): Point => [999_900 + x, -999_900 + y]
    for (const [x, y] of rectangle(0, 0, 6, 4)) storey.building.column(storey.layout, at(x, y))
    storey.building.beam(storey.layout, at(0, 0), at(6, 0))
    storey.building.beam(storey.layout, at(0, 4), at(6, 4))
    storey.building.panel(
      storey.layout,
      rectangle(0, 0, 6, 4).map(([x, y]) => at(x, y)),
    )
    const balance = balanceOf(storey.building.state(), imposed)
    // of a coordinate of a million there are ten digits left behind the point
    expect(Math.abs(balance.applied - sound)).toBeLessThan(1e-3)
    expect(Math.abs(balance.atSupports - balance.applied)).toBeLessThan(1e-6 * sound)
  })
})
