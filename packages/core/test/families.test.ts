import { invariantProblems } from '../src/document/invariants'
import { ask } from '../src/queries/derive'
import { readCase } from '../src/derivation/cells'
import { memberLoadRows } from '../src/exchange/results'
import { randomBuilding } from './randomBuilding'
import { Memo } from '../src/derivation/memo'
import { deriveProject } from '../src/derivation/project'
import { applyChange } from '../src/document/changes'
import { recordsOf, seededRandom, type Document } from '../src/document/document'
import { familyEdits, meantOtherwise, nationalSetEdits, ownValueEdits } from '../src/editing/ownLayer'
import { bayGrid } from '../src/generate/bayGrid'
import { Building } from './build'
import { readOpeningSentence } from '../src/generate/openingSentence'
import { documentOf } from '../src/document/document'
import { families, shippedSets } from '../src/standards/families'
import type { FamilyId } from '../src/standards/family'
import type { Edit } from '../src/document/changes'

const ids = Object.keys(families) as FamilyId[]

function built(words: string): Document {
  const read = readOpeningSentence(`1 x 6 m by 1 x 6 m, 2 storeys of 3 m, beams every 3 m, 150 mm concrete, ${words}`)
  if (!read.ok) throw new Error(read.problem)
  return documentOf(bayGrid(read.brief, 'Families', seededRandom(4)))
}
function after(document: Document, edits: readonly Edit[]): Document {
  const applied = applyChange(document, { id: 'edit', seen: 0, note: '', edits })
  if (!applied.ok) throw new Error(JSON.stringify(applied))
  return applied.document
}
const basisOf = (document: Document) => {
  const [basis] = recordsOf(document, 'basis')
  if (!basis) throw new Error('no basis')
  return basis
}
const inFamily = (document: Document, family: FamilyId) =>
  after(document, familyEdits(document, basisOf(document), family))
const stateOf = (document: Document) => deriveProject(new Memo(), document)
const totalsOf = (document: Document) => {
  const { actions, concerns } = ask(stateOf(document), { kind: 'overview' })
  const cases = actions.flatMap((action) => action.cases).map(({ id, balance }) => [id, balance.applied] as const)
  return { cases: Object.fromEntries(cases), blocking: concerns.filter(({ severity }) => severity === 'blocking') }
}

describe('one building by each family: 36 m² of offices and 36 m² of roof', () => {
  test.each([
    // EN 1991-1-1 tables 6.2 and 6.10: 3.0 and 0.4 kN/m²
    ['EN', { 'imposed/B': 108_000, 'roof/H': 14_400 }],
    // ASCE 7-16 table 4.3-1: 50 and 20 psf; 1 psf is 47.88 Pa
    ['ASCE', { 'imposed/L': 36 * 50 * 47.880259, 'roof/Lr': 36 * 20 * 47.880259 }],
    // IS 875-2 tables 1 and 2: offices without separate storage 4.0, roof without access 0.75 kN/m²
    ['IS', { 'imposed/IL': 144_000, 'roof/ILr': 27_000 }],
    // BS 6399-1 table 1 and BS 6399-3 4.3: 2.5 and 0.6 kN/m²
    ['BS', { 'imposed/Q': 90_000, 'roof/Qr': 21_600 }],
  ] as const)('%s (values from memory)', (family, expected) => {
    const document = inFamily(built('offices, EN'), family)
    const { cases, blocking } = totalsOf(document)
    for (const [id, total] of Object.entries(expected)) expect(cases[id]).toBeCloseTo(total, 3)
    expect(blocking).toEqual([])
    const permanent = ['self-weight', 'build-ups', 'walls'].map((name) => `permanent/${name}`)
    expect(Object.keys(cases).sort()).toEqual([...permanent, ...Object.keys(expected)].sort())
  })

  test.each([
    ['EN', 'EN recommended'],
    ['ASCE', 'ASCE 7-16'],
    ['IS', 'IS 875'],
    ['BS', 'BS 6399'],
  ] as const)('the opening sentence may name it: %s', (family, words) => {
    const said = built(`offices, ${words}`)
    expect(basisOf(said).family).toBe(family)
    // but for what it weighs: a sentence takes the sections of where its family is in use
    const loads = (document: Document) =>
      Object.entries(totalsOf(document).cases).filter(([id]) => id !== 'permanent/self-weight')
    expect(loads(said)).toEqual(loads(inFamily(built('offices, EN'), family)))
    const sections = recordsOf(said, 'section').map(({ name }) => name.slice(0, 2))
    expect(new Set(sections)).toEqual(
      new Set({ EN: ['IP', 'HE'], IS: ['IP', 'HE'], BS: ['UB', 'UC'], ASCE: ['W1'] }[family]),
    )
  })
})

describe('changing the family', () => {
  test('there and back is the same, and own values rest until their family is back', () => {
    const document = built('shops, EN')
    const own = after(document, ownValueEdits(document, 'imposed.q_k.D1', 4500, seededRandom(1)))
    for (const family of ids.filter((id) => id !== 'EN')) {
      const there = inFamily(own, family)
      expect(stateOf(there).standard.concerns).toEqual([])
      expect(totalsOf(there).blocking).toEqual([])
      expect(totalsOf(inFamily(there, 'EN')).cases).toEqual(totalsOf(own).cases)
    }
  })

  test('every sort of use has its like in every family, or the concern says that there is none', () => {
    for (const words of ['offices', 'homes', 'classrooms', 'theatre', 'museum', 'gym', 'shops', 'archive', 'parking'])
      for (const family of ids) {
        const there = inFamily(built(`${words}, EN`), family)
        const { uses } = stateOf(there).standard
        const unknown = recordsOf(there, 'loadKey').filter(({ use }) => use !== null && !uses[use])
        expect(totalsOf(there).blocking.map(({ code }) => code)).toEqual(unknown.map(() => 'key.unknown-use'))
      }
  })

  test('an allowance is not lost on the way: by weight becomes the least, and the least a typed one', () => {
    const document = built('offices, EN')
    const keys = recordsOf(document, 'loadKey').map((key): Edit => ({
      id: key.id,
      before: key,
      after: { ...key, partitionWeight: key.use === 'B' ? 2000 : null },
    }))
    const walled = after(document, keys)
    const american = inFamily(walled, 'ASCE')
    expect(totalsOf(american).cases['imposed/L/partitions']).toBeCloseTo(36 * 15 * 47.880259, 3)
    const british = inFamily(american, 'BS')
    expect(totalsOf(british).cases['imposed/Q/partitions']).toBeCloseTo(36 * 15 * 47.880259, 3)
  })

  test('each family keeps a set and own values of its own, and only those of the one in use count', () => {
    const [germany, asce705] = [shippedSets.EN[0], shippedSets.ASCE[0]]
    if (!germany || !asce705) throw new Error('no set')
    const random = seededRandom(5)
    const withSet = (document: Document, set: typeof germany) =>
      after(document, nationalSetEdits(document, set, random))
    const withOwn = (document: Document, key: string, value: number) =>
      after(document, ownValueEdits(document, key, value, random))
    const german = withOwn(withSet(built('offices, EN'), germany), 'basis.gamma_Q', 1.4)
    const both = withOwn(withSet(inFamily(german, 'ASCE'), asce705), 'rule.lrfd-1.G_sup', 1.5)
    expect(recordsOf(both, 'layer')).toHaveLength(4)
    expect(invariantProblems(both)).toEqual([])
    expect(stateOf(both).standard.layers).toEqual(['ASCE 7-16', 'ASCE 7-05', 'this project'])
    expect(stateOf(inFamily(both, 'EN')).standard.layers).toEqual(['EN, recommended values', 'Germany', 'this project'])
  })

  test('nothing is changed where the family stays', () => {
    const document = built('offices, EN')
    expect(familyEdits(document, basisOf(document), 'EN')).toEqual([])
  })
})

test('a national set that divides a use otherwise takes the keys along, and gives them back', () => {
  const document = built('offices, EN')
  const [germany] = shippedSets.EN
  if (!germany) throw new Error('no set')
  const german = after(document, nationalSetEdits(document, germany, seededRandom(2)))
  expect(
    recordsOf(german, 'loadKey')
      .map(({ use }) => use)
      .sort(),
  ).toEqual(['B1', 'H'])
  // DIN EN 1991-1-1/NA table 6.1DE, B1: 2.0 kN/m² (from memory)
  expect(totalsOf(german).cases['imposed/B']).toBeCloseTo(72_000, 6)
  const again = after(german, nationalSetEdits(german, null, seededRandom(2)))
  expect(
    recordsOf(again, 'loadKey')
      .map(({ use }) => use)
      .sort(),
  ).toEqual(['B', 'H'])
  expect(totalsOf(again).cases).toEqual(totalsOf(document).cases)
})

test('what stands on what, and who takes which part, knows no family: the same permanent load, number by number', () => {
  for (const seed of [3, 11, 105544]) {
    const document = randomBuilding(seed)
    const permanent = ids.map((family) => {
      const state = stateOf(inFamily(document, family))
      const rows = memberLoadRows(state).filter(({ case: id }) => id.startsWith('permanent/'))
      const feet = state.floors.map(({ operator, rundown }) =>
        operator.plan.frame.columns.map((_, row) => readCase(state, 'permanent/self-weight')(rundown.feet, row)),
      )
      return JSON.stringify([rows, feet])
    })
    expect(new Set(permanent).size).toBe(1)
  }
})

test('a velocity is meant otherwise in another family: emptied in the same change, with what was typed, and undo brings it back', () => {
  const building = new Building({ basicWindVelocity: 26, typed: { basicWindVelocity: '26' } })
  const [edit] = familyEdits(building.document, building.basis, 'ASCE')
  expect(edit?.after).toMatchObject({ family: 'ASCE', basicWindVelocity: null })
  expect(edit?.after).not.toHaveProperty('typed.basicWindVelocity')
  expect(edit?.before).toMatchObject({ family: 'EN', basicWindVelocity: 26 })
  expect(meantOtherwise(building.basis, 'ASCE')).toMatchObject({
    here: '10-minute mean at 10 m',
    there: '3-second gust at 10 m',
  })
  // none is given, or the family stays
  expect(meantOtherwise({ ...building.basis, basicWindVelocity: null }, 'ASCE')).toBeNull()
  expect(meantOtherwise(building.basis, 'EN')).toBeNull()
})
