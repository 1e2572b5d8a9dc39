import fc from 'fast-check'
import { holds } from '../../test/holds'
import { Building } from '../../test/build'
import { rectangle } from '../../test/shapes'
import { seededRandom } from '../document/document'
import type { Panel } from '../document/recordKinds'
import type { Point } from '../geometry/point'
import { metricPoint } from '../units/format'
import { joistsOn, readJoists, type JoistSpacing } from './joists'

const every = (spacing: number): JoistSpacing => ({ kind: 'exact', spacing })
const atMost = (spacing: number): JoistSpacing => ({ kind: 'even', spacing })

function floor(outline: readonly Point[], more: Partial<Panel> = {}) {
  const building = new Building()
  building.level('Base', 0)
  const layout = building.layout('Floor', null, building.level('1', 3))
  building.beam(layout, [100, 100], [106, 100])
  const panel = building.panel(layout, outline, { spanAngle: 0, ...more })
  const put = (spacing: JoistSpacing, panels = [panel]) => {
    const made = joistsOn(panels, spacing, building.document, seededRandom(1))
    if (!made.ok) return made.problem
    return made.joists
  }
  const paths = (spacing: JoistSpacing) => {
    const made = put(spacing)
    return typeof made === 'string' ? made : made.map(({ path }) => path)
  }
  return { building, layout, panel, put, paths }
}

const up = (x: number, y0 = 0, y1 = 4): readonly Point[] => [
  [x, y0],
  [x, y1],
]

test('every 0.6 m on 3 m of floor: four, none on the far side; at most 0.7 m: evenly at 0.6 m', () => {
  const { paths, put } = floor(rectangle(0, 0, 3, 4))
  expect(paths(every(0.6))).toEqual([0.6, 1.2, 1.8, 2.4].map((x) => up(x)))
  expect(paths(atMost(0.7))).toEqual([0.6, 1.2, 1.8, 2.4].map((x) => up(x)))
  // the last bay is what is left
  expect(paths(every(0.9))).toEqual([0.9, 1.8, 2.7].map((x) => up(x)))
  expect(paths(atMost(3))).toBe('No joist fits at this spacing.')
  const made = put(every(1.5))
  expect(typeof made !== 'string' && made[0]).toMatchObject({ kind: 'member', role: 'joist', label: 'J1' })
})

test('across the span, whichever way that is', () => {
  const { paths } = floor(rectangle(0, 0, 3, 4), { spanAngle: Math.PI / 2 })
  expect(paths(every(2))).toEqual([
    [
      [3, 2],
      [0, 2],
    ],
  ])
})

test('they end at openings and follow an outline that steps back; where a beam lies there is none', () => {
  const { building, layout, paths } = floor([
    [0, 0],
    [4, 0],
    [4, 2],
    [2.5, 2],
    [2.5, 4],
    [0, 4],
  ])
  building.opening(layout, rectangle(0.5, 1, 1.5, 2))
  building.beam(layout, [2, 0], [2, 4])
  expect(paths(every(1))).toEqual([up(1, 0, 1), up(1, 2, 4), up(3, 0, 2)])
})

test('law: joists lie inside, across the span, as far apart as was said, and even ones leave no bay wider', () => {
  holds(
    fc.property(
      fc.double({ min: 1, max: 12, noNaN: true }),
      fc.double({ min: 1, max: 12, noNaN: true }),
      fc.double({ min: 0, max: 3, noNaN: true }),
      fc.double({ min: 0.3, max: 3, noNaN: true }),
      fc.boolean(),
      (a, b, turn, spacing, even) => {
        const [c, s] = [Math.cos(turn), Math.sin(turn)]
        const turned = ([x, y]: Point): Point => [x * c - y * s, x * s + y * c]
        const { put } = floor(rectangle(0, 0, a, b).map(turned), { spanAngle: turn })
        const made = put(even ? atMost(spacing) : every(spacing))
        if (typeof made === 'string') return expect(a).toBeLessThanOrEqual(spacing + 0.05 + 1e-9)
        const places = made.map(({ path: [[x, y] = [0, 0]] }) => x * c + y * s)
        const gaps = [0, ...places].map((place, i, all) => (all[i + 1] ?? a) - place)
        expect(Math.max(...gaps)).toBeLessThanOrEqual(spacing + (even ? 1e-6 : 0.05 + 1e-6))
        if (even) expect(Math.max(...gaps) - Math.min(...gaps)).toBeLessThan(1e-6)
        else expect(gaps.slice(0, -1).every((gap) => Math.abs(gap - spacing) < 1e-6)).toBe(true)
        for (const { path } of made) {
          const [p = [0, 0], q = [0, 0]] = path
          expect(Math.hypot(q[0] - p[0], q[1] - p[1])).toBeCloseTo(b, 6)
        }
      },
    ),
    { numRuns: 60 },
  )
})

test('read: every, at most, a length alone; what is none is said', () => {
  const read = (text: string) => {
    const found = readJoists(text, metricPoint)
    return found.ok ? found.joists : found.problem
  }
  expect(read('every 0.6 m')).toEqual(every(0.6))
  expect(read('600 mm')).toEqual(every(0.6))
  expect(read('At most 0.5')).toEqual(atMost(0.5))
  expect(read('often')).toMatch(/Enter “every 0.6 m” or “at most 0.6 m”/)
  expect(read('every 10 mm')).toBe('The joist spacing must be 0.1 to 20 m.')
  expect(read('every 30 m')).toBe('The joist spacing must be 0.1 to 20 m.')
})
