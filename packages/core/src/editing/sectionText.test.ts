import { seededRandom } from '../document/document'
import { metricPoint } from '../units/format'
import { readSection } from './sectionText'

const read = (text: string, format: Parameters<typeof readSection>[1] = metricPoint) =>
  readSection(text, format, seededRandom(3))

function figures(text: string, format?: Parameters<typeof readSection>[1]) {
  const found = read(text, format)
  if (!found.ok) throw new Error(found.problem)
  const { name, shape, area, depth, width } = found.section
  return { name, shape, area: Number((area * 1e4).toFixed(2)), depth, width }
}

describe('a section by its name', () => {
  test.each([
    ['IPE 330', 'IPE 330', 62.6],
    ['ipe330', 'IPE 330', 62.6],
    ['HEB 240', 'HEB 240', 106],
    ['HE 240 B', 'HEB 240', 106],
    ['he 1000 a', 'HEA 1000', 346.8],
    ['HEM 100', 'HEM 100', 53.2],
    ['UB 457 x 191 x 67', 'UB 457x191x67', 85.5],
    ['uc254x254x73', 'UC 254x254x73', 93.1],
    ['IPE A 200', 'IPE A 200', 23.5],
    ['ipe 200 a', 'IPE A 200', 23.5],
    ['IPEAA 120', 'IPE AA 120', 10.6],
    ['ipe o 600', 'IPE O 600', 196.8],
    ['IPE 750 x 147', 'IPE 750x147', 187.5],
    ['HE 200 AA', 'HEAA 200', 44.1],
    ['heaa200', 'HEAA 200', 44.1],
    ['HE 1000 x 393', 'HE 1000x393', 500.2],
    ['hd 260 x 68.2', 'HD 260x68.2', 86.8],
    ['HL1000x321', 'HL 1000x321', 408.8],
    ['HP 305 x 110', 'HP 305x110', 140],
    ['ubp 305x305x110', 'UBP 305x305x110', 140.1],
    ['IPN 200', 'IPN 200', 33.4],
  ])('%s is %s', (text, name, area) => {
    expect(figures(text)).toMatchObject({ name, shape: 'H', area })
  })

  test.each([
    ['UPE 200', 'UPE 200', 'channel', 29],
    ['upn200', 'UPN 200', 'channel', 32.2],
    ['pfc 200 x 90 x 30', 'PFC 200x90x30', 'channel', 37.9],
    ['U 60x30', 'U 60x30', 'channel', 6.46],
    ['L 80 x 80 x 8', 'L 80x8', 'angle', 12.3],
    ['l80x8', 'L 80x8', 'angle', 12.3],
    ['L 45x45x4.5', 'L 45x4.5', 'angle', 3.9],
    ['l 75 x 100 x 8', 'L 100x75x8', 'angle', 13.5],
  ])('%s is %s', (text, name, shape, area) => {
    expect(figures(text)).toMatchObject({ name, shape, area })
  })

  test('a size that is not rolled names its neighbours', () => {
    expect(read('IPE 310')).toEqual({ ok: false, problem: 'IPE 310 is not a rolled size; IPE 300 and IPE 330 are.' })
    expect(read('HEB 1200')).toEqual({ ok: false, problem: 'HEB 1200 is not a rolled size; HEB 1000 is.' })
    expect(read('L 80x9')).toEqual({ ok: false, problem: 'L 80x9 is not a rolled size; L 80x8 and L 80x10 are.' })
    expect(read('L 100x75x9')).toEqual({
      ok: false,
      problem: 'L 100x75x9 is not a rolled size; L 100x75x8 and L 100x75x10 are.',
    })
    expect(read('UB 457x191x70')).toEqual({
      ok: false,
      problem: 'UB 457x191x70 is not a rolled size; UB 457x191x67 and UB 457x191x74 are.',
    })
    expect(read('HD 400x200')).toEqual({
      ok: false,
      problem: 'HD 400x200 is not a rolled size; HD 400x187 and HD 400x216 are.',
    })
    expect(read('IPE A 310')).toEqual({
      ok: false,
      problem: 'IPE A 310 is not a rolled size; IPE A 300 and IPE A 330 are.',
    })
    expect(read('IPE 40')).toEqual({ ok: false, problem: 'IPE 40 is not a rolled size; IPE 80 is.' })
  })
})

describe('a section by its shape', () => {
  // hand: 0.3 · 0.6 = 1800 cm²; π/4 · 0.4² = 1256.64 cm²; 20 · 10 − 18.4 · 8.4 = 45.44 cm²; π · 0.8 · 21.11 = 53.06 cm²
  test.each([
    ['rectangle 300 x 600', { shape: 'rectangle', area: 1800, depth: 0.6, width: 0.3 }],
    ['Rectangle 0.3 m × 0.6 m', { shape: 'rectangle', area: 1800, depth: 0.6, width: 0.3 }],
    ['circle 400', { shape: 'circle', area: 1256.64, depth: 0.4, width: 0.4 }],
    ['tube 100 x 200 x 8', { shape: 'tube', area: 45.44, depth: 0.2, width: 0.1 }],
    ['pipe 219.1 x 8', { shape: 'pipe', area: 53.06, depth: 0.2191, width: 0.2191 }],
  ])('%s', (text, wanted) => {
    expect(figures(text)).toMatchObject({ name: text, ...wanted })
  })

  test('inches where the project has them', () => {
    expect(figures('rectangle 12 x 24', { system: 'us', decimal: 'point' }).depth).toBeCloseTo(0.6096, 9)
  })

  test.each([
    ['', 'Enter “IPE 330”'],
    ['rectangle', 'Enter “IPE 330”'],
    ['constructor 3', 'Enter “IPE 330”'],
    ['heb', 'Enter “IPE 330”'],
    ['HE 200', 'Enter “IPE 330”'],
    ['rectangle 300', 'This shape needs width x depth.'],
    ['tube 200 x 100', 'This shape needs width x depth x thickness.'],
    ['circle 0', 'The diameter is outside 1 mm to 20 m.'],
    ['circle 30 m', 'The diameter is outside 1 mm to 20 m.'],
    ['circle many', 'many'],
    ['tube 100 x 200 x 50', 'The walls are thicker than half the section.'],
    ['pipe 100 x 60', 'The walls are thicker than half the section.'],
  ])('“%s” is refused', (text, problem) => {
    const found = read(text)
    expect(found.ok ? '' : found.problem).toContain(problem)
  })

  test('US shapes by depth and weight, and the neighbours of one that is not rolled', () => {
    for (const text of ['W14x90', 'w14 x 90', 'W 14×90'])
      expect(read(text)).toMatchObject({ ok: true, section: { name: 'W14x90', source: 'ASTM A6 shapes, from memory' } })
    expect(read('W14x91')).toEqual({ ok: false, problem: 'W14x91 is not a rolled size; W14x90 and W14x99 are.' })
    expect(read('W13x20').ok).toBe(false)
  })
})
