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

/** Every row, table after table in the printed order. Reinforced concrete is the plain one and 1 kN/m³, by the note. */
export const unitWeights: readonly UnitWeight[] = tables.flatMap(([table, group, rows]) =>
  Object.entries(rows).map(([name, value]): UnitWeight => {
    const [from, to] = typeof value === 'number' ? [value, value] : value
    return { name, group, from: from * 1000, to: to * 1000, clause: `EN 1991-1-1 table ${table}`, fromMemory: true }
  }),
)

/** How a record says where its value came from. */
export const sourceOf = ({ clause, fromMemory }: UnitWeight): string => `${clause}${fromMemory ? ', from memory' : ''}`
