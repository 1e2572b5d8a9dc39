import type { Traced, TracedTerm } from './traced'

/** How a family cites a clause, and says a text of the product. */
export interface Recital {
  readonly cite: (clause: string) => string
  readonly say: (text: string) => string
}

/** A trace as a family cites and says it, all the way down. */
export function recited<T extends Traced>(traced: T, recital: Recital): T {
  const { cite, say } = recital
  const { basis } = traced
  switch (basis.kind) {
    case 'given':
      return { ...traced, basis: { ...basis, from: say(cite(basis.from)) } }
    case 'parameter':
      return { ...traced, basis: { ...basis, clause: say(cite(basis.clause)) } }
    case 'table':
      return {
        ...traced,
        basis: {
          ...basis,
          table: { ...basis.table, clause: say(cite(basis.table.clause)) },
          inputs: basis.inputs.map((input) => recited(input, recital)),
        },
      }
    case 'formula':
      return {
        ...traced,
        basis: {
          ...basis,
          clause: say(cite(basis.clause)),
          inputs: Object.fromEntries(
            Object.entries(basis.inputs).map(([name, input]) => [name, recited(input, recital)]),
          ),
        },
      }
    case 'sum':
      return {
        ...traced,
        basis: { ...basis, clause: say(cite(basis.clause)), terms: basis.terms.map((term) => ofTerm(term, recital)) },
      }
  }
}

const ofTerm = (term: TracedTerm, recital: Recital): TracedTerm => ({
  ...term,
  label: recital.say(term.label),
  ...(term.traced && { traced: recited(term.traced, recital) }),
})

const isTraced = (value: object): value is Traced => 'symbol' in value && 'quantity' in value && 'basis' in value

/** Every trace in an answer, however deep it stands, as a family cites and says it; what holds none stays the same object. */
export function recitedIn<T>(answer: T, recital: Recital): T {
  // what comes back has the shape of what went in: its texts apart, nothing changes
  return walk(answer, recital) as T
}

function walk(value: unknown, recital: Recital): unknown {
  if (typeof value !== 'object' || value === null || ArrayBuffer.isView(value)) return value
  if (isTraced(value)) return recited(value, recital)
  if (Array.isArray(value))
    return changed(
      value,
      value.map((inner) => walk(inner, recital)),
    )
  if (value instanceof Map || value instanceof Set) return value
  const entries = Object.entries(value)
  const walked = entries.map(([, inner]) => walk(inner, recital))
  return entries.every(([, inner], i) => inner === walked[i])
    ? value
    : Object.fromEntries(entries.map(([key], i) => [key, walked[i]]))
}

const changed = (list: readonly unknown[], walked: readonly unknown[]): readonly unknown[] =>
  list.every((inner, i) => inner === walked[i]) ? list : walked
