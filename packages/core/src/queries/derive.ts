import type { RuleId } from '../combinations/ruleSets'
import { concernsOf } from '../concerns/concernsOf'
import type { EffectKind } from '../derivation/effects'
import { floorAt } from '../derivation/floorQueries'
import { wallSourcesOf } from '../derivation/heads'
import type { Memo } from '../derivation/memo'
import { deriveProject, type ProjectState } from '../derivation/project'
import type { Document } from '../document/document'
import { labelOf, namesIn } from '../document/labels'
import { once } from '../outcome/once'
import { inWordsOf, saidOtherwise } from '../outcome/vocabulary'
import { openRings } from '../editing/beamRings'
import { layoutOutline } from '../editing/outline'
import { csvFiles } from '../exchange/csv'
import { handedChange } from '../exchange/handedLoads'
import { memberLoadSums, resultsJson, type ResultStage } from '../exchange/results'
import { balanceOf } from '../derivation/balance'
import type { SharingRule } from '../sharing/sharer'
import { byValue } from './byValue'
import { candidateViews } from './candidateViews'
import { compareRules } from './compareRules'
import { columnView } from './columnView'
import { elevationView, type ElevationAxis } from './elevationView'
import { envelopeRows, governing } from './envelopeViews'
import { find } from './find'
import { floorView } from './floorView'
import { joints } from './joints'
import { keySlabs } from './keySlabs'
import { keySums } from './keySums'
import { lateralView } from './lateralView'
import { massViews } from './massViews'
import { memberView } from './memberView'
import { formatOf, overview } from './overview'
import { dividingLines } from './dividingLines'
import { panelView } from './panelView'
import { reducedBase } from './reducedBase'
import { ruleViews } from './ruleViews'
import { slabReductionViews } from './slabReductionViews'
import { thrustView } from './thrustView'
import { spaceView } from './spaceView'
import { stripView } from './stripView'
import { surfaceView } from './surfaceView'
import { familyOf } from '../standards/families'
import { recitedIn } from '../trace/recited'
import { why } from './why/why'
import { windProfile } from './windProfile'
import { source } from './source'

/** What a screen, a job or the command line may ask of a document. */
export type Query =
  | { readonly kind: 'overview' }
  | { readonly kind: 'floor'; readonly levelId: string; readonly caseId: string }
  | { readonly kind: 'elevation'; readonly axis: ElevationAxis; readonly caseId: string }
  | { readonly kind: 'joints'; readonly wanted: boolean }
  | { readonly kind: 'space'; readonly caseId: string }
  | { readonly kind: 'member'; readonly expandedId: string; readonly caseId: string }
  | { readonly kind: 'column'; readonly expandedId: string; readonly caseId: string }
  | { readonly kind: 'panel'; readonly expandedId: string; readonly caseId: string }
  | { readonly kind: 'candidates'; readonly expandedId: string | null }
  | { readonly kind: 'dividing'; readonly levelId: string | null; readonly caseId: string }
  | {
      readonly kind: 'compare'
      readonly levelId: string
      /** All panels of the level where null. */
      readonly panelId: string | null
      readonly caseId: string
      readonly rules: readonly (SharingRule | null)[]
    }
  | { readonly kind: 'strip'; readonly expandedId: string; readonly caseId: string; readonly at: number | null }
  | { readonly kind: 'wallSurface'; readonly expandedId: string; readonly caseId: string }
  | { readonly kind: 'balance'; readonly caseId: string }
  | { readonly kind: 'byValue'; readonly text: string; readonly caseId: string }
  | { readonly kind: 'find'; readonly text: string; readonly most: number }
  | { readonly kind: 'keys' }
  | { readonly kind: 'keySums' }
  | { readonly kind: 'keySlabs' }
  | { readonly kind: 'masses' }
  | { readonly kind: 'lateral'; readonly caseId: string }
  | { readonly kind: 'reducedBase'; readonly caseId: string }
  | { readonly kind: 'thrusts'; readonly caseId: string }
  | { readonly kind: 'slabReductions'; readonly caseId: string }
  | { readonly kind: 'walls'; readonly levelId: string }
  | { readonly kind: 'wind' }
  | { readonly kind: 'windProfile' }
  | { readonly kind: 'standard' }
  | { readonly kind: 'source'; readonly key: string }
  | { readonly kind: 'rules'; readonly list: RuleId | null }
  | { readonly kind: 'envelopes'; readonly set: string; readonly effects: EffectKind }
  | { readonly kind: 'governing'; readonly set: string; readonly key: string }
  | { readonly kind: 'why'; readonly address: string }
  | { readonly kind: 'concerns' }
  | { readonly kind: 'results'; readonly only: ResultStage | null }
  | { readonly kind: 'fileSums' }
  | { readonly kind: 'handedChange' }
  | { readonly kind: 'outline'; readonly layoutId: string }
  | { readonly kind: 'openRings'; readonly layoutId: string }
  | { readonly kind: 'csv'; readonly only: ResultStage | null }

type Answers = {
  readonly [K in Query['kind']]: (state: ProjectState, query: Extract<Query, { kind: K }>) => unknown
}

const answers = {
  overview: (state) => overview(state),
  floor: (state, { levelId, caseId }) => floorView(state, levelId, caseId),
  elevation: (state, { axis, caseId }) => elevationView(state, axis, caseId),
  joints: (state, { wanted }) => (wanted ? joints(state) : []),
  space: (state, { caseId }) => spaceView(state, caseId),
  member: (state, { expandedId, caseId }) => memberView(state, expandedId, caseId),
  column: (state, { expandedId, caseId }) => columnView(state, expandedId, caseId),
  panel: (state, { expandedId, caseId }) => panelView(state, expandedId, caseId),
  candidates: (state, { expandedId }) => (expandedId === null ? [] : candidateViews(state, expandedId)),
  dividing: (state, { levelId, caseId }) => dividingLines(state, levelId, caseId),
  compare: (state, { levelId, panelId, caseId, rules }) => compareRules(state, levelId, panelId, caseId, rules),
  strip: (state, { expandedId, caseId, at }) => stripView(state, expandedId, caseId, at),
  wallSurface: (state, { expandedId, caseId }) => surfaceView(state, expandedId, caseId),
  balance: (state, { caseId }) => balanceOf(state, caseId),
  byValue: (state, { text, caseId }) => byValue(state, text, caseId, formatOf(state)),
  find: (state, { text, most }) => find(state, text, most),
  keys: (state) => [...state.keys.values()],
  keySums: (state) => keySums(state),
  keySlabs: (state) => keySlabs(state),
  masses: (state) => massViews(state),
  lateral: (state, { caseId }) => lateralView(state, caseId),
  reducedBase: (state, { caseId }) => reducedBase(state, caseId),
  slabReductions: (state, { caseId }) => slabReductionViews(state, caseId),
  thrusts: (state, { caseId }) => thrustView(state, caseId),
  walls: (state, { levelId }) => wallRows(state, levelId),
  wind: (state) => (state.wind ? { ...state.wind, extent: state.extent } : null),
  windProfile: (state) => windProfile(state),
  standard: (state) => ({ ...state.standard, values: Object.values(state.standard.values) }),
  source: (state, { key }) => source(state, key),
  rules: (state, { list }) => ruleViews(state, list),
  envelopes: (state, { set, effects }) => envelopeRows(state, set, effects),
  governing: (state, { set, key }) => governing(state, set, key),
  why: (state, { address }) => why(state, address),
  concerns: (state) => concernsOf(state),
  results: (state, { only }) => resultsJson(state, only),
  outline: (state, { layoutId }) => layoutOutline(state.document, layoutId),
  openRings: (state, { layoutId }) => ({ count: openRings(state.document, layoutId).length }),
  handedChange: (state) => handedChange(state),
  fileSums: (state) => memberLoadSums(state),
  csv: (state, { only }) => csvFiles(state, only),
} satisfies Answers

export type Answer<Q extends Query> = ReturnType<(typeof answers)[Q['kind']]>

/** The one way in for browser worker, server and command line: the same document and query give the same answer. */
export function derive<Q extends Query>(memo: Memo, document: Document, query: Q): Answer<Q> {
  return ask(deriveProject(memo, document), query)
}

/** The same for a state that is at hand. */
export function ask<Q extends Query>(state: ProjectState, query: Q): Answer<Q> {
  // the table has one entry per kind, each taking the query of that kind: TypeScript cannot correlate the two
  const answer = answers[query.kind] as unknown as (state: ProjectState, query: Q) => Answer<Q>
  const found = answer(state, query)
  const { family, layers } = state.standard
  const { cited, words } = familyOf(family)
  if (!cited || !hasTraces.has(query.kind)) return found
  return recitedIn(found, {
    cite: (clause) => cited(layers, clause),
    say: (text) => inWordsOf(words, text, namesKept(state)),
  })
}

/** Names that a person gave are not said in other words. */
const namesKept = once(({ document, standard }: ProjectState) =>
  saidOtherwise(familyOf(standard.family).words, namesIn(document)),
)

/** What holds traces: methods that all families share are cited there as the family in use cites them. */
const hasTraces: ReadonlySet<Query['kind']> = new Set([
  'why',
  'keys',
  'walls',
  'masses',
  'wind',
  'windProfile',
  'lateral',
])

/** Wall runs of a level stretch by stretch, with what stands over each. */
function wallRows(state: ProjectState, levelId: string) {
  const floor = floorAt(state, levelId)
  if (!floor) return []
  return wallSourcesOf(floor.operator).map(({ id, run, segment: { a, b, length, drawn } }, i) => ({
    id,
    runId: run.id,
    label: labelOf(state.document, run.id),
    a,
    b,
    length,
    /** All of the piece, with what is left of pieces that are too short to stand alone; N. */
    force: drawn * (floor.walls.loads[i]?.value ?? 0),
    trace: floor.walls.loads[i] ?? null,
    head: floor.walls.heads[i] ?? null,
  }))
}
