import { once } from '../outcome/once'

test('makes something once of each object', () => {
  let made = 0
  const sizeOf = once((of: readonly number[]) => ({ size: of.length, nth: (made += 1) }))
  const one = [1, 2]
  expect(sizeOf(one)).toBe(sizeOf(one))
  expect(sizeOf([1, 2])).not.toBe(sizeOf(one))
  expect(made).toBe(2)
})
