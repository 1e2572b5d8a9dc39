import { contrast } from './contrast'
import { markPairs, palettes, textPairs, type Theme } from './tokens'

test('contrast of known pairs (WCAG 2.2: black on white is 21; #767676 on white is 4.54, common practice)', () => {
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 5)
  expect(contrast('#767676', '#ffffff')).toBeCloseTo(4.54, 2)
})

describe.each(Object.keys(palettes) as Theme[])('%s', (theme) => {
  const palette = palettes[theme]
  test.each(textPairs)('text: %s on %s', (text, ground) => {
    expect(contrast(palette[text], palette[ground])).toBeGreaterThanOrEqual(4.5)
  })
  test.each(markPairs)('mark: %s on %s', (mark, ground) => {
    expect(contrast(palette[mark], palette[ground])).toBeGreaterThanOrEqual(3)
  })
})
