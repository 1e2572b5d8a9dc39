import fc from 'fast-check'
import { holds } from './holds'
import { documentOf, type Document } from '../src/document/document'
import { isUpright } from '../src/document/roles'
import type { Panel } from '../src/document/recordKinds'
import { isDrawn, pointsOf, withPoints } from '../src/editing/shaped'
import type { Point } from '../src/geometry/point'
import { ask } from '../src/queries/derive'
import { randomBuilding } from './randomBuilding'
import { turned } from './shapes'
import { changed, expectSameFeet, stateOf } from './feet'

const seeds = fc.nat(1_000_000)
const turnedAngles = ({ spanAngle, sparedAngle }: Panel, turn: (angle: number) => number) => ({
  spanAngle: turn(spanAngle),
  sparedAngle: sparedAngle === null ? null : turn(sparedAngle),
})

describe('what must not matter does not', () => {
  test('the order in which records came: the same bytes', () => {
    holds(
      fc.property(seeds, fc.nat(), (seed, cut) => {
        const document = randomBuilding(seed)
        const records = [...document.records.values()]
        const at = cut % records.length
        const other = documentOf([...records.slice(at), ...records.slice(0, at)].reverse())
        const bytes = (doc: Document) => JSON.stringify(ask(stateOf(doc), { kind: 'results', only: null }))
        expect(bytes(other)).toBe(bytes(document))
      }),
      { numRuns: 14 },
    )
  })

  test('turning the whole building', () => {
    holds(
      fc.property(seeds, fc.double({ min: -3, max: 3, noNaN: true }), (seed, angle) => {
        const document = randomBuilding(seed)
        const turn = turned(angle, [3, 2])
        const after = changed(document, (record) => {
          if (!isDrawn(record)) return record
          const drawn = withPoints(record, pointsOf(record).map(turn))
          if (drawn.kind === 'slope') return { ...drawn, uphill: drawn.uphill + angle }
          if (drawn.kind === 'areaLoad') return { ...drawn, angle: drawn.angle + angle }
          return drawn.kind === 'panel' ? { ...drawn, ...turnedAngles(drawn, (a) => a + angle) } : drawn
        })
        expectSameFeet(stateOf(document), stateOf(after))
      }),
      { numRuns: 14 },
    )
  })

  test('moving it to a place on a national grid, where half of the digits of a coordinate are gone', () => {
    holds(
      fc.property(seeds, (seed) => {
        const document = randomBuilding(seed)
        const move = ([x, y]: Point): Point => [x + 530_123.4, y + 180_456.7]
        const after = changed(document, (record) =>
          isDrawn(record) ? withPoints(record, pointsOf(record).map(move)) : record,
        )
        expectSameFeet(stateOf(document), stateOf(after))
      }),
      { examples: [[41], [53], [29]], numRuns: 14 },
    )
  })

  test('mirroring it, and drawing every outline, beam and wall the other way round', () => {
    holds(
      fc.property(seeds, (seed) => {
        const document = randomBuilding(seed)
        const mirror = ([x, y]: Point): Point => [-x, y]
        const after = changed(document, (record) => {
          if (!isDrawn(record)) return record
          const mirrored = pointsOf(record).map(mirror)
          // the diagonals of a truss fall from its start: drawn the other way round it is another truss
          // and a column rakes from its own level to its other end
          if (record.kind === 'member' && (record.truss || isUpright(record.role))) return withPoints(record, mirrored)
          const drawn = withPoints(record, mirrored.reverse())
          if (drawn.kind === 'panel') return { ...drawn, ...turnedAngles(drawn, (a) => Math.PI - a) }
          if (drawn.kind === 'slope') return { ...drawn, uphill: Math.PI - drawn.uphill }
          if (drawn.kind === 'areaLoad') return { ...drawn, angle: Math.PI - drawn.angle }
          if (drawn.kind === 'lineLoad' && drawn.endValue !== null)
            return { ...drawn, value: drawn.endValue, endValue: drawn.value }
          if (drawn.kind === 'strut') return { ...drawn, startHeight: drawn.endHeight, endHeight: drawn.startHeight }
          if (drawn.kind === 'member')
            return { ...drawn, startRelease: drawn.endRelease, endRelease: drawn.startRelease }
          return drawn
        })
        // pieces are joined from one end to within a thousandth of the peak: short spans of a beam feel from which
        expectSameFeet(stateOf(document), stateOf(after), () => 1, true, 2e-5)
      }),
      { examples: [[33], [442441], [999994], [820533], [999982], [149935], [454204]], numRuns: 14 },
    )
  })
})
