import type { ColumnView } from '@hedrion/core'
import { Line, Note, Section } from '../../sheet/Sheet'
import { SymbolText } from '../../sheet/SymbolText'
import { Value } from '../../sheet/Value'
import { wayOf } from './ways'

interface RakingLinesProps {
  readonly view: ColumnView
  readonly caseId: string
}

/** What the picked length does sideways where it rakes, and its force along itself. */
export function RakingLines({ view: { raking, hangs, expandedId, rows }, caseId }: RakingLinesProps) {
  if (!raking) return null
  const { rise, run, thrust, direction, axial } = raking
  const [x, y] = direction.map((part) => Math.sign(thrust) * part) as [number, number]
  const level = rows.find((row) => row.expandedId === expandedId)?.levelName ?? ''
  return (
    <Section title="Inclination">
      <Line reference="between its ends">
        <Value value={rise} quantity="length" strong={false} /> up,{' '}
        <Value value={run} quantity="length" strong={false} /> across
      </Line>
      <Line
        reference="at each end"
        result={<Value value={Math.abs(thrust)} quantity="force" address={`thrust:${expandedId}:${caseId}`} />}
      >
        <SymbolText name="H" /> = (<SymbolText name="V_1" /> + <SymbolText name="V_2" />) / 2 · a / h
      </Line>
      <Line
        reference="along it"
        result={<Value value={axial} quantity="force" address={`axial:${expandedId}:${caseId}`} />}
      >
        <SymbolText name="N" />, {hangs ? 'tension' : 'compression'}
      </Line>
      {thrust !== 0 && (
        <Note>
          Horizontal thrust on level {level} {wayOf([x, y])}, and the opposite thrust at its other end. Resisted by
          lateral elements if drawn, otherwise exported.
        </Note>
      )}
    </Section>
  )
}
