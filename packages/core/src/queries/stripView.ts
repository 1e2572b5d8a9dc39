import { floorSeen } from '../derivation/floorQueries'
import { panelGrounds } from '../derivation/panelGrounds'
import type { ProjectState } from '../derivation/project'
import { labelOf, splitExpanded } from '../document/labels'
import type { Point } from '../geometry/point'
import { stripGround } from '../sharing/oneWay'
import { stripEnds, stripRange, stripStatics, type StripPiece } from '../sharing/stripStatics'
import { loadedRegions } from './panelView'

export interface StripPieceView extends Omit<StripPiece, 'supports'> {
  readonly supports: readonly {
    readonly u: number
    readonly labels: readonly string[]
    /** Per metre of strip, N/m. */
    readonly force: number
    /** Ordinates of its members, force per length of each, N/m. */
    readonly ordinates: readonly number[]
  }[]
}

/** One strip of a one-way panel in a case, one metre wide; places along it count from its start. */
export interface StripView {
  /** From an edge across the span, m, and how far that may go. */
  readonly at: number
  readonly width: number
  readonly edge: 'west' | 'south'
  readonly ends: readonly [Point, Point]
  readonly overhang: 'lever' | 'tributary'
  readonly pieces: readonly StripPieceView[]
}

/** Null for panels that do not share one-way. `at` is held within the panel; the middle where none is given. */
export function stripView(
  state: ProjectState,
  expandedId: string,
  caseId: string,
  at: number | null,
): StripView | null {
  const [id, levelId] = splitExpanded(expandedId)
  const floor = floorSeen(state, levelId, caseId)
  const ground = floor && panelGrounds(state, floor).find(({ plan }) => plan.panel.id === id)?.ground
  if (!floor || ground?.rule !== 'oneWay') return null
  const strips = stripGround(ground)
  const { held, width, edge, v } = placeAcross(stripRange(strips), ground.spanAngle, at)
  const loads = loadedRegions(state, floor, id, caseId).map(({ source, intensity }) => ({
    region: source.region.region,
    q: intensity,
  }))
  const pieces = stripStatics(strips, ground.spanAngle, v, loads)
  const [start, end] = [pieces[0]?.from ?? 0, pieces.at(-1)?.to ?? 0]
  return {
    at: held,
    width,
    edge,
    ends: stripEnds(ground.spanAngle, v, start, end),
    overhang: ground.overhang,
    pieces: pieces.map((piece) => moved(state, piece, start)),
  }
}

/** On the very edge a strip has no inside, m. */
const hair = 1e-4

/** The place of a strip: people count from the west, or from the south, and v grows square to the span. */
function placeAcross([first, last]: readonly [number, number], spanAngle: number, at: number | null) {
  const width = last - first
  const held = Math.min(Math.max(at ?? width / 2, hair), width - hair)
  const [east, north] = [-Math.sin(spanAngle), Math.cos(spanAngle)]
  const edge: StripView['edge'] = Math.abs(east) > Math.abs(north) ? 'west' : 'south'
  const v = (edge === 'west' ? east : north) > 0 ? first + held : last - held
  return { held, width, edge, v }
}

function moved(state: ProjectState, piece: StripPiece, start: number): StripPieceView {
  return {
    from: piece.from - start,
    to: piece.to - start,
    loads: piece.loads.map(({ c, d, q }) => ({ c: c - start, d: d - start, q })),
    steps: piece.steps.map((step) => ({ ...step, middle: step.middle - start })),
    notCarried: piece.notCarried,
    supports: piece.supports.map(({ u, members, force, sines }) => ({
      u: u - start,
      labels: members.map((member) => labelOf(state.document, member)),
      force,
      ordinates: sines.map((sine) => (force / members.length) * sine),
    })),
  }
}
