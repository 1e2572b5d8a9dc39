import { isConstruction, isHorizontal } from '../actions/cases'
import { feetSum, onNothing } from '../derivation/balance'
import { negligible } from '../derivation/negligible'
import { readCase } from '../derivation/cells'
import { expandedAt, floorIn } from '../derivation/floorQueries'
import type { FloorState } from '../derivation/floorStates'
import type { ProjectState } from '../derivation/project'
import { labelOf } from '../document/labels'
import type { Concern } from '../outcome/outcome'
import { recordOfSource } from '../rundown/sources'

export const gravityCases = ({ caseIds }: ProjectState): readonly string[] =>
  caseIds.filter((id) => !isHorizontal(id) && !isConstruction(id))

/** Load that reaches nothing, by the panel, wall run or beam where it is lost; all gravity cases at characteristic value. */
export function lostLoads(state: ProjectState): readonly Concern[] {
  const readers = gravityCases(state).map((id) => [id, readCase(state, id)] as const)
  return state.floors.flatMap((floor) => {
    const seen = readers.map(([id, at]) => ({ id, at, parts: floorIn(floor, id).operator.notCarried }))
    return floor.operator.plan.sources.flatMap((source, row): Concern[] => {
      if (seen.every(({ parts }) => !parts[row])) return []
      const lost = seen.map(({ id, at, parts }) => {
        const part = parts[row] ?? 0
        return { id, part, force: part * at(floor.intensities, row) }
      })
      const force = lost.reduce((sum, entry) => sum + entry.force, 0)
      if (Math.abs(force) < negligible) return []
      const id = recordOfSource(source)
      const label = labelOf(state.document, id)
      // where it shows most
      const [most] = [...lost].sort((a, b) => Math.abs(b.force) - Math.abs(a.force))
      const data = {
        label,
        level: floor.level.name,
        what: source.kind,
        force,
        part: most?.part ?? 0,
        of: floor.operator.applied[row] ?? 0,
        case: most?.id ?? '',
      }
      return [{ code: 'load.not-carried', severity: 'blocking', about: [expandedAt(floor, id)], data }]
    })
  })
}

/** The part of each foot on a slab that the slab cannot hand on, by its row. */
function lostOnSlab(below: FloorState | undefined): ReadonlyMap<number, number> {
  const { rows = [], shared } = below?.onSlab ?? {}
  const lost = rows.map((row, k) => [row, shared?.notCarried[k] ?? 0] as const)
  return new Map(lost.filter(([, part]) => part > rounding))
}

/** What rounding leaves of a part. */
const rounding = 1e-9

/** Columns that stand on nothing, and stretches of wall on a slab that nothing carries, with all that they bring. */
export function strandedColumns(state: ProjectState): readonly Concern[] {
  return state.floors.flatMap((floor, index) => {
    const below = state.floors[index - 1]
    const cases = gravityCases(state).map((id) => ({ id, onSlab: lostOnSlab(below && floorIn(below, id)) }))
    const standing = onNothing(state, index)
    const rows = new Set([standing, ...cases.map(({ onSlab }) => [...onSlab.keys()])].flat())
    const force = cases.reduce((sum, { id, onSlab }) => {
      const at = readCase(state, id)
      const lost = [...onSlab].reduce((total, [row, part]) => total + part * at(floor.rundown.feet, row), 0)
      return sum + feetSum(state, floor, standing, id) + lost
    }, 0)
    const ids = [...rows]
      .sort((a, b) => a - b)
      .flatMap((row) => floor.operator.plan.frame.columns[row]?.member.id ?? [])
    if (ids.length === 0) return []
    const labels = ids.map((id) => labelOf(state.document, id)).join(', ')
    const about = ids.map((id) => expandedAt(floor, id))
    return [
      {
        code: 'column.unsupported',
        severity: 'blocking',
        about,
        data: { labels, level: floor.level.name, force },
      } as const,
    ]
  })
}
