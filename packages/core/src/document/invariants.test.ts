import { Building } from '../../test/build'
import { rectangle } from '../../test/shapes'
import { documentOf } from './document'
import { invariantProblems, referencesOf } from './invariants'
import type { Id, Rec } from './recordKinds'

const problemsOf = (records: readonly Rec[]) => invariantProblems(documentOf(records))
const nowhere = <K extends Rec['kind']>(kind: K) => `${kind}:${'z'.repeat(16)}` as Id<K>

function small() {
  const building = new Building()
  const [base, first, second] = [building.level('Base', 0), building.level('1', 3), building.level('2', 6)]
  const key = building.key(2000)
  const layout = building.layout('Floor', key, first, second)
  const panel = building.panel(layout, rectangle(0, 0, 6, 4))
  return { building, base, first, second, key, layout, panel }
}

test('a sound document has no problem; an empty one neither', () => {
  expect(problemsOf(small().building.records)).toEqual([])
  expect(problemsOf([])).toEqual([])
})

test('a load key has one construction stage', () => {
  const { building, key } = small()
  building.constructionStage(key, { personnel: 1000 })
  expect(problemsOf(building.records)).toEqual([])
  const second = building.constructionStage(key, {})
  expect(problemsOf(building.records)).toEqual([
    { path: `records.${second.id}`, problem: 'Its load key has a construction stage already.' },
  ])
})

test('every reference of every kind is looked at, with the path of its field', () => {
  const { building, layout, key, panel } = small()
  const { section, weightless } = building
  const member = building.beam(layout, [0, 0], [1, 0])
  const patch = building.patch(layout, key, rectangle(0, 0, 1, 1))
  expect(referencesOf(member).map(({ path, id }) => [path, id])).toEqual([
    ['.layout', layout.id],
    ['.section', section.id],
    ['.material', weightless.id],
  ])
  expect(referencesOf({ ...panel, slab: { thickness: 0.15, material: weightless.id } })).toEqual([
    { path: '.layout', id: layout.id },
    { path: '.slab.material', id: weightless.id },
  ])
  expect(referencesOf(patch).map(({ path }) => path)).toEqual(['.layout', '.key'])
  expect(referencesOf(key)).toEqual([])
  const lost = { ...patch, key: nowhere('loadKey') }
  expect(problemsOf(building.records.map((record) => (record.id === patch.id ? lost : record)))).toEqual([
    { path: `records.${patch.id}.key`, problem: `It refers to ${lost.key}, which does not exist.` },
  ])
})

describe('what must hold between records', () => {
  const withRecords = (more: (parts: ReturnType<typeof small>) => readonly Rec[]) => {
    const parts = small()
    const added = more(parts)
    return problemsOf([...parts.building.records, ...added]).map(({ path, problem }) => `${path}: ${problem}`)
  }

  test('a grid line across the grid has no points, a skew one two, a ring one and a radius', () => {
    const problems = withRecords(({ building }) => [
      building.grid('x', 'a', 0, [[0, 0]]),
      building.grid('line', 'b', 0, [[0, 0]]),
      building.grid('line', 'c', 0, [
        [1, 1],
        [1, 1.001],
      ]),
      building.grid('ring', 'd', 0, [[0, 0]]),
      building.grid('ring', 'e', 5),
    ])
    // each is in the building and in what is added: a record is one record
    expect(new Set(problems.map((problem) => problem.replace(/^.*?: /, '')))).toEqual(
      new Set([
        'A grid line across the grid has no points.',
        'A skew grid line goes through two points.',
        'A circular grid line has one centre and a radius above zero.',
      ]),
    )
    expect(new Set(problems).size).toBe(5)
  })

  test('there is one basis, one building part and one layer of each standing', () => {
    expect(withRecords(() => [{ ...new Building({}, 2).basis }])).toEqual([
      expect.stringMatching(/one basis record is possible/),
    ])
    expect(withRecords(({ building }) => [building.layer(), { ...building.layer(), id: nowhere('layer') }])).toEqual([
      expect.stringMatching(/one own layer is possible/),
    ])
    expect(
      withRecords(({ building }) => [building.layer({ standing: 'national' }), building.layer({ standing: 'own' })]),
    ).toEqual([])
    expect(
      withRecords(({ building }) => [building.part(), { ...building.part(), id: nowhere('buildingPart') }]),
    ).toEqual([expect.stringMatching(/one building part is possible/)])
  })

  test('a level has one layout, from below to above, and the base has none', () => {
    expect(withRecords(({ building, second }) => [building.layout('Roof', null, second)])).toEqual([
      expect.stringMatching(/records\.levelRange:\w+: Level 2 already has a layout/),
    ])
    expect(withRecords(({ building, base }) => [building.layout('Base', null, base)])).toEqual([
      expect.stringMatching(/lowest level is the base/),
    ])
    const { building } = small()
    const upside = building.records.map((record) =>
      record.kind === 'levelRange' ? { ...record, from: record.to, to: record.from } : record,
    )
    expect(problemsOf(upside)).toEqual([expect.objectContaining({ problem: 'The range ends below its start.' })])
  })

  test('levels are apart by 10 mm', () => {
    expect(withRecords(({ building }) => [building.level('1b', 3.009)])).toEqual([
      expect.stringMatching(/closer than 10 mm/),
    ])
    expect(withRecords(({ building }) => [building.level('1b', 3.011)])).toEqual([])
  })

  test('a beam has two points, a column one or two, and a typed wall its height', () => {
    expect(
      withRecords(({ building, layout }) => [
        building.member(layout, 'beam', [[0, 0]]),
        building.member(layout, 'column', [
          [0, 0],
          [1, 0],
          [2, 0],
        ]),
        building.wall(
          layout,
          [
            [0, 0],
            [1, 0],
          ],
          { heightRule: 'typed', height: null },
        ),
      ]),
    ).toEqual([
      expect.stringMatching(/A beam has two points/),
      expect.stringMatching(/A column has one point, or two if raking/),
      expect.stringMatching(/records\.wallRun:\w+\.height: The height is missing\./),
    ])
  })
})
