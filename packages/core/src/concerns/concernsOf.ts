import { barrierConcerns } from '../actions/barriers'
import { typedConcerns, typedLoadsOf } from '../actions/typedLoads'
import type { ProjectState } from '../derivation/project'
import { recordsOf } from '../document/document'
import type { Concern } from '../outcome/outcome'
import { crossedOutlines, frameConcerns, labelsSharedOnFloors, sameLabels } from './frame'
import { beamsWithoutLength, layoutsOnNoLevel, patchesOnNothing, wallsWithoutThickness } from './idle'
import { jointConcerns } from './joints'
import { lateralConcerns } from './lateral'
import { hangersFromNothing, hangersInColumns } from './hangers'
import { lostLoads, strandedColumns } from './lostLoads'
import { panelsOffTheirBeams } from './panelEdges'
import { columnsThroughOpenings } from './passing'
import { levelsPushed } from './thrust'
import { sharedMeetings } from './meetings'
import { overlappingPanels, overlappingSlopes } from './overlaps'
import { reducedBesidePsi } from './reductions'
import { closeSupports, coarsePlates, oneSupport, ruleLacks } from './sharing'
import { strutEnds } from './strutEnds'
import { lostPressure } from './surfaces'
import { pressureConcerns } from '../actions/surfacePressures'
import { unloadedPanels } from './unloadedPanels'
import { unusualValues } from './usualRanges'
import { wallHeights } from './walls'
import { sameHatches } from './hatches'
import { drawnTwice } from './drawnTwice'
import { doubtfulTables } from './ownTables'
import { upliftWithoutRow } from './uplift'
import { weightNotOnce, weightTwice } from './weightTwice'
import { velocityOfAnotherKind, windOfFamily, windWithoutTerrain } from './windOfFamily'
import { heavyFaces } from './partitions'
import { windOfSlopes } from './windOfSlopes'

type Check = (state: ProjectState) => readonly Concern[]

/** Every check that a checker would make, in the order in which the work goes. */
const checks: readonly Check[] = [
  ({ standard }) => standard.concerns,
  ({ document }) => unusualValues(document.records.values()),
  sameLabels,
  labelsSharedOnFloors,
  crossedOutlines,
  beamsWithoutLength,
  wallsWithoutThickness,
  jointConcerns,
  overlappingPanels,
  overlappingSlopes,
  layoutsOnNoLevel,
  frameConcerns,
  strandedColumns,
  hangersFromNothing,
  hangersInColumns,
  sharedMeetings,
  levelsPushed,
  columnsThroughOpenings,
  panelsOffTheirBeams,
  strutEnds,
  sameHatches,
  weightTwice,
  weightNotOnce,
  ({ keys }) => [...keys.values()].flatMap(({ concerns }) => concerns),
  heavyFaces,
  ({ document, standard }) => typedConcerns(typedLoadsOf(document), standard),
  ({ document, standard }) => pressureConcerns(recordsOf(document, 'wallSurface'), standard),
  lostPressure,
  ({ document, standard }) => barrierConcerns(recordsOf(document, 'barrier'), standard),
  wallHeights,
  drawnTwice,
  patchesOnNothing,
  unloadedPanels,
  ({ wind }) => wind?.concerns ?? [],
  windOfFamily,
  windWithoutTerrain,
  velocityOfAnotherKind,
  windOfSlopes,
  lostLoads,
  oneSupport,
  closeSupports,
  ruleLacks,
  coarsePlates,
  reducedBesidePsi,
  doubtfulTables,
  upliftWithoutRow,
  lateralConcerns,
]

const rank = { blocking: 0, caution: 1, note: 2 } as const

/** Every concern of the project, the blocking ones first. */
export const concernsOf = (state: ProjectState): readonly Concern[] =>
  checks.flatMap((check) => check(state)).sort((a, b) => rank[a.severity] - rank[b.severity])
