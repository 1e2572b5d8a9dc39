import fc from 'fast-check'
import { holds } from '../../test/holds'
import { metricPoint } from '../units/format'
import { readLayerTable } from './layerTable'

const read = (text: string) => readLayerTable(text, metricPoint)

describe('layers of a build-up from a table', () => {
  test('cells pasted without headings: three are a layer by thickness, two one by load, in the units of the project', () => {
    expect(read('screed\t50\t20\ncarpet\t0.05\n')).toEqual({
      layers: [
        { name: 'screed', thickness: 0.05, unitWeight: 20_000, load: null, source: '' },
        { name: 'carpet', thickness: null, unitWeight: null, load: 50, source: '' },
      ],
      problems: [],
    })
  })

  test('headings say which is which, and their unit', () => {
    const { layers, problems } = read('load (Pa);name;unit weight;thickness, cm\n;gravel;18;5\n150;membrane;;')
    expect(problems).toEqual([])
    expect(layers).toMatchObject([
      { name: 'gravel', thickness: 0.05, unitWeight: 18_000, load: null },
      { name: 'membrane', load: 150 },
    ])
  })

  test.each([
    ['', 1, '', /Paste one row per layer: name, thickness, unit weight; or name, load\./],
    ['name,load', 1, '', /The table has headings but no layers\./],
    ['screed,fifty,20', 1, 'thickness', /./],
    ['name,thickness\nscreed,50', 2, 'unit weight', /Enter thickness and unit weight, or a load\./],
    ['name,thickness,unit weight,load\nscreed,50,20,1', 2, 'load', /either thickness/],
    ['name,load\n,0.5', 2, 'name', /The layer name is missing\./],
    ['screed,50,20,,more', 1, '', /more cells/],
    [`${'x'.repeat(61)},0.5`, 1, 'name', /60 characters/],
    ['screed,90 m,20', 1, 'thickness', /outside 0 to 10/],
    [`${'screed,0.5\n'.repeat(41)}`, 1, '', /41 rows; a build-up can have at most 40/],
    ['x'.repeat(100_001), 1, '', /larger than 100 kB/],
  ] as const)('%j is refused at its place', (text, row, column, problem) => {
    const { problems } = read(text)
    expect(problems[0]).toEqual({ row, column, problem: expect.stringMatching(problem) as string })
  })

  test('any text at all is answered, never thrown', () => {
    holds(
      fc.property(fc.string({ unit: 'binary', maxLength: 300 }), (text) => {
        expect(read(text).layers.length + read(text).problems.length).toBeGreaterThan(0)
      }),
    )
  })
})
