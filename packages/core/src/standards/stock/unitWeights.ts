/** A row of a table of unit weights, in N/m³: one value, or a range where the material varies. */
export interface UnitWeight {
  readonly name: string
  readonly group: string
  readonly from: number
  readonly to: number
  readonly clause: string
  readonly fromMemory: boolean
}

type Rows = Readonly<Record<string, number | readonly [from: number, to: number]>>

// EN 1991-1-1:2002, Annex A, in kN/m³, row by row as printed. From memory.
const tables: readonly (readonly [table: string, group: string, rows: Rows])[] = [
  [
    'A.1',
    'concrete',
    {
      'lightweight concrete, LC 1.0': [9, 10],
      'lightweight concrete, LC 1.2': [10, 12],
      'lightweight concrete, LC 1.4': [12, 14],
      'lightweight concrete, LC 1.6': [14, 16],
      'lightweight concrete, LC 1.8': [16, 18],
      'lightweight concrete, LC 2.0': [18, 20],
      'normal weight concrete': 24,
      'reinforced concrete': 25,
    },
  ],
  [
    'A.1',
    'mortar',
    {
      'cement mortar': [19, 23],
      'gypsum mortar': [12, 18],
      'lime-cement mortar': [18, 20],
      'lime mortar': [12, 18],
    },
  ],
  [
    'A.2',
    'natural stone',
    {
      'granite, syenite, porphyry': [27, 30],
      'basalt, diorite, gabbro': [27, 31],
      tachylyte: 26,
      'basaltic lava': 24,
      'grey wacke, sandstone': [21, 27],
      'dense limestone': [20, 29],
      'other limestone': 20,
      'volcanic tuff': 20,
      gneiss: 30,
      slate: 28,
    },
  ],
  [
    'A.3',
    'wood',
    {
      'timber C14': 3.5,
      'timber C16': 3.7,
      'timber C18': 3.8,
      'timber C22': 4.1,
      'timber C24': 4.2,
      'timber C27': 4.5,
      'timber C30': 4.6,
      'timber C35': 4.8,
      'timber C40': 5,
      'timber D30': 6.4,
      'timber D35': 6.7,
      'timber D40': 7,
      'timber D50': 7.8,
      'timber D60': 8.4,
      'timber D70': 10.8,
      'glued laminated timber GL24h': 3.7,
      'glued laminated timber GL28h': 4,
      'glued laminated timber GL32h': 4.2,
      'glued laminated timber GL36h': 4.4,
      'glued laminated timber GL24c': 3.5,
      'glued laminated timber GL28c': 3.7,
      'glued laminated timber GL32c': 4,
      'glued laminated timber GL36c': 4.2,
      'softwood plywood': 5,
      'birch plywood': 7,
      'laminboard and blockboard': 4.5,
      chipboard: [7, 8],
      'cement-bonded particle board': 12,
      'flake board, oriented strand board, wafer board': 7,
      'hardboard, standard and tempered': 10,
      'medium density fibreboard': 8,
      softboard: 4,
    },
  ],
  [
    'A.4',
    'metal',
    {
      aluminium: 27,
      brass: [83, 85],
      bronze: [83, 85],
      copper: [87, 89],
      'cast iron': [71, 72.5],
      'wrought iron': 76,
      lead: [112, 114],
      steel: [77, 78.5],
      zinc: [71, 72],
    },
  ],
  [
    'A.5',
    'other',
    {
      'glass, broken': 22,
      'glass, in sheets': 25,
      'acrylic sheet': 12,
      'expanded polystyrene, granules': 0.3,
      'foam glass': 1.4,
    },
  ],
]

// ASCE 7-16, commentary table C3.1-2, minimum densities in lb/ft³, row by row as remembered.
const asce: Readonly<Record<string, Rows>> = {
  metal: {
    'aluminium, ASCE': 170,
    'brass, ASCE': 526,
    'bronze, ASCE': 552,
    'copper, ASCE': 556,
    'iron, cast': 450,
    'iron, wrought': 480,
    'lead, ASCE': 710,
    'steel, cold-drawn': 492,
    'tin, ASCE': 459,
    'zinc, rolled sheet': 449,
  },
  concrete: {
    'concrete, plain, cinder': 108,
    'concrete, plain, expanded-slag aggregate': 100,
    'concrete, plain, expanded-clay aggregate': 90,
    'concrete, plain, slag': 132,
    'concrete, plain, stone': 144,
    'concrete, reinforced, cinder': 111,
    'concrete, reinforced, slag': 138,
    'concrete, reinforced, stone': 150,
  },
  masonry: {
    'ashlar, granite': 165,
    'ashlar, limestone, crystalline': 165,
    'ashlar, limestone, oolitic': 135,
    'ashlar, marble': 173,
    'ashlar, sandstone': 144,
    'brick, hard': 130,
    'brick, medium': 115,
    'brick, soft': 100,
    'concrete masonry, lightweight units': 105,
    'concrete masonry, medium-weight units': 125,
    'concrete masonry, normal-weight units': 135,
    'masonry grout': 140,
    'mortar, cement or lime': 130,
    'rubble, granite': 153,
    'rubble, sandstone': 137,
  },
  other: {
    asphaltum: 81,
    'bituminous gravel': 120,
    'cast stone': 144,
    'ceramic tile': 150,
    cork: 14,
    glass: 160,
    'gravel, dry': 104,
    'gypsum, wallboard': 50,
    ice: 57,
    'sand, clean and dry': 90,
    'sand, river, dry': 106,
    'slate, ASCE': 172,
    'terra cotta, solid': 120,
    'water, fresh': 62,
    'water, sea': 64,
  },
  wood: {
    'particleboard, ASCE': 45,
    'plywood, ASCE': 36,
    'ash, commercial white': 41,
    'cypress, southern': 34,
    'fir, Douglas, coast region': 34,
    'hem fir': 28,
    'oak, commercial reds and whites': 47,
    'pine, southern yellow': 37,
    redwood: 28,
    'spruce, red, white and Sitka': 29,
    'western hemlock': 32,
  },
}

// IS 875 (Part 1):1987, table 1, in kN/m³; the rows that are sure enough to stand here.
const is: Readonly<Record<string, Rows>> = {
  masonry: {
    'common burnt clay bricks': [15.7, 18.85],
    'brick masonry, common burnt clay bricks': 18.85,
    'stone masonry, granite': 26,
    'stone masonry, sandstone': 22,
  },
  concrete: {
    'plain cement concrete, IS': [22, 23.55],
    'reinforced cement concrete, 1 % steel': [22.75, 24.2],
    'reinforced cement concrete, 2 % steel': [23.25, 24.8],
    'reinforced cement concrete, 5 % steel': [24.8, 26.5],
  },
  mortar: {
    'cement mortar, IS': 20.4,
    'lime mortar, IS': [15.7, 18.05],
    'gypsum plaster': 18.85,
  },
  metal: {
    'steel, rolled': 77,
  },
  wood: {
    teak: 6.3,
    sal: 8.65,
    deodar: 5.5,
  },
}

/** lb/ft³ in N/m³ (NIST SP 811: 1 lb/ft³ of weight is 157.0875 N/m³). */
const poundsPerCubicFoot = 157.087_46

const expandRows = (clause: string, group: string, rows: Rows, unit: number): readonly UnitWeight[] =>
  Object.entries(rows).map(([name, value]): UnitWeight => {
    const [from, to] = typeof value === 'number' ? [value, value] : value
    return { name, group, from: from * unit, to: to * unit, clause, fromMemory: true }
  })

/**
 * Every row, standard after standard and table after table. Reinforced concrete of EN is the plain one and 1 kN/m³, by
 * the note.
 */
export const unitWeights: readonly UnitWeight[] = [
  ...tables.flatMap(([table, group, rows]) => expandRows(`EN 1991-1-1 table ${table}`, group, rows, 1000)),
  ...Object.entries(asce).flatMap(([group, rows]) =>
    expandRows('ASCE 7-16 table C3.1-2', group, rows, poundsPerCubicFoot),
  ),
  ...Object.entries(is).flatMap(([group, rows]) => expandRows('IS 875-1 table 1', group, rows, 1000)),
]

/** How a record says where its value came from. */
export const sourceOf = ({ clause, fromMemory }: UnitWeight): string => `${clause}${fromMemory ? ', from memory' : ''}`
