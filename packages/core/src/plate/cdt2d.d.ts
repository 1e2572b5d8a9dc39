declare module 'cdt2d' {
  /** Triangles (by the places of their corners in the list of points) of a plane graph whose edges all become sides. */
  // as the package has it
  // oxlint-disable-next-line import/no-default-export
  export default function cdt2d(
    points: readonly (readonly [number, number])[],
    edges: readonly (readonly [number, number])[],
    options?: { readonly delaunay?: boolean; readonly exterior?: boolean; readonly infinity?: boolean },
  ): [number, number, number][]
}
