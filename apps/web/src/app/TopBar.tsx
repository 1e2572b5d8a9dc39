import { Link } from 'react-router'
import styled from 'styled-components'
import { useDocumentState, useRecords } from '../compute/SessionContext'
import { Button } from '../ui/Button'
import { turnTheme, useTheme } from '../ui/theme'
import { CasePicker } from './CasePicker'
import { Concerns } from './Concerns'
import { FindButton } from './Find'
import { History } from './History'

/** One slim bar: the project and its state, what is looked at, and the ways to anything else. */
export function TopBar({ base }: { readonly base: string }) {
  const [basis] = useRecords('basis')
  return (
    <Bar>
      <Project>
        <Name to="/" title="All projects">
          {basis?.name ?? 'Project'}
        </Name>
        <Saved />
      </Project>
      <InView>
        <CasePicker />
      </InView>
      <Tools>
        <Concerns base={base} />
        <History />
        <ThemeButton />
        <FindButton base={base} />
      </Tools>
    </Bar>
  )
}

function ThemeButton() {
  const theme = useTheme()
  const other = theme === 'dark' ? 'light' : 'dark'
  return (
    <Button kind="quiet" aria-label={`Switch to ${other} appearance`} onPress={turnTheme}>
      {other === 'dark' ? 'Dark' : 'Light'}
    </Button>
  )
}

const sentences = {
  saved: 'saved',
  saving: 'saving …',
  waiting: 'no connection; changes are kept in this browser',
  outdated: 'not sent: reload page',
} as const

const reasons: Readonly<Record<string, string>> = {
  'database.away': 'database not responding; changes are kept in this browser',
  'database.full': 'database disk full; changes are kept in this browser',
}

function Saved() {
  const save = useDocumentState((state) => state.save)
  const waitsFor = useDocumentState((state) => state.waitsFor)
  const sentence = save === 'waiting' ? (reasons[waitsFor ?? ''] ?? sentences.waiting) : sentences[save]
  return (
    <State role="status" data-warm={save === 'waiting' || save === 'outdated' || undefined} data-testid="save-state">
      {sentence}
    </State>
  )
}

const Bar = styled.header`
  flex: none;
  min-height: 46px;
  border-bottom: 1px solid var(--hairline);
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto minmax(0, 1fr);
  align-items: center;
  gap: 16px;
  padding: 0 18px;
  /* folded: the case has a line of its own */
  @media (max-width: 1020px) {
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0 12px;
    padding-top: 6px;
  }
`
const InView = styled.div`
  @media (max-width: 1020px) {
    grid-row: 2;
    grid-column: 1 / -1;
  }
`
const Project = styled.div`
  display: flex;
  align-items: baseline;
  gap: 12px;
  min-width: 0;
`
const Name = styled(Link)`
  font: 600 17px/1.3 var(--serif);
  color: var(--ink);
  text-decoration: none;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  &:hover {
    text-decoration: underline;
    text-underline-offset: 3px;
  }
`
const State = styled.span`
  font-size: 14px;
  color: var(--quiet);
  white-space: nowrap;
  &[data-warm] {
    color: var(--warm);
  }
`
const Tools = styled.div`
  display: flex;
  justify-content: flex-end;
  align-items: center;
  gap: 8px;
`
