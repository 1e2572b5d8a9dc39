import { givenHatch } from '../editing/keyHatches'
import { tidy } from '../geometry/tolerance'
import { blankBasis, blankLoadKey, simpleMember, newGridLine, newLayout, simplePanel } from '../document/blanks'
import { newId, type Random } from '../document/document'
import { gridLetter } from '../document/labels'
import type {
  BuildUp,
  Layout,
  Level,
  LevelRange,
  LoadKey,
  Material,
  Member,
  Panel,
  Rec,
  Section,
  Slope,
  Strut,
} from '../document/recordKinds'
import { readSection } from '../editing/sectionText'
import type { Point } from '../geometry/point'
import { familyOf } from '../standards/families'
import { useOfSort } from '../standards/family'
import { metricPoint } from '../units/format'
import type { HallBrief } from './hallSentence'
import { assumedBeam, assumedOf, steel } from './stock'

/** All records of a hall with a duo-pitch roof on its own: grid, levels, one layout, sections marked as assumed. */
export function hall(brief: HallBrief, name: string, random: Random): readonly Rec[] {
  const { span, bays, bay, eaves } = brief
  const stock = hallStock(brief, random)
  const finishes: BuildUp = {
    kind: 'buildUp',
    id: newId('buildUp', random),
    name: 'Roof sheeting',
    layers: [{ name: 'sheeting and insulation, assumed', thickness: null, unitWeight: null, load: 250, source: '' }],
  }
  const key: LoadKey = {
    ...blankLoadKey('Roof', random),
    ...givenHatch([]),
    buildUp: finishes.id,
    use: useOfSort(familyOf(brief.family).uses, 'roof') ?? null,
  }
  const level = (label: string, elevation: number): Level => ({
    kind: 'level',
    id: newId('level', random),
    name: label,
    elevation,
  })
  const [base, top] = [level('Base', 0), level('Eaves', eaves)]
  const layout = newLayout('Hall roof', key.id, random)
  const range: LevelRange = {
    kind: 'levelRange',
    id: newId('levelRange', random),
    layout: layout.id,
    from: top.id,
    to: top.id,
  }
  const line = (axis: 'x' | 'y', label: string, at: number) => newGridLine(axis, label, at, random)
  return [
    { ...blankBasis(name, random), family: brief.family, units: brief.units },
    {
      kind: 'buildingPart',
      id: newId('buildingPart', random),
      name: 'Hall',
      parapet: 0,
      structuralFactor: 1,
      extent: null,
    },
    ...Array.from({ length: bays + 1 }, (_, i) => line('x', String(i + 1), i * bay)),
    ...[0, span].map((at, i) => line('y', gridLetter(i), at)),
    base,
    top,
    ...Object.values<Material | Section>({ ...stock }),
    finishes,
    key,
    layout,
    range,
    ...hallFrame(brief, layout, [0, 0], stock, random),
  ]
}

export interface HallStock {
  readonly steel: Material
  readonly column: Section
  /** The rafter, or the top chord. */
  readonly main: Section
  readonly bottom: Section
  readonly web: Section
  readonly purlin: Section
  readonly brace: Section
}

/** Sections to begin with (common practice), marked as assumed. */
export function hallStock({ span, bay, frames, family }: HallBrief, random: Random): HallStock {
  const tube = (size: string): Section => {
    const read = readSection(`tube ${size}`, metricPoint, random)
    if (!read.ok) throw new Error(read.problem)
    return { ...read.section, assumed: true }
  }
  const trussed = frames === 'trusses'
  return {
    steel: steel(family, random),
    column: assumedOf('hallColumns', span > 20, family, random),
    main: trussed ? tube('150 x 150 x 6.3') : assumedBeam(span / 2.2, family, random),
    bottom: tube('120 x 120 x 6.3'),
    web: tube('80 x 80 x 4'),
    purlin: assumedOf('purlins', bay > 6, family, random),
    brace: tube('100 x 100 x 4'),
  }
}

/**
 * The hall's own records on a layout whose level is its eaves: columns, rafters or trusses from eaves to eaves, purlins bay by
 * bay, a panel and a slope for each side, and braces in the end bays of walls and roof. The hall runs along x from its
 * south-west corner.
 */
export function hallFrame(
  brief: HallBrief,
  layout: Layout,
  [x0, y0]: Point,
  stock: HallStock,
  random: Random,
): readonly Rec[] {
  const { span, bays, bay } = brief
  const xs = Array.from({ length: bays + 1 }, (_, i) => tidy(x0 + i * bay))
  const ys = [y0, tidy(y0 + span / 2), tidy(y0 + span)] as const
  const site: Site = { brief, layout, stock, random, label: counter() }
  return [...membersOf(site, xs, ys), ...sidesOf(site, xs, ys), ...bracesOf(site, xs, ys)]
}

interface Site {
  readonly brief: HallBrief
  readonly layout: Layout
  readonly stock: HallStock
  readonly random: Random
  /** C1, C2 … */
  readonly label: (letter: string) => string
}

function counter(): Site['label'] {
  const counts = new Map<string, number>()
  return (letter) => {
    const count = (counts.get(letter) ?? 0) + 1
    counts.set(letter, count)
    return `${letter}${count}`
  }
}

/** From the south eaves over the ridge to the north eaves. */
type Across = readonly [south: number, ridge: number, north: number]

function membersOf(
  { brief, layout, stock, random, label }: Site,
  xs: readonly number[],
  ys: Across,
): readonly Member[] {
  const [south, , north] = ys
  const member = (role: Member['role'], letter: string, section: Section, path: readonly Point[]): Member => ({
    kind: 'member',
    id: newId('member', random),
    layout: layout.id,
    label: label(letter),
    role,
    path,
    section: section.id,
    material: stock.steel.id,
    ...simpleMember,
    truss: role === 'truss' ? trussOf(brief, stock) : null,
  })
  const [role, letter] = brief.frames === 'trusses' ? (['truss', 'T'] as const) : (['rafter', 'R'] as const)
  const between = xs.slice(1).map((x, i) => [xs[i] ?? x, x] as const)
  return [
    ...xs.flatMap((x) => [south, north].map((y) => member('column', 'C', stock.column, [[x, y]]))),
    ...xs.map((x) =>
      member(role, letter, stock.main, [
        [x, south],
        [x, north],
      ]),
    ),
    ...rowsOf(brief, south).flatMap((y) =>
      between.map(([a, b]) =>
        member('purlin', 'L', stock.purlin, [
          [a, y],
          [b, y],
        ]),
      ),
    ),
  ]
}

/** A panel of sheeting and a slope on each side of the ridge. */
function sidesOf(
  { brief, layout, random, label }: Site,
  xs: readonly number[],
  [south, ridge, north]: Across,
): readonly (Panel | Slope)[] {
  const [west, east] = [xs[0] ?? 0, xs.at(-1) ?? 0]
  const side = (from: number, to: number, uphill: number): readonly [Panel, Slope] => {
    const outline: readonly Point[] = [
      [west, from],
      [east, from],
      [east, to],
      [west, to],
    ]
    const drawn = { layout: layout.id, outline }
    return [
      {
        kind: 'panel',
        id: newId('panel', random),
        label: label('P'),
        ...drawn,
        spanAngle: Math.PI / 2,
        slab: null,
        ...simplePanel,
      },
      {
        kind: 'slope',
        id: newId('slope', random),
        label: label('S'),
        ...drawn,
        pitch: brief.pitch,
        uphill,
        eaves: 0,
      },
    ]
  }
  return [...side(south, ridge, Math.PI / 2), ...side(ridge, north, -Math.PI / 2)]
}

const bracesOf = ({ brief, layout, stock, random, label }: Site, xs: readonly number[], ys: Across): readonly Strut[] =>
  bracing(brief, xs, ys).map(({ path, heights: [startHeight, endHeight] }) => ({
    kind: 'strut',
    id: newId('strut', random),
    layout: layout.id,
    label: label('K'),
    role: 'brace',
    path,
    startHeight,
    endHeight,
    section: stock.brace.id,
    material: stock.steel.id,
  }))

/** A twelfth of the span deep at the eaves at the least, even bays about as long as purlins stand apart. */
function trussOf({ span, purlins }: HallBrief, stock: HallStock): NonNullable<Member['truss']> {
  return {
    bottom: 'straight',
    depth: Math.max(0.6, Math.round(span) / 20),
    bays: Math.min(60, 2 * Math.max(1, Math.ceil(span / 2 / purlins - 1e-9))),
    posts: true,
    bottomSection: stock.bottom.id,
    webSection: stock.web.id,
  }
}

/** Purlins from the eaves over the ridge to the other eaves, no wider apart than said. */
function rowsOf({ span, purlins }: HallBrief, y0: number): readonly number[] {
  const perSide = Math.max(1, Math.ceil(span / 2 / purlins - 1e-9))
  return Array.from({ length: 2 * perSide + 1 }, (_, i) => tidy(y0 + (span * i) / (2 * perSide)))
}

interface Brace {
  readonly path: readonly Point[]
  readonly heights: readonly [number, number]
}

/** A cross in each side wall and a diagonal in each roof plane, in the first and the last bay. */
function bracing(
  { eaves, pitch, span, bays }: HallBrief,
  xs: readonly number[],
  [south, ridge, north]: Across,
): readonly Brace[] {
  const rise = (Math.tan(pitch) * span) / 2
  const ends = [...new Set([0, bays - 1])]
  return ends.flatMap((i) => {
    const [a = 0, b = 0] = [xs[i], xs[i + 1]]
    const [outer, inner] = i === 0 ? [a, b] : [b, a]
    const walls = [south, north].flatMap((y): readonly Brace[] => [
      brace([a, y], [b, y], -eaves, 0),
      brace([a, y], [b, y], 0, -eaves),
    ])
    const roof = [south, north].map((y) => brace([outer, y], [inner, ridge], 0, rise))
    return [...walls, ...roof]
  })
}

const brace = (a: Point, b: Point, from: number, to: number): Brace => ({ path: [a, b], heights: [from, to] })
