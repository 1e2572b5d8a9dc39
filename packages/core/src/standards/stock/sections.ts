import { furtherShapes } from './shapes/furtherSections'
import { lightShapes, lightSource } from './shapes/lightSections'
import { rolledArea, rolledShapes, rolledSource } from './shapes/rolledSections'
import { universalShapes } from './shapes/universalSections'
import { wideFlanges, wideFlangeSource } from './shapes/wideFlanges'

/** A rolled section by what loads need of it: m² and m. */
export interface StockSection {
  readonly name: string
  readonly area: number
  readonly depth: number
  readonly width: number
  readonly shape: 'H' | 'channel' | 'angle'
  readonly source: string
}

/** Every rolled section by its name: European H and I shapes, the usual ones first, universal beams and columns, tapered beams, channels and angles, then US wide-flange shapes. */
export const stockSections: ReadonlyMap<string, StockSection> = new Map(
  [
    ...[...rolledShapes, ...furtherShapes, ...universalShapes].map(([name, shape]): StockSection => ({
      name,
      area: rolledArea(shape),
      depth: shape.depth,
      width: shape.width,
      shape: 'H',
      source: rolledSource,
    })),
    ...[...lightShapes].map(([name, shape]): StockSection => ({ name, ...shape, source: lightSource })),
    ...[...wideFlanges].map(([name, { area, depth, width }]): StockSection => ({
      name,
      area,
      depth,
      width,
      shape: 'H',
      source: wideFlangeSource,
    })),
  ].map((section) => [section.name, section]),
)
