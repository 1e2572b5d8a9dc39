import { expandedAt } from '../derivation/floorQueries'
import type { FloorState } from '../derivation/floorStates'
import type { ProjectState } from '../derivation/project'
import { reductionRegionsOn } from '../derivation/reductionRegions'
import { slabReductions } from '../derivation/slabReductions'
import type { ReductionRegion } from '../document/recordKinds'
import type { Ring } from '../geometry/polygon'

/** What slabs are spared of an imposed case in one region of a level; m², N. */
export interface SlabReductionView {
  readonly expandedId: string
  readonly label: string
  readonly levelName: string
  readonly area: number
  readonly factor: number
  readonly whole: number
  readonly reduced: number
}

/** By level from the roof down, then by label. */
export const slabReductionViews = (state: ProjectState, caseId: string): readonly SlabReductionView[] =>
  [...slabReductions(state, caseId)]
    .sort((a, b) => b.floor.level.elevation - a.floor.level.elevation || (a.region.label < b.region.label ? -1 : 1))
    .map(({ region: { id, label }, floor, area, load, reduced, factor }) => ({
      expandedId: expandedAt(floor, id),
      label,
      levelName: floor.level.name,
      area,
      factor: factor.value,
      whole: load,
      reduced,
    }))

/** A reduction region as the plan draws it. */
export interface ReductionRegionView extends Pick<ReductionRegion, 'slabs' | 'slabFactor' | 'beams' | 'beamFactor'> {
  readonly expandedId: string
  readonly label: string
  readonly outline: Ring
}

export const reductionRegionViews = (state: ProjectState, floor: FloorState): readonly ReductionRegionView[] =>
  reductionRegionsOn(state.document, floor.floor.layoutId).map(
    ({ id, label, outline, slabs, slabFactor, beams, beamFactor }) => ({
      expandedId: expandedAt(floor, id),
      label,
      outline,
      slabs,
      slabFactor,
      beams,
      beamFactor,
    }),
  )
