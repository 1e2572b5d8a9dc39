import { effectsOf } from '../src/derivation/effects'
import { invariantProblems } from '../src/document/invariants'
import { documentOf } from '../src/document/document'
import { expanded } from '../src/document/labels'
import type { Basis, ReductionRegion } from '../src/document/recordKinds'
import { ask } from '../src/queries/derive'
import { bay, oneStorey } from './build'
import { rectangle, turned } from './shapes'

const imposed = 'imposed/B'
const near = (value: number) => expect.closeTo(value, 6) as number

type Way = Partial<Pick<ReductionRegion, 'slabs' | 'slabFactor' | 'beams' | 'beamFactor'>>

/** A bay of 12 by 8 m of offices at 3 kN/m², with a region over its west half. */
function half(way: Way = {}, basis: Partial<Omit<Basis, 'id' | 'kind'>> = {}) {
  const site = oneStorey(3000, basis)
  const members = bay(site, 12, 8)
  const region = site.building.reductionRegion(site.layout, rectangle(0, 0, 6, 8), way)
  return { ...site, ...members, region }
}

/** A bay of 18 by 8 m of offices by ASCE 7 that spans 8 m. */
function wideBay(sharing: 'oneWay' | 'twoWay') {
  const site = oneStorey(3000, { family: 'ASCE' })
  const { panel } = bay(site, 18, 8)
  const records = site.building.records.map((one) => {
    if (one.kind === 'loadKey') return { ...one, use: 'offices' }
    return one.id === panel.id ? { ...one, sharing } : one
  })
  site.building.records.splice(0, site.building.records.length, ...(records as typeof site.building.records))
  return site
}

describe('slabs by regions', () => {
  test('hand: for the floor of the region, openings left out: 0.5 + 10/44 of 3 kN/m² on 44 m²', () => {
    const { building, layout, region, top } = half()
    building.opening(layout, rectangle(2, 2, 4, 4))
    const state = building.state()
    // EN 1991-1-1 (6.1) with psi_0 = 0.7 (table A1.1 of EN 1990), A_0 = 10 m²; all from memory
    const factor = (5 / 7) * 0.7 + 10 / 44
    const expandedId = expanded(region.id, top.id)
    expect(ask(state, { kind: 'slabReductions', caseId: imposed })).toEqual([
      {
        expandedId,
        label: region.label,
        levelName: 'Top',
        area: near(44),
        factor: near(factor),
        whole: near(132_000),
        reduced: near(132_000 * factor),
      },
    ])
    expect(ask(state, { kind: 'why', address: `slabReduction:${expandedId}:${imposed}` })?.value).toBeCloseTo(factor, 9)
    expect(ask(state, { kind: 'slabReductions', caseId: 'permanent/self-weight' })).toEqual([])
  })

  test('floor that may not be reduced does not count, load on top of other load brings no area', () => {
    const { building, layout } = half()
    building.patch(layout, building.key(7500, { use: 'E1' }), rectangle(0, 0, 2, 8))
    building.patch(layout, building.key(1000), rectangle(2, 0, 4, 8), { mode: 'onTopOf' })
    const [row] = ask(building.state(), { kind: 'slabReductions', caseId: imposed })
    // 4 · 8 m² of offices, with 1 kN/m² more on half of it
    expect(row).toMatchObject({ area: near(32), whole: near(3000 * 32 + 1000 * 16) })
  })

  test('hand: under ASCE 7 a one-way slab counts no wider than 1.5 spans: 96 of the 144 m² of a region', () => {
    const site = wideBay('oneWay')
    const wide = site.building.reductionRegion(site.layout, rectangle(0, 0, 18, 8))
    const state = site.building.state()
    const [row] = ask(state, { kind: 'slabReductions', caseId: 'imposed/L' })
    // 0.25 + 4.572 / √(1 · 1.5 · 8²) instead of √144
    expect(row?.factor).toBeCloseTo(0.25 + 4.572 / Math.sqrt(96), 9)
    const why = ask(state, { kind: 'why', address: `slabReduction:${expanded(wide.id, site.top.id)}:imposed/L` })
    expect(why?.basis).toMatchObject({ kind: 'formula', inputs: { A_T: { basis: { clause: 'ASCE 7 4.7.6' } } } })
  })

  test('a two-way slab counts whole, and so does a narrow region', () => {
    const factorOf = (sharing: 'oneWay' | 'twoWay', x: number) => {
      const site = wideBay(sharing)
      site.building.reductionRegion(site.layout, rectangle(0, 0, x, 8))
      return ask(site.building.state(), { kind: 'slabReductions', caseId: 'imposed/L' })[0]?.factor
    }
    expect(factorOf('twoWay', 18)).toBeCloseTo(0.25 + 4.572 / Math.sqrt(144), 9)
    expect(factorOf('oneWay', 10)).toBeCloseTo(0.25 + 4.572 / Math.sqrt(80), 9)
  })

  test('by a typed factor, or not at all', () => {
    const rowsOf = (way: Way) => ask(half(way).building.state(), { kind: 'slabReductions', caseId: imposed })
    expect(rowsOf({ slabs: 'typed', slabFactor: 0.8 })).toMatchObject([{ factor: 0.8, reduced: near(0.8 * 144_000) }])
    expect(rowsOf({ slabs: 'whole' })).toEqual([])
  })

  test('turning the building changes nothing', () => {
    const turn = turned(0.7, [3, -2])
    const { building } = half()
    const records = building.records.map((record) => {
      if ('path' in record && record.kind !== 'gridLine') return { ...record, path: record.path.map(turn) }
      return 'outline' in record ? { ...record, outline: record.outline.map(turn) } : record
    })
    const moved = building.state()
    building.records.splice(0, building.records.length, ...(records as typeof building.records))
    const [before] = ask(moved, { kind: 'slabReductions', caseId: imposed })
    const [after] = ask(building.state(), { kind: 'slabReductions', caseId: imposed })
    // clipping rounds corners to a ten-millionth of a metre
    expect(after?.area).toBeCloseTo(before?.area ?? NaN, 4)
    expect(after?.factor).toBeCloseTo(before?.factor ?? NaN, 6)
  })
})

describe('beams by regions', () => {
  const reductionOf = (way: Way, member: 'west' | 'east') => {
    const made = half(way)
    // across the span, so that both ends of the bay bear
    const records = made.building.records.map((record) =>
      record.kind === 'panel' ? { ...record, spanAngle: 0 } : record,
    )
    made.building.records.splice(0, made.building.records.length, ...records)
    const expandedId = expanded(made[member].id, made.top.id)
    return ask(made.building.state(), { kind: 'member', expandedId, caseId: imposed })?.reduction
  }

  test('hand: by a typed factor in the region, for what it supports outside', () => {
    // 6 m of 12 · 8 m² at each end: 144 kN
    expect(reductionOf({ beams: 'typed', beamFactor: 0.6 }, 'west')).toMatchObject({
      byArea: 0.6,
      total: near(0.6 * 144_000),
    })
    const usual = 0.5 + 10 / 48
    expect(reductionOf({ beams: 'typed', beamFactor: 0.6 }, 'east')).toMatchObject({ byArea: near(usual) })
    expect(reductionOf({}, 'west')).toMatchObject({ byArea: near(usual), total: near(usual * 144_000) })
    expect(reductionOf({ beams: 'whole' }, 'west')).toMatchObject({ byArea: 1, total: near(144_000) })
  })

  test('of several regions the smallest holds', () => {
    const { building, layout, west, top } = half({ beams: 'typed', beamFactor: 0.6 })
    building.reductionRegion(layout, rectangle(-1, -1, 20, 20), { beams: 'typed', beamFactor: 0.9 })
    building.reductionRegion(layout, rectangle(-1, 3, 1, 5), { beams: 'typed', beamFactor: 0.7 })
    const records = building.records.map((record) => (record.kind === 'panel' ? { ...record, spanAngle: 0 } : record))
    building.records.splice(0, building.records.length, ...records)
    const expandedId = expanded(west.id, top.id)
    expect(ask(building.state(), { kind: 'member', expandedId, caseId: imposed })?.reduction?.byArea).toBe(0.7)
  })

  test('combinations take it where the project has them reduced', () => {
    const { building, south, top } = half({ beams: 'typed', beamFactor: 0.6 }, { reductions: 'everywhere' })
    building.reductionRegion(
      building.records.find((record) => record.kind === 'layout') as never,
      rectangle(5, -1, 7, 1),
      {
        beams: 'typed',
        beamFactor: 0.5,
      },
    )
    const state = building.state()
    const effect = effectsOf(state, 'beamTotal').find(({ expandedId }) => expandedId === expanded(south.id, top.id))
    const at = state.caseIds.indexOf(imposed)
    expect(effect?.values[at]).toBeCloseTo(144_000, 6)
    expect(effect?.combined(at, null)).toBeCloseTo(72_000, 6)
  })
})

test('a factor that is to be typed is there', () => {
  const { building } = half({ slabs: 'typed', beams: 'typed' })
  expect(invariantProblems(documentOf(building.records)).map(({ problem }) => problem)).toEqual([
    'The factor is missing.',
    'The factor is missing.',
  ])
})
