import fc from 'fast-check'
import { labelPlaces, sectionOf } from './buildUpSection'

const layer = (name: string, thickness: number | null, unitWeight = 20_000) => ({
  name,
  thickness,
  unitWeight: thickness === null ? null : unitWeight,
  load: thickness === null ? 500 : null,
  source: '',
})
const slab = { keyId: 'k', thickness: 0.15, weight: 3750 }

test('layers lie on one another in their order, the slab under them, all to one scale', () => {
  const { bands, scale } = sectionOf(
    [layer('tiles', 0.01), layer('services', null), layer('screed', 0.05)],
    [slab],
    150,
  )
  // hand: 10 + 50 + 150 mm in 150 units
  expect(scale).toBeCloseTo(150 / 0.21, 9)
  expect(bands.map(({ name, from, size }) => [name, from, size])).toEqual([
    ['tiles', 0, 0.01],
    ['screed', 0.01, 0.05],
    ['slab', expect.closeTo(0.06, 9), 0.15],
  ])
  // hand: 50 mm · 20 kN/m³
  expect(bands[1]?.weight).toBeCloseTo(1000, 9)
})

test('nothing is drawn without a thickness, and no slab where there are several', () => {
  expect(sectionOf([layer('services', null)], [slab], 150).bands).toEqual([])
  expect(sectionOf([], [], 150)).toEqual({ bands: [], scale: 0 })
  const two = sectionOf([layer('screed', 0.05)], [slab, { ...slab, thickness: 0.2 }], 150)
  expect(two.bands.map(({ name }) => name)).toEqual(['screed'])
  // 5 mm of paint are not drawn as large as a slab
  expect(sectionOf([layer('paint', 0.005)], [], 150).scale).toBe(1200)
})

// law: labels keep their order and their distance, and move no more than that asks for
test('labels of thin layers do not lie on one another', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0, max: 150, noNaN: true }), { maxLength: 12 }), (wanted) => {
      const sorted = [...wanted].sort((a, b) => a - b)
      const places = labelPlaces(sorted, 16)
      places.forEach((place, i) => {
        expect(place).toBeGreaterThanOrEqual(sorted[i] ?? NaN)
        expect(place - (places[i - 1] ?? -8)).toBeGreaterThanOrEqual(16 - 1e-9)
      })
      if (sorted.every((place, i) => place - (sorted[i - 1] ?? -8) >= 16)) expect(places).toEqual(sorted)
    }),
  )
})
