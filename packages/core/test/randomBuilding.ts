import type { Document, Random } from '../src/document/document'
import type { Layout, LoadKey, Material, Member, Section, LineLoad } from '../src/document/recordKinds'
import type { Point } from '../src/geometry/point'
import { distance } from '../src/geometry/segment'
import { Building } from './build'
import { addWithoutDice } from './randomAdditions'
import { rectangle } from './shapes'

/** Choices drawn from a seeded source, so that a failing building can be made again from its seed. */
export class Dice {
  constructor(readonly random: Random) {}

  chance(part: number): boolean {
    return this.random() < part
  }

  between(from: number, to: number): number {
    // centimetres, as people draw
    return Math.round((from + (to - from) * this.random()) * 100) / 100
  }

  count(from: number, to: number): number {
    return from + Math.floor(this.random() * (to - from + 1))
  }

  one<T>(...choices: readonly [T, ...T[]]): T {
    return choices[Math.floor(this.random() * choices.length)] ?? choices[0]
  }
}

interface Stock {
  readonly materials: readonly [Material, Material]
  readonly sections: readonly [Section, Section]
  readonly keys: readonly [LoadKey, ...LoadKey[]]
}

/**
 * A building that nobody would build and everybody draws by mistake: columns left out, beams that end in mid-air or
 * stand on each other in rings, skew panels drawn either way round, patches and openings over every edge, walls anywhere.
 */
export function randomBuilding(seed: number): Document {
  const building = new Building({ basicWindVelocity: seed % 3 === 0 ? null : 24 }, seed)
  const dice = new Dice(building.random)
  const stock = stockOf(building, dice)
  const levels = [building.level('Base', dice.between(-3, 0))]
  const storeys = dice.count(1, 4)
  for (let i = 1; i <= storeys; i++) levels.push(building.level(String(i), i * dice.between(2.8, 3.4)))
  const lines = { xs: gridOf(dice), ys: gridOf(dice) }
  const layouts: Layout[] = []
  let next = 1
  while (next <= storeys) {
    const last = Math.min(storeys, next + dice.count(0, 2))
    const layout = building.layout(
      `from ${next}`,
      dice.chance(0.9) ? dice.one(...stock.keys) : null,
      levels[next],
      levels[last],
    )
    layouts.push(layout)
    fill({ building, dice, layout, stock, ...lines })
    next = last + (dice.chance(0.15) ? 2 : 1)
  }
  if (dice.chance(0.5)) building.part({ parapet: dice.between(0, 1.5) })
  // after all else, so that seeds that once failed still make the building that failed
  for (const layout of layouts) addBentBeams({ building, dice, layout, stock, ...lines })
  addWithoutDice(building, layouts, lines, seed)
  return building.document
}

/** Bent beams from column to column or from nowhere to nowhere, round corners and back over themselves. */
function addBentBeams(site: Site): void {
  const { building, dice, layout, stock, xs, ys } = site
  const point = (): Point => [pick(dice, xs), pick(dice, ys)]
  const [section, material] = [stock.sections[0].id, stock.materials[0].id]
  if (dice.chance(0.6)) return
  times(dice, 2, () => {
    const between = Array.from({ length: dice.count(1, 4) }, () => somewhere(site))
    const [a, b] = dice.chance(0.8) ? [point(), point()] : [somewhere(site), somewhere(site)]
    if (distance(a, b) > 0.1) building.member(layout, 'beam', [a, ...between, b], { section, material })
  })
}

const pick = (dice: Dice, values: readonly number[]): number => values[dice.count(0, values.length - 1)] ?? 0

function stockOf(building: Building, dice: Dice): Stock {
  const buildUp = building.buildUp([
    { name: 'screed', thickness: 0.05, unitWeight: 20_000, load: null, source: '' },
    { name: 'ceiling', thickness: null, unitWeight: null, load: dice.between(100, 400), source: '' },
  ])
  return {
    materials: [building.material({ unitWeight: 24_000 }), building.material({ unitWeight: 78_500 })],
    sections: [building.sectionOf({ area: 0.012, depth: 0.4 }), building.sectionOf({ area: 0.006, depth: 0.25 })],
    keys: [
      building.key(dice.between(1000, 5000), { buildUp: buildUp.id }),
      building.key(null, { use: dice.one('C1', 'D2', 'E1', 'H'), partitionWeight: dice.one(null, 800, 2500) }),
      building.key(dice.between(0, 2000), { use: dice.one('A', 'H', null) }),
    ],
  }
}

function gridOf(dice: Dice): readonly number[] {
  const lines = [0]
  for (let i = dice.count(1, 3); i > 0; i--) lines.push((lines.at(-1) ?? 0) + dice.between(3, 8))
  return lines
}

interface Lines {
  readonly xs: readonly number[]
  readonly ys: readonly number[]
}

const pairs = (values: readonly number[]): readonly (readonly [number, number])[] =>
  values.slice(1).map((b, i) => [values[i] ?? 0, b])

interface Site extends Lines {
  readonly building: Building
  readonly dice: Dice
  readonly layout: Layout
  readonly stock: Stock
}

/** Not on whole centimetres: a member exactly at a tolerance would fall to one side or the other by rounding. */
function somewhere({ dice, xs, ys }: Site): Point {
  const beyond = (lines: readonly number[]) => -1 + ((lines.at(-1) ?? 0) + 2) * dice.random()
  return [beyond(xs), beyond(ys)]
}

function fill(site: Site): void {
  addFrame(site)
  addRoof(site)
  addPanels(site)
  addLoads(site)
}

function addFrame(site: Site): void {
  const { building, dice, layout, stock, xs, ys } = site
  const more = (): Partial<Pick<Member, 'section' | 'material' | 'startRelease' | 'endRelease'>> => ({
    section: dice.one(...stock.sections).id,
    material: dice.one(...stock.materials).id,
    startRelease: dice.chance(0.1) ? 'fixed' : 'pinned',
    endRelease: dice.chance(0.1) ? 'fixed' : 'pinned',
  })
  const beam = (a: Point, b: Point) =>
    dice.chance(0.5) ? building.beam(layout, a, b, more()) : building.beam(layout, b, a, more())
  for (const x of xs) for (const y of ys) if (dice.chance(0.85)) building.column(layout, [x, y], more())
  for (const x of xs) for (const [a, b] of pairs(ys)) if (dice.chance(0.9)) beam([x, a], [x, b])
  for (const [x0, x1] of pairs(xs)) for (const y of beamRows(dice, ys)) if (dice.chance(0.9)) beam([x0, y], [x1, y])
  times(dice, 3, () => beam(somewhere(site), somewhere(site)))
  if (dice.chance(0.3)) pinwheel(building, layout, somewhere(site))
}

/** A duo-pitch roof over all of it, or a plane anywhere; trusses under it, and braces that end anywhere. */
function addRoof(site: Site): void {
  const { building, dice, layout, stock, xs, ys } = site
  const [east, top] = [(xs.at(-1) ?? 0) + 0.5, (ys.at(-1) ?? 0) + 0.5]
  if (dice.chance(0.3)) {
    const [pitch, ridge] = [dice.between(0.05, 1), top / 2]
    building.slope(layout, rectangle(-0.5, -0.5, east, ridge), pitch, Math.PI / 2, dice.between(-1, 1))
    building.slope(layout, rectangle(-0.5, ridge, east, top), pitch, -Math.PI / 2)
  } else if (dice.chance(0.2))
    building.slope(layout, boxAt(dice, somewhere(site)), dice.between(0, 1.2), dice.between(-3, 3))
  const weight = { section: stock.sections[1].id, material: stock.materials[1].id }
  times(dice, 2, () =>
    building.member(layout, 'truss', [somewhere(site), somewhere(site)], {
      ...weight,
      truss: {
        bottom: dice.one('straight', 'alongTop'),
        depth: dice.between(0.5, 2),
        bays: dice.count(2, 9),
        posts: dice.chance(0.5),
        bottomSection: stock.sections[0].id,
        webSection: stock.sections[1].id,
      },
    }),
  )
  times(dice, 2, () =>
    building.strut(layout, [pointAt(site), pointAt(site)], [dice.between(-3, 0), dice.between(0, 1)], weight),
  )
}

function addPanels(site: Site): void {
  const { dice, xs, ys } = site
  for (const [x0, x1] of pairs(xs))
    for (const [y0, y1] of pairs(ys)) if (dice.chance(0.9)) addPanel(site, rectangle(x0, y0, x1, y1))
  if (dice.chance(0.4)) addPanel(site, [somewhere(site), somewhere(site), somewhere(site), somewhere(site)])
}

function addLoads(site: Site): void {
  const { building, dice, layout, stock } = site
  times(dice, 2, () => building.opening(layout, boxAt(dice, somewhere(site))))
  times(dice, 3, (order) =>
    building.patch(layout, dice.one(...stock.keys), boxAt(dice, somewhere(site)), {
      mode: dice.one('insteadOf', 'onTopOf'),
      order,
    }),
  )
  times(dice, 2, () =>
    building.lineLoad(layout, [somewhere(site), somewhere(site)], dice.between(-2000, 9000), natureOf(dice)),
  )
  times(dice, 2, () => building.pointLoad(layout, pointAt(site), dice.between(-5000, 40_000), natureOf(dice)))
  times(dice, 2, () =>
    building.stair(layout, pointAt(site), pointAt(site), {
      // not in whole centimetres: an end that laps a beam by just the tolerance would fall to one side or the other by rounding
      width: 0.8 + 1.2 * dice.random(),
      rise: dice.between(0, 3),
      waist: 0.15,
      riser: 0.17,
      material: stock.materials[0].id,
      key: dice.chance(0.8) ? dice.one(...stock.keys).id : null,
    }),
  )
  times(dice, 1, () => building.barrier(layout, [somewhere(site), somewhere(site)], { use: dice.one('A', 'C5', null) }))
  times(dice, 3, () => addWall(building, dice, layout, [somewhere(site), somewhere(site), somewhere(site)]))
}

const natureOf = (dice: Dice): Partial<Pick<LineLoad, 'nature' | 'use'>> =>
  dice.chance(0.5) ? { nature: 'permanent' } : { nature: 'imposed', use: dice.one('B', 'C3', 'H', null) }

/** Anywhere, or at a crossing of the grid, where beams end on each other. */
function pointAt(site: Site): Point {
  const { dice, xs, ys } = site
  return dice.chance(0.7)
    ? somewhere(site)
    : [xs[dice.count(0, xs.length - 1)] ?? 0, ys[dice.count(0, ys.length - 1)] ?? 0]
}

/** Up to so many times, none as well. */
function times(dice: Dice, most: number, act: (i: number) => unknown): void {
  for (let i = dice.count(0, most); i > 0; i--) act(i)
}

const beamRows = (dice: Dice, ys: readonly number[]): readonly number[] => [
  ...ys,
  ...pairs(ys).flatMap(([a, b]) => (dice.chance(0.7) ? [(2 * a + b) / 3, (a + 2 * b) / 3] : [])),
]

function boxAt(dice: Dice, [x, y]: Point): readonly Point[] {
  const box = rectangle(x, y, x + dice.between(0.5, 4), y + dice.between(0.5, 4))
  return dice.chance(0.5) ? box : [...box].reverse()
}

/** Four beams that carry each other. */
function pinwheel(building: Building, layout: Layout, [x, y]: Point): void {
  const at = (dx: number, dy: number): Point => [x + dx, y + dy]
  building.beam(layout, at(0, 1), at(3, 1))
  building.beam(layout, at(3, 0), at(3, 3))
  building.beam(layout, at(4, 3), at(1, 3))
  building.beam(layout, at(1, 4), at(1, 1))
}

function addPanel({ building, dice, layout, stock }: Site, outline: readonly Point[]): void {
  // one corner may be pulled out of the square
  const skew = outline.map(([x, y], i): Point =>
    i === 2 && dice.chance(0.2) ? [x + dice.between(-1, 1), y + dice.between(-1, 1)] : [x, y],
  )
  building.panel(layout, dice.chance(0.3) ? [...skew].reverse() : skew, {
    spanAngle: dice.one(0, Math.PI / 2, Math.PI / 2, dice.between(-3, 3)),
    slab: dice.chance(0.7) ? { thickness: 0.15, material: stock.materials[0].id } : null,
    overhang: dice.one('lever', 'lever', 'tributary'),
    openings: dice.one('bridged', 'bridged', 'interrupting'),
  })
}

function addWall(building: Building, dice: Dice, layout: Layout, path: readonly Point[]): void {
  const heightRule = dice.one('lessBeam', 'lessSlab', 'lessBoth', 'typed')
  const layers = building.records.find((record) => record.kind === 'buildUp')
  building.wall(layout, path, {
    closed: dice.chance(0.3),
    heightRule,
    height: heightRule === 'typed' ? dice.between(0.5, 3) : null,
    openingShare: dice.between(0, 0.5),
    buildUp: layers && dice.chance(0.3) ? layers.id : null,
  })
}
