import fc from 'fast-check'
import { holds } from './holds'
import { applyChange, withEdits, type Edit } from '../src/document/changes'
import { newId, recordsOf, seededRandom, type Document } from '../src/document/document'
import type { Rec } from '../src/document/recordKinds'
import { Memo } from '../src/derivation/memo'
import { wallOfLayersEdits } from '../src/editing/wallMake'
import { isDrawn, moved } from '../src/editing/shaped'
import { derive } from '../src/queries/derive'
import { demoDocument } from './demo'
import { Dice, randomBuilding } from './randomBuilding'

const resultsOf = (memo: Memo, document: Document): string =>
  JSON.stringify([
    derive(memo, document, { kind: 'results', only: null }),
    derive(memo, document, { kind: 'concerns' }),
  ])

/** One edit as a person makes them: a load, a place, a weight, a copy, something taken away. */
function someEdit(document: Document, dice: Dice): Edit | undefined {
  const records = [...document.records.values()]
  const record = records[dice.count(0, records.length - 1)]
  const after = record && changedOf(record, dice)
  return record && after !== undefined
    ? { id: after?.id ?? record.id, before: after && after.id !== record.id ? null : record, after }
    : undefined
}

function changedOf(record: Rec, dice: Dice): Rec | null | undefined {
  if (isDrawn(record)) {
    if (dice.chance(0.2)) return null
    if (dice.chance(0.2)) return { ...record, id: newId(record.kind, dice.random) } as Rec
    return moved(record, [dice.between(-1, 1), dice.between(-1, 1)])
  }
  switch (record.kind) {
    case 'loadKey':
      return { ...record, imposed: dice.between(500, 6000) }
    case 'material':
      return { ...record, unitWeight: dice.between(5000, 80_000) }
    case 'section':
      return { ...record, depth: dice.between(0.2, 0.8) }
    case 'level':
      return { ...record, elevation: record.elevation + dice.between(-0.2, 0.2) }
    case 'basis':
      return { ...record, basicWindVelocity: dice.one(null, 22, 27), terrain: dice.one('I', 'II', 'III') }
    case 'buildUp':
      return { ...record, layers: record.layers.slice(1) }
    default:
      return undefined
  }
}

const sequences = fc.tuple(fc.nat(1_000_000), fc.nat(1_000_000))

/** Memos that keep everything and that forget nearly at once are held, edit by edit, against one derivation from scratch. */
function follow(seed: number, choices: number): void {
  const dice = new Dice(seededRandom(choices))
  const memos = [new Memo(), new Memo({ results: 20_000, contents: 2000 })]
  let document = randomBuilding(seed)
  for (let i = 0; i < 4; i++) {
    const edit = someEdit(document, dice)
    const applied = edit && applyChange(document, { id: `c${i}`, seen: i, note: '', edits: [edit] })
    if (applied?.ok) document = applied.document
    const fromScratch = resultsOf(new Memo(), document)
    for (const memo of memos) expect(resultsOf(memo, document)).toBe(fromScratch)
  }
}

test('after any edits the answers are those of a derivation from scratch, whether all is remembered or nearly nothing', () => {
  holds(
    fc.property(sequences, ([seed, choices]) => follow(seed, choices)),
    { numRuns: 8 },
  )
})

describe('work counted: a change computes again what depends on it, and no more', () => {
  const document = demoDocument()
  /** How often each stage was computed for a change of the demo. */
  function workOf(pick: (document: Document) => Rec): Readonly<Record<string, number>> {
    const memo = new Memo()
    derive(memo, document, { kind: 'overview' })
    memo.resetCounts()
    const after = pick(document)
    const applied = applyChange(document, {
      id: 'c',
      seen: 0,
      note: '',
      edits: [{ id: after.id, before: document.records.get(after.id) ?? null, after }],
    })
    if (!applied.ok) throw new Error(JSON.stringify(applied))
    derive(memo, applied.document, { kind: 'overview' })
    return { ...memo.computed }
  }
  const labelled = <K extends 'member' | 'panel' | 'loadKey' | 'wallRun' | 'patch' | 'section'>(
    kind: K,
    name: string,
  ) => {
    const found = recordsOf(document, kind).find((record) => ('label' in record ? record.label : record.name) === name)
    if (!found) throw new Error(name)
    return found
  }

  test('nothing for the same document', () => {
    const memo = new Memo()
    derive(memo, document, { kind: 'overview' })
    memo.resetCounts()
    derive(memo, demoDocument(), { kind: 'overview' })
    expect(memo.computed).toEqual({})
  })

  test('another name draws no geometry and solves no load', () => {
    const work = workOf(() => ({ ...labelled('panel', 'P2'), label: 'Reading room west' }))
    expect(work).toEqual({})
  })

  test('another imposed load: its key, the intensities of the layouts that use it and the floors below; no sharing', () => {
    const work = workOf(() => ({ ...labelled('loadKey', 'Reading room'), imposed: 4000 }))
    // level 2, the hall's eaves that its columns pass, level 1
    expect(work).toEqual({ loadKey: 1, intensity: 2, worked: 2, rundown: 3 })
  })

  test('another wind velocity solves the wind and nothing of gravity', () => {
    const work = workOf((doc) => {
      const [basis] = recordsOf(doc, 'basis')
      if (!basis) throw new Error('no basis')
      return { ...basis, basicWindVelocity: 28 }
    })
    expect(work).toEqual({ wind: 1 })
  })

  test('a panel moved by its corner shares that panel again, not its neighbours', () => {
    const work = workOf(() => {
      const panel = labelled('panel', 'P2')
      return {
        ...panel,
        outline: panel.outline.map(([x, y], i) => (i === 0 ? ([x + 0.1, y] as const) : ([x, y] as const))),
      }
    })
    expect(work['panelShare']).toBe(1)
    expect(work['frame']).toBeUndefined()
  })

  test('a layer of a wall: the walls made of it are weighed, and nothing is shared again', () => {
    const make = wallOfLayersEdits([labelled('wallRun', 'W2')], seededRandom(8))
    const layered = withEdits(document, make)
    const [buildUp] = make.flatMap(({ after }) => (after?.kind === 'buildUp' ? [after] : []))
    if (!buildUp) throw new Error('no layers')
    const memo = new Memo()
    derive(memo, layered, { kind: 'overview' })
    memo.resetCounts()
    const after = { ...buildUp, layers: buildUp.layers.map((layer) => ({ ...layer, load: 4000 })) }
    derive(memo, withEdits(layered, [{ id: buildUp.id, before: buildUp, after }]), { kind: 'overview' })
    expect(memo.computed).toMatchObject({ wallLoads: 2, intensity: 2 })
    expect(memo.computed['wallShare']).toBeUndefined()
    expect(memo.computed['panelShare']).toBeUndefined()
  })

  test('a wall of another weight is only weighed: no sharing', () => {
    const work = workOf(() => ({ ...labelled('wallRun', 'W2'), weight: 4000 }))
    expect(work).toMatchObject({ wallLoads: 2, intensity: 2 })
    expect(work['wallShare']).toBeUndefined()
    expect(work['panelShare']).toBeUndefined()
  })
})
