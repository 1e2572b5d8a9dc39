import type { Problem } from '../document/fields'
import { readRecord } from '../document/readRecord'
import type { Layer } from '../document/recordKinds'
import { embedded, familyOf } from '../standards/families'
import type { FamilyId } from '../standards/family'
import type { StandardLayer } from '../standards/layer'
import { parseJsonText } from './jsonText'

export const layerFormat = 'hedrion-layer'
export const layerFileLimits = { bytes: 4 * 1024 * 1024, depth: 8, values: 500_000 } as const

export type ReadLayer =
  | { readonly ok: true; readonly set: StandardLayer }
  | { readonly ok: false; readonly problems: readonly [Problem, ...Problem[]] }

const broken = (path: string, problem: string): ReadLayer => ({ ok: false, problems: [{ path, problem }] })

/** A record needs an id to be read; that of a file is not kept. */
const passing: Layer['id'] = 'layer:000000000000'

/** Reads a national set or an edition (`hedrion-layer`, version 1) for the family in use. A broken file is refused whole, with paths. */
export function readLayerFile(text: string, family: FamilyId): ReadLayer {
  const parsed = parseJsonText(text, layerFileLimits, 'value set')
  if (!parsed.ok) return parsed
  const { value } = parsed
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    return broken('', 'The file does not contain a value set.')
  const { format, version, ...fields } = value as Record<string, unknown>
  if (format !== layerFormat)
    return broken('format', `The file says “${String(format).slice(0, 40)}”; a value set says “${layerFormat}”.`)
  if (version !== 1)
    return broken('version', `The file is of version ${String(version).slice(0, 10)}; version 1 can be read.`)
  const problems: Problem[] = []
  const layer = readRecord({ ...fields, kind: 'layer', id: passing, standing: 'national' }, '', problems)
  const [first, ...rest] = problems.map(({ path, problem }) => ({ path: path.replace(/^\./, ''), problem }))
  if (first) return { ok: false, problems: [first, ...rest.slice(0, 49)] }
  if (layer?.kind !== 'layer') return broken('', 'The file does not contain a value set.')
  if (layer.family !== family)
    return broken(
      'family',
      `The value set is for ${familyOf(layer.family).name}, and the project uses ${familyOf(family).name}.`,
    )
  if (layer.name.trim() === '') return broken('name', 'The value set has no name.')
  const { name, values, tables, methods, uses } = layer
  return { ok: true, set: { name, values, tables, methods, uses } }
}

/** A set as a file that a person can copy, edit and load: keys in the order of their names. */
export function writeLayerFile(family: FamilyId, set: StandardLayer): string {
  const { name, values, tables, methods, uses } = embedded(family, set, passing)
  const body = {
    format: layerFormat,
    version: 1,
    family,
    name,
    values: sorted(values),
    tables: sorted(tables),
    methods: sorted(methods),
    uses: sorted(uses),
  }
  return `${JSON.stringify(body, null, 1)}\n`
}

const sorted = <T>(entries: Readonly<Record<string, T>>): Readonly<Record<string, T>> =>
  Object.fromEntries(Object.entries(entries).sort(([a], [b]) => (a < b ? -1 : 1)))

/** What a set is written from where none is in use: every value of the family, to be replaced one by one. */
export const templateSet = (family: FamilyId): StandardLayer => {
  const { recommended, uses } = familyOf(family)
  return { ...recommended, name: `${recommended.name}, project copy`, uses }
}
