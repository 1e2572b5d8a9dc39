import {
  familyOf,
  formatQuantity,
  pressureRuleOf,
  stepsOfWork,
  type NumberFormat,
  type Overview,
  type Quantity,
  type StepOfWork,
} from '@hedrion/core'
import { countedConcerns } from './countedConcerns'

export { stepsOfWork as stepNames }
export type StepName = StepOfWork

export const stepTitles: Readonly<Record<StepName, string>> = {
  basis: 'Basis',
  building: 'Building',
  actions: 'Actions',
  paths: 'Paths',
  combinations: 'Combinations',
  envelopes: 'Envelopes',
  handover: 'Handover',
}

export interface StepFigure {
  readonly text: string
  readonly warm: boolean
}

const plain = (text: string): StepFigure => ({ text, warm: false })

type Figure = (overview: Overview, show: (value: number, quantity: Quantity) => string) => StepFigure

const figures: Readonly<Record<StepName, Figure>> = {
  basis: ({ figures: { peakPressure }, family }, show) =>
    plain(
      peakPressure
        ? `${peakPressure.mark} ${show(peakPressure.value, 'pressure')} at ${show(peakPressure.height, 'length')}`
        : pressureRuleOf(family)
          ? 'no site yet'
          : familyOf(family).name,
    ),
  building: ({ figures: { storeys, area } }, show) =>
    plain(`${storeys} level${storeys === 1 ? '' : 's'}, ${show(area, 'area')}`),
  actions: ({ figures: { permanent } }, show) => plain(`permanent ${show(permanent, 'force')}`),
  paths: ({ figures: { notCarried } }, show) => ({
    text: `${show(notCarried, 'force')} not carried`,
    // a newton is rounding
    warm: Math.abs(notCarried) > 1,
  }),
  combinations: ({ figures: { combinations, cases } }) => plain(`${combinations} from ${cases} cases`),
  envelopes: ({ figures: { mostReaction } }, show) =>
    plain(mostReaction ? `${mostReaction.label} max ${show(mostReaction.value, 'force')}` : 'no reaction yet'),
  handover: ({ concerns }) => ({
    text: concerns.length === 0 ? 'no concerns' : `${countedConcerns(concerns)} open`,
    warm: concerns.some(({ severity }) => severity === 'blocking'),
  }),
}

/** The one figure that stands under each step's name; a building that is not there has none. */
export function stepFigure(step: StepName, overview: Overview | undefined, format: NumberFormat): StepFigure {
  if (!overview) return plain('')
  if (step !== 'basis' && overview.figures.storeys === 0) return plain('no building yet')
  // number and unit stay on one line
  return figures[step](overview, (value, quantity) => formatQuantity(value, quantity, format).replace(/ /g, '\u00a0'))
}
