import { blankBasis, blankLoadKey, simpleMember, newGridLine, newLayout, simplePanel } from '../document/blanks'
import { givenHatch } from '../editing/keyHatches'
import { newId, type Random } from '../document/document'
import { gridLetter } from '../document/labels'
import type { UseSort } from '../document/useSorts'
import type { Point } from '../geometry/point'
import type {
  BuildUp,
  BuildingPart,
  GridLine,
  Layout,
  Level,
  LevelRange,
  LoadKey,
  Member,
  Panel,
  Rec,
  Section,
} from '../document/recordKinds'
import { familyOf } from '../standards/families'
import { useOfSort } from '../standards/family'
import type { BuildingBrief } from './openingSentence'
import { assumedBeam, assumedOf, concrete, steel } from './stock'

/** All records of a regular building: grid, levels, two layouts (floors and roof), sections marked as assumed. */
export function bayGrid(brief: BuildingBrief, name: string, random: Random): readonly Rec[] {
  const { spanX, spanY, storeys, storeyHeight } = brief
  const xs = Array.from({ length: brief.baysX + 1 }, (_, i) => i * spanX)
  const ys = Array.from({ length: brief.baysY + 1 }, (_, i) => i * spanY)
  const stock = {
    steel: steel(brief.family, random),
    concrete: concrete(brief.family, random),
    beam: assumedBeam(spanX, brief.family, random),
    girder: assumedBeam(spanY * 1.3, brief.family, random),
    column: assumedOf('columns', storeys > 4, brief.family, random),
  }
  const keys = loadKeys(brief, random)
  const levels = Array.from({ length: storeys + 1 }, (_, i): Level => ({
    kind: 'level',
    id: newId('level', random),
    name: i === 0 ? 'Base' : i === storeys ? 'Roof' : String(i),
    elevation: i * storeyHeight,
  }))
  const floors = storeys > 1 ? layoutRecords('Floors', keys.floor, levels[1], levels[storeys - 1], random) : []
  const roof = layoutRecords('Roof', keys.roof, levels[storeys], levels[storeys], random)
  const layouts = [...floors, ...roof].filter((record): record is Layout => record.kind === 'layout')
  return [
    { ...blankBasis(name, random), family: brief.family, units: brief.units },
    part(random),
    ...gridLines(xs, ys, random),
    ...levels,
    ...Object.values(stock),
    ...keys.records,
    ...floors,
    ...roof,
    ...layouts.flatMap((layout) => layoutContent(brief, layout, xs, ys, stock, random)),
  ]
}

const part = (random: Random): BuildingPart => ({
  kind: 'buildingPart',
  id: newId('buildingPart', random),
  name: 'Building',
  parapet: 0,
  structuralFactor: 1,
  extent: null,
})

const gridLines = (xs: readonly number[], ys: readonly number[], random: Random): readonly GridLine[] => [
  ...xs.map((at, i) => newGridLine('x', String(i + 1), at, random)),
  ...ys.map((at, i) => newGridLine('y', gridLetter(i), at, random)),
]

function loadKeys({ sort, family }: BuildingBrief, random: Random) {
  const empty = (name: string): BuildUp => ({ kind: 'buildUp', id: newId('buildUp', random), name, layers: [] })
  const [floorUp, roofUp] = [empty('Floor finishes'), empty('Roof finishes')]
  const key = (name: string, buildUp: BuildUp, wanted: UseSort): LoadKey => ({
    ...blankLoadKey(name, random),
    buildUp: buildUp.id,
    use: useOfSort(familyOf(family).uses, wanted) ?? null,
  })
  const floor = { ...key('Floor', floorUp, sort), ...givenHatch([]) }
  const roof = { ...key('Roof', roofUp, 'roof'), ...givenHatch([floor]) }
  return { floor, roof, records: [floorUp, roofUp, floor, roof] as readonly Rec[] }
}

function layoutRecords(
  name: string,
  key: LoadKey,
  from: Level | undefined,
  to: Level | undefined,
  random: Random,
): readonly (Layout | LevelRange)[] {
  if (!from || !to) return []
  const layout = newLayout(name, key.id, random)
  return [layout, { kind: 'levelRange', id: newId('levelRange', random), layout: layout.id, from: from.id, to: to.id }]
}

interface Stock {
  readonly steel: { readonly id: `material:${string}` }
  readonly concrete: { readonly id: `material:${string}` }
  readonly beam: Section
  readonly girder: Section
  readonly column: Section
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
