import { barrierKey, type LayerValue, type ParameterMeaning } from './family'
import { remembered } from './tabled'

/** A row of a table of horizontal loads on barriers: what it asks for, and the uses of floors that it is for. */
export interface BarrierRow {
  /** In the units of the table. */
  readonly value: number
  readonly clause: string
  readonly uses: readonly string[]
}

/** Values by use; a use in no row has none, and its barriers are typed. */
export const barrierValues = (rows: readonly BarrierRow[], unit: number): Readonly<Record<string, LayerValue>> =>
  Object.fromEntries(
    rows.flatMap(({ value, clause, uses }) =>
      uses.map((use) => [barrierKey(use), remembered(value * unit, clause)] as const),
    ),
  )

/** Highest place where the load is applied, m above the floor; a family without it applies the load at the top. */
export const highestPlace = 'barrier.z_max'

export const highestPlaceMeaning: Readonly<Record<string, ParameterMeaning>> = {
  [highestPlace]: {
    symbol: 'z_max',
    quantity: 'length',
    name: 'maximum height of the barrier load',
    min: 0.5,
    max: 3,
  },
}
