import { readCase } from '../../derivation/cells'
import { lengthOfColumn } from '../../derivation/columnExtents'
import { floorIn, placeOf } from '../../derivation/floorQueries'
import type { ProjectState } from '../../derivation/project'
import { formula } from '../../trace/formula'
import { given, type Traced } from '../../trace/traced'
import { rowSum } from '../../rundown/operator'
import type { AreaSource, LineSource, PointSource, RegionSource, Source } from '../../rundown/sources'
import type { SharingRule } from '../../sharing/sharer'
import { sourceAddress } from '../pathRows'
import { sharedLine, sharedPoint, type Landed } from './lever'
import { splitCase } from './sums'

export const areaForce = formula({
  symbol: 'F',
  quantity: 'force',
  clause: 'sharing rule of the panel',
  inputs: { q: 'pressure', A: 'area' },
  expression: 'q * A',
  evaluate: ({ q, A }) => q * A,
})

export const lineForce = formula({
  symbol: 'F',
  quantity: 'force',
  clause: 'common practice',
  inputs: { q: 'lineLoad', l: 'length' },
  expression: 'q * l',
  evaluate: ({ q, l }) => q * l,
})

export const pointForce = formula({
  symbol: 'F',
  quantity: 'force',
  clause: 'sharing rule of the panel',
  inputs: { F: 'force', eta: 'factor' },
  expression: 'F * eta',
  evaluate: ({ F, eta }) => F * eta,
})

const lengthOf = {
  wall: 'length of wall on the beam',
  line: 'length of the load on the beam',
  stair: 'width of the flight on the beam',
  beam: 'length of the beam',
  strut: 'half at each end',
}

const partOfArea: Readonly<Record<SharingRule, string>> = {
  oneWay: 'area times lever ratio',
  twoWay: 'area nearest to it',
  surrounding: 'area nearest to it among the surrounding beams',
  even: 'area in proportion to its length',
  corners: 'area assigned to its corners',
  stiffness: 'area from the stiffness of plate and beams',
}

/** What of a load that varies one of its values stands for. */
function ofVarying({ load, end }: LineSource | AreaSource, what: string): string {
  if (!load.varies) return what
  return end === 0 ? `${what}, decreasing to zero at the end` : `${what}, increasing from zero`
}

export type Why = (state: ProjectState, address: string) => Traced | null

/** `landing:BEAM@LEVEL:SOURCE:CASE`: the force that one source puts on a beam, with the trace of its intensity. */
export function landing(state: ProjectState, rest: string, why: Why): Traced | null {
  const [where, caseId] = splitCase(rest)
  const [expandedId, index] = splitCase(where)
  const place = placeOf(state, expandedId, 'beams')
  const row = Number(index)
  const source = place?.floor.operator.plan.sources[row]
  if (!place || !source || !state.caseIds.includes(caseId)) return null
  const intensity = readCase(state, caseId)(place.floor.intensities, row)
  const address = sourceAddress(state, source, caseId, place.floor.level.id)
  const traced = (address && why(state, address)) || given('q', 'pressure', intensity, 'nothing')
  const { operator } = floorIn(place.floor, caseId)
  const part = rowSum(operator.toBeams, row, place.row)
  return forceOf(source, { document: state.document, operator, row, beam: place.row, part }, traced, intensity)
}

/** The force of a load from its intensity and the part of it that lands. */
function forceOf(source: Source, landed: Landed, traced: Traced, intensity: number): Traced {
  const { part } = landed
  switch (source.kind) {
    case 'region':
    case 'area':
      return areaForce({
        q: { ...traced, quantity: 'pressure', value: intensity },
        A: given(
          'A',
          'area',
          part,
          source.kind === 'area' ? ofVarying(source, 'area') : partOfArea[source.panel.panel.sharing],
        ),
      })
    case 'point':
      return pointForce({
        F: { ...traced, quantity: 'force', value: intensity },
        eta:
          sharedPoint(landed, source) ?? given('η', 'factor', part, 'share from the sharing rule of the panel below'),
      })
    default:
      return lineForce({ q: { ...traced, quantity: 'lineLoad', value: intensity }, l: lengthOn(source, landed) })
  }
}

/** How much of a line load lands. */
function lengthOn(source: Exclude<Source, RegionSource | AreaSource | PointSource>, landed: Landed): Traced<'length'> {
  const shared = source.kind === 'line' || source.kind === 'wall' ? sharedLine(landed, source) : null
  if (shared) return shared
  const what = source.kind === 'line' ? ofVarying(source, lengthOf.line) : lengthOf[source.kind]
  return given('l', 'length', landed.part, what)
}

/** `columnWeight:MEMBER@LEVEL`: own weight of one length. */
export function columnWeight(state: ProjectState, expandedId: string, why: Why): Traced | null {
  const place = placeOf(state, expandedId, 'columns')
  const member = place?.floor.operator.plan.frame.columns[place.row]?.member
  const perLength = member && why(state, `beamWeight:${member.id}`)
  if (!place || !perLength) return null
  const l = given('l', 'length', lengthOfColumn(place.floor, place.row), 'from its top down to its support')
  return lineForce({ q: { ...perLength, quantity: 'lineLoad' }, l })
}
