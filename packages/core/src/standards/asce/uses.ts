import type { LoadGroup, UseSort } from '../family'
import type { TableUnits, UseRow } from '../tabled'

/** psf and lb. */
export const poundTable: TableUnits = { pressure: 47.880259, force: 4.4482216 }

/** `no`: 4.7.2 lets the load not be reduced; `assembly` and `garage` neither, and they keep L whole beside wind (2.3.1). */
type Note = '' | 'no' | 'assembly' | 'garage' | 'roof'
type Row = readonly [id: string, name: string, psf: number | null, lb: number | null, note?: Note, sort?: UseSort]

/** ASCE 7-16, table 4.3-1, in psf and lb, row by row; what goes by the area served, or by analysis, has no value and is typed. */
const rows: readonly Row[] = [
  ['access-floor-office', 'access floor, office use', 50, 2000],
  ['access-floor-computer', 'access floor, computer use', 100, 2000],
  ['armories', 'armories and drill rooms', 150, null, 'assembly'],
  ['assembly-fixed-seats', 'assembly, fixed seats', 60, null, 'assembly', 'fixed seats'],
  ['assembly-lobbies', 'assembly, lobbies', 100, null, 'assembly'],
  ['assembly-movable-seats', 'assembly, movable seats', 100, null, 'assembly', 'crowds'],
  ['assembly-platforms', 'assembly, platforms', 100, null, 'assembly'],
  ['assembly-stage-floors', 'assembly, stage floors', 150, null, 'assembly'],
  ['assembly-other', 'assembly, other', 100, null, 'assembly', 'museums'],
  ['balconies', 'balconies and decks, 1.5 times what they serve, up to 100 psf', null, null],
  ['catwalks', 'catwalks for maintenance', 40, 300],
  ['corridors-first-floor', 'corridors, first floor', 100, null],
  ['corridors-other', 'corridors, other floors, as what they serve', null, null],
  ['dining', 'dining rooms, restaurants', 100, null, 'assembly', 'tables'],
  ['elevator-grating', 'elevator machine room grating', 0, 300],
  ['light-floor-plate', 'light floor plate construction', 0, 200],
  ['fire-escapes', 'fire escapes', 100, null],
  ['fire-escapes-single', 'fire escapes, one family only', 40, null],
  ['garages', 'garages, passenger vehicles', 40, 3000, 'garage', 'cars'],
  ['helipads', 'helipads', 60, null, 'no'],
  ['helipads-light', 'helipads, up to 3000 lb', 40, null, 'no'],
  ['hospital-operating', 'hospitals, operating rooms, laboratories', 60, 1000],
  ['hospital-patients', 'hospitals, patient rooms', 40, 1000],
  ['hospital-corridors', 'hospitals, corridors above first floor', 80, 1000],
  ['library-reading', 'libraries, reading rooms', 60, 1000],
  ['library-stacks', 'libraries, stack rooms', 150, 1000, 'no', 'storage'],
  ['library-corridors', 'libraries, corridors above first floor', 80, 1000],
  ['manufacturing-light', 'manufacturing, light', 125, 2000, 'no'],
  ['manufacturing-heavy', 'manufacturing, heavy', 250, 3000, 'no'],
  ['marquees', 'marquees', 75, null],
  ['office-lobbies', 'offices, lobbies and first-floor corridors', 100, 2000],
  ['offices', 'offices', 50, 2000, '', 'offices'],
  ['office-corridors', 'offices, corridors above first floor', 80, 2000],
  ['penal-cells', 'penal institutions, cell blocks', 40, null],
  ['penal-corridors', 'penal institutions, corridors', 100, null],
  ['recreation-bowling', 'bowling, poolrooms and alike', 75, null, 'assembly'],
  ['recreation-dance', 'dance halls, ballrooms', 100, null, 'assembly'],
  ['recreation-gymnasiums', 'gymnasiums', 100, null, 'assembly', 'gymnastics'],
  ['recreation-stands', 'grandstands and bleachers', 100, null, 'assembly'],
  ['recreation-fixed-seats', 'stadiums, fixed seats', 60, null, 'assembly'],
  ['attics-bare', 'homes, attics without storage', 10, null],
  ['attics-storage', 'homes, attics with storage', 20, null],
  ['attics-sleeping', 'homes, habitable attics and sleeping areas', 30, null],
  ['homes', 'homes, other areas', 40, null, '', 'homes'],
  ['residential-rooms', 'apartments and hotels, rooms and their corridors', 40, null],
  ['residential-public', 'apartments and hotels, public rooms and their corridors', 100, null, 'assembly'],
  ['roof', 'roofs, ordinary', 20, null, 'roof', 'roof'],
  ['roof-used', 'roofs in use, as what they serve', null, null],
  ['roof-garden-assembly', 'roof gardens for assembly', 100, null, 'assembly'],
  ['roof-landscaped', 'roofs, landscaped, not occupied', 20, null, 'roof'],
  ['roof-panel-points', 'roofs over work floors, panel points of lower chords', 0, 2000, 'roof'],
  ['roof-members', 'roofs over work floors, other main members', 0, 300, 'roof'],
  ['roof-maintenance', 'roof surfaces, maintenance workers', 0, 300, 'roof'],
  ['awnings-screens', 'frames of screen enclosures', 5, 200, 'roof'],
  ['awnings-fabric', 'awnings, fabric on a light frame', 5, null, 'roof'],
  ['awnings-other', 'awnings and canopies, other', 20, null, 'roof'],
  ['school-classrooms', 'schools, classrooms', 40, 1000],
  ['school-corridors', 'schools, corridors above first floor', 80, 1000],
  ['school-corridors-first', 'schools, first-floor corridors', 100, 1000],
  ['scuttles', 'scuttles, skylight ribs, accessible ceilings', 0, 200],
  ['sidewalks', 'sidewalks and yards with vehicles', 250, 8000, 'no', 'lorries'],
  ['stairs', 'stairs and exit ways', 100, 300],
  ['stairs-homes', 'stairs of one- and two-family homes', 40, 300, '', 'home stairs'],
  ['storage-above-ceilings', 'storage above ceilings', 20, null],
  ['storage-light', 'storage warehouses, light', 125, null, 'no'],
  ['storage-heavy', 'storage warehouses, heavy', 250, null, 'no'],
  ['retail-first-floor', 'stores, retail, first floor', 100, 1000],
  ['retail-upper', 'stores, retail, upper floors', 75, 1000, '', 'shops'],
  ['wholesale', 'stores, wholesale', 125, 1000, 'no', 'department stores'],
  ['walkways', 'walkways and elevated platforms', 60, null],
  ['terraces', 'yards and terraces, pedestrians', 100, null, 'assembly'],
]

const heavy = 100

/** Live load that stays whole beside wind: garages, public assembly, and more than 100 psf (ASCE 7 2.3.1, exception). */
const groupOf = (psf: number | null, note: Note): string =>
  note === 'roof' ? 'Lr' : note === 'assembly' || note === 'garage' || (psf ?? 0) > heavy ? 'Lp' : 'L'

/** Fabric awnings and frames of screen enclosures, both 5 psf (4.8.2, table 4.3-1). */
const isFabric = (id: string): boolean => id === 'awnings-fabric' || id === 'awnings-screens'

/**
 * Assembly is never reduced (4.7.5), nor what bears lorries or helicopters; heavy loads and garages are under two floors or more (4.7.3, 4.7.4),
 * roofs by R_1 and R_2 (4.8), but for fabric and screens.
 */
const isReducible = (id: string, psf: number | null, note: Note): boolean =>
  note === 'no' ? (psf ?? 0) > heavy && id !== 'sidewalks' : note !== 'assembly' && !isFabric(id)

export const asceUseRows: readonly UseRow[] = rows.map(([id, name, uniform, concentrated, note = '', sort]) => ({
  id,
  name,
  uniform,
  concentrated,
  group: groupOf(uniform, note),
  ...(sort ? { sort } : {}),
  reducible: isReducible(id, uniform, note),
  clause: 'ASCE 7-16 table 4.3-1',
}))

export const asceGroups: Readonly<Record<string, LoadGroup>> = {
  L: { name: 'live', partitions: 'partitions', symbol: 'L', action: 'imposed' },
  Lp: {
    name: 'live, heavy or assembly',
    partitions: 'partitions, heavy or assembly',
    symbol: 'L_p',
    action: 'imposed',
  },
  Lr: { name: 'roof live', partitions: 'partitions, roofs', symbol: 'L_r', action: 'roof' },
}
