import { Memo } from '../src/derivation/memo'
import { deriveProject } from '../src/derivation/project'
import { expanded } from '../src/document/labels'
import { emptyDocument, recordsOf } from '../src/document/document'
import { regionArea } from '../src/geometry/polygon'
import { ask, derive, type Query } from '../src/queries/derive'
import { bay, Building, oneStorey } from './build'
import { demoDocument } from './demo'
import { rectangle } from './shapes'

const document = demoDocument()
const demo = deriveProject(new Memo(), document)
const levelNamed = (name: string) => {
  const found = recordsOf(document, 'level').find((level) => level.name === name)
  if (!found) throw new Error(name)
  return found
}
const memberNamed = (label: string, level: string) => {
  const { layoutId } = demo.levels.find(({ level: { name } }) => name === level) ?? {}
  const found = recordsOf(document, 'member').find((member) => member.label === label && member.layout === layoutId)
  if (!found) throw new Error(label)
  return expanded(found.id, levelNamed(level).id)
}
const imposed = 'imposed/C'

describe('the overview says what each step shows first', () => {
  const { figures, levels, actions, layers, residual, concerns } = ask(demo, { kind: 'overview' })

  test('hand: floor area 2 · (388.8 − 9 + 9 of stairs in the void + 25.92) + 388.8 + 5.4 m² and the hall of 24 · 12 m; four levels; 13 cases', () => {
    expect(figures.area).toBeCloseTo(2 * (388.8 - 9 + 9 + 25.92) + 394.2 + 24 * 12, 3)
    expect(figures).toMatchObject({ storeys: 4, cases: 13, combinations: expect.stringMatching(/^\d+$/) })
    expect(levels.map(({ name, storeyHeight }) => [name, Number(storeyHeight.toFixed(3))])).toEqual([
      ['Base', 0],
      ['Ground', 0.6],
      ['1', 4.2],
      ['Eaves', 1.8],
      ['2', 1.8],
      ['Roof', 3.6],
    ])
    expect(layers).toEqual(['EN, recommended values'])
    expect(residual).toBeLessThan(1e-12)
    expect(concerns.every(({ sentence }) => sentence.endsWith('.'))).toBe(true)
  })

  test('figures agree with what the steps say in full', () => {
    const balances = actions.flatMap(({ cases }) => cases.map(({ balance }) => balance))
    expect(figures.notCarried).toBeCloseTo(
      balances.reduce((sum, { notCarried }) => sum + notCarried, 0),
      6,
    )
    const permanent = actions.find(({ id }) => id === 'permanent')?.cases ?? []
    expect(figures.permanent).toBeCloseTo(
      permanent.reduce((sum, { balance }) => sum + balance.applied, 0),
      6,
    )
    const envelopes = ask(demo, { kind: 'envelopes', set: 'strength', effects: 'reaction' })
    expect(figures.mostReaction?.value).toBeCloseTo(Math.max(...envelopes.map(({ most }) => most)), 6)
    const rules = ask(demo, { kind: 'rules', list: null })
    expect(figures.combinations).toBe(String(rules.reduce((sum, { count }) => sum + Number(count), 0)))
    expect(figures.peakPressure?.value).toBe(ask(demo, { kind: 'windProfile' })?.topPressure)
  })
})

describe('a floor as the plan draws it', () => {
  const floor = ask(demo, { kind: 'floor', levelId: levelNamed('1').id, caseId: imposed })
  if (!floor) throw new Error('no floor')

  test('regions cover the net area once, with key and pressure', () => {
    const area = floor.regions.reduce((sum, region) => sum + region.area, 0)
    expect(area).toBeCloseTo(388.8 - 9 + 25.92, 3)
    for (const { region, area: stated, keyName, pressure } of floor.regions) {
      expect(regionArea(region)).toBeCloseTo(stated, 9)
      expect(pressure).toBe({ 'Reading room': 3000, 'Book store': 0, Balcony: 5000 }[keyName])
    }
  })

  test('common practice: an inner beam of equal bays carries twice the edge beam', () => {
    const [edge, inner] = ['B1', 'B3'].map((label) => floor.beams.find((beam) => beam.label === label))
    const line = (beam: typeof edge) => beam?.lines[0]?.[2] ?? NaN
    expect(line(inner)).toBeCloseTo(2 * 3000 * 1.5, 6)
    expect(line(inner)).toBeCloseTo(9000, 6)
    // the edge beam at A carries half of its bay; the balcony beyond it reaches it too
    expect(edge?.lines.length).toBeGreaterThan(0)
  })

  test('a level without layout, or none at all, has no plan', () => {
    expect(ask(demo, { kind: 'floor', levelId: levelNamed('Base').id, caseId: imposed })).toBeNull()
    expect(ask(demo, { kind: 'floor', levelId: 'level:none', caseId: imposed })).toBeNull()
  })
})

describe('the sheets of a member, a column, a panel', () => {
  test('what feeds a girder: the beams on it and the panels behind them', () => {
    const view = ask(demo, { kind: 'member', expandedId: memberNamed('G1', '1'), caseId: imposed })
    expect(view?.feeding.beams.length).toBeGreaterThan(1)
    expect(view?.feeding.panels.length).toBeGreaterThan(0)
    expect(Math.abs(view?.residual ?? NaN)).toBeLessThan(1e-6)
  })

  test('one fixed end takes the moment: no residual of moment is claimed', () => {
    const { building, layout, top } = oneStorey()
    building.column(layout, [0, 0])
    const beam = building.beam(layout, [0, 0], [2, 0], { startRelease: 'fixed' })
    const view = ask(building.state(), { kind: 'member', expandedId: expanded(beam.id, top.id), caseId: imposed })
    expect(view?.residualMoment).toBeNull()
  })

  test('who takes which part of a panel adds up to all of it', () => {
    const panel = recordsOf(document, 'panel').find(({ label }) => label === 'P1')
    const view = ask(demo, {
      kind: 'panel',
      expandedId: expanded(panel?.id ?? '', levelNamed('1').id),
      caseId: imposed,
    })
    if (!view) throw new Error('no panel')
    expect(view.takers.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9)
    expect(view.takers.reduce((sum, { force }) => sum + force, 0)).toBeCloseTo(view.applied - view.notCarried, 6)
  })

  test('what a column stands on', () => {
    const building = new Building()
    building.level('Base', 0)
    const [first, second] = [building.level('1', 3), building.level('2', 6)]
    const [lower, upper] = [building.layout('L', null, first), building.layout('U', null, second)]
    for (const at of [
      [0, 0],
      [6, 0],
    ] as const)
      building.column(lower, at)
    building.beam(lower, [0, 0], [6, 0])
    // a floor without a beam stops the third column
    building.panel(lower, rectangle(2, 2, 4, 4))
    const [onColumn, onBeam, onNothing] = (
      [
        [0, 0],
        [3, 0],
        [3, 3],
      ] as const
    ).map((at) => building.column(upper, at))
    const state = building.state()
    const standsOn = (id: string | undefined) =>
      ask(state, { kind: 'column', expandedId: expanded(id ?? '', second.id), caseId: imposed })?.standsOn
    expect([onColumn, onBeam, onNothing].map((column) => standsOn(column?.id))).toEqual(['base', 'beam', 'nothing'])
  })
})

describe('the building in elevation', () => {
  test('columns behind one another add up at the base, from both sides to the same sum', () => {
    const sumOf = (axis: 'x' | 'y') =>
      ask(demo, { kind: 'elevation', axis, caseId: imposed }).reactions.reduce((sum, { force }) => sum + force, 0)
    const { atSupports } = ask(demo, { kind: 'balance', caseId: imposed })
    expect(sumOf('x')).toBeCloseTo(atSupports, 6)
    expect(sumOf('y')).toBeCloseTo(atSupports, 6)
  })

  test('loads on members lie behind one another: the largest is shown with the least, forces at one place add up', () => {
    const loads = (axis: 'x' | 'y', caseId: string) => ask(demo, { kind: 'elevation', axis, caseId }).loads
    // hand: secondary beams of 3 m spacing take 9.00 kN/m of 3 kN/m², at edges half of it; the roof is another case
    const lines = loads('x', imposed).filter(({ kind }) => kind === 'line')
    expect(Math.max(...lines.map(({ q0 }) => q0))).toBeCloseTo(9000, 6)
    const bay = lines.find(({ from, to }) => from[1] === 3.6 && from[0] === 0 && Math.abs(to[0] - 7.2) < 1e-9)
    expect(bay).toMatchObject({ q0: expect.closeTo(9000, 6), least: expect.closeTo(4500, 6) })
    // no load of a case stands on a level that the case does not load
    expect(lines.every(({ from }) => from[1] === 3.6 || from[1] === 7.2)).toBe(true)
    // forces from the side are the same sum from both
    const typed = ask(demo, { kind: 'overview' }).actions.flatMap(({ cases }) => cases.map(({ id }) => id))
    for (const id of typed) {
      const sum = (axis: 'x' | 'y') =>
        loads(axis, id).reduce((total, { kind, q0 }) => total + (kind === 'point' ? q0 : 0), 0)
      expect(sum('x')).toBeCloseTo(sum('y'), 6)
    }
  })

  test('wind blows along one view and across the other', () => {
    const [x, y] = (['x', 'y'] as const).map(
      (axis) => ask(demo, { kind: 'elevation', axis, caseId: 'wind/west' }).forces,
    )
    expect(x?.every(({ along, across }) => along > 0 && Math.abs(across) === 0)).toBe(true)
    // looking west, wind from the west comes towards the viewer
    expect(y?.every(({ along, across }) => Math.abs(along) === 0 && across < 0)).toBe(true)
  })
})

describe('wind, rules, profile', () => {
  test('the profile rises, and goes beyond the top of the building', () => {
    const profile = ask(demo, { kind: 'windProfile' })
    if (!profile) throw new Error('no profile')
    const values = profile.points.map(({ q }) => q)
    expect([...values].sort((a, b) => a - b)).toEqual(values)
    expect(profile.points.at(-1)?.z).toBeGreaterThan(profile.top)
    expect(profile.top).toBeCloseTo(11.4, 9)
  })

  test('rules: factors by case, leading and accompanying (hand: 1.5 and 1.5 · 0.7 for category C)', () => {
    const rules = ask(demo, { kind: 'rules', list: 'strength' })
    const factor = (rule: string, id: string) =>
      rules.find(({ id: name }) => name === rule)?.factors.find(({ caseId }) => caseId === id)
    expect(factor('strength', imposed)).toMatchObject({ leading: 1.5, accompanying: expect.closeTo(1.05, 9) })
    expect(factor('frequent', 'wind/west')).toMatchObject({ leading: 0.2, accompanying: 0 })
    expect(factor('quasiPermanent', 'imposed/E')).toMatchObject({ leading: null, accompanying: 0.8 })
    expect(rules.filter(({ listed }) => listed.length > 0).map(({ id }) => id)).toEqual(['strength'])
  })

  test('the outline of a layout: the L with the balcony, from its panels', () => {
    const layoutId = demo.levels.find(({ level }) => level.name === '1')?.layoutId ?? ''
    const outline = ask(demo, { kind: 'outline', layoutId })
    expect(outline).toHaveLength(1)
    expect(regionArea(outline)).toBeCloseTo(388.8 + 25.92, 6)
    expect(ask(demo, { kind: 'outline', layoutId: 'layout:none' })).toEqual([])
  })
})

test('every query answers on an empty document, on one of a basis alone, and to names that are not there', () => {
  const queries: readonly Query[] = [
    { kind: 'overview' },
    { kind: 'floor', levelId: 'x', caseId: 'y' },
    { kind: 'elevation', axis: 'x', caseId: 'y' },
    { kind: 'member', expandedId: 'x', caseId: 'y' },
    { kind: 'column', expandedId: 'x@y', caseId: 'y' },
    { kind: 'panel', expandedId: '@', caseId: 'y' },
    { kind: 'balance', caseId: 'y' },
    { kind: 'keys' },
    { kind: 'walls', levelId: 'x' },
    { kind: 'wind' },
    { kind: 'windProfile' },
    { kind: 'standard' },
    { kind: 'rules', list: 'strength' },
    { kind: 'envelopes', set: 'strength', effects: 'storeyShear' },
    { kind: 'governing', set: 'strength', key: 'x' },
    { kind: 'why', address: 'x' },
    { kind: 'concerns' },
    { kind: 'lateral', caseId: 'wind/west' },
    { kind: 'reducedBase', caseId: 'imposed/C' },
    { kind: 'strip', expandedId: 'panel:x@level:y', caseId: 'imposed/C', at: null },
    { kind: 'results', only: null },
    { kind: 'fileSums' },
    { kind: 'outline', layoutId: 'x' },
    { kind: 'csv', only: null },
  ]
  for (const doc of [emptyDocument, new Building().document, new Building({ basicWindVelocity: 26 }).document])
    for (const query of queries) {
      const answer = derive(new Memo(), doc, query)
      // answers travel between threads as plain data
      expect(() => structuredClone(answer)).not.toThrow()
    }
})

test('a panel of a layout without key, and one with a key without use, carry their own weight alone', () => {
  const storey = oneStorey()
  const { building, layout, top } = storey
  bay(storey)
  building.patch(layout, building.key(5000, { use: null }), rectangle(0, 0, 3, 4))
  const state = building.state()
  const floor = ask(state, { kind: 'floor', levelId: top.id, caseId: 'imposed/B' })
  expect(floor?.regions.map(({ pressure }) => pressure).sort()).toEqual([0, 1000])
})

test('every answer is plain JSON, so that it may travel as text', () => {
  const levelId = levelNamed('1').id
  const layoutId = demo.levels.find(({ level }) => level.id === levelId)?.layoutId ?? ''
  const [panelId = ''] = recordsOf(document, 'panel').flatMap(({ id, layout }) => (layout === layoutId ? [id] : []))
  const caseId = imposed
  const queries: readonly Query[] = [
    { kind: 'overview' },
    { kind: 'floor', levelId: levelId, caseId },
    { kind: 'elevation', axis: 'x', caseId },
    { kind: 'space', caseId },
    { kind: 'member', expandedId: memberNamed('B1', '1'), caseId },
    { kind: 'column', expandedId: memberNamed('C1', '1'), caseId },
    { kind: 'panel', expandedId: expanded(panelId, levelId), caseId },
    { kind: 'balance', caseId },
    { kind: 'byValue', text: 'walls above 1 kN/m', caseId },
    { kind: 'keys' },
    { kind: 'keySums' },
    { kind: 'keySlabs' },
    { kind: 'masses' },
    { kind: 'walls', levelId: levelId },
    { kind: 'wind' },
    { kind: 'windProfile' },
    { kind: 'standard' },
    { kind: 'rules', list: 'strength-6.10' },
    { kind: 'envelopes', set: 'strength', effects: 'reaction' },
    { kind: 'governing', set: 'strength', key: '' },
    { kind: 'why', address: `applied:${caseId}` },
    { kind: 'concerns' },
    { kind: 'results', only: null },
    { kind: 'fileSums' },
    { kind: 'outline', layoutId },
    { kind: 'openRings', layoutId },
    { kind: 'csv', only: null },
  ]
  for (const query of queries) {
    expect([query.kind, ...notPlain(ask(demo, query) ?? null, '')]).toEqual([query.kind])
  }
})

/** Paths of what JSON would lose: numbers that are not finite, undefined, lists and objects of other kinds. */
function notPlain(value: unknown, path: string): readonly string[] {
  if (value === null || ['string', 'boolean'].includes(typeof value)) return []
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [path]
  if (Array.isArray(value)) return value.flatMap((entry, i) => notPlain(entry, `${path}.${i}`))
  if (Object.prototype.toString.call(value) !== '[object Object]') return [path]
  return Object.entries(value as object).flatMap(([key, entry]) => notPlain(entry, `${path}.${key}`))
}

test('slabs under each load key: each thickness once, thin ones first, with what they weigh', () => {
  const storey = oneStorey(2000)
  bay(storey)
  const { building, layout, key } = storey
  const concrete = building.material({ name: 'Concrete', unitWeight: 25_000 })
  for (const [x, thickness] of [
    [0, 0.2],
    [6, 0.15],
    [12, 0.2],
  ] as const)
    building.panel(layout, rectangle(x, 4, x + 6, 8), { slab: { thickness, material: concrete.id } })
  // the panel of the bay itself has no slab; hand: 0.15 · 25 and 0.20 · 25 kN/m³
  expect(ask(building.state(), { kind: 'keySlabs' })).toEqual([
    { keyId: key.id, thickness: 0.15, weight: 3750 },
    { keyId: key.id, thickness: 0.2, weight: 5000 },
  ])
})
