import { capitalized } from '../../outcome/letters'
import { nameOfSource } from '../../wording/sourceNames'
import { define } from '../definition'

const percent = (change: unknown): string => `${(100 * Number(change)).toFixed(1)} %`

/** A load on a part with one support, with the largest torsion of one member in one case. */
const torsion = {
  label: 'text',
  what: 'text',
  level: 'text',
  member: 'text',
  moment: 'moment',
  case: 'text',
  caseName: 'text',
} as const

/** How panels distribute their load. */
export const ofPanels = {
  'panel.one-support': define({
    severity: 'caution',
    step: 'building',
    data: torsion,
    sentence: ({ label, member, moment, caseName }, data) =>
      `Part of panel ${label} has only one support: it carries the full load with torsion${Number(data['moment']) > 0 ? `, ${moment} on ${member} in ${caseName}` : ''}. Provide torsional restraint, add a second support or rotate the span direction.`,
  }),
  'load.one-support': define({
    severity: 'caution',
    step: 'building',
    data: torsion,
    sentence: ({ label, what, level, member, moment, caseName }) =>
      `${capitalized(nameOfSource(what))} ${label} on level ${level} is on a part of a panel with only one support and applies a torsion of ${moment} to ${member} in ${caseName}. Provide torsional restraint, or add a second support.`,
  }),
  'panel.corners': define({
    severity: 'blocking',
    step: 'building',
    data: { label: 'text', lacks: 'text' },
    sentence: ({ label }) =>
      `Panel ${label} uses corner supports, but fewer than three corners are supported, or the supports are collinear. Support its corners, or select another sharing rule.`,
  }),
  'panel.plate': define({
    severity: 'blocking',
    step: 'building',
    data: { label: 'text', lacks: 'text', size: 'smallLength', change: 'number' },
    optional: ['size', 'change'],
    sentence: ({ label, lacks, size }, { change }) =>
      lacks === 'settled'
        ? `The plate forces of panel ${label} do not converge: with ${size} triangles a member force still changes by ${percent(change)} of the load, so none is given. Split the panel at its re-entrant corners, or select another sharing rule.`
        : lacks === 'hold'
          ? `Panel ${label} is unstable as a plate on its beams and columns. Support it on two sides, add columns under its beams, or select another sharing rule.`
          : `Panel ${label} is distributed as a plate but has no slab, so its stiffness is unknown. Assign a slab, or select another sharing rule.`,
  }),
  'panel.mesh': define({
    severity: 'caution',
    step: 'building',
    data: { label: 'text', size: 'smallLength', change: 'number' },
    sentence: ({ label, size }, { change }) =>
      `Panel ${label} as a plate: with ${size} triangles a member force still differs by ${percent(change)} of the load from the value with twice the size. Split it into smaller panels, or select another sharing rule.`,
  }),
  'panel.close-supports': define({
    severity: 'note',
    step: 'building',
    data: { label: 'text', a: 'text', b: 'text' },
    sentence: ({ label, a, b }) =>
      `Below panel ${label}, ${a} and ${b} are closer than 50 mm and act as one support. Check that both are needed.`,
  }),
}
