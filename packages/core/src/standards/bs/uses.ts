import type { LoadGroup } from '../family'
import { metricRows, type Growth, type MetricRow, type UseRow } from '../tabled'

/** BS 6399-1:1996, table 1, category by category, in kN/m² and kN. */
const floors: readonly MetricRow[] = [
  ['A-dwellings', 'dwelling units, all rooms', 1.5, 1.4, 'homes'],
  ['A-bedrooms', 'bedrooms and dormitories, not of hotels', 1.5, 1.8],
  ['A-hotel-bedrooms', 'hotel bedrooms, hospital wards, toilets', 2.0, 1.8],
  ['A-billiards', 'billiard rooms', 2.0, 2.7],
  ['A-kitchens', 'communal kitchens', 3.0, 4.5],
  ['A-corridors', 'hotels and hostels, corridors, stairs', 3.0, 4.5, 'home stairs'],
  ['A-balconies', 'balconies of guest houses and clubs', 3.0, null, 'home balconies'],
  ['A-dwelling-balconies', 'dwelling units, balconies', 1.5, 1.4],
  ['A-hotel-balconies', 'balconies of hotels', 4.0, null],
  ['B-operating', 'operating theatres, X-ray and utility rooms', 2.0, 4.5],
  ['B-work-rooms', 'work rooms without storage', 2.5, 1.8],
  ['B-offices', 'offices', 2.5, 2.7, 'offices'],
  ['B-banking', 'banking halls', 3.0, null],
  ['B-kitchens', 'kitchens, laundries, laboratories', 3.0, 4.5],
  ['B-computers', 'rooms with large computers', 3.5, 4.5],
  ['B-machinery', 'machinery halls', 4.0, 4.5],
  ['B-projection', 'projection rooms', 5.0, null],
  ['B-factories', 'factories, workshops', 5.0, 4.5],
  ['B-foundries', 'foundries', 20.0, null],
  ['B-catwalks', 'catwalks', 0, 1.0],
  ['C1-dining', 'dining rooms, lounges, cafés', 2.0, 2.7, 'tables'],
  ['C1-reading', 'reading rooms without book storage', 2.5, 4.5],
  ['C1-classrooms', 'classrooms', 3.0, 2.7],
  ['C2-fixed-seats', 'assembly with fixed seats', 4.0, null, 'fixed seats'],
  ['C2-worship', 'places of worship', 3.0, 2.7],
  ['C3-corridors', 'institutions, corridors and aisles', 3.0, 4.5],
  ['C3-stairs', 'institutions, stairs and landings', 3.0, 4.0],
  ['C3-crowd-corridors', 'other buildings, corridors and aisles', 4.0, 4.5],
  ['C3-crowd-stairs', 'other buildings, stairs and landings', 4.0, 4.0],
  ['C3-balconies', 'balconies of schools, assembly and shops', 4.0, null],
  ['C3-wheeled', 'corridors with wheeled loads', 5.0, 4.5],
  ['C3-walkways-light', 'industrial walkways, light duty', 3.0, 2.0],
  ['C3-walkways-general', 'industrial walkways, general duty', 5.0, 3.6],
  ['C3-walkways-heavy', 'industrial walkways, heavy duty', 7.5, 4.5],
  ['C3-museums', 'museums and galleries', 4.0, 4.5, 'museums'],
  ['C4-gymnasia', 'dance halls, gymnasia', 5.0, 3.6, 'gymnastics'],
  ['C4-drill', 'drill halls', 5.0, 9.0],
  ['C5-crowds', 'assembly without fixed seats, bars', 5.0, 3.6, 'crowds'],
  ['C5-stages', 'stages', 7.5, 4.5],
  ['D-shops', 'shop floors', 4.0, 3.6, 'shops'],
  ['E-equipment', 'general areas for static equipment', 2.0, 1.8],
  ['E-reading', 'reading rooms with book storage', 4.0, 4.5],
  ['E-files', 'file rooms, filing and storage in offices', 5.0, 4.5],
  ['E-storage', 'general storage, by its height', null, 7.0],
  ['E-stacks', 'stack rooms for books', 6.5, 7.0, 'storage'],
  ['E-dense-stacks', 'mobile stacking on trolleys', 9.6, 7.0],
  ['E-dense-warehouse', 'mobile stacking in warehouses', 15.0, 7.0],
  ['E-paper', 'paper for printing, by its height', null, 9.0],
  ['E-cold', 'cold storage', 15.0, 9.0],
  ['E-plant', 'plant and boiler rooms', 7.5, 4.5],
  ['F-cars', 'parking, vehicles up to 2500 kg', 2.5, 9.0, 'cars'],
  ['G-vehicles', 'parking and repair of heavier vehicles, value to be entered', null, null],
]

/** Table 1, category E: for each metre of storage height. */
const growths: Readonly<Record<string, Growth>> = {
  'E-storage': { perMetre: 2.4 },
  'E-stacks': { perMetre: 2.4 },
  'E-dense-stacks': { perMetre: 4.8 },
  'E-dense-warehouse': { perMetre: 4.8 },
  'E-paper': { perMetre: 4.0 },
  'E-cold': { perMetre: 5.0 },
}

/** BS 6399-3:1988 (as amended), 4.2 and 4.3.1: without access up to 30 degrees, less beyond (`pitched`). */
const roofs: readonly MetricRow[] = [
  ['roof-access', 'roof with access', 1.5, 1.8],
  ['roof', 'roof without access', 0.6, 0.9, 'roof'],
]

/** 6.1: no reduction for plant, storage and garages; of factories and workshops where they are heavy alone. */
const isWhole = /^(E|F|G|roof)/
const isFactory = /^B-(factories|foundries|machinery|work-rooms)$/

export const bsUseRows: readonly UseRow[] = [
  ...metricRows(floors, {
    clause: 'BS 6399-1 table 1',
    group: 'Q',
    isWhole,
    growths,
    keptOf: (id) => (isFactory.test(id) ? 'onlyHeavy' : null),
  }),
  ...metricRows(roofs, { clause: 'BS 6399-3 4.2, 4.3', group: 'Qr', isWhole }),
]

export const bsGroups: Readonly<Record<string, LoadGroup>> = {
  Q: { name: 'imposed', partitions: 'partitions', symbol: 'Q', action: 'imposed' },
  Qr: { name: 'imposed, roofs', partitions: 'partitions, roofs', symbol: 'Q_r', action: 'roof' },
}
