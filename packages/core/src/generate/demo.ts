import type { ChangeSet } from '../document/changes'
import { blankBasis, simpleMember, newGridLine, newLayout, simplePanel } from '../document/blanks'
import type { Point } from '../geometry/point'
import type {
  Barrier,
  GridLine,
  Layout,
  LineLoad,
  LoadKey,
  Member,
  Opening,
  Panel,
  Patch,
  PointLoad,
  Rec,
  Stair,
  StiffElement,
  WallRun,
} from '../document/recordKinds'
import { rolledSection } from '../editing/sectionText'
import { braced } from './demoBracing'
import { hallFacades, workshopHall } from './demoHall'
import { buildUp, id, key, layer, level, on, random, typed } from './demoParts'
import { concrete, steel } from './stock'

// Marrowfield Library & Workshop: an invented town library. The L-shaped reading block, three storeys, with a stair
// void, a balcony with a masonry parapet and plant on the roof; beside it the workshop, a hall with a duo-pitch roof on
// trusses. Two concerns are left in on purpose.
const stock = {
  steel: steel('EN', random),
  concrete: concrete('EN', random),
  beam: rolledSection('IPE 360', random, false),
  girder: rolledSection('IPE 500', random, false),
  edge: rolledSection('IPE 300', random, false),
  column: rolledSection('HEB 240', random, false),
}

const ups = {
  floor: buildUp('Reading floor', layer('screed', 50, 20), typed('carpet', 0.05), typed('services and ceiling', 0.2)),
  store: buildUp('Book store floor', layer('screed', 50, 20), typed('ceiling', 0.15)),
  balcony: buildUp('Balcony paving', layer('paving slabs', 50, 24), layer('drainage bed', 30, 18)),
  roof: buildUp('Roof', layer('gravel', 50, 18), typed('insulation and membrane', 0.15), typed('ceiling', 0.2)),
  plant: buildUp('Plant plinth', layer('concrete plinth', 75, 24)),
}
const keys = {
  reading: key('Reading room', ups.floor, 'C1', null, 1000),
  store: key('Book store', ups.store, 'E1', null, null),
  balcony: key('Balcony', ups.balcony, 'C3', null, null),
  roof: key('Roof', ups.roof, 'H', null, null),
  plant: key('Plant', ups.plant, 'E1', 2500, null),
  stair: key('Stair', null, 'C3', null, null),
}

const levels = {
  base: level('Base', -0.6),
  ground: level('Ground', 0),
  first: level('1', 3.6),
  second: level('2', 7.2),
  roof: level('Roof', 10.8),
}

const layouts: Readonly<Record<'floor' | 'roof', Layout>> = {
  floor: newLayout('Reading floor', keys.reading.id, random),
  roof: newLayout('Roof', keys.roof.id, random),
}

const xs = [0, 7.2, 14.4, 21.6] as const
const ys = [0, 9, 15, 21] as const
/** The north-east wing starts at line B: no bay east of line 3 below it. */
const inside = (x: number, y: number) => x <= 14.4 || y >= 9

const gridLines: readonly GridLine[] = [
  ...xs.map((at, i) => newGridLine('x', String(i + 1), at, random)),
  ...ys.map((at, i) => newGridLine('y', 'ABCD'.charAt(i), at, random)),
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
  ...simplePanel,
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
const guard = (layout: Layout, use: string, path: readonly Point[]): Barrier => ({
  kind: 'barrier',
  id: id('barrier'),
  layout: layout.id,
  label: next(layout, 'H'),
  path,
  closed: false,
  use,
  value: null,
  height: 1.1,
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
  endValue: null,
})
const flight = (foot: Point, head: Point): Stair => ({
  kind: 'stair',
  id: id('stair'),
  layout: layouts.floor.id,
  label: next(layouts.floor, 'Z'),
  path: [foot, head],
  width: 1.5,
  rise: 1.8,
  waist: 0.15,
  riser: 0.15,
  material: stock.concrete.id,
  key: keys.stair.id,
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
      guard(layouts.floor, 'C3', [
        [0, 0],
        [0, -1.8],
        [14.4, -1.8],
        [14.4, 0],
      ]),
    ],
  ],
  ['Roof platform beside the plant', [panel(layouts.roof, 14.4, 3, 16.2, 6, 0.12)]],
  [
    'Stair and its screens, chiller on the roof',
    [
      // half way up in each flight: 12 steps of 150 over 3 m
      flight([11.4, 12.75], [14.4, 12.75]),
      flight([14.4, 14.25], [11.4, 14.25]),
      ...[11.4, 14.4].map((x) => lineLoad('glass screen', 900, { nature: 'permanent', use: null }, x)),
      chiller(18_000, [2.5, 12]),
      chiller(18_000, [5.5, 12]),
    ],
  ],
]

const hall = workshopHall(stock.steel)
steps.push(['Workshop hall beside the block', hall])

const diagonal = rolledSection('L 80x8', random, false)
/** Braced bays, one diagonal in tension at a time. */
const bracedBays = (layout: Layout, paths: readonly StiffElement['path'][]): readonly StiffElement[] =>
  paths.map((path) => ({
    kind: 'stiffElement',
    id: id('stiffElement'),
    layout: layout.id,
    label: next(layout, 'E'),
    path,
    sort: 'bracing',
    thickness: 0.2,
    material: stock.steel.id,
    section: diagonal.id,
    diagonals: 1,
    stiffness: 1e8,
  }))
steps.push([
  'Lateral elements: braced bays',
  [diagonal, ...[layouts.floor, layouts.roof].flatMap((layout) => bracedBays(layout, braced.block))],
])

steps.push([
  'Wind on the sides of the workshop, with its bracing',
  hall.flatMap((record) =>
    record.kind === 'layout' ? [...hallFacades(record.id), ...bracedBays(record, braced.hall)] : [],
  ),
])

/** The demo as a person would make it: the same change sets, in order. Ids are fixed, so that it is the same everywhere. */
export const demoChanges: readonly ChangeSet[] = steps.map(([note, records], i) => ({
  id: `00000000-0000-4000-8000-${String(i + 1).padStart(12, '0')}`,
  seen: i,
  note,
  edits: records.map((record) => ({ id: record.id, before: null, after: record })),
}))

export const demoName = 'Marrowfield Library & Workshop'
