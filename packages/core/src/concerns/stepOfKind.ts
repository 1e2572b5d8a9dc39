import type { Concern } from '../outcome/outcome'
import type { StepOfWork } from './definition'

const building = [
  'level',
  'layout',
  'gridLine',
  'section',
  'material',
  'member',
  'panel',
  'opening',
  'slope',
  'strut',
  'stiffElement',
]
const others: Readonly<Record<string, StepOfWork>> = { basis: 'basis', layer: 'basis', reductionTable: 'combinations' }

/** The step whose sheet edits the first record of a concern, by its kind: what is no structure, standard or table is a load. */
export function stepOfKind({ about: [id = ''] }: Concern): StepOfWork {
  const kind = id.slice(0, id.indexOf(':'))
  return building.includes(kind) ? 'building' : (others[kind] ?? 'actions')
}
