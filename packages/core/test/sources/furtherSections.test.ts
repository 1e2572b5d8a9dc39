import { furtherShapes } from '../../src/standards/stock/shapes/furtherSections'
import { exactArea, rolledShapes } from '../../src/standards/stock/shapes/rolledSections'
import { universalShapes } from '../../src/standards/stock/shapes/universalSections'

/**
 * Areas in cm² as handbooks of EN 10365 sections print them, in rising size; from memory, and apart from the dimensions:
 * a slip in a flange, a web or a root shows in the sum.
 */
const areas: Readonly<Record<string, string>> = {
  'IPE AA': '6.31 8.56 10.7 12.8 15.4 19.0 22.9 27.0 31.7',
  'IPE A': '6.38 8.78 11.0 13.4 16.2 19.6 23.5 28.3 33.3 39.2 46.5 54.7 64.0 73.1 85.6 101 117 137',
  'IPE O': '27.1 32.0 37.4 43.7 53.8 62.8 72.6 84.1 96.4 118 137 156 197',
  IPE: '171 188 221 251',
  HEAA: '15.6 18.6 23.0 30.4 36.5 44.1 51.5 60.4 69.0 78.0 88.9 94.6 101 107 118 127 137 153 164 176 191 219 252 282',
  HE: '317 500 529 556 629 744',
  HL: '438 497 535 377 409 473 525 564 615 687 753 818 437 497 551 635',
  HD: '69.0 86.8 118 146 180 220 94.6 124 161 201 252 312 382 171 188 206 228 250 238 276 301 335 366 399 442 487 537 590 649 701 755 808 863 948 1043 1149 1262 1386',
  HP: '54.1 68.4 72.7 95.5 111 100 112 121 140 161 190 229 237 284 113 131 150 187 235 107 139 169 194 222 230 156 179 201 224 248 271 294',
  UBP: '57.2 68.7 80.0 90.4 108 100 112 121 140 161 190 237 284 139 169 194 221',
}

const ofSeries = (series: string) =>
  [...furtherShapes].filter(
    ([name]) => name.startsWith(`${series} `) && /^[\d.x]+$/.test(name.slice(series.length + 1)),
  )

describe('further I and H sections of EN 10365 (from memory)', () => {
  test.each(Object.entries(areas))('%s', (series, list) => {
    const printed = list.split(' ').map(Number)
    const found = ofSeries(series)
    expect(found).toHaveLength(printed.length)
    // a print of three digits tells 0.5 %
    found.forEach(([name, shape], i) =>
      expect([name, Math.abs((exactArea(shape) * 1e4) / (printed[i] ?? NaN) - 1) < 0.006]).toEqual([name, true]),
    )
  })

  test('none is there without its check', () => {
    expect(Object.keys(areas).flatMap(ofSeries)).toEqual([...furtherShapes])
  })

  // the name of a wide section says its mass, of 7850 kg/m³
  test('names with a mass say it', () => {
    for (const [name, shape] of furtherShapes) {
      const mass = Number(/x([\d.]+)$/.exec(name)?.[1] ?? NaN)
      if (Number.isNaN(mass)) continue
      const kilograms = exactArea(shape) * 7850
      expect([name, Math.abs(kilograms - mass) < Math.max(0.6, 0.006 * mass)]).toEqual([name, true])
    }
  })

  // common practice: A and AA are lighter than the plain section of that size and O is heavier, on the same rolls
  test('lighter and heavier rows of one size', () => {
    const area = (name: string) => {
      const shape = furtherShapes.get(name) ?? rolledShapes.get(name)
      return shape ? exactArea(shape) : NaN
    }
    for (const [name, { depth, width, root }] of furtherShapes) {
      const [, series = '', size = ''] = /^(IPE AA|IPE A|IPE O|HEAA) (\d+)$/.exec(name) ?? []
      if (series === '') continue
      const plain = series === 'HEAA' ? `HEA ${size}` : `IPE ${size}`
      const part = area(name) / area(plain)
      expect([name, series === 'IPE O' ? part > 1.08 && part < 1.3 : part > 0.68 && part < 0.95]).toEqual([name, true])
      const shape = rolledShapes.get(plain)
      // flanges are thinner or thicker, so that the depth differs by less than both of them do
      expect(Math.abs((depth - (shape?.depth ?? NaN)) * 1000)).toBeLessThan(21)
      expect(Math.abs((width - (shape?.width ?? NaN)) * 1000)).toBeLessThan(4.1)
      expect(Math.abs((root - (shape?.root ?? NaN)) * 1000)).toBeLessThan(2.1)
    }
  })

  // the same shapes stand under two names: HD and HE, HP and UBP
  test.each([
    ['HD 260x54.1', 'HEAA 260'],
    ['HD 260x68.2', 'HEA 260'],
    ['HD 260x93', 'HEB 260'],
    ['HD 260x172', 'HEM 260'],
    ['HD 320x74.2', 'HEAA 320'],
    ['HD 320x97.6', 'HEA 320'],
    ['HD 320x127', 'HEB 320'],
    ['HD 320x245', 'HEM 320'],
    ['HD 400x634', 'UC 356x406x634'],
    ['HD 400x287', 'UC 356x406x287'],
    ['HP 305x126', 'UBP 305x305x126'],
    ['HP 360x152', 'UBP 356x368x152'],
  ])('%s is about %s', (first, second) => {
    const all = new Map([...rolledShapes, ...universalShapes, ...furtherShapes])
    const [one, other] = [all.get(first), all.get(second)]
    if (!one || !other) throw new Error(`${first}, ${second}`)
    expect(Math.abs(exactArea(one) / exactArea(other) - 1)).toBeLessThan(0.005)
    expect(Math.abs(one.depth - other.depth)).toBeLessThan(0.001)
  })
})
