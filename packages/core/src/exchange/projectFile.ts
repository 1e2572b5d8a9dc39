import { pushAll } from '../outcome/lists'
import { resultsEdition } from '../document/changedResults'
import { documentOf, formatName, formatVersion, type Document } from '../document/document'
import { migrateRecord } from '../document/format/migrate'
import type { Problem } from '../document/fields'
import { invariantProblems } from '../document/invariants'
import { readRecord, recordSchema } from '../document/readRecord'
import { kinds, recordKinds, type Rec } from '../document/recordKinds'
import { parseJsonText } from './jsonText'

export const fileLimits = { bytes: 64 * 1024 * 1024, depth: 15, values: 8_000_000, records: 200_000 } as const

export type ReadDocument =
  | {
      readonly ok: true
      readonly document: Document
      /** The edition of the results when the file was written. */
      readonly results: number
    }
  | { readonly ok: false; readonly problems: readonly [Problem, ...Problem[]] }

const broken = (path: string, problem: string): ReadDocument => ({ ok: false, problems: [{ path, problem }] })

/** Reads a project file (`hedrion-project`, of this version or an earlier one) from its text. A broken file is refused whole, with paths. */
export function readProjectFile(text: string): ReadDocument {
  const parsed = parseJsonText(text, fileLimits, 'project file')
  return parsed.ok ? readProject(parsed.value) : parsed
}

export function readProject(parsed: unknown): ReadDocument {
  if (typeof parsed !== 'object' || parsed === null || Array.isArray(parsed))
    return broken('', 'The file does not contain a project.')
  const { format, version, results = 0, records } = parsed as Record<string, unknown>
  const [first] = headProblems(format, version, results)
  if (first) return { ok: false, problems: [first] }
  if (typeof records !== 'object' || records === null || Array.isArray(records))
    return broken('records', 'The records are missing.')
  return readRecords(records as Record<string, unknown>, Number(version), Number(results))
}

const isCount = (value: unknown): value is number => Number.isInteger(value)

function headProblems(format: unknown, version: unknown, results: unknown): readonly Problem[] {
  if (format !== formatName)
    return [
      {
        path: 'format',
        problem: `The file says “${String(format).slice(0, 40)}”; a project file has “${formatName}”.`,
      },
    ]
  if (!isCount(version) || version < 1 || version > formatVersion)
    return [
      {
        path: 'version',
        problem: `The file is of version ${String(version).slice(0, 10)}; this program reads versions 1 to ${formatVersion}.`,
      },
    ]
  return isCount(results) && results >= 0
    ? []
    : [{ path: 'results', problem: 'The edition of the results must be an integer.' }]
}

function readRecords(records: Record<string, unknown>, version: number, results: number): ReadDocument {
  const entries = Object.entries(records)
  if (entries.length > fileLimits.records)
    return broken('records', `The file has ${entries.length} records; ${fileLimits.records} are allowed.`)
  const problems: Problem[] = []
  const read: Rec[] = []
  for (const [id, value] of entries) {
    const path = `records.${id.slice(0, 60)}`
    const made = migrateRecord(value, version).flatMap((one) => readRecord(one, path, problems) ?? [])
    if (made.length > 0 && (value as { readonly id: string }).id !== id)
      problems.push({ path: `${path}.id`, problem: 'The record id differs from its key.' })
    pushAll(read, made)
    if (problems.length > 50) break
  }
  const document = documentOf(read)
  const [first, ...rest] = problems.length > 0 ? problems : invariantProblems(document).slice(0, 50)
  return first ? { ok: false, problems: [first, ...rest.slice(0, 49)] } : { ok: true, document, results }
}

/** Fields in the order of the definition, so that equal documents give equal bytes. */
function ordered(record: Rec): Rec {
  const source = record as unknown as Readonly<Record<string, unknown>>
  const names = [
    'kind',
    'id',
    ...(record.origin === undefined ? [] : ['origin']),
    ...(record.typed === undefined ? [] : ['typed']),
    ...Object.keys(recordKinds[record.kind]),
  ]
  return Object.fromEntries(names.map((name) => [name, source[name]])) as unknown as Rec
}

/** The project as plain JSON, records in the order of their ids. */
export function projectJson(document: Document) {
  const sorted = [...document.records.values()].sort((a, b) => (a.id < b.id ? -1 : 1))
  return {
    format: formatName,
    version: formatVersion,
    results: resultsEdition,
    records: Object.fromEntries(sorted.map((record) => [record.id, ordered(record)])),
  }
}

export const writeProjectFile = (document: Document): string => `${JSON.stringify(projectJson(document), null, 1)}\n`

/** JSON Schema (draft 2020-12) of the project file. */
export function projectSchema(): Readonly<Record<string, unknown>> {
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'Hedrion project',
    type: 'object',
    properties: {
      format: { const: formatName },
      version: { const: formatVersion },
      results: { type: 'integer', minimum: 0 },
      records: {
        type: 'object',
        maxProperties: fileLimits.records,
        additionalProperties: { oneOf: kinds.map(recordSchema) },
      },
    },
    required: ['format', 'version', 'results', 'records'],
    additionalProperties: false,
  }
}
