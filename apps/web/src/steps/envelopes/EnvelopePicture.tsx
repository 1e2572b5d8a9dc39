import { unitOf, type FloorView } from '@hedrion/core'
import { useCallback, useMemo } from 'react'
import styled from 'styled-components'
import { useFormat } from '../../compute/SessionContext'
import { PlanPane } from '../../drawing/PlanPane'
import type { Scene } from '../../drawing/scene'
import { useLook } from '../../state/look'
import { envelopeOnPlan } from './envelopeOnPlan'
import type { EnvelopeInView } from './useEnvelope'

/** Bands of maximum and minimum at each column of the plan. */
export function EnvelopePicture({ envelope }: { readonly envelope: EnvelopeInView }) {
  const format = useFormat()
  const { kind, rows } = envelope
  const more = useCallback(
    (scene: Scene, floor: FloorView): Scene => envelopeOnPlan(scene, floor, { kind, rows }, format),
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
