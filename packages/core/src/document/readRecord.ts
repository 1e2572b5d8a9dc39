import { dictionary, isId, object, text, type Fields, type Problem } from './fields'
import { isKind, recordKinds, type Kind, type Rec } from './recordKinds'

const readers = new Map(
  Object.entries(recordKinds).map(([kind, fields]) => [kind as Kind, object(fields as Fields)] as const),
)

/** What a person typed, by the path of the field. */
const typedTexts = dictionary(text(80), 200)

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** Reads one record from untrusted data; problems carry the path. Answers null where there is any. */
export function readRecord(value: unknown, path: string, problems: Problem[]): Rec | null {
  const before = problems.length
  if (!isObject(value)) {
    problems.push({ path, problem: 'A record is expected.' })
    return null
  }
  const { kind, id, origin, typed, ...rest } = value
  const reader = isKind(kind) ? readers.get(kind) : undefined
  if (!reader) {
    const shown = typeof kind === 'string' ? kind.slice(0, 40) : typeof kind
    problems.push({ path: `${path}.kind`, problem: `“${shown}” is not a record kind of this version.` })
    return null
  }
  if (typeof id !== 'string' || !isId(id) || !id.startsWith(`${String(kind)}:`))
    problems.push({ path: `${path}.id`, problem: `An id such as ${String(kind)}:0123456789ab is expected.` })
  const extras = {
    ...(origin === undefined ? {} : { origin: text(80).read(origin, `${path}.origin`, problems) }),
    ...(typed === undefined ? {} : { typed: typedTexts.read(typed, `${path}.typed`, problems) }),
  }
  const body = reader.read(rest, path, problems)
  return problems.length > before ? null : ({ kind, id, ...extras, ...body } as unknown as Rec)
}

/** JSON Schema of one kind of record (draft 2020-12). */
export function recordSchema(kind: Kind): Readonly<Record<string, unknown>> {
  const body = object(recordKinds[kind] as Fields).schema as { properties: object; required: readonly string[] }
  return {
    ...body,
    properties: {
      kind: { const: kind },
      id: { type: 'string', pattern: `^${kind}:[0-9a-z]{12,40}$` },
      origin: { type: 'string', maxLength: 80 },
      typed: typedTexts.schema,
      ...body.properties,
    },
    required: ['kind', 'id', ...body.required],
  }
}
