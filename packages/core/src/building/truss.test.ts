import { rectangle } from '../../test/shapes'
import type { SlopeShape, TrussShape } from '../document/shapes'
import { trussLengths, trussParts } from './truss'

const truss = (more: Partial<NonNullable<TrussShape['truss']>> = {}): TrussShape => ({
  id: 'member:T',
  path: [
    [0, 0],
    [0, 16],
  ],
  truss: {
    bottom: 'straight',
    depth: 3,
    bays: 4,
    posts: true,
    bottomSection: 'section:b',
    webSection: 'section:w',
    ...more,
  },
})

// bays of 4 m by 3 m: the 3-4-5 triangle gives every diagonal 5 m (common practice)
test('parallel chords under a flat roof', () => {
  expect(trussLengths(trussParts(truss(), []))).toEqual({ top: 16, bottom: 16, web: 4 * 5 + 5 * 3 })
  expect(trussLengths(trussParts(truss({ posts: false }), []))).toEqual({ top: 16, bottom: 16, web: 4 * 5 })
})

test('diagonals rise to the middle from both sides; without posts they go up and down in turn', () => {
  const risesOf = (posts: boolean) =>
    trussParts(truss({ posts }), [])
      .filter(({ part, from, to }) => part === 'web' && from[0] !== to[0])
      .map(({ from, to }) => Math.sign(to[1] - from[1]))
  expect(risesOf(true)).toEqual([1, 1, -1, -1])
  expect(risesOf(false)).toEqual([1, -1, 1, -1])
})

describe('under a duo-pitch roof that climbs 3 in 4', () => {
  const south: SlopeShape = {
    id: 'slope:1',
    outline: rectangle(-5, 0, 5, 8),
    pitch: Math.atan(0.75),
    uphill: Math.PI / 2,
    eaves: 0,
  }
  const north: SlopeShape = { ...south, id: 'slope:2', outline: rectangle(-5, 8, 5, 16), uphill: -Math.PI / 2 }

  test('a straight bottom chord: posts grow to the middle', () => {
    const parts = trussParts(truss(), [south, north])
    const posts = parts.filter(({ part, from, to }) => part === 'web' && from[0] === to[0])
    expect(posts.map(({ from, to }) => Number((to[1] - from[1]).toFixed(9)))).toEqual([3, 6, 9, 6, 3])
    const { top, bottom } = trussLengths(parts)
    expect([top, bottom]).toEqual([expect.closeTo(20, 6), 16])
  })

  test('a bottom chord along the top: as long as the top', () => {
    const { top, bottom, web } = trussLengths(trussParts(truss({ bottom: 'alongTop' }), [south, north]))
    expect([top, bottom]).toEqual([expect.closeTo(20, 6), expect.closeTo(20, 6)])
    // a diagonal climbs 3 m with the roof and 3 m through the depth over 4 m
    expect(web).toBeCloseTo(5 * 3 + 4 * Math.hypot(4, 6), 6)
  })
})

test('a member that is no truss has no parts', () => {
  expect(trussParts({ ...truss(), truss: null }, [])).toEqual([])
})
