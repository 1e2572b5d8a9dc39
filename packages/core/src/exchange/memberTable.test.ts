import fc from 'fast-check'
import { holds } from '../../test/holds'
import { Building } from '../../test/build'
import { seededRandom } from '../document/document'
import { metricPoint } from '../units/format'
import { memberTableLimits, readMemberTable } from './memberTable'

function site(materials = 1) {
  const building = new Building()
  building.records.splice(building.records.indexOf(building.weightless), 1)
  const steel = building.material({ name: 'Steel S355' })
  if (materials > 1) building.material({ name: 'Concrete' })
  const section = building.sectionOf({ name: 'IPE 300' })
  building.grid('x', '1', 0)
  building.grid('x', '2', 6)
  building.grid('y', 'A', 0)
  building.grid('y', 'B', 4.5)
  const layout = building.layout('Floor', null)
  const read = (text: string) =>
    readMemberTable(text, { document: building.document, layout, format: metricPoint, random: seededRandom(9) })
  return { building, layout, steel, section, read }
}
const only = (text: string, materials = 1) => site(materials).read(text).problems

describe('what a table says becomes members', () => {
  test('a bearing wall passes other places on its way', () => {
    const { members, sections, problems } = site().read('role,from,via,to,section\nwall,A1,A2,B2,rectangle 240 x 1000')
    expect(problems).toEqual([])
    expect(members).toMatchObject([
      {
        label: 'M1',
        role: 'wall',
        path: [
          [0, 0],
          [6, 0],
          [6, 4.5],
        ],
      },
    ])
    expect(sections).toMatchObject([{ shape: 'rectangle', width: 0.24 }])
  })

  test('by grid crossings, with sections of the project and of the tables', () => {
    const { read, section, steel } = site()
    const { members, sections, problems } = read(
      'label,role,from,to,section\nB7,beam,A1,A2,ipe300\nG1,girder,A1,B1,HEB 240\n,column,B2,,heb240',
    )
    expect(problems).toEqual([])
    expect(members).toMatchObject([
      {
        label: 'B7',
        role: 'beam',
        path: [
          [0, 0],
          [6, 0],
        ],
        section: section.id,
        material: steel.id,
      },
      {
        label: 'G1',
        role: 'girder',
        path: [
          [0, 0],
          [0, 4.5],
        ],
      },
      { label: 'C1', role: 'column', path: [[6, 4.5]] },
    ])
    // made once, though it is named twice
    expect(sections.map(({ name }) => name)).toEqual(['HEB 240'])
    expect(members[2]?.section).toBe(sections[0]?.id)
  })

  test('a column or hanger with an end elsewhere rakes', () => {
    const { members, problems } = site().read(
      'label,role,from,to,section\nC7,column,A1,A1 + 1.5 m north,HEB 240\nN1,hanger,B1,B2,HEB 240\nN2,hanger,B2,,HEB 240',
    )
    expect(problems).toEqual([])
    expect(members.map(({ role, path }) => [role, path])).toEqual([
      [
        'column',
        [
          [0, 0],
          [0, 1.5],
        ],
      ],
      [
        'hanger',
        [
          [0, 4.5],
          [6, 4.5],
        ],
      ],
      ['hanger', [[6, 4.5]]],
    ])
  })

  test('bent ones through places, or in an arc that rises to the left', () => {
    const { members, problems } = site().read(
      'label,from,to,via,rise,section\nB7,A1,B2,A2 + 1 m north to B2 + 1 m west,,ipe300\nB8,A1,A2,,500 mm,ipe300',
    )
    expect(problems).toEqual([])
    expect(members[0]?.path).toEqual([
      [0, 0],
      [6, 1],
      [5, 4.5],
      [6, 4.5],
    ])
    // c²/4 = f (2 R - f): R = 9.25 m about 8.75 m south of the middle
    for (const [x, y] of members[1]?.path ?? []) expect(Math.hypot(x - 3, y + 8.75)).toBeCloseTo(9.25, 9)
    expect(Math.max(...(members[1]?.path ?? []).map(([, y]) => y))).toBeCloseTo(0.5, 9)
  })

  test.each([
    ['from,via,section\nA1,A2,ipe300', 'A column cannot be cranked or curved.'],
    ['role,from,to,rise,section\ntruss,A1,A2,1 m,ipe300', 'A truss cannot be cranked or curved.'],
    ['from,to,via,rise,section\nA1,A2,B2,1 m,ipe300', 'Enter intermediate points or an arc rise, not both.'],
    ['from,to,rise,section\nA1,A2,7 m,ipe300', 'The arc rise cannot exceed the length.'],
  ])('%s is refused', (text, problem) => {
    expect(only(text)).toMatchObject([{ problem }])
  })

  test('by coordinates with a unit in the heading, pasted from a spreadsheet or with semicolons', () => {
    for (const sign of ['\t', ';']) {
      const text = [
        ['mark', 'x1, mm', 'y1 (mm)', 'x2 [mm]', 'y2', 'section'],
        ['B1', '0', '4500', '6000', '4.5', 'IPE 300'],
        ['B2', '1 m', '0', '6000', '0', 'rectangle 200 x 400'],
      ]
      const { members, problems } = site().read(text.map((row) => row.join(sign)).join('\r\n'))
      expect(problems).toEqual([])
      expect(members.map(({ path }) => path)).toEqual([
        [
          [0, 4.5],
          [6, 4.5],
        ],
        [
          [1, 0],
          [6, 0],
        ],
      ])
    }
  })

  test('an end may go on from its start; empty rows and a mark of the byte order do not matter', () => {
    const { members } = site().read('\uFEFFfrom,to,section\n\nA1 + 1.5 m north,6 m east,IPE 300\n,,\n')
    expect(members[0]?.path).toEqual([
      [0, 1.5],
      [6, 1.5],
    ])
  })

  test('a material of the tables is made from its name, once; without one it is that of the members of the section', () => {
    const { read, building, layout, section, steel } = site(2)
    const { members, materials, problems } = read(
      'from,to,section,material\nA1,A2,IPE 300,structural steel\nB1,B2,IPE 300,Structural steel',
    )
    expect(problems).toEqual([])
    expect(materials).toMatchObject([{ name: 'Structural steel', unitWeight: 78_500 }])
    expect(members.map(({ material }) => material)).toEqual([materials[0]?.id, materials[0]?.id])
    // several materials, and no member of the section yet
    expect(only('from,to,section\nA1,A2,IPE 300', 2)).toHaveLength(1)
    building.beam(layout, [0, 0], [6, 0], { section: section.id, material: steel.id })
    const after = read('from,to,section\nB1,B2,IPE 300')
    expect(after.problems).toEqual([])
    expect(after.members).toMatchObject([{ material: steel.id }])
  })

  test('every role: rafters and purlins, trusses with usual chords, members in space with their heights', () => {
    const { read, section } = site()
    const { members, problems } = read(
      [
        'role,from,to,z1,z2,section',
        'rafter,A1,B1,,,IPE 300',
        'purlin,A1,A2,,,IPE 300',
        'truss,A1,A2,,,IPE 300',
        'brace,A1,B2,-3.5,0,IPE 300',
        'tie,A1,A2,,,IPE 300',
        'chord,A1,B1,1.2,1.2,IPE 300',
        'web,A1,B1,0,1.2,IPE 300',
      ].join('\n'),
    )
    expect(problems).toEqual([])
    expect(members.map(({ label }) => label)).toEqual(['R1', 'L1', 'T1', 'K1', 'K2', 'K3', 'K4'])
    // a twelfth of 6 m deep (common practice), in an even number of bays about as long
    expect(members[2]).toMatchObject({ truss: { depth: 0.5, bays: 12, bottomSection: section.id } })
    expect(members[3]).toMatchObject({ kind: 'strut', role: 'brace', startHeight: -3.5, endHeight: 0 })
    // a tie lies on its level until another height is said
    expect(members[4]).toMatchObject({ kind: 'strut', role: 'tie', startHeight: 0, endHeight: 0 })
    expect(members[5]).toMatchObject({ kind: 'strut', role: 'chord', startHeight: 1.2, endHeight: 1.2 })
    expect(members[6]).toMatchObject({ kind: 'strut', role: 'web', startHeight: 0, endHeight: 1.2 })
  })

  test('free labels are counted on from those that are there', () => {
    const { building, layout, steel, read } = site()
    building.beam(layout, [0, 0], [1, 0], { label: 'B1', material: steel.id })
    const { members } = read('from,to,section\nA1,A2,IPE 300\nB1,B2,IPE 300')
    expect(members.map(({ label }) => label)).toEqual(['B2', 'B3'])
  })
})

describe('what is wrong is said by row and column, and nothing else is lost', () => {
  test.each([
    ['', 1, '', /Paste a row of headings and at least one row of values: label, from,/],
    ['from,to,section', 1, '', /Paste a row of headings and at least one row of values: label, from,/],
    ['from,colour\nA1,red', 1, 'colour', /Unknown heading\. Known headings: label, role, from, to, x1, y1, x2,/],
    ['from,from\nA1,A1', 1, 'from', /The column from appears twice\./],
    ['to,section\nA2,IPE 300', 1, '', /The start is missing: add a column from, or x1 and y1\./],
    ['from,to,section\nA1,Z9,IPE 300', 2, 'to', /Z9/],
    ['from,to,section\nA1,A1,IPE 300', 2, 'to', /same point/],
    ['from,to,section\n,A2,IPE 300', 2, 'from', /The start is missing\./],
    ['role,from,section\nbeam,A1,IPE 300', 2, 'to', /A beam must have an end\./],
    [
      'role,from,to,section\nrope,A1,A2,IPE 300',
      2,
      'role',
      /“rope” is not one of beam, girder, joist, rafter, purlin, truss,/,
    ],
    ['role,from,to,z1,section\nbeam,A1,A2,1,IPE 300', 2, 'z1', /only secondary members have heights/],
    ['role,from,to,z1,section\nbrace,A1,A2,900,IPE 300', 2, 'z1', /This is more than 200 m from the level\./],
    ['from,to,section\nA1,A2,IPE 310', 2, 'section', /IPE 310 is not a rolled size; IPE 300 and IPE 330 are/],
    ['from,to,section\nA1,A2,', 2, 'section', /missing/],
    [
      'from,to,section,material\nA1,A2,IPE 300,Gold',
      2,
      'material',
      /“Gold” is not a material of the project or of the tables; the project has Steel S355\./,
    ],
    ['x1,y1,x2,section\n0,0,6,IPE 300', 2, 'y2', /other coordinate/],
    ['x1,y1,x2,y2,section\n0,0,1e9,0,IPE 300', 2, 'x2', /./],
    ['x1,y1,x2,y2,section\n0,0,"1,200",0,IPE 300', 2, 'x2', /can be read as/],
    ['from,to,section\nA1,A2,IPE 300,more', 2, '', /more cells/],
    [`label,from,to,section\n${'x'.repeat(50)},A1,A2,IPE 300`, 2, 'label', /40 characters/],
  ] as const)('%j', (text, row, column, problem) => {
    expect(only(text)).toEqual([{ row, column, problem: expect.stringMatching(problem) as string }])
  })

  test('several problems are said together; rows without one are read all the same', () => {
    const { members, problems } = site().read(
      'label,from,to,section\nB1,A1,A2,IPE 300\nB1,B1,B2,IPE 300\nB3,A1,Q7,IPE 300',
    )
    expect(members.map(({ label }) => label)).toEqual(['B1'])
    expect(problems.map(({ row, column }) => [row, column])).toEqual([
      [3, 'label'],
      [4, 'to'],
    ])
  })

  test('with several materials one must be said', () => {
    expect(only('from,to,section\nA1,A2,IPE 300', 2)).toMatchObject([{ column: 'material' }])
    expect(only('from,to,section,material\nA1,A2,IPE 300,concrete', 2)).toEqual([])
  })

  test('too large is refused before it is read', () => {
    expect(only('x'.repeat(memberTableLimits.characters + 1))).toMatchObject([
      { problem: 'The table is larger than 2 MB.' },
    ])
    const many = `from,to,section\n${'A1,A2,IPE 300\n'.repeat(memberTableLimits.rows + 1)}`
    expect(only(many)).toMatchObject([{ problem: expect.stringMatching(/5001 rows; 5000 are allowed/) as string }])
  })

  test('any text at all is answered, never thrown', () => {
    holds(
      fc.property(fc.string({ unit: 'binary', maxLength: 300 }), (text) => {
        const { members, problems } = site().read(`from,to,section\n${text}`)
        expect(members.length + problems.length).toBeGreaterThanOrEqual(0)
      }),
    )
  })
})
