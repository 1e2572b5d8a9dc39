import { blankBasis, blankLoadKey, newGridLine, newLayout } from '../document/blanks'
import { givenHatch } from '../editing/keyHatches'
import type { Edit } from '../document/changes'
import { newId, recordsOf, type Document, type Random } from '../document/document'
import { gridLetter } from '../document/labels'
import type { UseSort } from '../document/useSorts'
import type {
  Basis,
  BuildUp,
  BuildingPart,
  GridLine,
  Layout,
  Level,
  LevelRange,
  LoadKey,
  Material,
  Rec,
  Section,
} from '../document/recordKinds'
import { largest } from '../outcome/lists'
import { familyOf } from '../standards/families'
import { useOfSort, type FamilyId } from '../standards/family'
import { assumedBeam, assumedOf, concrete, steel } from './stock'

export interface BlankBrief {
  /** Positions of grid lines, m; may be none. */
  readonly xs: readonly number[]
  readonly ys: readonly number[]
  /** Of the storeys from the base up, m; one or more. */
  readonly heights: readonly number[]
  /** Of beams and girders, by which their sections are assumed, m. */
  readonly spans: { readonly x: number; readonly y: number }
  /** The use of the floors; null where nobody has said. */
  readonly sort: UseSort | null
  readonly family: FamilyId
  readonly units: Basis['units']
}

/** Materials and sections to draw with. */
export interface Stock {
  readonly steel: Material
  readonly concrete: Material
  readonly beam: Section
  readonly girder: Section
  readonly column: Section
}

export interface BlankBuilding {
  readonly records: readonly Rec[]
  readonly layouts: readonly Layout[]
  readonly stock: Stock
}

/** Of a grid that nobody has given spans, m. */
const usualSpan = 7.2

export interface BlankStart {
  /** Spacings of the grid to the east and to the north, m; none for no grid. */
  readonly east: readonly number[]
  readonly north: readonly number[]
  readonly heights: readonly number[]
}

/** Zero and the sums of lengths, one after another: positions from spacings, elevations from heights. */
function fromZero(lengths: readonly number[]): readonly number[] {
  let at = 0
  return [0, ...lengths.map((length) => (at += length))]
}

/** Makes a project ready to draw in: a building without members, in the family and the units of the project. */
export function blankStartEdits(
  document: Document,
  { east, north, heights }: BlankStart,
  random: Random,
): readonly Edit[] {
  const [basis] = recordsOf(document, 'basis')
  const positions = (spacings: readonly number[]) => (spacings.length === 0 ? [] : fromZero(spacings))
  const spanOf = (spacings: readonly number[]) => (spacings.length === 0 ? usualSpan : largest(spacings))
  const spans = { x: spanOf(east), y: spanOf(north) }
  const [family, units] = [basis?.family ?? 'EN', basis?.units ?? 'metric']
  const brief = { xs: positions(east), ys: positions(north), heights, spans, sort: null, family, units }
  return blankBuilding(brief, '', random)
    .records.filter(({ kind }) => kind !== 'basis')
    .map((record) => ({ id: record.id, before: null, after: record }))
}

/** What a building has before anything is drawn: grid, levels, layouts for floors and roof, load keys, sections marked as assumed. */
export function blankBuilding(brief: BlankBrief, name: string, random: Random): BlankBuilding {
  const { xs, ys, heights, spans, family, units } = brief
  const storeys = heights.length
  const stock: Stock = {
    steel: steel(family, random),
    concrete: concrete(family, random),
    beam: assumedBeam(spans.x, family, random),
    girder: assumedBeam(spans.y * 1.3, family, random),
    column: assumedOf('columns', storeys > 4, family, random),
  }
  const keys = loadKeys(brief, random)
  const levels = fromZero(heights).map((elevation, i): Level => ({
    kind: 'level',
    id: newId('level', random),
    name: i === 0 ? 'Base' : i === storeys ? 'Roof' : String(i),
    elevation,
  }))
  const floors = storeys > 1 ? layoutRecords('Floors', keys.floor, levels[1], levels[storeys - 1], random) : []
  const roof = layoutRecords('Roof', keys.roof, levels[storeys], levels[storeys], random)
  const layouts = [...floors, ...roof].filter((record): record is Layout => record.kind === 'layout')
  const records = [
    { ...blankBasis(name, random), family, units },
    part(random),
    ...gridLines(xs, ys, random),
    ...levels,
    stock.steel,
    stock.concrete,
    stock.beam,
    stock.girder,
    stock.column,
    ...keys.records,
    ...floors,
    ...roof,
  ]
  return { records, layouts, stock }
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

function loadKeys({ sort, family }: BlankBrief, random: Random) {
  const empty = (name: string): BuildUp => ({ kind: 'buildUp', id: newId('buildUp', random), name, layers: [] })
  const [floorUp, roofUp] = [empty('Floor finishes'), empty('Roof finishes')]
  const key = (name: string, buildUp: BuildUp, wanted: UseSort | null): LoadKey => ({
    ...blankLoadKey(name, random),
    buildUp: buildUp.id,
    use: (wanted && useOfSort(familyOf(family).uses, wanted)) ?? null,
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
