import fc from 'fast-check'
import { holds } from '../../test/holds'
import { Building } from '../../test/build'
import { seededRandom } from '../document/document'
import { metricPoint } from '../units/format'
import { loadTableLimits, readLoadTable } from './loadTable'

function site() {
  const building = new Building()
  building.grid('x', '1', 0)
  building.grid('x', '2', 6)
  building.grid('y', 'A', 0)
  building.grid('y', 'B', 4.5)
  const layout = building.layout('Roof', null)
  const read = (text: string) =>
    readLoadTable(text, {
      document: building.document,
      layout,
      format: metricPoint,
      random: seededRandom(9),
      uses: ['A', 'B', 'E1'],
    })
  return { building, layout, read }
}

test('a list of machines: places in words, a unit in the heading or with the number', () => {
  const { rows, problems } = site().read('equipment\tat\tload, kN\nchiller 1\tA1 + 2 m east\t34.5\ntank\tB2\t2500 kg')
  expect(problems).toMatchObject([{ row: 3, column: 'load' }])
  expect(rows).toMatchObject([
    {
      kind: 'pointLoad',
      label: 'F1',
      what: 'chiller 1',
      nature: 'permanent',
      use: null,
      path: [[2, 0]],
      value: 34_500,
    },
  ])
})

test('one place is a force, two are a line; a use makes it imposed', () => {
  const { rows, problems } = site().read(
    'label;what;use;x1;y1;x2;y2;load\nP1;shelf;E1;0;0;6;0;7.5 kN/m\n;safe;E1;3;2;;;12 kN\n;parapet;;0;0;0;4.5;2 kN/m',
  )
  expect(problems).toEqual([])
  expect(rows).toMatchObject([
    {
      kind: 'lineLoad',
      label: 'P1',
      nature: 'imposed',
      use: 'E1',
      path: [
        [0, 0],
        [6, 0],
      ],
      value: 7500,
    },
    { kind: 'pointLoad', label: 'F1', nature: 'imposed', path: [[3, 2]], value: 12_000 },
    { kind: 'lineLoad', label: 'Q1', nature: 'permanent', use: null, value: 2000 },
  ])
})

test.each([
  ['what,load\nchiller,5 kN', 'The position is missing: add a column from, or x1 and y1.'],
  ['what,from\nchiller,A1', 'The load value is missing: add a column load, with a unit as in “load, kN”.'],
  ['from,load,nature\nA1,5 kN,dead', '“dead” is not permanent or imposed.'],
  ['from,load,use\nA1,5 kN,Q9', '“Q9” is not a use of this standard: A, B, E1 …'],
  ['from,load,use,nature\nA1,5 kN,A,permanent', 'A permanent load cannot have a use.'],
  ['from,to,load\nA1,A1,5 kN/m', 'Start and end are the same point.'],
  ['from,load\nA1,', 'The load value is missing.'],
  ['from,load\nA1,5e9 kN', 'This is too large for a load of a building.'],
  ['label,from,load\nF1,A1,5 kN\nF1,A2,5 kN', 'F1 is already on the layout.'],
  ['from,size\nA1,5', 'Unknown heading.'],
  ['from,load', 'Paste a row of headings and at least one row of values: source, from, load.'],
])('%s is refused', (text, problem) => {
  const [first] = site().read(text).problems
  expect(first?.problem).toContain(problem)
})

test('a force has no unit of a line load, and the other way round', () => {
  const { problems } = site().read('from,to,load\nA1,,5 kN/m\nA1,A2,5 kN')
  expect(problems.map(({ row, column }) => [row, column])).toEqual([
    [2, 'load'],
    [3, 'load'],
  ])
})

test('too much of it, and any text whatever, are refused in words', () => {
  const { read } = site()
  expect(read('x'.repeat(loadTableLimits.characters + 1)).problems[0]?.problem).toContain('larger than 1 MB')
  expect(read(`from,load\n${'A1,1 kN\n'.repeat(loadTableLimits.rows + 1)}`).problems[0]?.problem).toContain('2001 rows')
  holds(
    fc.property(fc.string({ maxLength: 200 }), (text) => {
      const { rows, problems } = read(text)
      expect(rows.length === 0 || problems.length === 0 || problems.every((entry) => entry.row > 1)).toBe(true)
    }),
    { numRuns: 60 },
  )
})

test('the unit of the heading counts in every cell that says none, sums and powers of ten too', () => {
  const { rows, problems } = site().read(
    ['label,x1,y1,"load, N"', 'a,0,0,15000', 'b,0,0,1.5E+04', 'c,0,0,10000+5000', 'd,0,0,2*5000', 'e,0,0,12 kN'].join(
      '\n',
    ),
  )
  expect(problems).toEqual([])
  expect(rows?.map(({ value }) => value)).toEqual([15_000, 15_000, 15_000, 10_000, 12_000])
})

test('a line with two values varies between its ends; a force has one', () => {
  const { rows, problems } = site().read(
    'label,x1,y1,x2,y2,"load, kN/m","load to, kN/m"\nq,0,0,6,0,2,8\nr,0,0,6,0,2,\ns,0,0,6,0,0,500 N/m',
  )
  expect(problems).toEqual([])
  expect(rows).toMatchObject([
    { value: 2000, endValue: 8000 },
    { value: 2000, endValue: null },
    { value: 0, endValue: 500 },
  ])
  expect(site().read('x1,y1,"load, kN",end load\n0,0,2,3').problems).toMatchObject([{ row: 2, column: 'end load' }])
})
