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
