import {
  formatQuantity,
  type Terms,
  formatValue,
  type GoverningRival,
  type GoverningSide,
  largest,
} from '@hedrion/core'
import styled from 'styled-components'
import { useWords } from '../../compute/useWords'
import { useAnswer, useFormat } from '../../compute/SessionContext'
import { markOf } from '../../drawing/marks'
import { Line, Note, Section } from '../../sheet/Sheet'
import { Value } from '../../sheet/Value'
import { useTerms } from '../../compute/useTerms'

/** The governing combinations of one effect as lines of factor · case, each with its bar. */
export function Governing({ set, effectKey }: { readonly set: string; readonly effectKey: string }) {
  const view = useAnswer({ kind: 'governing', set, key: effectKey })
  if (!view) return null
  return (
    <>
      <Side title={`What governs ${view.label}, max`} side={view.most} address={`extreme:${set}:most:${effectKey}`} />
      <Side title="and min" side={view.least} address={`extreme:${set}:least:${effectKey}`} />
    </>
  )
}

/** Which combination it is: by the action that leads, or by the row of the table. */
function whose({ leading, rule }: GoverningRival, terms: Terms): string {
  if (!rule.leads) return `by ${rule.name}`
  return leading ? `with ${terms[leading]} leading` : 'with no variable action'
}

interface SideProps {
  readonly title: string
  readonly side: GoverningSide
  readonly address: string
}

const partOf = ({ leading, rule }: GoverningRival, action: string): string =>
  action === 'permanent' ? 'permanent' : !rule.leads ? 'variable' : action === leading ? 'leads' : 'accompanies'

function Side({ title, side, address }: SideProps) {
  const inWords = useWords()
  const format = useFormat()
  const most = Math.max(1e-9, largest(side.terms.map(({ value }) => Math.abs(value))))
  const terms = useTerms()
  const { nextBest } = side
  return (
    <Section title={title}>
      {side.terms.length === 0 && <Note>No load case contributes.</Note>}
      {side.terms.map(({ caseId, name, action, factor, characteristic, reduction, value }) => (
        <Line key={caseId} reference={partOf(side, action)} result={<Value value={value} quantity="force" />}>
          {formatValue(factor, 'factor', format)} · {name}{' '}
          <Value value={characteristic} quantity="force" strong={false} />
          {reduction !== 1 && (
            <>
              {' '}
              · {formatValue(reduction, 'factor', format)}
              {inWords(' by area or storeys')}
            </>
          )}
          <Bar
            $mark={markOf(caseId)}
            style={{ width: `${(Math.abs(value) / most) * 100}%` }}
            data-negative={value < 0 || undefined}
            aria-hidden
          />
        </Line>
      ))}
      <Line lit reference="sum" result={<Value value={side.value} quantity="force" address={address} />}>
        {whose(side, terms)}
        {nextBest && (
          <small>
            ; next {formatQuantity(nextBest.value, 'force', format)} {whose(nextBest, terms)}
          </small>
        )}
      </Line>
    </Section>
  )
}

const lines = (angle: number) => `repeating-linear-gradient(${angle}deg, currentColor 0 1px, transparent 1px 4px)`

const Bar = styled.div<{ readonly $mark: string }>`
  height: 11px;
  margin: 2px 0 3px;
  border: 1px solid currentColor;
  color: ${({ $mark }) => `var(--${$mark})`};
  background: ${({ $mark }) => lines($mark === 'permanent' ? 0 : $mark === 'imposed' ? 90 : 135)};
  &[data-negative] {
    border-style: dashed;
  }
`
