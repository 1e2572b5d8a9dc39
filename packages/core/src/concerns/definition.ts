import type { Document, Random } from '../document/document'
import type { Rec } from '../document/recordKinds'
import type { Concern, Severity } from '../outcome/outcome'
import type { NumberFormat } from '../units/format'
import type { Quantity } from '../units/quantity'
import type { Edit } from '../document/changes'

/** The steps of the work, in their order; a concern is mended at one of them. */
export const stepsOfWork = ['basis', 'building', 'actions', 'paths', 'combinations', 'envelopes', 'handover'] as const
export type StepOfWork = (typeof stepsOfWork)[number]

/**
 * What a figure of a concern is: a text, a plain number, a quantity that is shown in the units of the project, or one of the quantity that
 * the data name (`quantity`).
 */
export type FieldKind = 'text' | 'number' | Quantity | 'named'
export type Fields = Readonly<Record<string, FieldKind>>

/** A change that resolves a concern in one step, with the words of its outcome. */
export interface Mend {
  readonly words: string
  readonly edits: readonly Edit[]
}

export interface Subject {
  readonly document: Document
  readonly data: Concern['data']
  /** The records that the concern is about, as far as they exist. */
  readonly records: readonly Rec[]
  readonly format: NumberFormat
  readonly random: Random
}

export type Maker = (subject: Subject) => readonly Mend[]

/** A number of the data as a quantity. */
export type Show = (field: string, quantity: Quantity) => string

/**
 * A concern, whole: how severe it is, what it holds, where it is mended, and what is said. Whoever finds it knows its code and its data
 * alone (`Concern`).
 */
export interface Definition<F extends Fields = Fields> {
  readonly severity: Severity | ((data: Concern['data']) => Severity)
  readonly step: StepOfWork | ((concern: Concern) => StepOfWork)
  /** Every field of the data; what is marked so may be missing. */
  readonly data: F
  readonly optional?: readonly (keyof F & string)[]
  /** One sentence on the object, its level, the fault and the figures; then one imperative. */
  readonly sentence: (said: { readonly [K in keyof F]: string }, data: Concern['data'], show: Show) => string
  /** Changes that would resolve it, the most likely first. */
  readonly mends?: Maker
}

/** Definitions with the fields of each held to its sentence. */
export const define = <F extends Fields>(definition: Definition<F>): Definition => definition as unknown as Definition
