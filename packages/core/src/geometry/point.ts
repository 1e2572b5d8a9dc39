/** A point of a plan in metres. */
export type Point = readonly [x: number, y: number]
