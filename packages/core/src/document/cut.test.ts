import { cut, cutToEnd } from './cut'

test('what is cut off takes half of a character with it (Unicode 16.0, 3.8, D71 to D75)', () => {
  expect(cut('ab\u{1f3db}c', 3)).toBe('ab')
  expect(cut('ab\u{1f3db}c', 4)).toBe('ab\u{1f3db}')
  expect(cut('short', 200)).toBe('short')
  expect(cutToEnd('a\u{1f3db}bc', 3)).toBe('bc')
  expect(cutToEnd('a\u{1f3db}bc', 4)).toBe('\u{1f3db}bc')
})
