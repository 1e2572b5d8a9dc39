import fs from 'node:fs'
import path from 'node:path'
import fc from 'fast-check'
import { holds } from './holds'
import { demoChanges } from '../src/generate/demo'
import { Memo } from '../src/derivation/memo'
import { deriveProject, type ProjectState } from '../src/derivation/project'
import { expanded } from '../src/document/labels'
import type { Level, Member } from '../src/document/recordKinds'
import { readProjectFile } from '../src/exchange/projectFile'
import { ask } from '../src/queries/derive'
import { canonical } from '../src/document/canonical'
import { applyChange, withEdits, type ChangeSet } from '../src/document/changes'
import { emptyDocument, formatVersion, recordsOf } from '../src/document/document'
import { isId } from '../src/document/fields'
import type { FormatStep, RawRecord } from '../src/document/format/formatStep'
import { madeId } from '../src/document/format/madeId'
import { isRaw, migrateEdits, migrateRecord, type RawEdit } from '../src/document/format/migrate'
import { openRecords } from '../src/document/format/openRecords'
import { formatSteps } from '../src/document/format/steps'

const demo = demoChanges.reduce((document, { edits }) => withEdits(document, edits), emptyDocument)

/** Raw documents, as a store of any version holds them. */
type Raw = ReadonlyMap<string, unknown>

const applied = (records: Raw, edits: readonly RawEdit[]): Raw => {
  const next = new Map(records)
  for (const { id, after } of edits) {
    if (after === null) next.delete(id)
    else next.set(id, after)
  }
  return next
}
const migrated = (records: Raw, from: number, steps?: readonly FormatStep[]): Raw =>
  new Map(
    [...records.values()].flatMap((value) =>
      migrateRecord(value, from, steps).map((one) => [isRaw(one) ? one.id : '', one] as const),
    ),
  )
const sorted = (records: Raw): string =>
  canonical([...records].sort(([a], [b]) => (a < b ? -1 : 1)).map(([, record]) => record))

/** Steps of an invented format: one splits records in two, one drops a kind, one renames a kind and its ids. */
const inventedSteps: readonly FormatStep[] = [
  {
    to: 2,
    migrate: (record) => {
      if (record.kind !== 'wall') return [record]
      const { cladding, ...rest } = record
      return cladding === undefined
        ? [rest]
        : [rest, { kind: 'cladding', id: madeId('cladding', record.id, 'cladding'), wall: record.id, cladding }]
    },
  },
  { to: 3, migrate: (record) => (record.kind === 'note' ? [] : [record]) },
  {
    to: 4,
    migrate: (record) =>
      record.kind === 'beam' ? [{ ...record, kind: 'bar', id: madeId('bar', record.id, 'itself') }] : [record],
  },
]

const rawRecord = fc
  .record({
    kind: fc.constantFrom('wall', 'note', 'beam', 'level'),
    tail: fc.integer({ min: 0, max: 5 }),
    value: fc.integer({ min: 0, max: 3 }),
    cladding: fc.option(fc.integer({ min: 0, max: 3 }), { nil: undefined }),
  })
  .map(({ kind, tail, value, cladding }) => ({
    kind,
    id: `${kind}:00000000000${tail}`,
    value,
    ...(kind === 'wall' && cladding !== undefined ? { cladding } : {}),
  }))

describe('law: migrate(apply(d, c)) = apply(migrate(d), migrate(c))', () => {
  test('for random histories and steps that split, drop and rename', () => {
    holds(
      fc.property(
        fc.array(fc.array(fc.tuple(rawRecord, fc.boolean()), { minLength: 1, maxLength: 4 }), { maxLength: 12 }),
        fc.integer({ min: 1, max: 4 }),
        (history, from) => {
          let document: Raw = new Map()
          let later: Raw = new Map()
          for (const change of history) {
            // one edit to a record, as the server holds
            const wanted = new Map(change.map(([record, isKept]) => [record.id, isKept ? record : null]))
            const edits = [...wanted].map(([id, after]) => ({ id, before: document.get(id) ?? null, after }))
            document = applied(document, edits)
            const migratedEdits = migrateEdits(edits, from, inventedSteps)
            // each expects what is there
            for (const { id, before } of migratedEdits) expect(canonical(before)).toBe(canonical(later.get(id) ?? null))
            later = applied(later, migratedEdits)
            expect(sorted(later)).toBe(sorted(migrated(document, from, inventedSteps)))
          }
        },
      ),
      { numRuns: 300 },
    )
  })

  test('for random histories of the demo in the format of version 1', () => {
    const records = [...demo.records.values()].map(asVersion1)
    holds(
      fc.property(
        fc.array(fc.tuple(fc.nat({ max: records.length - 1 }), fc.integer({ min: -1, max: 9 })), { maxLength: 25 }),
        (picks) => {
          let document: Raw = new Map()
          let later: Raw = new Map()
          for (const [i, value] of picks) {
            const record = records[i]
            if (!record) continue
            const after = value < 0 ? null : { ...record, ...('value' in record ? { value } : { label: `L${value}` }) }
            const edits = [{ id: record.id, before: document.get(record.id) ?? null, after }]
            document = applied(document, edits)
            later = applied(later, migrateEdits(edits, 1))
          }
          expect(sorted(later)).toBe(sorted(migrated(document, 1)))
        },
      ),
    )
  })

  test('an edit of one part leaves the others out, so that another person’s change of them stands', () => {
    const before = { kind: 'wall', id: 'wall:000000000001', value: 1, cladding: 2 }
    const [edit, none] = migrateEdits([{ id: before.id, before, after: { ...before, value: 3 } }], 1, inventedSteps)
    expect(edit).toMatchObject({ id: before.id, after: { value: 3 } })
    expect(none).toBeUndefined()
  })
})

/** What a record of today was in version 1. */
function asVersion1(record: object): RawRecord {
  const { endValue, hatch, code, additionalSeismicMass, ...rest } = record as Record<string, unknown>
  return ('kind' in rest && rest['kind'] === 'areaLoad' ? { ...rest, endValue } : rest) as RawRecord
}

test('a history of version 1 as the build of that day wrote it: migrated and applied it is the migrated document', () => {
  const file = JSON.parse(fs.readFileSync(path.join(__dirname, 'fixtures/history-1.json'), 'utf8')) as {
    readonly changes: readonly ChangeSet[]
  }
  let before: Raw = new Map()
  let document = emptyDocument
  for (const change of file.changes) {
    before = applied(before, change.edits)
    const { document: next } = openRecords(
      [...before].map(([id, body]) => ({ id, body })),
      1,
    )
    const result = applyChange(document, { ...change, edits: migrateEdits(change.edits, 1) as ChangeSet['edits'] })
    if (!result.ok) throw new Error(`${change.note}: ${JSON.stringify(result)}`)
    document = result.document
    expect(document).toEqual(next)
  }
  expect(document.records.size).toBe(257)
  expect(recordsOf(document, 'lineLoad').map(({ label, endValue }) => [label, endValue])).toEqual([
    ['Q90', null],
    ['Q2', null],
    ['Q1', null],
  ])
})

describe('a history of version 2 as the build of that day wrote it', () => {
  const file = JSON.parse(fs.readFileSync(path.join(__dirname, 'fixtures/history-2.json'), 'utf8')) as {
    readonly changes: readonly ChangeSet[]
    /** What that build found: by table the factors and loads of columns and beams, and what construction stages load. */
    readonly results: {
      readonly reductions: Readonly<Record<string, readonly Factors[]>>
      readonly balances: Readonly<Record<string, { readonly applied: number; readonly atSupports: number }>>
      readonly masses: { readonly rows: readonly { readonly weight: number }[] }
    }
  }
  let before: Raw = new Map()
  let document = emptyDocument
  for (const change of file.changes) {
    before = applied(before, change.edits)
    const result = applyChange(document, { ...change, edits: migrateEdits(change.edits, 2) as ChangeSet['edits'] })
    if (!result.ok) throw new Error(`${change.note}: ${JSON.stringify(result)}`)
    document = result.document
  }
  const opened = openRecords(
    [...before].map(([id, body]) => ({ id, body })),
    2,
  )

  test('migrated and applied it is the migrated document, and the file of that day', () => {
    expect(opened.aside).toEqual([])
    expect(document).toEqual(opened.document)
    const read = readProjectFile(fs.readFileSync(path.join(__dirname, 'fixtures/project-2.json'), 'utf8'))
    if (!read.ok) throw new Error(read.problems[0].problem)
    expect([...read.document.records.values()]).toEqual(
      expect.arrayContaining([...document.records.values()].map((record) => expect.objectContaining({ ...record }))),
    )
  })

  test('construction stages are records of their own, with what was typed; one that was taken out is gone', () => {
    const named = new Map(recordsOf(document, 'loadKey').map(({ id, name }) => [id, name]))
    const stages = recordsOf(document, 'constructionStage').map(({ key, permanent, other, typed }) => [
      named.get(key),
      permanent,
      other,
      typed,
    ])
    expect(stages.sort()).toEqual([
      ['Balcony', null, 1500, undefined],
      ['Reading room', 300, 750, { other: '0.5 + 0.25' }],
    ])
    expect(recordsOf(document, 'loadKey').find(({ name }) => name === 'Reading room')).toMatchObject({
      additionalSeismicMass: 200,
      typed: { additionalSeismicMass: '0.1 + 0.1', imposed: '3' },
    })
  })

  test('loads and masses are what they were', () => {
    const state = deriveProject(new Memo(), document)
    for (const [caseId, { applied: sum, atSupports }] of Object.entries(file.results.balances)) {
      const balance = ask(state, { kind: 'balance', caseId })
      expect(balance.applied).toBeCloseTo(sum, 6)
      expect(balance.atSupports).toBeCloseTo(atSupports, 6)
    }
    const weights = ask(state, { kind: 'masses' })?.rows.map(({ weight }) => weight)
    expect(weights).toHaveLength(file.results.masses.rows.length)
    file.results.masses.rows.forEach(({ weight }, i) => expect(weights?.[i]).toBeCloseTo(weight, 3))
  })

  // in steps by area, in a line by storeys: forms that there are none of now give the same factors
  test.each(Object.keys(file.results.reductions))('factors of %s are what they were', (id) => {
    const [basis] = recordsOf(document, 'basis')
    if (!basis) throw new Error('no basis')
    const table = recordsOf(document, 'reductionTable').find((entry) => entry.id === id)
    const after = { ...basis, reductionTable: table?.id ?? null }
    const state = deriveProject(new Memo(), withEdits(document, [{ id: basis.id, before: basis, after }]))
    const reading = recordsOf(document, 'layout').find(({ name }) => name === 'Reading floor')
    const levels = recordsOf(document, 'level').filter(({ name }) => name === '1' || name === '2')
    const found = recordsOf(document, 'member')
      .filter(({ layout }) => layout === reading?.id)
      .flatMap((member) => levels.flatMap((level) => factorsOf(state, member, level)))
    const wanted = file.results.reductions[id] ?? []
    expect(found.map(([label, level]) => [label, level])).toEqual(wanted.map(([label, level]) => [label, level]))
    wanted.forEach(([, , byArea, byStoreys, load], i) => {
      expect(found[i]?.slice(2, 4)).toEqual([byArea, byStoreys].map((value) => (value === null ? null : near(value))))
      expect(found[i]?.[4]).toBeCloseTo(load, 4)
    })
  })
})

const near = (value: number): unknown => expect.closeTo(value, 9)

type Factors = readonly [label: string, level: string, byArea: number | null, byStoreys: number | null, load: number]

/** Label, level, factors by area and by storeys, and the load that is left, of every length of a column or of a beam. */
function factorsOf(state: ProjectState, { id, label, role }: Member, level: Level): readonly Factors[] {
  const expandedId = expanded(id, level.id)
  if (role === 'column')
    return (ask(state, { kind: 'column', expandedId, caseId: 'imposed/C' })?.reductions ?? []).flatMap((row) =>
      row ? [[label, level.name, row.byArea, row.byStoreys, row.foot]] : [],
    )
  const reduction = ask(state, { kind: 'member', expandedId, caseId: 'imposed/C' })?.reduction
  return reduction ? [[label, level.name, reduction.byArea, null, reduction.total]] : []
}

test('undo steps are change sets: one that is migrated takes back what the migrated change did', () => {
  const before = { kind: 'wall', id: 'wall:000000000001', value: 1 }
  const change = [{ id: before.id, before, after: { ...before, cladding: 2 } }]
  const back = change.map(({ id, before: was, after }) => ({ id, before: after, after: was }))
  const document: Raw = new Map([[before.id, before]])
  const later = migrated(document, 1, inventedSteps)
  const there = applied(later, migrateEdits(change, 1, inventedSteps))
  expect(there.size).toBe(2)
  expect(sorted(applied(there, migrateEdits(back, 1, inventedSteps)))).toBe(sorted(later))
})

describe('steps', () => {
  test('there is one to each version, in order, and the last makes the present one', () => {
    expect(formatSteps.map(({ to }) => to)).toEqual(Array.from({ length: formatVersion - 1 }, (_, i) => i + 2))
  })

  test('made ids are ids, the same each time, and differ by record, kind and part', () => {
    const ids = Array.from({ length: 20_000 }, (_, i) => madeId('level', `member:0000000000${i}`, 'head'))
    expect(new Set(ids).size).toBe(20_000)
    expect(ids.every((id) => isId(id))).toBe(true)
    expect(madeId('level', 'a', 'b')).toBe(madeId('level', 'a', 'b'))
    expect(madeId('level', 'a', 'b')).not.toBe(madeId('level', 'a', 'c'))
  })

  test('what is no record goes through untouched, for the reader to name', () => {
    for (const value of [null, 5, 'x', [], {}, { id: 5, kind: 'level' }])
      expect(migrateRecord(value, 1)).toEqual([value])
  })
})

describe('a store with records that cannot be taken as they are', () => {
  const stored = [...demo.records.values()].map((record) => ({ id: record.id, body: record as unknown }))
  const rest = (id: string) => stored.filter((one) => one.id !== id)
  const anyOf = (kind: string) => {
    const found = stored.find(({ id }) => id.startsWith(`${kind}:`))
    if (!found) throw new Error(kind)
    return found
  }

  test('one that does not read is set aside and named; the others open', () => {
    const { id, body } = anyOf('wallRun')
    const { document, aside } = openRecords(
      [...rest(id), { id, body: { ...(body as object), closed: 'yes' } }],
      formatVersion,
    )
    expect(aside).toMatchObject([{ id, kind: 'wallRun', problem: { path: `records.${id}.closed` } }])
    expect(aside[0]?.label).not.toBe('')
    expect(document.records.size).toBe(stored.length - 1)
  })

  test('what points at it goes with it, and says so', () => {
    const { id } = anyOf('layout')
    const { document, aside } = openRecords([...rest(id), { id, body: 5 }], formatVersion)
    expect(aside.length).toBeGreaterThan(5)
    expect(aside.some(({ problem }) => problem.problem === `It refers to ${id}, which does not exist.`)).toBe(true)
    expect(aside.length + document.records.size).toBe(stored.length)
  })

  test('a basis that does not read is stood in for by a blank one under its id', () => {
    const { id, body } = anyOf('basis')
    const { document, aside } = openRecords(
      [...rest(id), { id, body: { ...(body as object), terrain: 9 } }],
      formatVersion,
    )
    expect(aside).toMatchObject([{ id, kind: 'basis' }])
    expect(recordsOf(document, 'basis')).toMatchObject([{ id, terrain: 'II' }])
    expect(recordsOf(openRecords(rest(id), formatVersion).document, 'basis')).toHaveLength(1)
  })

  test('two that cannot stand together: one is set aside', () => {
    const { body } = anyOf('basis')
    const id = 'basis:zzzzzzzzzzzzzzzz'
    const { document, aside } = openRecords([...stored, { id, body: { ...(body as object), id } }], formatVersion)
    expect(aside).toHaveLength(1)
    expect(recordsOf(document, 'basis')).toHaveLength(1)
  })

  test('law: whatever is broken, it opens, and a change applies', () => {
    holds(
      fc.property(
        fc.array(fc.tuple(fc.nat({ max: stored.length - 1 }), fc.jsonValue()), { maxLength: 6 }),
        (breaks) => {
          const broken = stored.map((one) => ({ ...one }))
          for (const [i, value] of breaks) {
            const one = broken[i]
            if (!one) continue
            const { body } = one
            const names = Object.keys(body as object)
            const name = names[i % names.length] ?? 'kind'
            one.body = i % 3 === 0 || !isRaw(body) ? value : { ...body, [name]: value }
          }
          const { document, aside } = openRecords(broken, formatVersion)
          expect(new Set(aside.map(({ id }) => id)).size).toBe(aside.length)
          const level = { kind: 'level' as const, id: 'level:new000000000' as const, name: 'new', elevation: 1234.5 }
          const change = { id: '', seen: 0, note: '', edits: [{ id: level.id, before: null, after: level }] }
          expect(applyChange(document, change).ok).toBe(true)
          expect(withEdits(document, change.edits).records.size).toBe(document.records.size + 1)
        },
      ),
      { numRuns: 60 },
    )
  })
})
