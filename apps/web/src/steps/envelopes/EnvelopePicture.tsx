import { meanOf, middleAlong, unitOf, type FloorView, type Point, largest } from '@hedrion/core'
import { useCallback, useMemo } from 'react'
import styled from 'styled-components'
import { useFormat } from '../../compute/SessionContext'
import { PlanPane } from '../../drawing/PlanPane'
import { said } from '../../drawing/said'
import type { Label, Scene, Shape } from '../../drawing/scene'
import { useLook } from '../../state/look'
import type { EnvelopeInView } from './useEnvelope'

const tallest = 34

/** Bands of most and least at each column of the plan: most above, least below, to one scale. */
export function EnvelopePicture({ envelope }: { readonly envelope: EnvelopeInView }) {
  const format = useFormat()
  const { rows, kind } = envelope
  const more = useCallback(
    (scene: Scene, floor: FloorView): Scene => {
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
        const { at } = place
        shapes.push({
          kind: 'bar',
          at,
          dx: -16,
          width: 9,
          height: (tallest * most) / top,
          filled: (tallest * least) / top,
        })
        labels.push({
          ...said(most, 'force', format),
          of: place.of,
          at,
          dx: 10,
          dy: -16,
          align: 'left',
          bold: true,
          priority: 60,
          // beside its place it would be read as that of the next column
          stays: true,
        })
        labels.push({
          ...said(least, 'force', format),
          of: place.of,
          at,
          dx: 10,
          dy: 14,
          align: 'left',
          tone: 'accent',
          priority: 50,
          stays: true,
        })
      }
      return { ...scene, shapes: [...scene.shapes, ...shapes], labels: [...scene.labels, ...labels] }
    },
    [format, kind, rows],
  )
  const options = useMemo(() => ({ area: false, member: false, names: kind === 'beamTotal', spans: false }), [kind])
  return <PlanPane options={options} more={more} foot={<Key envelope={envelope} />} />
}

/** What the bars and the two numbers beside them are. */
function Key({ envelope: { kind, rows } }: { readonly envelope: EnvelopeInView }) {
  const format = useFormat()
  const [look] = useLook()
  if (look.view !== 'plan' || kind === 'storeyShear' || rows.length === 0) return null
  const unit = unitOf('force', format)
  return (
    <Foot aria-label="Legend">
      <Sample aria-hidden />
      full bar and upper number: max, {unit}
      <Sample aria-hidden data-filled />
      <span>filled part and lower number: min, {unit}</span>
    </Foot>
  )
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

const Foot = styled.p`
  flex: none;
  display: flex;
  align-items: center;
  gap: 7px;
  margin: 0;
  padding: 4px 16px 10px;
  font-size: 14px;
`
const Sample = styled.i`
  width: 9px;
  height: 15px;
  border: 1.3px solid var(--ink);
  &[data-filled] {
    margin-left: 14px;
    background: var(--accent);
  }
`
