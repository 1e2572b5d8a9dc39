import { simplePanel } from '../document/blanks'
import fc from 'fast-check'
import { holds } from '../../test/holds'
import { rectangle } from '../../test/shapes'
import type { OpeningShape, PanelShape, PatchShape } from '../document/shapes'
import { regionArea, type Ring } from '../geometry/polygon'
import { planPanel, stripOutline, type PanelPlan } from './panelRegions'

const panel: PanelShape = {
  id: 'panel:0000000000000001',
  layout: 'layout:0000000000000001',
  outline: rectangle(0, 0, 6, 4),
  spanAngle: 0,
  ...simplePanel,
}
const opening = (outline: Ring): OpeningShape => ({ id: 'opening:0000000000000001', outline })
const patch = (n: number, outline: Ring, mode: PatchShape['mode'], order = n): PatchShape => ({
  id: `patch:000000000000000${n}`,
  outline,
  mode,
  order,
})
const areas = ({ regions }: PanelPlan) =>
  Object.fromEntries(
    regions.map(({ patchId, region, base }) => [
      `${patchId?.slice(-1) ?? 'default'}${base ? '' : ' on top'}`,
      Number(regionArea(region).toFixed(6)),
    ]),
  )

test('without patches the whole net area is of the default', () => {
  expect(areas(planPanel(panel, [], []))).toEqual({ default: 24 })
  expect(areas(planPanel(panel, [opening(rectangle(1, 1, 3, 2))], []))).toEqual({ default: 22 })
})

test('*instead of* takes the area away from what is below, *on top of* leaves it there', () => {
  const plan = planPanel(
    panel,
    [],
    [patch(1, rectangle(4, 0, 6, 4), 'insteadOf'), patch(2, rectangle(3, 0, 5, 4), 'onTopOf')],
  )
  expect(areas(plan)).toEqual({ default: 16, '1': 8, '2 on top': 8 })
})

test('a later patch wins; order counts, not the order of records; equal orders go by id', () => {
  const [a, b] = [patch(1, rectangle(0, 0, 4, 4), 'insteadOf'), patch(2, rectangle(2, 0, 6, 4), 'insteadOf')]
  expect(areas(planPanel(panel, [], [b, a]))).toEqual({ '1': 8, '2': 16 })
  expect(areas(planPanel(panel, [], [{ ...a, order: 5 }, b]))).toEqual({ '1': 16, '2': 8 })
  expect(areas(planPanel(panel, [], [{ ...b, order: 1 }, a]))).toEqual({ '1': 8, '2': 16 })
})

test('*instead of* covers what lay on top before it as well', () => {
  const plan = planPanel(
    panel,
    [],
    [patch(1, rectangle(0, 0, 4, 4), 'onTopOf'), patch(2, rectangle(2, 0, 6, 4), 'insteadOf')],
  )
  expect(areas(plan)).toEqual({ default: 8, '1 on top': 8, '2': 16 })
})

test('patches and openings reach over the edge, lie apart, or run the other way round', () => {
  const clockwise = [...rectangle(5, 3, 9, 9)].reverse()
  expect(areas(planPanel(panel, [opening(clockwise)], [patch(1, rectangle(7, 0, 9, 9), 'insteadOf')]))).toEqual({
    default: 23,
  })
  expect(
    areas(planPanel({ ...panel, outline: [...panel.outline].reverse() }, [], [patch(1, clockwise, 'insteadOf')])),
  ).toEqual({
    default: 23,
    '1': 1,
  })
})

test('a patch over an opening carries nothing there; one within an opening is not there', () => {
  const plan = planPanel(panel, [opening(rectangle(1, 1, 3, 3))], [patch(1, rectangle(0, 0, 3, 4), 'insteadOf')])
  expect(areas(plan)).toEqual({ default: 12, '1': 8 })
  expect(
    areas(planPanel(panel, [opening(rectangle(1, 1, 3, 3))], [patch(1, rectangle(1, 1, 2, 2), 'onTopOf')])),
  ).toEqual({
    default: 20,
  })
})

test('an opening over the whole panel leaves nothing', () => {
  expect(planPanel(panel, [opening(rectangle(-1, -1, 9, 9))], []).regions).toEqual([])
})

test('openings that overlap are cut out once; strips run through them or stop at them', () => {
  const holes = [opening(rectangle(1, 1, 3, 3)), opening(rectangle(2, 2, 4, 3))]
  const plan = planPanel(panel, holes, [])
  expect(areas(plan)).toEqual({ default: 19 })
  expect(regionArea(stripOutline(plan))).toBe(24)
  expect(regionArea(stripOutline(planPanel({ ...panel, openings: 'interrupting' }, holes, [])))).toBeCloseTo(19, 6)
})

test('base regions cover the net area once, whatever the patches', () => {
  const side = fc.double({ min: -1, max: 7, noNaN: true })
  const box = fc
    .tuple(side, side, side, side)
    .map(([a, b, c, d]) => rectangle(Math.min(a, b), Math.min(c, d), Math.max(a, b), Math.max(c, d)))
  const some = fc.array(fc.tuple(box, fc.constantFrom<PatchShape['mode']>('insteadOf', 'onTopOf')), { maxLength: 5 })
  holds(
    fc.property(some, fc.array(box, { maxLength: 2 }), (drawn, holes) => {
      const plan = planPanel(
        panel,
        holes.map(opening),
        drawn.map(([outline, mode], i) => patch(i, outline, mode)),
      )
      const base = plan.regions.filter((entry) => entry.base).reduce((sum, { region }) => sum + regionArea(region), 0)
      expect(Math.abs(base - regionArea(plan.net))).toBeLessThan(2e-3)
    }),
    { numRuns: 80 },
  )
})
