import { once } from './once'

/**
 * How the engineers of a family say what the product's texts say in the words of the Eurocodes and the spelling of the UK: pairs of the
 * beginning of a word as it is written, in small letters, and as they have it. The first that fits counts.
 */
export type Vocabulary = readonly (readonly [written: string, theirs: string])[]

/** Spelling in the US, as far as the texts have such words. */
export const usSpelling: Vocabulary = [
  ['storeys', 'stories'],
  ['storey', 'story'],
  ['centre', 'center'],
  ['metre', 'meter'],
  ['millimetre', 'millimeter'],
  ['centimetre', 'centimeter'],
  ['kilometre', 'kilometer'],
  ['favourable', 'favorable'],
  ['unfavourable', 'unfavorable'],
  ['neighbour', 'neighbor'],
  ['colour', 'color'],
  ['aluminium', 'aluminum'],
]

const startsLarge = (word: string): boolean => !word.startsWith(word.charAt(0).toLowerCase())
const asLarge = (word: string, like: string): string =>
  startsLarge(like) ? word.charAt(0).toUpperCase() + word.slice(1) : word

/** Part of a longer word or of a key (`imposed.q_k`) is no word: only the beginning of one is looked for. */
const differing = once(
  (vocabulary: Vocabulary) =>
    new RegExp(`(?<![\\w.-])(?:${vocabulary.map(([written]) => written).join('|')})(?!\\.\\w)`, 'gi'),
)

function replaced(text: string, vocabulary: Vocabulary): string {
  return text.replace(differing(vocabulary), (found) => {
    const theirs = vocabulary.find(([written]) => written === found.toLowerCase())?.[1]
    return theirs === undefined ? found : asLarge(theirs, found)
  })
}

/** Those of some texts that have a word which the family says otherwise. */
export const saidOtherwise = (vocabulary: Vocabulary, texts: Iterable<string>): readonly string[] =>
  vocabulary.length === 0 ? [] : [...texts].filter((text) => replaced(text, vocabulary) !== text)

/** A text of the product in the words of a family, where it has its own. What is kept, such as names that a person gave, stays as it is. */
export function inWordsOf(vocabulary: Vocabulary = [], text: string, kept: readonly string[] = []): string {
  if (vocabulary.length === 0) return text
  const [first, ...others] = saidOtherwise(vocabulary, kept)
  if (first === undefined) return replaced(text, vocabulary)
  return text
    .split(first)
    .map((part) => inWordsOf(vocabulary, part, others))
    .join(first)
}
