import { largest, meanOf, middleAlong, type FloorView, type NumberFormat, type Point } from '@hedrion/core'
import { said } from '../../drawing/said'
import type { Label, Scene, Shape } from '../../drawing/scene'
import type { EnvelopeInView } from './useEnvelope'

const tallest = 34

/** Bars of maximum and minimum at each column of the plan, to one scale, with both numbers. */
export function envelopeOnPlan(
  scene: Scene,
  floor: FloorView,
  { rows, kind }: Pick<EnvelopeInView, 'rows' | 'kind'>,
  format: NumberFormat,
): Scene {
  if (kind === 'storeyShear') return scene
  const top = Math.max(1, largest(rows.flatMap(({ most, least }) => [Math.abs(most), Math.abs(least)])))
  const shapes: Shape[] = []
  const labels: Label[] = []
  for (const { expandedId, most, least, component } of rows) {
    // horizontal reactions stand in the table alone
    if (component === 'x' || component === 'y') continue
    const [id = ''] = expandedId.split('@')
    const place = placeOf(floor, id, expandedId, kind)
    if (!place) continue
    const { at, of } = place
    // beside its place a number would be read as that of the next column
    const beside = { of, at, dx: 10, align: 'left', stays: true } as const
    shapes.push({
      kind: 'bar',
      at,
      dx: -16,
      width: 9,
      height: (tallest * most) / top,
      filled: (tallest * least) / top,
    })
    labels.push(
      { ...said(most, 'force', format), ...beside, dy: -16, bold: true, priority: 60 },
      { ...said(least, 'force', format), ...beside, dy: 14, tone: 'accent', priority: 50 },
    )
  }
  return { ...scene, shapes: [...scene.shapes, ...shapes], labels: [...scene.labels, ...labels] }
}

/** Reactions stand under any level; column forces and beam totals at their own. */
function placeOf(
  floor: FloorView,
  id: string,
  expandedId: string,
  kind: EnvelopeInView['kind'],
): { readonly at: Point; readonly of: string } | undefined {
  if (kind === 'beamTotal') {
    const beam = floor.beams.find((entry) => entry.expandedId === expandedId)
    return beam && { at: middleAlong(beam.path), of: expandedId }
  }
  if (kind === 'elementShear') {
    const element = floor.stiff.find((entry) => entry.expandedId === expandedId)
    return element && { at: meanOf([element.a, element.b]), of: expandedId }
  }
  const column = floor.columns.find((entry) =>
    kind === 'reaction' ? entry.id === id : entry.expandedId === expandedId,
  )
  return column && { at: kind === 'reaction' ? (column.far ?? column.at) : column.at, of: column.expandedId }
}
