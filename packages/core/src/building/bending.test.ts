import { chordsMoment, flexuralStiffness, plateStiffness, secondMoment } from './bending'

const cm4 = 1e-8

test.each([
  // EN 10365: area, depth, width and I_y of the tables, from memory
  ['IPE 300', { shape: 'H', area: 53.8e-4, depth: 0.3, width: 0.15 }, 8356, 0.05],
  ['IPE 600', { shape: 'H', area: 156e-4, depth: 0.6, width: 0.22 }, 92_080, 0.08],
  ['HEB 300', { shape: 'H', area: 149e-4, depth: 0.3, width: 0.3 }, 25_170, 0.08],
  ['UPN 200', { shape: 'channel', area: 32.2e-4, depth: 0.2, width: 0.075 }, 1910, 0.05],
  // EN 10210-2, from memory: pipe 219.1 x 8
  ['pipe 219.1 x 8', { shape: 'pipe', area: 53.1e-4, depth: 0.2191, width: 0.2191 }, 2960, 0.01],
  // hand: b h³ / 12, pi d⁴ / 64, (20·40³ - 18·38³) / 12 for a wall of 10 mm with sharp corners
  ['rectangle 300 x 600', { shape: 'rectangle', area: 0.18, depth: 0.6, width: 0.3 }, 540_000, 1e-9],
  [
    'circle 400',
    { shape: 'circle', area: (Math.PI * 0.16) / 4, depth: 0.4, width: 0.4 },
    (Math.PI * 40 ** 4) / 64,
    1e-9,
  ],
  [
    'tube 200 x 400 x 10',
    { shape: 'tube', area: (20 * 40 - 18 * 38) * 1e-4, depth: 0.4, width: 0.2 },
    (20 * 40 ** 3 - 18 * 38 ** 3) / 12,
    1e-9,
  ],
] as const)('second moment of %s', (_, section, expected, within) => {
  expect(Math.abs(secondMoment(section) / (expected * cm4) - 1)).toBeLessThan(within)
})

test('hand: two chords of 20 cm² at 1.5 m: 2 · 20 · 75² cm⁴', () => {
  expect(chordsMoment(20e-4, 20e-4, 1.5)).toBeCloseTo(2 * 20 * 75 ** 2 * cm4, 12)
})

test('hand: a slab of 200 mm of 33 GPa has D = 33e9 · 0.008 / (12 · 0.96) = 22.9 MNm; nothing known is nought', () => {
  expect(plateStiffness(33e9, 0.2, 0.2)).toBeCloseTo((33e9 * 0.008) / 11.52, 3)
  expect(flexuralStiffness({ section: undefined, material: undefined, truss: null, bottom: undefined })).toBe(0)
})
