import { expanded, labeller, newId, usualWall, type Layout, type WallPath, type WallRun } from '@hedrion/core'
import { useGetDocument } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { useLook } from '../../state/look'

/** Makes wall runs along paths of a layout as one change, and picks them; like those that are there, but for what is said. */
export function useNewWalls(layout: Layout, levelId: string) {
  const getDocument = useGetDocument()
  const edit = useEdit()
  const [, change] = useLook()
  return (what: string, paths: readonly WallPath[], fields: Partial<WallRun> = {}) => {
    const document = getDocument()
    const label = labeller(document, layout)
    const runs = paths.map((path): WallRun => {
      const run: WallRun = {
        kind: 'wallRun',
        id: newId('wallRun', Math.random),
        layout: layout.id,
        label: 'W1',
        ...path,
        ...usualWall(document),
        ...fields,
      }
      return { ...run, label: label(run) }
    })
    if (edit.add(what, runs) === undefined) change({ picked: runs.map(({ id }) => expanded(id, levelId)) })
  }
}
