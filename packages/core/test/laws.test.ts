import fc from 'fast-check'
import { typedLoads } from '../src/actions/cases'
import { pressedIn, reachesOf, restLoads } from '../src/derivation/surfaceLoads'
import { loadTotal } from '../src/rundown/memberLines'
import { balanceOf, equilibriumResidual, hangingFromNothing, onNothing } from '../src/derivation/balance'
import { readArea, readCase } from '../src/derivation/cells'
import { expandedAt, floorArea, keyShareOf } from '../src/derivation/floorQueries'
import { Memo } from '../src/derivation/memo'
import { deriveProject, type ProjectState } from '../src/derivation/project'
import { isHorizontal } from '../src/actions/cases'
import { documentOf, type Document } from '../src/document/document'
import { stretchesOf } from '../src/building/bearingWalls'
import { isHanger } from '../src/building/frame'
import { legsOf } from '../src/geometry/course'
import { splitStretch, stretchId } from '../src/document/labels'
import { isUpright } from '../src/document/roles'
import type { LoadKey, Panel, Rec } from '../src/document/recordKinds'
import { isDrawn, pointsOf, withPoints } from '../src/editing/shaped'
import type { Point } from '../src/geometry/point'
import { ask } from '../src/queries/derive'
import { randomBuilding } from './randomBuilding'
import { auditShare } from '../src/sharing/audit'
import { carriersOf } from '../src/sharing/rails'
import { turned } from './shapes'

const seeds = fc.nat(1_000_000)
const stateOf = (document: Document): ProjectState => deriveProject(new Memo(), document)
const gravityOf = ({ caseIds }: ProjectState) => caseIds.filter((id) => !isHorizontal(id))
const changed = (document: Document, change: (record: Rec) => Rec): Document =>
  documentOf([...document.records.values()].map(change))

/**
 * Force at the foot of every column and stretch of wall for every gravity case, by column, level and case.
 * @param backwards - whether walls are drawn the other way round: their last stretch is then called the first
 */
function feetOf(state: ProjectState, backwards = false): ReadonlyMap<string, number> {
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

function expectSameFeet(
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

const turnedAngles = ({ spanAngle, sparedAngle }: Panel, turn: (angle: number) => number) => ({
  spanAngle: turn(spanAngle),
  sparedAngle: sparedAngle === null ? null : turn(sparedAngle),
})

describe('whatever is drawn, every newton arrives or is named', () => {
  test('applied is what stands at the supports and what is not carried, in every gravity case', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const state = stateOf(randomBuilding(seed))
        // uplift may be many times what was applied: measured against all that moves
        const feet = [...feetOf(state).values()].reduce((sum, force) => sum + Math.abs(force), 0)
        for (const id of gravityOf(state)) {
          const { applied, atSupports, notCarried } = balanceOf(state, id)
          expect(Math.abs(applied - atSupports - notCarried)).toBeLessThanOrEqual(1e-9 * Math.max(1, applied, feet))
        }
        expect(Number.isFinite(equilibriumResidual(state))).toBe(true)
      }),
      { examples: [[105544], [870386], [6850]], numRuns: 40 },
    )
  })

  test('every newton of pressure on a wall surface arrives at members and at levels, or is named', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const state = stateOf(randomBuilding(16 * Math.floor(seed / 16) + 1))
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
      { numRuns: 20 },
    )
  })

  test('every share keeps its force, whatever the rule, on slopes and over ridges', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        for (const { operator } of stateOf(randomBuilding(seed)).floors) {
          const { frame, sources } = operator.plan
          const carriers = frame.beams.flatMap(carriersOf)
          for (const { kind, share } of sources) {
            // weights of members are true lengths, which the plan does not have
            if (kind === 'beam' || kind === 'strut') continue
            const { force, scale } = auditShare(share, carriers)
            expect(Math.abs(force)).toBeLessThanOrEqual(1e-10 * scale)
          }
        }
      }),
      { examples: [[105544], [870386], [6850]], numRuns: 40 },
    )
  })

  test('every beam that stands hands on what lands on it, in force and moment', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const state = stateOf(randomBuilding(seed))
        for (const floor of state.floors) {
          const { beams, loop } = floor.operator.plan.frame
          beams.forEach(({ member, stable }, i) => {
            if (!stable || loop.includes(i)) return
            for (const caseId of gravityOf(state)) {
              const view = ask(state, { kind: 'member', expandedId: expandedAt(floor, member.id), caseId })
              if (!view) throw new Error('no view')
              const scale = view.supports.reduce(
                (sum, { reaction }) => sum + Math.abs(reaction),
                Math.abs(view.total) + 1,
              )
              expect(Math.abs(view.residual)).toBeLessThanOrEqual(1e-9 * scale)
              // member lines are followed within 1e-6 of their value: their moment is as exact
              if (view.residualMoment !== null)
                expect(Math.abs(view.residualMoment)).toBeLessThanOrEqual(1e-5 * scale * Math.max(1, view.length))
            }
          })
        }
      }),
      { examples: [[579057]], numRuns: 20 },
    )
  })

  test('every panel hands on its load, and by lever its moments, where all of it is carried', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const document = randomBuilding(seed)
        const state = stateOf(document)
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
      { numRuns: 20 },
    )
  })

  test('the floor area behind every column adds up to the floor area that is carried', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const state = stateOf(randomBuilding(seed))
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
      { numRuns: 40 },
    )
  })

  test('the member loads of the handover file are what the balance says is on members', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const state = stateOf(randomBuilding(seed))
        const sums = ask(state, { kind: 'fileSums' })
        for (const id of gravityOf(state)) {
          const { onMembers } = balanceOf(state, id)
          expect(Math.abs((sums[id] ?? NaN) - onMembers)).toBeLessThan(1e-6 * Math.max(1, Math.abs(onMembers)))
        }
      }),
      { examples: [[67992], [392101]], numRuns: 20 },
    )
  })
})

describe('what must not matter does not', () => {
  test('the order in which records came: the same bytes', () => {
    fc.assert(
      fc.property(seeds, fc.nat(), (seed, cut) => {
        const document = randomBuilding(seed)
        const records = [...document.records.values()]
        const at = cut % records.length
        const other = documentOf([...records.slice(at), ...records.slice(0, at)].reverse())
        const bytes = (doc: Document) => JSON.stringify(ask(stateOf(doc), { kind: 'results', only: null }))
        expect(bytes(other)).toBe(bytes(document))
      }),
      { numRuns: 20 },
    )
  })

  test('turning the whole building', () => {
    fc.assert(
      fc.property(seeds, fc.double({ min: -3, max: 3, noNaN: true }), (seed, angle) => {
        const document = randomBuilding(seed)
        const turn = turned(angle, [3, 2])
        const after = changed(document, (record) => {
          if (!isDrawn(record)) return record
          const drawn = withPoints(record, pointsOf(record).map(turn))
          if (drawn.kind === 'slope') return { ...drawn, uphill: drawn.uphill + angle }
          if (drawn.kind === 'areaLoad') return { ...drawn, angle: drawn.angle + angle }
          return drawn.kind === 'panel' ? { ...drawn, ...turnedAngles(drawn, (a) => a + angle) } : drawn
        })
        expectSameFeet(stateOf(document), stateOf(after))
      }),
      { numRuns: 20 },
    )
  })

  test('mirroring it, and drawing every outline, beam and wall the other way round', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const document = randomBuilding(seed)
        const mirror = ([x, y]: Point): Point => [-x, y]
        const after = changed(document, (record) => {
          if (!isDrawn(record)) return record
          const mirrored = pointsOf(record).map(mirror)
          // the diagonals of a truss fall from its start: drawn the other way round it is another truss
          // and a column rakes from its own level to its other end
          if (record.kind === 'member' && (record.truss || isUpright(record.role))) return withPoints(record, mirrored)
          const drawn = withPoints(record, mirrored.reverse())
          if (drawn.kind === 'panel') return { ...drawn, ...turnedAngles(drawn, (a) => Math.PI - a) }
          if (drawn.kind === 'slope') return { ...drawn, uphill: Math.PI - drawn.uphill }
          if (drawn.kind === 'areaLoad') return { ...drawn, angle: Math.PI - drawn.angle }
          if (drawn.kind === 'strut') return { ...drawn, startHeight: drawn.endHeight, endHeight: drawn.startHeight }
          if (drawn.kind === 'member')
            return { ...drawn, startRelease: drawn.endRelease, endRelease: drawn.startRelease }
          return drawn
        })
        // pieces are joined from one end to within a thousandth of the peak: short spans of a beam feel from which
        expectSameFeet(stateOf(document), stateOf(after), () => 1, true, 2e-5)
      }),
      { examples: [[33], [442441], [999994], [820533], [999982], [149935], [454204]], numRuns: 20 },
    )
  })
})

describe('loads scale and add', () => {
  const withImposed = (document: Document, factor: number): Document =>
    changed(document, (record) => {
      if (record.kind === 'loadKey' && record.imposed !== null) return { ...record, imposed: record.imposed * factor }
      const isTyped = record.kind === 'lineLoad' || record.kind === 'pointLoad'
      return isTyped && record.nature === 'imposed' ? { ...record, value: record.value * factor } : record
    })

  test('double the imposed load, double what it does, and nothing else', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const document = changed(randomBuilding(seed), (record) =>
          record.kind === 'loadKey' ? ({ ...record, imposed: record.imposed ?? 1500 } satisfies LoadKey) : record,
        )
        const twice = (id: string) =>
          (id.startsWith('imposed/') || id === 'roof/H') && !id.endsWith('/partitions') ? 2 : 1
        expectSameFeet(stateOf(document), stateOf(withImposed(document, 2)), twice)
      }),
      { numRuns: 20 },
    )
  })

  test('a layer more on every build-up adds its weight, whatever lies there', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const document = randomBuilding(seed)
        const more = { name: 'more', thickness: null, unitWeight: null, load: 500, source: '' }
        const heavier = changed(document, (record) =>
          record.kind === 'buildUp' ? { ...record, layers: [...record.layers, more] } : record,
        )
        const [before, after] = [stateOf(document), stateOf(heavier)]
        const buildUps = 'permanent/build-ups'
        const [a, b] = [balanceOf(before, buildUps), balanceOf(after, buildUps)]
        // the regions and flights that carry a key with a build-up, by their areas
        const area = before.floors.reduce(
          (sum, floor) =>
            sum +
            floor.operator.plan.sources.reduce((part, source, row) => {
              const lying = keyShareOf(before, source)?.lying ?? 0
              const loaded = readCase(before, buildUps)(floor.intensities, row) > 0
              return part + (loaded ? source.share.applied * lying : 0)
            }, 0),
          0,
        )
        expect(b.applied - a.applied).toBeCloseTo(500 * area, 3)
      }),
      { numRuns: 20 },
    )
  })
})
