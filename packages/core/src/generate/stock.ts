import { newId, type Random } from '../document/document'
import type { Material, Section } from '../document/recordKinds'
import { rolledSection } from '../editing/sectionText'
import { rolledShapes } from '../standards/stock/shapes/rolledSections'

/** Structural steel: 78.5 kN/m³, the upper of 77.0 to 78.5 (EN 1991-1-1 table A.4, from memory); E of EN 1993-1-1, 3.2.6. */
export const steel = (random: Random): Material => ({
  kind: 'material',
  id: newId('material', random),
  name: 'Structural steel',
  unitWeight: 78_500,
  elasticModulus: 210e9,
  source: 'EN 1991-1-1 table A.4, from memory',
})

/** Normal weight concrete: 24 kN/m³ (EN 1991-1-1 table A.1, from memory); E of C30/37 in EN 1992-1-1 table 3.1. */
export const concrete = (random: Random): Material => ({
  kind: 'material',
  id: newId('material', random),
  name: 'Concrete',
  unitWeight: 24_000,
  elasticModulus: 33e9,
  source: 'EN 1991-1-1 table A.1, from memory',
})

/** A depth of about a twentieth of the span is what one starts with (common practice); marked as assumed. */
export function assumedBeam(span: number, random: Random): Section {
  const name = usual.find((wanted) => (rolledShapes.get(wanted)?.depth ?? 0) >= span / 20) ?? 'IPE 600'
  return rolledSection(name, random, true)
}

/** What a stockholder has on the shelf (common practice). */
const usual = ['IPE 240', 'IPE 300', 'IPE 360', 'IPE 400', 'IPE 450', 'IPE 500', 'IPE 600']
