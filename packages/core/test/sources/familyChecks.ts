import type { FamilyId } from '../../src/standards/family'
import { parameter, tableOf, type Standard } from '../../src/standards/layer'
import { readTable } from '../../src/trace/readTable'
import { given } from '../../src/trace/traced'
import type { StandardCheck } from './standardChecks'

// Tables of imposed loads and combinations of ASCE 7, IS and BS, written down a second time and in another order than in
// the code: by value, with the rows that have it. From memory, like the tables themselves.

export type ByValue = Readonly<Record<string, string>>

export const remembered = (source: string, key: string, value: number): StandardCheck => ({
  source,
  fromMemory: true,
  read: (standard: Standard) => parameter(standard, key).value,
  value,
})

export const byValue = (source: string, prefix: string, unit: number, table: ByValue): readonly StandardCheck[] =>
  Object.entries(table).flatMap(([value, uses]) =>
    uses.split(' ').map((use) => remembered(`${source}, ${use} ${value}`, `${prefix}.${use}`, Number(value) * unit)),
  )

/** psf and lb in SI (NIST SP 811, table of conversion factors). */
const [psf, lb] = [47.88026, 4.448222]

const asceUniform: ByValue = {
  '0': 'elevator-grating light-floor-plate roof-maintenance roof-members roof-panel-points scuttles',
  '5': 'awnings-fabric awnings-screens',
  '10': 'attics-bare',
  '20': 'attics-storage roof roof-landscaped awnings-other storage-above-ceilings',
  '30': 'attics-sleeping',
  '40': 'catwalks fire-escapes-single garages helipads-light hospital-patients penal-cells homes residential-rooms school-classrooms stairs-homes',
  '50': 'access-floor-office offices',
  '60': 'assembly-fixed-seats helipads hospital-operating library-reading recreation-fixed-seats walkways',
  '75': 'marquees recreation-bowling retail-upper',
  '80': 'hospital-corridors library-corridors office-corridors school-corridors',
  '100':
    'access-floor-computer assembly-lobbies assembly-movable-seats assembly-platforms assembly-other corridors-first-floor dining fire-escapes office-lobbies penal-corridors recreation-dance recreation-gymnasiums recreation-stands residential-public roof-garden-assembly school-corridors-first stairs retail-first-floor terraces',
  '125': 'manufacturing-light storage-light wholesale',
  '150': 'armories assembly-stage-floors library-stacks',
  '250': 'manufacturing-heavy sidewalks storage-heavy',
}
const asceConcentrated: ByValue = {
  '200': 'awnings-screens light-floor-plate scuttles',
  '300': 'catwalks elevator-grating roof-maintenance roof-members stairs stairs-homes',
  '1000':
    'hospital-operating hospital-patients hospital-corridors library-reading library-stacks library-corridors school-classrooms school-corridors school-corridors-first retail-first-floor retail-upper wholesale',
  '2000':
    'access-floor-office access-floor-computer manufacturing-light office-lobbies offices office-corridors roof-panel-points',
  '3000': 'garages manufacturing-heavy',
  '8000': 'sidewalks',
}

/** ASCE 7-16 2.3.1 and 2.4.1, row by row: D, L, L (heavy or assembly), L_r, W; 0 where the row does not have it. */
const asceRows = [
  ['lrfd-1', 1.4, 0, 0, 0, 0],
  ['lrfd-2', 1.2, 1.6, 1.6, 0.5, 0],
  ['lrfd-3', 1.2, 0.5, 1, 1.6, 0.5],
  ['lrfd-4', 1.2, 0.5, 1, 0.5, 1],
  ['lrfd-5', 0.9, 0, 0, 0, 1],
  ['asd-1', 1, 0, 0, 0, 0],
  ['asd-2', 1, 1, 1, 0, 0],
  ['asd-3', 1, 0, 0, 1, 0],
  ['asd-4', 1, 0.75, 0.75, 0.75, 0],
  ['asd-5', 1, 0, 0, 0, 0.6],
  // 0.75 · 0.6 W
  ['asd-6', 1, 0.75, 0.75, 0.75, 0.45],
  ['asd-7', 0.6, 0, 0, 0, 0.6],
] as const

function rowChecks(
  source: string,
  keys: readonly string[],
  rows: readonly (readonly [string, ...number[]])[],
): readonly StandardCheck[] {
  return rows.flatMap(([row, ...factors]) =>
    factors.flatMap((factor, i) =>
      factor === 0 ? [] : [remembered(`${source}, ${row}`, `rule.${row}.${keys[i] ?? ''}`, factor)],
    ),
  )
}

const isUniform: ByValue = {
  '0.75': 'roof',
  '1.5': 'dwelling-units roof-access',
  '2': 'dwelling-rooms hotel-rooms education-dormitories institution-wards assembly-dressing assembly-lounges work-toilets hotel-toilets education-toilets institution-toilets assembly-toilets office-toilets shop-toilets',
  '2.5': 'hotel-offices garages education-offices institution-offices offices shop-offices work-bare',
  '3': 'education-dining assembly-offices dwelling-unit-balconies dwelling-stairs dwelling-balconies hotel-kitchens hotel-lounges hotel-games hotel-corridors education-classrooms education-kitchens library-reading institution-kitchens institution-dining institution-operating banking-halls office-dining shop-dining shop-kitchens work-dining work-kitchens',
  '3.5': 'computer-rooms',
  '4': 'education-plant education-balconies institution-balconies assembly-balconies office-balconies shop-balconies hotel-dining hotel-balconies library-reading-books education-corridors institution-corridors assembly-fixed-seats assembly-restaurants assembly-corridors offices-storing office-corridors shops shop-corridors work-corridors storage-corridors',
  '5': 'garages-heavier assembly-projection shop-corridors-wheels hotel-stores residential-plant education-projection education-stores institution-plant assembly-open assembly-stages assembly-corridors-wheels office-records office-plant shop-plant work-light work-plant work-corridors-wheels storage-corridors-wheels',
  '6': 'library-stacks wholesale',
  '7': 'work-medium',
  '7.5': 'assembly-plant storage storage-plant',
  '10': 'work-heavy',
  '15': 'cold-storage',
}
const isConcentrated: ByValue = {
  '1.4': 'dwelling-units',
  '1.8': 'dwelling-rooms hotel-rooms hotel-games institution-wards assembly-dressing',
  '2.7':
    'education-dining hotel-lounges hotel-dining hotel-offices education-classrooms education-offices education-dormitories institution-dining institution-offices assembly-lounges offices banking-halls office-dining shop-offices shop-dining work-dining',
  '3.6': 'assembly-open shops',
  '4.5':
    'education-plant assembly-offices shop-corridors-wheels dwelling-stairs hotel-kitchens hotel-stores hotel-corridors education-kitchens education-stores library-stacks library-reading library-reading-books education-corridors institution-kitchens institution-operating institution-corridors institution-plant assembly-restaurants assembly-stages assembly-corridors assembly-corridors-wheels assembly-plant offices-storing computer-rooms office-records office-corridors wholesale shop-kitchens shop-corridors work-bare work-light work-medium work-heavy work-corridors work-kitchens work-corridors-wheels storage-corridors storage-corridors-wheels storage-plant',
  '6.7': 'residential-plant office-plant shop-plant work-plant',
  '7': 'storage',
  '9': 'garages garages-heavier office-stationery cold-storage',
}

/** IS 456 table 18 and IS 800 table 4: DL, DL where it helps, IL, IL on the roof, WL. */
const isRows = [
  ['concrete-1', 1.5, 0, 1.5, 1.5, 0],
  ['concrete-2', 1.5, 0.9, 0, 0, 1.5],
  ['concrete-3', 1.2, 0, 1.2, 1.2, 1.2],
  ['concrete-4', 1, 0, 1, 1, 0],
  ['concrete-5', 1, 0, 0, 0, 1],
  ['concrete-6', 1, 0, 0.8, 0.8, 0.8],
  ['steel-1', 1.5, 0, 1.5, 1.5, 0],
  ['steel-2', 1.2, 0, 1.2, 1.2, 0.6],
  ['steel-3', 1.2, 0, 1.2, 1.2, 1.2],
  ['steel-4', 1.5, 0.9, 0, 0, 1.5],
  ['steel-5', 1, 0, 1, 1, 0],
  ['steel-6', 1, 0, 0.8, 0.8, 0.8],
  ['steel-7', 1, 0, 0, 0, 1],
] as const

const bsUniform: ByValue = {
  '0': 'B-catwalks',
  '0.6': 'roof',
  '1.5': 'A-dwellings A-dwelling-balconies A-bedrooms roof-access',
  '2': 'A-hotel-bedrooms A-billiards B-operating C1-dining E-equipment',
  '2.5': 'B-work-rooms B-offices C1-reading F-cars',
  '3': 'A-kitchens A-corridors A-balconies B-banking B-kitchens C1-classrooms C2-worship C3-corridors C3-stairs C3-walkways-light',
  '3.5': 'B-computers',
  '4': 'A-hotel-balconies B-machinery C2-fixed-seats C3-crowd-corridors C3-crowd-stairs C3-balconies C3-museums D-shops E-reading',
  '5': 'B-projection B-factories C3-wheeled C3-walkways-general C4-gymnasia C4-drill C5-crowds E-files',
  '6.5': 'E-stacks',
  '7.5': 'C3-walkways-heavy C5-stages E-plant',
  '9.6': 'E-dense-stacks',
  '15': 'E-cold E-dense-warehouse',
  '20': 'B-foundries',
}
const bsConcentrated: ByValue = {
  '0.9': 'roof',
  '1': 'B-catwalks',
  '1.4': 'A-dwellings A-dwelling-balconies',
  '1.8': 'A-bedrooms A-hotel-bedrooms B-work-rooms E-equipment roof-access',
  '2': 'C3-walkways-light',
  '2.7': 'A-billiards B-offices C1-dining C1-classrooms C2-worship',
  '3.6': 'C3-walkways-general C4-gymnasia C5-crowds D-shops',
  '4': 'C3-stairs C3-crowd-stairs',
  '4.5':
    'A-kitchens A-corridors B-operating B-kitchens B-computers B-machinery B-factories C1-reading C3-corridors C3-crowd-corridors C3-wheeled C3-walkways-heavy C3-museums C5-stages E-reading E-files E-plant',
  '7': 'E-storage E-stacks E-dense-stacks E-dense-warehouse',
  '9': 'C4-drill E-paper E-cold F-cars',
}

/** BS 8110-1 table 2.1, and the values themselves: dead, dead where it helps, imposed, imposed on the roof, wind. */
const bsRows = [
  ['ultimate-1', 1.4, 1, 1.6, 1.6, 0],
  ['ultimate-2', 1.4, 1, 0, 0, 1.4],
  ['ultimate-3', 1.2, 0, 1.2, 1.2, 1.2],
  ['service-1', 1, 0, 1, 1, 1],
] as const

/** A table of reductions, read at places on and beside its steps. */
const spared = (
  source: string,
  key: string,
  quantity: 'count' | 'area',
  pairs: readonly (readonly [at: number, part: number])[],
): readonly StandardCheck[] =>
  pairs.map(([at, value]): StandardCheck => ({
    source: `${source}, at ${at}`,
    fromMemory: true,
    read: (standard) => {
      const read = readTable(tableOf(standard, key), 'spared', given('x', quantity, at, 'check'))
      return read.ok ? read.value.value : NaN
    },
    value,
  }))

/** None for one floor, a tenth more for each up to four, four tenths for five to ten, half for more. */
const floorSteps = [
  [0.995, NaN],
  [1, 0],
  [1.005, 0],
  [1.995, 0],
  [2, 0.1],
  [2.985, 0.1],
  [3, 0.2],
  [3.97, 0.2],
  [4, 0.3],
  [4.97, 0.3],
  [5, 0.4],
  [10, 0.4],
  [10.95, 0.4],
  [11, 0.5],
  [40, 0.5],
] as const

/** BS 6399-1, table 3, at its rows and between them. */
const areaRows = [
  [0, 0],
  [0.005, 0.000005],
  [25, 0.025],
  [50, 0.05],
  [100, 0.1],
  [150, 0.15],
  [200, 0.2],
  [225, 0.225],
  [250, 0.25],
  [400, 0.25],
] as const

export const familyChecks: Readonly<Record<Exclude<FamilyId, 'EN'>, readonly StandardCheck[]>> = {
  ASCE: [
    ...byValue('ASCE 7-16 table 4.3-1 (psf)', 'imposed.q_k', psf, asceUniform),
    ...byValue('ASCE 7-16 table 4.3-1 (lb)', 'imposed.Q_k', lb, asceConcentrated),
    ...rowChecks('ASCE 7-16 2.3.1, 2.4.1', ['G_sup', 'L', 'Lp', 'Lr', 'wind'], asceRows),
    remembered('ASCE 7-16 12.7.2: 25 % of storage', 'mass.share.storage', 0.25),
    remembered('ASCE 7-16 12.7.2, item 2: 10 psf', 'mass.partitions.least', 10 * psf),
    remembered('ASCE 7-16 4.3.2: 15 psf', 'imposed.partitions.least', 15 * psf),
    remembered('ASCE 7-16 (4.7-1): 15 ft, 4.57 m in its SI form', 'reduction.length', 4.572),
    remembered('ASCE 7-16 4.7.6: 1.5 times the span', 'reduction.slabWidth', 1.5),
    remembered('ASCE 7-16 4.8.2: 200 ft2, 18.58 m2', 'reduction.roofArea', 18.580608),
    remembered('ASCE 7-16 4.3.2, exception: 80 psf', 'imposed.partitions.limit', 80 * psf),
  ],
  IS: [
    ...byValue('IS 875-2 tables 1 and 2 (kN/m²)', 'imposed.q_k', 1000, isUniform),
    ...byValue('IS 875-2 table 1 (kN)', 'imposed.Q_k', 1000, isConcentrated),
    ...byValue('IS 875-2 table 1, for each metre of storage height (kN/m²)', 'imposed.q_h', 1000, {
      '2': 'library-stacks',
      '2.4': 'storage',
      '4': 'office-stationery',
      '5': 'cold-storage',
    }),
    remembered('IS 875-2 table 1, stack rooms: beyond 2.2 m', 'imposed.h_0.library-stacks', 2.2),
    ...rowChecks('IS 456 table 18, IS 800 table 4', ['G_sup', 'G_inf', 'IL', 'ILr', 'wind'], isRows),
    remembered('IS 1893-1 table 10: 25 % up to 3 kN/m²', 'mass.share.low', 0.25),
    remembered('IS 1893-1 table 10: 50 % above', 'mass.share.high', 0.5),
    remembered('IS 1893-1 table 10: 3 kN/m²', 'mass.share.limit', 3000),
    remembered('IS 875-2 3.1.2: not above 4.0 kN per metre', 'imposed.partitions.heaviest', 4000),
    remembered('IS 875-2 3.1.2: not above 1.5 kN/m² of wall', 'imposed.partitions.heaviestFace', 1500),
    remembered('IS 875-2 3.1.2: at least 1 kN/m²', 'imposed.partitions.least', 1000),
    remembered('IS 875-2 3.2.1.1: 5 kN/m²', 'reduction.kept', 5000),
    ...spared('IS 875-2 3.2.1', 'reduction.storeys', 'count', floorSteps),
    ...spared('IS 875-2 3.2.2', 'reduction.beams', 'area', [
      [0, 0],
      [49.8, 0],
      [50, 0.05],
      [99.6, 0.05],
      [100, 0.1],
      [149.4, 0.1],
      [150, 0.15],
      [199.2, 0.15],
      [200, 0.2],
      [249, 0.2],
      [250, 0.25],
      [400, 0.25],
    ]),
  ],
  BS: [
    ...byValue('BS 6399-1 table 1, BS 6399-3 4 (kN/m²)', 'imposed.q_k', 1000, bsUniform),
    ...byValue('BS 6399-1 table 1, BS 6399-3 4 (kN)', 'imposed.Q_k', 1000, bsConcentrated),
    ...byValue('BS 6399-1 table 1, for each metre of storage height (kN/m²)', 'imposed.q_h', 1000, {
      '2.4': 'E-stacks E-storage',
      '4': 'E-paper',
      '4.8': 'E-dense-stacks E-dense-warehouse',
      '5': 'E-cold',
    }),
    ...rowChecks('BS 8110-1 table 2.1', ['G_sup', 'G_inf', 'Q', 'Qr', 'wind'], bsRows),
    remembered('BS 6399-1 5.1.4: at least 1 kN/m²', 'imposed.partitions.least', 1000),
    remembered('BS 6399-1 6.1: 5 kN/m²', 'reduction.kept', 5000),
    ...spared('BS 6399-1 table 2', 'reduction.storeys', 'count', floorSteps),
    ...spared('BS 6399-1 table 3', 'reduction.area', 'area', areaRows),
    ...spared('BS 6399-1 table 3', 'reduction.beams', 'area', areaRows),
  ],
}

/** ASCE 7-05 2.3.2 and 2.4.1: wind at service level. */
export const asce705Checks: readonly StandardCheck[] = rowChecks(
  'ASCE 7-05 2.3.2, 2.4.1',
  ['wind'],
  [
    ['lrfd-3', 0.8],
    ['lrfd-4', 1.6],
    ['lrfd-5', 1.6],
    ['asd-5', 1],
    ['asd-6', 0.75],
    ['asd-7', 1],
  ],
)

const [kN, m2] = [1000, 1000]

/** DIN EN 1991-1-1/NA, tables 6.1DE, 6.8DE and 6.10DE. */
export const germanUseChecks: readonly StandardCheck[] = [
  ...byValue('DIN EN 1991-1-1/NA (kN/m²)', 'imposed.q_k', m2, {
    '0': 'H',
    '1': 'A1',
    '1.5': 'A2',
    '2': 'A3 B1 D1',
    '2.5': 'F1',
    '3': 'B2 C1 T1',
    '4': 'C2 Z',
    '5': 'B3 C3 C4 C5 D2 D3 E1.1 F2 T2',
    '6': 'E1.2',
    '7.5': 'C6 E2.1 T3',
  }),
  ...byValue('DIN EN 1991-1-1/NA (kN)', 'imposed.Q_k', kN, {
    '1': 'A1 A3 H',
    '2': 'B1 D1 T1 T2 Z',
    '3': 'B2 T3',
    '4': 'B3 C1 C2 C3 C5 D2 E1.1',
    '7': 'C4 D3 E1.2',
    '10': 'C6 E2.1',
    '20': 'F1 F2',
  }),
]
