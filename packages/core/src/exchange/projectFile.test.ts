import Ajv from 'ajv/dist/2020'
import fc from 'fast-check'
import { holds } from '../../test/holds'
import { demoDocument } from '../../test/demo'
import { documentOf } from '../document/document'
import { kinds, recordKinds, type Rec } from '../document/recordKinds'
import { fileLimits, projectJson, projectSchema, readProject, readProjectFile, writeProjectFile } from './projectFile'

const document = demoDocument()
const whole = writeProjectFile(document)
const firstProblem = (text: string) => {
  const read = readProjectFile(text)
  return read.ok ? 'read' : `${read.problems[0].path}: ${read.problems[0].problem}`
}
const anyOf = (kind: Rec['kind']): Rec => {
  const found = [...document.records.values()].find((record) => record.kind === kind)
  if (!found) throw new Error(`No ${kind} in the demo`)
  return found
}
/** The demo with one field of one record set to something else, as a file. */
const withField = (kind: Rec['kind'], field: string, value: unknown): string => {
  const { id } = anyOf(kind)
  const json = projectJson(document)
  const records = { ...json.records, [id]: { ...json.records[id], [field]: value } }
  return JSON.stringify({ ...json, records })
}

describe('what is written is read', () => {
  test('equal documents give equal bytes, whatever the order in which records came', () => {
    const read = readProjectFile(whole)
    if (!read.ok) throw new Error(read.problems[0].problem)
    expect(writeProjectFile(read.document)).toBe(whole)
    holds(
      fc.property(
        fc.shuffledSubarray([...document.records.values()], { minLength: document.records.size }),
        (records) => {
          expect(writeProjectFile(documentOf(records))).toBe(whole)
        },
      ),
      { numRuns: 5 },
    )
  })

  test('origin and typed texts stay with a record', () => {
    const level = anyOf('level')
    const marked = { ...level, origin: level.id, typed: { elevation: '3.15 - 0.45' } } as Rec
    const read = readProjectFile(writeProjectFile(documentOf([...document.records.values(), marked])))
    expect(read.ok && read.document.records.get(level.id)).toEqual(marked)
  })

  test('a field that older files lack is read with its default', () => {
    const { id } = anyOf('panel')
    const json = projectJson(document)
    const { overhang: _, openings: __, ...older } = json.records[id] as unknown as Record<string, unknown>
    const read = readProject({ ...json, records: { ...json.records, [id]: older } })
    expect(read.ok && read.document.records.get(id)).toMatchObject({ overhang: 'lever', openings: 'bridged' })
  })
})

describe('the schema', () => {
  const validate = new Ajv({ strict: true, allowUnionTypes: true }).compile(projectSchema())

  test('says of the demo that it holds', () => {
    expect(validate(JSON.parse(whole)) || validate.errors).toBe(true)
  })

  test('has every kind and every field', () => {
    const text = JSON.stringify(projectSchema())
    for (const kind of kinds) {
      expect(text).toContain(`{"const":"${kind}"}`)
      for (const field of Object.keys(recordKinds[kind])) expect(text).toContain(`"${field}":`)
    }
  })

  test('refuses what the reader refuses, on random damage to random fields', () => {
    const records = [...document.records.values()]
    const damage = fc.constantFrom<unknown>(null, -1e9, 1e9, 'x', '', true, [], {}, [[0, 0]], 'member:nothing', 3.5)
    holds(
      fc.property(fc.constantFrom(...records), fc.nat(12), damage, (record, which, value) => {
        const fields = Object.keys(recordKinds[record.kind])
        const field = fields[which % fields.length] ?? ''
        const json = projectJson(document)
        const records = { ...json.records, [record.id]: { ...json.records[record.id], [field]: value } }
        const damaged: unknown = JSON.parse(JSON.stringify({ ...json, records }))
        const read = readProject(damaged)
        // the reader knows more than a schema can say (references, ranges): it never takes what the schema refuses
        if (read.ok) expect(validate(damaged) || validate.errors).toBe(true)
        if (!validate(damaged)) expect(read.ok).toBe(false)
      }),
      { numRuns: 300 },
    )
  })
})

describe('a broken file is refused whole, with the place and a sentence', () => {
  test.each([
    ['', /^: The file is not valid JSON/],
    [whole.slice(0, 4000), /^: The file is not valid JSON/],
    ['[]', /^: The file does not contain a project/],
    ['null', /^: The file does not contain a project/],
    ['{}', /^format: The file says “undefined”/],
    [whole.replace('hedrion-project', 'other'), /^format: The file says “other”/],
    [
      whole.replace('"version": 3', '"version": 4'),
      /^version: The file is of version 4; this program reads versions 1 to 3/,
    ],
    [whole.replace('"version": 3', '"version": 0'), /^version: The file is of version 0/],
    [whole.replace('"results": 1', '"results": "x"'), /^results: The edition of the results must be an integer/],
    ['{"format":"hedrion-project","version":1,"records":[]}', /^records: The records are missing/],
    ['{"format":"hedrion-project","version":1,"records":{"a":5}}', /^records\.a: A record is expected/],
    [
      '{"format":"hedrion-project","version":1,"records":{"a":{"kind":"wing"}}}',
      /^records\.a\.kind: “wing” is not a record kind/,
    ],
  ])('%.40s', (text, wanted) => expect(firstProblem(text)).toMatch(wanted))

  test.each([
    ['level', 'elevation', 'high', /\.elevation: A finite number is expected, not “high”/],
    ['level', 'elevation', 1e308, /\.elevation: 1e\+308 is outside -500 to 2000/],
    ['level', 'colour', 'red', /\.colour: Unknown field/],
    ['section', 'area', 0, /\.area: 0 is outside more than 0/],
    ['panel', 'outline', [[0, 0]], /\.outline: The list has 1 entries; 3 to 500/],
    ['panel', 'outline', [[0, 0], [1, 0], [1]], /\.outline\[2\]: A point \[x, y\] is expected/],
    [
      'panel',
      'outline',
      [
        [0, 0],
        [1, 0],
        [2e6, 0],
      ],
      /\.outline\[2\]\[0\]: 2000000 is outside/,
    ],
    ['panel', 'layout', 'layout:gone00000000', /It refers to layout:gone00000000, which does not exist/],
    ['panel', 'layout', 'level:000000000000', /\.layout: The id of a layout is expected/],
    ['basis', 'terrain', 'V', /\.terrain: One of 0, I, II, III, IV is expected, not “V”/],
    ['basis', 'name', 'a\0b', /NUL character/],
    ['basis', 'name', 'x'.repeat(121), /longer than 120/],
    ['member', 'id', 'member:0', /\.id: An id such as/],
    ['wallRun', 'closed', 'yes', /\.closed: true or false is expected/],
    ['level', 'typed', { elevation: 5 }, /\.typed\.elevation: A text is expected/],
    ['level', 'typed', { 'a b': 'x' }, /This name is not allowed/],
  ] as const)('%s.%s = %j', (kind, field, value, wanted) => {
    expect(firstProblem(withField(kind, field, value))).toMatch(wanted)
  })

  test('a record under another key, and no more than fifty problems at once', () => {
    const json = projectJson(document)
    const { id } = anyOf('panel')
    expect(
      firstProblem(JSON.stringify({ ...json, records: { ...json.records, 'panel:other0000000': json.records[id] } })),
    ).toMatch(/differs from its key/)
    const rubbish = Object.fromEntries(Array.from({ length: 500 }, (_, i) => [`x${i}`, 1]))
    const read = readProject({ ...json, records: rubbish })
    expect(read.ok ? 0 : read.problems.length).toBe(50)
  })
})

describe('hostile files are refused at small cost', () => {
  test('nesting, size and number of records', () => {
    expect(firstProblem('['.repeat(200_000))).toMatch(/nested deeper than 15/)
    expect(firstProblem(`{"a":"${'['.repeat(50)}"}`)).toMatch(/^format/)
    const many = Object.fromEntries(Array.from({ length: fileLimits.records + 1 }, (_, i) => [i, 0]))
    expect(readProject({ format: 'hedrion-project', version: 1, records: many })).toMatchObject({
      ok: false,
      problems: [{ path: 'records' }],
    })
  })

  test('names that reach for the prototype of objects change nothing', () => {
    const text = whole.replace('"values": {', '"values": { "__proto__": {"polluted": 1},')
    readProjectFile(text)
    readProjectFile('{"format":"hedrion-project","version":1,"records":{"__proto__":{"kind":"level"}}}')
    readProject(JSON.parse('{"format":"hedrion-project","version":1,"records":{"x":{"kind":"__proto__","id":"a"}}}'))
    readProject(JSON.parse('{"format":"hedrion-project","version":1,"records":{"x":{"kind":"constructor","id":"a"}}}'))
    expect(({} as Record<string, unknown>)['polluted']).toBeUndefined()
  })

  test('whatever is uploaded, the answer is a document or a list of problems', () => {
    holds(
      fc.property(fc.json({ maxDepth: 6 }), (text) => {
        const read = readProjectFile(text)
        expect(read.ok ? 'read' : read.problems[0].problem).toBeTruthy()
      }),
    )
    // and with single characters of a sound file changed
    holds(
      fc.property(fc.nat(whole.length - 1), fc.constantFrom('"', '{', ']', '0', '-', 'e', ','), (at, letter) => {
        const read = readProjectFile(whole.slice(0, at) + letter + whole.slice(at + 1))
        if (!read.ok) expect(read.problems[0].problem.endsWith('.')).toBe(true)
      }),
      { numRuns: 60 },
    )
  })
})
