/**
 * Where c + b x + a x² is nought. A parabola that only touches has one root, twice; one that rounding lifts off its axis by a
 * billionth of its terms still touches.
 */
export function rootsOf(c: number, b: number, a: number): readonly number[] {
  const scale = Math.abs(b) + Math.abs(c) + 1e-300
  if (Math.abs(a) < 1e-14 * scale) return Math.abs(b) < 1e-14 * scale ? [] : [-c / b]
  const under = b * b - 4 * a * c
  if (under < -1e-9 * (b * b + Math.abs(4 * a * c))) return []
  const half = -(b + (b < 0 ? -1 : 1) * Math.sqrt(Math.max(under, 0))) / 2
  return half === 0 ? [0] : [half / a, c / half]
}
