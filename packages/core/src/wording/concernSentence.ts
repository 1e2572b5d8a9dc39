import type { Concern } from '../outcome/outcome'
import { formatQuantity, type NumberFormat } from '../units/format'
import type { Quantity } from '../units/quantity'
import { sourceNames } from './sourceNames'

type Sentence = (
  data: Readonly<Record<string, number | string>>,
  show: (key: string, quantity: Quantity) => string,
) => string

const whatIs: Readonly<Record<string, string>> = sourceNames

const unheldReasons: Readonly<Record<string, string>> = {
  nothing: 'no stiff element stands in it. Draw some',
  way: 'no stiff element runs the way of the force. Draw one that does',
  turning: 'its stiff elements do not keep the floor from turning. Draw one beside them',
}

/** One sentence with its remedy for every code; a test holds the list against the codes in use. */
/** Whether the labels of a concern name more than one thing. */
const several = (d: Concern['data']): boolean => String(d['labels']).includes(', ')

const sentences: Readonly<Record<string, Sentence>> = {
  'value.unusual': (d, show) =>
    `The ${d['name']} of ${show('value', d['quantity'] as Quantity)} is outside the usual ${show('from', d['quantity'] as Quantity)} to ${show('to', d['quantity'] as Quantity)}. Check it.`,
  'value.factor-of-ten': (d, show) =>
    `The ${d['name']} of ${show('value', d['quantity'] as Quantity)} is outside the usual range; was ${show('meant', d['quantity'] as Quantity)} meant?`,
  'key.same-hatch': (d) =>
    `Load keys “${d['a']}” and “${d['b']}” have one hatch${d['code'] === '' ? '' : ` and one code (${d['code']})`}, so plans do not tell them apart. Give one of them another.`,
  'record.same-label': (d) =>
    `Two ${manyNames[String(d['kind'])] ?? 'records'} of layout ${d['layout']} are called ${d['label']}; tables and files tell them apart by their ids alone. Rename one.`,
  'floor.same-labels': (d) =>
    `Columns of layouts ${d['first']} and ${d['second']} stand on level ${d['level']} under the same ${d['count'] === 1 ? 'label' : 'labels'}: ${d['labels']}. Lists and files add the layout to tell them apart. Give one of them other labels.`,
  'outline.crosses-itself': (d) =>
    `The outline of ${d['label']} crosses itself, so inside and outside are in doubt. Draw it again.`,
  'member.no-length': (d) =>
    `Beam ${d['label']} has no length, so it carries and weighs nothing. Draw it again or delete it.`,
  'member.doubled': (d, show) =>
    `Beams ${d['a']} and ${d['b']} lie on each other over ${show('length', 'length')}: each takes half of the load, and both weigh. Delete one of them.`,
  'member.near-miss': (d, show) =>
    `Beam ${d['label']} ends ${show('gap', 'smallLength')} beside ${d['other']} and stands on nothing there. Move its ${d['end']} onto it.`,
  'member.crossing': (d) =>
    `Beams ${d['a']} and ${d['b']} cross without a joint, so neither carries the other. Let one end on the other where it does.`,
  'member.crowd': (d, show) =>
    `At ${show('x', 'length')} east, ${show('y', 'length')} north, ${d['count']} beams pass within ${show('size', 'length')} of each other; crossings at this point are not checked. End the beams at a joint, or delete duplicates.`,
  'slope.overlap': (d, show) =>
    `Roof slopes ${d['a']} and ${d['b']} lie over each other by ${show('area', 'area')}, so it is not clear which of them is the roof there. Draw one of them smaller, or delete it.`,
  'panel.overlap': (d, show) =>
    `Panels ${d['a']} and ${d['b']} lie over each other by ${show('area', 'area')}, so the load there counts twice. Draw one of them smaller.`,
  'panel.off-its-beams': (d, show) =>
    `Panel ${d['label']} follows its beams, but they do not close round it; it stays as it was.${
      Number(d['gap']) < 0
        ? ''
        : ` Two ends are ${show('gap', 'smallLength')} apart at ${show('x', 'length')} east, ${show('y', 'length')} north.`
    }`,
  'layout.on-no-level': (d) =>
    `Layout “${d['name']}” stands on no level, so nothing of it counts. Give it a level or delete what it holds.`,
  'patch.on-nothing': (d) =>
    `Patch ${d['label']} lies on no panel of its layout, so it loads nothing. Move it onto a panel.`,
  'member.loop': (d) =>
    `On level ${d['level']}, ${d['labels']} carry each other in a ring, so none of them can hand its load on. Let one end on a column.`,
  'member.unsupported': (d) =>
    Number(d['supports']) === 0
      ? `Nothing carries beam ${d['label']} on level ${d['level']}: no column or beam is under it. End it on one.`
      : `Beam ${d['label']} on level ${d['level']} has one support and a pinned end, so it would fall. Fix that end or give it a second support.`,
  'strut.end-beside': (d, show) =>
    `The ${d['end']} of ${d['label']} is ${show('height', 'length')} over level ${d['level']}, ${show('gap', 'length')} beside what is there. Check its height.`,
  'column.unsupported': (d, show) =>
    `${d['labels']} under level ${d['level']} ${several(d) ? 'stand' : 'stands'} on nothing, and ${show('force', 'force')} with ${several(d) ? 'them' : 'it'}. Add columns or beams below.`,
  'column.through-opening': (d) =>
    `Column ${d['label']} from level ${d['above']} goes down through opening ${d['opening']} of level ${d['level']}. If it is not meant to, it wants a column or a beam there.`,
  'hanger.unsupported': (d, show) =>
    `${d['labels']} of level ${d['level']} ${several(d) ? 'hang' : 'hangs'} from nothing, and ${show('force', 'force')} with ${several(d) ? 'them' : 'it'}. Put beams or hangers above.`,
  'hanger.ring': (d, show) =>
    `${d['labels']} of level ${d['level']} ${several(d) ? 'hang from what they hold' : 'hangs from what it holds'} up, and ${show('force', 'force')} with ${several(d) ? 'them' : 'it'}. What is above has to stand by itself.`,
  'hanger.in-column': (d) =>
    `Hanger ${d['label']} of level ${d['level']} and column ${d['column']} under level ${d['above']} are in the same place: only one of them can be there.`,
  'column.on-several': (d) =>
    `Column ${d['label']} stands where ${d['beams']} of level ${d['level']} meet, and each of them carries an equal part. Put a column below it, or end one beam on the other.`,
  'hanger.on-several': (d) =>
    `Hanger ${d['label']} hangs where ${d['beams']} of level ${d['level']} meet, and each of them carries an equal part. End one beam on the other.`,
  'load.on-several': (d) =>
    `${d['label']} acts where ${d['beams']} of level ${d['level']} meet, and each of them carries an equal part. End one beam on the other, or put a column below it.`,
  'level.pushed': (d, show) =>
    `Level ${d['level']} is pushed sideways, by ${show('force', 'force')} in ${d['case']} alone: by what rakes, by loads square to a slope, or by pressure on walls. Nothing here holds that; it is handed on to the frame analysis.`,
  'selfweight.twice': (d, show) =>
    `The slab of ${d['panel']} (${show('slab', 'smallLength')}) is weighed already, and its build-up has ${d['layer']} of ${show('thickness', 'smallLength')} as well. Take one of them out.`,
  'selfweight.factor': (d, show) =>
    d['factor'] === 0
      ? 'Self-weight does not count: its factor is nought. Combinations, reactions and masses are without it.'
      : `Self-weight counts ${show('factor', 'factor')} times, in every combination and in the masses. What connections weigh belongs to the unit weight of the material.`,
  'load.no-use': (d) =>
    `Imposed load ${d['label']} has no use that the standard knows, so it belongs to no case and is not applied. Give it a use.`,
  'barrier.no-value': (d) =>
    d['use'] === ''
      ? `Barrier ${d['label']} has no use behind it, so nothing says how hard people press. Give it a use, or type the load.`
      : `${d['standard']}: no load on barriers for ${d['use']}, so ${d['label']} carries none. Type the load.`,
  'storey.unheld': (d, show) =>
    `The storey under level ${d['level']} cannot hold ${show('force', 'force')}: ${unheldReasons[String(d['why'])] ?? ''}. The storey forces above stop there.`,
  'storey.no-earthquake-rule': (d) =>
    `Storey forces “${d['name']}” go by the clauses for earthquakes, and none are worked out by ${d['family']} in this version: they are nought. Take a part of the weight, or type them.`,
  'storey.walls-bend-alone': (d) =>
    `Under level ${d['level']} walls stand beside bracing or a typed stiffness, and count by bending alone: short walls are far too stiff then, and take too much. Count their shear too.`,
  'bearingWall.no-rectangle': (d, show) =>
    `Bearing wall ${d['label']} has the section ${d['section']}, so it is ${show('thickness', 'smallLength')} thick. Give it a rectangle as wide as the wall is thick.`,
  'stiffElement.no-section': (d) =>
    `Bracing ${d['label']} has no section, so it has no stiffness and takes nothing. Give its diagonals a section.`,
  'stiffElement.on-nothing': (d) =>
    `Under level ${d['level']} stiff element ${d['label']} ends above the ground: its force goes on through the floor, its moment has nothing to stand on. Draw it further down.`,
  'key.no-use': (d) =>
    `Load key “${d['key']}” has a load and no use, so the load belongs to no case and is not applied. Give it a use.`,
  'partitions.too-heavy': (d, show) =>
    `Partitions of ${show('weight', 'lineLoad')} on “${d['key']}” are heavier than the allowance covers. Enter them as wall runs.`,
  'partitions.heavy-face': (d, show) =>
    `Partitions of ${show('weight', 'lineLoad')} on “${d['key']}” weigh ${show('face', 'pressure')} per area of wall in a storey of ${show('height', 'length')}; up to ${show('most', 'pressure')} an allowance stands for them (IS 875-2 3.1.2). Enter them as wall runs, or say what they weigh.`,
  'wind.without-terrain': (d, show) =>
    `The peak velocity pressure is that of mixed terrain inland (DIN EN 1991-1-4/NA, NA.B.3.3): terrain ${d['terrain']} and the altitude of ${show('altitude', 'length')} are not in it. Near the coast, in terrain I or above 800 m it may be too little.`,
  'partitions.below-least': (d, show) =>
    `The partition allowance of ${show('value', 'pressure')} on “${d['key']}” is below the ${show('least', 'pressure')} that the standard asks for. Take the least, or raise it.`,
  'partitions.no-such-rule': (d) =>
    `“${d['key']}” takes its partition allowance by a rule that ${d['standard']} does not have, so none is applied. Choose another rule.`,
  'key.unknown-use': (d) =>
    `Load key “${d['key']}” has the use ${d['use']}, which ${d['standard']} does not know, so its load is not applied. Choose another use.`,
  'key.construction-above-final': (d, show) =>
    `“${d['key']}” has ${d['what'] === 'imposed' ? 'an' : 'a'} ${d['what']} load of ${show('value', 'pressure')} while it is built, more than the ${show('final', 'pressure')} afterwards. Check which is meant.`,
  'key.no-value': (d) =>
    `${d['standard']} has no uniform load for ${d['use']} of load key “${d['key']}”. Type ${d['byHeight'] === 1 ? 'the height that is stored, or ' : ''}the value.`,
  'wall.no-height': (d) =>
    `Wall run ${d['label']} on level ${d['level']} has no storey above to take its height from. Type its height.`,
  'wall.no-beam-above': (d) =>
    `No beam is above wall run ${d['label']} on level ${d['level']}, so no beam depth was taken off.`,
  'panel.unloaded': (d) =>
    `Panel ${d['label']} on level ${d['level']} has no imposed load; ${d['neighbours'] === 1 ? 'another there has' : `${d['neighbours']} others there have`} some. Give it a use.`,
  'panel.one-support': (d, show) =>
    `Part of panel ${d['label']} has one support only: it takes all and is turned about its axis${Number(d['moment']) > 0 ? `, ${d['member']} by ${show('moment', 'moment')} in ${d['case']}` : ''}. Hold it against turning, add a second support or turn the span.`,
  'load.one-support': (d, show) =>
    `${(whatIs[String(d['what'])] ?? 'load').replace(/^./, (letter) => letter.toUpperCase())} ${d['label']} on level ${d['level']} stands where a panel has one support only, and turns ${d['member']} about its axis by ${show('moment', 'moment')} in ${d['case']}. Hold it against turning, or add a second support.`,
  'panel.corners': (d) =>
    `Panel ${d['label']} hands its load to its corners, and columns or beams stand under fewer than three of them, or under such as lie in one line. Share it otherwise, or support its corners.`,
  'panel.plate': (d, show) =>
    d['lacks'] === 'settled'
      ? `Panel ${d['label']} is shared by stiffness, and its forces do not settle: with triangles of ${show('size', 'smallLength')} one still changes by ${(100 * Number(d['change'])).toFixed(1)} % of the load, so none is given. Part it into panels without corners that turn in, or share it otherwise.`
      : d['lacks'] === 'hold'
        ? `Panel ${d['label']} is shared by stiffness, and nothing holds it: as a plate on its beams and columns it can move. Support it on two sides, give its beams columns, or share it otherwise.`
        : `Panel ${d['label']} is shared by stiffness and has no slab, so how stiff it is stays unknown. Give it a slab, or share it otherwise.`,
  'panel.mesh': (d, show) =>
    `Panel ${d['label']} as a plate: with triangles of ${show('size', 'smallLength')} the force of a member still changes by ${(100 * Number(d['change'])).toFixed(1)} % of the load from those of twice the size. Part it into smaller panels, or share it otherwise.`,
  'panel.close-supports': (d) =>
    `Under panel ${d['label']}, ${d['a']} and ${d['b']} are nearer than 50 mm and share as one support.`,
  'support.lifted': (d, show) =>
    `Imposed load lifts ${Number(d['s']) < 0 ? `column ${d['label']} at its foot` : `${d['label']} at ${show('s', 'length')}`} on level ${d['level']} by ${show('up', 'force')} against ${show('dead', 'force')} of dead load. No row of ${d['family']} has reduced dead load without wind; by ${d['gamma']} D + ${d['gammaQ']} L it is ${show('force', 'force')}${Number(d['force']) < 0 ? ', so it has to be held down' : ''}.`,
  'wall.doubled': (d, show) =>
    `Wall runs ${d['a']} and ${d['b']} stand on one line over ${show('length', 'length')}, so their weight counts twice there. Delete one, or move it.`,
  'load.doubled': (d) =>
    `${loadWords[String(d['kind'])] ?? 'Loads'} ${d['a']} and ${d['b']} are alike and lie on one place, so the load counts twice. Delete one of them.`,
  'table.rows-out-of-order': (d, show) =>
    `Row ${d['row']} of own table “${d['table']}” begins at ${fromOf(d, show, 'from')}, not above the ${fromOf(d, show, 'before')} of the row before. Put the rows in order, or correct it.`,
  'table.factor-grows': (d) =>
    `The factor of row ${d['row']} of own table “${d['table']}” is ${d['factor']}, more than the ${d['factorBefore']} of the row before: a member that supports more would be spared less. Correct one of them.`,
  'table.row-leaps': (d, show) =>
    `Row ${d['row']} of own table “${d['table']}” begins ${fromOf(d, show, 'step')} after the row before, where other rows are ${fromOf(d, show, 'others')} apart at most. A digit may be missing or too many.`,
  'reduction.beside-psi': () =>
    'Combinations take imposed load reduced by an own table also where ψ lowers it; of ψ and a factor for storeys only one may be used (EN 1991-1-1, 3.3.2(2)). Reduce it where no ψ applies.',
  'wind.roof-underived': () =>
    'Wind on the roof is not derived yet: suction and pressure there are missing from every wind case.',
  'wind.family-underived': (d) =>
    `No wind loads are derived by ${d['family']} in this version, so no case has wind although a velocity is given. Add them by other means.`,
  'wind.velocity-of-another-kind': (d, show) =>
    `${show('velocity', 'velocity')} is the mean of 10 minutes that the site service answered. By ${d['family']} another velocity counts: ${d['wanted']}. Type that one.`,
  'wind.structural-factor': (d, show) =>
    `The building is ${show('height', 'length')} high, and c_s c_d = 1 may be taken below 15 m only (EN 1991-1-4, 6.2(1)). Derive it and type it.`,
  'wind.too-high': (d, show) =>
    `The building is ${show('height', 'length')} high; the wind profile holds to ${show('limit', 'length')} (EN 1991-1-4, 4.3.2(1)).`,
  'wind.too-slender': (d) =>
    `h/d = ${Number(d['at']).toFixed(2)} for ${d['direction']} is above ${d['to']}, where ${d['clause']} ends. This direction is not derived.`,
  'wind.slopes': (d, show) =>
    `The roof ${d['labels']} rises to ${show('ridge', 'length')}, and the wind counts walls and the reference height up to its level only: gables and the ridge are missing. Raise the parapet to the ridge to be on the safe side.`,
  'load.not-carried': (d, show) =>
    `Nothing carries ${show('force', 'force')} of ${whatIs[String(d['what'])] ?? ''} ${d['label']} on level ${d['level']}. Extend beams under it or turn the span.`,
  'surface.not-carried': (d, show) =>
    `Nothing carries ${show('force', 'force')} of the pressure on wall surface ${d['label']} on level ${d['level']}. Put floors, columns, posts or girts in its plane, or turn its span.`,
  'layer.unknown-key': (d) =>
    `Layer “${d['layer']}” gives a value for ${d['key']}, which is not known here; it is not used.`,
  'layer.outside-limits': (d, show) =>
    `Layer “${d['layer']}” sets ${d['name']} to ${show('value', d['quantity'] as Quantity)}, outside ${show('min', d['quantity'] as Quantity)} to ${show('max', d['quantity'] as Quantity)}; the value below it is used.`,
  'layer.unusable-table': (d) =>
    `Layer “${d['layer']}” has a table ${d['key']} that does not fit the one it replaces; it is not used.`,
  'layer.unknown-method': (d) =>
    `Layer “${d['layer']}” chooses ${d['name']} for ${d['key']}, which is no method known here; it is not used.`,
  'layer.unknown-group': (d) =>
    `Layer “${d['layer']}” puts use ${d['key']} into group ${d['group']}, which the family does not have; the use is left out.`,
  'table.outside-range': (d) => `${d['symbol']} = ${d['at']} is outside ${d['from']} to ${d['to']} of ${d['clause']}.`,
  'table.unknown-row': (d) => `${d['clause']} has no row ${d['row']}.`,
}

export const wordedCodes: readonly string[] = Object.keys(sentences)

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
  strut: 'members in space',
  stair: 'flights of stairs',
  barrier: 'barriers',
  wallSurface: 'wall surfaces',
  stiffElement: 'stiff elements',
  reductionRegion: 'reduction regions',
}

const loadWords: Readonly<Record<string, string>> = {
  areaLoad: 'Area loads',
  lineLoad: 'Line loads',
  pointLoad: 'Point loads',
}

/** Where a row of a table begins: an area, or a count of storeys. */
const fromOf = (d: Concern['data'], show: (key: string, quantity: Quantity) => string, field: string): string =>
  d['by'] === 'area' ? show(field, 'area') : `${d[field]} storeys`

/** What a colleague would say about a concern, with its figures in the project's units, and how many more of its kind there are. */
export function concernSentence({ code, data, more = 0 }: Concern, format: NumberFormat): string {
  const sentence = sentences[code]
  if (!sentence) throw new Error(`No wording for ${code}`)
  const said = sentence(data, (key, quantity) => formatQuantity(Number(data[key]), quantity, format))
  return more > 0 ? `${said} There are ${more} more of this kind.` : said
}
