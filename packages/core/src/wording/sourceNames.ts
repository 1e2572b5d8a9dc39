/** What a load on a member comes from, as sums, concerns and sheets call it. */
export const sourceNames = {
  region: 'panel',
  wall: 'wall run',
  line: 'line load',
  point: 'point load',
  area: 'area load',
  stair: 'flight of stairs',
  ownWeight: 'self-weight',
  beam: 'beam',
  strut: 'secondary member',
  column: 'column',
  hanger: 'hanger',
} as const
