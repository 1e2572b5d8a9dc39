import fc from 'fast-check'
import { selfWeight } from '../src/actions/cases'
import { balanceOf } from '../src/derivation/balance'
import { Memo } from '../src/derivation/memo'
import { deriveProject } from '../src/derivation/project'
import { documentOf, recordsOf, seededRandom } from '../src/document/document'
import { bayGrid } from '../src/generate/bayGrid'
import { distance } from '../src/geometry/segment'
import { signedArea } from '../src/geometry/polygon'
import { present } from '../src/outcome/assert'

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
})

// law: every member and slab weighs once, by its own A γ l and t γ A, with the factor 1, whatever the family
test('self-weight is the sum of what is drawn, each once, in one case', () => {
  fc.assert(
    fc.property(brief, (of) => {
      const document = documentOf(bayGrid(of, 'Grid', seededRandom(1)))
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
      expect(Math.abs(balanceOf(state, selfWeight).applied - sum)).toBeLessThan(1e-9 * sum)
      expect(state.caseIds.filter((id) => id === selfWeight)).toHaveLength(1)
    }),
    { numRuns: 40 },
  )
})
