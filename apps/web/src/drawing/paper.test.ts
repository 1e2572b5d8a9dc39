import { paperView, pixelsPerMillimetre, scaleFor } from './paper'
import { toScreen } from './viewport'

const a3 = { width: 400, height: 240, margin: 20 }

test('the largest scale that fits: a floor of 21.6 by 21 m is 1:200 on 400 by 240 mm, 1:100 where it is 20 m high', () => {
  expect(scaleFor({ x0: 0, x1: 21.6, y0: 0, y1: 21 }, a3)).toBe(200)
  expect(scaleFor({ x0: 0, x1: 21.6, y0: 0, y1: 20 }, a3)).toBe(100)
  expect(scaleFor({ x0: 0, x1: 1e6, y0: 0, y1: 1 }, a3)).toBe(5000)
})

// facts: at 1:100 a metre is 10 mm of paper, and an inch of paper is 96 pixels
test('a metre is as long on paper as the scale says', () => {
  const view = paperView({ x0: 0, x1: 10, y0: 0, y1: 10 }, a3, 100)
  const [x0] = toScreen(view, [0, 0])
  const [x1] = toScreen(view, [25.4, 0])
  expect(x1 - x0).toBeCloseTo(10 * 96, 6)
  expect(view.scale / pixelsPerMillimetre).toBeCloseTo(10, 9)
})

test('the middle of the box is the middle of the paper', () => {
  const view = paperView({ x0: -4, x1: 10, y0: 2, y1: 8 }, a3, 50)
  const [x, y] = toScreen(view, [3, 5])
  expect([x - view.width / 2, y - view.height / 2]).toEqual([expect.closeTo(0, 9), expect.closeTo(0, 9)])
})
