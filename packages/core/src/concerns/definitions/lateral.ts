import { define } from '../definition'
import { withFields } from '../makers'

const unheldReasons: Readonly<Record<string, string>> = {
  nothing: 'it has no lateral elements. Add some',
  way: 'no lateral element resists this direction. Add one',
  turning: 'the lateral elements give no torsional restraint. Add one off their common line',
}

/** Horizontal forces and what resists them. */
export const ofLateral = {
  'level.pushed': define({
    severity: 'note',
    step: 'building',
    data: { level: 'text', force: 'force', case: 'text', caseName: 'text' },
    sentence: ({ level, force, caseName }) =>
      `Level ${level} has a horizontal thrust of ${force} in ${caseName}, from raking members, loads normal to a slope or pressure on walls, and no lateral elements; it is exported to the frame analysis. Add lateral elements to distribute it.`,
  }),
  'storey.unheld': define({
    severity: 'caution',
    step: 'building',
    data: { level: 'text', force: 'force', why: 'text' },
    sentence: ({ level, force, why }) =>
      `The storey below level ${level} cannot resist ${force} (forces above end there): ${unheldReasons[why] ?? ''}.`,
  }),
  'storey.no-earthquake-rule': define({
    severity: 'blocking',
    step: 'actions',
    data: { name: 'text', family: 'text' },
    sentence: ({ name, family }) =>
      `Storey forces “${name}” are seismic, which is not derived to ${family} in this version, so they are 0. Use a percentage of weight, or enter values.`,
    mends: withFields('storeyForces', 'Use a percentage of weight', (forces) => ({ ...forces, rule: 'share' })),
  }),
  'storey.walls-bend-alone': define({
    severity: 'caution',
    step: 'paths',
    data: { level: 'text' },
    sentence: ({ level }) =>
      `Below level ${level}, walls with bending stiffness only are combined with bracing or an entered stiffness, so short walls are assigned too much force. Include their shear stiffness.`,
    mends: withFields('basis', 'Include their shear stiffness', (basis) => ({
      ...basis,
      wallStiffness: 'bendingAndShear',
    })),
  }),
  'bearingWall.no-rectangle': define({
    severity: 'caution',
    step: 'building',
    data: { label: 'text', section: 'text', thickness: 'smallLength' },
    sentence: ({ label, section, thickness }) =>
      `Bearing wall ${label} has the section ${section}, taken as ${thickness} thick. Assign a rectangular section whose width is the wall thickness.`,
  }),
  'stiffElement.no-section': define({
    severity: 'caution',
    step: 'building',
    data: { label: 'text' },
    sentence: ({ label }) =>
      `Bracing ${label} has no section, so it has no stiffness and resists no force. Assign a section to its diagonals.`,
  }),
  'stiffElement.on-nothing': define({
    severity: 'caution',
    step: 'building',
    data: { label: 'text', level: 'text' },
    sentence: ({ label, level }) =>
      `Lateral element ${label} ends below level ${level} above ground: the floor transfers its force, but its base moment is not resisted. Extend it down.`,
  }),
}
