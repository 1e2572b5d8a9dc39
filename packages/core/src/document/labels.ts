import type { Document } from './document'
import type { Member, Panel, Patch, Section, WallRun } from './recordKinds'

/** The label of a record as it stands on the drawing, or its name; empty where it is gone. */
export function labelOf(document: Document, id: string): string {
  const record = document.records.get(id)
  if (!record) return ''
  if ('label' in record) return record.label
  return 'name' in record ? record.name : ''
}

const lookup =
  <K extends 'member' | 'panel' | 'patch' | 'wallRun' | 'section' | 'material'>(kind: K) =>
  (document: Document, id: string) => {
    const record = document.records.get(id)
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

/** A, B … without I and O, which read as numbers (common practice). */
export function gridLetter(index: number): string {
  const letters = 'ABCDEFGHJKLMNPQRSTUVWXYZ'
  const round = Math.floor(index / letters.length)
  return `${letters[index % letters.length] ?? ''}${round > 0 ? round : ''}`
}
