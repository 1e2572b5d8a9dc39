import type { Rec } from '@hedrion/core'
import type { ChoiceProps } from '../ui/Choice'
import { useEdit, useNote } from '../compute/useEdit'
import { severalWord, shared, wordOf } from './several'

type WordKeys<R> = { [K in keyof R]: R[K] extends string | null ? K : never }[keyof R] & string

interface ChoiceOptions {
  readonly label: string
  readonly options: ChoiceProps<string>['options']
  /** The option that stands for having none. */
  readonly none?: string
  /** How the history says a value; as the options have it where nothing else is said. */
  readonly saidAs?: (value: string) => string
  /** Stands in place of a value that is not among the options. */
  readonly unknown?: (value: string) => string
}

/** The props of a choice for one word of a record, or of several that are edited as one: label, value, and the change it makes. */
export function useChoiceOf() {
  const edit = useEdit()
  const note = useNote()
  return <R extends Rec>(
    of: R | readonly R[],
    key: WordKeys<R>,
    name: string,
    { label, options, none, saidAs, unknown }: ChoiceOptions,
  ): ChoiceProps<string> => {
    const records: readonly R[] = 'kind' in of ? [of] : of
    const value = shared(records.map((record) => (record[key] as string | null) ?? none ?? null))
    const word = saidAs ?? ((id: string) => wordOf(options, id))
    return {
      label,
      options,
      value,
      placeholder: value === null ? severalWord : (unknown?.(value) ?? severalWord),
      onChange: (next) =>
        edit.setEach(
          records,
          note.text(records, name, value === null ? severalWord : word(value), word(next)),
          () => ({ [key]: next === none ? null : next }) as Partial<R>,
        ),
    }
  }
}
