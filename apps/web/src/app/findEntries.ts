import { expanded, familyOf, recordsOf, stillThere, type Document, type Overview } from '@hedrion/core'
import { kindNames } from '../compute/useEdit'
import { commands as named, type CommandName } from '../state/commands'
import type { Look } from '../state/look'
import { stepNames, stepTitles } from './steps'

/** Something that Find can reach. */
export interface FindEntry {
  readonly id: string
  readonly text: string
  readonly kind: string
  /** Where it leads: another step, and what is looked at there. */
  readonly step?: string
  readonly look?: Partial<Look>
  /** A number's trace, or a command. */
  readonly address?: string
  readonly command?: 'undo' | 'redo' | 'projects' | CommandName
}

/** Every step, element, case, clause and command by its name. */
export function findEntries(document: Document, overview: Overview | undefined): readonly FindEntry[] {
  return [
    ...stepNames.map((step): FindEntry => ({ id: `step ${step}`, text: stepTitles[step], kind: 'step', step })),
    ...commands,
    ...clauses(overview),
    ...caseEntries(overview),
    ...levelEntries(overview),
    ...elementEntries(document, overview),
    ...selectionEntries(document),
    ...(overview?.concerns ?? []).map(({ sentence, about }, i): FindEntry => ({
      id: `concern ${i}`,
      text: sentence,
      kind: 'concern',
      step: 'paths',
      ...(about[0] ? { look: { picked: [about[0]] } } : {}),
    })),
  ]
}

const commands: readonly FindEntry[] = [
  ...Object.entries(named).map(([name, { text, step }]): FindEntry => ({
    id: `command ${name}`,
    text,
    kind: 'command',
    step,
    // the sheet of wind or of storey forces stands in place of what the command is on
    ...(step === 'actions' ? { look: { case: null } } : {}),
    command: name as CommandName,
  })),
  { id: 'command undo', text: 'Undo last change', kind: 'command', command: 'undo' },
  { id: 'command redo', text: 'Redo', kind: 'command', command: 'redo' },
  { id: 'command projects', text: 'All projects', kind: 'command', command: 'projects' },
]

/** The parameters of the family in use; a family that has no value for one does not list it. */
function clauses(overview: Overview | undefined): readonly FindEntry[] {
  const { meanings, recommended } = familyOf(overview?.family ?? 'EN')
  return Object.entries(meanings).flatMap(([key, { symbol, name }]): FindEntry[] => {
    const value = recommended.values[key]
    if (!value) return []
    return [
      {
        id: `clause ${key}`,
        text: `${symbol} ${name}, ${value.clause}`,
        kind: key.startsWith('imposed.') ? 'use' : 'clause',
        step: 'basis',
        address: `parameter:${key}`,
      },
    ]
  })
}

const caseEntries = (overview: Overview | undefined): readonly FindEntry[] =>
  (overview?.actions ?? []).flatMap(({ name, cases }) =>
    cases.map((loadCase): FindEntry => ({
      id: `case ${loadCase.id}`,
      text: `${name}: ${loadCase.name}`,
      kind: 'case',
      look: { case: loadCase.id },
    })),
  )

const levelEntries = (overview: Overview | undefined): readonly FindEntry[] =>
  (overview?.levels ?? []).map(({ id, name }): FindEntry => ({
    id: `level ${id}`,
    text: `Level ${name}`,
    kind: 'level',
    look: { level: id, view: 'plan' },
  }))

/** Kept selections; what of them is gone is passed over when they are called back. */
const selectionEntries = (document: Document): readonly FindEntry[] =>
  recordsOf(document, 'selection').map(({ id, name, picked }): FindEntry => ({
    id: `selection ${id}`,
    text: `Saved selection “${name}”, ${picked.length} selected`,
    kind: 'saved selection',
    look: { picked: stillThere(document, picked) },
  }))

const elementSteps = {
  member: 'paths',
  panel: 'paths',
  patch: 'actions',
  wallRun: 'actions',
  lineLoad: 'actions',
  pointLoad: 'actions',
  areaLoad: 'actions',
  reductionRegion: 'actions',
  stair: 'actions',
  barrier: 'actions',
  wallSurface: 'actions',
  stiffElement: 'building',
  opening: 'building',
} as const

/** An element on every level that its layout stands on. */
function elementEntries(document: Document, overview: Overview | undefined): readonly FindEntry[] {
  const levels = overview?.levels ?? []
  return (Object.keys(elementSteps) as (keyof typeof elementSteps)[]).flatMap((kind) => {
    const word = kindNames[kind].toLowerCase()
    return recordsOf(document, kind).flatMap((record) =>
      levels
        .filter(({ layoutId }) => layoutId === record.layout)
        .map((level): FindEntry => ({
          id: `${record.id} ${level.id}`,
          text: `${word} ${record.label}, level ${level.name}`,
          kind: kind === 'member' && record.kind === 'member' ? record.role : word,
          step: elementSteps[kind],
          look: { level: level.id, view: 'plan', picked: [expanded(record.id, level.id)] },
        })),
    )
  })
}

/** Words of a name as they are compared: “Member C1, level 1” has member, c1, level and 1. */
const wordsOf = (text: string): readonly string[] =>
  text
    .toLowerCase()
    .split(/[\s,:;“”]+/)
    .filter(Boolean)

/** Of entries that fit alike: what stands in the building comes before what the standards say of it, and concerns come last. */
const later: Readonly<Record<string, number>> = { clause: 1, use: 1, concern: 2 }
const rankOf = ({ kind }: FindEntry): number => later[kind] ?? 0

/** The entries that have every word somewhere; those that have more of them as whole words come first (C1 before C10). */
export function foundAmong(entries: readonly FindEntry[], text: string, most: number): readonly FindEntry[] {
  const wanted = wordsOf(text)
  return entries
    .flatMap((entry) => {
      const own = `${entry.text} ${entry.kind}`
      const plain = own.toLowerCase()
      if (!wanted.every((word) => plain.includes(word))) return []
      const has = new Set(wordsOf(own))
      return [{ entry, whole: wanted.filter((word) => has.has(word)).length }]
    })
    .sort((a, b) => b.whole - a.whole || rankOf(a.entry) - rankOf(b.entry))
    .slice(0, most)
    .map(({ entry }) => entry)
}
