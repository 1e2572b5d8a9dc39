import { readArea, readCase, readUses, type ColumnReader } from '../derivation/cells'
import {
  addedAlong,
  columnChain,
  expandedAt,
  floorBelow,
  hangsAt,
  hungOn,
  placeOf,
  type ChainPlace,
  type Place,
} from '../derivation/floorQueries'
import { pressureOn } from '../derivation/surfaceLoads'
import { rakingAt, type Raking } from '../derivation/thrust'
import type { ProjectState } from '../derivation/project'
import { labelOf, memberFacts, splitExpanded } from '../document/labels'
import type { Point } from '../geometry/point'
import { feedingOf, type Feeding } from './feeding'
import { columnRows, type PathRow } from './pathRows'
import { reductionsOfChain, type ReductionView } from '../derivation/reductions'
import { leastFloor, levelsBorne } from '../derivation/supportedLevels'

/** One length of a column, from its level down to the next. */
export interface StripRow {
  readonly levelId: string
  readonly levelName: string
  readonly elevation: number
  readonly expandedId: string
  readonly label: string
  /** Floor area that this level brings, and all from here up, m2. */
  readonly area: number
  readonly cumulativeArea: number
  /** How many levels bring floor from here up, those over transfer beams too. */
  readonly levels: number
  /** Of all from here up, by category in the order of the view's uses, m². */
  readonly areas: readonly number[]
  /** What this level adds at its top, N. */
  readonly added: number
  /** Compression at the top of the length, and at its foot with own weight, N. */
  readonly top: number
  readonly foot: number
}

/** One column from the roof to what it stands on, for one case. */
export interface ColumnView {
  readonly expandedId: string
  readonly id: string
  readonly label: string
  /** Length of a stretch of bearing wall, m; null for a column. */
  readonly stretch: number | null
  readonly section: string
  readonly sectionAssumed: boolean
  readonly rows: readonly StripRow[]
  /** Names of the categories of which it supports any floor. */
  readonly uses: readonly string[]
  /** Of an imposed case, by length, what the standard spares; null where it has no such rule. */
  readonly reductions: readonly (ReductionView | null)[] | null
  /** What enters the picked length. */
  readonly enters: readonly PathRow[]
  readonly base: number
  /** Beams and panels that feed the picked length, on all levels. */
  readonly feeding: Feeding
  /** What the lowest length stands on (the base is a reaction), or what the highest of a hanger hangs from. */
  readonly standsOn: 'base' | 'beam' | 'slab' | 'nothing'
  /** It holds its level up from above: its rows go up from the lowest, and its force is tension. */
  readonly hangs: boolean
  /** How the picked length rakes, and what it does sideways; null where it goes straight down or up. */
  readonly raking: Raking | null
  /** What the picked length takes of the pressure on wall surfaces, N in global axes. */
  readonly pressed: Point
}

export function columnView(state: ProjectState, expandedId: string, caseId: string): ColumnView | null {
  const place = placeOf(state, expandedId, 'columns')
  if (!place) return null
  const id = splitExpanded(expandedId)[0]
  const chain = columnChain(state, expandedId)
  const uses = usesOf(state, chain)
  const rows = stripRows(state, chain, caseId, uses)
  return {
    expandedId,
    id,
    ...memberFacts(state.document, id),
    label: labelOf(state.document, id),
    stretch: lengthOfStretch(place),
    rows,
    uses: uses.map(({ name }) => name),
    reductions: reductionsOfChain(
      state,
      chain,
      caseId,
      rows.map(({ foot }) => foot),
    ),
    enters: columnRows(state, place, caseId),
    base: rows.at(-1)?.foot ?? 0,
    feeding: feedingOf(state, place, 'column', caseId),
    standsOn: footing(state, chain.at(-1)),
    hangs: hangsAt(place),
    raking: rakingAt(state, place, caseId),
    pressed: pressureOn(state, expandedId, caseId),
  }
}

function lengthOfStretch({ floor, row }: Place): number | null {
  const stretch = floor.operator.plan.frame.columns[row]?.stretch
  return stretch ? stretch.s1 - stretch.s0 : null
}

function footing(state: ProjectState, lowest: Place | undefined): ColumnView['standsOn'] {
  if (lowest && hangsAt(lowest)) return hungOn(state, lowest).length > 0 ? 'beam' : 'nothing'
  const below = lowest && floorBelow(state, lowest.floor)
  if (!below) return 'base'
  if (below.onSlab?.rows.includes(lowest.row)) return 'slab'
  return below.feetAbove?.landings.some(({ row }) => row === lowest.row) ? 'beam' : 'nothing'
}

interface UseArea {
  readonly name: string
  readonly area: ColumnReader
}

/** Categories of which any floor comes down the column, with where their area is read. */
function usesOf(state: ProjectState, chain: readonly ChainPlace[]): readonly UseArea[] {
  const names = new Map(state.actions.flatMap(({ cases }) => cases.map(({ id, name }) => [id, name] as const)))
  return readUses(state)
    .filter(([, area]) => chain.some(({ floor, row }) => Math.abs(area(floor.rundown.tops, row)) > leastFloor))
    .map(([id, area]) => ({ name: names.get(id) ?? id, area }))
}

function stripRows(
  state: ProjectState,
  chain: readonly ChainPlace[],
  caseId: string,
  uses: readonly UseArea[],
): readonly StripRow[] {
  const [force, area] = [readCase(state, caseId), readArea(state)]
  const [areas, forces, borne] = [addedAlong(chain, area), addedAlong(chain, force), levelsBorne(state)]
  return chain.map(({ floor, row }, i): StripRow => {
    const { tops, feet } = floor.rundown
    const id = floor.operator.plan.frame.columns[row]?.member.id ?? ''
    return {
      levelId: floor.level.id,
      levelName: floor.level.name,
      elevation: floor.level.elevation,
      expandedId: expandedAt(floor, id),
      label: labelOf(state.document, id),
      area: areas[i] ?? 0,
      cumulativeArea: area(tops, row),
      levels: borne({ floor, row }).size,
      areas: uses.map((use) => use.area(tops, row)),
      added: forces[i] ?? 0,
      top: force(tops, row),
      foot: force(feet, row),
    }
  })
}
