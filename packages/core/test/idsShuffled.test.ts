import fc from 'fast-check'
import { holds } from './holds'
import { isHorizontal } from '../src/actions/cases'
import { balanceOf } from '../src/derivation/balance'
import { caseRow } from '../src/derivation/cells'
import { effectKey, effectKinds, effectsOf } from '../src/derivation/effects'
import { expandedAt, memberLoadsIn } from '../src/derivation/floorQueries'
import { Memo } from '../src/derivation/memo'
import { deriveProject, type ProjectState } from '../src/derivation/project'
import { idsIn, withOtherIds } from './idsShuffled'
import { randomBuilding } from './randomBuilding'

/** Numbers of all cases by name: forces of columns and of supports of beams, totals and moments on members, effects, sums of cases. */
function numbersOf(state: ProjectState, old: (id: string) => string): ReadonlyMap<string, readonly number[]> {
  const found = new Map<string, readonly number[]>()
  const gravity = state.caseIds.filter((id) => !isHorizontal(id))
  const put = (name: string, values: Iterable<number>) => found.set(old(name), [...values])
  for (const floor of state.floors) {
    const { frame } = floor.operator.plan
    frame.columns.forEach(({ member }, row) => {
      const at = expandedAt(floor, member.id)
      put(`top ${at}`, caseRow(state, floor.rundown.tops, row))
      put(`foot ${at}`, caseRow(state, floor.rundown.feet, row))
    })
    frame.beams.forEach(({ member, supports }, row) => {
      put(`beam ${expandedAt(floor, member.id)}`, caseRow(state, floor.rundown.beamTotals, row))
      const first = floor.operator.firstSupport[row] ?? 0
      supports.forEach(({ s, on, index }, k) => {
        const under = (on === 'column' ? frame.columns : frame.beams)[index]?.member.id ?? ''
        const name = `support ${expandedAt(floor, member.id)} ${s.toFixed(6)} ${under}`
        put(name, caseRow(state, floor.rundown.reactions, first + k))
      })
    })
    for (const caseId of gravity)
      memberLoadsIn(state, floor, caseId).forEach(({ lines, points }, row) => {
        const moment = lines.reduce(
          (sum, [s0, s1, q0, q1]) => sum + ((s1 - s0) * (q0 * (2 * s0 + s1) + q1 * (s0 + 2 * s1))) / 6,
          points.reduce((sum, { s, force }) => sum + s * force, 0),
        )
        put(`moment ${expandedAt(floor, frame.beams[row]?.member.id ?? '')} ${caseId}`, [moment])
      })
  }
  for (const id of gravity) {
    const { applied, onMembers, atSupports, notCarried } = balanceOf(state, id)
    put(`case ${id}`, [applied, onMembers, atSupports, notCarried])
  }
  for (const kind of effectKinds)
    for (const effect of effectsOf(state, kind)) put(`effect ${effectKey(effect)}`, effect.values)
  return found
}

test('ids count for nothing: other ids, the same numbers', () => {
  holds(
    fc.property(fc.nat(1_000_000), fc.nat(1_000_000), (seed, ids) => {
      const document = randomBuilding(seed)
      const { other, old } = withOtherIds(document, ids)
      const back = (name: string) => name.replace(idsIn, (id) => old.get(id) ?? id)
      const before = numbersOf(deriveProject(new Memo(), document), (name) => name)
      const after = numbersOf(deriveProject(new Memo(), other), back)
      expect([...after.keys()].sort()).toEqual([...before.keys()].sort())
      const scale = Math.max(1, ...[...before.values()].flat().map(Math.abs))
      for (const [name, values] of before)
        values.forEach((value, i) => {
          const now = after.get(name)?.[i] ?? NaN
          if (!(Math.abs(now - value) <= 1e-12 * scale)) throw new Error(`${name}: ${value} and ${now} of ${scale}`)
        })
    }),
    { numRuns: Number(process.env['RUNS'] ?? 42) },
  )
})
