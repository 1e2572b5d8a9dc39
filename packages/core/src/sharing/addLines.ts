import { entry } from '../outcome/assert'
import { mergeLines } from './mergeLines'
import { bendsOf, type Carrier } from './rails'
import type { ShareLine } from './share'

/** A length that only rounding makes, m. */
const tiny = 1e-12

/** Lines that may lie over one another as one ordinate to a member, in the fewest pieces. */
export function addLines(lines: readonly ShareLine[], carriers: readonly Carrier[]): readonly ShareLine[] {
  const byMember = new Map<string, ShareLine[]>()
  for (const line of lines) {
    const there = byMember.get(line.member)
    if (there) there.push(line)
    else byMember.set(line.member, [line])
  }
  return mergeLines([...byMember.values()].flatMap(sumOf), bendsOf(carriers))
}

/** Lines of one member, which may lie over one another, as pieces one after the other. */
function sumOf(lines: readonly ShareLine[]): readonly ShareLine[] {
  const [first] = lines
  if (!first) return []
  const stops = lines.flatMap(({ s0, s1 }) => [s0, s1]).sort((p, q) => p - q)
  // each at least so far from the last that is kept: from its neighbour alone, several steps could swallow a whole line
  const places: number[] = []
  for (const s of stops) if (s - (places.at(-1) ?? -Infinity) > tiny) places.push(s)
  const sum = places.slice(1).map((to, i) => ({ member: first.member, s0: entry(places, i), s1: to, q0: 0, q1: 0 }))
  let start = 0
  for (const line of [...lines].sort((p, q) => p.s0 - q.s0)) {
    const at = (s: number) =>
      line.q0 + ((line.q1 - line.q0) * (Math.min(Math.max(s, line.s0), line.s1) - line.s0)) / (line.s1 - line.s0)
    while ((sum[start]?.s1 ?? Infinity) <= line.s0 + tiny) start++
    for (let k = start; k < sum.length; k++) {
      const piece = sum[k]
      if (!piece || piece.s0 >= line.s1 - tiny) break
      piece.q0 += at(piece.s0)
      piece.q1 += at(piece.s1)
    }
  }
  return sum
}
