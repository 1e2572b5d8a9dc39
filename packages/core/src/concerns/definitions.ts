import { recordIdOf } from '../document/labels'
import type { Document, Random } from '../document/document'
import { inWordsOf } from '../outcome/vocabulary'
import { own } from '../outcome/own'
import type { Concern, Severity } from '../outcome/outcome'
import { formatQuantity, type NumberFormat } from '../units/format'
import type { Quantity } from '../units/quantity'
import type { Definition, FieldKind, Mend, StepOfWork } from './definition'
import { ofDrawn } from './definitions/drawn'
import { ofLateral } from './definitions/lateral'
import { ofLoads } from './definitions/loads'
import { ofPanels } from './definitions/panels'
import { ofStandards } from './definitions/standards'
import { ofSupports } from './definitions/supports'
import { ofValues } from './definitions/values'
import { ofWind } from './definitions/wind'

/** Every concern by its code. */
export const definitions: Readonly<Record<string, Definition>> = {
  ...ofValues,
  ...ofDrawn,
  ...ofSupports,
  ...ofPanels,
  ...ofLoads,
  ...ofLateral,
  ...ofWind,
  ...ofStandards,
}

function definitionOf(code: string): Definition {
  const found = own(definitions, code)
  if (!found) throw new Error(`No definition of ${code}`)
  return found
}

export function severityOf({ code, data }: Pick<Concern, 'code' | 'data'>): Severity {
  const { severity } = definitionOf(code)
  return typeof severity === 'function' ? severity(data) : severity
}

/** The step at which a concern is mended. */
export function stepOfConcern(concern: Concern): StepOfWork {
  const { step } = definitionOf(concern.code)
  return typeof step === 'function' ? step(concern) : step
}

/** The sentence of a concern, with its figures in the units of the project, and how many more of its kind there are. */
export function concernSentence({ code, data, more = 0 }: Concern, format: NumberFormat): string {
  const { data: fields, sentence } = definitionOf(code)
  const text = (field: string, kind: FieldKind): string => {
    const value = data[field]
    if (kind === 'text' || kind === 'number' || value === undefined) return String(value ?? '')
    return formatQuantity(Number(value), kind === 'named' ? (data['quantity'] as Quantity) : kind, format)
  }
  const said = Object.fromEntries(Object.entries(fields).map(([field, kind]) => [field, text(field, kind)]))
  const words = sentence(said, data, (field, quantity) => formatQuantity(Number(data[field]), quantity, format))
  const whole = more > 0 ? `${words} There are ${more} more of this kind.` : words
  return inWordsOf(format.words, whole, Object.values(said))
}

/**
 * The changes that would resolve a concern, the most likely first; none where only a person can know what was meant.
 * The edits hold for the document that is given: they are made when they are asked for, not when the concern is found.
 */
export function mendsOf(document: Document, concern: Concern, format: NumberFormat, random: Random): readonly Mend[] {
  const records = concern.about.flatMap((id) => document.records.get(recordIdOf(id)) ?? [])
  return definitionOf(concern.code).mends?.({ document, data: concern.data, records, format, random }) ?? []
}
