import type { ReactNode } from 'react'
import styled from 'styled-components'

interface SheetProps {
  readonly title: ReactNode
  /** What an edit on this sheet reaches. */
  readonly scope?: ReactNode
  readonly children: ReactNode
}

/** A calculation page: a title with its scope, then sections of lines. */
export const Sheet = ({ title, scope, children }: SheetProps) => (
  <Page>
    <Head>
      <Title>{title}</Title>
      {scope !== undefined && <Scope>{scope}</Scope>}
    </Head>
    {children}
  </Page>
)

interface SectionProps {
  readonly title: ReactNode
  readonly aside?: ReactNode
  readonly children: ReactNode
}

export const Section = ({ title, aside, children }: SectionProps) => (
  <Part>
    <PartHead>
      <h3>{title}</h3>
      {aside}
    </PartHead>
    {children}
  </Part>
)

interface LineProps {
  /** Clause, table or rule: small, at the left. */
  readonly reference?: ReactNode
  readonly children: ReactNode
  readonly result?: ReactNode
  /** Belongs to what is picked or looked at. */
  readonly lit?: boolean
  readonly id?: string
  readonly onHover?: (over: boolean) => void
}

/** One line: reference, working, result. */
export const Line = ({ reference, children, result, lit = false, id, onHover }: LineProps) => (
  <Row
    id={id}
    data-lit={lit || undefined}
    onPointerEnter={onHover && (() => onHover(true))}
    onPointerLeave={onHover && (() => onHover(false))}
  >
    <Reference>{reference}</Reference>
    <Working>{children}</Working>
    <Result>{result}</Result>
  </Row>
)

/** Running text on the sheet. */
export const Note = styled.p`
  padding: 4px 20px;
  color: var(--quiet);
  font-size: 14px;
`

/** What needs a look, at its place, with what can be done about it. */
export const Warm = styled.div`
  margin: 8px 20px;
  padding: 8px 12px;
  background: var(--warm-soft);
  border-left: 3px solid var(--warm);
  font-size: 14px;
`

const Page = styled.div`
  padding: 14px 0 32px;
`
const Head = styled.header`
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 14px;
  padding: 0 20px 8px;
`
const Title = styled.h2`
  font: 600 20px/1.3 var(--serif);
`
const Scope = styled.div`
  font-size: 14px;
  color: var(--quiet);
`
const Part = styled.section`
  margin-top: 14px;
  counter-reset: from-memory;
  abbr[data-from-memory] {
    text-decoration: none;
  }
  &:has(abbr[data-from-memory])::after {
    content: '◦ from memory: ' counter(from-memory) ', not yet checked against the printed standard';
    display: block;
    padding: 4px 20px;
    color: var(--quiet);
    font-size: 13px;
  }
`
const PartHead = styled.div`
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 12px;
  padding: 0 20px 4px;
  h3 {
    font: 600 15px/1.4 var(--sans);
    color: var(--accent);
  }
`
const Row = styled.div`
  display: grid;
  grid-template-columns: 84px minmax(0, 1fr) auto;
  gap: 4px 12px;
  align-items: baseline;
  min-height: var(--row);
  padding: 3px 20px;
  border-bottom: 1px solid var(--hairline);
  &[data-lit] {
    background: var(--accent-soft);
  }
`
const Reference = styled.div`
  font-size: 13px;
  line-height: 1.25;
  color: var(--quiet);
  overflow-wrap: anywhere;
`
const Working = styled.div`
  font: 400 16px/1.45 var(--serif);
  min-width: 0;
`
const Result = styled.div`
  text-align: right;
  font-size: 16px;
`
