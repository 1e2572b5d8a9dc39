import { Memo } from '../src/derivation/memo'
import { deriveProject, type ProjectState } from '../src/derivation/project'
import { documentOf, recordsOf, type Document } from '../src/document/document'
import { floorsOf, sharedBy, skewed, type Size } from './floors'
import { benchCrowds } from './crowds'
import { benchManyCases } from './manyCases'
import { count, medians, print, spoiled, sweep } from './measure'

// Prints ratios and counted work, never seconds alone: seconds are of the machine, ratios and counts of the program.

/** Everything that the rundown answers, as it lies in memory. */
const blocksOf = (state: ProjectState): readonly Float64Array[] =>
  state.floors.flatMap(({ rundown, intensities }) => [
    intensities,
    rundown.reactions,
    rundown.beamTotals,
    rundown.tops,
    rundown.feet,
  ])

/** Another imposed load on every key. */
const heavier = (document: Document): Document =>
  documentOf(
    [...document.records.values()].map((record) =>
      record.kind === 'loadKey' ? { ...record, imposed: (record.imposed ?? 2000) + 10 } : record,
    ),
  )

/** Moves one corner of one panel. */
function oneCorner(document: Document): Document {
  const [panel] = recordsOf(document, 'panel')
  if (!panel) return document
  const outline = panel.outline.map(([x, y], i) => (i === 0 ? ([x + 0.1, y] as const) : ([x, y] as const)))
  return documentOf(
    [...document.records.values()].map((record) => (record.id === panel.id ? { ...panel, outline } : record)),
  )
}

function counts(document: Document, state: ProjectState): void {
  const operators = [...new Set(state.floors.map(({ operator }) => operator))]
  const sum = (pick: (operator: (typeof operators)[number]) => number) =>
    operators.reduce((total, operator) => total + pick(operator), 0)
  const entries = sum(({ toSupports, toBeams }) => toSupports.index.length + toBeams.index.length)
  const columns = state.caseIds.length + 1
  print(
    `  panels ${count(recordsOf(document, 'panel').length)}, members ${count(recordsOf(document, 'member').length)}, cases ${state.caseIds.length}`,
  )
  print(
    `  stretches of line load ${count(sum(({ plan }) => plan.sources.reduce((n, { share }) => n + share.lines.length, 0)))}`,
  )
  print(`  entries of the operators ${count(entries)}; multiply-adds of the rundown ${count(entries * columns)}`)
  print(`  numbers in the result arrays ${count(blocksOf(state).reduce((n, { length }) => n + length, 0))}`)
}

function bench(title: string, document: Document): void {
  print(`\n${title}`)
  const memo = new Memo()
  const state = deriveProject(memo, document)
  counts(document, state)
  const blocks = blocksOf(state)
  let [load, corner] = [document, document]
  const loads = new Memo()
  const corners = new Memo()
  deriveProject(loads, document)
  deriveProject(corners, document)
  const found = medians([
    { name: 'sweep', run: () => sweep(blocks) },
    { name: 'all', run: () => deriveProject(new Memo(), document) },
    { name: 'load', run: () => deriveProject(loads, (load = heavier(load))) },
    { name: 'corner', run: () => deriveProject(corners, (corner = oneCorner(corner))) },
  ])
  const at = (name: string) => found.get(name) ?? NaN
  const line = (name: string, text: string) =>
    print(
      `  ${text.padEnd(46)} ${count(Math.round(at(name) / at('sweep'))).padStart(9)} sweeps, ${(at(name) / at('all')).toFixed(3)} of all   (${at(name).toFixed(1)} ms here)`,
    )
  line('sweep', 'one pass over the result arrays')
  line('all', 'sharing and rundown of everything, from nothing')
  line('load', 'the same after another load on every key')
  line('corner', 'the same after one corner of one panel moved')
}

const sizes: readonly (readonly [string, Size])[] = [
  ['one floor of 50 × 40 bays', { baysX: 50, baysY: 40, floors: 1 }],
  ['ten floors of 20 × 10 bays, each drawn for itself', { baysX: 20, baysY: 10, floors: 10 }],
]
for (const [title, size] of sizes) bench(title, floorsOf(size))
bench('ten floors, every panel out of square', skewed(floorsOf({ baysX: 20, baysY: 10, floors: 10 })))
bench('ten floors, every panel two-way', sharedBy(floorsOf({ baysX: 20, baysY: 10, floors: 10 }), 'twoWay'))
const few = floorsOf({ baysX: 4, baysY: 3, floors: 1 })
bench('one floor of 4 × 3 bays, one-way', few)
bench('the same by stiffness', sharedBy(few, 'stiffness'))
benchCrowds()
benchManyCases()
if (spoiled()) print('a result is no number')
