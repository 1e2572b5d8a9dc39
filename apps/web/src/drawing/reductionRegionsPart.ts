import type { FloorView, ReductionRegionView } from '@hedrion/core'
import { closedPath, part } from './planOptions'
import type { Label, Scene, Shape, Target } from './scene'

/** Regions in which imposed load is reduced in a way of its own: a thin dotted outline with its label, picked by its border. */
export const reductionRegionsPart = ({
  reductionRegions,
}: Pick<FloorView, 'reductionRegions'>): Pick<Scene, 'shapes' | 'labels' | 'targets'> =>
  part({
    shapes: reductionRegions.map(({ outline }): Shape => ({
      kind: 'line',
      points: outline,
      closed: true,
      stroke: { tone: 'quiet', width: 1.4, dash: [2, 4] },
    })),
    labels: reductionRegions.flatMap(({ label, expandedId, outline: [at] }): readonly Label[] =>
      at ? [{ text: label, of: expandedId, at, priority: 24, dx: 12, dy: -10, align: 'left', tone: 'quiet' }] : [],
    ),
    targets: reductionRegions.map((region): Target => ({
      id: region.expandedId,
      kind: 'reductionRegion',
      shape: { kind: 'path', points: closedPath(region.outline) },
      text: regionText(region),
    })),
  })

/** "Reduction region D1, slabs by its area, beams as outside the region". */
function regionText({ label, slabs, slabFactor, beams, beamFactor }: ReductionRegionView): string {
  const ofSlabs = { whole: 'unreduced', byArea: 'by its area', typed: `times ${slabFactor ?? 1}` }[slabs]
  const ofBeams = { whole: 'unreduced', usual: 'as outside the region', typed: `times ${beamFactor ?? 1}` }[beams]
  return `Reduction region ${label}, slabs ${ofSlabs}, beams ${ofBeams}`
}
