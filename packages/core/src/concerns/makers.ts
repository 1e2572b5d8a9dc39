import { legsOf } from '../geometry/course'
import { footOn } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'
import type { Edit } from '../document/changes'
import { cutToEnd } from '../document/cut'
import { stageKindNames } from '../actions/keyLoads'
import { newId, recordsOf, type Document } from '../document/document'
import type { Rec, WallRun, WallSurface } from '../document/recordKinds'
import { freeLabel, isDrawn, withPoints } from '../editing/shaped'
import { withTyped } from '../editing/typedText'
import { deletionEdits } from '../editing/wallMake'
import type { Point } from '../geometry/point'
import { crossesItself } from '../geometry/polygon'
import type { Concern } from '../outcome/outcome'
import type { Maker, Mend } from './definition'
import { familyOf } from '../standards/families'
import { formatQuantity, type NumberFormat } from '../units/format'
import type { Quantity } from '../units/quantity'

const pointIn = (data: Concern['data']): Point => [Number(data['x']), Number(data['y'])]

export const edit = (before: Rec, after: Rec | null): Edit => ({ id: before.id, before, after })

export const deleted = (document: Document, record: Rec | undefined, name: string): readonly Mend[] =>
  isDrawn(record) ? [{ words: `Delete ${name}`, edits: deletionEdits(document, [record]) }] : []

/** What was typed for a field does not stand for another value. */
export const without = <R extends Rec>(record: R, path: string): R => withTyped(record, { path, text: undefined })

/** The record with the value that was meant in place of each one that is ten times off; null where it has none. */
function withMeant(record: Rec, field: string, value: number, meant: number): Rec | null {
  const own = (record as unknown as Readonly<Record<string, unknown>>)[field]
  if (own === value) return without({ ...record, [field]: meant }, field)
  if (record.kind === 'panel' && field === 'thickness' && record.slab?.thickness === value)
    return { ...record, slab: { ...record.slab, thickness: meant } }
  if (record.kind === 'wallSurface') return withPressure(record, value, meant)
  if (record.kind !== 'buildUp') return null
  const key = field as 'thickness' | 'unitWeight' | 'load'
  return record.layers.reduce((after, layer, i) => {
    const was = layer[key]
    if (was === null || Math.abs(was) !== value) return after
    const layers = after.layers.map((old, k) => (k === i ? { ...old, [key]: Math.sign(was) * meant } : old))
    return without({ ...after, layers }, `layers.${i}.${key}`)
  }, record)
}

/** At whichever end and in whichever pressure it was typed, with its sign. */
function withPressure(record: WallSurface, value: number, meant: number): Rec {
  const mended = (was: number) => (Math.abs(was) === value ? Math.sign(was) * meant : was)
  const pressures = record.pressures.map((one) => ({ ...one, top: mended(one.top), foot: mended(one.foot) }))
  return { ...record, pressures }
}

export const tenTimes: Maker = ({ records: [record], data, format }) => {
  const [value, meant] = [Number(data['value']), Number(data['meant'])]
  const after = record ? withMeant(record, String(data['field']), value, meant) : null
  if (!record || !after) return []
  return [
    { words: `Set to ${formatQuantity(meant, data['quantity'] as Quantity, format)}`, edits: [edit(record, after)] },
  ]
}

export const ownLabel: Maker = ({ document, records: [, second] }) => {
  if (!isDrawn(second)) return []
  const others = recordsOf(document, second.kind).flatMap((other) =>
    isDrawn(other) && other.layout === second.layout ? [other.label] : [],
  )
  const label = freeLabel(second.label, new Set(others))
  return [{ words: `Rename the second one ${label}`, edits: [edit(second, { ...second, label })] }]
}

/** Labels counted on from the highest that any member has: the columns stand on floors of several layouts. */
export const labelsOfTheirOwn: Maker = ({ document, records, data }) => {
  const headOf = (label: string) => label.replace(/\d+$/, '')
  const highest = new Map<string, number>()
  for (const { label } of recordsOf(document, 'member')) {
    const head = headOf(label)
    highest.set(head, Math.max(highest.get(head) ?? 0, Number(label.slice(head.length))))
  }
  const edits = records.flatMap((record) => {
    if (record.kind !== 'member') return []
    const head = headOf(record.label)
    const number = (highest.get(head) ?? 0) + 1
    highest.set(head, number)
    return [edit(record, { ...record, label: cutToEnd(`${head}${number}`, 40) })]
  })
  const [first, last] = [edits[0]?.after, edits.at(-1)?.after]
  if (first?.kind !== 'member' || last?.kind !== 'member') return []
  const words =
    edits.length === 1
      ? `Rename that of ${data['second']} ${first.label}`
      : `Rename those of ${data['second']} ${first.label} to ${last.label}`
  return [{ words, edits }]
}

/** Corners in the order in which one sees them from their middle: what a quadrilateral typed crosswise was meant to be. */
export const untangled: Maker = ({ records: [record] }) => {
  if (!isDrawn(record) || !('outline' in record)) return []
  const { outline } = record
  const middle = (axis: 0 | 1) => outline.reduce((sum, point) => sum + point[axis], 0) / outline.length
  const [x, y] = [middle(0), middle(1)]
  const bearing = (point: Point) => Math.atan2(point[1] - y, point[0] - x)
  const ring = [...outline].sort((a, b) => bearing(a) - bearing(b))
  if (crossesItself(ring)) return []
  return [{ words: 'Reorder its corners', edits: [edit(record, withPoints(record, ring))] }]
}

export const fixedEnd: Maker = ({ records: [record], data: { end } }) => {
  if (record?.kind !== 'member' || (end !== 'start' && end !== 'end')) return []
  const field = end === 'start' ? 'startRelease' : 'endRelease'
  return [{ words: `Fix its ${end}`, edits: [edit(record, { ...record, [field]: 'fixed' })] }]
}

/** The end moves onto what it just missed. */
export const metEnd: Maker = ({ records: [record], data }) => {
  if (record?.kind !== 'member') return []
  const at = pointIn(data)
  const path = data['end'] === 'start' ? [at, ...record.path.slice(1)] : [...record.path.slice(0, -1), at]
  return [{ words: `Move its ${data['end']} onto ${data['other']}`, edits: [edit(record, { ...record, path })] }]
}

/** One of two crossing beams becomes two, which end on the other. */
export const splitAt: Maker = ({ document, records: [first, second], data, random }) => {
  const at = pointIn(data)
  const split = (record: Rec | undefined, on: string | number | undefined): readonly Mend[] => {
    if (record?.kind !== 'member') return []
    const legs = legsOf(record.path)
    const k = legs.findIndex(({ a, b }) => footOn(a, b, at, onLine) !== undefined)
    const [start, end] = [record.path[0], record.path.at(-1)]
    if (k < 0 || !start || !end) return []
    const before = legs.slice(0, k).map(({ b }) => b)
    const after = legs.slice(k, -1).map(({ b }) => b)
    const others = recordsOf(document, 'member').filter(({ layout }) => layout === record.layout)
    const label = freeLabel(record.label, new Set(others.map((other) => other.label)))
    const rest = { ...record, id: newId('member', random), origin: record.id, label, path: [at, ...after, end] }
    const edits = [
      edit(record, { ...record, path: [start, ...before, at], endRelease: 'pinned' }),
      { id: rest.id, before: null, after: { ...rest, startRelease: 'pinned' as const } },
    ]
    return [{ words: `Split ${record.label} at ${on}`, edits }]
  }
  return [...split(first, data['b']), ...split(second, data['a'])]
}

export const emptied: Maker = ({ document, records: [record] }) => {
  if (record?.kind !== 'layout') return []
  const held = [...document.records.values()].filter((other) => 'layout' in other && other.layout === record.id)
  const words = `Delete it with the ${held.length === 1 ? 'one object' : `${held.length} objects`} it holds`
  return [{ words, edits: [...held, record].map((gone) => edit(gone, null)) }]
}

export const weighedOnce: Maker = ({ records: [record], data }) => {
  if (record?.kind !== 'buildUp') return []
  const layers = record.layers.filter(
    ({ name, thickness }) => name !== data['layer'] || thickness !== data['thickness'],
  )
  // texts of layers go by their number, so they go with them
  const { typed: _, ...bare } = record
  return [{ words: `Remove ${data['layer']} from the build-up`, edits: [edit(record, { ...bare, layers })] }]
}

export const wallRule =
  (words: (format: NumberFormat) => string, fields: Partial<WallRun>): Maker =>
  ({ records: [record], format }) =>
    record?.kind === 'wallRun' ? [{ words: words(format), edits: [edit(record, { ...record, ...fields })] }] : []

/** A parapet that keeps people from falling (common practice). */
export const parapet = 1

export const firstUse: Maker = ({ document, records: [record], data: { level } }) => {
  const layout = record?.kind === 'panel' ? document.records.get(record.layout) : undefined
  if (layout?.kind !== 'layout' || layout.defaultKey !== null) return []
  const on = recordsOf(document, 'patch').filter((patch) => patch.layout === layout.id)
  return recordsOf(document, 'loadKey')
    .filter(({ id, imposed, use }) => use !== null && imposed !== 0 && on.some(({ key }) => key === id))
    .map((key) => ({
      words: `Make “${key.name}” the default of level ${level}`,
      edits: [edit(layout, { ...layout, defaultKey: key.id })],
    }))
}

/** What a layer gives and is not used. */
export const takenOut =
  (part: 'values' | 'tables' | 'methods' | 'uses'): Maker =>
  ({ document, data }) => {
    const key = String(data['key'])
    return recordsOf(document, 'layer')
      .filter((layer) => layer.name === data['layer'] && key in layer[part])
      .map((layer) => {
        const { [key]: _, ...others } = layer[part] as Readonly<Record<string, unknown>>
        return { words: 'Remove it from the value set', edits: [edit(layer, { ...layer, [part]: others })] }
      })
  }

/** The allowance that the standard asks for, where its family has one. */
export const leastAllowance: Maker = ({ document, records: [record] }) => {
  const family = recordsOf(document, 'basis')[0]?.family ?? 'EN'
  if (record?.kind !== 'loadKey' || !familyOf(family).partitionRules.includes('least')) return []
  return [{ words: 'Use the standard’s minimum', edits: [edit(record, { ...record, partitionRule: 'least' })] }]
}

/** The load of the finished floor also while it is built. */
export const asInUse: Maker = ({ records, data, format }) => {
  const stage = records.find((record) => record?.kind === 'constructionStage')
  if (stage?.kind !== 'constructionStage') return []
  const final = Number(data['final'])
  const fields = data['what'] === 'permanent' ? (['permanent'] as const) : stageKindNames
  const sum = fields.reduce((total, field) => total + (stage[field] ?? 0), 0)
  // what is stated keeps its parts of the whole
  const after = fields.reduce(
    (made, field) => without({ ...made, [field]: made[field] === null ? null : (made[field] * final) / sum }, field),
    stage,
  )
  return [{ words: `Set to ${formatQuantity(final, 'pressure', format)}`, edits: [edit(stage, after)] }]
}

/** Deletes the record, which the data call by its label. */
export const itDeleted =
  (name: string): Maker =>
  ({ document, records: [record], data }) =>
    deleted(document, record, `${name} ${data['label']}`)

/** Deletes one of the two records that the data call a and b, whichever the person chooses. */
export const eitherDeleted =
  (name: string): Maker =>
  ({ document, records: [a, b], data }) => [
    ...deleted(document, a, `${name} ${data['a']}`),
    ...deleted(document, b, `${name} ${data['b']}`),
  ]

/** A record of a kind with some fields set. */
export const withFields =
  <K extends Rec['kind']>(
    kind: K,
    words: string,
    fields: (record: Extract<Rec, { kind: K }>, document: Document) => Rec,
  ): Maker =>
  ({ document, records: [record] }) =>
    record?.kind === kind
      ? [{ words, edits: [edit(record, fields(record as Extract<Rec, { kind: K }>, document))] }]
      : []
