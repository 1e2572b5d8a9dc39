import { Building } from '../../test/build'
import { withEdits } from '../document/changes'
import { recordsOf, seededRandom } from '../document/document'
import { invariantProblems } from '../document/invariants'
import { deletionEdits, wallOfLayersEdits, wallTypedEdits } from './wallMake'
import { reachedBy } from './reach'
import { scopesOf } from './scopes'

const random = seededRandom(12)

function walls() {
  const building = new Building()
  const layout = building.layout('Floor')
  const wall = (y: number) =>
    building.wall(
      layout,
      [
        [0, y],
        [6, y],
      ],
      { weight: 2500 },
    )
  const runs = [wall(0), wall(1), wall(2)] as const
  return { document: building.document, runs }
}

test('walls of layers begin with one layer of what was typed, and share it', () => {
  const { document, runs } = walls()
  const next = withEdits(document, wallOfLayersEdits(runs.slice(0, 2), random))
  expect(invariantProblems(next)).toEqual([])
  const [buildUp, ...more] = recordsOf(next, 'buildUp')
  expect(more).toEqual([])
  expect(buildUp?.layers).toMatchObject([{ load: 2500 }])
  const made = recordsOf(next, 'wallRun').filter((run) => run.buildUp === buildUp?.id)
  expect(made.map(({ id }) => id).sort()).toEqual(
    runs
      .slice(0, 2)
      .map(({ id }) => id)
      .sort(),
  )
  expect(wallOfLayersEdits([], random)).toEqual([])
  // an edit of a layer reaches both, and both are alike
  expect(reachedBy(next, buildUp?.id ?? '')).toEqual(made)
  const [first] = made
  if (!first) throw new Error('no wall')
  expect(scopesOf(first, recordsOf(next, 'wallRun'), []).find(({ kind }) => kind === 'alike')?.records).toEqual(made)
})

test('typed again: layers go when the last wall is not made of them any more, and not before', () => {
  const { document, runs } = walls()
  const layered = withEdits(document, wallOfLayersEdits(runs.slice(0, 2), random))
  const [a, b] = recordsOf(layered, 'wallRun').filter(({ buildUp }) => buildUp !== null)
  if (!a || !b) throw new Error('no walls')
  const half = withEdits(layered, wallTypedEdits(layered, [a]))
  expect(recordsOf(half, 'buildUp')).toHaveLength(1)
  const whole = withEdits(half, wallTypedEdits(half, [b]))
  expect(recordsOf(whole, 'buildUp')).toEqual([])
  expect(recordsOf(whole, 'wallRun')).toEqual(recordsOf(document, 'wallRun'))
})

test('deleting a wall takes its own layers with it, and leaves those of a load key', () => {
  const { document, runs } = walls()
  const layered = withEdits(document, wallOfLayersEdits(runs.slice(0, 1), random))
  const own = recordsOf(layered, 'wallRun').filter(({ buildUp }) => buildUp !== null)
  const gone = withEdits(layered, deletionEdits(layered, own))
  expect(recordsOf(gone, 'buildUp')).toEqual([])
  expect(recordsOf(gone, 'wallRun')).toHaveLength(2)
  const building = new Building()
  const shared = building.buildUp([])
  building.key(null, { buildUp: shared.id })
  const run = building.wall(
    building.layout('Floor'),
    [
      [0, 0],
      [1, 0],
    ],
    { buildUp: shared.id },
  )
  expect(recordsOf(withEdits(building.document, deletionEdits(building.document, [run])), 'buildUp')).toEqual([shared])
})
