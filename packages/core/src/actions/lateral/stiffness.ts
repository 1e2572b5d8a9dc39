import type { Basis, Material, Section, StiffElement } from '../../document/recordKinds'
import { formula } from '../../trace/formula'
import { given, type Traced } from '../../trace/traced'

/** A wall that bends between two floors which hold its ends: 12 E I / h³ with I = t L³ / 12. */
export const wallBending = formula({
  symbol: 'k',
  quantity: 'stiffness',
  clause: 'EN 1992-1-1 I.2(1): walls share by E I; 12 E I / h³ in a storey',
  inputs: { E: 'pressure', t: 'smallLength', L: 'length', h: 'length' },
  expression: '12 * E * (t * L ^ 3 / 12) / h ^ 3',
  evaluate: ({ E, t, L, h }) => (12 * E * ((t * L ** 3) / 12)) / h ** 3,
})

/** The same wall with its shear: G = 0.4 E, and 1.2 for the shape of a rectangle. */
export const wallBendingAndShear = formula({
  symbol: 'k',
  quantity: 'stiffness',
  clause: 'common practice: a pier held at both ends, G = 0.4 E',
  inputs: { E: 'pressure', t: 'smallLength', L: 'length', h: 'length' },
  expression: 'E * t / ((h / L) ^ 3 + 3 * h / L)',
  evaluate: ({ E, t, L, h }) => (E * t) / ((h / L) ** 3 + (3 * h) / L),
})

/** A bay with diagonals that lengthen; what stands and lies round them counts as rigid. */
export const bracedBay = formula({
  symbol: 'k',
  quantity: 'stiffness',
  clause: 'common practice: E A cos² / length of a diagonal that acts',
  inputs: { n: 'count', E: 'pressure', A: 'sectionArea', L: 'length', h: 'length' },
  expression: 'n * E * A * L ^ 2 / (L ^ 2 + h ^ 2) ^ 1.5',
  evaluate: ({ n, E, A, L, h }) => (n * E * A * L ** 2) / (L ** 2 + h ** 2) ** 1.5,
})

export interface StiffParts {
  readonly material: Material
  /** Of the diagonals. */
  readonly section: Section | undefined
  /** In plan, m. */
  readonly length: number
  readonly storeyHeight: number
  readonly walls: Basis['wallStiffness']
}

/** Force per drift of one storey along the element, N/m; null for a braced bay whose diagonal has no section. */
export function storeyStiffness(element: StiffElement, parts: StiffParts): Traced<'stiffness'> | null {
  const { label, sort, stiffness, thickness, diagonals } = element
  const { material, section, storeyHeight } = parts
  if (sort === 'given') return given('k', 'stiffness', stiffness, `entered for ${label}`)
  const E = given('E', 'pressure', material.elasticModulus, `material ${material.name}`)
  const L = given('L', 'length', parts.length, `length of ${label} in plan`)
  const h = given('h', 'length', storeyHeight, 'height of the storey')
  if (sort === 'wall') {
    const t = given('t', 'smallLength', thickness, `thickness of ${label}`)
    return (parts.walls === 'bending' ? wallBending : wallBendingAndShear)({ E, t, L, h })
  }
  if (!section) return null
  const n = given('n', 'count', diagonals, `diagonals of ${label} active at a time`)
  const A = given('A', 'sectionArea', section.area, `section ${section.name}`)
  return bracedBay({ n, E, A, L, h })
}
