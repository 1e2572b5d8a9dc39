import type { Rows } from './row'

/** Wythes of concrete masonry of 4, 6, 8, 10 and 12 inches, without grout or solid; with grout from 6 inches; lb/ft². */
const wythes = (of: string, made: string, values: readonly number[]): Rows =>
  Object.fromEntries(values.map((value, i) => [`${of}, ${12 - 2 * (values.length - 1 - i)} in.${made}`, value]))

/** Joists of two inches under a double wood floor without plaster, at 12, 16 and 24 inches; lb/ft². */
const joists = (depth: number, values: readonly [number, number, number]): Rows =>
  Object.fromEntries(
    values.map((value, i) => [`wood joists 2 x ${depth} at ${[12, 16, 24][i]} in., double wood floor`, value]),
  )

const hollow = (pounds: number, rows: Readonly<Record<string, readonly number[]>>): Rows =>
  Object.assign(
    {},
    ...Object.entries(rows).map(([grout, values]) =>
      wythes(`hollow masonry of ${pounds} lb/ft³`, `, ${grout}`, values),
    ),
  ) as Rows

// ASCE 7-16, commentary table C3.1-1, minimum dead loads in lb/ft², row by row as remembered.
export const asceDeadLoads: Readonly<Record<string, Rows>> = {
  ceilings: {
    'acoustical fiberboard': 1,
    'gypsum board, 1/8 in.': 0.55,
    'mechanical duct allowance': 4,
    'plaster on tile or concrete': 5,
    'plaster on wood lath': 8,
    'suspended steel channel system': 2,
    'suspended metal lath and cement plaster': 15,
    'suspended metal lath and gypsum plaster': 10,
    'wood furring suspension system': 2.5,
  },
  'coverings of roofs and walls': {
    'asbestos-cement shingles': 4,
    'asphalt shingles': 2,
    'cement tile': 16,
    'clay tile, book, 2 in.': 12,
    'clay tile, book, 3 in.': 20,
    'clay tile, Ludowici': 10,
    'clay tile, Roman': 12,
    'clay tile, Spanish': 19,
    'mortar under clay tile': 10,
    'three-ply ready roofing': 1,
    'four-ply felt and gravel': 5.5,
    'five-ply felt and gravel': 6,
    'copper or tin': 1,
    'corrugated asbestos-cement roofing': 4,
    'metal deck, 20 gauge': 2.5,
    'metal deck, 18 gauge': 3,
    'wood decking, Douglas fir, 2 in.': 5,
    'wood decking, Douglas fir, 3 in.': 8,
    'fiberboard, 1/2 in.': 0.75,
    'gypsum sheathing, 1/2 in.': 2,
    'insulation, cellular glass, 1 in.': 0.7,
    'insulation, fibrous glass, 1 in.': 1.1,
    'insulation, fiberboard, 1 in.': 1.5,
    'insulation, perlite, 1 in.': 0.8,
    'insulation, polystyrene foam, 1 in.': 0.2,
    'insulation, urethane foam with skin, 1 in.': 0.5,
    'plywood, 1/8 in.': 0.4,
    'rigid insulation, 1/2 in.': 0.75,
    'skylight, metal frame, 3/8 in. wire glass': 8,
    'slate, 3/16 in.': 7,
    'slate, 1/4 in.': 10,
    'membrane, bituminous, gravel-covered': 5.5,
    'membrane, bituminous, smooth': 1.5,
    'membrane, liquid applied': 1,
    'membrane, single-ply, sheet': 0.7,
    'wood sheathing, 1 in.': 3,
    'wood shingles': 3,
  },
  'floor fill': {
    'cinder concrete, 1 in.': 9,
    'lightweight concrete, 1 in.': 8,
    'sand, 1 in.': 8,
    'stone concrete, 1 in.': 12,
  },
  'floors and finishes': {
    'asphalt block, 2 in., on 1/2 in. mortar': 30,
    'cement finish, 1 in., on stone-concrete fill': 32,
    'ceramic or quarry tile, 3/4 in., on 1/2 in. mortar bed': 16,
    'ceramic or quarry tile, 3/4 in., on 1 in. mortar bed': 23,
    'concrete fill finish, 1 in.': 12,
    'hardwood flooring, 7/8 in.': 4,
    'linoleum or asphalt tile, 1/4 in.': 1,
    'marble and mortar on stone-concrete fill': 33,
    'slate, 1 in.': 15,
    'solid flat tile on 1 in. mortar base': 23,
    'subflooring, 3/4 in.': 3,
    'terrazzo, 1 1/2 in., directly on slab': 19,
    'terrazzo, 1 in., on stone-concrete fill': 32,
    'terrazzo, 1 in., on 2 in. stone concrete': 32,
    'wood block, 3 in., on mastic, no fill': 10,
    'wood block, 3 in., on 1/2 in. mortar base': 16,
  },
  'floors on wood joists': {
    ...joists(6, [6, 5, 5]),
    ...joists(8, [6, 6, 5]),
    ...joists(10, [7, 6, 6]),
    ...joists(12, [8, 7, 6]),
  },
  'frame partitions': {
    'movable steel partitions': 4,
    'wood or steel studs, 1/2 in. gypsum board each side': 8,
    'wood studs, 2 x 4, unplastered': 4,
    'wood studs, 2 x 4, plastered one side': 12,
    'wood studs, 2 x 4, plastered two sides': 20,
  },
  'frame walls': {
    'studs 2 x 4 at 16 in., gypsum 5/8 in., siding, insulated': 11,
    'studs 2 x 6 at 16 in., gypsum 5/8 in., siding, insulated': 12,
    'exterior stud walls with brick veneer': 48,
    'windows, glass, frame and sash': 8,
  },
  'clay brick': {
    'clay brick wythe, 4 in.': 39,
    'clay brick wythe, 8 in.': 79,
    'clay brick wythe, 12 in.': 115,
    'clay brick wythe, 16 in.': 155,
  },
  'hollow concrete masonry': {
    ...hollow(105, {
      'no grout': [22, 24, 31, 37, 43],
      'grout at 48 in.': [29, 38, 47, 55],
      'grout at 40 in.': [30, 40, 49, 57],
      'grout at 32 in.': [32, 42, 52, 61],
      'grout at 24 in.': [34, 46, 57, 67],
      'grout at 16 in.': [40, 53, 66, 79],
      'full grout': [55, 75, 95, 115],
    }),
    ...hollow(125, {
      'no grout': [26, 28, 36, 44, 50],
      'grout at 48 in.': [33, 44, 54, 62],
      'grout at 40 in.': [34, 45, 56, 65],
      'grout at 32 in.': [36, 47, 58, 68],
      'grout at 24 in.': [39, 51, 63, 75],
      'grout at 16 in.': [44, 59, 73, 87],
      'full grout': [59, 81, 102, 123],
    }),
    ...hollow(135, {
      'no grout': [29, 30, 39, 47, 54],
      'grout at 48 in.': [36, 47, 57, 66],
      'grout at 40 in.': [37, 48, 59, 69],
      'grout at 32 in.': [38, 50, 62, 72],
      'grout at 24 in.': [41, 54, 67, 78],
      'grout at 16 in.': [46, 61, 76, 90],
      'full grout': [62, 83, 105, 127],
    }),
  },
  'solid concrete masonry': {
    ...wythes('solid masonry of 105 lb/ft³', '', [32, 51, 69, 87, 105]),
    ...wythes('solid masonry of 125 lb/ft³', '', [38, 60, 81, 102, 124]),
    ...wythes('solid masonry of 135 lb/ft³', '', [41, 64, 87, 110, 133]),
  },
}
