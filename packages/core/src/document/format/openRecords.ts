import { blankBasis } from '../blanks'
import { documentOf, type Document } from '../document'
import type { Problem } from '../fields'
import { invariantProblems } from '../invariants'
import { readRecord } from '../readRecord'
import type { Id, Rec } from '../recordKinds'
import { madeId } from './madeId'
import { isRaw, migrateRecord } from './migrate'
import type { FormatStep } from './formatStep'

/** A record that cannot be taken as it is: what it is called, and what is wrong with it. */
export interface SetAside {
  readonly id: string
  readonly kind: string
  /** Its label or name; empty where it has none. */
  readonly label: string
  readonly problem: Problem
}

export interface Opened {
  readonly document: Document
  readonly aside: readonly SetAside[]
}

/** A record of a store, by the id that it is kept under. */
export interface Stored {
  readonly id: string
  readonly body: unknown
}

/**
 * A document from stored records of a version. A record that does not read, or that breaks an invariant with the others, is set aside
 * and named, with those that point at it; the project opens with the rest. A basis that is set aside is stood in for by a blank one.
 */
export function openRecords(stored: readonly Stored[], from: number, steps?: readonly FormatStep[]): Opened {
  const { records, aside } = readable(stored, from, steps)
  if (stored.length > 0) withBasis(records, aside)
  for (;;) {
    const document = documentOf(records.values())
    const broken = new Map(invariantProblems(document).map((problem) => [recordIn(problem), problem]))
    const before = records.size
    for (const [id, problem] of broken) {
      const record = records.get(id)
      if (!record) continue
      aside.push(asideOf(id, record, problem))
      records.delete(id)
    }
    if (records.size === before) return { document, aside }
    withBasis(records, aside)
  }
}

interface Sorted {
  readonly records: Map<string, Rec>
  readonly aside: SetAside[]
}

function readable(stored: readonly Stored[], from: number, steps?: readonly FormatStep[]): Sorted {
  const sorted: Sorted = { records: new Map(), aside: [] }
  for (const { id, body } of stored)
    for (const value of migrateRecord(body, from, steps)) {
      const problems: Problem[] = []
      const record = readRecord(value, `records.${id}`, problems)
      if (record && !sorted.records.has(record.id)) sorted.records.set(record.id, record)
      else {
        const doubled = { path: `records.${id}.id`, problem: 'Another record has this id.' }
        sorted.aside.push(asideOf(id, value, problems[0] ?? doubled))
      }
    }
  return sorted
}

/** Stored records of a version as they are to be stored in the newest; what a step does not know stays as it is. */
export const storedAs = (stored: readonly Stored[], from: number): readonly Stored[] =>
  stored.flatMap(({ id, body }) =>
    migrateRecord(body, from).map((value) => ({ id: isRaw(value) ? value.id : id, body: value })),
  )

const recordIn = ({ path }: Problem): string => /^records\.([a-zA-Z]+:[0-9a-z]+)/.exec(path)?.[1] ?? ''

function withBasis(records: Map<string, Rec>, aside: readonly SetAside[]): void {
  if ([...records.values()].some(({ kind }) => kind === 'basis')) return
  const lost = aside.find(({ kind }) => kind === 'basis')
  const id = (
    /^basis:[0-9a-z]{12,40}$/.test(lost?.id ?? '') ? lost?.id : madeId('basis', 'project', 'blank')
  ) as Id<'basis'>
  records.set(id, { ...blankBasis(lost?.label ?? '', () => 0), id })
}

function asideOf(id: string, value: unknown, problem: Problem): SetAside {
  const text = (name: string): string => {
    const found = isRaw(value) ? value[name] : undefined
    return typeof found === 'string' ? found.slice(0, 60) : ''
  }
  return { id, kind: id.split(':')[0] ?? '', label: text('label') || text('name'), problem }
}
