import { formatQuantity, numberField, type NumberFormat, type Rec } from '@hedrion/core'
import type { QuantityFieldProps } from '../ui/QuantityField'
import { useFormat } from '../compute/SessionContext'
import { useEdit, useNote } from '../compute/useEdit'
import { setDraft } from './draftStore'
import { lights } from './litStore'
import { severalWord, shared } from './several'

type NumberKeys<R> = { [K in keyof R]: R[K] extends number | null ? K : never }[keyof R] & string

interface FieldOptions {
  /** Where the screen allows less than the format. */
  readonly min?: number
  readonly max?: number
  readonly optional?: boolean
  readonly placeholder?: string
  readonly unit?: boolean
  /** The table that the value came from does not stand for a typed one. */
  readonly forgetsSource?: boolean
}

/**
 * The props of a quantity field for one number of a record, or of several that are edited as one: label, value, what
 * was typed, and the change it makes.
 */
export function useFieldOf() {
  const format: NumberFormat = useFormat()
  const edit = useEdit()
  const note = useNote()
  return <R extends Rec>(
    of: R | readonly R[],
    key: NumberKeys<R>,
    name: string,
    { forgetsSource = false, ...options }: FieldOptions = {},
  ): QuantityFieldProps => {
    const records: readonly R[] = 'kind' in of ? [of] : of
    const [first] = records
    if (!first) throw new Error('A field of no record')
    const { quantity, ...limits } = numberField(first.kind, key)
    const values = records.map((record) => record[key] as number | null)
    const differ = values.some((value) => value !== values[0])
    return {
      label: name,
      quantity,
      ...limits,
      format,
      value: shared(values),
      typed: shared(records.map(({ typed }) => typed?.[key])) ?? undefined,
      ...options,
      ...(differ ? { placeholder: severalWord } : {}),
      onFocusChange: lights(
        records.map(({ id }) => id),
        key,
      ),
      onDraft: (next) =>
        setDraft(
          next === undefined
            ? null
            : records.map((before) => ({ id: before.id, before, after: { ...before, [key]: next } })),
        ),
      onCommit: (next, typed) =>
        edit.setEach(
          records,
          differ
            ? note.text(records, name, severalWord, next === null ? 'none' : formatQuantity(next, quantity, format))
            : note.value(records, name, quantity, values[0] ?? null, next),
          () => ({ [key]: next, ...(forgetsSource ? { source: '' } : {}) }) as Partial<R>,
          { path: key, text: typed },
        ),
    }
  }
}
