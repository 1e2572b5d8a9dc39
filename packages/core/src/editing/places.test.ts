import fc from 'fast-check'
import { holds } from '../../test/holds'
import { Building } from '../../test/build'
import { metricPoint } from '../units/format'
import { gridPoint, readPlaces, readShiftText } from './placeText'
import { readRepeat } from './repeatText'
import { freeLabel, moved, repeated, repeatEdits } from './shaped'

const building = new Building()
const grid = [
  ...(['1', '2', '3', '10'] as const).map((label, i) => building.grid('x', label, 7.2 * i)),
  ...(['A', 'B', 'C'] as const).map((label, i) => building.grid('y', label, 6 * i)),
]
const read = (text: string, last?: readonly [number, number]) => readPlaces(text, { grid, format: metricPoint, last })
const placesOf = (text: string, last?: readonly [number, number]) => {
  const found = read(text, last)
  if (!found.ok) throw new Error(found.problem)
  return found.points.map(([x, y]) => [Number(x.toFixed(6)), Number(y.toFixed(6))])
}
const problemOf = (text: string, last?: readonly [number, number]) => {
  const found = read(text, last)
  return found.ok ? 'read' : found.problem
}

describe('places as they are typed while drawing', () => {
  test.each([
    ['B2', [[7.2, 6]]],
    ['2B', [[7.2, 6]]],
    ['b/2', [[7.2, 6]]],
    ['A10', [[21.6, 0]]],
    [
      'B2 to C3',
      [
        [7.2, 6],
        [14.4, 12],
      ],
    ],
    [
      'A1 TO A2 to B2',
      [
        [0, 0],
        [7.2, 0],
        [7.2, 6],
      ],
    ],
    ['C2 + 4.2 m east', [[11.4, 12]]],
    ['C2 + 500 mm west + 1 m south', [[6.7, 11]]],
    [
      'A1 to 4.2 m north',
      [
        [0, 0],
        [0, 4.2],
      ],
    ],
    [
      'A1 to 10 m at 30°',
      [
        [0, 0],
        [8.660254, 5],
      ],
    ],
    ['7.2; 3.0', [[7.2, 3]]],
    ['12 ft; 1.5 + 0.5', [[3.6576, 2]]],
    ['-1; 2', [[-1, 2]]],
  ] as const)('%s', (text, wanted) => expect(placesOf(text)).toEqual(wanted))

  test('a distance alone goes on from the last point, and each place from the one before', () => {
    expect(placesOf('3 m east', [1, 1])).toEqual([[4, 1]])
    expect(placesOf('3 m east to 2 m north to 1 m west', [0, 0])).toEqual([
      [3, 0],
      [3, 2],
      [2, 2],
    ])
    expect(placesOf('3 m east + 1 m north', [0, 0])).toEqual([[3, 1]])
  })

  test.each([
    ['', /Enter a point, e\.g\. B2 or 4\.2 m east\./],
    ['D2', /“D2” is not an intersection of grid lines, and there is no previous point/],
    ['3 m east', /“3 m east” is not an intersection of grid lines, and there is no previous/],
    ['A1 to', /“A1 to” is not an intersection of grid lines, and there is no previous/],
    ['A1 + 4.2 m', /“4\.2 m” has no direction/],
    ['A1 + 4,2 m east', /“4,2” is not understood\. Write 4\.2\./],
    ['A1 + 4 kN east', /not a unit/],
    ['1; two', /“two” is not a number/],
    ['A1 + 3 at 5 m', /not a unit/],
  ])('%s is refused with what to say', (text, wanted) => expect(problemOf(text)).toMatch(wanted))

  test('labels of more letters are read whole; a crossing needs a line of each direction', () => {
    expect(gridPoint('1', grid)).toBeUndefined()
    expect(gridPoint('AB', grid)).toBeUndefined()
    expect(gridPoint('12', grid)).toBeUndefined()
    expect(gridPoint(' 10 / c ', grid)).toEqual([expect.closeTo(21.6), 12])
  })

  test('whatever is typed gives points that are numbers, or a sentence', () => {
    holds(
      fc.property(fc.string({ maxLength: 40 }), (text) => {
        const found = read(text, [0, 0])
        if (found.ok) expect(found.points.flat().every(Number.isFinite)).toBe(true)
        else expect(found.problem).not.toBe('')
      }),
    )
  })
})

describe('a shift by itself, for moving', () => {
  test('in a direction or at an angle', () => {
    expect(readShiftText('0.5 m south', metricPoint)).toEqual({ ok: true, shift: [0, -0.5] })
    const turned = readShiftText('2 at 90°', metricPoint)
    expect(turned.ok && turned.shift.map((value) => Number(value.toFixed(9)))).toEqual([0, 2])
    expect(readShiftText('B2', metricPoint)).toMatchObject({ ok: false })
  })
})

describe('repeating', () => {
  const tall = new Building()
  const levels = ['Base', '1', '2', '3', 'Roof'].map((name, i) => tall.level(name, 3 * i))
  const [, first, second, third, roof] = levels
  const floors = tall.layout('Floors', null, first, second)
  const upper = tall.layout('Upper', null, third)
  const top = tall.layout('Roof', null, roof)
  const { document } = tall
  const repeat = (text: string) => readRepeat(text, document, metricPoint)

  test('so many times along a shift', () => {
    expect(repeat('every 3 m east, 4 times')).toEqual({ ok: true, repeat: { kind: 'along', shift: [3, 0], times: 4 } })
    expect(repeat('Every 0.5 m north, 1 time')).toMatchObject({ repeat: { times: 1 } })
    expect(repeat('every 3 m east, 0 times')).toMatchObject({ ok: false, problem: 'Enter 1 to 200 repeats.' })
    expect(repeat('every 3 m, 4 times')).toMatchObject({ ok: false, problem: expect.stringMatching(/no direction/) })
  })

  test('on the layouts of other levels, each once, whichever way round the range is said', () => {
    const both = { kind: 'layouts', layouts: [floors.id, upper.id], levels: '1-3', instead: false }
    expect(repeat('levels 1-3')).toEqual({ ok: true, repeat: both })
    expect(repeat('levels 1-3, instead of what is there')).toEqual({ ok: true, repeat: { ...both, instead: true } })
    expect(repeat('levels 3 to 1 instead')).toMatchObject({ repeat: { layouts: [floors.id, upper.id], instead: true } })
    expect(repeat('levels 3 to 1')).toMatchObject({ repeat: { layouts: [floors.id, upper.id] } })
    expect(repeat('level roof')).toMatchObject({ repeat: { layouts: [top.id] } })
    expect(repeat('level base')).toMatchObject({ ok: false, problem: 'These levels have no layout.' })
    expect(repeat('levels 1-9')).toMatchObject({
      ok: false,
      problem: 'No level 9; levels are Base, 1, 2, 3, Roof.',
    })
    expect(repeat('again')).toMatchObject({ ok: false, problem: expect.stringMatching(/^Enter “every 3 m east/) })
  })

  test('copies get a place, a label and an id of their own, and keep where they came from', () => {
    const beam = tall.beam(floors, [0, 0], [6, 0], { label: 'B7' })
    const other = tall.beam(floors, [0, 1], [6, 1], { label: 'B8' })
    const along = repeated([beam], { kind: 'along', shift: [0, 3], times: 2 }, [beam, other], tall.random)
    expect(along.map((copy) => ('path' in copy ? [copy.label, copy.path, copy.origin] : []))).toEqual([
      [
        'B9',
        [
          [0, 3],
          [6, 3],
        ],
        beam.id,
      ],
      [
        'B10',
        [
          [0, 6],
          [6, 6],
        ],
        beam.id,
      ],
    ])
    expect(new Set([beam.id, ...along.map(({ id }) => id)]).size).toBe(3)
    const elsewhere = repeated(
      [beam],
      { kind: 'layouts', layouts: [floors.id, upper.id], levels: '', instead: false },
      [beam, other],
      tall.random,
    )
    expect(elsewhere.map(({ layout, label }) => [layout, label])).toEqual([[upper.id, 'B7']])
  })

  test('a repeat on other layouts takes away what stands at its place, or all of the kind where that is said', () => {
    const tower = new Building()
    const [a, b] = [tower.layout('A'), tower.layout('B')]
    const wall = tower.wall(a, [
      [0, 0],
      [6, 0],
    ])
    const same = tower.wall(b, [
      [6, 0],
      [0, 0],
    ])
    const other = tower.wall(b, [
      [0, 4],
      [6, 4],
    ])
    const beam = tower.beam(b, [0, 0], [6, 0])
    const gone = (instead: boolean) =>
      repeatEdits(
        [wall],
        { kind: 'layouts', layouts: [a.id, b.id], levels: '', instead },
        [wall, same, other, beam],
        tower.random,
      )
    expect(gone(false).map(({ before, after }) => [before?.id, after?.kind])).toEqual([
      [same.id, undefined],
      [undefined, 'wallRun'],
    ])
    expect(gone(true).flatMap(({ before }) => before?.id ?? [])).toEqual([same.id, other.id])
  })

  test('labels are counted on; one without a number gets one', () => {
    expect(freeLabel('B1', new Set(['B2']))).toBe('B1')
    expect(freeLabel('B1', new Set(['B1', 'B2']))).toBe('B3')
    expect(freeLabel('Balcony', new Set(['Balcony']))).toBe('Balcony1')
    expect(freeLabel('B09', new Set(['B09']))).toBe('B9')
    const long = 'x'.repeat(40)
    expect(freeLabel(long, new Set([long])).length).toBe(40)
  })

  test('moving there and back is where it was, to the nanometre', () => {
    const wall = tall.wall(floors, [
      [0.1, 0.2],
      [3.3, 0.2],
    ])
    holds(
      fc.property(fc.integer({ min: -5000, max: 5000 }), fc.integer({ min: -5000, max: 5000 }), (x, y) => {
        const shift = [x / 1000, y / 1000] as const
        expect(moved(moved(wall, shift), [-shift[0], -shift[1]]).path).toEqual(wall.path)
      }),
    )
  })
})
