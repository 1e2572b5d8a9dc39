import { newId, type Random } from '../document/document'
import type { Material, Section } from '../document/recordKinds'
import { rolledSection } from '../editing/sectionText'
import type { FamilyId } from '../standards/family'
import { stockSections } from '../standards/stock/sections'
import { weightOf } from '../standards/stock/unitWeights'

interface Weighed {
  readonly steel: string
  readonly concrete: string
}

/** Rows of the table of unit weights that a family has. */
const weighedAs: Readonly<Record<FamilyId, Weighed>> = {
  EN: { steel: 'steel', concrete: 'normal weight concrete' },
  BS: { steel: 'steel, BS', concrete: 'reinforced concrete, 2 % steel, BS' },
  IS: { steel: 'steel, rolled', concrete: 'reinforced cement concrete, 2 % steel' },
  ASCE: { steel: 'steel, cold-drawn', concrete: 'concrete, reinforced, stone' },
}

/** Structural steel by the table of the family, of a range the upper value; E of EN 1993-1-1, 3.2.6. */
export const steel = (family: FamilyId, random: Random): Material => ({
  kind: 'material',
  id: newId('material', random),
  name: 'Structural steel',
  elasticModulus: 210e9,
  ...weightOf(weighedAs[family].steel),
})

/** Concrete of normal weight by the table of the family; E of C30/37 in EN 1992-1-1 table 3.1. */
export const concrete = (family: FamilyId, random: Random): Material => ({
  kind: 'material',
  id: newId('material', random),
  name: 'Concrete',
  elasticModulus: 33e9,
  ...weightOf(weighedAs[family].concrete),
})

/** What a stockholder where a family is in use has on the shelf (common practice). */
interface Shelf {
  /** By rising depth. */
  readonly beams: readonly string[]
  /** Of a few storeys or a small hall, and of more. */
  readonly columns: readonly [light: string, heavy: string]
  readonly hallColumns: readonly [light: string, heavy: string]
  readonly purlins: readonly [light: string, heavy: string]
}

const european: Shelf = {
  beams: ['IPE 240', 'IPE 300', 'IPE 360', 'IPE 400', 'IPE 450', 'IPE 500', 'IPE 600'],
  columns: ['HEB 240', 'HEB 300'],
  hallColumns: ['HEB 200', 'HEB 240'],
  purlins: ['IPE 160', 'IPE 180'],
}

const shelves: Readonly<Record<FamilyId, Shelf>> = {
  EN: european,
  IS: european,
  BS: {
    beams: [
      ...['UB 254x146x31', 'UB 305x165x40', 'UB 356x171x51', 'UB 406x178x60', 'UB 457x191x67'],
      ...['UB 533x210x82', 'UB 610x229x101'],
    ],
    columns: ['UC 254x254x73', 'UC 305x305x118'],
    hallColumns: ['UC 203x203x60', 'UC 254x254x73'],
    purlins: ['UB 152x89x16', 'UB 178x102x19'],
  },
  ASCE: {
    beams: ['W10x22', 'W12x26', 'W14x30', 'W16x36', 'W18x50', 'W21x62', 'W24x76'],
    columns: ['W10x54', 'W12x79'],
    hallColumns: ['W8x40', 'W10x54'],
    purlins: ['W6x12', 'W8x15'],
  },
}

/** A depth of about a twentieth of the span is what one starts with (common practice); marked as assumed. */
export function assumedBeam(span: number, family: FamilyId, random: Random): Section {
  const { beams } = shelves[family]
  const name = beams.find((wanted) => (stockSections.get(wanted)?.depth ?? 0) >= span / 20) ?? beams.at(-1) ?? ''
  return rolledSection(name, random, true)
}

/** A column, hall column or purlin to begin with; marked as assumed. */
export const assumedOf = (
  what: 'columns' | 'hallColumns' | 'purlins',
  heavy: boolean,
  family: FamilyId,
  random: Random,
): Section => rolledSection(shelves[family][what][heavy ? 1 : 0], random, true)
