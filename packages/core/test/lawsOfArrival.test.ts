import fc from 'fast-check'
import { holds } from './holds'
import { typedLoads } from '../src/actions/cases'
import { pressedIn, reachesOf, restLoads } from '../src/derivation/surfaceLoads'
import { loadTotal } from '../src/rundown/memberLines'
import { balanceOf, equilibriumResidual, hangingFromNothing, onNothing } from '../src/derivation/balance'
import { readArea } from '../src/derivation/cells'
import { expandedAt, floorArea } from '../src/derivation/floorQueries'
import type { ProjectState } from '../src/derivation/project'
import { isHanger } from '../src/building/frame'
import { ask } from '../src/queries/derive'
import { randomBuilding } from './randomBuilding'
import { auditShare } from '../src/sharing/audit'
import { carriersOf } from '../src/sharing/rails'
import { feetOf, gravityOf, stateOf } from './feet'

const seeds = fc.nat(1_000_000)
/** All laws here hold of the same buildings. */
const input = 'arrival'
const states = new Map<number, ProjectState>()

function stateOfSeed(seed: number): ProjectState {
  const state = states.get(seed) ?? stateOf(randomBuilding(seed))
  states.set(seed, state)
  return state
}

describe('whatever is drawn, every newton arrives or is named', () => {
  test('applied is what stands at the supports and what is not carried, in every gravity case', () => {
    holds(
      fc.property(seeds, (seed) => {
        const state = stateOfSeed(seed)
        // uplift may be many times what was applied: measured against all that moves
        const feet = [...feetOf(state).values()].reduce((sum, force) => sum + Math.abs(force), 0)
        for (const id of gravityOf(state)) {
          const { applied, atSupports, notCarried } = balanceOf(state, id)
          expect(Math.abs(applied - atSupports - notCarried)).toBeLessThanOrEqual(1e-9 * Math.max(1, applied, feet))
        }
        expect(Number.isFinite(equilibriumResidual(state))).toBe(true)
      }),
      { examples: [[105544], [870386], [6850]], numRuns: 40, input },
    )
  })

  test('every newton of pressure on a wall surface arrives at members and at levels, or is named', () => {
    holds(
      fc.property(seeds, (seed) => {
        const state = stateOfSeed(16 * Math.floor(seed / 16) + 1)
        for (const caseId of [typedLoads, 'wind/south'])
          for (const pressed of pressedIn(state, caseId)) {
            const { share } = pressed
            const { atLevels, notCarried } = reachesOf(pressed)
            const members = restLoads(pressed).map(loadTotal)
            const levels = atLevels.map(({ force }) => force)
            const scale = [...members, ...levels, share.applied, notCarried].reduce((sum, f) => sum + Math.abs(f), 1)
            const sum = (forces: readonly number[]) => forces.reduce((total, force) => total + force, 0)
            expect(Math.abs(sum(members) + share.notCarried - share.applied)).toBeLessThanOrEqual(1e-9 * scale)
            expect(Math.abs(sum(levels) + notCarried - share.applied)).toBeLessThanOrEqual(1e-9 * scale)
          }
      }),
      { numRuns: 20, input },
    )
  })

  test('every share keeps its force, whatever the rule, on slopes and over ridges', () => {
    holds(
      fc.property(seeds, (seed) => {
        for (const { operator } of stateOfSeed(seed).floors) {
          const { frame, sources, panels } = operator.plan
          const hasPlate = panels.some(({ panel }) => panel.sharing === 'stiffness')
          const carriers = frame.beams.flatMap(carriersOf)
          for (const { kind, share } of sources) {
            // weights of members are true lengths, which the plan does not have
            if (kind === 'beam' || kind === 'strut') continue
            const { force, scale } = auditShare(share, carriers)
            // a plate is solved from thousands of equations
            expect(Math.abs(force)).toBeLessThanOrEqual((hasPlate ? 1e-8 : 1e-10) * scale)
          }
        }
      }),
      { examples: [[105544], [870386], [6850]], numRuns: 40, input },
    )
  })

  test('every beam that stands hands on what lands on it, in force and moment', () => {
    holds(
      fc.property(seeds, (seed) => {
        const state = stateOfSeed(seed)
        for (const floor of state.floors) {
          const { beams, loop } = floor.operator.plan.frame
          beams.forEach(({ member, stable }, i) => {
            if (!stable || loop.includes(i)) return
            for (const caseId of gravityOf(state)) {
              const view = ask(state, { kind: 'member', expandedId: expandedAt(floor, member.id), caseId })
              if (!view) throw new Error('no view')
              const scale = view.supports.reduce(
                (sum, { reaction }) => sum + Math.abs(reaction),
                // what pulls and what presses may come to nothing
                view.lines.reduce((all, [s0, s1, q0, q1]) => all + (s1 - s0) * (Math.abs(q0) + Math.abs(q1)), 1),
              )
              expect(Math.abs(view.residual)).toBeLessThanOrEqual(1e-9 * scale)
              // member lines are followed within 1e-6 of their value: their moment is as exact
              if (view.residualMoment !== null)
                expect(Math.abs(view.residualMoment)).toBeLessThanOrEqual(
                  1e-5 * scale * Math.max(1, view.length) + 1e-3,
                )
            }
          })
        }
      }),
      { examples: [[579057]], numRuns: 20, input },
    )
  })

  test('what enters a column adds up to its foot, and so do its traces of force and floor', () => {
    holds(
      fc.property(seeds, (seed) => {
        const state = stateOfSeed(seed)
        const why = (address: string) => ask(state, { kind: 'why', address })?.value ?? NaN
        for (const floor of state.floors)
          for (const { member } of floor.operator.plan.frame.columns) {
            const expandedId = expandedAt(floor, member.id)
            for (const caseId of gravityOf(state)) {
              const view = ask(state, { kind: 'column', expandedId, caseId })
              const row = view?.rows.find((one) => one.expandedId === expandedId)
              if (!view || !row) throw new Error('no view')
              const scale = view.enters.reduce((sum, { force }) => sum + Math.abs(force), 1)
              const entering = view.enters.reduce((sum, { force }) => sum + force, 0)
              expect(Math.abs(entering - row.foot)).toBeLessThanOrEqual(1e-9 * scale)
              expect(Math.abs(why(`adds:${expandedId}:${caseId}`) - row.added)).toBeLessThanOrEqual(1e-9 * scale)
              expect(Math.abs(why(`columnArea:${expandedId}`) - row.cumulativeArea)).toBeLessThanOrEqual(1e-6)
            }
          }
      }),
      { numRuns: 12, input },
    )
  })

  test('every panel hands on its load, and by lever its moments, where all of it is carried', () => {
    holds(
      fc.property(seeds, (seed) => {
        const state = stateOfSeed(seed)
        for (const floor of state.floors)
          for (const { panel } of floor.operator.plan.panels)
            for (const caseId of gravityOf(state)) {
              const view = ask(state, { kind: 'panel', expandedId: expandedAt(floor, panel.id), caseId })
              if (!view) throw new Error('no view')
              const scale =
                1 + Math.abs(view.applied) + view.takers.reduce((sum, { force }) => sum + Math.abs(force), 0)
              expect(Math.abs(view.residual.force)).toBeLessThanOrEqual(1e-9 * scale)
              const clustered = floor.operator.plan.sources.some(
                (source) =>
                  source.kind === 'region' && source.panel.panel.id === panel.id && source.share.merged.length > 0,
              )
              const keepsMoments =
                panel.sharing === 'corners' || (panel.sharing === 'oneWay' && panel.overhang === 'lever')
              if (view.oneSupport || view.notCarriedArea > 0 || clustered || !keepsMoments) continue
              expect(Math.abs(view.residual.mx)).toBeLessThanOrEqual(1e-6 * scale * 30)
              expect(Math.abs(view.residual.my)).toBeLessThanOrEqual(1e-6 * scale * 30)
            }
      }),
      { numRuns: 20, input },
    )
  })

  test('the floor area behind every column adds up to the floor area that is carried', () => {
    holds(
      fc.property(seeds, (seed) => {
        const state = stateOfSeed(seed)
        const area = readArea(state)
        const total = state.floors.reduce((sum, floor) => sum + floorArea(state, floor), 0)
        const lost = state.floors.reduce((sum, { rundown }) => sum + area(rundown.notCarried, 0), 0)
        const stranded = state.floors.flatMap((floor, i) =>
          [...onNothing(state, i), ...hangingFromNothing(floor)].map((row) => area(floor.rundown.feet, row)),
        )
        const base = (state.floors[0]?.operator.plan.frame.columns ?? []).map((column, row) =>
          isHanger(column) ? 0 : area(state.floors[0]?.rundown.feet ?? new Float64Array(), row),
        )
        const arrived = [...stranded, ...base].reduce((sum, value) => sum + value, 0)
        expect(Math.abs(total - lost - arrived)).toBeLessThan(1e-6 * Math.max(1, total))
      }),
      { numRuns: 40, input },
    )
  })

  test('the member loads of the handover file are what the balance says is on members', () => {
    holds(
      fc.property(seeds, (seed) => {
        const state = stateOfSeed(seed)
        const sums = ask(state, { kind: 'fileSums' })
        for (const id of gravityOf(state)) {
          const { onMembers } = balanceOf(state, id)
          expect(Math.abs((sums[id] ?? NaN) - onMembers)).toBeLessThan(1e-6 * Math.max(1, Math.abs(onMembers)))
        }
      }),
      { examples: [[67992], [392101]], numRuns: 20, input },
    )
  })
})
