import { lengthsExample, lengthsText, readLengths } from './lengthsText'

test('examples are read as they are written, in every unit and with either decimal sign', () => {
  for (const system of ['metric', 'us'] as const)
    for (const decimal of ['point', 'comma'] as const)
      for (const [of, count] of [
        ['storeys', 6],
        ['spacings', 4],
      ] as const) {
        const format = { system, decimal }
        const read = readLengths(lengthsExample(of, format), format, { name: 'x', example: '', least: 1, most: 10 })
        expect(read.ok ? read.lengths : read.problem).toHaveLength(count)
      }
})

test('lengths are written as they are read, equal ones with their count', () => {
  const lengths = [4.2, 3.6, 3.6, 3.6, 3]
  expect(lengthsText(lengths, { system: 'metric', decimal: 'point' })).toBe('4.20, 3 x 3.60, 3.00')
  expect(lengthsText(lengths, { system: 'metric', decimal: 'comma' })).toBe('4,20; 3 x 3,60; 3,00')
  for (const system of ['metric', 'us'] as const)
    for (const decimal of ['point', 'comma'] as const) {
      const format = { system, decimal }
      const read = readLengths(lengthsText(lengths, format), format, { name: 'x', example: '', least: 1, most: 100 })
      expect(read.ok && read.lengths).toEqual(lengths.map((length) => expect.closeTo(length, 1)))
    }
})
