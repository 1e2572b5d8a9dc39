import { families, shippedSets, standardOf, embedded } from '../standards/families'
import type { FamilyId } from '../standards/family'
import { layerFileLimits, readLayerFile, templateSet, writeLayerFile } from './layerFile'

const ids = Object.keys(families) as FamilyId[]
const [germany] = shippedSets.EN
if (!germany) throw new Error('No national set')
const german = JSON.parse(writeLayerFile('EN', germany)) as Record<string, unknown>
const read = (changes: Record<string, unknown>, family: FamilyId = 'EN') =>
  readLayerFile(JSON.stringify({ ...german, ...changes }), family)

describe('a set of values goes out and comes back the same', () => {
  test.each(ids)('every set that ships for %s, and the template of its own values', (id) => {
    for (const set of [...shippedSets[id], templateSet(id)]) {
      const again = readLayerFile(writeLayerFile(id, set), id)
      if (!again.ok) throw new Error(again.problems[0].problem)
      const [first, second] = [set, again.set].map((layer) =>
        standardOf(id, [embedded(id, layer, 'layer:000000000000')]),
      )
      expect(second).toEqual(first)
      expect(second?.concerns).toEqual([])
    }
  })

  test('equal sets give equal bytes', () => {
    expect(
      writeLayerFile('EN', { ...germany, values: Object.fromEntries(Object.entries(germany.values).reverse()) }),
    ).toBe(writeLayerFile('EN', germany))
  })

  test('an edited value counts, with its own clause', () => {
    const edited = read({ values: { 'imposed.q_k.B1': { value: 2500, clause: 'agreed with the client' } } })
    if (!edited.ok) throw new Error(edited.problems[0].problem)
    const standard = standardOf('EN', [embedded('EN', edited.set, 'layer:000000000000')])
    expect(standard.values['imposed.q_k.B1']).toMatchObject({ value: 2500, clause: 'agreed with the client' })
  })
})

describe('what is refused, with where and why', () => {
  test.each([
    ['another format', { format: 'hedrion-project' }, 'format', /says “hedrion-project”/],
    ['a later version', { version: 2 }, 'version', /version 2/],
    ['no name', { name: ' ' }, 'name', /no name/],
    ['a family that is Unknown field\.', { family: 'XX' }, 'family', /One of EN, ASCE, IS, BS/],
    ['a field that is Unknown field\.', { code: 'return 1' }, 'code', /Unknown field\./],
    ['a value that is no number', { values: { a: { value: '3', clause: '' } } }, 'values.a.value', /finite number/],
    [
      'a use without a group',
      { uses: { bar: { name: 'bars', sort: null, reducible: true } } },
      'uses.bar.group',
      /text/,
    ],
  ] as const)('%s', (_, changes, path, problem) => {
    expect(read(changes)).toEqual({
      ok: false,
      problems: expect.arrayContaining([{ path, problem: expect.stringMatching(problem) as string }]) as unknown,
    })
  })

  test('a set of another family', () => {
    const refused = read({}, 'ASCE')
    expect(refused.ok ? '' : refused.problems[0].problem).toMatch(/for Eurocodes, and the project uses ASCE 7/)
  })

  test('text that is no JSON, a list, too deep, too large, a name from the prototype', () => {
    const sentence = (text: string) => {
      const result = readLayerFile(text, 'EN')
      return result.ok ? 'read' : result.problems[0].problem
    }
    expect(sentence('{"format":')).toMatch(/The file is not valid JSON \(Unexpected end of JSON input\)\./)
    expect(sentence('[]')).toMatch(/does not contain a value set/)
    expect(sentence('['.repeat(50))).toMatch(/nested deeper than 8/)
    expect(sentence(' '.repeat(layerFileLimits.bytes + 1))).toMatch(/larger than 4 MB/)
    const named = JSON.stringify(german).replace('"uses":{', '"uses":{"__proto__":null,')
    expect(sentence(named)).toMatch(/named __proto__ is not allowed/)
  })
})
