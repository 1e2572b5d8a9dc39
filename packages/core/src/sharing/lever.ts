/** What happens beyond the last support: lever on the end span (uplift kept), or all to the last support. */
export type Overhang = 'lever' | 'tributary'

/**
 * Simply supported spans between neighbouring supports x (rising). Adds to `out` the reactions of a force w spread evenly over
 * [c, d] (a point load where c = d). Needs at least two supports. Sum of reactions = w; with `lever` the moment is kept too.
 */
export function leverReactions(
  x: readonly number[],
  c: number,
  d: number,
  w: number,
  overhang: Overhang,
  out: number[],
): void {
  const last = x.length - 1
  for (let k = 0; k < last; k++) {
    const xa = x[k] ?? 0
    const xb = x[k + 1] ?? 0
    const from = k === 0 ? -Infinity : xa
    const to = k === last - 1 ? Infinity : xb
    const [part, middle] = partWithin(c, d, w, from, to, k)
    if (part === 0) continue
    if (overhang === 'tributary' && (c < xa || d > xb))
      tributary(x, k, Math.max(c, from), Math.min(d, to), w / (d - c || 1), d === c ? part : 0, out)
    else spread(xa, xb, k, part, middle, out)
  }
}

function spread(xa: number, xb: number, k: number, w: number, middle: number, out: number[]): void {
  const share = (middle - xa) / (xb - xa)
  out[k] = (out[k] ?? 0) + w * (1 - share)
  out[k + 1] = (out[k + 1] ?? 0) + w * share
}

/** The part of the load within one span and its middle; a point on a border belongs to the span at its right. */
function partWithin(c: number, d: number, w: number, from: number, to: number, k: number): readonly [number, number] {
  if (d > c) {
    const p = Math.max(c, from)
    const q = Math.min(d, to)
    return q > p ? [(w * (q - p)) / (d - c), (p + q) / 2] : [0, 0]
  }
  const inside = (c >= from || k === 0) && c < to
  return inside ? [w, c] : [0, 0]
}

/** Cuts a load at the supports of its span: the overhanging parts go to the last support whole. */
function tributary(
  x: readonly number[],
  k: number,
  c: number,
  d: number,
  q: number,
  point: number,
  out: number[],
): void {
  const xa = x[k] ?? 0
  const xb = x[k + 1] ?? 0
  if (point !== 0) {
    out[c < xa ? k : k + 1] = (out[c < xa ? k : k + 1] ?? 0) + point
    return
  }
  if (c < xa) out[k] = (out[k] ?? 0) + q * (Math.min(d, xa) - c)
  if (d > xb) out[k + 1] = (out[k + 1] ?? 0) + q * (d - Math.max(c, xb))
  const p = Math.max(c, xa)
  const r = Math.min(d, xb)
  if (r > p) spread(xa, xb, k, q * (r - p), (p + r) / 2, out)
}
