import type { ChangeSet } from '../document/changes'
import { blankBasis, blankLoadKey, simpleMember } from '../document/blanks'
import { newId, seededRandom } from '../document/document'
import type { Point } from '../geometry/point'
import type {
  BuildUp,
  GridLine,
  Layout,
  Level,
  LevelRange,
  LineLoad,
  LoadKey,
  Member,
  Opening,
  Panel,
  Patch,
  PointLoad,
  Rec,
  Section,
  WallRun,
} from '../document/recordKinds'
import { rolledSection } from '../editing/sectionText'
import { hallFrame, hallStock, type HallStock } from './hall'
import type { HallBrief } from './hallSentence'
import { concrete, steel } from './stock'

// Marrowfield Library & Workshop: an invented town library. The L-shaped reading block, three storeys, with a stair
// void, a balcony with a masonry parapet and plant on the roof; beside it the workshop, a hall with a duo-pitch roof on
// trusses. Two concerns are left in on purpose.
const random = seededRandom(20261124)
const id = <K extends Rec['kind']>(kind: K) => newId(kind, random)

const stock = {
  steel: steel(random),
  concrete: concrete(random),
  beam: rolledSection('IPE 360', random, false),
  girder: rolledSection('IPE 500', random, false),
  edge: rolledSection('IPE 300', random, false),
  column: rolledSection('HEB 240', random, false),
}

const buildUp = (name: string, ...layers: BuildUp['layers']): BuildUp => ({
  kind: 'buildUp',
  id: id('buildUp'),
  name,
  layers,
})
const layer = (name: string, millimetres: number, kilonewtons: number) => ({
  name,
  thickness: millimetres / 1000,
  unitWeight: kilonewtons * 1000,
  load: null,
  source: '',
})
const typed = (name: string, kilonewtons: number) => ({
  name,
  thickness: null,
  unitWeight: null,
  load: kilonewtons * 1000,
  source: '',
})

const ups = {
  floor: buildUp('Reading floor', layer('screed', 50, 20), typed('carpet', 0.05), typed('services and ceiling', 0.2)),
  store: buildUp('Book store floor', layer('screed', 50, 20), typed('ceiling', 0.15)),
  balcony: buildUp('Balcony paving', layer('paving slabs', 50, 24), layer('drainage bed', 30, 18)),
  roof: buildUp('Roof', layer('gravel', 50, 18), typed('insulation and membrane', 0.15), typed('ceiling', 0.2)),
  plant: buildUp('Plant plinth', layer('concrete plinth', 75, 24)),
}
const key = (
  name: string,
  up: BuildUp,
  use: LoadKey['use'],
  imposed: number | null,
  partitionWeight: number | null,
): LoadKey => ({ ...blankLoadKey(name, random), buildUp: up.id, use, imposed, partitionWeight })
const keys = {
  reading: key('Reading room', ups.floor, 'C1', null, 1000),
  store: key('Book store', ups.store, 'E1', null, null),
  balcony: key('Balcony', ups.balcony, 'C3', null, null),
  roof: key('Roof', ups.roof, 'H', null, null),
  plant: key('Plant', ups.plant, 'E1', 2500, null),
}

const level = (name: string, elevation: number): Level => ({ kind: 'level', id: id('level'), name, elevation })
const levels = {
  base: level('Base', -0.6),
  ground: level('Ground', 0),
  first: level('1', 3.6),
  second: level('2', 7.2),
  roof: level('Roof', 10.8),
}

const layouts: Readonly<Record<'floor' | 'roof', Layout>> = {
  floor: { kind: 'layout', id: id('layout'), name: 'Reading floor', defaultKey: keys.reading.id },
  roof: { kind: 'layout', id: id('layout'), name: 'Roof', defaultKey: keys.roof.id },
}

const on = (layout: Layout, at: Level): LevelRange => ({
  kind: 'levelRange',
  id: id('levelRange'),
  layout: layout.id,
  from: at.id,
  to: at.id,
})

const xs = [0, 7.2, 14.4, 21.6] as const
const ys = [0, 9, 15, 21] as const
/** The north-east wing starts at line B: no bay east of line 3 below it. */
const inside = (x: number, y: number) => x <= 14.4 || y >= 9

const gridLines: readonly GridLine[] = [
  ...xs.map((at, i): GridLine => ({ kind: 'gridLine', id: id('gridLine'), axis: 'x', label: String(i + 1), at })),
  ...ys.map((at, i): GridLine => ({ kind: 'gridLine', id: id('gridLine'), axis: 'y', label: 'ABCD'.charAt(i), at })),
]

const counters = new Map<string, number>()
const next = (layout: Layout, letter: string): string => {
  const count = (counters.get(layout.id + letter) ?? 0) + 1
  counters.set(layout.id + letter, count)
  return `${letter}${count}`
}
const member = (
  layout: Layout,
  role: Member['role'],
  section: keyof typeof stock,
  ...path: readonly Point[]
): Member => ({
  kind: 'member',
  id: id('member'),
  layout: layout.id,
  label: next(layout, role === 'column' ? 'C' : role === 'girder' ? 'G' : 'B'),
  role,
  path,
  section: stock[section].id as `section:${string}`,
  material: stock.steel.id,
  ...simpleMember,
})
const panel = (layout: Layout, x0: number, y0: number, x1: number, y1: number, thickness = 0.15): Panel => ({
  kind: 'panel',
  id: id('panel'),
  layout: layout.id,
  label: next(layout, 'P'),
  outline: [
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ],
  spanAngle: Math.PI / 2,
  slab: { thickness, material: stock.concrete.id },
  overhang: 'lever',
  openings: 'bridged',
})

function frame(layout: Layout, withBalcony: boolean): readonly Rec[] {
  const columns = ys.flatMap((y) =>
    xs.filter((x) => inside(x, y)).map((x) => member(layout, 'column', 'column', [x, y])),
  )
  const girders = xs.flatMap((x) =>
    [
      [0, 9],
      [9, 15],
      [15, 21],
    ]
      .filter(([a = 0]) => inside(x, a))
      .map(([a = 0, b = 0]) => {
        const start = withBalcony && a === 0 && x <= 14.4 ? -1.8 : a
        return member(layout, 'girder', 'girder', [x, start], [x, b])
      }),
  )
  const beams = [0, 3, 6, 9, 12, 15, 18, 21].flatMap((y) =>
    [0, 7.2, 14.4].filter((x) => inside(x + 7.2, y)).map((x) => member(layout, 'beam', 'beam', [x, y], [x + 7.2, y])),
  )
  const panels = [
    [0, 9],
    [9, 15],
    [15, 21],
  ].flatMap(([a = 0, b = 0]) =>
    [0, 7.2, 14.4].filter((x) => inside(x + 7.2, a)).map((x) => panel(layout, x, a, x + 7.2, b)),
  )
  return [...columns, ...girders, ...beams, ...panels]
}

const rect = (x0: number, y0: number, x1: number, y1: number): readonly Point[] => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
]
const outline: readonly Point[] = [
  [0, 0],
  [14.4, 0],
  [14.4, 9],
  [21.6, 9],
  [21.6, 21],
  [0, 21],
]
const wall = (
  layout: Layout,
  weight: number,
  rule: WallRun['heightRule'],
  height: number | null,
  openingShare: number,
  closed: boolean,
  path: readonly Point[],
): WallRun => ({
  kind: 'wallRun',
  id: id('wallRun'),
  layout: layout.id,
  label: next(layout, 'W'),
  path,
  closed,
  weight,
  buildUp: null,
  heightRule: rule,
  height,
  openingShare,
  openingSizes: [],
})
const patch = (layout: Layout, on: LoadKey, mode: Patch['mode'], order: number, ring: readonly Point[]): Patch => ({
  kind: 'patch',
  id: id('patch'),
  layout: layout.id,
  label: on.name,
  outline: ring,
  key: on.id,
  mode,
  order,
})

const lineLoad = (what: string, value: number, acts: Pick<LineLoad, 'nature' | 'use'>, x: number): LineLoad => ({
  kind: 'lineLoad',
  id: id('lineLoad'),
  layout: layouts.floor.id,
  label: next(layouts.floor, 'Q'),
  what,
  ...acts,
  path: [
    [x, 12],
    [x, 15],
  ],
  value,
})
const chiller = (value: number, at: Point): PointLoad => ({
  kind: 'pointLoad',
  id: id('pointLoad'),
  layout: layouts.roof.id,
  label: next(layouts.roof, 'F'),
  what: 'foot of the chiller',
  nature: 'permanent',
  use: null,
  path: [at],
  value,
})

const voids: readonly Opening[] = [
  {
    kind: 'opening',
    id: id('opening'),
    layout: layouts.floor.id,
    label: 'Stair void',
    outline: rect(11.4, 12, 14.4, 15),
  },
]

/** The balcony: cantilevering girders carry edge beams on their tips. */
const balcony: readonly Rec[] = [
  member(layouts.floor, 'beam', 'edge', [0, -1.8], [7.2, -1.8]),
  member(layouts.floor, 'beam', 'edge', [7.2, -1.8], [14.4, -1.8]),
  panel(layouts.floor, 0, -1.8, 7.2, 0, 0.12),
  panel(layouts.floor, 7.2, -1.8, 14.4, 0, 0.12),
]

const steps: (readonly [note: string, records: readonly Rec[]])[] = [
  [
    'Basis: EN recommended, 26 m/s, terrain II',
    [
      {
        ...blankBasis('Marrowfield Library & Workshop', random),
        workingLife: 50,
        number: 'MLW-04',
        client: 'Marrowfield Town Council',
        author: 'R. Okonedo',
        checker: 'L. Vantongeren',
        date: '2026-11-20',
        basicWindVelocity: 26,
        altitude: 84,
        place: 'Marrowfield, Aldermere (invented)',
      },
      {
        kind: 'buildingPart',
        id: id('buildingPart'),
        name: 'Reading block',
        parapet: 0.6,
        structuralFactor: 1,
        extent: { x0: 0, x1: 21.6, y0: 0, y1: 21 },
      },
    ],
  ],
  [
    'Grid, levels and layouts',
    [
      ...gridLines,
      ...Object.values(levels),
      ...Object.values(ups),
      ...Object.values(keys),
      ...Object.values(layouts),
      on(layouts.floor, levels.first),
      on(layouts.floor, levels.second),
      on(layouts.roof, levels.roof),
    ],
  ],
  ['Sections and materials', Object.values(stock)],
  ['Reading floors: columns, girders, beams, panels', frame(layouts.floor, true)],
  ['Roof frame', frame(layouts.roof, false)],
  ['Balcony on the south side', balcony],
  ['Stair void', voids],
  [
    'Book store, balcony and plant areas',
    [
      patch(layouts.floor, keys.store, 'insteadOf', 1, rect(14.4, 15, 21.6, 21)),
      patch(layouts.floor, keys.balcony, 'insteadOf', 2, rect(0, -1.8, 14.4, 0)),
      patch(layouts.roof, keys.plant, 'onTopOf', 1, rect(1.5, 10, 6.5, 14)),
    ],
  ],
  [
    'Outside walls, parapets',
    [
      wall(layouts.floor, 2870, 'lessBeam', null, 0.3, true, outline),
      wall(layouts.floor, 2300, 'typed', 1.1, 0, false, [
        [0, 0],
        [0, -1.8],
        [14.4, -1.8],
        [14.4, 0],
      ]),
      wall(layouts.roof, 2870, 'typed', 0.6, 0, true, outline),
    ],
  ],
  ['Roof platform beside the plant', [panel(layouts.roof, 14.4, 3, 16.2, 6, 0.12)]],
  [
    'Stair flights on the edges of the void, chiller on the roof',
    [
      // half a flight of 3 m on each edge: 150 mm waist and steps about 5.4 kN/m², imposed as the floors that it serves
      ...[11.4, 14.4].flatMap((x) => [
        lineLoad('stair flight', 8100, { nature: 'permanent', use: null }, x),
        lineLoad('people on the stair', 7500, { nature: 'imposed', use: 'C3' }, x),
      ]),
      chiller(18_000, [2.5, 12]),
      chiller(18_000, [5.5, 12]),
    ],
  ],
]

steps.push(['Workshop hall beside the block', workshopHall()])

/** Four bays of 6 m beside the north-east wing, 0.6 m off it, eaves 6 m over the base: lower than the second floor. */
function workshopHall(): readonly Rec[] {
  const brief: HallBrief = {
    span: 12,
    bays: 4,
    bay: 6,
    eaves: 6,
    pitch: Math.PI / 15,
    frames: 'trusses',
    purlins: 2,
    family: 'EN',
  }
  const sure = (section: Section): Section => ({ ...section, assumed: false })
  const assumed = hallStock(brief, random)
  const parts: HallStock = {
    steel: stock.steel,
    column: sure(assumed.column),
    main: sure(assumed.main),
    bottom: sure(assumed.bottom),
    web: sure(assumed.web),
    purlin: sure(assumed.purlin),
    brace: sure(assumed.brace),
  }
  const roofUp = buildUp('Workshop roof', typed('sheeting', 0.12), typed('insulation', 0.08), typed('services', 0.15))
  const roofKey = key('Workshop roof', roofUp, 'H', null, null)
  const eaves = level('Eaves', 5.4)
  const layout: Layout = { kind: 'layout', id: id('layout'), name: 'Workshop roof', defaultKey: roofKey.id }
  const lines = Array.from({ length: 5 }, (_, i): GridLine => ({
    kind: 'gridLine',
    id: id('gridLine'),
    axis: 'x',
    label: String(5 + i),
    at: 22.2 + 6 * i,
  }))
  const { steel: known, ...sections } = parts
  return [
    ...lines,
    eaves,
    ...Object.values<Section>(sections),
    roofUp,
    roofKey,
    layout,
    on(layout, eaves),
    ...hallFrame(brief, layout, [22.2, 9], { ...parts, steel: known }, random),
  ]
}

/** The demo as a person would make it: the same change sets, in order. Ids are fixed, so that it is the same everywhere. */
export const demoChanges: readonly ChangeSet[] = steps.map(([note, records], i) => ({
  id: `00000000-0000-4000-8000-${String(i + 1).padStart(12, '0')}`,
  seen: i,
  note,
  edits: records.map((record) => ({ id: record.id, before: null, after: record })),
}))

export const demoName = 'Marrowfield Library & Workshop'
