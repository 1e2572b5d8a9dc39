import fc from 'fast-check'
import { holds } from './holds'
import { walls } from '../src/actions/cases'
import { balanceOf } from '../src/derivation/balance'
import { Memo } from '../src/derivation/memo'
import { deriveProject } from '../src/derivation/project'
import { documentOf, type Document } from '../src/document/document'
import type { Rec, Section, WallRun } from '../src/document/recordKinds'
import { storeyHeightEdits } from '../src/editing/levels'
import { withEdits } from '../src/document/changes'
import { Building } from './build'
import { rectangle } from './shapes'

/** 6 by 4 m on the same layout at each height, over a base; a wall of 1 kN/m² on the beam of its south side. */
function block(heights: readonly number[], rule: WallRun['heightRule'], depth = 0.45, slab = 0.15) {
  const building = new Building()
  building.level('Base', 0)
  const levels = heights.map((z, i) => building.level(String(i + 1), z))
  const section = building.sectionOf({ name: 'beam', depth })
  const layout = building.layout('Floors', building.key(null), levels[0], levels.at(-1))
  rectangle(0, 0, 6, 4).forEach((at) => building.column(layout, at))
  for (const y of [0, 4]) building.beam(layout, [0, y], [6, y], { section: section.id })
  building.panel(layout, rectangle(0, 0, 6, 4), { slab: { thickness: slab, material: building.weightless.id } })
  building.wall(
    layout,
    [
      [0, 0],
      [6, 0],
    ],
    { heightRule: rule, height: null, weight: 1000 },
  )
  return { building, levels, section }
}

const wallsOf = (document: Document) => balanceOf(deriveProject(new Memo(), document), walls).applied
const changed = <R extends Rec>(document: Document, record: R, more: Partial<R>): Document =>
  documentOf([...document.records.values()].map((one) => (one.id === record.id ? { ...one, ...more } : one)))

describe('a wall with its height by rule repeats with its layout, and follows what it stands under', () => {
  // storeys of 3.0, 3.5 and 4.2 m: walls stand under the two upper floors, those of the top level have nothing over them
  const heights = [3, 6.5, 10.7] as const

  test('hand: at each level by its own storey', () => {
    const { building } = block(heights, 'lessBeam')
    expect(wallsOf(building.document)).toBeCloseTo(6 * (3.5 - 0.45 + (4.2 - 0.45)) * 1000, 6)
  })

  test('hand: another storey height moves the levels above, and the wall is as high as its storey', () => {
    const { building, levels } = block(heights, 'lessBeam')
    const two = levels[1]
    if (!two) throw new Error('no level')
    const higher = withEdits(building.document, storeyHeightEdits(building.document, two, 4))
    // 4.0 m in place of 3.5 m; the storey over it stays 4.2 m
    expect(wallsOf(higher)).toBeCloseTo(6 * (4 - 0.45 + (4.2 - 0.45)) * 1000, 6)
  })

  test('hand: a deeper beam over it takes more off, a slab only where the rule says so', () => {
    for (const [rule, off] of [
      ['lessBeam', 0.6],
      ['lessSlab', 0.15],
      ['lessBoth', 0.75],
      ['storey', 0],
    ] as const) {
      const { building, section } = block(heights, rule)
      const deeper = changed<Section>(building.document, section, { depth: 0.6 })
      expect(wallsOf(deeper)).toBeCloseTo(6 * (3.5 - off + (4.2 - off)) * 1000, 6)
    }
  })

  // law: whatever storeys, beam and slab are, the sum is of the net heights
  test('storeys, beam and slab at random', () => {
    const storey = fc.double({ min: 2.5, max: 6, noNaN: true })
    const rule = fc.constantFrom('lessBeam', 'lessSlab', 'lessBoth', 'storey')
    const thin = fc.double({ min: 0.05, max: 0.9, noNaN: true })
    holds(
      fc.property(fc.array(storey, { minLength: 1, maxLength: 6 }), rule, thin, thin, (storeys, by, depth, slab) => {
        const tops = storeys.map((_, i) => storeys.slice(0, i + 1).reduce((sum, one) => sum + one, 0))
        const { building } = block(tops, by, depth, slab)
        const off =
          (by === 'lessBeam' || by === 'lessBoth' ? depth : 0) + (by === 'lessSlab' || by === 'lessBoth' ? slab : 0)
        const net = storeys.slice(1).reduce((sum, one) => sum + one - off, 0)
        expect(wallsOf(building.document)).toBeCloseTo(6000 * net, 3)
      }),
      { numRuns: 30 },
    )
  })
})
