import fc from 'fast-check'
import { holds } from '../../test/holds'
import { Building } from '../../test/build'
import { canonical } from './canonical'
import { applyChange, foldedEdits, inverse, withEdits, type ChangeSet, type Edit } from './changes'
import { documentOf, emptyDocument, type Document } from './document'
import type { Level } from './recordKinds'

const change = (edits: readonly Edit[], seen = 0, note = 'a change'): ChangeSet => ({
  id: '00000000-0000-4000-8000-000000000001',
  seen,
  note,
  edits,
})
const building = new Building()
const [base, top] = [building.level('Base', 0), building.level('1', 3)]
const { document } = building
const raised: Level = { ...top, elevation: 3.5 }

/** Records in the order of their ids, as text. */
const contentOf = ({ records }: Document): readonly string[] => [...records.values()].map(canonical).sort()

const mustApply = (to: Document, edits: readonly Edit[]): Document => {
  const applied = applyChange(to, change(edits))
  if (!applied.ok) throw new Error(JSON.stringify(applied))
  return applied.document
}

describe('a change set', () => {
  test('applies where each record is what it expected, and leaves the old document as it was', () => {
    const next = mustApply(document, [{ id: top.id, before: top, after: raised }])
    expect(next.records.get(top.id)).toEqual(raised)
    expect(document.records.get(top.id)).toEqual(top)
    expect(Object.isFrozen(next.records.get(top.id))).toBe(true)
  })

  test('that edits a record twice is refused, in whichever order and even where each edit fits; folded, it is one edit', () => {
    const twice: readonly Edit[] = [
      { id: top.id, before: top, after: raised },
      { id: top.id, before: raised, after: null },
    ]
    for (const edits of [twice, [...twice].reverse(), [twice[0], twice[0]] as readonly Edit[]])
      expect(applyChange(document, change(edits))).toMatchObject({
        ok: false,
        problems: [{ path: 'edits[1].id', problem: `The change edits ${top.id} twice.` }],
      })
    expect(foldedEdits(twice)).toEqual([{ id: top.id, before: top, after: null }])
    expect(contentOf(mustApply(document, foldedEdits(twice)))).toEqual(contentOf(withEdits(document, twice)))
    const one = [{ id: top.id, before: top, after: raised }]
    expect(foldedEdits(one)).toBe(one)
  })

  test('is refused whole with both values where a record is another by now', () => {
    const other = mustApply(document, [{ id: top.id, before: top, after: { ...top, elevation: 4 } }])
    const applied = applyChange(
      other,
      change([
        { id: base.id, before: base, after: { ...base, name: 'Foot' } },
        { id: top.id, before: top, after: raised },
      ]),
    )
    expect(applied).toMatchObject({
      ok: false,
      conflicts: [{ id: top.id, expected: top, current: { elevation: 4 } }],
      problems: [],
    })
  })

  test('fits again when the record is back to what it was: the counter does not decide', () => {
    const there = mustApply(document, [{ id: top.id, before: top, after: raised }])
    const back = mustApply(there, [{ id: top.id, before: raised, after: top }])
    expect(applyChange(back, change([{ id: top.id, before: top, after: raised }], 0)).ok).toBe(true)
  })

  test('compares content, not objects, and not the order of fields', () => {
    const { kind, id, name, elevation } = top
    const shuffled = JSON.parse(JSON.stringify({ elevation, name, id, kind })) as Level
    expect(applyChange(document, change([{ id: top.id, before: shuffled, after: raised }])).ok).toBe(true)
  })

  test.each([
    [
      'takes away what others point at',
      [{ id: building.section.id, before: building.section, after: null }],
      /It refers to section:\w+, which does not exist\./,
    ],
    [
      'gives a record another id than the edit',
      [{ id: top.id, before: top, after: { ...top, id: base.id } }],
      /The record in this edit has a different id\./,
    ],
    [
      'brings a level onto another',
      [{ id: top.id, before: top, after: { ...top, elevation: 0.005 } }],
      /closer than 10 mm/,
    ],
    [
      'takes the basis away',
      [{ id: building.basis.id, before: building.basis, after: null }],
      /basis record is missing/,
    ],
  ] as const)('is refused where it %s', (_, edits, problem) => {
    const layout = building.layout('L')
    const beam = building.beam(layout, [0, 0], [1, 0])
    const applied = applyChange(documentOf([...document.records.values(), layout, beam]), change(edits))
    expect(applied.ok ? '' : applied.problems.map((entry) => entry.problem).join()).toMatch(problem)
  })

  test('an empty document takes its first records in one change', () => {
    const edits = building.records.map((record) => ({ id: record.id, before: null, after: record }))
    expect(applyChange(emptyDocument, change(edits)).ok).toBe(true)
  })
})

describe('undo', () => {
  test('is a change set with before and after swapped; the undo of an undo is the note again', () => {
    const made = change([{ id: top.id, before: top, after: raised }], 4, 'Raise level 1')
    const undo = inverse(made, 'u', 5)
    expect(undo).toEqual({
      id: 'u',
      seen: 5,
      note: 'Undo: Raise level 1',
      edits: [{ id: top.id, before: raised, after: top }],
    })
    expect(inverse(undo, 'r', 6).note).toBe('Raise level 1')
  })

  test('any chain of changes and then all of them undone gives the same bytes', () => {
    const step = fc.record({ which: fc.nat(2), height: fc.integer({ min: 11, max: 900 }) })
    holds(
      fc.property(fc.array(step, { maxLength: 12 }), (steps) => {
        let now = document
        const done: ChangeSet[] = []
        steps.forEach(({ which, height }, i) => {
          const id = `level:${'0'.repeat(12)}${which}` as Level['id']
          const before = (now.records.get(id) ?? null) as Level | null
          // odd steps take a level away that is there
          const after: Level | null =
            before && height % 2
              ? null
              : { kind: 'level', id, name: `L${which}`, elevation: 10 * (which + 1) + height / 100 }
          const made = change([{ id, before, after }], i)
          const applied = applyChange(now, made)
          if (!applied.ok) return
          done.push(made)
          now = applied.document
        })
        const back = done.reduceRight((doc, made) => withEdits(doc, inverse(made, 'u', 0).edits), now)
        expect(contentOf(back)).toEqual(contentOf(document))
      }),
    )
  })
})
