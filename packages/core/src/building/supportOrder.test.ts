import fc from 'fast-check'
import { holds } from '../../test/holds'
import { supportOrder } from './supportOrder'

type Graph = readonly (readonly number[])[]
const orderOf = (graph: Graph) =>
  supportOrder(graph.map((targets) => ({ supports: targets.map((index) => ({ on: 'beam' as const, index })) })))

/** Every beam that can be reached from one by going to what it rests on, itself only through a ring. */
function below(graph: Graph, from: number): ReadonlySet<number> {
  const found = new Set<number>()
  const walk = (at: number): void =>
    (graph[at] ?? []).forEach((next) => {
      if (found.has(next)) return
      found.add(next)
      walk(next)
    })
  walk(from)
  return found
}

const graphs = fc.integer({ min: 1, max: 9 }).chain((n) =>
  fc.array(fc.uniqueArray(fc.nat(n - 1), { maxLength: 2 }), { minLength: n, maxLength: n }).map((rows) =>
    // a beam does not rest on itself
    rows.map((targets, i) => targets.filter((target) => target !== i)),
  ),
)

test('beams in a ring, or between two rings, by brute force; the others come after all that rest on them', () => {
  holds(
    fc.property(graphs, (graph) => {
      const reach = graph.map((_, i) => below(graph, i))
      const inRing = graph.map((_, i) => reach[i]?.has(i) ?? false)
      const fromRing = (i: number) => inRing.some((ring, j) => ring && reach[j]?.has(i))
      const toRing = (i: number) => inRing.some((ring, j) => ring && reach[i]?.has(j))
      const wanted = graph.flatMap((_, i) => (inRing[i] || (fromRing(i) && toRing(i)) ? [i] : []))
      const { order, loop } = orderOf(graph)
      expect([...loop]).toEqual(wanted)
      expect([...order, ...loop].sort((a, b) => a - b)).toEqual(graph.map((_, i) => i))
      const place = new Map(order.map((beam, at) => [beam, at]))
      for (const beam of order)
        for (const target of graph[beam] ?? [])
          if (place.has(target)) expect(place.get(beam)).toBeLessThan(place.get(target) ?? -1)
    }),
    { numRuns: 500 },
  )
})

test('columns end the chain', () => {
  const onColumn = { supports: [{ on: 'column' as const, index: 0 }] }
  expect(supportOrder([onColumn, { supports: [{ on: 'beam', index: 0 }] }])).toEqual({ order: [1, 0], loop: [] })
})
