import { expanded } from '../src/document/labels'
import type { Panel } from '../src/document/recordKinds'
import type { Point } from '../src/geometry/point'
import { ask } from '../src/queries/derive'
import { Building } from './build'
import { rectangle } from './shapes'

// Worked examples of R. C. Hibbeler, Structural Analysis, 8th edition, chapters 1 and 2, from memory, entered as buildings.
// Loads of the text are in pounds and feet; the answers are held to the digits that it prints.

const foot = 0.3048
const pound = 4.4482216152605
const inch = foot / 12
const psf = pound / foot ** 2
const plf = pound / foot
const pcf = pound / foot ** 3
const kip = 1000 * pound

/** A floor at 12 ft on columns at the corners of a grid, in the ASCE family. */
function framed(xs: readonly number[], ys: readonly number[], storeys = 1) {
  const building = new Building({ family: 'ASCE' })
  const levels = Array.from({ length: storeys + 1 }, (_, i) =>
    building.level(i === 0 ? 'Base' : String(i), 12 * foot * i),
  )
  const columns = (layout: Parameters<Building['column']>[0]) =>
    ys.flatMap((y) => xs.map((x) => building.column(layout, [x * foot, y * foot])))
  return { building, levels, columns }
}

const feet = (x0: number, y0: number, x1: number, y1: number): readonly Point[] =>
  rectangle(x0 * foot, y0 * foot, x1 * foot, y1 * foot)

test('example 1.1: a beam under 6 ft of 4 in slab, its plaster and an 8 ft wall of blocks carries 192 + 30 + 840 = 1062 lb/ft', () => {
  const { building, levels, columns } = framed([0, 20], [-6, 0, 6])
  const [, level] = levels
  const slab = building.material({ name: 'plain lightweight concrete', unitWeight: 96 * pcf })
  const plaster = building.buildUp([{ name: 'plaster', thickness: null, unitWeight: null, load: 5 * psf, source: '' }])
  const layout = building.layout('Floor', building.key(0, { use: null, buildUp: plaster.id }), level)
  columns(layout)
  const [, beam] = [-6, 0, 6].map((y) => building.beam(layout, [0, y * foot], [20 * foot, y * foot]))
  for (const y of [-6, 0])
    building.panel(layout, feet(0, y, 20, y + 6), { slab: { thickness: 4 * inch, material: slab.id } })
  building.wall(
    layout,
    [
      [0, 0],
      [20 * foot, 0],
    ],
    {
      weight: 105 * psf,
      heightRule: 'typed',
      height: 8 * foot,
    },
  )
  const state = building.state()
  const on = (caseId: string) => {
    const view = ask(state, { kind: 'member', expandedId: expanded(beam?.id ?? '', level?.id ?? ''), caseId })
    return (view?.total ?? NaN) / (20 * foot) / plf
  }
  expect(on('permanent/self-weight')).toBeCloseTo(192, 6)
  expect(on('permanent/build-ups')).toBeCloseTo(30, 6)
  expect(on('permanent/walls')).toBeCloseTo(840, 6)
})

test('example 1.3: an interior column of two storeys on a grid of 22 ft gets 9.68 k of the roof and 14.3 k of the floor, reduced to 29.55 of 50 psf', () => {
  const grid = [0, 22, 44, 66]
  const { building, levels, columns } = framed(grid, grid, 2)
  const [, floor, top] = levels
  const office = building.layout('Floor', building.key(null, { use: 'offices' }), floor)
  const roof = building.layout('Roof', building.key(20 * psf, { use: 'roof' }), top)
  const [own] = [office, roof].map((layout) => {
    const standing = columns(layout)
    for (const y of grid)
      for (const [i, x] of grid.slice(0, -1).entries())
        building.beam(layout, [x * foot, y * foot], [(grid[i + 1] ?? 0) * foot, y * foot])
    for (const y of grid.slice(0, -1)) building.panel(layout, feet(0, y, 66, y + 22))
    return standing[5]
  })
  const state = building.state()
  const column = (caseId: string) =>
    ask(state, { kind: 'column', expandedId: expanded(own?.id ?? '', floor?.id ?? ''), caseId })
  const live = state.caseIds.find((id) => id.startsWith('imposed/')) ?? ''
  const view = column(live)
  // A_T = 22 · 22 = 484 ft², K_LL A_T = 1936 ft²
  const reduced = view?.reductions?.at(-1)
  expect((reduced?.area ?? NaN) / foot ** 2).toBeCloseTo(484, 6)
  expect(50 * (reduced?.byArea ?? NaN)).toBeCloseTo(29.55, 2)
  expect((reduced?.foot ?? NaN) / kip).toBeCloseTo(14.3, 1)
  const onRoof = state.caseIds.find((id) => id.startsWith('roof/')) ?? ''
  expect((column(onRoof)?.rows.at(-1)?.foot ?? NaN) / kip).toBeCloseTo(9.68, 2)
})

/** Joists or beams of one floor in plan, with what lands on the one that is asked about. */
function landed(
  panel: readonly Point[],
  beams: readonly (readonly [Point, Point])[],
  load: number,
  more: Partial<Panel>,
) {
  const building = new Building()
  const [, level] = [building.level('Base', 0), building.level('Top', 4)]
  const layout = building.layout('Floor', building.key(load), level)
  for (const at of new Map(beams.flat().map((point) => [point.join(), point])).values()) building.column(layout, at)
  const drawn = beams.map(([a, b]) => building.beam(layout, a, b))
  building.panel(layout, panel, more)
  const state = building.state()
  return drawn.map(({ id }) => ask(state, { kind: 'member', expandedId: expanded(id, level.id), caseId: 'imposed/B' }))
}

test('example 2.1: joists of 15 ft every 2.5 ft under 72 psf carry 180 lb/ft and bring 1350 lb to each end', () => {
  const joists = [0, 2.5, 5, 7.5].map((x): readonly [Point, Point] => [
    [x * foot, 0],
    [x * foot, 15 * foot],
  ])
  const [, inner] = landed(feet(0, 0, 7.5, 15), joists, 72 * psf, { spanAngle: 0 })
  expect((inner?.lines[0]?.[2] ?? NaN) / plf).toBeCloseTo(180, 6)
  expect(inner?.supports.map(({ reaction }) => reaction / pound)).toEqual([
    expect.closeTo(1350, 6),
    expect.closeTo(1350, 6),
  ])
})

test('example 2.2: of 2 kN/m² on 3 by 5 m the longer beams get a trapezoid of 3 kN/m, 1.5 m of slope, 2 m even, 1.5 m', () => {
  const sides: readonly (readonly [Point, Point])[] = [
    [
      [0, 0],
      [5, 0],
    ],
    [
      [0, 3],
      [5, 3],
    ],
    [
      [0, 0],
      [0, 3],
    ],
    [
      [5, 0],
      [5, 3],
    ],
  ]
  const [longer, , shorter] = landed(rectangle(0, 0, 5, 3), sides, 2000, { sharing: 'twoWay' })
  expect(longer?.lines.map((line) => line.map((value) => Math.round(value * 1e6) / 1e6))).toEqual([
    [0, 1.5, 0, 3000],
    [1.5, 3.5, 3000, 3000],
    [3.5, 5, 3000, 0],
  ])
  // the shorter ones a triangle of the same height
  expect(shorter?.lines.map((line) => line.map((value) => Math.round(value * 1e6) / 1e6))).toEqual([
    [0, 1.5, 0, 3000],
    [1.5, 3, 3000, 0],
  ])
})
