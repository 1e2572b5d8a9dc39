import fc from 'fast-check'
import { holds } from './holds'
import { balanceOf } from '../src/derivation/balance'
import { readCase } from '../src/derivation/cells'
import { keyShareOf } from '../src/derivation/floorQueries'
import { type Document } from '../src/document/document'
import type { LoadKey } from '../src/document/recordKinds'
import { randomBuilding } from './randomBuilding'
import { changed, expectSameFeet, stateOf } from './feet'

const seeds = fc.nat(1_000_000)

describe('loads scale and add', () => {
  const withImposed = (document: Document, factor: number): Document =>
    changed(document, (record) => {
      if (record.kind === 'loadKey' && record.imposed !== null) return { ...record, imposed: record.imposed * factor }
      const isTyped = record.kind === 'lineLoad' || record.kind === 'pointLoad'
      return isTyped && record.nature === 'imposed' ? { ...record, value: record.value * factor } : record
    })

  test('double the imposed load, double what it does, and nothing else', () => {
    holds(
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
    holds(
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
