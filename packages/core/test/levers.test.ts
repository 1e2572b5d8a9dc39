import { expanded } from '../src/document/labels'
import { ask } from '../src/queries/derive'
import { metricPoint } from '../src/units/format'
import { traceLines } from '../src/wording/traceText'
import { bay, oneStorey } from './build'
import { rectangle } from './shapes'

const caseId = 'permanent/typed'

/** The trace of what a load puts on a beam, as text. */
function traceOf(site: ReturnType<typeof oneStorey>, beam: string): string {
  const state = site.building.state()
  const expandedId = expanded(beam, site.top.id)
  const view = ask(state, { kind: 'member', expandedId, caseId })
  const address = view?.lands.find(({ kind }) => kind === 'line' || kind === 'point')?.address ?? ''
  const traced = ask(state, { kind: 'why', address })
  return traced ? traceLines(traced, metricPoint).join('\n') : 'nothing'
}

/** Two beams of 6 m, 5 m apart, under a panel that stands out by 2 m beyond the first. */
function overhanging() {
  const site = oneStorey(0)
  const frame = bay(site, 6, 5)
  site.building.panel(site.layout, rectangle(0, -2, 6, 0))
  return { site, ...frame }
}

// common practice: the lever rule
describe('the trace of a load beside a beam writes out its lever', () => {
  test('2.00 kN/m at 4 of 5 m: 4/5 to the nearer beam and 1/5 to the other', () => {
    const { site, north, south } = overhanging()
    site.building.lineLoad(
      site.layout,
      [
        [0, 4],
        [6, 4],
      ],
      2000,
    )
    expect(traceOf(site, north.id)).toContain(
      'l = L · a / b = 6.00 · 4.00 / 5.00 = 4.80 m   (lever rule between two beams)',
    )
    expect(traceOf(site, south.id)).toContain('6.00 · 1.00 / 5.00 = 1.20 m')
  })

  test('a force at 1 of 5 m from the beam', () => {
    const { site, south } = overhanging()
    site.building.pointLoad(site.layout, [2, 1], 10_000)
    expect(traceOf(site, south.id)).toContain('η = a / b = 4.00 / 5.00 = 0.80   (lever rule')
  })

  test('on a beam itself all of it lands, without a lever', () => {
    const { site, south } = overhanging()
    site.building.lineLoad(
      site.layout,
      [
        [0, 0],
        [6, 0],
      ],
      2000,
    )
    expect(traceOf(site, south.id)).not.toContain('lever')
  })
})

test('at the edge of a slab that stands out the near beam takes more than all and the far one is relieved', () => {
  const site = oneStorey(0)
  const { building, layout } = site
  for (const y of [0, 5]) for (const x of [0, 6]) building.column(layout, [x, y])
  const [near, far] = [0, 5].map((y) => building.beam(layout, [0, y], [6, y]))
  building.panel(layout, rectangle(0, -1, 6, 5))
  building.lineLoad(
    layout,
    [
      [0, -1],
      [6, -1],
    ],
    2000,
  )
  expect(traceOf(site, near?.id ?? '')).toContain('6.00 · 6.00 / 5.00 = 7.20 m')
  expect(traceOf(site, far?.id ?? '')).toMatch(/6\.00 · [−-]1\.00 \/ 5\.00 = [−-]1\.20 m/)
})
