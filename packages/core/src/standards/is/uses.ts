import type { LoadGroup } from '../family'
import { metricRows, type Growth, type MetricRow, type UseRow } from '../tabled'

/** IS 875 (Part 2):1987, table 1, occupancy by occupancy, in kN/m² and kN. */
const floors: readonly MetricRow[] = [
  ['dwelling-rooms', 'dwellings, rooms, kitchens, toilets', 2.0, 1.8, 'homes'],
  ['dwelling-stairs', 'dwellings, corridors, stairs, stores', 3.0, 4.5, 'home stairs'],
  ['dwelling-balconies', 'dwellings, balconies', 3.0, null, 'home balconies'],
  ['dwelling-units', 'low-cost dwelling units, all rooms', 1.5, 1.4],
  ['hotel-rooms', 'hotels and hostels, bedrooms', 2.0, 1.8],
  ['hotel-kitchens', 'hotels and hostels, kitchens, laundries', 3.0, 4.5],
  ['hotel-lounges', 'hotels and hostels, billiard rooms, lounges', 3.0, 2.7],
  ['hotel-stores', 'hotels and hostels, store rooms', 5.0, 4.5],
  ['hotel-dining', 'hotels and hostels, dining rooms, restaurants', 4.0, 2.7],
  ['hotel-offices', 'hotels and hostels, offices', 2.5, 2.7],
  ['hotel-games', 'hotels and hostels, indoor games', 3.0, 1.8],
  ['hotel-corridors', 'hotels and hostels, corridors, stairs, lobbies', 3.0, 4.5],
  ['hotel-balconies', 'hotels and hostels, balconies', 4.0, null],
  ['residential-plant', 'boiler and plant rooms of dwellings and hotels', 5.0, 6.7],
  ['garages', 'garages, cars up to 25 kN', 2.5, 9.0, 'cars'],
  ['education-classrooms', 'education, classrooms', 3.0, 2.7],
  ['education-offices', 'education, offices, staff rooms', 2.5, 2.7],
  ['education-dormitories', 'education, dormitories', 2.0, 2.7],
  ['education-projection', 'education, projection rooms', 5.0, null],
  ['education-kitchens', 'education, kitchens', 3.0, 4.5],
  ['education-stores', 'education, store rooms', 5.0, 4.5],
  ['library-stacks', 'libraries, stack rooms', 6.0, 4.5],
  ['library-reading', 'libraries, reading rooms without book storage', 3.0, 4.5],
  ['library-reading-books', 'libraries, reading rooms with books', 4.0, 4.5],
  ['education-corridors', 'education, corridors, stairs, lobbies', 4.0, 4.5],
  ['institution-wards', 'institutions, wards, bedrooms', 2.0, 1.8],
  ['institution-kitchens', 'institutions, kitchens, laundries, laboratories', 3.0, 4.5],
  ['institution-dining', 'institutions, dining rooms', 3.0, 2.7],
  ['institution-operating', 'institutions, operating and X-ray rooms', 3.0, 4.5],
  ['institution-offices', 'institutions, offices, outpatients', 2.5, 2.7],
  ['institution-corridors', 'institutions, corridors, stairs', 4.0, 4.5],
  ['institution-plant', 'institutions, boiler and plant rooms', 5.0, 4.5],
  ['assembly-fixed-seats', 'assembly, fixed seats', 4.0, null, 'fixed seats'],
  ['assembly-open', 'assembly, no fixed seats', 5.0, 3.6, 'crowds'],
  ['assembly-restaurants', 'restaurants, museums, galleries, gymnasia', 4.0, 4.5, 'museums'],
  ['assembly-stages', 'stages', 5.0, 4.5, 'gymnastics'],
  ['assembly-dressing', 'assembly, dressing rooms', 2.0, 1.8],
  ['assembly-lounges', 'assembly, lounges, billiard rooms', 2.0, 2.7],
  ['assembly-corridors', 'assembly, corridors, stairs', 4.0, 4.5],
  ['assembly-corridors-wheels', 'assembly, corridors with wheeled loads', 5.0, 4.5],
  ['assembly-plant', 'assembly, boiler and plant rooms', 7.5, 4.5],
  ['offices', 'offices with separate storage', 2.5, 2.7],
  ['offices-storing', 'offices without separate storage', 4.0, 4.5, 'offices'],
  ['banking-halls', 'banking halls', 3.0, 2.7],
  ['computer-rooms', 'business machine rooms', 3.5, 4.5],
  ['office-records', 'records, files, vaults, strong rooms', 5.0, 4.5],
  ['office-dining', 'offices, dining rooms, kitchens', 3.0, 2.7, 'tables'],
  ['office-corridors', 'offices, corridors, stairs', 4.0, 4.5],
  ['office-plant', 'offices, boiler and plant rooms', 5.0, 6.7],
  ['shops', 'retail shops', 4.0, 3.6, 'shops'],
  ['wholesale', 'wholesale shops', 6.0, 4.5, 'department stores'],
  ['shop-offices', 'shops, offices', 2.5, 2.7],
  ['shop-dining', 'shops, restaurants', 3.0, 2.7],
  ['shop-kitchens', 'shops, kitchens', 3.0, 4.5],
  ['shop-corridors', 'shops, corridors, stairs', 4.0, 4.5],
  ['shop-plant', 'shops, boiler and plant rooms', 5.0, 6.7],
  ['work-bare', 'work areas without machines', 2.5, 4.5],
  ['work-light', 'work areas, light duty', 5.0, 4.5],
  ['work-medium', 'work areas, medium duty', 7.0, 4.5],
  ['work-heavy', 'work areas, heavy duty', 10.0, 4.5],
  ['work-plant', 'industry, boiler and plant rooms', 5.0, 6.7],
  ['work-dining', 'industry, dining rooms', 3.0, 2.7],
  ['work-kitchens', 'industry, kitchens', 3.0, 4.5],
  ['work-toilets', 'industry, toilets, bathrooms', 2.0, null],
  ['work-corridors', 'industry, corridors, stairs', 4.0, 4.5],
  ['work-corridors-wheels', 'industry, corridors with wheeled loads', 5.0, 4.5],
  ['storage', 'storage rooms, warehouses', 7.5, 7.0, 'storage'],
  ['cold-storage', 'cold storage', 15.0, 9.0],
  ['storage-corridors', 'storage, corridors, stairs', 4.0, 4.5],
  ['storage-corridors-wheels', 'storage, corridors with wheeled loads', 5.0, 4.5],
  ['storage-plant', 'storage, boiler and plant rooms', 7.5, 4.5],
]

/** Table 1: for each metre of storage height, in stack rooms beyond the height that the value is for. */
const growths: Readonly<Record<string, Growth>> = {
  'library-stacks': { perMetre: 2.0, upTo: 2.2 },
  storage: { perMetre: 2.4 },
  'cold-storage': { perMetre: 5.0 },
}

/** IS 875 (Part 2), table 2, up to 10 degrees. */
const roofs: readonly MetricRow[] = [
  ['roof-access', 'roof with access', 1.5, null],
  ['roof', 'roof without access', 0.75, null, 'roof'],
]

/** 3.2.1.1: no reduction for storage, plant, garages and what is loaded alike (clause 3.2.2.1 for beams). */
const isWhole = /storage|stores|stacks|plant|garages|records|^roof/

export const isUseRows: readonly UseRow[] = [
  ...metricRows(floors, { clause: 'IS 875-2 table 1', group: 'IL', isWhole, growths, keptOf: () => 'whereHeavy' }),
  ...metricRows(roofs, { clause: 'IS 875-2 table 2', group: 'ILr', isWhole }),
]

export const isGroups: Readonly<Record<string, LoadGroup>> = {
  IL: { name: 'imposed', partitions: 'partitions', symbol: 'IL', action: 'imposed' },
  ILr: { name: 'imposed on the roof', partitions: 'partitions on the roof', symbol: 'IL_r', action: 'roof' },
}
