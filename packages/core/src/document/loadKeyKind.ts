import { nullable, number, oneOf, ref, text, withDefault } from './fields'

/** Hatches of load keys, by how their lines lie. Crossed lines are those of load that is not carried. */
export const hatches = [
  'rising',
  'falling',
  'level',
  'upright',
  'risingFine',
  'fallingFine',
  'levelFine',
  'uprightFine',
] as const
export type Hatch = (typeof hatches)[number]

/** What lies on a floor, and how it is shown. */
export const loadKey = {
  name: text(60),
  buildUp: nullable(ref('buildUp')),
  /** A row of the standard's table of imposed loads; which rows there are is the family's and its layers' matter. */
  use: nullable(text(60)),
  /** Typed instead of the value of the use. */
  imposed: nullable(number('pressure', { min: 0, max: 1e6 })),
  /** To what height goods are stored, where the use's load grows with it; null: its least value. */
  storageHeight: withDefault(nullable(number('length', { min: 0, max: 100 })), null),
  /** Whether it may be reduced for area or storeys: as the standard says of its use, or never. */
  reducible: withDefault(oneOf('byUse', 'never'), 'byUse'),
  /** How the allowance for movable partitions follows: from their weight, the least of the standard, or typed. */
  partitionRule: withDefault(oneOf('byWeight', 'least', 'typed'), 'byWeight'),
  /** Own weight of movable partitions per metre of wall; the allowance follows. */
  partitionWeight: nullable(number('lineLoad', { min: 0, max: 1e5 })),
  /** The allowance where it is typed. */
  partitionLoad: withDefault(nullable(number('pressure', { min: 0, max: 1e5 })), null),
  /** Counts for the mass of the level and loads nothing. */
  additionalSeismicMass: withDefault(nullable(number('pressure', { min: 0, max: 1e6 })), null),
  /** The part of the imposed load that counts for the mass; null: as the standard says. */
  massShare: withDefault(nullable(number('factor', { min: 0, max: 1 })), null),
  /** How it is hatched on plans; null: in the order of the keys that stand on the plan. */
  hatch: withDefault(nullable(oneOf(...hatches)), null),
  /** Stands before its name in the legend, and tells it from others of the same hatch. */
  code: withDefault(text(4), ''),
} as const

const stageLoad = nullable(number('pressure', { min: 0, max: 1e6 }))

/** What lies on the floors of a load key while they are built (EN 1991-1-6, 4.11.1, table 4.1). */
export const constructionStage = {
  key: ref('loadKey'),
  /** Self-weight of what stands there by then. */
  permanent: stageLoad,
  /** Working personnel, staff and visitors, with hand tools: Q_ca. */
  personnel: stageLoad,
  /** Materials and precast elements that can be moved: Q_cb. */
  storedMaterials: stageLoad,
  /** Formwork, scaffolding and machines, in place or movable: Q_cc and Q_cd. */
  equipment: stageLoad,
  /** Waste, and parts of the structure in temporary states: Q_ce and Q_cf. */
  other: stageLoad,
} as const
