import { metricPoint } from '../units/format'
import { readSurfaceOpenings, surfaceOpeningsText } from './surfaceOpeningText'

const read = (text: string, format = metricPoint) => {
  const found = readSurfaceOpenings(text, format)
  return found.ok ? found.openings : found.problem
}

const window = { along: 2, sill: 0.9, width: 1.2, height: 1.5 }

test('width by height at a distance along and a height up', () => {
  expect(read('1.2 x 1.5 m at 2.0, 0.9')).toEqual([window])
  expect(read('1.2 x 1.5 at 2 m 0.9 m; 1 x 2.1 at 0, 0')).toEqual([
    window,
    { along: 0, sill: 0, width: 1, height: 2.1 },
  ])
  expect(read('')).toEqual([])
})

test('as it is written it is read again, with a point and with a comma', () => {
  const openings = [window, { along: 10.5, sill: 0, width: 1, height: 2.1 }]
  expect(surfaceOpeningsText([window], metricPoint)).toBe('1.20 x 1.50 m at 2.00, 0.90 m')
  for (const format of [metricPoint, { ...metricPoint, decimal: 'comma' as const }])
    expect(read(surfaceOpeningsText(openings, format), format)).toEqual(openings)
})

test.each([
  ['a window', /Enter “1\.2 x 1\.5 m at 2\.0, 0\.9”: width x height at distance along, height/],
  ['1.2 x 1.5 m', /Enter “1\.2 x 1\.5 m at 2\.0, 0\.9”: width x height at distance along, height/],
  ['0 x 1.5 m at 1, 1', /An opening must be above 0, up to 1000 m wide and 300 m high\./],
  ['1 x 1 m at -1, 0', /An opening must start on the surface: 0 or more along it and up\./],
  ['1 x 1 kg at 1, 0', /./],
])('%s', (text, problem) => expect(read(text)).toMatch(problem))
