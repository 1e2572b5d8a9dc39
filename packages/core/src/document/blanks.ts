import { alongSpan, onLine } from '../geometry/tolerance'
import { newId, type Random } from './document'
import type { Basis, ConstructionStage, GridLine, Layout, LoadKey, Member } from './recordKinds'

/** A basis that says nothing yet but its name. */
export const blankBasis = (name: string, random: Random): Basis => ({
  kind: 'basis',
  id: newId('basis', random),
  name,
  units: 'metric',
  decimal: 'point',
  family: 'EN',
  consequenceClass: 'CC2',
  riskCategory: 'II',
  workingLife: null,
  number: '',
  client: '',
  author: '',
  checker: '',
  date: '',
  basicWindVelocity: null,
  terrain: 'II',
  altitude: 0,
  ground: 0,
  selfWeightFactor: 1,
  supportReach: onLine,
  spanLimit: alongSpan,
  handedLoads: 'exact',
  handedPieces: 4,
  reductions: 'nowhere',
  reductionTable: null,
  transferred: 'reduced',
  wallStiffness: 'bending',
  place: '',
  groundSnow: null,
  siteData: null,
})

/** A layout that nothing is drawn on yet. */
export const newLayout = (name: string, defaultKey: Layout['defaultKey'], random: Random): Layout => ({
  kind: 'layout',
  id: newId('layout', random),
  name,
  defaultKey,
  floors: 'drawn',
})

/** A load key that loads nothing yet. */
export const blankLoadKey = (name: string, random: Random): LoadKey => ({
  kind: 'loadKey',
  id: newId('loadKey', random),
  name,
  buildUp: null,
  use: null,
  imposed: null,
  storageHeight: null,
  reducible: 'byUse',
  partitionRule: 'byWeight',
  partitionWeight: null,
  partitionLoad: null,
  additionalSeismicMass: null,
  massShare: null,
  hatch: null,
  code: '',
})

/** The construction stage of a load key, with nothing on it yet. */
export const blankStage = (key: LoadKey['id'], random: Random): ConstructionStage => ({
  kind: 'constructionStage',
  id: newId('constructionStage', random),
  key,
  permanent: null,
  personnel: null,
  storedMaterials: null,
  equipment: null,
  other: null,
})

/** A member that turns freely at both ends and is one bar. */
export const simpleMember = {
  startRelease: 'pinned',
  endRelease: 'pinned',
  spans: 'simple',
  takesLoad: true,
  sparedActions: [],
  elementFactor: null,
  openShare: 0,
  truss: null,
} as const satisfies Partial<Member>

/** A line of the grid; only skew lines and rings have points. */
export const newGridLine = (
  axis: GridLine['axis'],
  label: string,
  at: number,
  random: Random,
  path: GridLine['path'] = [],
): GridLine => ({ kind: 'gridLine', id: newId('gridLine', random), axis, label, at, path })

/** A panel as most are: one-way, all members take load, by the limits of the project. */
export const simplePanel = {
  edges: 'drawn',
  overhang: 'lever',
  openings: 'bridged',
  sharing: 'oneWay',
  sparedAngle: null,
  sparedMembers: [],
  supportReach: null,
  spanLimit: null,
} as const
