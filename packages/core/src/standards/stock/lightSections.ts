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
  [20, 3, 1.12],
  [25, 3, 1.42],
  [25, 4, 1.85],
  [30, 3, 1.74],
  [30, 4, 2.27],
  [35, 4, 2.67],
  [40, 4, 3.08],
  [40, 5, 3.79],
  [45, 4.5, 3.9],
  [50, 4, 3.89],
  [50, 5, 4.8],
  [50, 6, 5.69],
  [60, 5, 5.82],
  [60, 6, 6.91],
  [60, 8, 9.03],
  [65, 7, 8.7],
  [70, 6, 8.13],
  [70, 7, 9.4],
  [75, 6, 8.73],
  [75, 8, 11.4],
  [80, 8, 12.3],
  [80, 10, 15.1],
  [90, 7, 12.2],
  [90, 8, 13.9],
  [90, 9, 15.5],
  [90, 10, 17.1],
  [100, 8, 15.5],
  [100, 10, 19.2],
  [100, 12, 22.7],
  [120, 10, 23.2],
  [120, 12, 27.5],
  [130, 12, 30],
  [150, 10, 29.3],
  [150, 12, 34.8],
  [150, 15, 43],
  [160, 15, 46.1],
  [180, 16, 55.4],
  [180, 18, 61.9],
  [200, 16, 61.8],
  [200, 18, 69.1],
  [200, 20, 76.3],
  [200, 24, 90.6],
  [250, 28, 133],
  [250, 35, 163],
]

/** Longer and shorter leg and thickness in mm, area in cm². */
type UnequalAngles = readonly (readonly [long: number, short: number, thickness: number, area: number])[]

// EN 10056-1, angles of unequal legs. From memory.
const unequal: UnequalAngles = [
  [30, 20, 3, 1.43],
  [30, 20, 4, 1.86],
  [40, 20, 4, 2.26],
  [40, 25, 4, 2.46],
  [45, 30, 4, 2.87],
  [50, 30, 5, 3.78],
  [60, 30, 5, 4.28],
  [60, 40, 5, 4.79],
  [60, 40, 6, 5.68],
  [65, 50, 5, 5.54],
  [70, 50, 6, 6.89],
  [75, 50, 6, 7.19],
  [75, 50, 8, 9.41],
  [80, 40, 6, 6.89],
  [80, 40, 8, 9.01],
  [80, 60, 7, 9.38],
  [100, 50, 6, 8.71],
  [100, 50, 8, 11.4],
  [100, 65, 7, 11.2],
  [100, 65, 8, 12.7],
  [100, 65, 10, 15.6],
  [100, 75, 8, 13.5],
  [100, 75, 10, 16.6],
  [100, 75, 12, 19.7],
  [120, 80, 8, 15.5],
  [120, 80, 10, 19.1],
  [120, 80, 12, 22.7],
  [125, 75, 8, 15.5],
  [125, 75, 10, 19.1],
  [125, 75, 12, 22.7],
  [135, 65, 8, 15.5],
  [135, 65, 10, 19.1],
  [150, 75, 9, 19.6],
  [150, 75, 10, 21.7],
  [150, 75, 12, 25.7],
  [150, 75, 15, 31.7],
  [150, 90, 10, 23.2],
  [150, 90, 12, 27.5],
  [150, 90, 15, 33.9],
  [150, 100, 10, 24.2],
  [150, 100, 12, 28.7],
  [200, 100, 10, 29.2],
  [200, 100, 12, 34.8],
  [200, 100, 15, 43],
  [200, 150, 12, 40.8],
  [200, 150, 15, 50.5],
  [200, 150, 18, 60],
]

export const lightSource = 'EN 10365, EN 10056-1, from memory'

const channels = (name: string, sizes: Channels): readonly (readonly [string, LightShape])[] =>
  Object.entries(sizes).map(([height, [width, area]]) => [
    `${name} ${height}`,
    { area: area / 1e4, depth: Number(height) / 1000, width: width / 1000, shape: 'channel' },
  ])

/** Channels, then angles of equal and of unequal legs, each in rising size. */
export const lightShapes: ReadonlyMap<string, LightShape> = new Map([
  ...channels('UPE', UPE),
  ...channels('UPN', UPN),
  ...L.map(([leg, thickness, area]): readonly [string, LightShape] => [
    `L ${leg}x${thickness}`,
    { area: area / 1e4, depth: leg / 1000, width: leg / 1000, shape: 'angle' },
  ]),
  ...unequal.map(([long, short, thickness, area]): readonly [string, LightShape] => [
    `L ${long}x${short}x${thickness}`,
    { area: area / 1e4, depth: long / 1000, width: short / 1000, shape: 'angle' },
  ]),
])
