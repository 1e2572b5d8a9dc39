import { derive } from '../src/queries/derive'
import { projectJson, readProject } from '../src/exchange/projectFile'
import { metricPoint } from '../src/units/format'
import { Memo } from '../src/derivation/memo'
import { readLoadTable } from '../src/exchange/loadTable'
import { oneStorey } from './build'
import { demoDocument } from './demo'

type Json = null | boolean | number | string | readonly Json[] | { readonly [key: string]: Json }

/** A name that every object has from elsewhere, which a look-up takes for its own, and one that nothing has. */
const hostile = 'constructor'
const harmless = 'quagga'

/** Each text and each key of a dictionary in a record, once for all that stand alike in its kind, with the record in which it says something else. */
function* replaced(value: Json, word: string, at: string, seen: Set<string>): Generator<Json> {
  if (typeof value === 'string' && !seen.has(at)) {
    seen.add(at)
    yield word
  } else if (Array.isArray(value)) {
    for (const [i, item] of (value as readonly Json[]).entries())
      for (const other of replaced(item, word, `${at}[]`, seen)) yield value.toSpliced(i, 1, other) as readonly Json[]
  } else if (typeof value === 'object' && value !== null) {
    for (const [key, item] of Object.entries(value)) {
      if (key === 'id' || key === 'kind') continue
      for (const other of replaced(item, word, `${at}.${key}`, seen)) yield { ...value, [key]: other }
      if (!seen.has(`${at} key`)) {
        seen.add(`${at} key`)
        const { [key]: own, ...rest } = value as Readonly<Record<string, Json>>
        yield { ...rest, [word]: own ?? null }
      }
    }
  }
}

test('a name that every object has means no more to a project than a name that nothing has', () => {
  const file = JSON.parse(JSON.stringify(projectJson(demoDocument()))) as {
    readonly records: Readonly<Record<string, { kind: string }>>
  }
  const memo = new Memo()
  const outcome = (records: unknown, word: string): string => {
    const read = readProject({ ...file, records })
    const said = read.ok
      ? [derive(memo, read.document, { kind: 'csv', only: 'cases' }), derive(memo, read.document, { kind: 'concerns' })]
      : read.problems
    return JSON.stringify(said).replaceAll(word, harmless)
  }
  let count = 0
  const [seen, others] = [new Set<string>(), new Set<string>()]
  for (const [id, record] of Object.entries(file.records)) {
    const tame = [...replaced(record, harmless, record.kind, others)]
    const wild = [...replaced(record, hostile, record.kind, seen)]
    expect(wild).toHaveLength(tame.length)
    wild.forEach((changed, i) => {
      count++
      expect(outcome({ ...file.records, [id]: changed }, hostile)).toBe(
        outcome({ ...file.records, [id]: tame[i] }, harmless),
      )
    })
  }
  expect(count).toBeGreaterThan(100)
})

test('nor is it a heading of a table', () => {
  const { building, layout } = oneStorey()
  const read = readLoadTable('constructor, load\n1, 2', {
    document: building.document,
    layout,
    random: building.random,
    format: metricPoint,
    uses: [],
  })
  expect(read.problems).toEqual([
    { row: 1, column: 'constructor', problem: expect.stringMatching(/^Unknown heading/) as string },
  ])
})
