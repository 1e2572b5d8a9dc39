import fc from 'fast-check'
import { holds } from '../../test/holds'
import { rectangle } from '../../test/shapes'
import { even } from '../geometry/density'
import type { Point } from '../geometry/point'
import type { Ring } from '../geometry/polygon'
import type { ElasticBeam } from './grillage'
import { loadOfArea, loadOfLine, loadOfPoint } from './loads'
import { solvePlate, type Plate, type PlateInput } from './plate'
import type { Bearing } from './rests'

const beam = (member: string, length: number, stiffness: number, more: Partial<ElasticBeam> = {}): ElasticBeam => ({
  member,
  stiffness,
  length,
  seats: [
    { s: 0, on: null },
    { s: length, on: null },
  ],
  held: { start: false, end: false },
  hinges: [],
  ...more,
})
const under = (member: string, a: Point, b: Point): Bearing => ({ a, b, owners: [{ member, from: 0, way: 1 }] })
const names = ['south', 'east', 'north', 'west']

/** A plate on a beam under each side and a column under each corner. */
function ringed(ring: Ring, EI: number): PlateInput {
  const sides = ring.map((p, i) => [p, ring[(i + 1) % ring.length] ?? p] as const)
  const name = (i: number) => names[i] ?? `side ${i}`
  return {
    region: [ring],
    stiffness: 1e7,
    thickness: 0.15,
    bearings: sides.map(([p, q], i) => under(name(i), p, q)),
    beams: sides.map(([p, q], i) => beam(name(i), Math.hypot(q[0] - p[0], q[1] - p[1]), EI)),
    columns: ring.map((at, i) => ({ member: `column ${i}`, at })),
    reach: 0.01,
  }
}

function solve(input: PlateInput): Plate {
  const plate = solvePlate(input)
  if (!plate) throw new Error('cannot stand')
  return plate
}

/** Force on each member under a load at the points of the mesh. */
function forces(plate: Plate, load: Float64Array): Readonly<Record<string, number>> {
  const sums: Record<string, number> = {}
  const found = plate.takenUnder(load)
  plate.rests.forEach(({ member }, i) => (sums[member] = (sums[member] ?? 0) + (found[i]?.force ?? 0)))
  return sums
}

const evenly = (input: PlateInput) => {
  const plate = solve(input)
  return forces(plate, loadOfArea(plate.mesh, input.region, even))
}

const rigid = 1e13

describe('a plate on rigid beams, hinged all round', () => {
  // S. Timoshenko, S. Woinowsky-Krieger, Theory of Plates and Shells, 2nd ed. 1959, table 8: corner forces R = 0.065 q a² of the
  // square and 0.092 q a² of the rectangle twice as long, nu = 0.3, from memory; they go with 1 - nu
  test.each([
    [1, 0.065],
    [2, 0.092],
  ])('with sides 1 to %s lifts at its corners (table 8)', (ratio, factor) => {
    const a = 6
    const taken = evenly(ringed(rectangle(0, 0, a * ratio, a), rigid))
    const R = factor * (0.8 / 0.7) * a * a
    const load = ratio * a * a
    for (const i of [0, 1, 2, 3]) expect(Math.abs((taken[`column ${i}`] ?? 0) + R)).toBeLessThan(0.01 * load)
    // and what its sides take is the load and what the corners pull down
    const sides = names.reduce((sum, name) => sum + (taken[name] ?? 0), 0)
    expect(Math.abs(sides - load - 4 * R)).toBeLessThan(0.04 * load)
    expect(Math.abs((taken['south'] ?? 0) - (taken['north'] ?? 0))).toBeLessThan(0.01 * load)
  })
})

describe('limits', () => {
  // common practice: a flat slab hands all to its columns, a quarter each by symmetry
  test('on beams that hardly resist its corners take all', () => {
    const taken = evenly(ringed(rectangle(0, 0, 6, 6), 1e3))
    for (const i of [0, 1, 2, 3]) expect(taken[`column ${i}`]).toBeCloseTo(9, 1)
    expect(Math.abs(taken['south'] ?? 0)).toBeLessThan(0.1)
  })

  test('stiffer beams take more, step by step', () => {
    const south = [1e4, 1e6, 1e8, 1e10].map((EI) => evenly(ringed(rectangle(0, 0, 6, 6), EI))['south'] ?? 0)
    for (let i = 1; i < south.length; i++) expect(south[i]).toBeGreaterThan(south[i - 1] ?? 0)
  })

  // statics: on two lines of support a strip has its reactions by lever, whatever bends; 4 m between them and 1.5 m beyond
  test('on two parallel lines it shares by lever, with what hangs over', () => {
    const ring = rectangle(0, -1.5, 6, 4)
    const taken = evenly({
      ...ringed(ring, rigid),
      bearings: [under('south', [0, 0], [6, 0]), under('north', [0, 4], [6, 4])],
      beams: [beam('south', 6, 1e8), beam('north', 6, 1e6)],
      columns: [],
    })
    expect(taken['south']).toBeCloseTo((6 * 5.5 * 2.75) / 4, 6)
    expect(taken['north']).toBeCloseTo((6 * 5.5 * 1.25) / 4, 6)
  })

  test('on three columns it is a matter of statics alone', () => {
    const ring: Ring = [
      [0, 0],
      [6, 0],
      [0, 6],
    ]
    const input = { ...ringed(ring, 1), bearings: [], beams: [] }
    const plate = solve(input)
    const taken = forces(plate, loadOfPoint(plate.mesh, [1, 2]))
    expect(taken['column 1']).toBeCloseTo(1 / 6, 8)
    expect(taken['column 2']).toBeCloseTo(2 / 6, 8)
    expect(taken['column 0']).toBeCloseTo(3 / 6, 8)
  })
})

test('a beam that ends on another hands nothing twice: what the plate gives it there goes to the other', () => {
  const ring = rectangle(0, 0, 6, 4)
  const inner = beam('inner', 4, 1e7, {
    seats: [
      { s: 0, on: { member: 'south', at: 3 } },
      { s: 4, on: { member: 'north', at: 3 } },
    ],
  })
  const base = ringed(ring, 1e8)
  const input = { ...base, bearings: [...base.bearings, under('inner', [3, 0], [3, 4])], beams: [...base.beams, inner] }
  // the north side runs from east to west: its middle is its middle either way
  const plate = solve(input)
  const taken = forces(plate, loadOfArea(plate.mesh, input.region, even))
  expect(Object.values(taken).reduce((sum, force) => sum + force, 0)).toBeCloseTo(24, 7)
  expect(taken['inner']).toBeGreaterThan(1)
  expect(Math.abs((taken['south'] ?? 0) - (taken['north'] ?? 0))).toBeLessThan(0.3)
})

// an edge beam of two lengths in front of cantilevers: its parts hang on one tip, the second on the first
test('ends that stand on one another at one point bring all of it to what is lowest', () => {
  const ring = rectangle(0, 0, 8, 2)
  const cantilever = (name: string) =>
    beam(name, 4, 1e8, {
      seats: [
        { s: 0, on: null },
        { s: 2, on: null },
      ],
    })
  const edge = (name: string, from: string, to: string, toAt: number) =>
    beam(name, 4, 1e7, {
      seats: [
        { s: 0, on: { member: from, at: 4 } },
        { s: 4, on: { member: to, at: toAt } },
      ],
    })
  const input: PlateInput = {
    ...ringed(ring, 1e8),
    // cantilevers come from behind: their tips are at y = 2, s = 4
    bearings: [
      ...[0, 4, 8].map((x): Bearing => ({ a: [x, 0], b: [x, 2], owners: [{ member: `c${x}`, from: 2, way: 1 }] })),
      under('first', [0, 2], [4, 2]),
      under('second', [4, 2], [8, 2]),
    ],
    beams: [
      ...[0, 4, 8].map((x) => cantilever(`c${x}`)),
      edge('first', 'c0', 'c4', 4),
      edge('second', 'first', 'c8', 4),
    ],
    columns: [0, 4, 8].map((x) => ({ member: `column ${x}`, at: [x, 0] as Point })),
  }
  const sum = Object.values(evenly(input)).reduce((total, force) => total + force, 0)
  expect(sum).toBeCloseTo(16, 6)
})

describe('what cannot stand is not solved', () => {
  const ring = rectangle(0, 0, 6, 4)
  test.each([
    ['nothing', { bearings: [], beams: [], columns: [] }],
    ['one line', { bearings: [under('south', [0, 0], [6, 0])], beams: [beam('south', 6, 1e8)], columns: [] }],
    [
      'beams without supports',
      {
        bearings: [under('south', [0, 0], [6, 0]), under('north', [0, 4], [6, 4])],
        beams: [beam('south', 6, 1e8, { seats: [] }), beam('north', 6, 1e8, { seats: [] })],
        columns: [],
      },
    ],
    [
      'two columns',
      {
        bearings: [],
        beams: [],
        columns: [
          { member: 'c', at: [0, 0] as Point },
          { member: 'd', at: [6, 0] as Point },
        ],
      },
    ],
  ])('on %s', (_, on) => {
    expect(solvePlate({ ...ringed(ring, 1e8), ...on })).toBeUndefined()
  })
})

// laws: what rests take keeps force and, with their couples, both moments of any load
test('every rest together keeps force and moments, over random plates with holes and inner beams', () => {
  const between = (min: number, max: number) => fc.double({ min, max, noNaN: true })
  holds(
    fc.property(
      between(3, 12),
      between(3, 9),
      between(0.1, 0.8),
      between(4, 10),
      between(0, 6),
      (w, d, part, EI, turn) => {
        const [c, s] = [Math.cos(turn), Math.sin(turn)]
        const at = ([x, y]: Point): Point => [x * c - y * s, x * s + y * c]
        const ring = rectangle(0, 0, w, d).map(at)
        const hole = rectangle(0.4 * w, 0.3 * d, 0.6 * w, 0.5 * d)
          .map(at)
          .reverse()
        const base = ringed(ring, 10 ** EI)
        const input: PlateInput = {
          ...base,
          region: [ring, hole],
          bearings: [...base.bearings, under('inner', at([0, 0.9 * d * part]), at([0.3 * w, 0.9 * d * part]))],
          beams: [...base.beams, beam('inner', 0.3 * w, 1e6)],
        }
        const plate = solve(input)
        const line = loadOfLine(plate.mesh, at([0.1, 0.1]), at([w - 0.1, d - 0.1]), [1, 1])
        for (const load of [loadOfArea(plate.mesh, input.region, even), line]) {
          let [force, mx, my, scale] = [0, 0, 0, 0]
          load.forEach((value, i) => {
            const [x, y] = plate.mesh.points[i] ?? [0, 0]
            ;[force, mx, my, scale] = [force + value, mx + value * x, my + value * y, scale + Math.abs(value)]
          })
          plate.takenUnder(load).forEach(({ force: value, couple }, i) => {
            const [x, y] = plate.rests[i]?.at ?? [0, 0]
            ;[force, mx, my] = [force - value, mx - value * x - couple[0], my - value * y - couple[1]]
            scale += Math.abs(value)
          })
          for (const left of [force, mx / 12, my / 12]) expect(Math.abs(left)).toBeLessThan(1e-6 * scale)
        }
      },
    ),
    {
      examples: [[4.645087034856852, 3.0000000000000044, 0.2966377337730529, 4.000000000000014, 1e-323]],
      numRuns: 8,
    },
  )
})
