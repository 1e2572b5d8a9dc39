/** A point of a plan in metres. */
export type Point = readonly [x: number, y: number]

/** A point of the building, m: global axes, Z up. */
export type Point3 = readonly [x: number, y: number, z: number]
