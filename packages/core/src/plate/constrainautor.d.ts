// The package ships its types as source only, which is not as strict as ours.

/** Holds edges (by the places of their ends in the list of points) in Delaunay triangles, which change in place. */
// as the package has it
// oxlint-disable-next-line import/no-default-export
export default class Constrainautor {
  constructor(triangles: {
    readonly triangles: Uint32Array
    readonly halfedges: Int32Array
    readonly coords: ArrayLike<number>
  })
  /** Turns what crosses an edge until it is a side; throws where another point or edge is in its way, the triangles being whole still. */
  constrainOne(from: number, to: number): number
}
