import fc from 'fast-check'
import { holds } from './holds'
import { concernsOf } from '../src/concerns/concernsOf'
import { equilibriumResidual } from '../src/derivation/balance'
import { readCase } from '../src/derivation/cells'
import { Memo } from '../src/derivation/memo'
import { deriveProject } from '../src/derivation/project'
import { withEdits } from '../src/document/changes'
import { documentOf, recordsOf, seededRandom } from '../src/document/document'
import { invariantProblems } from '../src/document/invariants'
import type { Member, Panel } from '../src/document/recordKinds'
import { ownLayoutEdits } from '../src/editing/ownLayout'
import { drawnOf, repeatEdits } from '../src/editing/shaped'
import { deletionEdits } from '../src/editing/wallMake'
import { memberLoadSums } from '../src/exchange/results'
import { ask } from '../src/queries/derive'
import { Building } from './build'
import { randomBuilding } from './randomBuilding'
import { rectangle } from './shapes'

type More<T> = Partial<Omit<T, 'id' | 'kind'>>

/** A bay of 6 x 4 m under 3 kN/m2 that spans 4 m, with a beam along its middle and a brace across it in plan. */
function bay(panel: More<Panel> = {}, middle: More<Member> = {}, y = 0) {
  const building = new Building({ basicWindVelocity: null }, 1)
  const [, top] = [building.level('Base', 0), building.level('Top', 3)]
  const layout = building.layout('Floor', building.key(3000, { name: 'Office' }), top)
  for (const x of [0, 6]) for (const at of [y, 2, 4]) building.column(layout, [x, at])
  const beams = {
    south: building.beam(layout, [0, y], [6, y]),
    middle: building.beam(layout, [0, 2], [6, 2], middle),
    north: building.beam(layout, [0, 4], [6, 4]),
    brace: building.beam(layout, [0, y], [6, 4], { takesLoad: false }),
  }
  const drawn = building.panel(layout, rectangle(0, 0, 6, 4), panel)
  const state = deriveProject(new Memo(), building.document)
  const caseId = state.caseIds.find((id) => id.startsWith('imposed/')) ?? ''
  const view = ask(state, { kind: 'panel', expandedId: `${drawn.id}@${top.id}`, caseId })
  const forces = (name: keyof typeof beams) =>
    view?.takers.find(({ expandedId }) => expandedId === `${beams[name].id}@${top.id}`)?.force ?? 0
  return { view, forces }
}

describe('what takes no load', () => {
  test('hand: the brace takes none, the inner beam twice the edge beam', () => {
    const { forces } = bay()
    expect([forces('south'), forces('middle'), forces('north'), forces('brace')]).toEqual([
      expect.closeTo(18_000, 6),
      expect.closeTo(36_000, 6),
      expect.closeTo(18_000, 6),
      0,
    ])
  })

  test('hand: a member that takes none leaves its load to the others', () => {
    const { forces } = bay({}, { takesLoad: false })
    expect([forces('south'), forces('middle'), forces('north')]).toEqual([
      expect.closeTo(36_000, 6),
      0,
      expect.closeTo(36_000, 6),
    ])
  })

  test('hand: a member that one panel spares takes its part of the other', () => {
    const building = new Building({ basicWindVelocity: null }, 1)
    const [, top] = [building.level('Base', 0), building.level('Top', 3)]
    const layout = building.layout('Floor', building.key(3000, { name: 'Office' }), top)
    for (const x of [0, 6]) for (const y of [0, 4, 8]) building.column(layout, [x, y])
    const [south, middle, north] = [0, 4, 8].map((y) => building.beam(layout, [0, y], [6, y]))
    if (!south || !middle || !north) throw new Error('no beams')
    building.panel(layout, rectangle(0, 0, 6, 4), { sparedMembers: [middle.id], overhang: 'tributary' })
    building.panel(layout, rectangle(0, 4, 6, 8))
    const state = building.state()
    const at = readCase(state, state.caseIds.find((id) => id.startsWith('imposed/')) ?? '')
    const totals = [south, middle, north].map(({ id }) => {
      const row = state.floors[0]?.operator.plan.frame.beams.findIndex(({ member }) => member.id === id) ?? -1
      return at(state.floors[0]?.rundown.beamTotals ?? new Float64Array(), row)
    })
    // 72 kN of the south panel on its one beam; the north one by halves
    expect(totals).toEqual([expect.closeTo(72_000, 6), expect.closeTo(36_000, 6), expect.closeTo(36_000, 6)])
  })

  test('a copy spares copies; what is deleted is spared by nothing', () => {
    const building = new Building({ basicWindVelocity: null }, 1)
    const levels = [0, 3, 6].map((z) => building.level(String(z), z))
    const layout = building.layout('Floor', null, levels[1], levels[2])
    const beams = [0, 4].map((y) => building.beam(layout, [0, y], [6, y]))
    const [kept, spared] = beams
    const level = levels[2]
    if (!kept || !spared || !level) throw new Error('no beams')
    const panel = building.panel(layout, rectangle(0, 0, 6, 4), { sparedMembers: [kept.id, spared.id].sort() })
    const own = withEdits(building.document, ownLayoutEdits(building.document, level, 'this', seededRandom(3)))
    const copies = recordsOf(own, 'panel').filter(({ layout: on }) => on !== layout.id)
    const originOf = (id: string) => own.records.get(id)?.origin
    expect(copies.map((copy) => copy.sparedMembers.map(originOf).sort())).toEqual([panel.sparedMembers])

    const gone = withEdits(building.document, deletionEdits(building.document, [spared]))
    expect(invariantProblems(gone)).toEqual([])
    expect(recordsOf(gone, 'panel').map(({ sparedMembers }) => sparedMembers)).toEqual([[kept.id]])

    // copied with one of its beams it spares the copy of that alone
    const along = repeatEdits(
      [panel, kept],
      { kind: 'along', shift: [10, 0], times: 1 },
      drawnOf(building.document),
      seededRandom(4),
    )
    const made = along.flatMap(({ after }) => (after ? [after] : []))
    const [copy] = made.flatMap((record) => (record.kind === 'panel' ? [record] : []))
    const [beam] = made.flatMap((record) => (record.kind === 'member' ? [record] : []))
    expect(copy?.sparedMembers).toEqual([beam?.id])
  })

  test('everything that runs one way: nothing is left to carry, and all of it is named', () => {
    const { view } = bay({ sparedAngle: Math.PI })
    expect(view?.takers).toEqual([])
    expect(view?.notCarried).toBeCloseTo(72_000, 6)
  })

  test('hand: a beam 60 mm off the edge supports the panel where its reach says so', () => {
    expect(bay({}, {}, -0.06).forces('south')).toBe(0)
    // lever over 2.06 m, the load between 0 and 2: 6 x 2 x 3 kN x 1.0 / 2.06
    expect(bay({ supportReach: 0.1 }, {}, -0.06).forces('south')).toBeCloseTo(36_000 / 2.06, 6)
  })

  test('a least angle to the span above that of the beams leaves them out', () => {
    const { view } = bay({ spanAngle: 1, spanLimit: 1.04 })
    expect(view?.takers).toEqual([])
  })
})

describe('what takes no load of one action', () => {
  /** The same bay with 2 kN/m2 of finishes; the middle beam takes no imposed load. */
  const spared = (sparedActions: Member['sparedActions']) => {
    const building = new Building({ basicWindVelocity: null }, 1)
    const [, top] = [building.level('Base', 0), building.level('Top', 3)]
    if (!top) throw new Error('top')
    const up = building.buildUp([{ name: 'screed', thickness: 0.1, unitWeight: 20_000, load: null, source: '' }])
    const layout = building.layout('Floor', building.key(3000, { buildUp: up.id }), top)
    for (const x of [0, 6]) for (const at of [0, 2, 4]) building.column(layout, [x, at])
    building.beam(layout, [0, 0], [6, 0])
    const middle = building.beam(layout, [0, 2], [6, 2], { sparedActions })
    building.beam(layout, [0, 4], [6, 4])
    const panel = building.panel(layout, rectangle(0, 0, 6, 4))
    return { building, top, layout, middle: `${middle.id}@${top.id}`, panel: `${panel.id}@${top.id}` }
  }

  test('hand: 36 kN of imposed load go to its neighbours, 24 kN of finishes stay', () => {
    const { building, middle, panel, top } = spared(['imposed'])
    const state = building.state()
    const member = (caseId: string) => ask(state, { kind: 'member', expandedId: middle, caseId })
    expect(member('imposed/B')?.total).toBe(0)
    expect(member('imposed/B')?.lines).toEqual([])
    expect(member('permanent/build-ups')?.total).toBeCloseTo(24_000, 6)
    const takers = (caseId: string) =>
      ask(state, { kind: 'panel', expandedId: panel, caseId })
        ?.takers.map(({ force }) => Math.round(force))
        .sort((a, b) => a - b)
    expect(takers('imposed/B')).toEqual([36_000, 36_000])
    expect(takers('permanent/build-ups')).toEqual([12_000, 12_000, 24_000])
    const floor = ask(state, { kind: 'floor', levelId: top.id, caseId: 'imposed/B' })
    expect(floor?.beams.find(({ expandedId }) => expandedId === middle)?.lines).toEqual([])
    expect(floor?.columns.map(({ force }) => Math.round(force)).sort((a, b) => a - b)).toEqual([
      0, 0, 18_000, 18_000, 18_000, 18_000,
    ])
    const sums = memberLoadSums(state)
    expect([sums['imposed/B'], sums['permanent/build-ups']]).toEqual([
      expect.closeTo(72_000, 6),
      expect.closeTo(48_000, 6),
    ])
    expect(ask(state, { kind: 'why', address: `taker:${middle}:${panel.split('@')[0] ?? ''}:imposed/B` })).toBeNull()
    expect(equilibriumResidual(state)).toBeLessThan(1e-12)
  })

  test('where nobody is left, the load of that action is named, and of that alone', () => {
    const { building, layout } = spared(['imposed'])
    for (const record of building.records)
      if (record.kind === 'member' && record.role === 'beam' && record.layout === layout.id)
        building.records.splice(building.records.indexOf(record), 1, { ...record, sparedActions: ['imposed'] })
    const state = building.state()
    const [lost, ...more] = concernsOf(state).filter(({ code }) => code === 'load.not-carried')
    expect(lost?.data).toMatchObject({ case: 'imposed/B', force: expect.closeTo(72_000, 6) as number })
    expect(more).toEqual([])
  })

  test('law: a case sees the members that spare its action as taking none, and no others', () => {
    holds(
      fc.property(fc.integer({ min: 0, max: 100_000 }), (seed) => {
        const document = randomBuilding(seed)
        const rewritten = (change: (member: Member, i: number) => Partial<Member>) =>
          deriveProject(
            new Memo(),
            documentOf(
              [...document.records.values()].map((record, i) =>
                record.kind === 'member' && record.role !== 'column' && i % 3 === 0
                  ? { ...record, ...change(record, i) }
                  : record,
              ),
            ),
          )
        const [plain, none, some] = [
          rewritten(() => ({})),
          rewritten(() => ({ takesLoad: false })),
          rewritten(() => ({ sparedActions: ['imposed', 'roof'] })),
        ]
        for (const [at, floor] of some.floors.entries())
          for (const caseId of some.caseIds) {
            const wanted = /^(imposed|roof)/.test(caseId) ? none : plain
            const read = readCase(some, caseId)
            const [own, other] = [floor.rundown, wanted.floors[at]?.rundown]
            for (const block of ['reactions', 'beamTotals', 'feet', 'notCarried'] as const)
              for (let row = 0; row < own[block].length / own.columns; row++)
                expect(read(own[block], row)).toBeCloseTo(other ? read(other[block], row) : NaN, 5)
          }
      }),
      { numRuns: 40 },
    )
  })
})
