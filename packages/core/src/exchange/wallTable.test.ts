import fc from 'fast-check'
import { holds } from '../../test/holds'
import { Building } from '../../test/build'
import { seededRandom } from '../document/document'
import { metricPoint } from '../units/format'
import { readWallTable, wallTableLimits } from './wallTable'

function site() {
  const building = new Building()
  building.grid('x', '1', 0)
  building.grid('x', '2', 6)
  building.grid('y', 'A', 0)
  building.grid('y', 'B', 4.5)
  const layout = building.layout('Floor', null)
  const read = (text: string) =>
    readWallTable(text, { document: building.document, layout, format: metricPoint, random: seededRandom(9) })
  return { building, layout, read }
}

const only = (text: string) => site().read(text).problems

test('walls by places, with their weight, what is taken off, and openings', () => {
  const { rows, problems } = site().read(
    'mark\tfrom\tto\tvia\tweight, kN/m²\theight\tless\topenings\n' +
      'W7\tA1\tB2\tA2\t2.9\t\tboth\t20 %\n' +
      '\tA1\tA2\t\t3.1\t1.1 m\t\t\n' +
      '\tB1\tB2\t\t\t\tnothing\t2 of 1.2 x 1.5 m',
  )
  expect(problems).toEqual([])
  expect(rows).toMatchObject([
    {
      label: 'W7',
      path: [
        [0, 0],
        [6, 0],
        [6, 4.5],
      ],
      closed: false,
      weight: 2900,
      buildUp: null,
      heightRule: 'lessBoth',
      height: null,
      openingShare: 0.2,
    },
    { label: 'W1', weight: 3100, heightRule: 'typed', height: 1.1, openingShare: 0, openingSizes: [] },
    { label: 'W2', weight: 2870, heightRule: 'storey', openingSizes: [{ count: 2, width: 1.2, height: 1.5 }] },
  ])
})

test('without a weight they are as the walls of the project', () => {
  const { building, layout, read } = site()
  const buildUp = building.buildUp([{ name: 'brick', thickness: 0.1, unitWeight: 18_000, load: null, source: '' }])
  building.wall(
    layout,
    [
      [0, 0],
      [6, 0],
    ],
    { weight: 1800, buildUp: buildUp.id, label: 'W1' },
  )
  expect(read('from,to\nB1,B2').rows).toMatchObject([{ label: 'W2', weight: 1800, buildUp: buildUp.id }])
})

test.each([
  ['to\nA2', '', 'The start is missing: add a column from, or x1 and y1.'],
  ['from,to\nA1,', 'to', 'A wall run must have an end.'],
  ['from,to\nA1,A1', 'to', 'Start and end are the same point.'],
  ['from,to,via\nA1,A2,Q9', 'via', /Q9/],
  ['from,to,weight\nA1,A2,-1 kN/m²', 'weight', 'The wall weight must be 0 to 100 kN/m².'],
  ['from,to,weight\nA1,A2,3 kN', 'weight', /kN/],
  ['from,to,height\nA1,A2,0 m', 'height', 'The wall height must be above 0 and up to 100 m.'],
  ['from,to,height,less\nA1,A2,3 m,beam', 'less', 'Enter a height or a height rule, not both.'],
  ['from,to,less\nA1,A2,ceiling', 'less', '“ceiling” is not one of beam, slab, both, nothing.'],
  ['from,to,openings\nA1,A2,120 %', 'openings', 'Openings must be 0 to 1 of the wall area, or 0 to 100 %.'],
  ['from,to,openings\nA1,A2,a door', 'openings', /Enter “12 of/],
  ['from,to,label\nA1,A2,W1\nB1,B2,W1', 'label', 'W1 is already on the layout.'],
])('%j is refused at its place', (text, column, problem) => {
  expect(only(text).at(-1)).toMatchObject({
    column,
    problem: typeof problem === 'string' ? problem : (expect.stringMatching(problem) as string),
  })
})

test('too much of it is refused, and nothing that is typed makes it fall over', () => {
  expect(only('x'.repeat(wallTableLimits.characters + 1))).toHaveLength(1)
  holds(
    fc.property(fc.string({ maxLength: 60 }), fc.string({ maxLength: 20 }), (a, b) => {
      expect(() => site().read(`from,to,weight,openings\n${a},${b},${a},${b}`)).not.toThrow()
    }),
    { numRuns: 100 },
  )
})
