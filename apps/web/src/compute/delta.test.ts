import fc from 'fast-check'
import { deltaOf, withDelta } from './delta'

// a field called __proto__ is refused by every reader
const plain = fc
  .jsonValue({ maxDepth: 4 })
  .map((value): unknown => JSON.parse(JSON.stringify(value).replaceAll('__proto__', 'proto')))

describe('what changed of an answer', () => {
  test('leads from any plain value to any other, and is nothing between equal ones', () => {
    fc.assert(
      fc.property(plain, plain, (before, after) => {
        const delta = deltaOf(before, after)
        expect(delta === null ? before : withDelta(before, structuredClone(delta))).toEqual(after)
        expect(deltaOf(before, structuredClone(before))).toBeNull()
      }),
      { numRuns: 300 },
    )
  })

  test('one entry of a long list travels alone, and the others stay the same objects', () => {
    const before = { beams: Array.from({ length: 500 }, (_, i) => ({ id: `b${i}`, total: i })), name: 'Level 1' }
    const after = {
      ...before,
      beams: before.beams.map((beam) => (beam.id === 'b7' ? { ...beam, total: 9 } : { ...beam })),
    }
    const delta = deltaOf(before, after)
    expect(delta).toEqual({ fields: { beams: { length: 500, items: [[7, { fields: { total: { to: 9 } } }]] } } })
    const made = delta && (withDelta(before, delta) as typeof before)
    expect(made?.beams[6]).toBe(before.beams[6])
    expect(made?.beams[7]).toEqual({ id: 'b7', total: 9 })
  })

  test('a list that is mostly new, another set of fields, or a typed array goes as a whole', () => {
    const list = Array.from({ length: 20 }, (_, i) => i)
    expect(
      deltaOf(
        list,
        list.map((value) => value + 1),
      ),
    ).toEqual({ to: list.map((value) => value + 1) })
    expect(deltaOf({ a: 1 }, { b: 1 })).toEqual({ to: { b: 1 } })
    const typed = Float64Array.from([1])
    expect(deltaOf(Float64Array.from([1]), typed)).toEqual({ to: typed })
    expect(withDelta([1, 2, 3], deltaOf([1, 2, 3], [1]) ?? { to: null })).toEqual([1])
  })
})
