import { rolledArea, rolledShapes, rolledSource } from './rolledSections'
import { wideFlanges, wideFlangeSource } from './wideFlanges'

/** A rolled section by what loads need of it: m² and m. */
export interface StockSection {
  readonly name: string
  readonly area: number
  readonly depth: number
  readonly width: number
  readonly source: string
}

/** Every rolled section by its name: European H and I shapes, then US wide-flange shapes. */
export const stockSections: ReadonlyMap<string, StockSection> = new Map(
  [
    ...[...rolledShapes].map(([name, shape]): StockSection => ({
      name,
      area: rolledArea(shape),
      depth: shape.depth,
      width: shape.width,
      source: rolledSource,
    })),
    ...[...wideFlanges].map(([name, { area, depth, width }]): StockSection => ({
      name,
      area,
      depth,
      width,
      source: wideFlangeSource,
    })),
  ].map((section) => [section.name, section]),
)
