import type { Point } from '../geometry/point'
import type { Quantity } from '../units/quantity'

/** What is wrong with a value, and where: `path` reads like `records.panel:abc.outline[2]`. */
export interface Problem {
  readonly path: string
  readonly problem: string
}

/** A record pointed at, and where in the field. */
export interface Reference {
  readonly path: string
  readonly id: string
}

/** The least and the greatest that a number may be; or what it must be more than. */
export interface Limits {
  readonly min?: number
  readonly max?: number
  readonly above?: number
}

/** One field of a record as data: from it come the TypeScript type, the reader and the JSON Schema. */
export interface Field<T> {
  readonly read: (value: unknown, path: string, problems: Problem[]) => T
  readonly schema: Readonly<Record<string, unknown>>
  /** The field may be absent; the value then taken. */
  readonly fallback?: T
  /** The records that a value points at, for the invariants. */
  references?(value: T): readonly Reference[]
  readonly quantity?: Quantity
  /** Of a number, in SI base units. */
  readonly limits?: Limits
  /** Of an object its field of a name, of a list that of its entries. */
  readonly inner?: (name: string) => Field<unknown> | undefined
}

export type TypeOf<F> = F extends Field<infer T> ? T : never

const describe = (value: unknown): string => {
  if (value === null) return 'null'
  if (Array.isArray(value)) return 'a list'
  if (typeof value === 'string') return `“${value.slice(0, 40)}”`
  return typeof value === 'number' ? String(value) : typeof value === 'object' ? 'an object' : typeof value
}

const note = (problems: Problem[], path: string, wanted: string, value: unknown): void => {
  problems.push({
    path,
    problem: `${wanted} is expected, not ${value === undefined ? 'nothing' : describe(value)}.`,
  })
}

const halfCharacter = /\p{Surrogate}/u

export const text = (limit = 200): Field<string> => ({
  schema: { type: 'string', maxLength: limit },
  read: (value, path, problems) => {
    if (typeof value !== 'string') note(problems, path, 'A text', value)
    else if (value.length > limit) problems.push({ path, problem: `The text is longer than ${limit} characters.` })
    else if (value.includes('\0'))
      problems.push({ path, problem: 'The text contains a NUL character, which is not allowed.' })
    else if (halfCharacter.test(value))
      problems.push({ path, problem: 'The text contains a lone surrogate, which cannot be written to a file.' })
    else return value
    return ''
  },
})

/** A number in SI base units, finite and within its limits. */
export const number = (quantity: Quantity, { min = -1e7, max = 1e7, above }: Limits = {}): Field<number> => ({
  quantity,
  limits: above === undefined ? { min, max } : { above, max },
  schema: { type: 'number', minimum: min, maximum: max, ...(above === undefined ? {} : { exclusiveMinimum: above }) },
  read: (value, path, problems) => {
    if (typeof value !== 'number' || !Number.isFinite(value)) note(problems, path, 'A finite number', value)
    else if (value < min || value > max || (above !== undefined && value <= above))
      problems.push({
        path,
        problem: `${value} is outside ${above === undefined ? `${min}` : `more than ${above}`} to ${max} (SI units).`,
      })
    else return value === 0 ? 0 : value
    return 0
  },
})

export const flag = (): Field<boolean> => ({
  schema: { type: 'boolean' },
  read: (value, path, problems) => {
    if (typeof value === 'boolean') return value
    note(problems, path, 'true or false', value)
    return false
  },
})

export const oneOf = <const T extends string>(...choices: readonly [T, ...T[]]): Field<T> => ({
  schema: { enum: choices },
  read: (value, path, problems) => {
    const found = choices.find((choice) => choice === value)
    if (found !== undefined) return found
    note(problems, path, `One of ${choices.join(', ')}`, value)
    return choices[0]
  },
})

/** A reference to another record, by id. */
export const ref = <const K extends string>(kind: K): Field<`${K}:${string}`> => ({
  references: (id) => [{ path: '', id }],
  schema: { type: 'string', pattern: `^${kind}:[0-9a-z]{12,40}$` },
  read: (value, path, problems) => {
    if (typeof value === 'string' && isId(value) && value.startsWith(`${kind}:`)) return value as `${K}:${string}`
    note(problems, path, `The id of a ${kind}`, value)
    return `${kind}:`
  },
})

const idPattern = /^[a-zA-Z]+:[0-9a-z]{12,40}$/
export const isId = (value: string): boolean => idPattern.test(value)

export const nullable = <T>(field: Field<T>): Field<T | null> => ({
  ...(field.references ? { references: (value) => (value === null ? [] : (field.references?.(value) ?? [])) } : {}),
  ...(field.quantity === undefined ? {} : { quantity: field.quantity }),
  ...(field.limits === undefined ? {} : { limits: field.limits }),
  ...(field.inner === undefined ? {} : { inner: field.inner }),
  schema: { anyOf: [field.schema, { type: 'null' }] },
  read: (value, path, problems) => (value === null ? null : field.read(value, path, problems)),
})

/** A field that older files may lack. */
export const withDefault = <T>(field: Field<T>, fallback: T): Field<T> => ({
  ...field,
  fallback,
  read: (value, path, problems) => (value === undefined ? fallback : field.read(value, path, problems)),
})

const below = (path: string, references: readonly Reference[] = []): readonly Reference[] =>
  references.map((reference) => ({ ...reference, path: path + reference.path }))

export const list = <T>(item: Field<T>, limit = 2000, least = 0): Field<readonly T[]> => ({
  ...(item.references
    ? { references: (values) => values.flatMap((value, i) => below(`[${i}]`, item.references?.(value))) }
    : {}),
  inner: () => item,
  schema: { type: 'array', items: item.schema, maxItems: limit, minItems: least },
  read: (value, path, problems) => {
    if (!Array.isArray(value)) {
      note(problems, path, 'A list', value)
      return []
    }
    if (value.length > limit || value.length < least) {
      problems.push({ path, problem: `The list has ${value.length} entries; ${least} to ${limit} are allowed.` })
      return []
    }
    return value.map((entry, index) => item.read(entry, `${path}[${index}]`, problems))
  },
})

/** A point of a plan in metres. */
export const point = (): Field<Point> => {
  const coordinate = number('length', { min: -1e6, max: 1e6 })
  return {
    schema: { type: 'array', items: coordinate.schema, minItems: 2, maxItems: 2 },
    read: (value, path, problems) => {
      if (!Array.isArray(value) || value.length !== 2) {
        note(problems, path, 'A point [x, y]', value)
        return [0, 0]
      }
      return [coordinate.read(value[0], `${path}[0]`, problems), coordinate.read(value[1], `${path}[1]`, problems)]
    },
  }
}

export type Fields = Readonly<Record<string, Field<unknown>>>
export type ObjectOf<F extends Fields> = { readonly [K in keyof F]: TypeOf<F[K]> }

const isPlainObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** An object with exactly these fields: unknown ones are refused, so that nothing is lost silently. */
export const object = <F extends Fields>(fields: F): Field<ObjectOf<F>> => ({
  inner: (name) => (Object.hasOwn(fields, name) ? fields[name] : undefined),
  references: (value) =>
    Object.entries(fields).flatMap(([name, field]) => below(`.${name}`, field.references?.(value[name]))),
  schema: {
    type: 'object',
    properties: Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, field.schema])),
    required: Object.keys(fields).filter((name) => fields[name]?.fallback === undefined),
    additionalProperties: false,
  },
  read: (value, path, problems) => {
    const source = isPlainObject(value) ? value : {}
    if (!isPlainObject(value)) note(problems, path, 'An object', value)
    for (const name of Object.keys(source))
      if (!Object.hasOwn(fields, name))
        problems.push({ path: `${path}.${name}`.slice(0, 300), problem: 'Unknown field.' })
    const entries = Object.entries(fields).map(([name, field]) => [
      name,
      field.read(own(source, name), `${path}.${name}`, problems),
    ])
    return Object.fromEntries(entries) as ObjectOf<F>
  },
})

const own = (source: Record<string, unknown>, name: string): unknown =>
  Object.hasOwn(source, name) ? source[name] : undefined

/** Values by name, as in a layer of parameters. */
export const dictionary = <T>(item: Field<T>, limit = 500): Field<Readonly<Record<string, T>>> => ({
  schema: { type: 'object', additionalProperties: item.schema, maxProperties: limit },
  read: (value, path, problems) => {
    if (!isPlainObject(value)) {
      note(problems, path, 'An object', value)
      return {}
    }
    const names = Object.keys(value)
    if (names.length > limit) problems.push({ path, problem: `More than ${limit} entries.` })
    const safe = names.filter((name) => {
      const allowed = /^[A-Za-z0-9_.+-]{1,80}$/.test(name) && name !== '__proto__'
      if (!allowed) problems.push({ path: `${path}.${name.slice(0, 80)}`, problem: 'This name is not allowed.' })
      return allowed
    })
    return Object.fromEntries(safe.map((name) => [name, item.read(value[name], `${path}.${name}`, problems)]))
  },
})
