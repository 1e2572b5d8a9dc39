import type { Traced } from '../trace/traced'
import type { Standard } from './layer'

export type TerrainCategory = '0' | 'I' | 'II' | 'III' | 'IV'

export interface WindSite {
  /** Basic wind velocity of the site, as the family means it. */
  readonly v_b0: Traced<'velocity'>
  readonly terrain: TerrainCategory
}

/** How a family gets the pressure of the wind from the velocity of the site, and what it calls things. */
export interface PressureRule {
  /** As a label has it: qp, pd, qz. */
  readonly mark: string
  /** “Peak velocity pressure”. */
  readonly name: string
  /** Its symbol, what it is the velocity of, and where the standard says so. */
  readonly velocity: { readonly symbol: string; readonly says: string; readonly clause: string }
  readonly terrainClause: string
  /** The terrains that it tells apart, each by the project's. */
  readonly terrains: readonly (readonly [TerrainCategory, string])[]
  /** The project's terrain as one of them. */
  readonly terrainOf: (terrain: TerrainCategory) => TerrainCategory
  /** The row of the standard's table that a terrain of the project reads. */
  readonly rowOf: (terrain: TerrainCategory) => string
  /** At a height above ground; null where the standard has none so high. */
  readonly at: (height: number, site: WindSite, standard: Standard) => Traced<'pressure'> | null
}
