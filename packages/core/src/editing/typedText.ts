import type { Rec } from '../document/recordKinds'

/** What a person typed for a field, by its path; nothing for a plain number. */
export interface TypedText {
  readonly path: string
  readonly text: string | undefined
}

/** Keeps the typed text beside the value, or takes an old one away. */
export function withTyped<R extends Rec>(record: R, typed: TypedText | undefined): R {
  if (!typed) return record
  const { [typed.path]: _, ...others } = record.typed ?? {}
  const texts = typed.text === undefined ? others : { ...others, [typed.path]: typed.text }
  const { typed: __, ...bare } = record
  return (Object.keys(texts).length === 0 ? bare : { ...bare, typed: texts }) as R
}
