import { concernsOf } from '../src/concerns/concernsOf'
import { rulesOf, structuresOf } from '../src/derivation/structures'
import type { Basis } from '../src/document/recordKinds'
import { ask } from '../src/queries/derive'
import { Building, pressure } from './build'
import { rectangle } from './shapes'

/** A floor of 6 by 4 m with 3 kN/m², a permanent load on it, and storey forces of wind where they are wanted. */
function floor(family: Basis['family'], hasWind: boolean, use: string) {
  const building = new Building({ family, basicWindVelocity: null })
  const [, top] = [building.level('Base', 0), building.level('1', 3)]
  const layout = building.layout('Floor', building.key(3000, { use }), top)
  const corners = rectangle(0, 0, 6, 4)
  corners.forEach((at, i) => {
    building.column(layout, at)
    building.beam(layout, at, corners[(i + 1) % 4] ?? at)
  })
  building.panel(layout, corners)
  building.areaLoad(layout, corners, 2000)
  if (hasWind)
    building.wallSurface(
      layout,
      [
        [0, 0],
        [6, 0],
      ],
      { pressures: [pressure(500, 500, { nature: 'wind', from: 'south' })] },
    )
  return building.state()
}

test.each([
  ['ASCE', 'offices', ['lrfd-1', 'lrfd-2', 'lrfd-3', 'asd-1', 'asd-2', 'asd-3', 'asd-4']],
  ['IS', 'offices', ['concrete-1', 'concrete-4', 'steel-1', 'steel-5']],
  ['BS', 'B-offices', ['ultimate-1', 'service-1']],
] as const)('%s without wind: the rows that do not name it as the action they are made for', (family, use, wanted) => {
  const without = floor(family, false, use)
  expect(structuresOf(without).map(({ rule }) => rule.id)).toEqual(wanted)
  const views = ask(without, { kind: 'rules', list: null })
  expect(views.filter(({ waitsFor }) => waitsFor === 'wind').map(({ count }) => count)).toEqual(
    rulesOf(without)
      .slice(wanted.length)
      .map(() => '0'),
  )
  // and with it all of them
  expect(structuresOf(floor(family, true, use))).toHaveLength(rulesOf(without).length)
})

test('the least of a column without wind is by 1.2 D, not by the 0.9 D that goes with wind', () => {
  const state = floor('ASCE', false, 'offices')
  const rows = ask(state, { kind: 'envelopes', set: 'strength', effects: 'columnForce' })
  // hand: 12 kN of dead load to each column
  for (const { least } of rows) expect(least).toBeCloseTo(1.2 * 12_000, 6)
  expect(concernsOf(state).map(({ code }) => code)).not.toContain('support.lifted')
})
