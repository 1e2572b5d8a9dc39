import type { FloorState } from '../src/derivation/floorStates'
import { Memo } from '../src/derivation/memo'
import { deriveProject, type ProjectState } from '../src/derivation/project'
import { floorRundown } from '../src/rundown/floorRundown'
import { floorsOf, type Size } from './floors'
import { count, medians, print, sweep } from './measure'

/** Intensities of every source for so many cases, floor by floor; kept, as a project keeps them. */
const intensitiesOf = (floors: readonly FloorState[], cases: number): readonly Float64Array[] =>
  floors.map(({ operator }) =>
    Float64Array.from({ length: operator.plan.sources.length * cases }, (_, i) => 1000 + (i % 97)),
  )

/** From the roof down: reactions are kept floor by floor, all else goes when the floor below has it. */
function rundownOf(floors: readonly FloorState[], intensities: readonly Float64Array[], cases: number) {
  const reactions: Float64Array[] = []
  let feetAbove: Float64Array = new Float64Array(0)
  for (let i = floors.length - 1; i >= 0; i--) {
    const floor = floors[i]
    const values = intensities[i]
    if (!floor || !values) continue
    const columnWeights = new Float64Array(floor.operator.plan.frame.columns.length * cases)
    const landings = floor.feetAbove?.landings ?? []
    const done = floorRundown(floor.operator, {
      columns: cases,
      intensities: values,
      columnWeights,
      feetAbove,
      landings,
      ending: [],
    })
    reactions.push(done.reactions)
    feetAbove = done.feet
  }
  return reactions
}

/** Rows that are added to rows, each as long as there are cases. */
function rowsAdded({ operator: { plan, toSupports, toBeams, toColumns }, feetAbove }: FloorState): number {
  const { beams } = plan.frame
  const onBeam = (index: number) => 1 + (beams[index]?.supports.length ?? 0)
  const handed = beams.flatMap(({ supports }) => supports).map(({ on, index }) => (on === 'column' ? 1 : onBeam(index)))
  const landed = (feetAbove?.landings ?? []).map(({ on, index }) => (on === 'column' ? 1 : onBeam(index)))
  const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0)
  const entries = toSupports.index.length + toBeams.index.length + toColumns.index.length
  return entries + 3 * plan.sources.length + sum(handed) + sum(landed)
}

const membersOf = ({ floors }: ProjectState): number =>
  floors.reduce((sum, { operator: { plan } }) => sum + plan.frame.beams.length + plan.frame.columns.length, 0)

/** The rundown of a building for many cases at once; answers members and rows added, for the growth. */
function manyCases(title: string, size: Size, cases: number): readonly [members: number, rows: number] {
  print(`\n${title}`)
  const start = performance.now()
  const state = deriveProject(new Memo(), floorsOf(size))
  const solved = performance.now() - start
  const { floors } = state
  const members = membersOf(state)
  const panels = floors.reduce((sum, { operator }) => sum + operator.plan.panels.length, 0)
  const rows = floors.reduce((sum, floor) => sum + rowsAdded(floor), 0)
  const intensities = intensitiesOf(floors, cases)
  let reactions = rundownOf(floors, intensities, cases)
  const found = medians([
    { name: 'sweep', run: () => sweep(reactions) },
    { name: 'rundown', run: () => (reactions = rundownOf(floors, intensities, cases)) },
  ])
  const at = (name: string) => found.get(name) ?? NaN
  const numbers = reactions.reduce((sum, { length }) => sum + length, 0)
  print(`  panels ${count(panels)}, members ${count(members)}, cases ${cases}`)
  print(`  rows added ${count(rows)}, multiply-adds ${count(rows * cases)}; reactions kept ${count(numbers)}`)
  print(
    `  sharing, once                                  ${' '.repeat(9)}            (${(solved / 1000).toFixed(1)} s here)`,
  )
  print(
    `  rundown of all cases ${count(Math.round(at('rundown') / at('sweep'))).padStart(35)} sweeps over the reactions   (${(at('rundown') / 1000).toFixed(1)} s here)`,
  )
  print(
    `  memory ${count(Math.round(process.memoryUsage().rss / 1e6))} MB, of it arrays ${count(Math.round(process.memoryUsage().arrayBuffers / 1e6))} MB`,
  )
  return [members, rows]
}

/** 2 000 panels in 60 cases, then 1 000 to 100 000 members in 400, with the exponent by which the work grows. */
export function benchManyCases(): void {
  manyCases('ten floors, 60 cases', { baysX: 20, baysY: 10, floors: 10 }, 60)
  const small = manyCases('one floor of 10 × 10 bays, 400 cases', { baysX: 10, baysY: 10, floors: 1 }, 400)
  const large = manyCases('forty-nine floors of 20 × 10 bays, 400 cases', { baysX: 20, baysY: 10, floors: 49 }, 400)
  const exponent = Math.log(large[1] / small[1]) / Math.log(large[0] / small[0])
  print(`  the work grows with members to the power of ${exponent.toFixed(3)}`)
}
