import type { Document } from './document'
import type { Member, Panel, Patch, Section, WallRun } from './recordKinds'

/** The label of a record as it stands on the drawing, or its name; empty where it is gone. */
export function labelOf(document: Document, id: string): string {
  const [whole, stretch] = splitStretch(id)
  const record = document.records.get(whole)
  if (!record) return ''
  if (stretch !== null && 'label' in record) return `${record.label}/${stretch + 1}`
  if ('label' in record) return record.label
  return 'name' in record ? record.name : ''
}

/** What a person named or gave as a source: names, labels and sources of all records. */
export function* namesIn({ records }: Document): Generator<string> {
  for (const record of records.values())
    for (const field of ['name', 'label', 'source'] as const) {
      const text = (record as Partial<Record<typeof field, string>>)[field]
      if (text) yield text
    }
}

const lookup =
  <K extends 'member' | 'panel' | 'patch' | 'wallRun' | 'section' | 'material'>(kind: K) =>
  (document: Document, id: string) => {
    const record = document.records.get(recordIdOf(id))
    return record?.kind === kind ? record : undefined
  }

export const memberOf = lookup('member') as (document: Document, id: string) => Member | undefined
export const panelOf = lookup('panel') as (document: Document, id: string) => Panel | undefined
export const patchOf = lookup('patch') as (document: Document, id: string) => Patch | undefined
export const wallRunOf = lookup('wallRun') as (document: Document, id: string) => WallRun | undefined
/** The section with an id, or undefined where it is gone. */
export const sectionAt = lookup('section') as (document: Document, id: string) => Section | undefined
export const sectionOf = (document: Document, member: Member | undefined): Section | undefined =>
  member && sectionAt(document, member.section)

/** What a sheet says of a member at its head. */
export function memberFacts(document: Document, id: string) {
  const member = memberOf(document, id)
  const section = sectionOf(document, member)
  return { label: member?.label ?? '', section: section?.name ?? '', sectionAssumed: section?.assumed ?? false }
}

/** An expanded id is `originId@levelId`. */
export const expanded = (originId: string, levelId: string): string => `${originId}@${levelId}`

export function splitExpanded(expandedId: string): readonly [originId: string, levelId: string] {
  const at = expandedId.indexOf('@')
  return at < 0 ? [expandedId, ''] : [expandedId.slice(0, at), expandedId.slice(at + 1)]
}

/** A stretch of a bearing wall, counted from its start at 0: `wallId~k`. */
export const stretchId = <I extends string>(wallId: I, k: number): `${I}~${number}` => `${wallId}~${k}`

export function splitStretch(id: string): readonly [wallId: string, stretch: number | null] {
  const at = id.indexOf('~')
  return at < 0 ? [id, null] : [id.slice(0, at), Number(id.slice(at + 1))]
}

/** The record that an expanded id, a stretch of a wall, or a record's own id stands for. */
export const recordIdOf = (id: string): string => splitStretch(splitExpanded(id)[0])[0]

/** A, B … without I and O, which read as numbers (common practice). */
export function gridLetter(index: number): string {
  const letters = 'ABCDEFGHJKLMNPQRSTUVWXYZ'
  const round = Math.floor(index / letters.length)
  return `${letters[index % letters.length] ?? ''}${round > 0 ? round : ''}`
}
