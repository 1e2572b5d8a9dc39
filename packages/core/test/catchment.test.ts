import fc from 'fast-check'
import { holds } from './holds'
import { readCase } from '../src/derivation/cells'
import { deriveProject, type ProjectState } from '../src/derivation/project'
import { Memo } from '../src/derivation/memo'
import { expandedAt } from '../src/derivation/floorQueries'
import { documentOf } from '../src/document/document'
import type { Layout, Rec } from '../src/document/recordKinds'
import { ask } from '../src/queries/derive'
import { Building } from './build'
import { randomBuilding } from './randomBuilding'
import { rectangle } from './shapes'

const imposed = 'imposed/B'

const panelsOf = (state: ProjectState, expandedId: string, caseId = imposed): readonly string[] => {
  const view = ask(state, { kind: 'column', expandedId, caseId })
  return [...(view?.feeding.panels ?? [])].sort()
}

describe('the catchment of a column, through the levels', () => {
  test('hand: a transfer beam brings what stands on it, a hanger what hangs from it', () => {
    const building = new Building()
    building.level('Base', 0)
    const levels = [3, 6, 9].map((z, i) => building.level(String(i + 1), z))
    const layouts = levels.map((level) => building.layout(level.name, building.key(1000), level))
    const [low, middle, top] = layouts as [Layout, Layout, Layout]
    const floor = (layout: Layout, x0: number, x1: number) => {
      for (const y of [0, 4]) building.beam(layout, [x0, y], [x1, y])
      return building.panel(layout, rectangle(x0, 0, x1, 4))
    }
    const columns = (layout: Layout, x: number) => [0, 4].map((y) => building.column(layout, [x, y]))
    // the low floor hangs at its east end from the middle one, on whose beams the top one stands
    const hung = floor(low, 2, 6)
    columns(low, 2)
    for (const y of [0, 4]) building.member(low, 'hanger', [[6, y]], { label: `N${y}` })
    const carried = floor(middle, 0, 8)
    const [south] = columns(middle, 0)
    columns(middle, 8)
    const raised = floor(top, 2, 6)
    for (const x of [2, 6]) columns(top, x)
    const state = building.state()
    const at = (index: number, id: string) => `${id}@${levels[index]?.id}`
    expect(panelsOf(state, at(1, south?.id ?? ''))).toEqual(
      [at(0, hung.id), at(1, carried.id), at(2, raised.id)].sort(),
    )
  })

  test('law: load on one panel alone is felt at the base only where the catchment of the column has it', () => {
    holds(
      fc.property(fc.nat(1_000_000), fc.nat(30), (seed, which) => {
        const document = randomBuilding(seed)
        const records = [...document.records.values()]
        const panels = records.filter((record) => record.kind === 'panel')
        const panel = panels[which % Math.max(1, panels.length)]
        if (!panel) return
        // no other load: patches and load keys of layouts go, one patch stays
        const bare = records.flatMap((record): Rec[] => {
          if (['patch', 'stair', 'areaLoad', 'lineLoad', 'pointLoad', 'wallRun'].includes(record.kind)) return []
          return [record.kind === 'layout' ? { ...record, defaultKey: null } : record]
        })
        const builder = new Building({}, 1)
        const key = { ...builder.key(1000), use: 'B' }
        const patch = builder.patch({ id: panel.layout } as Layout, key, panel.outline)
        const state = deriveProject(new Memo(), documentOf([...bare, key, patch]))
        const [bottom] = state.floors
        if (!bottom || !state.caseIds.includes(imposed)) return
        const at = readCase(state, imposed)
        const loaded = state.floors.flatMap((floor) =>
          floor.operator.plan.sources.flatMap((source, row) =>
            source.kind === 'region' && at(floor.intensities, row) !== 0
              ? [expandedAt(floor, source.panel.panel.id)]
              : [],
          ),
        )
        bottom.operator.plan.frame.columns.forEach(({ member }, row) => {
          if (member.role === 'hanger') return
          const force = Math.abs(at(bottom.rundown.feet, row))
          const feeding = panelsOf(state, expandedAt(bottom, member.id))
          if (force > 1) expect(loaded.some((id) => feeding.includes(id))).toBe(true)
        })
      }),
      { numRuns: 25 },
    )
  })
})
