import {
  kindNames,
  type Drawn,
  type GridLine,
  type Level,
  type LoadKey,
  type Material,
  type ReductionTable,
  type Section,
  type StoreyForces,
} from '@hedrion/core'
import { useEdit, useNote } from '../compute/useEdit'
import { useWords } from '../compute/useWords'
import { TextLine } from '../ui/TextLine'

type Named = LoadKey | Section | Material | Level | StoreyForces | ReductionTable
type Labelled = Drawn | GridLine

interface NameFieldProps {
  readonly record: Named | Labelled
  /** For a reader, where “Name of the …” would not tell which. */
  readonly label: string
  readonly maxLength?: number
}

const article = (noun: string): string => (/^[aeiou]/.test(noun) ? 'An' : 'A')

/** What a record is called: a name, or the label it has on the drawing. It is never empty. */
export function NameField({ record, label, maxLength = 40 }: NameFieldProps) {
  const edit = useEdit()
  const note = useNote()
  const inWords = useWords()
  const [field, value] = 'label' in record ? (['label', record.label] as const) : (['name', record.name] as const)
  const commit = (text: string): string | undefined => {
    const noun = inWords(kindNames[record.kind]).toLowerCase()
    if (text === '') return `${article(noun)} ${noun} must have a ${field}.`
    return edit.set(record, note.text(record, field, value, text), { [field]: text })
  }
  return <TextLine label={label} value={value} maxLength={maxLength} onCommit={commit} />
}
