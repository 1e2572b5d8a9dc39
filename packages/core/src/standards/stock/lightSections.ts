/** A channel or an angle by what loads need of it: m² and m. */
export interface LightShape {
  readonly area: number
  readonly depth: number
  readonly width: number
  readonly shape: 'channel' | 'angle'
}

/** Height: width in mm, area in cm². */
type Channels = Readonly<Record<number, readonly [width: number, area: number]>>

// EN 10365, channels with parallel flanges, row by row: width and area. From memory.
const UPE: Channels = {
  80: [50, 10.1],
  100: [55, 12.5],
  120: [60, 15.4],
  140: [65, 18.4],
  160: [70, 21.7],
  180: [75, 25.1],
  200: [80, 29.0],
  220: [85, 33.9],
  240: [90, 38.5],
  270: [95, 44.8],
  300: [100, 56.6],
  330: [105, 67.8],
  360: [110, 77.9],
  400: [115, 91.9],
}

// EN 10365, channels with tapered flanges. From memory.
const UPN: Channels = {
  80: [45, 11.0],
  100: [50, 13.5],
  120: [55, 17.0],
  140: [60, 20.4],
  160: [65, 24.0],
  180: [70, 28.0],
  200: [75, 32.2],
  220: [80, 37.4],
  240: [85, 42.3],
  260: [90, 48.3],
  280: [95, 53.3],
  300: [100, 58.8],
  320: [100, 75.8],
  350: [100, 77.3],
  380: [102, 80.4],
  400: [110, 91.5],
}

/** Leg and thickness in mm, area in cm². */
type Angles = readonly (readonly [leg: number, thickness: number, area: number])[]

// EN 10056-1, angles of equal legs. From memory.
const L: Angles = [
  [40, 4, 3.08],
  [50, 5, 4.8],
  [60, 6, 6.91],
  [70, 7, 9.4],
  [80, 8, 12.3],
  [90, 9, 15.5],
  [100, 10, 19.2],
  [120, 12, 27.5],
  [150, 15, 43.0],
  [200, 20, 76.3],
]

export const lightSource = 'EN 10365, EN 10056-1, from memory'

const channels = (name: string, sizes: Channels): readonly (readonly [string, LightShape])[] =>
  Object.entries(sizes).map(([height, [width, area]]) => [
    `${name} ${height}`,
    { area: area / 1e4, depth: Number(height) / 1000, width: width / 1000, shape: 'channel' },
  ])

/** Channels, then angles, each in rising size. */
export const lightShapes: ReadonlyMap<string, LightShape> = new Map([
  ...channels('UPE', UPE),
  ...channels('UPN', UPN),
  ...L.map(([leg, thickness, area]): readonly [string, LightShape] => [
    `L ${leg}x${thickness}`,
    { area: area / 1e4, depth: leg / 1000, width: leg / 1000, shape: 'angle' },
  ]),
])
