import { readCase } from '../../derivation/cells'
import { floorAt, floorSeen } from '../../derivation/floorQueries'
import type { FloorState } from '../../derivation/floorStates'
import type { ProjectState } from '../../derivation/project'
import { labelOf, panelOf, splitExpanded } from '../../document/labels'
import { regionArea } from '../../geometry/polygon'
import type { RegionSource } from '../../rundown/sources'
import { sharingNames } from '../../wording/sharingNames'
import { given, tracedSum, type Traced, type TracedTerm } from '../../trace/traced'
import { areaLoadsOn, forcesOn } from '../areaLoadsOnPanel'
import { loadedRegions, type LoadedRegion } from '../panelView'
import { sourceAddress } from '../pathRows'
import { areaForce, type Why } from './landing'
import { splitCase } from './sums'

interface OfPanel {
  readonly floor: FloorState
  readonly regions: readonly LoadedRegion[]
  readonly caseId: string
  readonly panelId: string
}

/** `…PANEL@LEVEL:CASE` */
function ofPanel(state: ProjectState, rest: string): OfPanel | null {
  const [expandedId, caseId] = splitCase(rest)
  const [panelId, levelId] = splitExpanded(expandedId)
  const floor = floorSeen(state, levelId, caseId)
  if (!floor || !state.caseIds.includes(caseId)) return null
  const regions = loadedRegions(state, floor, panelId, caseId)
  return regions.length === 0 ? null : { floor, regions, caseId, panelId }
}

const nameOf = (state: ProjectState, { region }: RegionSource): string =>
  region.patchId ? `patch ${labelOf(state.document, region.patchId)}` : 'default'

/** `panel:PANEL@LEVEL:CASE`: what stands on a panel, region by region. */
export function panelSum(state: ProjectState, rest: string): Traced | null {
  const found = ofPanel(state, rest)
  if (!found) return null
  const { floor, regions, caseId, panelId } = found
  const terms = regions.map(({ source, row, intensity }): TracedTerm => ({
    label: nameOf(state, source),
    value: intensity * source.share.applied,
    address: `region:${floor.level.id}:${row}:${caseId}`,
  }))
  return tracedSum('F', 'force', 'sum of the regions of the panel and of the area loads on it', [
    ...terms,
    ...areaLoadsOn(state, floor, panelId, caseId).map(({ label, force, address }): TracedTerm => ({
      label: `area load ${label}`,
      value: force,
      address,
    })),
  ])
}

/** `region:LEVEL:ROW:CASE`: one region of a panel, pressure by area. */
export function regionForce(state: ProjectState, rest: string, why: Why): Traced | null {
  const [where, caseId] = splitCase(rest)
  const [levelId, row] = splitCase(where)
  const floor = floorAt(state, levelId)
  const source = floor?.operator.plan.sources[Number(row)]
  if (!floor || source?.kind !== 'region' || !state.caseIds.includes(caseId)) return null
  const intensity = readCase(state, caseId)(floor.intensities, Number(row))
  const address = intensity === 0 ? null : sourceAddress(state, source, caseId, levelId)
  const traced = (address && why(state, address)) || given('q', 'pressure', intensity, 'no load in this case')
  return areaForce({
    q: { ...traced, quantity: 'pressure', value: intensity },
    A: given('A', 'area', source.share.applied, 'area of the region on the panel, excluding openings'),
  })
}

/** `panelArea:PANEL@LEVEL`: the outline excluding openings. */
export function panelArea(state: ProjectState, expandedId: string): Traced | null {
  const [id, levelId] = splitExpanded(expandedId)
  const plan = floorAt(state, levelId)?.operator.plan.panels.find(({ panel }) => panel.id === id)
  if (!plan) return null
  const gross = regionArea(plan.outline)
  const open = gross - regionArea(plan.net)
  const openings = open > 1e-9 ? [{ label: 'openings', value: -open }] : []
  return tracedSum('A', 'area', 'from the drawing', [{ label: 'outline', value: gross }, ...openings])
}

const ruleOf = (state: ProjectState, panelId: string): string => {
  const panel = panelOf(state.document, panelId)
  return panel ? sharingNames[panel.sharing] : ''
}

/** `taker:BEAM@LEVEL:PANEL:CASE`: what a beam takes of a panel, region by region. */
export function takerSum(state: ProjectState, rest: string): Traced | null {
  const [where, caseId] = splitCase(rest)
  const at = where.indexOf('@')
  const split = where.lastIndexOf(':panel:')
  if (at < 0 || split < at) return null
  const [expandedId, panelId] = [where.slice(0, split), where.slice(split + 1)]
  const [beamId, levelId] = splitExpanded(expandedId)
  const found = ofPanel(state, `${panelId}@${levelId}:${caseId}`)
  if (!found) return null
  const { floor, regions } = found
  const beam = floor.operator.plan.frame.beams.findIndex(({ member }) => member.id === beamId)
  const { start, index, value } = floor.operator.toBeams
  const terms = regions.flatMap(({ source, row, intensity }): readonly TracedTerm[] => {
    for (let e = start[row] ?? 0; e < (start[row + 1] ?? 0); e++)
      if (index[e] === beam)
        return [
          {
            label: nameOf(state, source),
            value: intensity * (value[e] ?? 0),
            address: `landing:${expandedId}:${row}:${caseId}`,
          },
        ]
    return []
  })
  const typed = areaLoadsOn(state, floor, panelId, caseId).flatMap(({ label, shares, address }): TracedTerm[] => {
    const force = forcesOn(shares).get(beamId)
    return force === undefined ? [] : [{ label: `area load ${label}`, value: force, address }]
  })
  const all = [...terms, ...typed]
  return all.length === 0 ? null : tracedSum('F', 'force', ruleOf(state, panelId), all)
}

/** `panelLost:PANEL@LEVEL:CASE`: what of a panel reaches nothing. */
export function panelLost(state: ProjectState, rest: string): Traced | null {
  const found = ofPanel(state, rest)
  if (!found) return null
  const { floor, regions, caseId, panelId } = found
  const terms = regions.map(({ source, row, intensity }): TracedTerm => {
    const area = floor.operator.notCarried[row] ?? 0
    return {
      label: nameOf(state, source),
      value: intensity * area,
      factors: [
        { value: intensity, quantity: 'pressure' },
        { value: area, quantity: 'area' },
      ],
    }
  })
  const typed = areaLoadsOn(state, floor, panelId, caseId).flatMap(({ label, shares, address }): TracedTerm[] => {
    const lost = shares.reduce((sum, { notCarried }) => sum + notCarried, 0)
    return lost === 0 ? [] : [{ label: `area load ${label}`, value: lost, address }]
  })
  return tracedSum('F', 'force', 'load without support', [...terms, ...typed])
}
