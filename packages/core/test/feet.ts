import { expandedAt } from '../src/derivation/floorQueries'
import { readCase } from '../src/derivation/cells'
import { Memo } from '../src/derivation/memo'
import { deriveProject, type ProjectState } from '../src/derivation/project'
import { isHorizontal } from '../src/actions/cases'
import { stretchesOf } from '../src/building/bearingWalls'
import { documentOf, type Document } from '../src/document/document'
import { splitStretch, stretchId } from '../src/document/labels'
import type { Rec } from '../src/document/recordKinds'
import { legsOf } from '../src/geometry/course'

export const stateOf = (document: Document): ProjectState => deriveProject(new Memo(), document)
export const gravityOf = ({ caseIds }: ProjectState) => caseIds.filter((id) => !isHorizontal(id))
export const changed = (document: Document, change: (record: Rec) => Rec): Document =>
  documentOf([...document.records.values()].map(change))

/**
 * Force at the foot of every column and stretch of wall for every gravity case, by column, level and case.
 * @param backwards - whether walls are drawn the other way round: their last stretch is then called the first
 */
export function feetOf(state: ProjectState, backwards = false): ReadonlyMap<string, number> {
  const found = new Map<string, number>()
  const countOf = (wall: string): number => {
    const member = state.document.records.get(wall)
    return member?.kind === 'member' ? stretchesOf(legsOf(member.path)).length : 0
  }
  for (const floor of state.floors) {
    const { columns } = floor.operator.plan.frame
    columns.forEach(({ member }, row) => {
      const [wall, k] = splitStretch(member.id)
      const name = k === null || !backwards ? member.id : stretchId(wall, countOf(wall) - 1 - k)
      for (const id of gravityOf(state))
        found.set(`${expandedAt(floor, name)} ${id}`, readCase(state, id)(floor.rundown.feet, row))
    })
  }
  return found
}

export function expectSameFeet(
  a: ProjectState,
  b: ProjectState,
  factor: (caseId: string) => number = () => 1,
  backwards = false,
  within = 1e-6,
): void {
  const [first, second] = [feetOf(a), feetOf(b, backwards)]
  expect([...second.keys()].sort()).toEqual([...first.keys()].sort())
  const scale = Math.max(1, ...[...first.values()].map(Math.abs))
  for (const [key, force] of first)
    expect(Math.abs((second.get(key) ?? NaN) - force * factor(key.split(' ')[1] ?? ''))).toBeLessThan(within * scale)
}
