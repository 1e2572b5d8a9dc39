import { Building } from '../../test/build'
import { rectangle } from '../../test/shapes'
import { expandFloors } from '../building/floors'
import { applyChange, type Edit } from '../document/changes'
import { documentOf, recordsOf, seededRandom, type Document } from '../document/document'
import type { Layout, Level } from '../document/recordKinds'
import { eachEdge, signedArea } from '../geometry/polygon'
import { shippedSets, standardOf } from '../standards/families'
import { parameter } from '../standards/layer'
import { barriersAlong, drawRecord, leastPoints, tools, type Tool } from './drawn'
import {
  addLevelEdits,
  elevationEdits,
  layoutOfLevelEdits,
  levelAtEdits,
  removeLevelEdits,
  storeyHeightEdits,
  storeyHeights,
  storeyHeightsEdits,
} from './levels'
import { layoutOutline } from './outline'
import { panelsInRings } from './panelsInRings'
import { nationalSetEdits, ownValueEdits } from './ownLayer'

const random = seededRandom(99)
/** Applies edits as one change set, so that what they make must be legal. */
function after(document: Document, edits: readonly Edit[]): Document {
  const applied = applyChange(document, { id: 'c', seen: 0, note: '', edits })
  if (!applied.ok) throw new Error(JSON.stringify(applied.problems))
  return applied.document
}
const layoutsOf = (document: Document) =>
  expandFloors(recordsOf(document, 'level'), recordsOf(document, 'levelRange')).map(({ level, layoutId }) => {
    const layout = layoutId && document.records.get(layoutId)
    return `${level.name}: ${layout && layout.kind === 'layout' ? layout.name : '–'}`
  })

function tower() {
  const building = new Building()
  const levels = ['Base', '1', '2', '3', 'Roof'].map((name, i) => building.level(name, 3 * i))
  const [floors, roof] = [
    building.layout('Floors', null, levels[1], levels[3]),
    building.layout('Roof', null, levels[4]),
  ]
  const other = building.layout('Other')
  const at = (name: string): Level => {
    const found = levels.find((level) => level.name === name)
    if (!found) throw new Error(name)
    return found
  }
  return { building, document: building.document, at, floors, roof, other }
}

describe('levels', () => {
  test('another storey height moves the level and all above', () => {
    const { document, at } = tower()
    const next = after(document, storeyHeightEdits(document, at('2'), 3.45))
    expect(
      recordsOf(next, 'level')
        .map(({ elevation }) => elevation)
        .sort((a, b) => a - b),
    ).toEqual([0, 3, 6.45, 9.45, 12.45])
    expect(storeyHeightEdits(document, at('Base'), 4)).toEqual([])
  })

  test('all storey heights at once: the base stays, a storey that keeps its height only moves', () => {
    const { document } = tower()
    expect(storeyHeights(recordsOf(document, 'level'))).toEqual([3, 3, 3, 3])
    const next = after(document, storeyHeightsEdits(document, [4.2, 3, 3, 3.6]))
    expect(storeyHeights(recordsOf(next, 'level'))).toEqual([4.2, 3, 3, 3.6])
    expect(layoutsOf(next)).toEqual(layoutsOf(document))
    expect(storeyHeightsEdits(document, [3, 3, 3, 3])).toEqual([])
  })

  test('another layout on one level splits the range; back again joins it', () => {
    const { document, at, floors, other } = tower()
    const split = after(document, layoutOfLevelEdits(document, at('2'), other.id, random))
    expect(layoutsOf(split)).toEqual(['Base: –', '1: Floors', '2: Other', '3: Floors', 'Roof: Roof'])
    const joined = after(split, layoutOfLevelEdits(split, at('2'), floors.id, random))
    expect(layoutsOf(joined)).toEqual(layoutsOf(document))
    expect(recordsOf(joined, 'levelRange')).toHaveLength(2)
    const bare = after(document, layoutOfLevelEdits(document, at('3'), null, random))
    expect(layoutsOf(bare)).toEqual(['Base: –', '1: Floors', '2: Floors', '3: –', 'Roof: Roof'])
  })

  test('the same layout again changes nothing', () => {
    const { document, at, floors } = tower()
    expect(layoutOfLevelEdits(document, at('2'), floors.id, random)).toEqual([])
  })

  test('a level more stands on the top one, as high as its storey, with the same layout and a name of its own', () => {
    const { document } = tower()
    const next = after(document, addLevelEdits(document, random))
    expect(layoutsOf(next).slice(-2)).toEqual(['Roof: Roof', '4: Roof'])
    expect(Math.max(...recordsOf(next, 'level').map(({ elevation }) => elevation))).toBe(15)
    // storeys of 3.5, 3.5 and 4.2 m on top of 12 m
    const more = after(document, addLevelEdits(document, random, [3.5, 3.5, 4.2]))
    expect(layoutsOf(more).slice(-4)).toEqual(['Roof: Roof', '4: Roof', '5: Roof', '6: Roof'])
    expect(
      recordsOf(more, 'level')
        .map(({ elevation }) => elevation)
        .sort((a, b) => a - b)
        .slice(-4),
    ).toEqual([12, 15.5, 19, 23.2])
    expect(addLevelEdits(new Building().document, random)).toEqual([])
  })

  test('a level at an elevation has no layout, and all others keep theirs, in the middle of a range too', () => {
    const { document } = tower()
    const between = after(document, levelAtEdits(document, 7.5, random))
    expect(layoutsOf(between)).toEqual(['Base: –', '1: Floors', '2: Floors', '4: –', '3: Floors', 'Roof: Roof'])
    const lowest = after(document, levelAtEdits(document, -2, random))
    expect(layoutsOf(lowest)).toEqual(['4: –', 'Base: –', '1: Floors', '2: Floors', '3: Floors', 'Roof: Roof'])
    const highest = after(document, levelAtEdits(document, 15, random))
    expect(layoutsOf(highest).slice(-2)).toEqual(['Roof: Roof', '4: –'])
    // where a level is there already
    expect(() => after(document, levelAtEdits(document, 6.005, random))).toThrow(/closer than 10 mm/)
  })

  test('levels that change places keep their layouts; one with a layout does not become the base', () => {
    const { document, at, other } = tower()
    const moved = (of: Document, name: string, elevation: number) => {
      const level = recordsOf(of, 'level').find((entry) => entry.name === name) ?? at(name)
      return after(of, elevationEdits(of, level, { ...level, elevation }, random))
    }
    expect(moved(document, '2', 6.3).records.get(at('2').id)).toMatchObject({ elevation: 6.3 })
    expect(elevationEdits(document, at('2'), { ...at('2'), elevation: 6.3 }, random)).toHaveLength(1)
    expect(layoutsOf(moved(document, 'Roof', 4))).toEqual([
      'Base: –',
      '1: Floors',
      'Roof: Roof',
      '2: Floors',
      '3: Floors',
    ])
    const own = after(document, layoutOfLevelEdits(document, at('1'), other.id, random))
    expect(layoutsOf(moved(own, '1', 7))).toEqual(['Base: –', '2: Floors', '1: Other', '3: Floors', 'Roof: Roof'])
    // back at its place, it is as before
    expect(layoutsOf(moved(moved(document, 'Roof', 4), 'Roof', 12))).toEqual(layoutsOf(document))
    expect(() => moved(document, '1', -3)).toThrow(/is the base and has no layout/)
    expect(() => moved(document, 'Base', 4)).toThrow(/is the base and has no layout/)
  })

  test('a level taken away leaves the layouts of the others; the base taken away makes the next one the base', () => {
    const { document, at } = tower()
    expect(layoutsOf(after(document, removeLevelEdits(document, at('2'), random)))).toEqual([
      'Base: –',
      '1: Floors',
      '3: Floors',
      'Roof: Roof',
    ])
    expect(layoutsOf(after(document, removeLevelEdits(document, at('1'), random)))[1]).toBe('2: Floors')
    expect(layoutsOf(after(document, removeLevelEdits(document, at('Base'), random)))).toEqual([
      '1: –',
      '2: Floors',
      '3: Floors',
      'Roof: Roof',
    ])
    expect(layoutsOf(after(document, removeLevelEdits(document, at('Roof'), random)))).toEqual([
      'Base: –',
      '1: Floors',
      '2: Floors',
      '3: Floors',
    ])
  })
})

describe('drawing', () => {
  const shapes: Readonly<Record<Tool, readonly (readonly [number, number])[]>> = {
    beam: [
      [0, 0],
      [6, 0],
    ],
    girder: [
      [0, 0],
      [0, 6],
    ],
    ...(Object.fromEntries(
      (
        [
          'joist',
          'rafter',
          'purlin',
          'truss',
          'wall',
          'strut',
          'girt',
          'tie',
          'chord',
          'trussMember',
          'stair',
          'barrier',
          'wallSurface',
          'stiffElement',
        ] as const
      ).map((tool) => [
        tool,
        [
          [0, 0],
          [6, 0],
        ],
      ]),
    ) as unknown as Readonly<
      Record<
        | 'joist'
        | 'rafter'
        | 'purlin'
        | 'truss'
        | 'wall'
        | 'strut'
        | 'girt'
        | 'tie'
        | 'chord'
        | 'trussMember'
        | 'stair'
        | 'barrier'
        | 'wallSurface'
        | 'stiffElement',
        [number, number][]
      >
    >),
    bentBeam: [
      [0, 0],
      [3, 1],
      [6, 0],
    ],
    slope: rectangle(0, 0, 6, 4),
    column: [[0, 0]],
    hanger: [[3, 3]],
    post: [[3, 3]],
    rakingColumn: [
      [3, 3],
      [4, 3],
    ],
    panelInRing: [[3, 2]],
    patchInRing: [[3, 2]],
    panel: rectangle(0, 0, 6, 4),
    opening: rectangle(1, 1, 2, 2),
    patch: rectangle(0, 0, 3, 4),
    areaLoad: rectangle(0, 0, 3, 4),
    reductionRegion: rectangle(0, 0, 3, 4),
    wallRun: [
      [0, 0],
      [6, 0],
      [6, 4],
    ],
    lineLoad: [
      [0, 0],
      [6, 0],
    ],
    pointLoad: [[3, 2]],
  }
  const draw = (tool: Tool, document: Document, layout: Layout, points = shapes[tool], closed = false) => {
    const made = drawRecord(tool, points, { document, layout, random, closed })
    if (!made.ok) throw new Error(made.problem)
    return made.record
  }

  test('barriers along walls: as high as a parapet, not as high as a wall of a storey', () => {
    const { building, floors } = tower()
    const parapet = building.wall(
      floors,
      [
        [0, 0],
        [6, 0],
      ],
      { height: 1.2 },
    )
    const wall = building.wall(
      floors,
      [
        [0, 4],
        [6, 4],
        [6, 0],
      ],
      { height: 3, closed: true },
    )
    const made = barriersAlong(building.document, [parapet, wall], random)
    expect(made).toMatchObject([
      { label: 'H1', path: parapet.path, closed: false, height: 1.2 },
      { label: 'H2', path: wall.path, closed: true, height: 1.1 },
    ])
  })

  test.each(Object.keys(tools) as readonly Tool[])('a %s is a legal record with a label of its own', (tool) => {
    const { building, floors } = tower()
    building.key(1000)
    building.sectionOf({ shape: 'rectangle', width: 0.24, depth: 1, area: 0.24 })
    // a ring of beams round the point where one is asked for
    eachEdge(rectangle(0, 0, 6, 4), (a, b) => building.beam(floors, a, b))
    const { document } = building
    const first = draw(tool, document, floors)
    const next = after(document, [{ id: first.id, before: null, after: first }])
    const second = draw(tool, next, floors)
    expect(second.label).not.toBe(first.label)
    expect(second.id).not.toBe(first.id)
    expect(() => after(next, [{ id: second.id, before: null, after: second }])).not.toThrow()
  })

  test.each(Object.keys(tools) as readonly Tool[])('a %s with a point too few is refused', (tool) => {
    const { document, floors } = tower()
    const points = shapes[tool].slice(0, leastPoints[tools[tool].shape] - 1)
    expect(drawRecord(tool, points, { document, layout: floors, random })).toMatchObject({
      ok: false,
      problem: expect.stringMatching(/needs \d points/),
    })
  })

  test('no ring round the point: it is said where it is likely open', () => {
    const { building, floors } = tower()
    building.beam(floors, [0, 0], [6, 0])
    building.beam(floors, [6, 0], [6, 4])
    building.beam(floors, [6, 4], [0, 4])
    building.beam(floors, [0, 4], [0, 0.35])
    const ground = { document: building.document, layout: floors, random }
    expect(drawRecord('panelInRing', [[3, 2]], ground)).toEqual({
      ok: false,
      problem: 'No closed bay of beams around this point. Two ends are 350 mm apart at 0.00 m east, 0.00 m north.',
    })
  })

  test('panels in all rings that none fills yet', () => {
    const { building, floors } = tower()
    for (const y of [0, 4]) building.beam(floors, [0, y], [12, y])
    for (const x of [0, 6, 12]) building.beam(floors, [x, 0], [x, 4])
    building.panel(floors, rectangle(0, 0, 6, 4))
    const made = panelsInRings(building.document, floors, random)
    expect(made.map(({ outline }) => Math.abs(signedArea(outline)))).toEqual([expect.closeTo(24, 6)])
    const all = after(
      building.document,
      made.map((record) => ({ id: record.id, before: null, after: record })),
    )
    expect(panelsInRings(all, floors, random)).toEqual([])
  })

  test('a ring that stands in another has its panel, and the outer one is filled round it, whichever comes first', () => {
    const { building, floors } = tower()
    for (const ring of [rectangle(0, 0, 12, 8), rectangle(4, 2, 8, 6)])
      ring.forEach((at, i) => building.beam(floors, at, ring[(i + 1) % 4] ?? at))
    const both = panelsInRings(building.document, floors, random)
    expect(both.map(({ outline }) => Math.round(Math.abs(signedArea(outline)))).sort((a, b) => a - b)).toEqual([16, 96])
    building.panel(floors, rectangle(4, 2, 8, 6))
    const outer = panelsInRings(building.document, floors, random)
    expect(outer.map(({ outline }) => Math.round(Math.abs(signedArea(outline))))).toEqual([96])
    building.records.push(...outer)
    expect(panelsInRings(building.document, floors, random)).toEqual([])
  })

  test('a member takes the section and material that most of its role have', () => {
    const { building, floors } = tower()
    const [deep, steel] = [building.sectionOf({ name: 'deep' }), building.material()]
    building.beam(floors, [0, 0], [6, 0], { section: deep.id, material: steel.id })
    building.beam(floors, [0, 1], [6, 1], { section: deep.id, material: steel.id })
    building.beam(floors, [0, 2], [6, 2])
    expect(draw('beam', building.document, floors)).toMatchObject({ section: deep.id, material: steel.id })
  })

  test('a panel spans and weighs as those beside it; a patch takes another key than the default and lies on top of the order', () => {
    const { building, floors } = tower()
    const key = building.key(1000)
    const concrete = building.material({ name: 'Concrete' })
    building.panel(floors, rectangle(0, 0, 6, 4), { spanAngle: 0.3, slab: { thickness: 0.2, material: concrete.id } })
    building.patch(floors, key, rectangle(0, 0, 1, 1), { order: 7 })
    expect(draw('panel', building.document, floors)).toMatchObject({ spanAngle: 0.3, slab: { thickness: 0.2 } })
    expect(draw('patch', building.document, floors)).toMatchObject({ order: 8, key: key.id, mode: 'insteadOf' })
  })

  test('a patch takes the key of the one before, else one that is no default of a layout, else any other', () => {
    const building = new Building()
    building.level('Base', 0)
    const [floor, roof, plant, paving] = ['Floor', 'Roof', 'Plant', 'Paving'].map((name) =>
      building.key(1000, { name }),
    )
    if (!floor || !roof || !plant || !paving) throw new Error('No key')
    const floors = building.layout('Floors', floor, building.level('1', 3))
    building.layout('Roof', roof, building.level('Roof', 6))
    const drawnKey = () => draw('patch', building.document, floors)
    expect(drawnKey()).toMatchObject({ key: paving.id })
    building.patch(floors, plant, rectangle(0, 0, 1, 1), { order: 3 })
    building.patch(floors, paving, rectangle(0, 0, 1, 1), { order: 2 })
    expect(drawnKey()).toMatchObject({ key: plant.id, order: 4 })
    const two = documentOf(
      [...building.records]
        .filter(({ id }) => id !== plant.id && id !== paving.id)
        .filter(({ kind }) => kind !== 'patch'),
    )
    expect(draw('patch', two, floors)).toMatchObject({ key: roof.id })
  })

  test('a wall run closes only where it has a corner; without a stock nothing can be drawn', () => {
    const { document, floors } = tower()
    expect(draw('wallRun', document, floors, shapes.wallRun, true)).toMatchObject({ closed: true })
    expect(draw('wallRun', document, floors, shapes.beam, true)).toMatchObject({ closed: false })
    const bare = documentOf([...document.records.values()].filter(({ kind }) => kind !== 'section'))
    expect(drawRecord('beam', shapes.beam, { document: bare, layout: floors, random })).toMatchObject({ ok: false })
    expect(drawRecord('patch', shapes.patch, { document, layout: floors, random })).toMatchObject({
      ok: false,
      problem: 'No load keys yet. Add one first.',
    })
  })

  test('the outline round all panels of a layout, the largest ring first', () => {
    const { building, floors } = tower()
    building.panel(floors, rectangle(0, 0, 2, 2))
    building.panel(floors, rectangle(5, 0, 9, 4))
    building.panel(floors, rectangle(5, 4, 9, 8))
    const [first, second] = layoutOutline(building.document, floors.id)
    expect(first).toHaveLength(4)
    expect(second).toHaveLength(4)
    expect(Math.max(...(first ?? []).map(([, y]) => y))).toBe(8)
  })
})

describe('values of the project’s own, and national sets', () => {
  const { document } = new Building()
  const valueIn = (doc: Document, key: string) => parameter(standardOf('EN', recordsOf(doc, 'layer')), key)

  test('the first own value makes the layer, the last one taken back removes it', () => {
    const one = after(document, ownValueEdits(document, 'basis.gamma_Q', 1.4, random))
    expect(valueIn(one, 'basis.gamma_Q')).toMatchObject({ value: 1.4, basis: { layer: 'this project' } })
    const two = after(one, ownValueEdits(one, 'wind.rho', 1.2, random))
    expect(recordsOf(two, 'layer')).toHaveLength(1)
    const back = after(two, ownValueEdits(two, 'basis.gamma_Q', null, random))
    expect(valueIn(back, 'basis.gamma_Q').value).toBe(1.5)
    expect(recordsOf(after(back, ownValueEdits(back, 'wind.rho', null, random)), 'layer')).toEqual([])
  })

  test('a national set is embedded whole, changed for another, and put away', () => {
    const [germany] = shippedSets.EN
    if (!germany) throw new Error('no set')
    const german = after(document, nationalSetEdits(document, germany, random))
    expect(valueIn(german, 'wind.terrain.IV.z_min').value).toBe(16)
    const again = after(german, nationalSetEdits(german, germany, random))
    expect(recordsOf(again, 'layer')).toHaveLength(1)
    expect(recordsOf(after(again, nationalSetEdits(again, null, random)), 'layer')).toEqual([])
    expect(nationalSetEdits(document, null, random)).toEqual([])
  })
})
