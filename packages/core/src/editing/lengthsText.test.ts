import { lengthsExample, readLengths } from './lengthsText'
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
