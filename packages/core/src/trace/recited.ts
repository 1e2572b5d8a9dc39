import type { Traced, TracedTerm } from './traced'

/** A trace with its clauses cited in another way, all the way down. */
export function recited<T extends Traced>(traced: T, cite: (clause: string) => string): T {
  const { basis } = traced
  switch (basis.kind) {
    case 'given':
      return { ...traced, basis: { ...basis, from: cite(basis.from) } }
    case 'parameter':
      return { ...traced, basis: { ...basis, clause: cite(basis.clause) } }
    case 'table':
      return {
        ...traced,
        basis: {
          ...basis,
          table: { ...basis.table, clause: cite(basis.table.clause) },
          inputs: basis.inputs.map((input) => recited(input, cite)),
        },
      }
    case 'formula':
      return {
        ...traced,
        basis: {
          ...basis,
          clause: cite(basis.clause),
          inputs: Object.fromEntries(Object.entries(basis.inputs).map(([name, input]) => [name, recited(input, cite)])),
        },
      }
    case 'sum':
      return {
        ...traced,
        basis: { ...basis, clause: cite(basis.clause), terms: basis.terms.map((term) => ofTerm(term, cite)) },
      }
  }
}

const ofTerm = (term: TracedTerm, cite: (clause: string) => string): TracedTerm =>
  term.traced ? { ...term, traced: recited(term.traced, cite) } : term

const isTraced = (value: object): value is Traced => 'symbol' in value && 'quantity' in value && 'basis' in value

/** Every trace in an answer, however deep it stands, cited in another way; what holds none stays the same object. */
export function recitedIn<T>(answer: T, cite: (clause: string) => string): T {
  // what comes back has the shape of what went in: texts of clauses apart, nothing changes
  return walk(answer, cite) as T
}

function walk(value: unknown, cite: (clause: string) => string): unknown {
  if (typeof value !== 'object' || value === null || ArrayBuffer.isView(value)) return value
  if (isTraced(value)) return recited(value, cite)
  if (Array.isArray(value))
    return changed(
      value,
      value.map((inner) => walk(inner, cite)),
    )
  if (value instanceof Map || value instanceof Set) return value
  const entries = Object.entries(value)
  const walked = entries.map(([, inner]) => walk(inner, cite))
  return entries.every(([, inner], i) => inner === walked[i])
    ? value
    : Object.fromEntries(entries.map(([key], i) => [key, walked[i]]))
}

const changed = (list: readonly unknown[], walked: readonly unknown[]): readonly unknown[] =>
  list.every((inner, i) => inner === walked[i]) ? list : walked
