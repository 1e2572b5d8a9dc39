import { lyingIn } from '../building/panelRegions'
import { areaStretch } from '../building/slopes'
import { readCase } from '../derivation/cells'
import type { FloorState } from '../derivation/floorStates'
import { panelGrounds } from '../derivation/panelGrounds'
import type { ProjectState } from '../derivation/project'
import { labelOf } from '../document/labels'
import { intersection, regionOf } from '../geometry/clip'
import { densityAlong } from '../geometry/density'
import { regionArea } from '../geometry/polygon'
import { sliverArea } from '../geometry/tolerance'
import type { AreaSource } from '../rundown/sources'
import { sharerOf } from '../sharing/ground'
import type { Share } from '../sharing/share'

/** What of an area load lies on one panel in a case, shared by the panel's rule; forces in N. */
export interface AreaLoadOnPanel {
  readonly id: string
  readonly label: string
  readonly area: number
  readonly shares: readonly Share[]
  /** N */
  readonly force: number
  readonly address: string
}

/** Area loads that lie on a panel, each with its part there. */
export function areaLoadsOn(
  state: ProjectState,
  floor: FloorState,
  panelId: string,
  caseId: string,
): readonly AreaLoadOnPanel[] {
  const found = panelGrounds(state, floor).find(({ plan }) => plan.panel.id === panelId)
  if (!found) return []
  const at = readCase(state, caseId)
  const sharer = sharerOf(found.ground)
  const loads = new Map<string, { source: AreaSource; ends: [number, number] }>()
  floor.operator.plan.sources.forEach((source, row) => {
    if (source.kind !== 'area') return
    const value = at(floor.intensities, row)
    const known = loads.get(source.load.id)
    if (!known) loads.set(source.load.id, { source, ends: [value, value] })
    else known.ends[source.end === 0 ? 0 : 1] = value
  })
  return [...loads].flatMap(
    ([
      id,
      {
        source: { load },
        ends,
      },
    ]): AreaLoadOnPanel[] => {
      if (ends[0] === 0 && ends[1] === 0) return []
      const whole = regionOf(load.outline)
      const here = intersection(whole, found.plan.net)
      if (regionArea(here) < sliverArea) return []
      const density = densityAlong(whole, load.angle, ends)
      const shares = lyingIn(here, floor.operator.plan.slopes).map(({ region, slope }) => {
        const down = load.measured === 'slope' && slope ? areaStretch(slope) : 1
        const { value, grows } = density
        return sharer.area(region, { ...density, value: down * value, grows: [down * grows[0], down * grows[1]] })
      })
      return [
        {
          id,
          label: labelOf(state.document, id),
          area: regionArea(here),
          shares,
          force: shares.reduce((sum, { applied }) => sum + applied, 0),
          address: `typed:${id}`,
        },
      ]
    },
  )
}

/** What shares put on members, N by member. */
export function forcesOn(shares: readonly Share[]): ReadonlyMap<string, number> {
  const forces = new Map<string, number>()
  const put = (member: string, force: number) => forces.set(member, (forces.get(member) ?? 0) + force)
  for (const { lines, points, onColumns } of shares) {
    for (const { member, s0, s1, q0, q1 } of lines) put(member, ((s1 - s0) * (q0 + q1)) / 2)
    for (const { member, force } of [...points, ...onColumns]) put(member, force)
  }
  return forces
}
