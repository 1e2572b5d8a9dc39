import { entry } from '../outcome/assert'

/** What happens beyond the last support: lever on the end span (uplift kept), or all to the last support. */
export type Overhang = 'lever' | 'tributary'

/**
 * Simply supported spans between neighbouring supports x (rising). Adds to `out` the reactions of a force w spread over [c, d] (a point
 * load where c = d). Needs at least two supports. Sum of reactions = w; with `lever` the moment is kept too.
 * @param skew - how unevenly it is spread: per part of [c, d] it grows straight from w - skew at c to w + skew at d
 */
export function leverReactions(
  x: readonly number[],
  c: number,
  d: number,
  w: number,
  overhang: Overhang,
  out: number[],
  skew = 0,
): void {
  const last = x.length - 1
  if (d <= c) return pointReactions(x, c, w, overhang, out)
  for (let k = 0; k < last; k++) {
    const xa = entry(x, k)
    const xb = entry(x, k + 1)
    const from = k === 0 ? c : Math.max(c, xa)
    const to = k === last - 1 ? d : Math.min(d, xb)
    if (to <= from) continue
    const load = (p: number, q: number) => partBetween(c, d, w, skew, p, q)
    if (overhang === 'tributary') {
      // beyond the last support all to it
      if (from < xa) add(out, k, load(from, Math.min(to, xa))[0])
      if (to > xb) add(out, k + 1, load(Math.max(from, xb), to)[0])
      const [p, q] = [Math.max(from, xa), Math.min(to, xb)]
      if (q > p) spread(xa, xb, k, load(p, q), out)
    } else spread(xa, xb, k, load(from, to), out)
  }
}

type Part = readonly [force: number, centre: number, moment: number]

/** Of a load on [c, d] what lies on [p, q]: its force, the middle of p and q, and its moment about that middle. */
function partBetween(c: number, d: number, w: number, skew: number, p: number, q: number): Part {
  const length = d - c
  const [s, t] = [(p - c) / length, (q - c) / length]
  const h = t - s
  return [h * (w + skew * (s + t - 1)), (p + q) / 2, (skew * h * h * h * length) / 6]
}

function spread(xa: number, xb: number, k: number, [force, centre, moment]: Part, out: number[]): void {
  const onEnd = (force * (centre - xa) + moment) / (xb - xa)
  add(out, k, force - onEnd)
  add(out, k + 1, onEnd)
}

/** A force at s belongs to one span: on a border to the one at its right. */
function pointReactions(x: readonly number[], s: number, force: number, overhang: Overhang, out: number[]): void {
  const last = x.length - 1
  const inner = x.findIndex((at, i) => i > 0 && i < last && s < at)
  const k = (inner < 0 ? last : inner) - 1
  const [xa, xb] = [entry(x, k), entry(x, k + 1)]
  if (overhang === 'tributary' && (s < xa || s > xb)) add(out, s < xa ? k : k + 1, force)
  else spread(xa, xb, k, [force, s, 0], out)
}

const add = (out: number[], at: number, value: number): void => void (out[at] = entry(out, at) + value)
