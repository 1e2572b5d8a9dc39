import { Memo } from '../src/derivation/memo'
import { deriveProject, type ProjectState } from '../src/derivation/project'
import { blankBasis, blankLoadKey, blankStage, newGridLine, newLayout, simplePanel } from '../src/document/blanks'
import { documentOf, newId, seededRandom, type Document, type Random } from '../src/document/document'
import { invariantProblems } from '../src/document/invariants'
import type {
  Barrier,
  AreaLoad,
  Basis,
  BuildUp,
  BuildingPart,
  GridLine,
  Layer,
  Layout,
  Level,
  LevelRange,
  LineLoad,
  LoadKey,
  Material,
  Member,
  Opening,
  Panel,
  Patch,
  PointLoad,
  ReductionRegion,
  Rec,
  ConstructionStage,
  ReductionTable,
  Section,
  Slope,
  Stair,
  StiffElement,
  StoreyForces,
  Strut,
  WallRun,
  WallSurface,
} from '../src/document/recordKinds'
import type { Point } from '../src/geometry/point'
import type { Ring } from '../src/geometry/polygon'
import { rectangle } from './shapes'

type More<R extends Rec> = Partial<Omit<R, 'kind' | 'id'>>

/** Builds a document for a test record by record; what a test does not care about has a plain default. */
export class Building {
  readonly records: Rec[] = []
  readonly random: Random
  readonly basis: Basis
  /** Without weight, so that a test sees only the loads that it puts on. */
  readonly weightless: Material
  readonly section: Section
  readonly #labels = new Map<string, number>()

  constructor(more: More<Basis> = {}, seed = 1) {
    this.random = seededRandom(seed)
    this.basis = this.add({
      ...blankBasis('Test', this.random),
      ...more,
    })
    this.weightless = this.material({ name: 'weightless', unitWeight: 0 })
    this.section = this.sectionOf({ name: 'own 300', depth: 0.3 })
  }

  add<R extends Rec>(record: R): R {
    this.records.push(record)
    return record
  }

  #label(letter: string): string {
    const count = (this.#labels.get(letter) ?? 0) + 1
    this.#labels.set(letter, count)
    return `${letter}${count}`
  }

  material(more: More<Material> = {}): Material {
    return this.add({
      kind: 'material',
      id: newId('material', this.random),
      name: 'steel',
      unitWeight: 78_500,
      elasticModulus: 210e9,
      source: '',
      ...more,
    })
  }

  sectionOf(more: More<Section> = {}): Section {
    return this.add({
      kind: 'section',
      id: newId('section', this.random),
      name: 'own',
      shape: 'own',
      area: 0.01,
      depth: 0.3,
      width: 0.15,
      assumed: false,
      source: '',
      ...more,
    })
  }

  level(name: string, elevation: number): Level {
    return this.add({ kind: 'level', id: newId('level', this.random), name, elevation })
  }

  /** A layout and where it stands. */
  layout(name: string, key: LoadKey | null = null, from?: Level, to: Level | undefined = from): Layout {
    const layout = this.add(newLayout(name, key?.id ?? null, this.random))
    if (from && to)
      this.add<LevelRange>({
        kind: 'levelRange',
        id: newId('levelRange', this.random),
        layout: layout.id,
        from: from.id,
        to: to.id,
      })
    return layout
  }

  grid(axis: GridLine['axis'], label: string, at: number, path: GridLine['path'] = []): GridLine {
    return this.add(newGridLine(axis, label, at, this.random, path))
  }

  member(layout: Layout, role: Member['role'], path: readonly Point[], more: More<Member> = {}): Member {
    return this.add({
      kind: 'member',
      id: newId('member', this.random),
      layout: layout.id,
      label: this.#label(role === 'column' ? 'C' : 'B'),
      role,
      path,
      section: this.section.id,
      material: this.weightless.id,
      startRelease: 'pinned',
      endRelease: 'pinned',
      spans: 'simple',
      takesLoad: true,
      sparedActions: [],
      elementFactor: null,
      openShare: 0,
      truss: null,
      ...more,
    })
  }

  beam(layout: Layout, a: Point, b: Point, more: More<Member> = {}): Member {
    return this.member(layout, 'beam', [a, b], more)
  }

  column(layout: Layout, at: Point, more: More<Member> = {}): Member {
    return this.member(layout, 'column', [at], more)
  }

  panel(layout: Layout, outline: readonly Point[], more: More<Panel> = {}): Panel {
    return this.add({
      kind: 'panel',
      id: newId('panel', this.random),
      layout: layout.id,
      label: this.#label('P'),
      outline,
      spanAngle: Math.PI / 2,
      slab: null,
      ...simplePanel,
      ...more,
    })
  }

  slope(layout: Layout, outline: readonly Point[], pitch: number, uphill: number, eaves = 0): Slope {
    return this.add({
      kind: 'slope',
      id: newId('slope', this.random),
      layout: layout.id,
      label: this.#label('R'),
      outline,
      pitch,
      uphill,
      eaves,
    })
  }

  strut(layout: Layout, path: readonly Point[], heights: readonly [number, number], more: More<Strut> = {}): Strut {
    return this.add({
      kind: 'strut',
      id: newId('strut', this.random),
      layout: layout.id,
      label: this.#label('S'),
      role: 'brace',
      path,
      startHeight: heights[0],
      endHeight: heights[1],
      section: this.section.id,
      material: this.weightless.id,
      ...more,
    })
  }

  opening(layout: Layout, outline: readonly Point[]): Opening {
    return this.add({
      kind: 'opening',
      id: newId('opening', this.random),
      layout: layout.id,
      label: this.#label('V'),
      outline,
    })
  }

  buildUp(layers: BuildUp['layers'], name = 'build-up'): BuildUp {
    return this.add({ kind: 'buildUp', id: newId('buildUp', this.random), name, layers })
  }

  /** A load key of a typed imposed load on offices, unless the test says more. */
  key(imposed: number | null, more: More<LoadKey> = {}): LoadKey {
    return this.add({
      ...blankLoadKey(this.#label('key '), this.random),
      use: 'B',
      imposed,
      ...more,
    })
  }

  patch(layout: Layout, key: LoadKey, outline: readonly Point[], more: More<Patch> = {}): Patch {
    return this.add({
      kind: 'patch',
      id: newId('patch', this.random),
      layout: layout.id,
      label: this.#label('A'),
      outline,
      key: key.id,
      mode: 'insteadOf',
      order: 1,
      ...more,
    })
  }

  wall(layout: Layout, path: readonly Point[], more: More<WallRun> = {}): WallRun {
    return this.add({
      kind: 'wallRun',
      id: newId('wallRun', this.random),
      layout: layout.id,
      label: this.#label('W'),
      path,
      closed: false,
      weight: 2870,
      buildUp: null,
      heightRule: 'typed',
      height: 2,
      openingShare: 0,
      openingSizes: [],
      ...more,
    })
  }

  lineLoad(layout: Layout, path: readonly Point[], value: number, more: More<LineLoad> = {}): LineLoad {
    return this.add({
      kind: 'lineLoad',
      id: newId('lineLoad', this.random),
      layout: layout.id,
      label: this.#label('Q'),
      what: '',
      nature: 'permanent',
      use: null,
      path,
      value,
      endValue: null,
      ...more,
    })
  }

  pointLoad(layout: Layout, at: Point, value: number, more: More<PointLoad> = {}): PointLoad {
    return this.add({
      kind: 'pointLoad',
      id: newId('pointLoad', this.random),
      layout: layout.id,
      label: this.#label('F'),
      what: '',
      nature: 'permanent',
      use: null,
      path: [at],
      value,
      ...more,
    })
  }

  areaLoad(layout: Layout, outline: Ring, value: number, more: More<AreaLoad> = {}): AreaLoad {
    return this.add({
      kind: 'areaLoad',
      id: newId('areaLoad', this.random),
      layout: layout.id,
      label: this.#label('U'),
      what: '',
      nature: 'permanent',
      use: null,
      outline,
      value,
      endValue: null,
      measured: 'plan',
      angle: 0,
      ...more,
    })
  }

  reductionRegion(layout: Layout, outline: Ring, more: More<ReductionRegion> = {}): ReductionRegion {
    return this.add({
      kind: 'reductionRegion',
      id: newId('reductionRegion', this.random),
      layout: layout.id,
      label: this.#label('D'),
      outline,
      slabs: 'byArea',
      slabFactor: null,
      beams: 'usual',
      beamFactor: null,
      ...more,
    })
  }

  /** A flight without weight that is 1 m wide and rises by nothing, unless the test says more. */
  stair(layout: Layout, foot: Point, head: Point, more: More<Stair> = {}): Stair {
    return this.add({
      kind: 'stair',
      id: newId('stair', this.random),
      layout: layout.id,
      label: this.#label('Z'),
      path: [foot, head],
      width: 1,
      rise: 0,
      waist: 0,
      riser: 0,
      material: this.weightless.id,
      key: null,
      ...more,
    })
  }

  barrier(layout: Layout, path: readonly Point[], more: More<Barrier> = {}): Barrier {
    return this.add({
      kind: 'barrier',
      id: newId('barrier', this.random),
      layout: layout.id,
      label: this.#label('H'),
      path,
      closed: false,
      use: 'B',
      value: null,
      height: 1.1,
      ...more,
    })
  }

  /** An upright surface from floor to floor, with a permanent pressure of 1 kN/m² unless the test says more. */
  wallSurface(layout: Layout, path: readonly Point[], more: More<WallSurface> = {}): WallSurface {
    return this.add({
      kind: 'wallSurface',
      id: newId('wallSurface', this.random),
      layout: layout.id,
      label: this.#label('O'),
      path,
      closed: false,
      above: 0,
      depth: null,
      sharing: 'upright',
      overOpenings: 'bridged',
      openings: [],
      pressures: [pressure(1000)],
      ...more,
    })
  }

  stiffElement(layout: Layout, path: readonly Point[], more: More<StiffElement> = {}): StiffElement {
    return this.add({
      kind: 'stiffElement',
      id: newId('stiffElement', this.random),
      layout: layout.id,
      label: this.#label('E'),
      path,
      sort: 'given',
      thickness: 0.2,
      material: this.weightless.id,
      section: null,
      diagonals: 1,
      stiffness: 1e8,
      ...more,
    })
  }

  constructionStage(key: LoadKey, more: More<ConstructionStage>): ConstructionStage {
    return this.add({ ...blankStage(key.id, this.random), ...more })
  }

  reductionTable(more: More<ReductionTable> = {}): ReductionTable {
    return this.add({
      kind: 'reductionTable',
      id: newId('reductionTable', this.random),
      name: 'own',
      form: 'area',
      rows: [{ from: 0, factor: 1 }],
      leastStoreys: 0,
      appliesTo: 'both',
      ...more,
    })
  }

  storeyForces(more: More<StoreyForces> = {}): StoreyForces {
    return this.add({
      kind: 'storeyForces',
      id: newId('storeyForces', this.random),
      name: 'push',
      angle: 0,
      rule: 'share',
      period: null,
      share: 0.1,
      aside: 0,
      forces: [],
      ...more,
    })
  }

  part(more: More<BuildingPart> = {}): BuildingPart {
    return this.add({
      kind: 'buildingPart',
      id: newId('buildingPart', this.random),
      name: 'part',
      parapet: 0,
      structuralFactor: 1,
      extent: null,
      ...more,
    })
  }

  layer(more: More<Layer> = {}): Layer {
    return this.add({
      kind: 'layer',
      id: newId('layer', this.random),
      family: this.basis.family,
      standing: 'own',
      name: 'this project',
      values: {},
      tables: {},
      methods: {},
      uses: {},
      ...more,
    })
  }

  get document(): Document {
    const document = documentOf(this.records)
    const [problem] = invariantProblems(document)
    if (problem) throw new Error(`${problem.path}: ${problem.problem}`)
    return document
  }

  state(memo = new Memo()): ProjectState {
    return deriveProject(memo, this.document)
  }
}

export interface OneStorey {
  readonly building: Building
  readonly base: Level
  readonly top: Level
  readonly layout: Layout
  readonly key: LoadKey
}

/** A base, one level 3 m above it, and a layout with an imposed load of 1 kN/m². */
export function oneStorey(imposed = 1000, more: More<Basis> = {}): OneStorey {
  const building = new Building(more)
  const [base, top] = [building.level('Base', 0), building.level('Top', 3)]
  const key = building.key(imposed)
  return { building, base, top, key, layout: building.layout('Floor', key, top) }
}

/** A bay of x by y on four columns with beams all round and a panel spanning along y. */
export function bay({ building, layout }: OneStorey, x = 6, y = 4) {
  const corners: readonly Point[] = rectangle(0, 0, x, y)
  const [sw = [0, 0], se = [0, 0], ne = [0, 0], nw = [0, 0]] = corners
  const columns = corners.map((at) => building.column(layout, at))
  return {
    columns,
    south: building.beam(layout, sw, se),
    north: building.beam(layout, nw, ne),
    west: building.beam(layout, sw, nw),
    east: building.beam(layout, se, ne),
    panel: building.panel(layout, corners),
  }
}

/** A pressure on a wall surface, Pa, even unless its foot says otherwise. */
export const pressure = (
  top: number,
  foot = top,
  more: Partial<WallSurface['pressures'][number]> = {},
): WallSurface['pressures'][number] => ({ what: '', nature: 'permanent', use: null, from: 'west', top, foot, ...more })
