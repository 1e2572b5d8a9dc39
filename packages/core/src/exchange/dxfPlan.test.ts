import { Building } from '../../test/build'
import { applyChange } from '../document/changes'
import { recordsOf } from '../document/document'
import { signedArea } from '../geometry/polygon'
import { readDxf, type DxfLayer, type DxfPlan } from './dxfPlan'
import { importedPlan, proposedUse, type LayerUse } from './planImport'

/** A text DXF of entities given as pairs of group code and value (DXF reference, ASCII format). */
const dxf = (
  entities: readonly (readonly (readonly [number, string | number])[])[],
  insUnits: number | null = 4,
): string => {
  const header: readonly (readonly [number, string | number])[] =
    insUnits === null
      ? []
      : [
          [0, 'SECTION'],
          [2, 'HEADER'],
          [9, '$INSUNITS'],
          [70, insUnits],
          [0, 'ENDSEC'],
        ]
  const pairs = [...header, [0, 'SECTION'], [2, 'ENTITIES'], ...entities.flat(), [0, 'ENDSEC'], [0, 'EOF']] as const
  return pairs.map(([code, value]) => `${String(code).padStart(3)}\n${value}\n`).join('')
}
type Pairs = readonly (readonly [number, string | number])[]
const line = (layer: string, x1: number, y1: number, x2: number, y2: number): Pairs => [
  [0, 'LINE'],
  [8, layer],
  [10, x1],
  [20, y1],
  [11, x2],
  [21, y2],
]
const polyline = (layer: string, points: readonly (readonly [number, number, number?])[], closed: boolean): Pairs => [
  [0, 'LWPOLYLINE'],
  [8, layer],
  [90, points.length],
  [70, closed ? 1 : 0],
  ...points.flatMap(([x, y, bulge]): Pairs => [
    [10, x],
    [20, y],
    ...(bulge === undefined ? [] : [[42, bulge] as const]),
  ]),
]
const circle = (layer: string, x: number, y: number): Pairs => [
  [0, 'CIRCLE'],
  [8, layer],
  [10, x],
  [20, y],
  [40, 150],
]
const block = (layer: string, x: number, y: number): Pairs => [
  [0, 'INSERT'],
  [8, layer],
  [2, 'COL'],
  [10, x],
  [20, y],
]
const text = (layer: string): Pairs => [
  [0, 'TEXT'],
  [8, layer],
  [10, 0],
  [20, 0],
  [40, 200],
  [1, 'Plan'],
]

const planFor = (...args: Parameters<typeof dxf>): DxfPlan => {
  const read = readDxf(dxf(...args))
  if (!read.ok) throw new Error(read.problem)
  return read.plan
}

/** A bay of 6 by 4 m in millimetres. */
const bay = [
  ...[
    [0, 0, 6000, 0],
    [6000, 0, 6000, 4000],
    [6000, 4000, 0, 4000],
    [0, 4000, 0, 0],
  ].map(([a = 0, b = 0, c = 0, d = 0]) => line('STEEL', a, b, c, d)),
  ...[
    [0, 0],
    [6000, 0],
    [6000, 4000],
  ].map(([x = 0, y = 0]) => circle('COLS', x, y)),
  block('COLS', 0, 4000),
  polyline(
    'FLOOR',
    [
      [0, 0],
      [6000, 0],
      [6000, 4000],
      [0, 4000],
    ],
    true,
  ),
  polyline(
    'FLOOR',
    [
      [100, 100],
      [5000, 100],
    ],
    false,
  ),
  text('NOTES'),
]

test('shapes by layer, the unit of the drawing, and what is left out', () => {
  const { layers, unit, leftOut } = planFor(bay)
  expect(layers.map(({ name, paths, rings, points }) => [name, paths.length, rings.length, points.length])).toEqual([
    ['COLS', 0, 0, 4],
    ['FLOOR', 1, 1, 0],
    ['STEEL', 4, 0, 0],
  ])
  expect([unit, leftOut]).toEqual([1e-3, { TEXT: 1 }])
  expect(planFor(bay, null).unit).toBeNull()
  expect(planFor(bay, 2).unit).toBe(0.3048)
})

test('a bulge is an arc: half a circle of 2 m over a side (bulge 1), followed within ten degrees', () => {
  const [ring] =
    planFor(
      [
        polyline(
          'A',
          [
            [0, 0],
            [4, 0, 1],
            [4, 4],
            [0, 4],
          ],
          true,
        ),
      ],
      6,
    ).layers[0]?.rings ?? []
  // hand: 16 + half of a circle of 2 m; chords of ten degrees take half a percent of the half circle
  expect(signedArea(ring ?? [])).toBeGreaterThan(16 + 0.99 * 2 * Math.PI)
  expect(signedArea(ring ?? [])).toBeLessThan(16 + 2 * Math.PI)
})

test('two points that are said to be closed are a line, and a corner that is none leaves its neighbours joined', () => {
  const there = polyline(
    'A',
    [
      [0, 0],
      [4, 0],
    ],
    true,
  )
  const [layer] = planFor([there], 6).layers
  expect(layer?.rings).toEqual([])
  expect(layer?.sides).toEqual([
    [
      [0, 0],
      [4, 0],
    ],
  ])
  const broken = polyline(
    'A',
    [
      [0, 0],
      [4, 0],
      [1e12, 2],
      [4, 4],
    ],
    false,
  )
  expect(planFor([broken], 6).layers[0]?.paths).toEqual([
    [
      [0, 0],
      [4, 0],
      [4, 4],
    ],
  ])
})

test('an arc goes counter-clockwise from its start to its end, also over east', () => {
  const arc: Pairs = [
    [0, 'ARC'],
    [8, 'A'],
    [10, 0],
    [20, 0],
    [40, 5],
    [50, 270],
    [51, 90],
  ]
  const [path] = planFor([arc], 6).layers[0]?.paths ?? []
  expect(path?.[0]).toEqual([expect.closeTo(0, 9), expect.closeTo(-5, 9)])
  expect(path?.at(-1)).toEqual([expect.closeTo(0, 9), expect.closeTo(5, 9)])
  expect(Math.max(...(path ?? []).map(([x]) => x))).toBeCloseTo(5, 1)
})

test.each([
  ['', /Not a DXF file\./],
  ['{"a": 1}', /Not a DXF file\./],
  ['some binary form\r\n\u001a\u0000', /binary DXF/],
  [dxf(bay).replace(/ {2}0\nEOF\n$/, ''), /truncated/],
  [dxf([text('NOTES')]), /no lines, outlines or points/],
])('what is no drawing is refused in words', (source, problem) => {
  const read = readDxf(source)
  expect(read.ok ? 'read' : read.problem).toMatch(problem)
})

test('numbers that are none, and a layer with a name that means something elsewhere', () => {
  const { layers } = planFor([
    line('__proto__', 0, 0, 1, 0),
    [
      [0, 'LINE'],
      [8, 'A'],
      [10, 'x'],
      [20, 0],
      [11, 1],
      [21, 0],
    ],
  ])
  expect(layers.map(({ name }) => name)).toEqual(['__proto__'])
})

describe('records from a plan', () => {
  const importFor = (
    uses: Readonly<Record<string, LayerUse>>,
    entities = bay,
    unit = 1e-3,
    building = new Building(),
  ) => {
    building.level('Base', 0)
    const layout = building.layout('Floor', null, building.level('1', 3))
    const { layers } = planFor(entities)
    const chosen = layers.map((layer) => [layer, uses[layer.name] ?? 'none'] as const)
    const { document, random } = building
    return { document, ...importedPlan(chosen, { document, layout, random, unit, origin: [0, 0] }) }
  }

  test('members, columns and a panel in metres, with labels that count on; what closes nothing is said', () => {
    const { document, records, words, leftOut } = importFor({ STEEL: 'beam', COLS: 'column', FLOOR: 'panel' })
    expect(words).toBe('4 columns, 1 panel, 4 beams')
    expect(leftOut).toEqual(['1 lines that do not close an outline'])
    const applied = applyChange(document, {
      id: 'c',
      seen: 0,
      note: '',
      edits: records.map((record) => ({ id: record.id, before: null, after: record })),
    })
    if (!applied.ok) throw new Error(JSON.stringify(applied.problems))
    expect(recordsOf(applied.document, 'panel').map(({ outline }) => signedArea(outline))).toEqual([24])
    const labels = recordsOf(applied.document, 'member')
      .map(({ label }) => label)
      .sort()
    expect(labels).toEqual(['B1', 'B2', 'B3', 'B4', 'C1', 'C2', 'C3', 'C4'])
  })

  test('bearing walls from lines and from a closed outline, which they go round; without a rectangle it is said why not', () => {
    const round = polyline(
      'WALLS',
      [
        [0, 0],
        [6000, 0],
        [6000, 4000],
        [0, 4000],
      ],
      true,
    )
    const walls = [round, line('WALLS', 3000, 0, 3000, 4000)]
    const refused = importFor({ WALLS: 'wall' }, walls)
    expect(refused.records).toEqual([])
    expect(refused.problem).toMatch(/^A bearing wall must have a material and a rectangular section whose width/)
    const building = new Building()
    building.sectionOf({ shape: 'rectangle', width: 0.24, depth: 1, area: 0.24 })
    const { records, words } = importFor({ WALLS: 'wall' }, walls, 1e-3, building)
    expect(words).toBe('2 bearing walls')
    const paths = records.flatMap((record) => (record.kind === 'member' ? [record.path] : []))
    expect(paths.map((path) => path.length).sort()).toEqual([2, 5])
    expect(paths.find((path) => path.length === 5)?.at(-1)).toEqual([0, 0])
  })

  test('an arc of a polyline is one bent beam, its straight sides one beam each; no arc is a grid line', () => {
    const shape = polyline(
      'STEEL',
      [
        [0, 0],
        [4000, 0, 1],
        [4000, 4000],
        [0, 4000],
      ],
      false,
    )
    const { records } = importFor({ STEEL: 'beam' }, [shape])
    const paths = records.flatMap((record) => (record.kind === 'member' ? [record.path] : []))
    // half a circle of 2 m in chords of ten degrees
    expect(paths.map((path) => path.length)).toEqual([2, 19, 2])
    for (const [x, y] of paths[1] ?? []) expect(Math.hypot(x - 4, y - 2)).toBeCloseTo(2, 5)
    const grid = importFor({ STEEL: 'gridLine' }, [shape])
    expect(grid.records).toHaveLength(2)
    expect(grid.leftOut).toEqual(['1 arcs, which cannot be grid lines'])
  })

  test('grid lines once each, skew ones too', () => {
    const { records, leftOut } = importFor({ STEEL: 'gridLine' }, [
      ...bay,
      line('STEEL', 0, 0, 1000, 1000),
      line('STEEL', 2000, 2000, 3000, 3000),
    ])
    expect(
      records.flatMap((record) => (record.kind === 'gridLine' ? [[record.axis, record.label, record.at]] : [])),
    ).toEqual([
      ['y', 'A', 0],
      ['x', '1', 6],
      ['y', 'B', 4],
      ['x', '2', 0],
      ['line', 'S1', 0],
    ])
    // the second skew one goes on from the first
    expect(leftOut).toEqual(['1 grid lines that exist already'])
  })

  test('a drawing in the wrong unit lies far off and is left out, not taken over', () => {
    const { records, leftOut } = importFor({ STEEL: 'beam' }, bay, 1000)
    expect(records).toEqual([])
    expect(leftOut).toEqual(['4 shapes further than 100 km from the origin'])
  })

  test('outlines that cross themselves or have no area', () => {
    const { leftOut } = importFor({ A: 'panel' }, [
      polyline(
        'A',
        [
          [0, 0],
          [4000, 4000],
          [4000, 0],
          [0, 4000],
        ],
        true,
      ),
      polyline(
        'A',
        [
          [0, 0],
          [4000, 0],
          [8000, 0],
        ],
        true,
      ),
    ])
    expect(leftOut).toEqual(['1 outlines that cross themselves', '1 outlines without area'])
  })
})

test('layers with usual names are proposed for what they are, where they have shapes of that sort', () => {
  const layer = (name: string, more: Partial<DxfLayer> = {}): DxfLayer => ({
    name,
    paths: [
      [
        [0, 0],
        [1, 0],
      ],
    ],
    sides: [],
    rings: [
      [
        [0, 0],
        [1, 0],
        [1, 1],
      ],
    ],
    points: [[0, 0]],
    ...more,
  })
  // names as the trade gives them (common practice)
  const wanted: Readonly<Record<string, LayerUse>> = {
    'S-GRID': 'gridLine',
    Achsen: 'gridLine',
    'S-COLS': 'column',
    COLUMNS: 'column',
    Stützen: 'column',
    'S-BEAM': 'beam',
    Primary_girders: 'girder',
    Unterzüge: 'beam',
    'A-WALL': 'wall',
    Wände: 'wall',
    'S-SLAB': 'panel',
    'Slab openings': 'opening',
    'A-FACADE': 'wallRun',
    'GRID-DIMENSIONS': 'none',
    '0': 'none',
    COLOURS: 'none',
  }
  for (const [name, use] of Object.entries(wanted)) expect([name, proposedUse(layer(name))]).toEqual([name, use])
  expect(proposedUse(layer('S-SLAB', { rings: [] }))).toBe('none')
  expect(proposedUse(layer('S-COLS', { rings: [], points: [] }))).toBe('none')
  expect(proposedUse(layer('S-BEAM', { rings: [], paths: [] }))).toBe('none')
})
