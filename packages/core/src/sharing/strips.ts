import type { Point } from '../geometry/point'
import { eachEdge, type Region } from '../geometry/polygon'

/** A straight edge seen along the span: u(v) = u0 + du · (v − v0), over v0 to v1. */
export interface Edge {
  readonly v0: number
  readonly v1: number
  readonly u0: number
  readonly u1: number
}

/** Turns plan coordinates so that u runs along the span and v across it. */
export interface Turn {
  readonly uv: (p: Point) => Point
}

export function turnTo(angle: number): Turn {
  const [c, s] = [Math.cos(angle), Math.sin(angle)]
  return { uv: ([x, y]) => [x * c + y * s, y * c - x * s] }
}

export const edgeOf = ([ua, va]: Point, [ub, vb]: Point): Edge =>
  va <= vb ? { v0: va, v1: vb, u0: ua, u1: ub } : { v0: vb, v1: va, u0: ub, u1: ua }

export function edgesOf(region: Region, { uv }: Turn): readonly Edge[] {
  const edges: Edge[] = []
  for (const ring of region)
    eachEdge(ring, (a, b) => {
      const edge = edgeOf(uv(a), uv(b))
      if (edge.v1 - edge.v0 > 1e-9) edges.push(edge)
    })
  return edges
}

export const uAt = ({ v0, v1, u0, u1 }: Edge, v: number): number => u0 + ((u1 - u0) * (v - v0)) / (v1 - v0)

/** Values of v at which two edges are `gap` apart along u (0: where they cross), inside both. */
export function meetings(a: Edge, b: Edge, gap: number, out: number[]): void {
  const from = Math.max(a.v0, b.v0)
  const to = Math.min(a.v1, b.v1)
  if (to - from <= 1e-9) return
  const apart = (v: number) => uAt(a, v) - uAt(b, v)
  const [start, end] = [apart(from), apart(to)]
  for (const wanted of gap === 0 ? [0] : [gap, -gap]) {
    const [p, q] = [start - wanted, end - wanted]
    if ((p < 0 && q > 0) || (p > 0 && q < 0)) out.push(from + ((to - from) * p) / (p - q))
  }
}

/** Sorted values without neighbours nearer than 1e-9. */
export function distinct(values: number[]): readonly number[] {
  values.sort((a, b) => a - b)
  return values.filter((value, i) => i === 0 || value - (values[i - 1] ?? value) > 1e-9)
}

/** Edges that pass a strip at v, in the order in which the strip meets them. */
export const crossing = (edges: readonly Edge[], v: number): readonly Edge[] =>
  edges.filter(({ v0, v1 }) => v0 < v && v < v1).sort((a, b) => uAt(a, v) - uAt(b, v))
