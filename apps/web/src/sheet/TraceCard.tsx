import { productText, referenceText, traceLines, type Traced, type TracedTerm } from '@hedrion/core'
import { useState } from 'react'
import { useLocation } from 'react-router'
import styled from 'styled-components'
import { useAnswer, useFormat } from '../compute/SessionContext'
import { Button } from '../ui/Button'
import { CopyButton } from '../ui/CopyButton'
import { Expression } from './Expression'
import { Source } from './source/Source'
import { TableRead } from './source/TableRead'
import { SymbolText } from './SymbolText'
import { closeTrace, goBackTo, goDown, pinTrace, useTrace } from './traceStore'
import { Value } from './Value'

/** The chain behind one number, back to the clause and the input; each link can be followed. */
export function TraceCard() {
  const { path, pinned, place } = useTrace()
  const { pathname } = useLocation()
  const address = path.at(-1)
  return address === undefined || (!pinned && place !== pathname) ? null : (
    <Card address={address} depth={path.length} pinned={pinned} />
  )
}

function Card({
  address,
  depth,
  pinned,
}: {
  readonly address: string
  readonly depth: number
  readonly pinned: boolean
}) {
  const traced = useAnswer({ kind: 'why', address })
  const format = useFormat()
  return (
    <Box aria-label="Why this number">
      <Head>
        <strong>Why</strong>
        <Tools>
          {depth > 1 && (
            <Button kind="quiet" onPress={() => goBackTo(depth - 2)}>
              Back
            </Button>
          )}
          {traced && <CopyButton text={() => traceLines(traced, format).join('\n')} />}
          <Button kind="quiet" onPress={() => pinTrace(!pinned)}>
            {pinned ? 'Unpin' : 'Pin'}
          </Button>
          <Button kind="quiet" onPress={closeTrace} aria-label="Close the trace">
            Close
          </Button>
        </Tools>
      </Head>
      {traced ? (
        <Node key={address} traced={traced} name={traced.symbol} first />
      ) : (
        <p>{traced === null ? 'This number no longer exists.' : 'Loading …'}</p>
      )}
    </Box>
  )
}

interface NodeProps {
  readonly traced: Traced
  /** The symbol as the formula above calls it. */
  readonly name: string
  /** The number that was asked about: its source is shown at once, those of others when asked for. */
  readonly first?: boolean
}

/** One number of the chain with what it was made of. */
function Node({ traced, name, first = false }: NodeProps) {
  const format = useFormat()
  const { basis, value, quantity } = traced
  return (
    <div>
      <Line>
        <span>
          <SymbolText name={name} />
          {basis.kind === 'formula' && (
            <>
              {' = '}
              <Expression expression={basis.expression} />
              {' = '}
              <Expression expression={basis.expression} inputs={basis.inputs} format={format} />
            </>
          )}
        </span>
        <span>
          <Value value={value} quantity={quantity} />
        </span>
      </Line>
      <Reference>{referenceText(traced)}</Reference>
      <SourceOf traced={traced} name={name} first={first} />
      <Children traced={traced} />
    </div>
  )
}

/** Table and picture of a number that a standard gives. */
function SourceOf({ traced: { basis, value }, name, first }: Required<NodeProps>) {
  const [isOpen, setOpen] = useState(first)
  if (basis.kind !== 'parameter' && basis.kind !== 'table') return null
  return (
    <>
      {!first && (
        <Button kind="link" aria-expanded={isOpen} onPress={() => setOpen(!isOpen)}>
          {isOpen ? (
            'Hide source'
          ) : (
            <>
              Where <SymbolText name={name} /> comes from
            </>
          )}
        </Button>
      )}
      {isOpen &&
        (basis.kind === 'table' ? <TableRead basis={basis} value={value} /> : <Source parameter={basis.key} />)}
    </>
  )
}

function Children({ traced }: { readonly traced: Traced }) {
  const { basis } = traced
  if (basis.kind === 'formula') return <Inputs entries={Object.entries(basis.inputs)} />
  if (basis.kind === 'table') return <Inputs entries={basis.inputs.map((input) => [input.symbol, input] as const)} />
  if (basis.kind !== 'sum') return null
  return (
    <Indent>
      {basis.terms.map((term, i) => (
        <Term key={i} term={term} sum={traced} />
      ))}
    </Indent>
  )
}

const Inputs = ({ entries }: { readonly entries: readonly (readonly [string, Traced])[] }) => (
  <Indent>
    {entries.map(([name, input]) => (
      <Node key={name} traced={input} name={name} />
    ))}
  </Indent>
)

function Term({ term, sum }: { readonly term: TracedTerm; readonly sum: Traced }) {
  const format = useFormat()
  const { address, traced } = term
  const product = productText(term, format)
  return (
    <>
      <Line>
        <span>
          {address ? (
            <Button kind="link" onPress={() => goDown(address)}>
              {term.label}
            </Button>
          ) : (
            term.label
          )}
          {product !== '' && <Reference as="span">{` = ${product}`}</Reference>}
        </span>
        <Value value={term.value} quantity={sum.quantity} strong={false} />
      </Line>
      {traced && (
        <Indent>
          <Node traced={traced} name={traced.symbol} />
        </Indent>
      )}
    </>
  )
}

const Box = styled.aside`
  border-top: 2px solid var(--accent);
  background: var(--raised);
  padding: 8px 20px 12px;
  max-height: 54%;
  overflow: auto;
  font-size: 14px;
  flex: none;
`
const Head = styled.div`
  display: flex;
  justify-content: space-between;
  align-items: baseline;
`
const Tools = styled.div`
  display: flex;
  gap: 4px;
`
const Line = styled.div`
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 2px 0;
  font-family: var(--serif);
`
const Reference = styled.div`
  font: 400 13px/1.3 var(--sans);
  color: var(--quiet);
`
const Indent = styled.div`
  border-left: 1px solid var(--hairline);
  margin: 2px 0 4px 4px;
  padding-left: 12px;
`
