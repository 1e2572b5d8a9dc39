import { concernsOf } from '../concerns/concernsOf'
import { concernSentence, stepOfConcern } from '../concerns/definitions'
import type { StepOfWork } from '../concerns/definition'
import type { ProjectState } from '../derivation/project'
import { recordsOf } from '../document/document'
import { expanded } from '../document/labels'
import { once } from '../outcome/once'
import { stillThere } from '../editing/shaped'
import { familyOf } from '../standards/families'
import { kindNames } from '../wording/kindNames'
import { formatOf } from './overview'

/** Something of a project that is reached by its name. */
export interface FindEntry {
  readonly id: string
  readonly text: string
  /** What it is: “column”, “use”, “case”. */
  readonly kind: string
  /** The steps that show it, the most usual first; none where every step does. */
  readonly steps?: readonly StepOfWork[]
  /** What is looked at there. */
  readonly level?: string
  readonly case?: string
  readonly picked?: readonly string[]
  /** A number's trace. */
  readonly address?: string
}

/** An entry that has every word of a text, and how well it fits. */
export interface Fit<E> {
  readonly entry: E
  /** Words of the text that it has as whole words. */
  readonly whole: number
  /** What is in the building comes before what the standards say of it, and concerns come last. */
  readonly rank: number
}

interface Indexed<E> {
  readonly entry: E
  readonly plain: string
  readonly words: ReadonlySet<string>
}

/** Words of a name as they are compared: “Member C1, level 1” has member, c1, level and 1. */
const wordsOf = (text: string): readonly string[] =>
  text
    .toLowerCase()
    .split(/[\s,:;“”]+/)
    .filter(Boolean)

const ranks: Readonly<Record<string, number>> = { clause: 1, use: 1, concern: 2 }

/** Entries with their words, made once. */
export const indexed = <E extends Pick<FindEntry, 'text' | 'kind'>>(entries: readonly E[]): readonly Indexed<E>[] =>
  entries.map((entry) => {
    const own = `${entry.text} ${entry.kind}`
    return { entry, plain: own.toLowerCase(), words: new Set(wordsOf(own)) }
  })

/** Those that have every word somewhere; of these, more of them as whole words come first (C1 before C10). */
export function fitting<E extends Pick<FindEntry, 'kind'>>(
  index: readonly Indexed<E>[],
  text: string,
): readonly Fit<E>[] {
  const wanted = wordsOf(text)
  return index.flatMap(({ entry, plain, words }) =>
    wanted.every((word) => plain.includes(word))
      ? [{ entry, whole: wanted.filter((word) => words.has(word)).length, rank: ranks[entry.kind] ?? 0 }]
      : [],
  )
}

/** The best first; of those that fit alike the order stays. */
export const best = <E>(fits: readonly Fit<E>[], most: number): readonly Fit<E>[] =>
  [...fits].sort((a, b) => b.whole - a.whole || a.rank - b.rank).slice(0, most)

export interface Found {
  /** What was asked for: an answer to another text is not shown for this one. */
  readonly text: string
  readonly fits: readonly Fit<FindEntry>[]
}

/** What of a project has the words of a text: cases, levels, elements, saved selections, clauses and concerns. */
export const find = (state: ProjectState, text: string, most: number): Found => ({
  text,
  fits: best(fitting(indexOf(state), text), most),
})

const indexOf = once((state: ProjectState) =>
  indexed<FindEntry>([
    ...clauses(state),
    ...cases(state),
    ...state.levels.map(({ level: { id, name } }) => ({
      id: `level ${id}`,
      text: `Level ${name}`,
      kind: 'level',
      level: id,
    })),
    ...elements(state),
    ...selections(state),
    ...concerns(state),
  ]),
)

/** The parameters of the family in use; a family that has no value for one does not list it. */
function clauses({ standard }: ProjectState): readonly FindEntry[] {
  const { meanings, recommended } = familyOf(standard.family)
  return Object.entries(meanings).flatMap(([key, { symbol, name }]): FindEntry[] => {
    const value = recommended.values[key]
    if (!value) return []
    return [
      {
        id: `clause ${key}`,
        text: `${symbol} ${name}, ${value.clause}`,
        kind: key.startsWith('imposed.') ? 'use' : 'clause',
        steps: ['basis'],
        address: `parameter:${key}`,
      },
    ]
  })
}

const cases = ({ actions }: ProjectState): readonly FindEntry[] =>
  actions.flatMap(({ name, cases: ofAction }) =>
    ofAction.map((loadCase) => ({
      id: `case ${loadCase.id}`,
      text: `${name}: ${loadCase.name}`,
      kind: 'case',
      case: loadCase.id,
    })),
  )

/** The steps whose sheets show an element of a kind. */
const stepsOfElements = {
  member: ['paths', 'building'],
  panel: ['paths', 'building'],
  strut: ['building'],
  slope: ['building'],
  stiffElement: ['building'],
  opening: ['building'],
  patch: ['actions'],
  wallRun: ['actions'],
  lineLoad: ['actions'],
  pointLoad: ['actions'],
  areaLoad: ['actions'],
  reductionRegion: ['actions'],
  stair: ['actions'],
  barrier: ['actions'],
  wallSurface: ['actions'],
} as const satisfies Readonly<Record<string, readonly StepOfWork[]>>

/** An element on every level that its layout is on. */
function elements({ document, levels }: ProjectState): readonly FindEntry[] {
  return (Object.keys(stepsOfElements) as (keyof typeof stepsOfElements)[]).flatMap((kind) => {
    const word = kindNames[kind].toLowerCase()
    return recordsOf(document, kind).flatMap((record) =>
      levels
        .filter(({ layoutId }) => layoutId === record.layout)
        .map(({ level }): FindEntry => ({
          id: `${record.id} ${level.id}`,
          text: `${word} ${record.label}, level ${level.name}`,
          kind: record.kind === 'member' ? record.role : word,
          steps: stepsOfElements[kind],
          level: level.id,
          picked: [expanded(record.id, level.id)],
        })),
    )
  })
}

/** What of a saved selection is gone is passed over when it is called back. */
const selections = ({ document }: ProjectState): readonly FindEntry[] =>
  recordsOf(document, 'selection').map(({ id, name, picked }) => ({
    id: `selection ${id}`,
    text: `Saved selection “${name}”, ${picked.length} selected`,
    kind: 'saved selection',
    picked: stillThere(document, picked),
  }))

const concerns = (state: ProjectState): readonly FindEntry[] =>
  concernsOf(state).map((concern, i) => ({
    id: `concern ${i}`,
    text: concernSentence(concern, formatOf(state)),
    kind: 'concern',
    steps: [stepOfConcern(concern)],
    ...(concern.about[0] ? { picked: [concern.about[0]] } : {}),
  }))
