import { smallest } from '@hedrion/core'
import type { CompassSector, SiteData, SiteRegion, SiteTerrain, SiteZone } from '@hedrion/contract'
import { compassSectors } from '@hedrion/contract'

// Aldermere: an invented region of 60 by 40 km with a coast in the west. Every number is invented; none is of a real place.
type Place = readonly [east: number, north: number]

const [width, height] = [60, 40] as const

/** The coast, from the south to the north. */
const coast = [
  [6, 0],
  [5, 5],
  [7.5, 10],
  [6, 15],
  [4.5, 20],
  [6.5, 25],
  [8, 30],
  [7, 35],
  [9, 40],
] as const satisfies readonly Place[]

const towns = [
  { name: 'Aldermouth', east: 8.2, north: 24, reach: 3 },
  { name: 'Saltmarsh End', east: 8.5, north: 7, reach: 1.5 },
  { name: 'Marrowfield', east: 24, north: 19, reach: 2.2 },
  { name: 'Thornby', east: 48, north: 10, reach: 2 },
  { name: 'Fellgate', east: 39, north: 28, reach: 1.2 },
  { name: 'Upper Quern', east: 28, north: 34, reach: 1 },
] as const

/** Height above its surroundings in m; reach in km. */
const hills = [
  { name: 'Harrow Fell', east: 45, north: 29, height: 540, reach: 4 },
  { name: 'Cold Ridge', east: 35, north: 7, height: 240, reach: 3 },
  { name: 'Quern Down', east: 26, north: 36, height: 130, reach: 2.5 },
] as const

const forests: readonly { readonly at: Place; readonly reach: number }[] = [
  { at: [31, 21], reach: 3.5 },
  { at: [50, 20], reach: 4 },
]

/** Strips from the coast inland: the nearer the sea, the more wind and the less snow. */
const strips = [
  { from: 0, to: 15, wind: ['zone 3', 28], snow: ['zone A', 400] },
  { from: 15, to: 36, wind: ['zone 2', 26], snow: ['zone B', 650] },
  { from: 36, to: width, wind: ['zone 1', 24], snow: ['zone C', 1000] },
] as const

const rising = 3.5
/** s_k grows with altitude: Pa per m (invented, of the kind that snow maps use). */
const snowPerMetre = 1.6

const coastAt = (north: number): number => {
  const above = coast.findIndex(([, y]) => y >= north)
  const [[x0, y0], [x1, y1]] = [coast[Math.max(above - 1, 0)] ?? coast[0], coast[Math.max(above, 0)] ?? coast[0]]
  return y1 === y0 ? x1 : x0 + ((x1 - x0) * (north - y0)) / (y1 - y0)
}
const apart = ([a, b]: Place, [c, d]: Place): number => Math.hypot(a - c, b - d)

/** m above sea level: a slope up from the coast with hills on it; the sea is at 0. */
export function elevation([east, north]: Place): number {
  if (east <= coastAt(north)) return 0
  const onHills = hills.reduce(
    (sum, hill) =>
      sum + hill.height * Math.exp(-1.6 * (apart([east, north], [hill.east, hill.north]) / hill.reach) ** 2),
    0,
  )
  return rising * east + onHills
}

const stripAt = (east: number) => strips.find(({ to }) => east <= to) ?? strips[2]

/** How rough the ground is there (EN 1991-1-4 table 4.1, terrain categories). */
function cover(place: Place): SiteTerrain {
  if (place[0] <= coastAt(place[1])) return '0'
  const nearest = smallest(towns.map(({ east, north, reach }) => apart(place, [east, north]) / reach))
  if (nearest < 0.45) return 'IV'
  if (nearest < 1 || forests.some(({ at, reach }) => apart(place, at) < reach)) return 'III'
  return place[0] < coastAt(place[1]) + 1 ? 'I' : 'II'
}

const bearings: Readonly<Record<CompassSector, Place>> = {
  N: [0, 1],
  NE: [0.7071, 0.7071],
  E: [1, 0],
  SE: [0.7071, -0.7071],
  S: [0, -1],
  SW: [-0.7071, -0.7071],
  W: [-1, 0],
  NW: [-0.7071, 0.7071],
}
const rank: readonly SiteTerrain[] = ['0', 'I', 'II', 'III', 'IV']

/** The smoothest ground within 3 km upwind (smoother ground upwind governs within a distance, EN 1991-1-4 4.3.2(2)). */
function upwind([east, north]: Place, from: CompassSector): SiteTerrain {
  const [dx, dy] = bearings[from]
  const seen = [0.5, 1, 2, 3].map((km) => rank.indexOf(cover([east + dx * km, north + dy * km])))
  return rank[smallest(seen)] ?? 'II'
}

const band = (from: number, to: number): SiteZone['outline'] => {
  const inland = (x: number): Place[] => [
    [x, height],
    [x, 0],
  ]
  return from === 0 ? [...coast, ...inland(to)] : [[from, 0], [from, height], ...inland(to)]
}

export const region: SiteRegion = {
  name: 'Aldermere (invented)',
  width,
  height,
  land: [...coast, [width, height], [width, 0]],
  windZones: strips.map(({ from, to, wind: [name, value] }) => ({ name, value, outline: band(from, to) })),
  snowZones: strips.map(({ from, to, snow: [name, value] }) => ({ name, value, outline: band(from, to) })),
  towns: towns.map(({ name, east, north }) => ({ name, east, north })),
  hills,
}

const halfProfile = 5

/** What is known of a place on land; undefined at sea and outside the region. */
export function siteAt(place: Place, name?: string): SiteData | undefined {
  const [east, north] = place
  if (east > width || north > height || east <= coastAt(north)) return undefined
  const {
    wind: [windZone, velocity],
    snow: [snowZone, atSea],
  } = stripAt(east)
  const altitude = Math.round(elevation(place))
  const near = towns.find((town) => apart(place, [town.east, town.north]) < town.reach)
  return {
    source: 'Aldermere site data (invented)',
    place: name ?? near?.name ?? `${east.toFixed(1)} km east, ${north.toFixed(1)} km north`,
    east,
    north,
    altitude,
    windZone,
    basicWindVelocity: velocity,
    snowZone,
    groundSnow: Math.round(atSea + snowPerMetre * altitude),
    sectors: compassSectors.map((from) => ({ from, terrain: upwind(place, from) })),
    profile: Array.from({ length: 41 }, (_, i) => {
      const away = -halfProfile + (2 * halfProfile * i) / 40
      return { distance: away * 1000, elevation: Math.round(elevation([east + away, north]) * 10) / 10 }
    }),
  }
}

/** The town that an address names, wherever in the text its name stands. */
export function findTown(address: string): { readonly name: string; readonly at: Place } | undefined {
  const text = address.toLowerCase()
  const town = towns.find(({ name }) => text.includes(name.toLowerCase()))
  return town && { name: town.name, at: [town.east, town.north] }
}

export const townNames: readonly string[] = towns.map(({ name }) => name)
