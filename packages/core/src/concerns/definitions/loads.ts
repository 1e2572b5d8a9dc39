import { nameOfSource } from '../../wording/sourceNames'
import { formatQuantity } from '../../units/format'
import { define } from '../definition'
import { asInUse, firstUse, leastAllowance, parapet, wallRule, weighedOnce, without, withFields } from '../makers'

/** Loads that are entered or follow from uses: load keys, partitions, walls, barriers, self-weight. */
export const ofLoads = {
  'selfweight.twice': define({
    severity: 'caution',
    step: 'actions',
    data: { panel: 'text', slab: 'smallLength', layer: 'text', thickness: 'smallLength' },
    sentence: ({ panel, slab, layer, thickness }) =>
      `The slab of ${panel} (${slab}) is already counted in self-weight, and its build-up also contains ${layer}, ${thickness}. Remove one of them.`,
    mends: weighedOnce,
  }),
  'selfweight.factor': define({
    severity: 'caution',
    step: 'actions',
    data: { factor: 'factor' },
    sentence: ({ factor }, data) =>
      data['factor'] === 0
        ? 'The factor on self-weight is 0, so combinations, reactions and masses contain no self-weight. Set it to 1.'
        : `Self-weight is multiplied by ${factor} in all combinations and masses. Include connections in the unit weight of the material instead.`,
    mends: withFields('basis', 'Count self-weight once', (basis) =>
      without({ ...basis, selfWeightFactor: 1 }, 'selfWeightFactor'),
    ),
  }),
  'load.no-use': define({
    severity: 'blocking',
    step: 'actions',
    data: { label: 'text' },
    sentence: ({ label }) =>
      `Imposed load ${label} has no use defined in the standard, so it is in no load case and not applied. Assign a use.`,
  }),
  'key.no-use': define({
    severity: 'blocking',
    step: 'actions',
    data: { key: 'text' },
    sentence: ({ key }) =>
      `Load key “${key}” has an imposed load but no use, so the load is in no load case and not applied. Assign a use.`,
  }),
  'key.unknown-use': define({
    severity: 'blocking',
    step: 'actions',
    data: { key: 'text', use: 'text', standard: 'text' },
    sentence: ({ key, use, standard }) =>
      `Load key “${key}” has the use ${use}, which ${standard} does not define, so its load is not applied. Select another use.`,
  }),
  'key.no-value': define({
    severity: 'blocking',
    step: 'actions',
    data: { key: 'text', use: 'text', standard: 'text', byHeight: 'number' },
    sentence: ({ key, use, standard }, { byHeight }) =>
      `${standard} gives no uniform load for ${use} of load key “${key}”. Enter ${byHeight === 1 ? 'the storage height or ' : ''}the value.`,
  }),
  'key.construction-above-final': define({
    severity: 'caution',
    step: 'actions',
    data: { key: 'text', what: 'text', value: 'pressure', final: 'pressure' },
    sentence: ({ key, what, value, final }) =>
      `“${key}” has ${what === 'imposed' ? 'an' : 'a'} ${what} load of ${value} during construction, more than the ${final} of the finished floor. Check which is correct.`,
    mends: asInUse,
  }),
  'barrier.no-value': define({
    severity: 'caution',
    step: 'actions',
    data: { use: 'text', label: 'text', standard: 'text' },
    optional: ['standard'],
    sentence: ({ use, label, standard }) =>
      use === ''
        ? `Barrier ${label} has no adjacent use, so no load is known. Assign a use, or enter the load.`
        : `${standard} gives no barrier load for ${use}, so ${label} has none. Enter the load.`,
  }),
  'partitions.too-heavy': define({
    severity: 'blocking',
    step: 'actions',
    data: { key: 'text', weight: 'lineLoad' },
    sentence: ({ key, weight }) =>
      `Partitions of ${weight} on “${key}” are heavier than a partition allowance covers. Enter them as wall runs.`,
  }),
  'partitions.heavy-face': define({
    severity: 'caution',
    step: 'actions',
    data: { key: 'text', weight: 'lineLoad', face: 'pressure', height: 'length', most: 'pressure' },
    sentence: ({ key, weight, face, height, most }) =>
      `Partitions of ${weight} on “${key}” weigh ${face} of wall area in a storey of ${height}; a partition allowance is limited to ${most} (IS 875-2 3.1.2). Enter them as wall runs, or correct their weight.`,
  }),
  'partitions.below-least': define({
    severity: 'caution',
    step: 'actions',
    data: { key: 'text', value: 'pressure', least: 'pressure' },
    sentence: ({ key, value, least }) =>
      `The partition allowance of ${value} on “${key}” is below the minimum of ${least} in the standard. Use the minimum, or increase it.`,
    mends: leastAllowance,
  }),
  'partitions.no-such-rule': define({
    severity: 'blocking',
    step: 'actions',
    data: { key: 'text', rule: 'text', standard: 'text' },
    sentence: ({ key, standard }) =>
      `“${key}” has a partition method that is not in ${standard}, so no allowance is applied. Select another method.`,
    mends: leastAllowance,
  }),
  'wall.no-height': define({
    severity: 'caution',
    step: 'actions',
    data: { label: 'text', level: 'text' },
    sentence: ({ label, level }) =>
      `Wall run ${label} on level ${level} has no storey above for its height. Enter its height.`,
    mends: wallRule((format) => `Set to ${formatQuantity(parapet, 'length', format)} high`, {
      heightRule: 'typed',
      height: parapet,
    }),
  }),
  'wall.no-beam-above': define({
    severity: 'note',
    step: 'actions',
    data: { label: 'text', level: 'text' },
    sentence: ({ label, level }) =>
      `Wall run ${label} on level ${level} has no beam above, so no beam depth was deducted. Check its height.`,
    mends: wallRule(() => 'Deduct the slab only', { heightRule: 'lessSlab' }),
  }),
  'panel.unloaded': define({
    severity: 'caution',
    step: 'actions',
    data: { label: 'text', level: 'text', neighbours: 'number' },
    sentence: ({ label, level, neighbours }) =>
      `Panel ${label} on level ${level} has no imposed (live) load, unlike ${neighbours === '1' ? 'another panel' : `${neighbours} other panels`} there. Assign a use.`,
    mends: firstUse,
  }),
  'load.not-carried': define({
    severity: 'blocking',
    step: 'building',
    data: { label: 'text', level: 'text', what: 'text', force: 'force', part: 'number', of: 'number', case: 'text' },
    sentence: ({ label, level, what, force }) =>
      `${force} of ${nameOfSource(what)} ${label} on level ${level} is not carried. Extend beams under it or rotate the span direction.`,
  }),
  'surface.not-carried': define({
    severity: 'blocking',
    step: 'building',
    data: { label: 'text', level: 'text', force: 'force', of: 'number' },
    sentence: ({ label, level, force }) =>
      `${force} of the pressure on surface ${label} on level ${level} is not carried. Add floors, columns, posts or girts in its plane, or change its span.`,
  }),
}
