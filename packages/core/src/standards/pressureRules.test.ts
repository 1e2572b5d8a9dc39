import { given } from '../trace/traced'
import { standardOf, shippedSets, familyOf } from './families'
import { resolveLayers } from './layer'
import { pressureRuleOf } from './pressureRules'

const site = (velocity: number, terrain: '0' | 'I' | 'II' | 'III' | 'IV') => ({
  v_b0: given('v', 'velocity', velocity, 'test'),
  terrain,
})

test('IS 875-3 by hand: 47 m/s, category 2 at 30 m is 0.9 · 0.6 · (47 · 1.12)² Pa', () => {
  const standard = standardOf('IS', [])
  const at = (z: number) => pressureRuleOf('IS')?.at(z, site(47, 'II'), standard)?.value
  expect(at(30)).toBeCloseTo(0.54 * (47 * 1.12) ** 2, 6)
  expect(at(4)).toBeCloseTo(0.54 * 47 ** 2, 6)
  // the table ends at 500 m
  expect(at(500)).toBeCloseTo(0.54 * (47 * 1.39) ** 2, 6)
  expect(at(500.1)).toBeUndefined()
})

test('IS 875-3: sea and lakes are one category, rougher land shelters', () => {
  const standard = standardOf('IS', [])
  const at = (terrain: '0' | 'I' | 'II' | 'III' | 'IV') =>
    pressureRuleOf('IS')?.at(20, site(47, terrain), standard)?.value ?? NaN
  expect(at('0')).toBe(at('I'))
  const [one, two, three, four] = [at('I'), at('II'), at('III'), at('IV')] as [number, number, number, number]
  expect([one, two, three, four]).toEqual([one, two, three, four].sort((a, b) => b - a))
})

test('ASCE 7-16 by hand: 115 mph, exposure C at 33 ft: K_z = 1.00, so q_z = 0.00256 · 0.85 · 115² = 28.8 psf', () => {
  const standard = standardOf('ASCE', [])
  const pressure = pressureRuleOf('ASCE')?.at(33 * 0.3048, site(115 * 0.44704, 'II'), standard)
  expect((pressure?.value ?? NaN) / 47.88026).toBeCloseTo(28.8, 0)
  // below 15 ft it stays as it is there
  const low = (z: number) => pressureRuleOf('ASCE')?.at(z, site(50, 'II'), standard)?.value
  expect(low(1)).toBe(low(4.5))
})

test('ASCE 7-22: another profile, and K_d no part of q_z: at 33 ft over open land both editions say K_z = 1', () => {
  const layer = shippedSets.ASCE.find(({ name }) => name === 'ASCE 7-22')
  const newer = resolveLayers(familyOf('ASCE'), layer ? [layer] : [])
  const at = (standard: typeof newer) => pressureRuleOf('ASCE')?.at(33 * 0.3048, site(50, 'II'), standard)?.value ?? NaN
  expect((at(standardOf('ASCE', [])) / at(newer) - 0.85) / 0.85).toBeCloseTo(0, 2)
})

test('every terrain of the project is one that the family tells apart; BS has none', () => {
  for (const family of ['EN', 'ASCE', 'IS'] as const) {
    const rule = pressureRuleOf(family)
    const known = rule?.terrains.map(([id]) => id) ?? []
    for (const terrain of ['0', 'I', 'II', 'III', 'IV'] as const) {
      const of = rule?.terrainOf(terrain) ?? terrain
      expect(known).toContain(of)
      const standard = standardOf(family, [])
      // the choice that is shown is the one that is reckoned with
      expect(rule?.at(20, site(40, of), standard)?.value).toBe(rule?.at(20, site(40, terrain), standard)?.value)
    }
  }
  expect(pressureRuleOf('BS')).toBeNull()
})
