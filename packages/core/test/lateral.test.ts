import fc from 'fast-check'
import { holds } from './holds'
import { concernsOf } from '../src/concerns/concernsOf'
import { balanceOf } from '../src/derivation/balance'
import { levelMasses } from '../src/derivation/masses'
import type { ProjectState } from '../src/derivation/project'
import { documentOf, recordsOf } from '../src/document/document'
import { expanded } from '../src/document/labels'
import { applyChange } from '../src/document/changes'
import { removeLevelEdits } from '../src/editing/levels'
import { effectKey, effectsOf } from '../src/derivation/effects'
import { csvFiles } from '../src/exchange/csv'
import { resultsJson, stiffElementRows, storeyRows } from '../src/exchange/results'
import type { Point } from '../src/geometry/point'
import { ask } from '../src/queries/derive'
import { Building } from './build'
import { rectangle } from './shapes'

const line = (a: Point, b: Point): readonly Point[] => [a, b]

/** A floor of 12 by 8 m on four columns at 3 and 6 m, one layout on both; the storey forces are typed. */
function tower(...forces: readonly number[]) {
  const building = new Building()
  const levels = ['Base', '1', '2'].map((name, i) => building.level(name, 3 * i))
  const [base, first, top] = levels
  if (!base || !first || !top) throw new Error('levels')
  const concrete = building.material({ unitWeight: 25_000, elasticModulus: 30e9 })
  const layout = building.layout('Floor', null, first, top)
  /** The floor on the lower level only, and another one above. */
  const parted = () => {
    const range = recordsOf(documentOf(building.records), 'levelRange').find((entry) => entry.layout === layout.id)
    if (!range) throw new Error('range')
    building.records.splice(building.records.indexOf(range), 1, { ...range, to: first.id })
    const upper = building.layout('Upper', building.key(0, { additionalSeismicMass: 1000 }), top)
    building.panel(upper, rectangle(0, 0, 12, 8))
    return upper
  }
  for (const at of rectangle(0, 0, 12, 8)) building.column(layout, at)
  building.panel(layout, rectangle(0, 0, 12, 8), { slab: { thickness: 0.2, material: concrete.id } })
  const push = building.storeyForces({
    forces: [first, top].flatMap(({ id }, i) => (forces[i] === undefined ? [] : [{ level: id, force: forces[i] }])),
  })
  return { building, layout, base, first, top, push, concrete, parted, caseId: `lateral/${push.id.slice(13)}` }
}

const lateral = (state: ProjectState, caseId: string) => {
  const view = ask(state, { kind: 'lateral', caseId })
  if (!view) throw new Error(caseId)
  return view
}
const storey = (state: ProjectState, caseId: string, level: string) => {
  const found = lateral(state, caseId).storeys.find((entry) => entry.level === level)
  if (!found) throw new Error(level)
  // records come by id: here by label
  return { ...found, elements: [...found.elements].sort((a, b) => (a.label < b.label ? -1 : 1)) }
}
/** Of storeys and stiff elements only: the floors here have no beams. */
const codes = (state: ProjectState) =>
  concernsOf(state).flatMap(({ code }) => (/^(storey|stiffElement)\./.test(code) ? [code] : []))

describe('storey forces by weight', () => {
  test('a tenth of what counts for the mass, at the centre of mass, or as typed', () => {
    const { building, caseId, first } = tower(50_000)
    const state = building.state()
    // slab 12 · 8 · 0.2 · 25 = 480 kN, columns without weight
    expect(levelMasses(state).map(({ weight }) => Math.round(weight))).toEqual([480_000, 480_000])
    const rows = storeyRows(state).filter((row) => row.case === caseId)
    expect(rows.map(({ level, fx, fy, x, y, z }) => [level, fx, fy, x, y, z])).toEqual([
      ['1', 50_000, 0, expect.closeTo(6, 9), expect.closeTo(4, 9), 3],
      ['2', expect.closeTo(48_000, 6), 0, expect.closeTo(6, 9), expect.closeTo(4, 9), 6],
    ])
    const [top, typed] = [rows[1]?.id ?? '', first.id].map((id) =>
      ask(state, { kind: 'why', address: `storeyForce:${caseId}@${id}` }),
    )
    expect(top?.value).toBeCloseTo(48_000, 6)
    expect(top?.basis).toMatchObject({ kind: 'formula', expression: 'mu * W' })
    expect(typed?.basis).toEqual({ kind: 'given', from: 'entered for “push”' })
    expect(ask(state, { kind: 'why', address: `applied:${caseId}` })?.value).toBeCloseTo(98_000, 6)
  })

  test('past the centre of mass, to the left of the way they push', () => {
    const { building, push } = tower(1000, 1000)
    building.records.splice(building.records.indexOf(push), 1, { ...push, angle: Math.PI / 2, aside: 0.6 })
    const [row] = storeyRows(building.state())
    expect(row?.fx).toBeCloseTo(0, 9)
    expect(row?.fy).toBeCloseTo(1000, 9)
    expect(row?.x).toBeCloseTo(6 - 0.6, 9)
  })

  test('they are in no combination and in no balance of gravity', () => {
    const { building, caseId } = tower(1000, 1000)
    const state = building.state()
    expect(state.caseIds).toContain(caseId)
    expect(JSON.stringify(resultsJson(state, 'combinations'))).not.toContain('lateral')
    expect(balanceOf(state, 'permanent/self-weight').handedOn).toBeNull()
  })

  test('a level taken away takes the force that was typed on it with it', () => {
    const { building, top } = tower(1000, 2000)
    const { document } = building
    const edits = removeLevelEdits(document, top, building.random)
    const after = applyChange(document, { id: 'a', seen: 0, note: '', edits })
    if (!after.ok) throw new Error('refused')
    expect(recordsOf(after.document, 'storeyForces')[0]?.forces.map(({ force }) => force)).toEqual([1000])
  })
})

describe('shared by stiff elements, by hand', () => {
  /** Along X at y = 0 with 3 parts and at y = 8 with 1; two along Y. */
  const braced = (...forces: readonly number[]) => {
    const made = tower(...forces)
    const { building, layout } = made
    const south = building.stiffElement(layout, line([4, 0], [8, 0]), { stiffness: 3e8 })
    const north = building.stiffElement(layout, line([8, 8], [4, 8]), { stiffness: 1e8 })
    const west = building.stiffElement(layout, line([0, 2], [0, 6]), { stiffness: 2e8 })
    const east = building.stiffElement(layout, line([12, 2], [12, 6]), { stiffness: 2e8 })
    return { ...made, south, north, west, east }
  }

  test('40 kN over 20 kN: 40 under the top, 60 under the first; T = 40 · 2 m east of the centre at y = 2', () => {
    const { building, caseId, south } = braced(20_000, 40_000)
    const state = building.state()
    const top = storey(state, caseId, '2')
    expect(top.centreOfStiffness).toEqual([expect.closeTo(6, 9), expect.closeTo(2, 9)])
    expect(top.centreOfMass).toEqual([expect.closeTo(6, 9), expect.closeTo(4, 9)])
    expect(top.torsion).toBeCloseTo(-80_000, 4)
    // east through the centre of mass: its line of action is at y = 4
    expect(top.at).toEqual([expect.closeTo(6, 9), expect.closeTo(4, 9)])
    // J / 1e8 = 3 · 4 + 1 · 36 + 2 · 2 · 36 = 192; arms: -y of the walls along X, x of those along Y
    const forces = top.elements.map(({ force }) => [force?.direct ?? NaN, force?.turning ?? NaN])
    expect(forces.flat().map((value) => Math.round(value) + 0)).toEqual([
      30_000, -2500, 10_000, 2500, 0, 5000, 0, -5000,
    ])
    const first = storey(state, caseId, '1')
    expect(first.shear.fx).toBeCloseTo(60_000, 6)
    expect(first.elements[0]?.force?.shear).toBeCloseTo(1.5 * 27_500, 6)
    // 27.5 · 3 = 82.5 kNm under the top storey, and 41.25 · 3 more at the base
    expect(top.elements[0]?.moment).toBeCloseTo(82_500, 4)
    expect(first.elements[0]?.moment).toBeCloseTo(82_500 + 123_750, 4)
    const address = `${expanded(south.id, first.levelId)}:${caseId}`
    expect(ask(state, { kind: 'why', address: `element:${address}` })?.value).toBeCloseTo(41_250, 6)
    expect(ask(state, { kind: 'why', address: `elementMoment:${address}` })?.value).toBeCloseTo(206_250, 4)
    const direct = ask(state, { kind: 'why', address: `element:${address}` })?.basis
    expect(direct).toMatchObject({
      kind: 'sum',
      terms: [
        {
          value: expect.closeTo(45_000, 6) as number,
          traced: { basis: { kind: 'formula', expression: 'V_t * k / k_sum' } },
        },
        {
          value: expect.closeTo(-3750, 6) as number,
          traced: { basis: { kind: 'formula', expression: 'T * k * r / J' } },
        },
      ],
    })
  })

  test('all of it reaches the ground, in the balance, the file and the table', () => {
    const { building, caseId } = braced(20_000, 40_000)
    const state = building.state()
    expect(balanceOf(state, caseId)).toEqual({
      caseId,
      applied: 60_000,
      onMembers: 0,
      atSupports: expect.closeTo(60_000, 6) as number,
      notCarried: 0,
      handedOn: 'stiffElements',
    })
    const rows = stiffElementRows(state).filter(({ level }) => level === '1')
    expect(rows.reduce((sum, { fx }) => sum + fx, 0)).toBeCloseTo(60_000, 6)
    expect(rows.reduce((sum, { fy }) => sum + fy, 0)).toBeCloseTo(0, 6)
    const [file] = csvFiles(state, 'lateralElements')
    expect(file?.text.split('\n')[0]).toContain('Fx [kN]')
    expect(file?.text.trim().split('\n')).toHaveLength(1 + 8)
    expect(codes(state)).toEqual([])
  })

  test('they are effects that envelopes know', () => {
    const { building, south, top, caseId } = braced(20_000, 40_000)
    const state = building.state()
    const effect = effectsOf(state, 'elementShear').find((entry) => entry.expandedId === expanded(south.id, top.id))
    expect(effect && effectKey(effect)).toBe(`elementShear:${expanded(south.id, top.id)}:V`)
    expect(effect?.values[state.caseIds.indexOf(caseId)]).toBeCloseTo(27_500, 6)
    expect(ask(state, { kind: 'envelopes', set: 'strength', effects: 'elementShear' })).toHaveLength(8)
  })

  test('without any, storey forces are handed on as they are', () => {
    const { building, caseId } = tower(20_000, 40_000)
    const state = building.state()
    expect(balanceOf(state, caseId)).toMatchObject({ applied: 60_000, atSupports: 0, handedOn: 'storeyForces' })
    expect(stiffElementRows(state)).toEqual([])
    expect(codes(state)).toEqual([])
  })
})

describe('estimated stiffness', () => {
  const wallOf = (more: Parameters<Building['stiffElement']>[2], walls: 'bending' | 'bendingAndShear' = 'bending') => {
    const { building, layout, concrete, caseId, top } = tower(0, 10_000)
    building.records.splice(0, 1, { ...building.basis, wallStiffness: walls })
    const section = building.sectionOf({ area: 0.0025 })
    const element = building.stiffElement(layout, line([0, 0], [4, 0]), {
      sort: 'wall',
      material: concrete.id,
      ...more,
      ...(more?.section === undefined ? {} : { section: section.id }),
    })
    return { state: building.state(), caseId, address: `stiffness:${expanded(element.id, top.id)}` }
  }

  test('a wall of 4 m and 200 mm over 3 m: 12 · 30e9 · (0.2 · 4³ / 12) / 27 = 14.2 GN/m, with shear 2.25 GN/m', () => {
    const why = ({ state, address }: ReturnType<typeof wallOf>) => ask(state, { kind: 'why', address })?.value
    expect(why(wallOf({}))).toBeCloseTo((12 * 30e9 * ((0.2 * 64) / 12)) / 27, 0)
    expect(why(wallOf({}, 'bendingAndShear'))).toBeCloseTo((30e9 * 0.2) / (0.75 ** 3 + 3 * 0.75), 0)
  })

  test('3-4-5: a diagonal of 25 cm² over 3 m of height and 4 m of bay holds E A · 0.8² / 5', () => {
    const made = wallOf({ sort: 'bracing', section: null })
    expect(ask(made.state, { kind: 'why', address: made.address })?.value).toBeCloseTo((30e9 * 0.0025 * 0.64) / 5, 0)
  })

  test('bracing without a section holds nothing, and that is said', () => {
    const { building, layout } = tower(0, 10_000)
    building.stiffElement(layout, line([0, 0], [4, 0]), { sort: 'bracing' })
    expect(codes(building.state())).toEqual(expect.arrayContaining(['stiffElement.no-section', 'storey.unheld']))
  })
})

describe('what is missing is said and counted', () => {
  test('a storey that nothing holds keeps what comes from above; below it the rest goes on', () => {
    const { building, layout, push, caseId } = tower(20_000, 40_000)
    const roof = building.level('3', 9)
    // a slab without weight has no mass: it is given some
    const other = building.layout('Soft', building.key(0, { additionalSeismicMass: 1000 }), roof)
    building.column(other, [0, 0])
    building.panel(other, rectangle(0, 0, 12, 8))
    building.stiffElement(layout, line([0, 4], [4, 4]))
    building.stiffElement(layout, line([0, 0], [0, 4]))
    building.stiffElement(layout, line([12, 0], [12, 4]))
    const with3 = { ...push, forces: [...push.forces, { level: roof.id, force: 10_000 }] }
    building.records.splice(building.records.indexOf(push), 1, with3)
    const state = building.state()
    expect(storey(state, caseId, '3').unheld).toBe('nothing')
    expect(storey(state, caseId, '1').shear.fx).toBeCloseTo(60_000, 6)
    expect(balanceOf(state, caseId)).toMatchObject({ applied: 70_000, notCarried: 10_000 })
    expect(balanceOf(state, caseId).atSupports).toBeCloseTo(60_000, 6)
    expect(concernsOf(state).filter(({ code }) => code === 'storey.unheld')).toMatchObject([{ about: [roof.id] }])
  })

  test('an element that ends over the base hands its force on and leaves its moment, which is said', () => {
    const { building, layout, parted, caseId } = tower(0, 10_000)
    const upper = parted()
    building.stiffElement(upper, line([4, 4], [8, 4]))
    building.stiffElement(layout, line([4, 2], [8, 2]))
    building.stiffElement(layout, line([4, 6], [8, 6]))
    const state = building.state()
    expect(storey(state, caseId, '1').elements.map(({ force }) => force?.shear)).toEqual([
      expect.closeTo(5000, 6),
      expect.closeTo(5000, 6),
    ])
    expect(storey(state, caseId, '1').elements[0]?.moment).toBeCloseTo(15_000, 6)
    expect(codes(state)).toContain('stiffElement.on-nothing')
  })

  test('a moment over two elements goes to both by length', () => {
    const { building, layout, parted, caseId } = tower(0, 12_000)
    const upper = parted()
    building.stiffElement(upper, line([2, 4], [8, 4]))
    building.stiffElement(layout, line([2, 4], [4, 4]))
    building.stiffElement(layout, line([4, 4], [8, 4]))
    const [a, b] = storey(building.state(), caseId, '1').elements
    // 12 · 3 = 36 kNm, a third and two thirds; then half of the shear each over 3 m
    expect(a?.moment).toBeCloseTo(12_000 + 18_000, 4)
    expect(b?.moment).toBeCloseTo(24_000 + 18_000, 4)
  })
})

test('what stands beside a lower floor goes down past it, over its whole height', () => {
  const building = new Building()
  const [, low, high] = ['Base', 'Low', 'High'].map((name, i) => building.level(name, 3 * i))
  if (!low || !high) throw new Error('levels')
  const key = building.key(0, { additionalSeismicMass: 1000 })
  const [hall, house] = [building.layout('Hall', key, low), building.layout('House', key, high)]
  building.panel(hall, rectangle(20, 0, 30, 8))
  building.panel(house, rectangle(0, 0, 12, 8))
  const push = building.storeyForces({
    forces: [
      { level: low.id, force: 3000 },
      { level: high.id, force: 8000 },
    ],
  })
  building.stiffElement(hall, line([22, 4], [28, 4]))
  building.stiffElement(house, line([2, 4], [8, 4]), { sort: 'wall', material: building.material().id })
  const caseId = `lateral/${push.id.slice(13)}`
  const state = building.state()
  const [top, bottom] = lateral(state, caseId).storeys
  expect(top).toMatchObject({ level: 'High', height: 6 })
  expect(top?.elements[0]?.moment).toBeCloseTo(8000 * 6, 6)
  expect(bottom?.elements.map(({ label, force }) => [label, force?.shear])).toEqual([['E1', expect.closeTo(3000, 6)]])
  expect(balanceOf(state, caseId).atSupports).toBeCloseTo(11_000, 6)
  expect(codes(state)).toEqual([])
})

test('laws: force and moment of every storey are held, whatever stands there; all reaches the ground', () => {
  const place = fc.tuple(fc.integer({ min: 0, max: 24 }), fc.integer({ min: 0, max: 16 }))
  let held = 0
  const element = fc.record({ from: place, to: place, k: fc.integer({ min: 1, max: 90 }) })
  holds(
    fc.property(
      fc.array(element, { minLength: 1, maxLength: 7 }),
      fc.integer({ min: -90, max: 90 }),
      fc.integer({ min: 0, max: 35 }),
      (elements, kilo, angle) => {
        const { building, layout, push, caseId } = tower(1000 * kilo, 7000)
        building.records.splice(building.records.indexOf(push), 1, { ...push, angle: (angle * Math.PI) / 18 })
        for (const { from, to, k } of elements)
          building.stiffElement(layout, line([from[0] / 2, from[1] / 2], [to[0] / 2, to[1] / 2]), {
            stiffness: k * 1e7,
          })
        const state = building.state()
        const view = lateral(state, caseId)
        for (const { residual } of view.storeys) expect(residual).toBeLessThan(1e-7)
        held += view.unheld === 0 ? 1 : 0
        expect(Math.abs(view.total - view.atFoot - view.intoGround - view.unheld)).toBeLessThan(1e-6 * 1e5)
        const { applied, atSupports, notCarried } = balanceOf(state, caseId)
        expect(Math.abs(applied - atSupports - notCarried)).toBeLessThan(1e-6 * 1e5)
      },
    ),
  )
  expect(held).toBeGreaterThan(20)
})
