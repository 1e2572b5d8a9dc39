/** Outer dimensions and plates of a hot-rolled H or I section, in m. */
export interface RolledShape {
  readonly depth: number
  readonly width: number
  readonly web: number
  readonly flange: number
  readonly root: number
}

/** A printed row in mm. */
export type RolledRow = readonly [depth: number, width: number, web: number, flange: number, root: number]

// EN 10365, in mm, row by row as printed: h, b, t_w, t_f, r. From memory.
const IPE: Readonly<Record<number, RolledRow>> = {
  80: [80, 46, 3.8, 5.2, 5],
  100: [100, 55, 4.1, 5.7, 7],
  120: [120, 64, 4.4, 6.3, 7],
  140: [140, 73, 4.7, 6.9, 7],
  160: [160, 82, 5, 7.4, 9],
  180: [180, 91, 5.3, 8, 9],
  200: [200, 100, 5.6, 8.5, 12],
  220: [220, 110, 5.9, 9.2, 12],
  240: [240, 120, 6.2, 9.8, 15],
  270: [270, 135, 6.6, 10.2, 15],
  300: [300, 150, 7.1, 10.7, 15],
  330: [330, 160, 7.5, 11.5, 18],
  360: [360, 170, 8, 12.7, 18],
  400: [400, 180, 8.6, 13.5, 21],
  450: [450, 190, 9.4, 14.6, 21],
  500: [500, 200, 10.2, 16, 21],
  550: [550, 210, 11.1, 17.2, 24],
  600: [600, 220, 12, 19, 24],
}
const HEA: Readonly<Record<number, RolledRow>> = {
  100: [96, 100, 5, 8, 12],
  120: [114, 120, 5, 8, 12],
  140: [133, 140, 5.5, 8.5, 12],
  160: [152, 160, 6, 9, 15],
  180: [171, 180, 6, 9.5, 15],
  200: [190, 200, 6.5, 10, 18],
  220: [210, 220, 7, 11, 18],
  240: [230, 240, 7.5, 12, 21],
  260: [250, 260, 7.5, 12.5, 24],
  280: [270, 280, 8, 13, 24],
  300: [290, 300, 8.5, 14, 27],
  320: [310, 300, 9, 15.5, 27],
  340: [330, 300, 9.5, 16.5, 27],
  360: [350, 300, 10, 17.5, 27],
  400: [390, 300, 11, 19, 27],
  450: [440, 300, 11.5, 21, 27],
  500: [490, 300, 12, 23, 27],
  550: [540, 300, 12.5, 24, 27],
  600: [590, 300, 13, 25, 27],
  650: [640, 300, 13.5, 26, 27],
  700: [690, 300, 14.5, 27, 27],
  800: [790, 300, 15, 28, 30],
  900: [890, 300, 16, 30, 30],
  1000: [990, 300, 16.5, 31, 30],
}
const HEB: Readonly<Record<number, RolledRow>> = {
  100: [100, 100, 6, 10, 12],
  120: [120, 120, 6.5, 11, 12],
  140: [140, 140, 7, 12, 12],
  160: [160, 160, 8, 13, 15],
  180: [180, 180, 8.5, 14, 15],
  200: [200, 200, 9, 15, 18],
  220: [220, 220, 9.5, 16, 18],
  240: [240, 240, 10, 17, 21],
  260: [260, 260, 10, 17.5, 24],
  280: [280, 280, 10.5, 18, 24],
  300: [300, 300, 11, 19, 27],
  320: [320, 300, 11.5, 20.5, 27],
  340: [340, 300, 12, 21.5, 27],
  360: [360, 300, 12.5, 22.5, 27],
  400: [400, 300, 13.5, 24, 27],
  450: [450, 300, 14, 26, 27],
  500: [500, 300, 14.5, 28, 27],
  550: [550, 300, 15, 29, 27],
  600: [600, 300, 15.5, 30, 27],
  650: [650, 300, 16, 31, 27],
  700: [700, 300, 17, 32, 27],
  800: [800, 300, 17.5, 33, 30],
  900: [900, 300, 18.5, 35, 30],
  1000: [1000, 300, 19, 36, 30],
}
const HEM: Readonly<Record<number, RolledRow>> = {
  100: [120, 106, 12, 20, 12],
  120: [140, 126, 12.5, 21, 12],
  140: [160, 146, 13, 22, 12],
  160: [180, 166, 14, 23, 15],
  180: [200, 186, 14.5, 24, 15],
  200: [220, 206, 15, 25, 18],
  220: [240, 226, 15.5, 26, 18],
  240: [270, 248, 18, 32, 21],
  260: [290, 268, 18, 32.5, 24],
  280: [310, 288, 18.5, 33, 24],
  300: [340, 310, 21, 39, 27],
  320: [359, 309, 21, 40, 27],
  340: [377, 309, 21, 40, 27],
  360: [395, 308, 21, 40, 27],
  400: [432, 307, 21, 40, 27],
  450: [478, 307, 21, 40, 27],
  500: [524, 306, 21, 40, 27],
  550: [572, 306, 21, 40, 27],
  600: [620, 305, 21, 40, 27],
  650: [668, 305, 21, 40, 27],
  700: [716, 304, 21, 40, 27],
  800: [814, 303, 21, 40, 30],
  900: [910, 302, 21, 40, 30],
  1000: [1008, 302, 21, 40, 30],
}

const series = { IPE, HEA, HEB, HEM } as const

/** Where the dimensions come from, for the sheet. */
export const rolledSource = 'EN 10365, from memory'

/** A printed row as a shape. */
function shapeOf(row: RolledRow): RolledShape {
  const [depth, width, web, flange, root] = row.map((mm) => mm / 1000) as unknown as RolledRow
  return { depth, width, web, flange, root }
}

/** Printed rows of series as shapes by their names, `IPE 200` or `UB 457x191x67`, series after series in the order of the print. */
export const shapesByName = (
  of: Readonly<Record<string, Readonly<Record<string, RolledRow>>>>,
  between = ' ',
): ReadonlyMap<string, RolledShape> =>
  new Map(
    Object.entries(of).flatMap(([name, sizes]) =>
      Object.entries(sizes).map(([size, row]): readonly [string, RolledShape] => [
        `${name}${between}${size}`,
        shapeOf(row),
      ]),
    ),
  )

/** Every section by its name, series after series in rising size. */
export const rolledShapes = shapesByName(series)

export const rolledNames: readonly string[] = [...rolledShapes.keys()]

/** Two flanges, the web between them and four fillets, in m². */
export const exactArea = ({ depth, width, web, flange, root }: RolledShape): number =>
  2 * width * flange + (depth - 2 * flange) * web + (4 - Math.PI) * root ** 2

/** The area as handbooks print it, in cm² with one decimal, with two below 10 cm². In m². */
export function rolledArea(shape: RolledShape): number {
  const area = exactArea(shape) * 1e4
  return Number(area.toFixed(area < 10 ? 2 : 1)) / 1e4
}
