import { once } from '../outcome/once'
import { recordsOf, type Document } from '../document/document'
import type { ReductionRegion } from '../document/recordKinds'
import type { Beam } from '../building/frame'
import { lengthOfLegs, pointAlong } from '../geometry/course'
import { signedArea, touches } from '../geometry/polygon'
import { ringOrder } from '../geometry/ringOrder'
import { given, type Traced } from '../trace/traced'

/** The regions of every layout, the smallest first: of several over a place the smallest holds. */
const regionsByLayout = once((document: Document): ReadonlyMap<string, readonly ReductionRegion[]> => {
  const found = new Map<string, ReductionRegion[]>()
  for (const region of recordsOf(document, 'reductionRegion'))
    found.set(region.layout, [...(found.get(region.layout) ?? []), region])
  const size = ({ outline }: ReductionRegion) => Math.abs(signedArea(outline))
  for (const regions of found.values()) regions.sort((a, b) => size(a) - size(b) || ringOrder(a.outline, b.outline))
  return found
})

export const reductionRegionsOn = (document: Document, layout: string | null): readonly ReductionRegion[] =>
  regionsByLayout(document).get(layout ?? '') ?? []

/** The region that the middle of a beam lies in; undefined where that is none. */
export function reductionRegionOf(document: Document, layout: string | null, beam: Beam): ReductionRegion | undefined {
  const regions = reductionRegionsOn(document, layout)
  if (regions.length === 0) return undefined
  const middle = pointAlong(beam.legs, lengthOfLegs(beam.legs) / 2)
  return regions.find(({ outline }) => touches([outline], middle))
}

/** The factor of a region for its beams: null where each has its own, 1 where they stay unreduced. */
export function beamFactorIn({ label, beams, beamFactor }: ReductionRegion): Traced<'factor'> | null {
  if (beams === 'usual') return null
  return beams === 'whole'
    ? given('alpha', 'factor', 1, `beams of region ${label} unreduced`)
    : given('alpha', 'factor', beamFactor ?? 1, `as entered for beams of region ${label}`)
}
