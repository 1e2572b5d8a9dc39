import fc from 'fast-check'
import { holds } from '../../test/holds'
import { Building } from '../../test/build'
import { rectangle } from '../../test/shapes'
import { ringsOf } from '../building/rings'
import { sameOutline } from '../building/panelEdges'
import { withEdits, type Edit } from '../document/changes'
import { newId, recordsOf, seededRandom, type Document } from '../document/document'
import type { Layout, Member, Panel, Rec } from '../document/recordKinds'
import type { Point } from '../geometry/point'
import { signedArea } from '../geometry/polygon'
import { withPanelsFollowing } from './followRings'
import { gridMoveEdits } from './gridMove'
import { panelsInRings } from './panelsInRings'

const random = seededRandom(3)

/** Two bays of 6 m by 4 m, their long sides in one piece each, with a panel in both rings of beams. */
function twoBays(edges: Panel['edges'] = 'ring') {
  const building = new Building()
  building.level('Base', 0)
  const level = building.level('1', 3)
  const floors = building.layout('Floors', null, level)
  const south = building.beam(floors, [0, 0], [12, 0])
  const north = building.beam(floors, [0, 4], [12, 4])
  const [west, middle, east] = [0, 6, 12].map((x) => building.beam(floors, [x, 0], [x, 4])) as [Member, Member, Member]
  const first = building.panel(floors, rectangle(0, 0, 6, 4), { edges })
  const second = building.panel(floors, rectangle(6, 0, 12, 4), { edges })
  return { building, floors, beams: { south, north, west, middle, east }, first, second }
}

const moved = (beam: Member, path: readonly Point[]): Edit => ({ id: beam.id, before: beam, after: { ...beam, path } })
const gone = (record: Rec): Edit => ({ id: record.id, before: record, after: null })
const come = (record: Rec): Edit => ({ id: record.id, before: null, after: record })
const between = (like: Member, path: readonly Point[]): Member => ({ ...like, id: newId('member', random), path })

const apply = (document: Document, edits: readonly Edit[]): Document =>
  withEdits(document, withPanelsFollowing(document, edits, random))

/** Areas of the panels, by label. */
const areas = (document: Document): Readonly<Record<string, number>> =>
  Object.fromEntries(
    recordsOf(document, 'panel').map(({ label, outline }) => [label, Number(Math.abs(signedArea(outline)).toFixed(6))]),
  )

test('panels go along when the beam between them moves', () => {
  const { building, beams } = twoBays()
  const after = apply(building.document, [
    moved(beams.middle, [
      [7, 0],
      [7.5, 4],
    ]),
  ])
  // 4 · (7 + 7.5)/2 = 29, and 48 - 29
  expect(areas(after)).toEqual({ P1: 29, P2: 19 })
})

test('a beam across parts a panel: the larger part keeps its name, the other is a copy', () => {
  const { building, beams, first } = twoBays()
  const cross = between(beams.middle, [
    [2, 0],
    [2, 4],
  ])
  const parted = apply(building.document, [come(cross)])
  expect(areas(parted)).toEqual({ P1: 16, P2: 24, P3: 8 })
  expect(recordsOf(parted, 'panel').find(({ label }) => label === 'P3')).toMatchObject({
    origin: first.id,
    edges: 'ring',
    spanAngle: first.spanAngle,
  })
  // and taken away again it is one
  expect(areas(apply(parted, [gone(cross)]))).toEqual({ P1: 24, P2: 24 })
})

test('a panel over several rings has the border of them all, whatever lies inside', () => {
  const { building, floors, beams } = twoBays('rings')
  const joist = between(beams.middle, [
    [3, 0],
    [3, 4],
  ])
  const parted = apply(building.document, [come(joist)])
  expect(areas(parted)).toEqual({ P1: 24, P2: 24 })
  const out = { ...beams.west, layout: floors.id }
  const wider = [
    moved(out, [
      [-1, 0],
      [-1, 4],
    ]),
    moved(beams.south, [
      [-1, 0],
      [12, 0],
    ]),
    moved(beams.north, [
      [-1, 4],
      [12, 4],
    ]),
  ]
  expect(areas(apply(parted, wider))).toEqual({ P1: 28, P2: 24 })
  // the beam between two such panels gone: neither takes the other's floor, and both are there when it is drawn again
  const [uneven] = [
    apply(building.document, [
      moved(beams.middle, [
        [7, 0],
        [7, 4],
      ]),
    ]),
  ]
  const middle = recordsOf(uneven, 'member').find(({ id }) => id === beams.middle.id)
  const parting = apply(uneven, middle ? [gone(middle)] : [])
  expect(areas(parting)).toEqual({ P1: 28, P2: 20 })
  expect(areas(apply(parting, middle ? [come(middle)] : []))).toEqual({ P1: 28, P2: 20 })
})

test('beams that no longer close round a panel leave it as it was, and its ring closed again takes it back', () => {
  const { building, beams } = twoBays()
  const opened = apply(building.document, [gone(beams.west)])
  expect(areas(opened)).toEqual({ P1: 24, P2: 24 })
  const slanting = between(beams.west, [
    [0, 0],
    [1, 4],
  ])
  expect(areas(apply(opened, [come(slanting)]))).toEqual({ P1: 22, P2: 24 })
})

test('a panel that is moved by hand follows no longer; with its beams it goes on', () => {
  const { building, first, beams } = twoBays()
  const by: Edit = { id: first.id, before: first, after: { ...first, outline: rectangle(0, 0, 5, 4) } }
  const alone = apply(building.document, [by])
  expect(alone.records.get(first.id)).toMatchObject({ edges: 'drawn' })
  const both = apply(building.document, [
    by,
    moved(beams.middle, [
      [5, 0],
      [5, 4],
    ]),
  ])
  expect(both.records.get(first.id)).toMatchObject({ edges: 'ring' })
  expect(areas(both)).toEqual({ P1: 20, P2: 28 })
})

test('a grid line takes beams and panels along, and nothing is edited twice', () => {
  const { building } = twoBays()
  const line = building.grid('x', '2', 6)
  const edits = withPanelsFollowing(building.document, gridMoveEdits(building.document, line, 5, true), random)
  expect(new Set(edits.map(({ id }) => id)).size).toBe(edits.length)
  expect(areas(withEdits(building.document, edits))).toEqual({ P1: 20, P2: 28 })
})

test('what is drawn stays as drawn, and columns that rake close no ring', () => {
  const { building, floors, beams, first } = twoBays('drawn')
  building.member(floors, 'column', [
    [0, 0],
    [6, 4],
  ])
  const after = apply(building.document, [
    moved(beams.middle, [
      [7, 0],
      [7, 4],
    ]),
  ])
  expect(after.records.get(first.id)).toEqual(first)
  expect(panelsInRings(building.document, floors, random)).toEqual([])
})

describe('layouts where every ring has a floor', () => {
  const asked = (document: Document, layout: Layout): Document =>
    apply(document, [{ id: layout.id, before: layout, after: { ...layout, floors: 'everyRing' } }])

  test('rings without one get it at once, voids do not; later each ring that comes to be', () => {
    const { building, floors, beams, first } = twoBays()
    const bare = withEdits(building.document, [gone(first)])
    const full = asked(bare, floors)
    expect(Object.values(areas(full))).toEqual([24, 24])
    const beyond = [
      between(beams.south, [
        [12, 0],
        [15, 0],
      ]),
      between(beams.south, [
        [12, 4],
        [15, 4],
      ]),
      between(beams.south, [
        [15, 0],
        [15, 4],
      ]),
    ]
    expect(Object.values(areas(apply(full, beyond.map(come)))).sort()).toEqual([12, 24, 24])
    const opening = { kind: 'opening', id: newId('opening', random), layout: floors.id, label: 'V1' } as const
    const voided = withEdits(bare, [come({ ...opening, outline: rectangle(0.1, 0, 6, 4) })])
    expect(Object.values(areas(asked(voided, floors)))).toEqual([24])
  })

  test('a ring whose panel was taken away stays open, also when its beams move', () => {
    const { building, floors, beams, first } = twoBays()
    const full = asked(building.document, floors)
    const without = apply(full, [gone(first)])
    expect(areas(without)).toEqual({ P2: 24 })
    const after = apply(without, [
      moved(beams.middle, [
        [7, 0],
        [7, 4],
      ]),
    ])
    expect(areas(after)).toEqual({ P2: 20 })
  })
})

// law: where every ring has a floor, the panels are the rings, whatever beams come, go and move inside the outer ones
test('beams that come, go and move leave one panel a ring', () => {
  const at = fc.integer({ min: 1, max: 39 })
  const step = fc.record({
    what: fc.constantFrom('come', 'go', 'move'),
    upright: fc.boolean(),
    from: at,
    to: at,
    which: fc.nat(50),
  })
  holds(
    fc.property(fc.array(step, { minLength: 1, maxLength: 8 }), (steps) => {
      const building = new Building()
      building.level('Base', 0)
      const floors = building.layout('Floors', null, building.level('1', 3))
      const corners = rectangle(0, 0, 40, 40)
      corners.forEach((a, i) => building.beam(floors, a, corners[(i + 1) % 4] ?? a))
      const outer = new Set(building.document.records.keys())
      const like = recordsOf(building.document, 'member')[0] as Member
      let document = apply(building.document, [
        { id: floors.id, before: floors, after: { ...floors, floors: 'everyRing' } },
      ])
      for (const { what, upright, from, to, which } of steps) {
        const path: readonly Point[] = upright
          ? [
              [from, 0],
              [to, 40],
            ]
          : [
              [0, from],
              [40, to],
            ]
        const inner = recordsOf(document, 'member').filter(({ id }) => !outer.has(id))
        const picked = inner[which % Math.max(inner.length, 1)]
        if (what === 'come' || !picked) document = apply(document, [come(between(like, path))])
        else document = apply(document, [what === 'go' ? gone(picked) : moved(picked, path)])
      }
      const rings = ringsOf(recordsOf(document, 'member').map(({ path: [a = [0, 0], b = [0, 0]] }) => ({ a, b })))
      const panels = recordsOf(document, 'panel')
      expect(panels).toHaveLength(rings.length)
      for (const ring of rings) expect(panels.filter(({ outline }) => sameOutline(outline, ring))).toHaveLength(1)
    }),
    { numRuns: 150 },
  )
})
