import { madeId } from './madeId'
import type { FormatStep, RawRecord } from './formatStep'

/**
 * The construction stage of a load key is a record of its own, with the kinds of load of EN 1991-1-6; load that counts as mass only is
 * an additional seismic mass; a table of reduction has one of two forms. Loads and factors stay what they were.
 */
export const stagesAndTables: FormatStep = {
  to: 3,
  migrate: (record) => {
    if (record.kind === 'loadKey') return keyAndStage(record)
    if (record.kind === 'reductionTable') return [tableInForm(record)]
    return [record]
  },
}

/** What people and goods added was one number: it stands as other construction load, since nobody said what it was of. */
function keyAndStage(record: RawRecord): readonly RawRecord[] {
  const { constructionPermanent = null, constructionImposed = null, massOnly = null, typed, ...key } = record
  const words = isWords(typed) ? typed : undefined
  const ofKey = renamed(words, (path) =>
    path === 'massOnly' ? 'additionalSeismicMass' : path in stageFields ? null : path,
  )
  const made: RawRecord = { ...(key as RawRecord), additionalSeismicMass: massOnly, ...ofKey }
  if (constructionPermanent === null && constructionImposed === null) return [made]
  const stage: RawRecord = {
    kind: 'constructionStage',
    id: madeId('constructionStage', record.id, 'stage'),
    key: record.id,
    permanent: constructionPermanent,
    personnel: null,
    storedMaterials: null,
    equipment: null,
    other: constructionImposed,
    ...renamed(words, (path) => stageFields[path] ?? null),
  }
  return [made, stage]
}

const stageFields: Readonly<Record<string, string>> = {
  constructionPermanent: 'permanent',
  constructionImposed: 'other',
}

type Words = Readonly<Record<string, unknown>>
const isWords = (value: unknown): value is Words => typeof value === 'object' && value !== null && !Array.isArray(value)

/** What was typed, under the names that fields have now; nothing where nothing of it is left. */
function renamed(words: Words | undefined, name: (path: string) => string | null): { readonly typed?: Words } {
  const left = Object.entries(words ?? {}).flatMap(([path, text]) => {
    const now = name(path)
    return now === null ? [] : [[now, text] as const]
  })
  return left.length > 0 ? { typed: Object.fromEntries(left) } : {}
}

interface Row {
  readonly from: number
  readonly factor: number
}

function tableInForm(record: RawRecord): RawRecord {
  const { by, between, takes, ...table } = record
  const rows = rowsOf(table['rows'])
  const known = { ...(table as RawRecord), appliesTo: takes === 'all' ? 'both' : 'columns' }
  const form = by === 'area' ? 'area' : 'floors'
  // what does not read stays as it is, for the reader to name
  if (!rows) return { ...known, form }
  const sorted = [...rows].sort((p, q) => p.from - q.from)
  if (form === 'area') return { ...known, form, rows: between === 'linear' ? rows : asSteps(sorted) }
  return { ...known, form, rows: between === 'linear' ? byWholeFloors(sorted) : rows }
}

/** Rows that held from their area on, as rows with straight lines between: level to the next, and a step there. */
const asSteps = (rows: readonly Row[]): readonly Row[] =>
  rows.flatMap((row, i) => {
    const before = rows[i - 1]
    return before && before.from < row.from ? [{ from: row.from, factor: before.factor }, row] : [row]
  })

/** No building has more storeys than this (its levels are counted so far). */
const mostFloors = 200

/** Rows between which factors were interpolated: one for each whole number of floors that the table reaches. */
function byWholeFloors(rows: readonly Row[]): readonly Row[] {
  const [first, last] = [rows[0], rows.at(-1)]
  if (!first || !last || rows.length < 2) return rows
  const from = Math.ceil(first.from)
  const to = Math.min(Math.max(Math.ceil(last.from), from), from + mostFloors)
  return Array.from({ length: to - from + 1 }, (_, i): Row => {
    const n = from + i
    const next = rows.find((row) => row.from > n)
    const before = rows.filter((row) => row.from <= n).at(-1)
    if (!before) return { from: n, factor: first.factor }
    if (!next) return { from: n, factor: before.factor }
    const part = (n - before.from) / (next.from - before.from)
    return { from: n, factor: before.factor + part * (next.factor - before.factor) }
  })
}

const rowsOf = (value: unknown): readonly Row[] | null => {
  if (!Array.isArray(value)) return null
  const rows = value.filter(
    (row): row is Row => isWords(row) && typeof row['from'] === 'number' && typeof row['factor'] === 'number',
  )
  return rows.length === value.length ? rows : null
}
