/** A record as it was written by whichever version, before it is read. */
export type RawRecord = Readonly<Record<string, unknown>> & { readonly id: string; readonly kind: string }

/**
 * From one version of the format to the next. A step reads one record alone, so that it does the same to a list of records and to the
 * edits of a change; ids of records that it makes follow from the id of the one they are made of (`madeId`).
 */
export interface FormatStep {
  /** The version that it makes, of the one before. */
  readonly to: number
  readonly migrate: (record: RawRecord) => readonly RawRecord[]
}
