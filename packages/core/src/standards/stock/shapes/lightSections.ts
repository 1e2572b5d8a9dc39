/** A tapered beam, a channel or an angle by what loads need of it: m² and m. */
export interface LightShape {
  readonly area: number
  readonly depth: number
  readonly width: number
  readonly shape: 'H' | 'channel' | 'angle'
}

/** Width in mm and area in cm² by the height. */
type ByHeight = Readonly<Record<number, readonly [width: number, area: number]>>

// EN 10365, channels with parallel flanges, row by row: width and area. From memory.
const UPE: ByHeight = {
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

// EN 10365, UK channels with parallel flanges, by height x width x mass: area. From memory.
const PFC: Readonly<Record<string, number>> = {
  '100x50x10': 13.0,
  '125x65x15': 18.8,
  '150x75x18': 22.8,
  '150x90x24': 30.4,
  '180x75x20': 25.9,
  '180x90x26': 33.2,
  '200x75x23': 29.9,
  '200x90x30': 37.9,
  '230x75x26': 32.7,
  '230x90x32': 41.0,
  '260x75x28': 35.1,
  '260x90x35': 44.4,
  '300x90x41': 52.7,
  '300x100x46': 58.0,
  '380x100x54': 68.7,
  '430x100x64': 82.1,
}

// EN 10365, small channels with tapered flanges, by height x width: area. From memory.
const U: Readonly<Record<string, number>> = {
  '30x15': 2.21,
  '40x20': 3.66,
  '40x35': 6.21,
  '50x25': 4.92,
  '50x38': 7.12,
  '60x30': 6.46,
  '65x42': 9.03,
}

// EN 10365, beams with tapered flanges, by their height: width and area. From memory.
const IPN: ByHeight = {
  80: [42, 7.57],
  100: [50, 10.6],
  120: [58, 14.2],
  140: [66, 18.2],
  160: [74, 22.8],
  180: [82, 27.9],
  200: [90, 33.4],
  220: [98, 39.5],
  240: [106, 46.1],
  260: [113, 53.3],
  280: [119, 61.0],
  300: [125, 69.0],
  320: [131, 77.7],
  340: [137, 86.7],
  360: [143, 97.0],
  380: [149, 107],
  400: [155, 118],
  450: [170, 147],
  500: [185, 179],
  550: [200, 212],
  600: [215, 254],
}

// EN 10365, channels with tapered flanges. From memory.
const UPN: ByHeight = {
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

const byHeight = (
  name: string,
  sizes: ByHeight,
  shape: LightShape['shape'] = 'channel',
): readonly (readonly [string, LightShape])[] =>
  Object.entries(sizes).map(([height, [width, area]]) => [
    `${name} ${height}`,
    { area: area / 1e4, depth: Number(height) / 1000, width: width / 1000, shape },
  ])

const bySize = (name: string, sizes: Readonly<Record<string, number>>): readonly (readonly [string, LightShape])[] =>
  Object.entries(sizes).map(([size, area]) => {
    const [height = NaN, width = NaN] = size.split('x').map(Number)
    return [`${name} ${size}`, { area: area / 1e4, depth: height / 1000, width: width / 1000, shape: 'channel' }]
  })

/** Tapered beams, channels, then angles of equal and of unequal legs, each in rising size. */
export const lightShapes: ReadonlyMap<string, LightShape> = new Map([
  ...byHeight('IPN', IPN, 'H'),
  ...byHeight('UPE', UPE),
  ...byHeight('UPN', UPN),
  ...bySize('PFC', PFC),
  ...bySize('U', U),
  ...L.map(([leg, thickness, area]): readonly [string, LightShape] => [
    `L ${leg}x${thickness}`,
    { area: area / 1e4, depth: leg / 1000, width: leg / 1000, shape: 'angle' },
  ]),
  ...unequal.map(([long, short, thickness, area]): readonly [string, LightShape] => [
    `L ${long}x${short}x${thickness}`,
    { area: area / 1e4, depth: long / 1000, width: short / 1000, shape: 'angle' },
  ]),
])
