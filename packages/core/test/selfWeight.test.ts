import fc from 'fast-check'
import { holds } from './holds'
import { selfWeight } from '../src/actions/cases'
import { balanceOf } from '../src/derivation/balance'
import { Memo } from '../src/derivation/memo'
import { deriveProject } from '../src/derivation/project'
import type { Member } from '../src/document/recordKinds'
import { documentOf, recordsOf, seededRandom, type Document } from '../src/document/document'
import { bayGrid } from '../src/generate/bayGrid'
import { distance } from '../src/geometry/segment'
import { signedArea } from '../src/geometry/polygon'
import { present } from '../src/outcome/assert'
import { why } from '../src/queries/why/why'
import { demoDocument } from './demo'

const brief = fc.record({
  baysX: fc.integer({ min: 1, max: 3 }),
  spanX: fc.double({ min: 3, max: 9, noNaN: true }),
  baysY: fc.integer({ min: 1, max: 3 }),
  spanY: fc.double({ min: 3, max: 9, noNaN: true }),
  storeys: fc.integer({ min: 1, max: 4 }),
  storeyHeight: fc.double({ min: 2.5, max: 5, noNaN: true }),
  beamSpacing: fc.double({ min: 1.5, max: 3, noNaN: true }),
  slab: fc.double({ min: 0.08, max: 0.3, noNaN: true }),
  sort: fc.constant('offices' as const),
  family: fc.constantFrom('EN', 'ASCE', 'IS', 'BS'),
  units: fc.constant('metric' as const),
  set: fc.constant(null),
})
const factor = fc.oneof(fc.constantFrom(0, 1), fc.double({ min: 0.01, max: 2, noNaN: true }))

/** The document with another factor on self-weight. */
const counted = (document: Document, selfWeightFactor: number): Document =>
  documentOf(
    [...document.records.values()].map((record) =>
      record.kind === 'basis' ? { ...record, selfWeightFactor } : record,
    ),
  )

// law: every member and slab weighs once, by its own A γ l and t γ A, times the project's factor, whatever the family
test('self-weight is the sum of what is drawn, each once, in one case', () => {
  holds(
    fc.property(brief, factor, (of, f) => {
      const document = counted(documentOf(bayGrid(of, 'Grid', seededRandom(1))), f)
      const record = <K extends 'section' | 'material' | 'layout'>(kind: K, id: string) =>
        present(
          recordsOf(document, kind).find((one) => one.id === id),
          id,
        )
      const levels = [...recordsOf(document, 'level')].sort((a, b) => a.elevation - b.elevation)
      /** On how many levels a layout lies. */
      const times = (layout: string) => {
        const place = (id: string) => levels.findIndex((level) => level.id === id)
        return recordsOf(document, 'levelRange')
          .filter((range) => range.layout === layout)
          .reduce((sum, { from, to }) => sum + place(to) - place(from) + 1, 0)
      }
      const members = recordsOf(document, 'member').map(({ layout, section, material, path, role }) => {
        const [a, b] = path
        const length = role === 'column' || !a || !b ? of.storeyHeight : distance(a, b)
        return times(layout) * record('section', section).area * record('material', material).unitWeight * length
      })
      const slabs = recordsOf(document, 'panel').map(({ layout, outline, slab }) =>
        slab
          ? times(layout) *
            Math.abs(signedArea(outline)) *
            slab.thickness *
            record('material', slab.material).unitWeight
          : 0,
      )
      const sum = [...members, ...slabs].reduce((total, weight) => total + weight, 0)
      const state = deriveProject(new Memo(), document)
      expect(Math.abs(balanceOf(state, selfWeight).applied - f * sum)).toBeLessThanOrEqual(1e-9 * f * sum)
      expect(state.caseIds.filter((id) => id === selfWeight)).toHaveLength(1)
    }),
    { numRuns: 40 },
  )
})

// law: trusses, members in space, bearing walls, slopes and stairs count as often too, and each trace says so
test('everything that the demo weighs counts as often as its factor says', () => {
  const [once, more] = [demoDocument(), counted(demoDocument(), 1.25)].map((document) =>
    deriveProject(new Memo(), document),
  )
  if (!once || !more) throw new Error('No demo')
  const applied = balanceOf(once, selfWeight).applied
  expect(applied).toBeGreaterThan(1e5)
  expect(balanceOf(more, selfWeight).applied / applied).toBeCloseTo(1.25, 9)
  // the other cases do not know it
  for (const caseId of once.caseIds.filter((id) => id !== selfWeight))
    expect(balanceOf(more, caseId).applied).toBe(balanceOf(once, caseId).applied)
  let seen = 0
  const expectTraced = (address: string, value: number, before: number) => {
    const traced = why(more, address)
    expect([address, traced?.value]).toEqual([address, expect.closeTo(value, 6)])
    expect(value).toBeCloseTo(1.25 * before, 6)
    if (value !== 0) expect(JSON.stringify(traced)).toContain('factor on self-weight, set in the project')
    seen++
  }
  more.floors.forEach(({ weights, floor, operator }, i) => {
    const before = present(once.floors[i], floor.level.name).weights
    for (const [id, value] of weights.members) expectTraced(`beamWeight:${id}`, value, before.members.get(id) ?? NaN)
    for (const [id, value] of weights.slabs) expectTraced(`slab:${id}`, value, before.slabs.get(id) ?? NaN)
    for (const source of operator.plan.sources) {
      if (source.kind !== 'stair') continue
      const traced = why(more, `stairEnd:${source.stair.id}:${selfWeight}`)?.value ?? NaN
      expect(traced).toBeCloseTo(1.25 * (why(once, `stairEnd:${source.stair.id}:${selfWeight}`)?.value ?? NaN), 6)
      seen++
    }
  })
  expect(seen).toBeGreaterThan(100)
})

/** A bearing wall of the demo's first section, with openings. */
function bearing(): readonly Member[] {
  const [beam] = recordsOf(demoDocument(), 'member').filter(({ role }) => role === 'beam')
  return beam ? [{ ...beam, id: 'member:bearing', role: 'wall', openShare: 0.15 }] : []
}

// common practice: A γ l of a bar, t γ of a wall less its openings, plan area over cos α of a slope
test('what a sheet writes out of bars, walls and slopes is what the records say', () => {
  const state = deriveProject(new Memo(), counted(documentOf([...demoDocument().records.values(), ...bearing()]), 1.25))
  const worth = (address: string) => present(why(state, address), address).value
  const gammaOf = (id: string) =>
    present(
      recordsOf(state.document, 'material').find((one) => one.id === id),
      id,
    ).unitWeight
  const sectionOf = (id: string) =>
    present(
      recordsOf(state.document, 'section').find((one) => one.id === id),
      id,
    )
  const struts = recordsOf(state.document, 'strut')
  for (const { id, section, material, path, startHeight, endHeight } of struts) {
    const [[x0, y0], [x1, y1]] = path as unknown as readonly [readonly [number, number], readonly [number, number]]
    const l = Math.hypot(x1 - x0, y1 - y0, endHeight - startHeight)
    expect(worth(`barWeight:${id}`)).toBeCloseTo(1.25 * sectionOf(section).area * gammaOf(material) * l, 6)
  }
  const walls = recordsOf(state.document, 'member').filter(({ role }) => role === 'wall')
  for (const { id, section, material, openShare } of walls)
    expect(worth(`faceWeight:${id}`)).toBeCloseTo(
      1.25 * sectionOf(section).width * gammaOf(material) * (1 - openShare),
      6,
    )
  const trusses = recordsOf(state.document, 'member').filter(({ truss }) => truss)
  for (const { id } of trusses) {
    const { basis } = present(why(state, `barWeight:${id}`), id)
    const inputs = basis.kind === 'formula' ? basis.inputs : {}
    expect(worth(`barWeight:${id}`)).toBeCloseTo(worth(`beamWeight:${id}`) * (inputs['l']?.value ?? NaN), 6)
  }
  const slopes = recordsOf(state.document, 'slope')
  for (const { id, outline, pitch } of slopes)
    expect(worth(`slopeArea:${id}`)).toBeCloseTo(Math.abs(signedArea(outline)) / Math.cos(pitch), 9)
  expect([struts, walls, slopes].map(({ length }) => length > 0)).toEqual([true, true, true])
  expect(why(state, 'barWeight:none')).toBeNull()
  expect(why(state, `faceWeight:${struts[0]?.id ?? ''}`)).toBeNull()
})
