import { own } from '../../outcome/own'

/** Clauses that stand under other numbers in another edition than 7-16, from memory; longest first. */
const renumbered: Readonly<Record<string, readonly (readonly [in716: string, there: string])[]>> = {
  'ASCE 7-05': [
    ['table 26.10-1, note 1', 'table 6-3, note 1'],
    ['(26.10-1.si)', '(6-15)'],
    ['table 26.11-1', 'table 6-2'],
    ['table 26.6-1', 'table 6-4'],
    ['table 4.3-1', 'table 4-1'],
    ['table 4.7-1', 'table 4-2'],
    ['26.10.2', '6.5.10'],
    ['26.8.2', '6.5.7.2'],
    ['26.5.1', '6.5.4'],
    ['26.5', '6.5.4'],
    ['4.3.2', '4.2.2'],
    ['4.5.1.1', '4.4.2'],
    ['(4.7-1)', '(4-1)'],
    ['(4.8-1)', '(4-2)'],
    ['4.7.', '4.8.'],
    ['4.8', '4.9'],
    ['4.3', '4.2'],
    ['2.3.1', '2.3.2'],
  ],
  'ASCE 7-10': [
    ['table 26.10-1, note 1', 'table 27.3-1, note 1'],
    ['(26.10-1.si)', '(27.3-1)'],
    ['table 26.11-1', 'table 26.9-1'],
    ['table 4.3-1', 'table 4-1'],
    ['table 4.7-1', 'table 4-2'],
    ['26.10.2', '27.3.2'],
    ['2.3.1', '2.3.2'],
  ],
}

const editions = ['ASCE 7-05', 'ASCE 7-10', 'ASCE 7-22']

/** A clause of the family as the edition in use numbers it; what an edition says itself stays. */
export function citedInEdition(layers: readonly string[], clause: string): string {
  const edition = editions.find((name) => layers.includes(name))
  if (!edition || !/^ASCE 7(-16)? /.test(clause)) return clause
  const number = clause.replace(/^ASCE 7(-16)? /, '')
  const found = (own(renumbered, edition) ?? []).find(([in716]) => number.includes(in716))
  return `${edition} ${found ? number.replaceAll(found[0], found[1]) : number}`
}
