import type { Basis } from '../document/recordKinds'
import type { FamilyId } from '../standards/family'

/**
 * A sentence that is read part by part: what was read is taken out, so that at its end every word is read or left over and can be
 * named.
 */
export class Sentence {
  #rest: string

  constructor(text: string) {
    this.#rest = text.replace(/×/g, 'x').replace(/\s+/g, ' ')
  }

  get rest(): string {
    return this.#rest
  }

  /** The first match, taken out; null where there is none. */
  take(pattern: RegExp): RegExpExecArray | null {
    const found = pattern.exec(this.#rest)
    // a mark in its place: what stands before it and after it does not come together
    if (found) this.#rest = this.#rest.replace(found[0], ' | ')
    return found
  }

  /** What nothing was read from, word by word as they stand together; without the words that say nothing. */
  leftOver(silent: RegExp): readonly string[] {
    return this.#rest
      .replace(silent, ' | ')
      .split(/[|,;:.()]|\s-\s/)
      .map((part) => part.trim())
      .filter((part) => /[a-z0-9]/i.test(part))
  }
}

/** Words between the others. */
export const silentWords =
  /\b(an?|the|of|with|and|in|on|for|at|by|to|as|is|recommended( values?)?|values?|code|standard)\b/gi

const familyWords: readonly (readonly [RegExp, FamilyId])[] = [
  [/\b(EN( ?199\d(-\d)*)?|Eurocodes?( \d)?)\b/i, 'EN'],
  [/\bASCE( ?7)?\b(?!-)|\bASCE ?7(?=-)/i, 'ASCE'],
  [/\b(IS ?(875|456|800)|Indian( Standards?)?)\b/i, 'IS'],
  [/\bIS\b/, 'IS'],
  [/\b(BS ?(6399|8110)(-\d)?|BS|British( Standards?)?)\b/i, 'BS'],
]

/** The words of a set that lies over a family: its name, as it ships. */
const setWords: Readonly<Record<FamilyId, readonly (readonly [RegExp, string])[]>> = {
  EN: [[/\b(Germany|German( annex)?|DIN( EN)?)\b/i, 'Germany']],
  ASCE: [
    [/-05\b/, 'ASCE 7-05'],
    [/-10\b/, 'ASCE 7-10'],
    [/-22\b/, 'ASCE 7-22'],
    // the family's own
    [/-16\b/, ''],
  ],
  IS: [],
  BS: [],
}

export interface Standards {
  readonly family: FamilyId
  /** The national set or edition that it names; null where it names none. */
  readonly set: string | null
}

/** The family and the set that a sentence names; those of the project where it names none. */
export function takeStandards(sentence: Sentence, family: FamilyId): Standards {
  const named = /\bDIN\b|\bGerman/i.test(sentence.rest) ? 'EN' : null
  // an edition is written onto the name of its family
  const edition = /\bASCE ?7(-\d\d)\b/i.exec(sentence.rest)?.[1] ?? null
  const asce = edition ? setWords.ASCE.find(([word]) => word.test(edition)) : undefined
  if (asce) {
    sentence.take(/\bASCE ?7-\d\d\b/i)
    return { family: 'ASCE', set: asce[1] || null }
  }
  const found = familyWords.find(([word]) => sentence.take(word) !== null)?.[1] ?? named ?? family
  const set = setWords[found].find(([word]) => sentence.take(word) !== null)?.[1]
  return { family: found, set: set ?? null }
}

/** Who says all lengths in feet and inches reads them so as well. */
export const unitsIn = (text: string): Basis['units'] =>
  /\d ?(ft|feet|foot|in|inch|inches)\b/i.test(text) && !/\d ?[cm]?m\b/i.test(text) ? 'us' : 'metric'

/** Says what was not read; null where everything was. */
export function notUnderstood(parts: readonly string[]): string | null {
  if (parts.length === 0) return null
  const [first = '', ...more] = parts.map((part) => `“${part.slice(0, 40)}”`)
  const named = more.length === 0 ? `${first} is` : `${[first, ...more].slice(0, 3).join(' and ')} are`
  return `${named} not understood. Remove it; it can be set later.`
}
