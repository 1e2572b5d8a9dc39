import { simpleMember, simplePanel } from '../document/blanks'
import { newId, type Random } from '../document/document'
import type { Point } from '../geometry/point'
import type { Layout, Member, Panel, Rec } from '../document/recordKinds'
import { blankBuilding, type Stock } from './blankBuilding'
import type { BuildingBrief } from './openingSentence'

/** All records of a regular building: grid, levels, two layouts (floors and roof), sections marked as assumed. */
export function bayGrid(brief: BuildingBrief, name: string, random: Random): readonly Rec[] {
  const { spanX, spanY, storeys, storeyHeight, sort, family, units } = brief
  const xs = Array.from({ length: brief.baysX + 1 }, (_, i) => i * spanX)
  const ys = Array.from({ length: brief.baysY + 1 }, (_, i) => i * spanY)
  const heights = Array.from({ length: storeys }, () => storeyHeight)
  const spans = { x: spanX, y: spanY }
  const { records, layouts, stock } = blankBuilding({ xs, ys, heights, spans, sort, family, units }, name, random)
  return [...records, ...layouts.flatMap((layout) => layoutContent(brief, layout, xs, ys, stock, random))]
}

function layoutContent(
  brief: BuildingBrief,
  layout: Layout,
  xs: readonly number[],
  ys: readonly number[],
  stock: Stock,
  random: Random,
): readonly Rec[] {
  const member = (role: Member['role'], label: string, path: readonly Point[]): Member => ({
    kind: 'member',
    id: newId('member', random),
    layout: layout.id,
    label,
    role,
    path,
    material: stock.steel.id,
    section: role === 'column' ? stock.column.id : role === 'girder' ? stock.girder.id : stock.beam.id,
    ...simpleMember,
  })
  const columns = ys.flatMap((y) => xs.map((x): Point => [x, y])).map((at, i) => member('column', `C${i + 1}`, [at]))
  const girders = xs
    .flatMap((x) =>
      pairs(ys).map(([a, b]): readonly Point[] => [
        [x, a],
        [x, b],
      ]),
    )
    .map((path, i) => member('girder', `G${i + 1}`, path))
  const rows = [...pairs(ys).flatMap(([a, b]) => between(a, b, brief.beamSpacing)), ...ys.slice(-1)]
  const beams = rows
    .flatMap((y) =>
      pairs(xs).map(([a, b]): readonly Point[] => [
        [a, y],
        [b, y],
      ]),
    )
    .map((path, i) => member('beam', `B${i + 1}`, path))
  const panels = pairs(ys)
    .flatMap(([y0, y1]) =>
      pairs(xs).map(([x0, x1]): Panel['outline'] => [
        [x0, y0],
        [x1, y0],
        [x1, y1],
        [x0, y1],
      ]),
    )
    .map((outline, i): Panel => ({
      kind: 'panel',
      id: newId('panel', random),
      layout: layout.id,
      label: `P${i + 1}`,
      outline,
      spanAngle: Math.PI / 2,
      slab: { thickness: brief.slab, material: stock.concrete.id },
      ...simplePanel,
      edges: 'rings',
    }))
  return [...columns, ...girders, ...beams, ...panels]
}

const pairs = (values: readonly number[]): readonly (readonly [number, number])[] =>
  values.slice(1).map((b, i) => [values[i] ?? 0, b])

/** The grid line and the equal divisions up to the next one, no wider than the spacing. */
function between(a: number, b: number, spacing: number): readonly number[] {
  const n = Math.max(1, Math.ceil((b - a) / spacing - 1e-9))
  return Array.from({ length: n }, (_, i) => a + ((b - a) * i) / n)
}
