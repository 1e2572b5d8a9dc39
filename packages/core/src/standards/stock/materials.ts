import { capitalized } from '../../outcome/letters'
import { weightOf } from './unitWeights'

/** What members and slabs are made of: unit weight in N/m³ and where it comes from, modulus of elasticity in Pa. */
export interface StockMaterial {
  readonly name: string
  readonly unitWeight: number
  readonly elasticModulus: number
  readonly source: string
}

/** EN 1992-1-1, table 3.1: E_cm in GPa. From memory. */
const concretes: Readonly<Record<string, number>> = {
  'C12/15': 27,
  'C16/20': 29,
  'C20/25': 30,
  'C25/30': 31,
  'C30/37': 33,
  'C35/45': 34,
  'C40/50': 35,
  'C45/55': 36,
  'C50/60': 37,
  'C55/67': 38,
  'C60/75': 39,
  'C70/85': 41,
  'C80/95': 42,
  'C90/105': 44,
}

/** EN 338:2016, table 1, and EN 14080:2013, tables 4 and 5: E_0,mean in GPa. From memory. */
const timbers: Readonly<Record<string, number>> = {
  'timber C14': 7,
  'timber C16': 8,
  'timber C18': 9,
  'timber C22': 10,
  'timber C24': 11,
  'timber C27': 11.5,
  'timber C30': 12,
  'timber C35': 13,
  'timber C40': 14,
  'timber D30': 11,
  'timber D35': 12,
  'timber D40': 13,
  'timber D50': 14,
  'timber D60': 17,
  'timber D70': 20,
  'glued laminated timber GL24h': 11.5,
  'glued laminated timber GL28h': 12.6,
  'glued laminated timber GL32h': 14.2,
  'glued laminated timber GL24c': 11,
  'glued laminated timber GL28c': 12.5,
  'glued laminated timber GL32c': 13.5,
}

/**
 * Masonry in mortar M5 of units of usual strength: E = 1000 f_k (EN 1996-1-1, 3.7.2(2)) in GPa, where f_k = K f_b^0.7 f_m^0.3
 * (3.6.1.2, K = 0.55 of table 3.3, 0.45 of lightweight concrete units) for f_b of 20, 15, 10, 10, 50, 10, 10 and 5 N/mm².
 * EN 1991-1-1 leaves its weight to EN 771: it stands in ASCE 7 and IS 875-1. From memory.
 */
const masonries: readonly (readonly [name: string, weighedAs: string, E: number])[] = [
  ['Masonry of hard clay bricks', 'brick, hard', 7.3],
  ['Masonry of medium clay bricks', 'brick, medium', 5.9],
  ['Masonry of soft clay bricks', 'brick, soft', 4.5],
  ['Masonry of common burnt clay bricks', 'brick masonry, common burnt clay bricks', 4.5],
  ['Masonry of engineering bricks', 'brick masonry, engineering bricks', 13.8],
  ['Masonry of normal-weight concrete units', 'concrete masonry, normal-weight units', 4.5],
  ['Masonry of medium-weight concrete units', 'concrete masonry, medium-weight units', 4.5],
  ['Masonry of lightweight concrete units', 'concrete masonry, lightweight units', 2.3],
]

/** Moduli of steel and aluminium: EN 1993-1-1, 3.2.6 and EN 1999-1-1, 3.2.5. From memory. */
export const stockMaterials: readonly StockMaterial[] = [
  { name: 'Structural steel', ...weightOf('steel'), elasticModulus: 210e9 },
  ...Object.entries(concretes).map(([name, E]) => ({
    name: `Reinforced concrete ${name}`,
    ...weightOf('reinforced concrete'),
    elasticModulus: E * 1e9,
  })),
  ...Object.entries(timbers).map(([name, E]) => ({
    name: capitalized(name),
    ...weightOf(name),
    elasticModulus: E * 1e9,
  })),
  ...masonries.map(([name, weighedAs, E]) => ({ name, ...weightOf(weighedAs), elasticModulus: E * 1e9 })),
  { name: 'Aluminium', ...weightOf('aluminium'), elasticModulus: 70e9 },
]
