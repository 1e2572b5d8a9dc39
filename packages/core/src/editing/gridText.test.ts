import { Building } from '../../test/build'
import { seededRandom } from '../document/document'
import { metricPoint } from '../units/format'
import { readFreeGrid, readSpacings } from './gridText'
import { gridMoveEdits } from './gridMove'
import { applyChange } from '../document/changes'

function site() {
  const building = new Building()
  building.grid('x', '1', 0)
  building.grid('x', '2', 6)
  building.grid('y', 'A', 0)
  building.grid('y', 'C', 8)
  const grid = building.records.filter((record) => record.kind === 'gridLine')
  return { building, ground: { grid, format: metricPoint, random: seededRandom(4) } }
}

describe('spacings go on from the last line', () => {
  test.each([
    ['3 x 7.2, 6', 'x', ['3 13.2', '4 20.4', '5 27.6', '6 33.6']],
    ['2x4500 mm', 'x', ['3 10.5', '4 15']],
    ['4.8', 'y', ['D 12.8']],
  ] as const)('%s', (text, axis, wanted) => {
    const read = readSpacings(text, axis, site().ground)
    expect(read.ok && read.lines.map(({ label, at }) => `${label} ${at}`)).toEqual(wanted)
  })

  test('the first ones begin at 0, and a label that is taken is passed over', () => {
    const ground = { ...site().ground, grid: [] }
    const read = readSpacings('2 x 5', 'y', ground)
    expect(read.ok && read.lines.map(({ label, at }) => [label, at])).toEqual([
      ['A', 0],
      ['B', 5],
      ['C', 10],
    ])
    // 3 is a line of y here
    const taken = site()
    const three = taken.building.grid('y', '3', 20)
    const next = readSpacings('6', 'x', { ...taken.ground, grid: [...taken.ground.grid, three] })
    expect(next.ok && next.lines.map(({ label }) => label)).toEqual(['4'])
  })

  test.each([
    ['', /Enter a spacing or several, e\.g\. 3 x 7\.2, 6\.0\./],
    ['3 x', /./],
    ['0', /0\.05 m to 100\u202f000\.00 m/],
    ['900 x 3', /More than 200/],
    ['0 x 3', /The count is zero\. Enter 3 x 7\.2, 6\.0\./],
    ['150 x 3, 150 x 3', /More than 200 at once/],
  ])('%j is refused', (text, problem) => {
    const read = readSpacings(text, 'x', site().ground)
    expect(read.ok ? '' : read.problem).toMatch(problem)
  })
})

describe('grids that are not square', () => {
  test('a skew line through two crossings', () => {
    const read = readFreeGrid('A1 to C2', site().ground)
    expect(read.ok && read.lines).toMatchObject([
      {
        axis: 'line',
        label: 'S1',
        path: [
          [0, 0],
          [6, 8],
        ],
      },
    ])
  })

  test('lines that leave a point, and rings round it', () => {
    const read = readFreeGrid('about 0; 0: 4 lines every 90° from 0°, rings at 6, 12 m', site().ground)
    expect(read.ok && read.lines.map(({ axis, label, at }) => [axis, label, at])).toEqual([
      ['line', '3', 0],
      ['line', '4', 0],
      ['line', '5', 0],
      ['line', '6', 0],
      ['ring', 'B', 6],
      ['ring', 'D', 12],
    ])
    expect(read.ok && read.lines[1]?.path).toEqual([
      [0, 0],
      [0, 12],
    ])
  })

  test.each([
    ['nowhere', /“nowhere” is not an intersection of grid lines, and there is no previous/],
    ['A1', /A skew line has two points: A1 to C4\./],
    ['A1 to A1', /The two points are the same\./],
    ['about A1', /Enter the centre: about 0; 0: 8 lines every 22\.5°\./],
    ['about Z9: 4 lines every 90°', /Z9/],
    ['about A1: 5 lines every 90°', /5 lines every 90° exceed a full circle\./],
    ['about A1: 5 lines every 0°', /The angle between the lines is zero\./],
    ['about A1: rings at 0', /radius of a ring must be above 0/],
    ['about A1: so many', /Enter lines, rings or both: 8 lines every 22\.5°, rings at 6, 12 m\./],
  ])('%j is refused', (text, problem) => {
    const read = readFreeGrid(text, site().ground)
    expect(read.ok ? '' : read.problem).toMatch(problem)
  })
})

describe('a line that moves', () => {
  const moved = (takesAlong: boolean) => {
    const { building } = site()
    const layout = building.layout('Floor')
    building.beam(layout, [0, 0], [6, 0])
    building.column(layout, [6, 8])
    building.panel(layout, [
      [0, 0],
      [6, 0],
      [6, 8],
      [0, 8],
    ])
    const document = building.document
    const [line] = building.records.flatMap((record) => (record.kind === 'gridLine' && record.at === 6 ? [record] : []))
    if (!line) throw new Error('no line')
    const edits = gridMoveEdits(document, line, 7.5, takesAlong)
    const applied = applyChange(document, { id: '00000000-0000-4000-8000-000000000000', seen: 0, note: '', edits })
    if (!applied.ok) throw new Error('not applied')
    return [...applied.document.records.values()].flatMap((record) =>
      record.kind === 'member' ? [record.path] : record.kind === 'panel' ? [record.outline] : [],
    )
  }

  test('takes what stands on it along: members stretch, columns go, panels grow', () => {
    expect(moved(true).flat()).toEqual(
      expect.arrayContaining([
        [7.5, 0],
        [7.5, 8],
      ]),
    )
    expect(JSON.stringify(moved(true))).not.toContain('[6,')
  })

  test('or leaves it where it is', () => {
    expect(JSON.stringify(moved(false))).not.toContain('7.5')
  })

  test('a ring takes its points outwards', () => {
    const building = new Building()
    const ring = building.grid('ring', 'A', 5, [[1, 0]])
    const layout = building.layout('Floor')
    // 3-4-5 about (1, 0)
    building.column(layout, [4, 4])
    const edits = gridMoveEdits(building.document, ring, 10, true)
    expect(edits.flatMap(({ after }) => (after?.kind === 'member' ? after.path : []))).toEqual([[7, 8]])
  })
})
