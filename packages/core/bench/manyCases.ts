import { largest } from '@hedrion/core'
import type { FloorState } from '../src/derivation/floorStates'
import { Memo } from '../src/derivation/memo'
import { deriveProject, type ProjectState } from '../src/derivation/project'
import { rundownInto, type FloorRundown } from '../src/rundown/floorRundown'
import { floorsOf, type Size } from './floors'
import { count, medians, print, sweep } from './measure'

/** Intensities of every source for so many cases, floor by floor; kept, as a project keeps them. */
const intensitiesOf = (floors: readonly FloorState[], cases: number): readonly Float64Array[] =>
  floors.map(({ operator }) =>
    Float64Array.from({ length: operator.plan.sources.length * cases }, (_, i) => 1000 + (i % 97)),
  )

/**
 * From the roof down, with arrays that are made once: reactions of all floors lie in one and are kept, all else lies in others
 * that every floor uses anew.
 */
function rundownOf(floors: readonly FloorState[], intensities: readonly Float64Array[], cases: number) {
  const supports = floors.reduce((sum, { operator }) => sum + operator.supportCount, 0)
  const most = (of: (floor: FloorState) => number) => largest(floors.map(of))
  const columns = most(({ operator }) => operator.plan.frame.columns.length) * cases
  const reactions = new Float64Array(supports * cases)
  const beams = new Float64Array(most(({ operator }) => operator.plan.frame.beams.length) * cases)
  const [tops, even, odd, weights] = [0, 1, 2, 3].map(() => new Float64Array(columns))
  return (): Float64Array => {
    reactions.fill(0)
    let kept = 0
    let feetAbove: Float64Array = new Float64Array(0)
    for (let i = floors.length - 1; i >= 0; i--) {
      const [floor, values] = [floors[i], intensities[i]]
      if (!floor || !values || !tops || !even || !odd || !weights) continue
      const { operator } = floor
      const { beams: own, columns: standing } = operator.plan.frame
      const next = kept + operator.supportCount * cases
      const again = (block: Float64Array, length: number) => block.subarray(0, length).fill(0)
      const out: FloorRundown = {
        columns: cases,
        reactions: reactions.subarray(kept, next),
        beamTurns: new Float64Array(own.length * cases),
        beamTotals: again(beams, own.length * cases),
        tops: again(tops, standing.length * cases),
        feet: again(i % 2 === 0 ? even : odd, standing.length * cases),
        applied: new Float64Array(cases),
        onMembers: new Float64Array(cases),
        notCarried: new Float64Array(cases),
      }
      const landings = floor.feetAbove?.landings ?? []
      const columnWeights = weights.subarray(0, standing.length * cases)
      rundownInto(out, operator, {
        columns: cases,
        intensities: values,
        columnWeights,
        feetAbove,
        landings,
        onSlab: null,
        ending: [],
      })
      kept = next
      feetAbove = out.feet
    }
    return reactions
  }
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
  const run = rundownOf(floors, intensities, cases)
  const reactions = run()
  const found = medians([
    { name: 'sweep', run: () => sweep([reactions]) },
    { name: 'rundown', run },
  ])
  const at = (name: string) => found.get(name) ?? NaN
  print(`  panels ${count(panels)}, members ${count(members)}, cases ${cases}`)
  print(`  rows added ${count(rows)}, multiply-adds ${count(rows * cases)}; reactions kept ${count(reactions.length)}`)
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
