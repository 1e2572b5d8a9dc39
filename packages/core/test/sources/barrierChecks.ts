import { byValue, remembered, type ByValue } from './familyChecks'
import type { StandardCheck } from './standardChecks'

// Horizontal loads on barriers, written down a second time from memory of the tables: by value, with the uses that have it.

const [kilo, key] = [1000, 'barrier.q_k']

/** NIST SP 811: one pound-force per foot is 14.593 90 N/m. */
const poundPerFoot = 14.5939

const asceFloors =
  'access-floor-office access-floor-computer armories assembly-fixed-seats assembly-lobbies assembly-movable-seats assembly-platforms assembly-stage-floors assembly-other balconies catwalks corridors-first-floor corridors-other dining elevator-grating light-floor-plate fire-escapes garages helipads helipads-light hospital-operating hospital-patients hospital-corridors library-reading library-stacks library-corridors manufacturing-light manufacturing-heavy marquees office-lobbies offices office-corridors penal-cells penal-corridors recreation-bowling recreation-dance recreation-gymnasiums recreation-stands recreation-fixed-seats residential-rooms residential-public roof-garden-assembly roof-used school-classrooms school-corridors school-corridors-first scuttles sidewalks stairs storage-above-ceilings storage-light storage-heavy retail-first-floor retail-upper wholesale walkways terraces'

const isCrowded =
  'assembly-fixed-seats assembly-open assembly-restaurants assembly-stages assembly-corridors assembly-corridors-wheels education-classrooms education-corridors'
const isDwellings = 'dwelling-rooms dwelling-stairs dwelling-balconies dwelling-units dwelling-unit-balconies'
const isOthers =
  'hotel-rooms hotel-kitchens hotel-lounges hotel-stores hotel-dining hotel-offices hotel-games hotel-corridors hotel-balconies residential-plant garages education-offices education-dormitories education-projection education-kitchens education-stores library-stacks library-reading library-reading-books institution-wards institution-kitchens institution-dining institution-operating institution-offices institution-corridors institution-plant assembly-dressing assembly-lounges assembly-plant offices offices-storing banking-halls computer-rooms office-records office-dining office-corridors office-plant shops wholesale shop-offices shop-dining shop-kitchens shop-corridors shop-plant work-bare work-light work-medium work-heavy work-plant work-dining work-kitchens work-toilets work-corridors work-corridors-wheels hotel-toilets garages-heavier education-dining education-plant education-toilets education-balconies institution-toilets institution-balconies assembly-projection assembly-offices assembly-toilets assembly-balconies office-toilets office-balconies office-stationery shop-corridors-wheels shop-toilets shop-balconies storage cold-storage storage-corridors storage-corridors-wheels storage-plant roof-access roof'

const bs: ByValue = {
  '0.36': 'A-dwellings A-dwelling-balconies',
  '0.74':
    'A-bedrooms A-hotel-bedrooms A-billiards A-kitchens A-corridors A-balconies A-hotel-balconies B-operating B-work-rooms B-offices B-kitchens B-computers B-machinery B-projection B-factories B-foundries C1-reading C1-classrooms C3-corridors C3-stairs E-equipment E-reading E-files E-storage E-stacks E-dense-stacks E-dense-warehouse E-paper E-cold E-plant roof-access',
  '1.5': 'B-banking C1-dining C2-fixed-seats D-shops F-cars',
  '3': 'C3-museums C5-crowds C5-stages',
}

/** EN 1991-1-1:2002, table 6.12, notes 1 to 4: the recommended end of each range; 6.3.4.1 for roofs in use. */
export const enBarrierChecks: readonly StandardCheck[] = [
  ...byValue('EN 1991-1-1 table 6.12 (kN/m)', key, kilo, {
    '0.5': 'A A-stairs A-balconies B C1 I-A I-B I-C1',
    '1': 'C2 C3 C4 D1 D2 I-C2 I-C3 I-C4 I-D1 I-D2',
    '2': 'E1 E2 E2-FL1 E2-FL2 E2-FL3 E2-FL4 E2-FL5 E2-FL6',
    '3': 'C5 I-C5',
  }),
  remembered('EN 1991-1-1 6.4(2): not above 1.20 m', 'barrier.z_max', 1.2),
]

export const germanBarrierChecks: readonly StandardCheck[] = byValue(
  'DIN EN 1991-1-1/NA table 6.12DE (kN/m)',
  key,
  kilo,
  {
    '0.5': 'A1 A2 A3 B1 F1 F2 H T1 Z',
    '1': 'B2 B3 C1 C2 C3 C4 D1 D2 D3 E1.1 E1.2 E2.1 T2',
    '2': 'C5 C6 T3',
  },
)

export const barrierChecks = {
  ASCE: byValue('ASCE 7-16 4.5.1.1 (lb/ft)', key, poundPerFoot, { '50': asceFloors }),
  IS: byValue('IS 875-2 table 3 (kN/m)', key, kilo, { '0.35': isDwellings, '2.25': isCrowded, '0.75': isOthers }),
  BS: [
    ...byValue('BS 6399-1 table 4 (kN/m)', key, kilo, bs),
    remembered('BS 6399-1 table 4: at 1.1 m', 'barrier.z_max', 1.1),
  ],
} as const satisfies Record<string, readonly StandardCheck[]>
