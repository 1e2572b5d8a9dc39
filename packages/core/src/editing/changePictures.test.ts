import { Building } from '../../test/build'
import { metricPoint } from '../units/format'
import { changePictures } from './changePictures'
import { readRepeat } from './repeatText'
import { drawnOf, repeatEdits } from './shaped'

function house() {
  const building = new Building()
  const [, first, second, third] = [0, 3, 6, 9].map((z, i) => building.level(i === 0 ? 'Base' : String(i), z))
  const low = building.layout('Low', null, first)
  const high = building.layout('High', null, second, third)
  const path = [
    [0, 0],
    [6, 0],
  ] as const
  const wall = building.wall(low, path)
  const beam = building.beam(high, [0, 0], [6, 0])
  const there = building.wall(high, [
    [0, 2],
    [6, 2],
  ])
  const same = building.wall(high, path)
  const { document, random } = building
  const picturesOf = (text: string) => {
    const read = readRepeat(text, document, metricPoint)
    if (!read.ok) throw new Error(read.problem)
    return changePictures(document, repeatEdits([wall], read.repeat, drawnOf(document), random))
  }
  return { wall, beam, there, same, picturesOf }
}

const idsOf = (list: readonly { readonly id: string }[]) => list.map(({ id }) => id)

test('a repeat on other levels: what stands at the very place goes, the rest stays', () => {
  const { wall, beam, there, same, picturesOf } = house()
  const [picture, ...more] = picturesOf('levels 2-3')
  expect(more).toEqual([])
  expect(picture).toMatchObject({ layoutName: 'High', levels: ['2', '3'] })
  expect(idsOf(picture?.goes ?? [])).toEqual([same.id])
  expect(picture?.comes.map(({ origin }) => origin)).toEqual([wall.id])
  expect(new Set(idsOf(picture?.stays ?? []))).toEqual(new Set([beam.id, there.id]))
})

test('instead of what is there: all of the same kind goes', () => {
  const { there, same, picturesOf } = house()
  const [picture] = picturesOf('levels 2 instead of what is there')
  expect(new Set(idsOf(picture?.goes ?? []))).toEqual(new Set([there.id, same.id]))
})

test('along: copies come on the layout itself, and the first stays', () => {
  const { wall, picturesOf } = house()
  const [picture] = picturesOf('every 2 m north, 3 times')
  expect(picture).toMatchObject({ layoutName: 'Low', levels: ['1'], goes: [] })
  expect(idsOf(picture?.stays ?? [])).toEqual([wall.id])
  expect(picture?.comes.map((record) => ('path' in record ? record.path[0]?.[1] : null))).toEqual([2, 4, 6])
})
