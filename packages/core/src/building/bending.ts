import type { MaterialElastic, SectionBending, TrussShape } from '../document/shapes'

/** Radius of gyration of rolled shapes about their strong axis, as a part of the depth (common practice; IPE 300 has 0.415). */
const rolledRadius = { H: 0.42, channel: 0.39, angle: 0.31 } as const

/**
 * Second moment of area about the strong axis, m⁴: of rectangles, circles, tubes and pipes from their dimensions; of rolled shapes
 * from area and depth, within some 8 %; of others as a rectangle of that area and depth.
 */
export function secondMoment({ shape, area, depth: h, width: b }: Omit<SectionBending, 'id'>): number {
  switch (shape) {
    case 'circle':
      return (Math.PI * h ** 4) / 64
    case 'pipe': {
      const inner = Math.sqrt(Math.max(0, h * h - (4 * area) / Math.PI))
      return (Math.PI * (h ** 4 - inner ** 4)) / 64
    }
    case 'tube': {
      // area = 2 t (b + h) - 4 t²
      const t = (b + h - Math.sqrt(Math.max(0, (b + h) ** 2 - 4 * area))) / 4
      return (b * h ** 3 - (b - 2 * t) * (h - 2 * t) ** 3) / 12
    }
    case 'H':
    case 'channel':
    case 'angle':
      return area * (rolledRadius[shape] * h) ** 2
    case 'rectangle':
    case 'own':
      return (area * h * h) / 12
  }
}

/** Second moment of two chords at a distance, m⁴ (Steiner; their web does not bend). */
export const chordsMoment = (top: number, bottom: number, distance: number): number =>
  ((top * bottom) / (top + bottom)) * distance ** 2

export interface BendingStock {
  readonly section: SectionBending | undefined
  readonly material: MaterialElastic | undefined
  readonly truss: TrussShape['truss']
  readonly bottom: SectionBending | undefined
}

/** Flexural stiffness EI of a member, uncracked, Nm²; 0 where section or material is not there. */
export function flexuralStiffness({ section, material, truss, bottom }: BendingStock): number {
  if (!section || !material) return 0
  const moment = truss ? chordsMoment(section.area, bottom?.area ?? section.area, truss.depth) : secondMoment(section)
  return material.elasticModulus * moment
}

/** Flexural stiffness of a plate of one thickness, D = E t³ / 12 (1 - nu²), Nm (S. Timoshenko, Theory of Plates and Shells, 1959, eq. 3). */
export const plateStiffness = (elasticModulus: number, thickness: number, nu: number): number =>
  (elasticModulus * thickness ** 3) / (12 * (1 - nu * nu))
