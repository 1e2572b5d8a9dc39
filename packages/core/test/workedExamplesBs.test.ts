import { expanded } from '../src/document/labels'
import type { Member } from '../src/document/recordKinds'
import type { Point } from '../src/geometry/point'
import { ask } from '../src/queries/derive'
import { Building } from './build'
import { rectangle } from './shapes'

// Worked examples of C. Arya, Design of Structural Elements, chapter 2, to BS 6399-1 and 1.4 G + 1.6 Q, from memory: the floors and the
// way of the text, its sums done again by hand. Steel weighs by g = 10 m/s² there, as it does here.

/** A floor 3 m high with a slab of concrete at 24 kN/m³, finishes and an imposed load, on members that weigh per metre. */
function floor(slab: number, finishes: number, imposed: number) {
  const building = new Building({ family: 'BS' })
  const [, level] = [building.level('Base', 0), building.level('Floor', 3)]
  const concrete = building.material({ name: 'concrete', unitWeight: 24_000 })
  const up = building.buildUp([{ name: 'finishes', thickness: null, unitWeight: null, load: finishes, source: '' }])
  const key = building.key(imposed, { use: 'B-offices', buildUp: finishes === 0 ? null : up.id })
  const layout = building.layout('Floor', key, level)
  // a square metre of what weighs a newton per cubic metre
  const weighing = (perMetre: number) => ({
    material: building.material({ name: 'steel', unitWeight: perMetre }).id,
    section: building.sectionOf({ area: 1 }).id,
  })
  const panel = (outline: readonly Point[], spanAngle: number) =>
    building.panel(layout, outline, { spanAngle, slab: { thickness: slab, material: concrete.id } })
  const most = (effects: 'beamTotal' | 'reaction', { id }: Member) =>
    ask(building.state(), { kind: 'envelopes', set: 'strength', effects }).find(
      ({ expandedId }) => expandedId === expanded(id, level.id),
    )?.most ?? NaN
  return { building, level, layout, weighing, panel, most }
}

test('example 2.2: an inner beam of 5 m every 3 m under 150 mm of slab and 3.5 kN/m²: 1.4 · 11.3 + 1.6 · 10.5 = 32.6 kN/m, 163 kN', () => {
  const { building, level, layout, weighing, panel, most } = floor(0.15, 0, 3500)
  const stock = weighing(500)
  const ends = [0, 3, 6].map((y): readonly [Point, Point] => [
    [0, y],
    [5, y],
  ])
  for (const at of ends.flat()) building.column(layout, at)
  const [, inner] = ends.map(([a, b]) => building.beam(layout, a, b, stock))
  for (const y of [0, 3]) panel(rectangle(0, y, 5, y + 3), Math.PI / 2)
  if (!inner) throw new Error('no beam')
  const on = (caseId: string) =>
    ask(building.state(), { kind: 'member', expandedId: expanded(inner.id, level.id), caseId })?.total ?? NaN
  // 3.6 · 3 + 0.5 and 3.5 · 3 kN/m
  expect(on('permanent/self-weight') / 5).toBeCloseTo(11_300, 6)
  expect(on('imposed/Q') / 5).toBeCloseTo(10_500, 6)
  expect(most('beamTotal', inner) / 1000).toBeCloseTo(163.1, 1)
})

describe('example 2.3: 225 mm of slab, 1 kN/m² of finishes, 3 kN/m²; beams of 0.7 kN/m, columns of 0.6 kN/m', () => {
  const { building, layout, weighing, panel, most } = floor(0.225, 1000, 3000)
  const [beam, column] = [weighing(700), weighing(600)]
  // lines A to C and 1 to 3; B2 to C2 and its like end on the beams from 1 to 3
  const [b, c] = [6, 12]
  const standing = new Map(
    [0, b, c].flatMap((x) =>
      [0, 6].map((y): readonly [string, Member] => [`${x}/${y}`, building.column(layout, [x, y], column)]),
    ),
  )
  const across = (x: number, y: number) => building.beam(layout, [x, y], [x + 6, y], beam)
  const [edge, inner] = [across(b, 0), across(b, 3)]
  for (const [x, y] of [
    [0, 0],
    [0, 3],
    [0, 6],
    [b, 6],
  ] as const)
    across(x, y)
  const [, down] = [0, b, c].map((x) => building.beam(layout, [x, 0], [x, 6], beam))
  for (const x of [0, b]) for (const y of [0, 3]) panel(rectangle(x, y, x + 6, y + 3), Math.PI / 2)
  const at = (name: string) => standing.get(name) as Member

  test('B1-C1 takes 1.5 m of 13.76 kN/m² and itself: 21.62 kN/m, 129.7 kN', () => {
    expect(most('beamTotal', edge) / 1000).toBeCloseTo((13.76 * 1.5 + 0.98) * 6, 6)
    expect(most('beamTotal', edge) / 1000).toBeCloseTo(129.7, 1)
  })

  test('B2-C2 takes 3 m of it: 42.26 kN/m, 253.6 kN', () => {
    expect(most('beamTotal', inner) / 1000).toBeCloseTo(253.6, 1)
  })

  test('B1-B3 takes half of both beams that end on it, 253.6 kN, and itself, 5.9 kN', () => {
    expect(most('beamTotal', down as Member) / 1000).toBeCloseTo(259.4, 1)
  })

  test('column B1 takes half of three beams and of a fourth like the first, and 2.5 kN of its own: 262.0 kN', () => {
    // 2 · 64.86 + 129.72 + 2.52
    expect(most('reaction', at('6/0')) / 1000).toBeCloseTo(262.0, 1)
  })

  test('column C1 takes half of B1-C1 and of C1-C3, and 2.5 kN of its own: 133.7 kN', () => {
    // 64.86 + (126.78 + 5.88) / 2 + 2.52
    expect(most('reaction', at('12/0')) / 1000).toBeCloseTo(133.7, 1)
  })
})
