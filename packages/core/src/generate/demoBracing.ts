import type { StiffElement } from '../document/recordKinds'

type Paths = readonly StiffElement['path'][]

/** In three sides of the block and beside the stair. */
const block: Paths = [
  [
    [0, 0],
    [7.2, 0],
  ],
  [
    [7.2, 15],
    [14.4, 15],
  ],
  [
    [0, 9],
    [0, 15],
  ],
  [
    [21.6, 9],
    [21.6, 15],
  ],
]

/** In the first bay of both long sides of the workshop, and in its gables. */
const hall: Paths = [
  [
    [22.2, 9],
    [28.2, 9],
  ],
  [
    [22.2, 21],
    [28.2, 21],
  ],
  [
    [22.2, 9],
    [22.2, 15],
  ],
  [
    [46.2, 9],
    [46.2, 15],
  ],
]

/** Where the demo's braced bays stand in plan. */
export const braced = { block, hall }
