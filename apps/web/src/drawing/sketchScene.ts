import { isUpright, boxOf, type Member, type Rec } from '@hedrion/core'
import { emptyBox, type Scene, type Shape } from './scene'

/** A plan from records alone, with no load on it: members, panels and grid of one layout, the first that has members. */
export function sketchScene(records: readonly Rec[]): Scene {
  const layout = records.find((record) => record.kind === 'member')?.layout
  const members = records.filter((record): record is Member => record.kind === 'member' && record.layout === layout)
  const panels = records.flatMap((record) =>
    record.kind === 'panel' && record.layout === layout ? [record.outline] : [],
  )
  const points = [...members.flatMap(({ path }) => path), ...panels.flat()]
  const floors: readonly Shape[] = panels.map((outline) => ({ kind: 'area', region: [outline], ground: 'floor' }))
  const lines = members.flatMap(({ role, path }): Shape[] => {
    const [a] = path
    if (isUpright(role) && a) return [{ kind: 'dot', at: a, size: 10, tone: 'ink' }]
    return [{ kind: 'line', points: path, stroke: { tone: 'ink', width: role === 'girder' ? 3 : 1.6 } }]
  })
  return {
    box: points.length > 0 ? boxOf(points) : emptyBox,
    shapes: [...floors, ...lines],
    labels: [],
    targets: [],
    grid: records.flatMap((record) => (record.kind === 'gridLine' ? [record] : [])),
    north: true,
  }
}
