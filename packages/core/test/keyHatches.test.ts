import { sameHatches } from '../src/concerns/hatches'
import { hatches } from '../src/document/loadKeyKind'
import type { LoadKey } from '../src/document/recordKinds'
import { Building } from './build'
import { givenHatch } from '../src/editing/keyHatches'

test('eight keys have a hatch each; more share them, and their codes tell them apart', () => {
  const building = new Building()
  const keys: LoadKey[] = []
  for (let i = 0; i < 20; i++) keys.push(building.key(1000, givenHatch(keys)))
  expect(keys.slice(0, 8).map(({ hatch }) => hatch)).toEqual(hatches)
  expect(new Set(keys.map(({ code }) => code)).size).toBe(20)
  expect(sameHatches(building.state())).toEqual([])
})

test('a key of an earlier file has none, and is told apart by its place on the plan', () => {
  const building = new Building()
  const old = building.key(1000)
  expect(old).toMatchObject({ hatch: null, code: '' })
  expect(givenHatch([old])).toEqual({ hatch: 'rising', code: 'K1' })
})
