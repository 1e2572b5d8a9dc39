import { standsApart, type Action } from '../actions/cases'
import { concernsOf } from '../concerns/concernsOf'
import { balanceOf, equilibriumResidual, type Balance } from '../derivation/balance'
import { pressureAt, topInWind } from '../derivation/climate'
import { effectKey, effectsOf } from '../derivation/effects'
import { floorArea } from '../derivation/floorQueries'
import type { ProjectState } from '../derivation/project'
import { combinationCount, setsOf, structuresOfSet } from '../derivation/structures'
import { extremeOf } from '../envelopes/extremes'
import type { StepOfWork } from '../concerns/definition'
import type { Concern, Severity } from '../outcome/outcome'
import { familyOf } from '../standards/families'
import type { Exclusion, FamilyId, RuleSet } from '../standards/family'
import { pressureRuleOf } from '../standards/pressureRules'
import type { NumberFormat } from '../units/format'
import { concernSentence, severityOf, stepOfConcern } from '../concerns/definitions'

export interface WordedConcern extends Concern {
  readonly severity: Severity
  readonly step: StepOfWork
  readonly sentence: string
}

export interface LevelView {
  readonly id: string
  readonly name: string
  readonly elevation: number
  readonly layoutId: string | null
  /** Down to the next carrying level or the base; 0 at the base. */
  readonly storeyHeight: number
}

export interface CaseView {
  readonly id: string
  readonly name: string
  /** What the factors of combinations go by; null for permanent cases. */
  readonly group: string | null
  readonly balance: Balance
}

export type ActionView = Omit<Action, 'cases'> & { readonly cases: readonly CaseView[] }

/** The one figure of each step. */
export interface Figures {
  readonly peakPressure: { readonly mark: string; readonly value: number; readonly height: number } | null
  readonly storeys: number
  readonly area: number
  /** All permanent cases, N. */
  readonly permanent: number
  /** All gravity cases at characteristic value, N. */
  readonly notCarried: number
  readonly combinations: string
  readonly cases: number
  readonly mostReaction: { readonly key: string; readonly label: string; readonly value: number } | null
}

/** What the frame of the screen shows whatever the step: figures, cases, balances, concerns. */
export interface Overview {
  readonly format: NumberFormat
  readonly levels: readonly LevelView[]
  readonly actions: readonly ActionView[]
  readonly figures: Figures
  readonly concerns: readonly WordedConcern[]
  /** How far the sums of the worst gravity case disagree, as a part of what was applied. */
  readonly residual: number
  readonly layers: readonly string[]
  readonly family: FamilyId
  /** Rules that are enveloped together, by name. */
  readonly ruleSets: readonly RuleSet[]
  readonly exclusions: readonly Exclusion[]
}

export const formatOf = ({ basis }: Pick<ProjectState, 'basis'>): NumberFormat => ({
  system: basis?.units ?? 'metric',
  decimal: basis?.decimal ?? 'point',
  words: familyOf(basis?.family ?? 'EN').words,
})

export function overview(state: ProjectState): Overview {
  const format = formatOf(state)
  const actions = state.actions.map((action): ActionView => ({
    ...action,
    cases: action.cases.map(({ id, name, group }) => ({ id, name, group, balance: balanceOf(state, id) })),
  }))
  return {
    format,
    levels: state.levels.map(({ level: { id, name, elevation }, layoutId, storeyHeight }) => ({
      id,
      name,
      elevation,
      layoutId,
      storeyHeight,
    })),
    actions,
    figures: figuresOf(state, actions),
    concerns: concernsOf(state).map((concern) => ({
      ...concern,
      severity: severityOf(concern),
      step: stepOfConcern(concern),
      sentence: concernSentence(concern, format),
    })),
    residual: equilibriumResidual(state),
    layers: state.standard.layers,
    family: state.standard.family,
    ruleSets: setsOf(state),
    exclusions: familyOf(state.standard.family).exclusions,
  }
}

function figuresOf(state: ProjectState, actions: readonly ActionView[]): Figures {
  const balances = (wanted: (action: ActionView) => boolean) =>
    actions.filter(wanted).flatMap(({ cases }) => cases.map(({ balance }) => balance))
  return {
    peakPressure: peakPressureAtTop(state),
    storeys: state.floors.length,
    area: state.floors.reduce((sum, floor) => sum + floorArea(state, floor), 0),
    permanent: balances(({ nature }) => nature === 'permanent').reduce((sum, { applied }) => sum + applied, 0),
    notCarried: balances(({ id }) => !standsApart(id)).reduce((sum, { notCarried }) => sum + notCarried, 0),
    combinations: combinationCount(state).toString(),
    cases: state.caseIds.length,
    mostReaction: mostReaction(state),
  }
}

/** At the top of the building with its parapet, or at 10 m while nothing stands. */
function peakPressureAtTop(state: ProjectState): Figures['peakPressure'] {
  const height = topInWind(state)
  const pressure = pressureAt(state, height)
  const mark = pressureRuleOf(state.standard.family)?.mark ?? ''
  return pressure && { mark, height, value: pressure.value }
}

function mostReaction(state: ProjectState): Figures['mostReaction'] {
  const strength = structuresOfSet(state, 'strength')
  return effectsOf(state, 'reaction').reduce<Figures['mostReaction']>((best, effect) => {
    const value = extremeOf(strength, effect.combined, 'most')?.value
    return value === undefined || (best && best.value >= value)
      ? best
      : { key: effectKey(effect), label: effect.label, value }
  }, null)
}
