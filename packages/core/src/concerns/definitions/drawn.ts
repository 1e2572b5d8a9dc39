import { capitalized } from '../../outcome/letters'
import { givenHatch } from '../../editing/keyHatches'
import { recordsOf } from '../../document/document'
import { define } from '../definition'
import { stepOfKind } from '../stepOfKind'
import {
  deleted,
  eitherDeleted,
  emptied,
  itDeleted,
  labelsOfTheirOwn,
  metEnd,
  ownLabel,
  splitAt,
  untangled,
  withFields,
} from '../makers'

/** What is drawn: labels, outlines, objects on each other. */
export const ofDrawn = {
  'key.same-hatch': define({
    severity: 'note',
    step: 'actions',
    data: { a: 'text', b: 'text', code: 'text' },
    sentence: ({ a, b, code }) =>
      `Load keys “${a}” and “${b}” have the same hatch${code === '' ? '' : ` and code (${code})`}, so they look alike on plans. Assign another hatch to one of them.`,
    mends: withFields('loadKey', 'Assign a hatch of its own', (key, document) => ({
      ...key,
      ...givenHatch(recordsOf(document, 'loadKey').filter(({ id }) => id !== key.id)),
    })),
  }),
  'record.same-label': define({
    severity: 'note',
    step: stepOfKind,
    data: { kind: 'text', layout: 'text', label: 'text' },
    sentence: ({ kind, layout, label }) =>
      `Two ${manyNames[kind] ?? 'objects'} of layout ${layout} have the label ${label}, so tables and files distinguish them only by id. Rename one.`,
    mends: ownLabel,
  }),
  'floor.same-labels': define({
    severity: 'note',
    step: 'building',
    data: { first: 'text', second: 'text', level: 'text', labels: 'text', count: 'number' },
    sentence: ({ first, second, level, labels }, { count }) =>
      `Columns of layouts ${first} and ${second} on level ${level} have the same ${count === 1 ? 'label' : 'labels'}: ${labels}. Lists and files add the layout. Rename the columns of one layout.`,
    mends: labelsOfTheirOwn,
  }),
  'outline.crosses-itself': define({
    severity: 'blocking',
    step: stepOfKind,
    data: { label: 'text' },
    sentence: ({ label }) => `The outline of ${label} crosses itself, so inside and outside are ambiguous. Redraw it.`,
    mends: untangled,
  }),
  'member.no-length': define({
    severity: 'caution',
    step: 'building',
    data: { label: 'text' },
    sentence: ({ label }) =>
      `Beam ${label} has zero length, so it carries no load and has no weight. Redraw or delete it.`,
    mends: itDeleted('beam'),
  }),
  'member.doubled': define({
    severity: 'caution',
    step: 'building',
    data: { a: 'text', b: 'text', length: 'length', whole: 'number' },
    sentence: ({ a, b, length }) =>
      `Beams ${a} and ${b} overlap over ${length}: each carries half of the load, and both add self-weight. Delete one of them.`,
    mends: ({ document, records: [, second], data }) =>
      data['whole'] === 1 ? deleted(document, second, `beam ${data['b']}`) : [],
  }),
  'member.near-miss': define({
    severity: 'caution',
    step: 'building',
    data: { label: 'text', gap: 'smallLength', other: 'text', end: 'text', x: 'number', y: 'number' },
    sentence: ({ label, gap, other, end }) =>
      `Beam ${label} ends ${gap} short of ${other} and is unsupported there. Move its ${end} onto ${other}.`,
    mends: metEnd,
  }),
  'member.crossing': define({
    severity: 'note',
    step: 'building',
    data: { a: 'text', b: 'text', x: 'number', y: 'number' },
    sentence: ({ a, b }) =>
      `Beams ${a} and ${b} cross without a connection. Split one so that it is supported by the other.`,
    mends: splitAt,
  }),
  'member.crowd': define({
    severity: 'caution',
    step: 'building',
    data: { x: 'length', y: 'length', count: 'text', size: 'length' },
    sentence: ({ x, y, count, size }) =>
      `At ${x} east, ${y} north, ${count} beams pass within ${size} of each other, so their crossings are not checked. End the beams at a joint, or delete duplicates.`,
  }),
  'slope.overlap': define({
    severity: 'caution',
    step: 'building',
    data: { a: 'text', b: 'text', area: 'area' },
    sentence: ({ a, b, area }) =>
      `Roof slopes ${a} and ${b} overlap over ${area}, so the roof surface is ambiguous there. Reduce or delete one of them.`,
    mends: eitherDeleted('roof slope'),
  }),
  'panel.overlap': define({
    severity: 'caution',
    step: 'building',
    data: { a: 'text', b: 'text', area: 'area' },
    sentence: ({ a, b, area }) =>
      `Panels ${a} and ${b} overlap over ${area}, so the load there counts twice. Reduce one of them.`,
    mends: eitherDeleted('panel'),
  }),
  'panel.off-its-beams': define({
    severity: 'caution',
    step: 'building',
    data: { label: 'text', gap: 'smallLength', x: 'length', y: 'length' },
    optional: ['x', 'y'],
    sentence: ({ label, gap, x, y }, data) =>
      `Panel ${label} follows its beams, but they do not enclose it, so it is unchanged.${
        Number(data['gap']) < 0 ? '' : ` Two ends are ${gap} apart at ${x} east, ${y} north.`
      } Close the gap, or keep its edges as drawn.`,
    mends: withFields('panel', 'Keep its edges as drawn', (panel) => ({ ...panel, edges: 'drawn' })),
  }),
  'layout.on-no-level': define({
    severity: 'caution',
    step: 'building',
    data: { name: 'text' },
    sentence: ({ name }) =>
      `Layout “${name}” is assigned to no level, so it has no effect. Assign it to a level or delete its objects.`,
    mends: emptied,
  }),
  'patch.on-nothing': define({
    severity: 'caution',
    step: 'actions',
    data: { label: 'text' },
    sentence: ({ label }) =>
      `Patch ${label} is on no panel of its layout, so it applies no load. Move it onto a panel.`,
    mends: itDeleted('patch'),
  }),
  'wall.doubled': define({
    severity: 'caution',
    step: 'actions',
    data: { a: 'text', b: 'text', length: 'length' },
    sentence: ({ a, b, length }) =>
      `Wall runs ${a} and ${b} overlap over ${length}, so their weight counts twice there. Delete or move one of them.`,
    mends: eitherDeleted('wall run'),
  }),
  'load.doubled': define({
    severity: 'caution',
    step: 'actions',
    data: { a: 'text', b: 'text', kind: 'text' },
    sentence: ({ a, b, kind }) =>
      `${capitalized(manyNames[kind] ?? 'loads')} ${a} and ${b} are identical and at the same position, so the load counts twice. Delete one of them.`,
    mends: ({ document, records: [, second], data }) => deleted(document, second, `load ${data['b']}`),
  }),
}

const manyNames: Readonly<Record<string, string>> = {
  member: 'members',
  panel: 'panels',
  opening: 'openings',
  patch: 'patches',
  wallRun: 'wall runs',
  lineLoad: 'line loads',
  pointLoad: 'point loads',
  areaLoad: 'area loads',
  slope: 'roof slopes',
  strut: 'secondary members',
  stair: 'flights of stairs',
  barrier: 'barriers',
  wallSurface: 'pressure surfaces',
  stiffElement: 'lateral elements',
  reductionRegion: 'reduction regions',
}
