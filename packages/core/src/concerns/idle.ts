import type { ProjectState } from '../derivation/project'
import { recordsOf } from '../document/document'
import { sectionAt } from '../document/labels'
import { isUpright } from '../document/roles'
import { drawnOf } from '../editing/shaped'
import { lengthAlong } from '../geometry/course'
import { onLine } from '../geometry/tolerance'
import type { Concern } from '../outcome/outcome'

/** Beams too short to be one: they carry and weigh nothing. */
export const beamsWithoutLength = ({ document }: ProjectState): readonly Concern[] =>
  recordsOf(document, 'member').flatMap(({ id, label, role, path }): Concern[] =>
    !isUpright(role) && lengthAlong(path) < onLine ? [{ code: 'member.no-length', about: [id], data: { label } }] : [],
  )

/** A bearing wall is as thick as its section is wide: of any but a rectangle that is hardly meant. */
export const wallsWithoutThickness = ({ document }: ProjectState): readonly Concern[] =>
  recordsOf(document, 'member').flatMap(({ id, label, role, section: sectionId }): Concern[] => {
    const section = role === 'wall' ? sectionAt(document, sectionId) : undefined
    if (!section || section.shape === 'rectangle') return []
    const data = { label, section: section.name, thickness: section.width }
    return [{ code: 'bearingWall.no-rectangle', about: [id], data }]
  })

/** Patches of a layout in use that lie on no panel: they load nothing. */
export function patchesOnNothing({ document, floors }: ProjectState): readonly Concern[] {
  const plans = new Map(floors.map(({ floor, operator }) => [floor.layoutId, operator.plan.panels]))
  const loading = new Set([...plans.values()].flat().flatMap(({ regions }) => regions.map(({ patchId }) => patchId)))
  return recordsOf(document, 'patch').flatMap(({ id, layout, label }): Concern[] =>
    plans.has(layout) && !loading.has(id) ? [{ code: 'patch.on-nothing', about: [id], data: { label } }] : [],
  )
}

/** Layouts that hold something and stand on no level: nothing of them counts. */
export function layoutsOnNoLevel({ document, levels }: ProjectState): readonly Concern[] {
  const standing = new Set(levels.map(({ layoutId }) => layoutId))
  const holding = new Set<string>(drawnOf(document).map(({ layout }) => layout))
  return recordsOf(document, 'layout').flatMap(({ id, name }): Concern[] =>
    holding.has(id) && !standing.has(id) ? [{ code: 'layout.on-no-level', about: [id], data: { name } }] : [],
  )
}
