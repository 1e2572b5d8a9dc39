/**
 * How a family cites the methods that all families share. They are written with the clauses of the Eurocodes, which do not belong in a
 * project of another family: each begins with one of these, and what follows it stays.
 */
export interface MethodClauses {
  readonly 'EN 1991-1-1 5.2.1(1)': string
  readonly 'EN 1991-1-1 6.4(2)': string
  /** The method of two families that share it; the others have none like it. */
  readonly 'IS 875-2 3.1.2, BS 6399-1 5.1.4'?: string
}

const everywhere = {
  'EN 1992-1-1 I.2(1)': 'common practice',
  'EN 1992-1-1 annex I, (I.1)': 'common practice: rigid diaphragm',
}

export function citingMethods(own: MethodClauses): (clause: string) => string {
  const names = Object.entries({ ...own, ...everywhere })
  return (clause) => {
    const found = names.find(([name]) => clause.startsWith(name))
    return found ? `${found[1]}${clause.slice(found[0].length)}` : clause
  }
}
