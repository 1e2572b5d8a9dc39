/** A row of a table of weights: one value, or a range where the material varies; N/m³ of volume, N/m² of area. */
export interface TabledWeight {
  readonly name: string
  readonly group: string
  readonly per: 'volume' | 'area'
  readonly from: number
  readonly to: number
  readonly clause: string
  readonly fromMemory: boolean
}

/** Values of a table by the names of its rows, in the unit of the print. */
export type Rows = Readonly<Record<string, number | readonly [from: number, to: number]>>

/** A table of a standard, or a part of it under one heading. */
export type TableOfWeights = readonly [table: string, group: string, rows: Rows]

/** Rows under a heading as records, times the unit of the print in N/m³ or N/m². */
export const expandRows = (
  [clause, group, rows]: TableOfWeights,
  per: TabledWeight['per'],
  unit: number,
): readonly TabledWeight[] =>
  Object.entries(rows).map(([name, value]): TabledWeight => {
    const [from, to] = typeof value === 'number' ? [value, value] : value
    return { name, group, per, from: from * unit, to: to * unit, clause, fromMemory: true }
  })
