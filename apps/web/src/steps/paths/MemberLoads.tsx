import { formatValue, lengthAlong, unitOf, type BeamView } from '@hedrion/core'
import { memo } from 'react'
import styled from 'styled-components'
import { useAnswer, useFormat } from '../../compute/SessionContext'
import { markOf } from '../../drawing/marks'
import { useLevel } from '../../drawing/useLevel'
import { Note, Section } from '../../sheet/Sheet'
import { Value } from '../../sheet/Value'
import { useLook } from '../../state/look'
import { Button } from '../../ui/Button'
import { TableOut } from '../../ui/TableOut'
import { Later } from '../../ui/Later'

/** So many rows are drawn in one go. */
const batch = 10

const mostOf = ({ lines }: BeamView): number =>
  lines.flatMap(([, , q0, q1]) => [q0, q1]).reduce((most, q) => (Math.abs(q) > Math.abs(most) ? q : most), 0)

/** Every beam of the level in view with what lands on it in the case, largest first. */
export function MemberLoads({ caseId }: { readonly caseId: string }) {
  const { level } = useLevel()
  const floor = useAnswer({ kind: 'floor', levelId: level?.id ?? '', caseId })
  const format = useFormat()
  if (!floor || floor.beams.length === 0) return null
  const loaded = floor.beams
    .filter(({ total }) => total !== 0)
    .sort(
      (a, b) =>
        Math.round(Math.abs(b.total) - Math.abs(a.total)) || a.label.localeCompare(b.label, 'en', { numeric: true }),
    )
  const [force, lineLoad] = [unitOf('force', format), unitOf('lineLoad', format)]
  const text = () => [
    ['member', `total, ${force}`, `most, ${lineLoad}`],
    ...loaded.map((beam) => [
      beam.label,
      formatValue(beam.total, 'force', format),
      formatValue(mostOf(beam), 'lineLoad', format),
    ]),
  ]
  return (
    <Section
      title={`Members of level ${floor.name}`}
      aside={loaded.length > 0 && <TableOut name="members" rows={text} />}
    >
      {loaded.length === 0 && <Note>No beam on this level is loaded in this case.</Note>}
      <Rows>
        {Array.from({ length: Math.ceil(loaded.length / batch) }, (_, i) => (
          <Later key={i} after={i}>
            {loaded.slice(i * batch, (i + 1) * batch).map((beam) => (
              <Row key={beam.expandedId} beam={beam} caseId={caseId} />
            ))}
          </Later>
        ))}
      </Rows>
    </Section>
  )
}

const Row = memo(function Row({ beam, caseId }: { readonly beam: BeamView; readonly caseId: string }) {
  const [, change] = useLook()
  const most = mostOf(beam)
  return (
    <li>
      <Button kind="link" onPress={() => change({ picked: [beam.expandedId] })}>
        {beam.label}
      </Button>
      <Sketch beam={beam} caseId={caseId} />
      <span>{most === 0 ? <small>from beams</small> : <Value value={most} quantity="lineLoad" strong={false} />}</span>
      <span>
        <Value value={beam.total} quantity="force" address={`beam:${beam.expandedId}:${caseId}`} />
      </span>
    </li>
  )
})

const [width, tall] = [120, 16]

/** The ordinates along the member, to the member's own largest. */
function Sketch({ beam, caseId }: { readonly beam: BeamView; readonly caseId: string }) {
  const { path, lines, points } = beam
  const length = lengthAlong(path)
  const most = Math.abs(mostOf(beam)) || 1
  const x = (s: number) => (s / length) * width
  const y = (q: number) => tall - (q / most) * (tall - 3)
  const colour = `var(--${markOf(caseId)})`
  return (
    <svg width={width} height={tall + 1} aria-hidden overflow="visible">
      {lines.map(([s0, s1, q0, q1], i) => (
        <path
          key={i}
          d={`M${x(s0)} ${tall}V${y(q0)}L${x(s1)} ${y(q1)}V${tall}`}
          fill={colour}
          fillOpacity={0.18}
          stroke={colour}
        />
      ))}
      {points.map(({ s }, i) => (
        <path key={i} d={`M${x(s)} 2V${tall}m-3 -4l3 4l3 -4`} fill="none" stroke={colour} />
      ))}
      <path d={`M0 ${tall}H${width}`} stroke="var(--ink)" />
    </svg>
  )
}

const Rows = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  li {
    display: grid;
    grid-template-columns: 76px 1fr 110px 100px;
    align-items: center;
    gap: 0 12px;
    min-height: 31px;
    padding: 0 20px;
    border-bottom: 1px solid var(--hairline);
    text-align: right;
  }
  li > :first-child {
    text-align: left;
  }
  small {
    color: var(--quiet);
  }
`
