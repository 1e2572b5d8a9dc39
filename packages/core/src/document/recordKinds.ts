import {
  dictionary,
  flag,
  list,
  nullable,
  number,
  object,
  oneOf,
  point,
  ref,
  text,
  withDefault,
  type Fields,
  type ObjectOf,
} from './fields'
import { alongSpan, onLine } from '../geometry/tolerance'
import { stiffElement, storeyForces } from './lateralKinds'
import { constructionStage, loadKey } from './loadKeyKind'
import { panel, reachBounds, spanLimitBounds } from './panelKind'
import { reductionRegion, reductionTable } from './reductionKind'
import { family, label, ring, source, standardTable, truss } from './recordParts'
import { areaLoad, lineLoad, pointLoad } from './typedLoadKinds'
import { useSorts } from './useSorts'
import { wallSurface } from './wallSurfaceKind'

/** Every kind of record with its fields. Types, reader and JSON Schema follow from this table. */
export const recordKinds = {
  basis: {
    name: text(120),
    units: oneOf('metric', 'us'),
    decimal: oneOf('point', 'comma'),
    /** The family of standards. */
    family,
    /** EN 1990 table B1. */
    consequenceClass: oneOf('CC1', 'CC2', 'CC3'),
    /** ASCE 7 table 1.5-1. */
    riskCategory: withDefault(oneOf('I', 'II', 'III', 'IV'), 'II'),
    /** Years (EN 1990 table 2.1); null where nobody has said. */
    workingLife: withDefault(nullable(number('count', { min: 1, max: 500 })), null),
    /** What stands on the cover of the calculation. */
    number: withDefault(text(60), ''),
    client: withDefault(text(120), ''),
    author: withDefault(text(120), ''),
    checker: withDefault(text(120), ''),
    /** As typed: an ISO date, or empty. */
    date: withDefault(text(20), ''),
    basicWindVelocity: nullable(number('velocity', { min: 5, max: 80 })),
    terrain: oneOf('0', 'I', 'II', 'III', 'IV'),
    altitude: number('length', { min: -500, max: 5000 }),
    /** Of the ground beside the building, as levels are measured: heights in the wind count from it. */
    ground: withDefault(number('length', { min: -500, max: 2000 }), 0),
    /** How often self-weight counts: once, or as one who knows why has said, which is a concern. */
    selfWeightFactor: withDefault(number('factor', { min: 0, max: 10 }), 1),
    /** How far off its edge a member may lie that supports a panel, and the least angle to the span at which it does. */
    supportReach: withDefault(number('smallLength', reachBounds), onLine),
    spanLimit: withDefault(number('angle', spanLimitBounds), alongSpan),
    /** How line loads of members are handed over: as they are, in so many pieces at most, or as one even value. */
    handedLoads: withDefault(oneOf('exact', 'pieces', 'even'), 'exact'),
    handedPieces: withDefault(number('count', { min: 1, max: 20 }), 4),
    /**
     * Where combinations take imposed load reduced for area or storeys: nowhere; where no psi lowers it; there, and else by the lower
     * of both; or everywhere, beside psi too.
     */
    reductions: withDefault(oneOf('nowhere', 'withoutPsi', 'lower', 'everywhere'), 'nowhere'),
    /** The project's own table of factors in place of the standard's; null where the standard's hold. */
    reductionTable: withDefault(nullable(ref('reductionTable')), null),
    /** Whether what columns that stand on beams bring is reduced below them too, or stays whole there. */
    transferred: withDefault(oneOf('reduced', 'whole'), 'reduced'),
    /** How the stiffness of walls against storey forces is estimated: bending alone, or bending and shear. */
    wallStiffness: withDefault(oneOf('bending', 'bendingAndShear'), 'bending'),
    place: withDefault(text(120), ''),
    /** Characteristic snow load on the ground, Pa. */
    groundSnow: withDefault(nullable(number('pressure', { min: 0, max: 5e4 })), null),
    /** What a site-data service answered, so that each value can say whether it is that or typed. */
    siteData: withDefault(
      nullable(
        object({
          source: text(120),
          east: number('factor'),
          north: number('factor'),
          altitude: number('length', { min: -500, max: 9000 }),
          windZone: text(40),
          basicWindVelocity: number('velocity', { min: 5, max: 80 }),
          snowZone: text(40),
          groundSnow: number('pressure', { min: 0, max: 5e4 }),
          sectors: list(object({ from: text(4), terrain: oneOf('0', 'I', 'II', 'III', 'IV') }), 16),
        }),
      ),
      null,
    ),
  },
  /**
   * Values, tables and methods laid over the family's recommended ones; the project's own lie over the national set. A
   * national set in use is embedded whole, so that a file means the same everywhere.
   */
  layer: {
    family: withDefault(family, 'EN'),
    standing: oneOf('national', 'own'),
    name: text(60),
    values: dictionary(object({ value: number('factor'), clause: text(160), fromMemory: withDefault(flag(), false) })),
    tables: dictionary(standardTable, 40),
    /** A registered method by the name of what it derives; a layer never carries code. */
    methods: dictionary(text(60), 40),
    /** Uses that the layer adds or names anew; null takes one away. */
    uses: withDefault(
      dictionary(
        nullable(
          object({
            name: text(80),
            group: text(20),
            sort: nullable(oneOf(...useSorts)),
            kept: withDefault(nullable(oneOf('whereHeavy', 'onlyHeavy')), null),
            reducible: flag(),
          }),
        ),
        200,
      ),
      {},
    ),
  },
  /** Across the whole grid at a value of x or y; a line that leaves a point through another; or a ring about a point. */
  gridLine: {
    label,
    axis: oneOf('x', 'y', 'line', 'ring'),
    /** The x or y, or the radius; 0 for a line through points. */
    at: number('length', { min: -1e6, max: 1e6 }),
    /** Two points of a line, the centre of a ring; none of lines across the grid. */
    path: withDefault(list(point(), 2), []),
  },
  /** A plane. The lowest level is the base: supports stand on it and it carries no layout. */
  level: { name: label, elevation: number('length', { min: -500, max: 2000 }) },
  layout: {
    name: label,
    defaultKey: nullable(ref('loadKey')),
    /** Whether rings of beams that come to be on it get a panel by themselves. */
    floors: withDefault(oneOf('drawn', 'everyRing'), 'drawn'),
  },
  levelRange: { layout: ref('layout'), from: ref('level'), to: ref('level') },
  material: {
    name: text(60),
    unitWeight: number('unitWeight', { min: 0, max: 2e5 }),
    elasticModulus: number('pressure', { min: 1e6, max: 1e12 }),
    source,
  },
  section: {
    name: text(60),
    shape: oneOf('H', 'rectangle', 'tube', 'own', 'circle', 'pipe', 'channel', 'angle'),
    area: number('sectionArea', { above: 0, max: 100 }),
    depth: number('smallLength', { above: 0, max: 20 }),
    width: number('smallLength', { above: 0, max: 20 }),
    assumed: withDefault(flag(), false),
    source,
  },
  /**
   * A beam has two points, or more where it is bent or follows a curve; a column one, and goes from its level down to the next, as a
   * bearing wall does along all of its points; a hanger one, and goes from the level that it holds up to the next above. Of a column
   * or hanger that rakes the second point is the place of its other end.
   */
  member: {
    layout: ref('layout'),
    label,
    role: oneOf('beam', 'girder', 'joist', 'rafter', 'purlin', 'truss', 'column', 'hanger', 'wall'),
    path: list(point(), 60, 1),
    /** Of a truss: its top chord. Of a wall: a rectangle as wide as the wall is thick. */
    section: ref('section'),
    material: ref('material'),
    startRelease: oneOf('pinned', 'fixed'),
    endRelease: oneOf('pinned', 'fixed'),
    /** Over more than two supports: each span by itself, or continuous over them. */
    spans: withDefault(oneOf('simple', 'continuous'), 'simple'),
    /** Whether panels and walls hand it load; one that does not still bears what stands on it. */
    takesLoad: withDefault(flag(), true),
    /** Actions of which it takes no load of panels and walls, where it takes that of others. */
    sparedActions: withDefault(list(oneOf('permanent', 'imposed', 'roof', 'construction'), 4), []),
    /** Live load element factor K_LL (ASCE 7 table 4.7-1); null where it follows from the member. */
    elementFactor: withDefault(nullable(number('factor', { min: 1, max: 4 })), null),
    /** Of a bearing wall: the part of its face that openings take off its weight. */
    openShare: withDefault(number('factor', { min: 0, max: 1 }), 0),
    /** What a truss is made of below its top chord. */
    truss: withDefault(nullable(truss), null),
  },
  /** A member in space from point to point, heights from the level of its layout: it hands its weight to what is at its ends. */
  strut: {
    layout: ref('layout'),
    label,
    role: oneOf('brace', 'girt', 'tie', 'post', 'chord', 'web'),
    path: list(point(), 2, 2),
    startHeight: number('length', { min: -200, max: 200 }),
    endHeight: number('length', { min: -200, max: 200 }),
    section: ref('section'),
    material: ref('material'),
  },
  /**
   * A plane of a roof. What lies within its outline in plan lies in it: members, slabs and their build-ups with their true
   * length and area.
   */
  slope: {
    layout: ref('layout'),
    label,
    outline: ring,
    /** From the horizontal. */
    pitch: number('angle', { min: 0, max: 1.4 }),
    /** The way uphill, from global X. */
    uphill: number('angle', { min: -7, max: 7 }),
    /** Of its lowest point, from the level. */
    eaves: number('length', { min: -200, max: 200 }),
  },
  panel,
  opening: { layout: ref('layout'), label, outline: ring },
  buildUp: {
    name: text(60),
    layers: list(
      object({
        name: text(60),
        /** Either thickness and unit weight, or a load typed as it is. */
        thickness: nullable(number('smallLength', { min: 0, max: 10 })),
        unitWeight: nullable(number('unitWeight', { min: 0, max: 2e5 })),
        load: nullable(number('pressure', { min: -1e6, max: 1e6 })),
        source,
      }),
      40,
    ),
  },
  loadKey,
  constructionStage,
  patch: {
    layout: ref('layout'),
    label,
    outline: ring,
    key: ref('loadKey'),
    mode: oneOf('insteadOf', 'onTopOf'),
    order: number('count', { min: 0, max: 1e6 }),
  },
  wallRun: {
    layout: ref('layout'),
    label,
    path: list(point(), 500, 2),
    closed: flag(),
    /** Weight per area of wall, where it is not made of layers. */
    weight: number('pressure', { min: 0, max: 1e5 }),
    /** The layers that it is made of; they weigh then. */
    buildUp: withDefault(nullable(ref('buildUp')), null),
    /** Which depth is taken off the storey height; none of it for a facade that hangs before the floors. */
    heightRule: oneOf('lessBeam', 'lessSlab', 'lessBoth', 'storey', 'typed'),
    height: nullable(number('length', { above: 0, max: 100 })),
    openingShare: number('factor', { min: 0, max: 1 }),
    /** Openings by their sizes over the whole run; where there are any they go before the share. */
    openingSizes: withDefault(
      list(
        object({
          count: number('count', { min: 1, max: 10_000 }),
          width: number('length', { above: 0, max: 100 }),
          height: number('length', { above: 0, max: 100 }),
        }),
        50,
      ),
      [],
    ),
  },
  lineLoad,
  pointLoad,
  areaLoad,
  /**
   * A straight flight of stairs: half of its weight and of what is on it goes to each of its ends, which lie on a landing or a
   * beam of the same level.
   */
  stair: {
    layout: ref('layout'),
    label,
    /** The middle of its lower end, then of its upper end. */
    path: list(point(), 2, 2),
    width: number('length', { above: 0, max: 50 }),
    /** Height from its lower to its upper end. */
    rise: number('length', { min: 0, max: 50 }),
    /** Thickness square to its soffit, without the steps; 0 for a flight that its build-up weighs. */
    waist: number('smallLength', { min: 0, max: 2 }),
    /** Height of one step, which weighs half of it in the mean; 0 for treads without weight. */
    riser: number('smallLength', { min: 0, max: 0.5 }),
    material: ref('material'),
    /** Finishes and use, per area of plan. */
    key: nullable(ref('loadKey')),
  },
  /** People who lean on a parapet or barrier: a horizontal line load along it, square to it. */
  barrier: {
    layout: ref('layout'),
    label,
    path: list(point(), 500, 2),
    closed: flag(),
    /** The use of the floor behind it; which value that asks for is the family's and its layers' matter. */
    use: nullable(text(60)),
    /** Typed instead of the value of the use. */
    value: nullable(number('lineLoad', { min: 0, max: 1e5 })),
    /** Of its top above the level. */
    height: number('length', { above: 0, max: 10 }),
  },
  wallSurface,
  reductionTable,
  reductionRegion,
  stiffElement,
  storeyForces,
  /** A selection that can be called back: expanded ids; what is gone is passed over. */
  selection: { name: text(60), picked: list(text(120), 5000, 1) },
  /** The body that stands in the wind. */
  buildingPart: {
    name: text(60),
    parapet: number('length', { min: 0, max: 20 }),
    structuralFactor: number('factor', { min: 0.5, max: 3 }),
    /** Its rectangle in plan where it is stated; else it goes round the columns. Levels outside of it take no wind. */
    extent: withDefault(
      nullable(
        object({
          x0: number('length', { min: -1e6, max: 1e6 }),
          x1: number('length', { min: -1e6, max: 1e6 }),
          y0: number('length', { min: -1e6, max: 1e6 }),
          y1: number('length', { min: -1e6, max: 1e6 }),
        }),
      ),
      null,
    ),
  },
} as const satisfies Record<string, Fields>

export type Kind = keyof typeof recordKinds
export type Id<K extends Kind = Kind> = K extends Kind ? `${K}:${string}` : never
export type RecOf<K extends Kind> = K extends Kind
  ? {
      readonly kind: K
      readonly id: `${K}:${string}`
      /** The record that this one was copied from. */
      readonly origin?: string
      /** What a person typed, by the path of the field: "3.15 - 0.45" beside the SI value. */
      readonly typed?: Readonly<Record<string, string>>
    } & ObjectOf<(typeof recordKinds)[K]>
  : never
export type Rec = RecOf<Kind>

export type Basis = RecOf<'basis'>
export type Layer = RecOf<'layer'>
export type GridLine = RecOf<'gridLine'>
export type Level = RecOf<'level'>
export type Layout = RecOf<'layout'>
export type LevelRange = RecOf<'levelRange'>
export type Material = RecOf<'material'>
export type Section = RecOf<'section'>
export type Member = RecOf<'member'>
export type Strut = RecOf<'strut'>
export type Slope = RecOf<'slope'>
export type Panel = RecOf<'panel'>
export type Opening = RecOf<'opening'>
export type BuildUp = RecOf<'buildUp'>
export type LoadKey = RecOf<'loadKey'>
export type ConstructionStage = RecOf<'constructionStage'>
export type Patch = RecOf<'patch'>
export type WallRun = RecOf<'wallRun'>
export type LineLoad = RecOf<'lineLoad'>
export type PointLoad = RecOf<'pointLoad'>
export type AreaLoad = RecOf<'areaLoad'>
export type Stair = RecOf<'stair'>
export type WallSurface = RecOf<'wallSurface'>
export type Barrier = RecOf<'barrier'>
export type ReductionTable = RecOf<'reductionTable'>
export type ReductionRegion = RecOf<'reductionRegion'>
export type StiffElement = RecOf<'stiffElement'>
export type StoreyForces = RecOf<'storeyForces'>
export type Selection = RecOf<'selection'>
export type BuildingPart = RecOf<'buildingPart'>

export const kinds = Object.keys(recordKinds) as readonly Kind[]
export const isKind = (value: unknown): value is Kind => typeof value === 'string' && Object.hasOwn(recordKinds, value)
