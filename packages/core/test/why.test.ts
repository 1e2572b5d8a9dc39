import { isHorizontal } from '../src/actions/cases'
import { evaluate } from 'mathjs'
import { effectKey, effectKinds, effectsOf } from '../src/derivation/effects'
import { expandedAt } from '../src/derivation/floorQueries'
import { Memo } from '../src/derivation/memo'
import { deriveProject } from '../src/derivation/project'
import { panelOf } from '../src/document/labels'
import { ask } from '../src/queries/derive'
import type { Traced } from '../src/trace/traced'
import { metricPoint } from '../src/units/format'
import { referenceText, traceLines } from '../src/wording/traceText'
import { demoDocument } from './demo'
import { randomBuilding } from './randomBuilding'

const demo = deriveProject(new Memo(), demoDocument())
const why = (state: typeof demo, address: string): Traced => {
  const traced = ask(state, { kind: 'why', address })
  if (!traced) throw new Error(`Nothing at ${address}`)
  return traced
}
const near = (a: number, b: number) => expect(Math.abs(a - b)).toBeLessThanOrEqual(1e-6 * Math.max(1, Math.abs(b)))

/** Holds every node of a trace against what it was made of; answers the addresses of its terms. */
function hold(traced: Traced): readonly (readonly [address: string, value: number, factor: number])[] {
  const { basis, value } = traced
  expect(referenceText(traced)).not.toBe('')
  if (basis.kind === 'formula') {
    const inputs = Object.entries(basis.inputs)
    near(
      Number(evaluate(basis.expression, Object.fromEntries(inputs.map(([name, input]) => [name, input.value])))),
      value,
    )
    return inputs.flatMap(([, input]) => hold(input))
  }
  if (basis.kind === 'table') return basis.inputs.flatMap(hold)
  if (basis.kind !== 'sum') return []
  near(
    basis.terms.reduce((sum, term) => sum + term.value, 0),
    value,
  )
  return basis.terms.flatMap(({ value: part, factors, traced: inner, address }) => {
    if (factors)
      near(
        factors.reduce((product, factor) => product * factor.value, 1),
        part,
      )
    if (inner) near(inner.value, part)
    const factor = factors?.[0]?.quantity === 'factor' ? factors[0].value : 1
    return [...(inner ? hold(inner) : []), ...(address ? [[address, part, factor] as const] : [])]
  })
}

/** Walks down the chain from an address to the end. */
function holdAll(state: typeof demo, start: string, seen = new Set<string>()): void {
  if (seen.has(start)) return
  seen.add(start)
  for (const [address] of hold(why(state, start))) holdAll(state, address, seen)
}

describe('every number of the demo leads down to clause and input', () => {
  const seen = new Set<string>()

  test.each(demo.caseIds)('the balance of %s', (caseId) => {
    const { applied, onMembers, atSupports, notCarried, handedOn } = ask(demo, { kind: 'balance', caseId })
    near(why(demo, `applied:${caseId}`).value, applied)
    holdAll(demo, `applied:${caseId}`, seen)
    if (handedOn) return
    near(why(demo, `base:${caseId}`).value, atSupports)
    near(why(demo, `onMembers:${caseId}`).value, onMembers)
    holdAll(demo, `onMembers:${caseId}`, seen)
    near(why(demo, `notCarried:${caseId}`).value, notCarried)
    holdAll(demo, `base:${caseId}`, seen)
    holdAll(demo, `notCarried:${caseId}`, seen)
  })

  test('what lands on every beam and enters every column, as the sheets show it', () => {
    for (const floor of demo.floors)
      for (const caseId of demo.caseIds.filter((id) => !isHorizontal(id))) {
        const { beams, columns } = floor.operator.plan.frame
        for (const { member } of beams) {
          const expandedId = expandedAt(floor, member.id)
          const view = ask(demo, { kind: 'member', expandedId, caseId })
          if (!view) throw new Error(expandedId)
          near(why(demo, `beam:${expandedId}:${caseId}`).value, view.total)
          near(
            view.lands.reduce((sum, { force }) => sum + force, 0),
            view.total,
          )
          for (const { address, force } of view.lands) if (address) near(why(demo, address).value, force)
          view.supports.forEach(({ reaction }, k) =>
            near(why(demo, `reaction:${expandedId}:${k}:${caseId}`).value, reaction),
          )
        }
        for (const { member } of columns) {
          const expandedId = expandedAt(floor, member.id)
          const view = ask(demo, { kind: 'column', expandedId, caseId })
          const foot = view?.rows.find((row) => row.expandedId === expandedId)?.foot ?? NaN
          near(why(demo, `column:${expandedId}:${caseId}`).value, foot)
          near(view?.enters.reduce((sum, { force }) => sum + force, 0) ?? NaN, foot)
          for (const row of view?.rows ?? []) {
            near(why(demo, `columnArea:${row.expandedId}`).value, row.cumulativeArea)
            near(why(demo, `adds:${row.expandedId}:${caseId}`).value, row.added)
          }
          holdAll(demo, `columnArea:${expandedId}`, seen)
          holdAll(demo, `adds:${expandedId}:${caseId}`, seen)
        }
      }
  })

  test('what stands on every panel, who takes it and what is lost, as its sheet shows it', () => {
    for (const floor of demo.floors)
      for (const caseId of demo.caseIds.filter((id) => !isHorizontal(id)))
        for (const { panel } of floor.operator.plan.panels) {
          const expandedId = expandedAt(floor, panel.id)
          const view = ask(demo, { kind: 'panel', expandedId, caseId })
          if (!view) throw new Error(expandedId)
          near(why(demo, `panelArea:${expandedId}`).value, view.net)
          near(why(demo, `panel:${expandedId}:${caseId}`).value, view.applied)
          near(why(demo, `panelLost:${expandedId}:${caseId}`).value, view.notCarried)
          for (const { row, force } of view.regions)
            near(why(demo, `region:${floor.level.id}:${row}:${caseId}`).value, force)
          for (const { expandedId: taker, force } of view.takers)
            near(why(demo, `taker:${taker}:${panel.id}:${caseId}`).value, force)
          for (const head of ['panel', 'panelLost']) holdAll(demo, `${head}:${expandedId}:${caseId}`, seen)
        }
  })

  test('a wall run is its stretches; the coefficients of every direction are of the tables', () => {
    for (const floor of demo.floors)
      for (const { runId } of ask(demo, { kind: 'walls', levelId: floor.level.id })) {
        const stretches = ask(demo, { kind: 'walls', levelId: floor.level.id }).filter((row) => row.runId === runId)
        const sum = stretches.reduce((total, { length, trace }) => total + length * (trace?.value ?? 0), 0)
        near(why(demo, `wallRun:${runId}@${floor.level.id}`).value, sum)
        holdAll(demo, `wallRun:${runId}@${floor.level.id}`, seen)
      }
    for (const { direction, c_D, c_E, ratio, k_corr } of demo.wind?.results ?? [])
      for (const [name, traced] of Object.entries({ c_D, c_E, ratio, k_corr })) {
        near(why(demo, `wind:wind/${direction.id}:${name}`).value, traced.value)
        hold(traced)
      }
  })

  test('every extreme is its combination: factor times the case, case by case', () => {
    for (const kind of effectKinds)
      for (const effect of effectsOf(demo, kind)) {
        const key = effectKey(effect)
        for (const set of ['strength', 'characteristic', 'frequent', 'quasiPermanent'] as const) {
          const governing = ask(demo, { kind: 'governing', set, key })
          if (!governing) throw new Error(key)
          for (const sense of ['most', 'least'] as const) {
            const traced = why(demo, `extreme:${set}:${sense}:${key}`)
            near(traced.value, governing[sense].value)
            near(
              governing[sense].terms.reduce((sum, { value }) => sum + value, 0),
              governing[sense].value,
            )
            hold(traced)
          }
        }
      }
  })

  test('the terms of an extreme lead to the value of their case', () => {
    const [reaction] = effectsOf(demo, 'reaction')
    if (!reaction) throw new Error('no reaction')
    for (const [address, value, factor] of hold(why(demo, `extreme:strength:most:${effectKey(reaction)}`)))
      near(why(demo, address).value * factor, value)
  })

  test('values of the standard, pressure at a height, weights, walls, storey forces', () => {
    for (const { key, value } of ask(demo, { kind: 'standard' }).values)
      near(why(demo, `parameter:${key}`).value, value)
    holdAll(demo, 'qp:11.4', seen)
    for (const { id } of demo.document.records.values()) {
      if (id.startsWith('member:')) holdAll(demo, `beamWeight:${id}`, seen)
      if (panelOf(demo.document, id)?.slab) holdAll(demo, `slab:${id}`, seen)
      if (id.startsWith('loadKey:')) for (const part of ['buildUp', 'imposed']) holdAll(demo, `key:${id}:${part}`, seen)
    }
    for (const { levelId } of demo.wind?.results[0]?.storeys.map(({ force }) => force) ?? [])
      holdAll(demo, `storeyForce:wind/west@${levelId}`, seen)
    // the walk went everywhere that an address leads
    const heads = new Set([...seen].map((address) => address.split(':')[0]))
    for (const head of [
      'landing',
      'wall',
      'key',
      'slab',
      'beamWeight',
      'columnWeight',
      'reaction',
      'level',
      'storeyForce',
    ])
      expect(heads).toContain(head)
  })

  test('a trace stays small: ten terms and the rest', () => {
    const level = demo.floors[0]?.level.id ?? ''
    const { basis } = why(demo, `level:${level}:permanent/self-weight`)
    expect(basis.kind === 'sum' && basis.terms).toHaveLength(11)
    expect(basis.kind === 'sum' && basis.terms.at(-1)?.label).toMatch(/^\d+ more$/)
  })
})

test.each([
  '',
  'nothing',
  'beam:member:none@level:none:imposed/C',
  'beam:x',
  'column::',
  'extreme:strength:sideways:reaction:x@y:Z',
  'extreme:none:most:reaction:x@y:Z',
  'qp:-3',
  'qp:high',
  'key:loadKey:none:imposed',
  'parameter:__proto__',
  'constructor:x',
  'applied:imposed/Z',
  'landing:a@b:0:imposed/C',
  'reaction:a@b:0:imposed/C',
  'notCarried:wind/west',
  'onMembers:wind/west',
  'landed:none:imposed/C',
  'panel:panel:none@level:none:imposed/C',
  'taker:a@b:imposed/C',
  'region:none:0:imposed/C',
  'panelArea:x',
  'columnArea:x',
  'adds:x:imposed/C',
  'wallRun:x@y',
  'wind:wind/west:b',
  'wind:imposed/C:c_D',
])('an address that leads nowhere answers nothing: %s', (address) => {
  expect(ask(demo, { kind: 'why', address })).toBeNull()
})

test('on random buildings too, loops, transfers and stranded columns among them', () => {
  for (let seed = 100; seed < 108; seed++) {
    const state = deriveProject(new Memo(), randomBuilding(seed))
    const seen = new Set<string>()
    for (const caseId of state.caseIds.filter((id) => !isHorizontal(id))) {
      const { applied, notCarried } = ask(state, { kind: 'balance', caseId })
      near(why(state, `applied:${caseId}`).value, applied)
      near(why(state, `notCarried:${caseId}`).value, notCarried)
      for (const head of ['applied', 'base', 'notCarried']) holdAll(state, `${head}:${caseId}`, seen)
    }
  }
})

describe('a trace as text', () => {
  test('the peak velocity pressure, line by line (hand: 26 m/s, II, 10 m)', () => {
    const lines = traceLines(why(demo, 'qp:10'), metricPoint)
    expect(lines[0]).toBe(
      'q_p = (1 + 7 · I_v) · ρ · v_m² / 2 = (1 + 7 · 0.19) · 1.250 · 26.2² / 2 = 0.99 kN/m²   (EN 1991-1-4 4.5 (4.8))',
    )
    expect(lines).toContain('  v_m = c_r · c_o · v_b = 1.01 · 1.00 · 26.0 = 26.2 m/s   (EN 1991-1-4 4.3.1 (4.3))')
    expect(lines).toContainEqual(
      expect.stringMatching(/^ {6}z_0 = 0\.050 m {3}\(EN 1991-1-4 table 4\.1, EN, recommended values, from memory\)$/),
    )
  })

  test('a sum shows its terms as products, with the address of each', () => {
    const lines = traceLines(why(demo, 'base:imposed/C'), metricPoint)
    expect(lines[0]).toMatch(/^R = .* kN {3}\(sum of the reactions\)$/)
    expect(lines[1]).toMatch(/^ {2}.* kN {2}column C\d+ {3}→ column:member:.*@level:.*:imposed\/C$/)
    const beam = [...demo.document.records.values()].find(
      (record) => record.kind === 'member' && record.role === 'beam',
    )
    const level = demo.floors[0]?.level.id ?? ''
    const text = traceLines(why(demo, `beam:${beam?.id ?? ''}@${level}:imposed/C`), metricPoint).join('\n')
    expect(text).toMatch(/panel P\d+ {2}= 3\.00 kN\/m² · \d+\.\d m²/)
  })
})
