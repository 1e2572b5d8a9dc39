import { expanded, splitExpanded, type FloorView } from '@hedrion/core'
import type { Scene, Target } from '../../drawing/scene'

/** In this step a click on a patch picks the patch, not the panel under it. */
export function patchTargets(scene: Scene, floor: FloorView): Scene {
  const patches = new Map<string, Target>()
  for (const { patchId, region, keyName, expandedId } of floor.regions) {
    if (!patchId) continue
    const id = expanded(patchId, splitExpanded(expandedId)[1])
    const known = patches.get(id)
    const parts = known?.shape.kind === 'area' ? known.shape.region : []
    patches.set(id, {
      id,
      kind: 'patch',
      shape: { kind: 'area', region: [...parts, ...region] },
      text: `Patch, “${keyName}”`,
    })
  }
  const own = new Set(floor.regions.filter(({ patchId }) => patchId !== null).map(({ region }) => region))
  const others = scene.targets.filter(({ shape }) => !(shape.kind === 'area' && own.has(shape.region)))
  return { ...scene, targets: [...patches.values(), ...others] }
}
