import { isBent, type Beam } from '../building/frame'
import { stretchesAlong, trueLength } from '../building/slopes'
import { memberLoadsIn } from '../derivation/floorQueries'
import type { FloorState } from '../derivation/floorStates'
import type { ProjectState } from '../derivation/project'
import { recordsOf, type Document } from '../document/document'
import { labelOf } from '../document/labels'
import { alongTrueLength, type LoadLine, type MemberLoad } from '../rundown/memberLines'
import { heldMoments, merged, type Merging } from '../rundown/mergedLoads'

/** What the project says of line loads that are handed over. */
export function mergingOf(document: Document): Merging {
  const [basis] = recordsOf(document, 'basis')
  if (basis?.handedLoads === 'pieces') return { kind: 'pieces', most: basis.handedPieces }
  return { kind: basis?.handedLoads ?? 'exact' }
}

interface HandedLoad extends MemberLoad {
  /** The lines as they are handed over. */
  readonly handed: readonly LoadLine[]
  /** Of the member, m. */
  readonly length: number
}

/**
 * What lands on a beam by its true length, as it is and as it is handed over. A bent member keeps its lines: a piece over a bend
 * would be none.
 */
export function handedLoad({ operator }: FloorState, beam: Beam, load: MemberLoad, merging: Merging): HandedLoad {
  const stretches = stretchesAlong(operator.plan.slopes, beam.legs)
  const { lines, points } = alongTrueLength(load, stretches)
  const length = trueLength(stretches)
  return { lines, points, length, handed: isBent(beam) ? lines : merged(lines, length, merging) }
}

/** What merging does to line loads of beams in all cases. */
export interface HandedChange {
  readonly before: number
  readonly after: number
  /** Where the moment of a held end changes most; null where none does. */
  readonly most: EndChange | null
}

interface EndChange {
  readonly case: string
  readonly label: string
  readonly level: string
  /** At the end that changes, Nm. */
  readonly was: number
  readonly is: number
}

export function handedChange(state: ProjectState): HandedChange {
  const merging = mergingOf(state.document)
  let [before, after] = [0, 0]
  let most: EndChange | null = null
  const size = (change: EndChange | null) => (change ? Math.abs(change.is - change.was) : 1e-6)
  for (const floor of state.floors)
    for (const loaded of state.caseIds.flatMap((id) => loadedBeams(state, floor, id, merging))) {
      before += loaded.lines.length
      after += loaded.handed.length
      for (const change of endChanges(state, floor, loaded)) if (size(change) > size(most)) most = change
    }
  return { before, after, most }
}

/** Moments of both ends if they were held, before and after. */
function endChanges(
  state: ProjectState,
  floor: FloorState,
  { caseId, beam, lines, handed, length }: ReturnType<typeof loadedBeams>[number],
): readonly EndChange[] {
  const [old, now] = [heldMoments(lines, length), heldMoments(handed, length)]
  const at = { case: caseId, label: labelOf(state.document, beam.member.id), level: floor.level.name }
  return [
    { ...at, was: old.start, is: now.start },
    { ...at, was: old.end, is: now.end },
  ]
}

function loadedBeams(state: ProjectState, floor: FloorState, caseId: string, merging: Merging) {
  return memberLoadsIn(state, floor, caseId).flatMap((load, i) => {
    const beam = floor.operator.plan.frame.beams[i]
    return beam && load.lines.length > 0 ? [{ caseId, beam, ...handedLoad(floor, beam, load, merging) }] : []
  })
}
