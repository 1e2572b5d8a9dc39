import { define } from '../definition'
import { fixedEnd } from '../makers'

/** Whether the labels of a concern name more than one object. */
const several = (labels: string): boolean => labels.includes(', ')

/** What carries what: beams, columns, hangers and secondary members. */
export const ofSupports = {
  'member.loop': define({
    severity: 'blocking',
    step: 'building',
    data: { level: 'text', labels: 'text' },
    sentence: ({ level, labels }) =>
      `On level ${level}, ${labels} support each other in a closed loop, so their load is not carried. Support one end on a column.`,
  }),
  'member.unsupported': define({
    severity: 'blocking',
    step: 'building',
    data: { label: 'text', level: 'text', supports: 'number', end: 'text' },
    optional: ['end'],
    sentence: ({ label, level }, { supports }) =>
      Number(supports) === 0
        ? `Beam ${label} on level ${level} has no support. Add a column or beam under it.`
        : `Beam ${label} on level ${level} is a mechanism: one support and a pinned end. Fix that end or add a second support.`,
    mends: fixedEnd,
  }),
  'support.lifted': define({
    severity: ({ force }) => (Number(force) < 0 ? 'caution' : 'note'),
    step: 'paths',
    data: {
      label: 'text',
      level: 'text',
      s: 'length',
      up: 'force',
      dead: 'force',
      force: 'force',
      family: 'text',
      gamma: 'text',
      gammaQ: 'text',
    },
    sentence: ({ label, level, s, up, dead, force, family, gamma, gammaQ }, data) =>
      `Live load causes uplift of ${up} at ${Number(data['s']) < 0 ? `the base of column ${label}` : `${label}, position ${s},`} on level ${level}, against ${dead} of dead load. ${family} has no combination with reduced dead load without wind; ${gamma} D + ${gammaQ} L gives ${force}${Number(data['force']) < 0 ? '. Provide tension anchorage' : '. Check uplift'}.`,
  }),
  'strut.end-beside': define({
    severity: 'caution',
    step: 'building',
    data: { end: 'text', label: 'text', height: 'length', level: 'text', gap: 'length' },
    sentence: ({ end, label, height, level, gap }) =>
      `The ${end} of ${label} is ${height} above level ${level}, ${gap} off the member there. Check its height.`,
  }),
  'column.unsupported': define({
    severity: 'blocking',
    step: 'building',
    data: { labels: 'text', level: 'text', force: 'force' },
    sentence: ({ labels, level, force }) =>
      `${labels} below level ${level} ${several(labels) ? 'are' : 'is'} unsupported, so ${force} is not carried. Add columns or beams below.`,
  }),
  'column.through-opening': define({
    severity: 'note',
    step: 'building',
    data: { label: 'text', above: 'text', opening: 'text', level: 'text' },
    sentence: ({ label, above, opening, level }) =>
      `Column ${label} from level ${above} passes through opening ${opening} of level ${level}. If this is not intended, add a column or beam there.`,
  }),
  'hanger.unsupported': define({
    severity: 'blocking',
    step: 'building',
    data: { labels: 'text', level: 'text', force: 'force' },
    sentence: ({ labels, level, force }) =>
      `${labels} of level ${level} ${several(labels) ? 'have' : 'has'} no support above, so ${force} is not carried. Add beams or hangers above.`,
  }),
  'hanger.ring': define({
    severity: 'blocking',
    step: 'building',
    data: { labels: 'text', level: 'text', force: 'force' },
    sentence: ({ labels, level, force }) =>
      `${labels} of level ${level} ${several(labels) ? 'are' : 'is'} supported by the floor that ${several(labels) ? 'they hold' : 'it holds'} up, so ${force} is not carried. Support the floor above independently.`,
  }),
  'hanger.in-column': define({
    severity: 'caution',
    step: 'building',
    data: { label: 'text', level: 'text', column: 'text', above: 'text' },
    sentence: ({ label, level, column, above }) =>
      `Hanger ${label} of level ${level} and column ${column} below level ${above} are at the same position. Delete one of them.`,
  }),
  'column.on-several': define({
    severity: 'caution',
    step: 'building',
    data: { label: 'text', beams: 'text', level: 'text' },
    sentence: ({ label, beams, level }) =>
      `Column ${label} is supported where ${beams} of level ${level} meet, and its load is shared equally among them. Add a column below, or end one beam on the other.`,
  }),
  'hanger.on-several': define({
    severity: 'caution',
    step: 'building',
    data: { label: 'text', beams: 'text', level: 'text' },
    sentence: ({ label, beams, level }) =>
      `Hanger ${label} is supported where ${beams} of level ${level} meet, and its load is shared equally among them. End one beam on the other.`,
  }),
  'load.on-several': define({
    severity: 'caution',
    step: 'building',
    data: { label: 'text', beams: 'text', level: 'text' },
    sentence: ({ label, beams, level }) =>
      `${label} acts where ${beams} of level ${level} meet, and is shared equally among them. End one beam on the other, or add a column below.`,
  }),
}
