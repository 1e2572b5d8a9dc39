import type { Point } from './point'

/** Two points nearer than this are one point of the building (1 mm: finer than any setting-out). */
export const samePoint = 1e-3

/** Rounds away what adding and turning lengths leaves behind, well below a setting-out tolerance. */
export const tidy = (value: number): number => Math.round(value * 1e9) / 1e9 + 0
export const tidyPoint = ([x, y]: Point): Point => [tidy(x), tidy(y)]

/** A supporting member may lie off a panel's edge by this much, as drawn by hand or imported (1 cm). */
export const onLine = 1e-2

/** Lines nearer than this are one line: coordinates of one place that were worked out in two ways (1 µm). */
export const sameLine = 1e-6

/** Supports closer than this along a strip may count as one: a 50 mm span is never meant. */
export const sameSupport = 0.05

/** How load varies along a member within such a length is not followed; its force and moment are kept (5 cm). */
export const shortest = 0.05

/** A member whose angle to the span is below this runs along it and carries none of it (5 degrees). */
export const alongSpan = (5 * Math.PI) / 180

/** Polygons smaller than this are slivers left by clipping (1 cm²). */
export const sliverArea = 1e-4
