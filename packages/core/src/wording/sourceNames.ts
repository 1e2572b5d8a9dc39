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

/** The name of a source of load by its kind; a kind without a name is a load. */
export const nameOfSource = (kind: string): string => (sourceNames as Readonly<Record<string, string>>)[kind] ?? 'load'
