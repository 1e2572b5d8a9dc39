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
import { severityOf } from './definitions'
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

/** Concerns of one kind that are listed; a person mends a fault and not each of its half a million places. */
export const listedOfAKind = 50

/** The concerns of the project, the blocking ones first; of a kind with many the first ones, the last of these with the number of the others. */
export const concernsOf = (state: ProjectState): readonly Concern[] =>
  checks.flatMap((check) => listed(check(state))).sort((a, b) => rank[severityOf(a)] - rank[severityOf(b)])

function listed(concerns: readonly Concern[]): readonly Concern[] {
  if (concerns.length <= listedOfAKind) return concerns
  const counts = new Map<string, number>()
  for (const { code } of concerns) counts.set(code, (counts.get(code) ?? 0) + 1)
  const seen = new Map<string, number>()
  return concerns.flatMap((concern): readonly Concern[] => {
    const index = (seen.get(concern.code) ?? 0) + 1
    seen.set(concern.code, index)
    if (index > listedOfAKind) return []
    const more = (counts.get(concern.code) ?? 0) - listedOfAKind
    return index === listedOfAKind && more > 0 ? [{ ...concern, more }] : [concern]
  })
}

/** How many concerns there are, those that are not listed too. */
export const countOf = (concerns: readonly Concern[]): number =>
  concerns.reduce((sum, { more = 0 }) => sum + 1 + more, 0)
