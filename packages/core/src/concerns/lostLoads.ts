import { pushAll } from '../outcome/lists'
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

/** Of a source, in a case: what of it reaches nothing, N. */
interface Lost {
  readonly caseId: string
  readonly force: number
  /** Of the source, in its units. */
  readonly part: number
  readonly of: number
}

/** Load that reaches nothing, by the panel, wall run, load or beam where it is lost; all gravity cases at characteristic value. */
export function lostLoads(state: ProjectState): readonly Concern[] {
  const readers = gravityCases(state).map((id) => [id, readCase(state, id)] as const)
  return state.floors.flatMap((floor) => {
    const seen = readers.map(([id, at]) => ({ id, at, parts: floorIn(floor, id).operator.notCarried }))
    // stretches of a wall, parts of a panel and both ends of a load that varies are one thing
    const lostOf = new Map<string, { readonly what: string; readonly lost: Lost[] }>()
    floor.operator.plan.sources.forEach((source, row) => {
      const lost = seen.flatMap(({ id, at, parts }): Lost[] => {
        const part = parts[row] ?? 0
        const of = floor.operator.applied[row] ?? 0
        return part === 0 ? [] : [{ caseId: id, force: part * at(floor.intensities, row), part, of }]
      })
      if (lost.length === 0) return
      const id = recordOfSource(source)
      const known = lostOf.get(id) ?? { what: source.kind, lost: [] }
      pushAll(known.lost, lost)
      lostOf.set(id, known)
    })
    return [...lostOf].flatMap(([id, { what, lost }]): Concern[] => {
      const magnitude = lost.reduce((sum, entry) => sum + Math.abs(entry.force), 0)
      if (magnitude < negligible) return []
      const sum = lost.reduce((total, entry) => total + entry.force, 0)
      // where it shows most
      const [most] = [...lost].sort((a, b) => Math.abs(b.force) - Math.abs(a.force))
      const data = {
        label: labelOf(state.document, id),
        level: floor.level.name,
        what,
        // what acts up and what acts down may come to nothing
        force: Math.abs(sum) < negligible ? magnitude : sum,
        part: most?.part ?? 0,
        of: most?.of ?? 0,
        case: most?.caseId ?? '',
      }
      return [{ code: 'load.not-carried', about: [expandedAt(floor, id)], data }]
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
        about,
        data: { labels, level: floor.level.name, force },
      } as const,
    ]
  })
}
