import type { ProjectSummary } from '@hedrion/contract'
import { kindNames, changedSince, resultsEdition, type SetAside } from '@hedrion/core'
import { Link } from 'react-router'
import styled from 'styled-components'
import { useDocumentState, useSession } from '../compute/SessionContext'
import { request } from '../state/api'
import { Button } from '../ui/Button'

/** What a person is to know before going on with a project: a page of another build, records set aside, results that moved. */
export function OpeningNotes() {
  return (
    <>
      <OutdatedPage />
      <RecordsAside />
      <ChangedResults />
    </>
  )
}

function OutdatedPage() {
  const isOutdated = useDocumentState(({ save }) => save === 'outdated')
  const waiting = useDocumentState(({ pending }) => pending.length)
  if (!isOutdated) return null
  return (
    <Box role="alert">
      <p>
        <strong>This page and the server have different versions.</strong>{' '}
        {waiting === 0 ? 'No unsent changes.' : `${changes(waiting)} in this browser and will be sent after reloading.`}
      </p>
      <Button kind="warm" onPress={() => location.reload()}>
        Reload page
      </Button>
    </Box>
  )
}

const changes = (count: number): string =>
  count === 1 ? 'One unsent change is kept' : `${count} unsent changes are kept`

/** How many are named; the rest are counted. */
const named = 12

function RecordsAside() {
  const aside = useDocumentState((state) => state.aside)
  if (aside.length === 0) return null
  return (
    <Box role="alert">
      <p>
        <strong>{aside.length === 1 ? 'One record was not loaded' : `${aside.length} records were not loaded`}:</strong>{' '}
        because they cannot be read. The loads of the objects listed below are missing. The stored records are kept
        unchanged.
      </p>
      <ul>
        {aside.slice(0, named).map((one) => (
          <li key={one.id}>{asideText(one)}</li>
        ))}
        {aside.length > named && <li>and {aside.length - named} more</li>}
      </ul>
    </Box>
  )
}

const asideText = ({ id, kind, label, problem }: SetAside): string => {
  const name = Object.hasOwn(kindNames, kind) ? kindNames[kind as keyof typeof kindNames] : 'record'
  const field = problem.path.replace(`records.${id}`, '').replace(/^\./, '')
  return `${name} ${label || id}: ${field === '' ? '' : `${field}: `}${problem.problem}`
}

function ChangedResults() {
  const { store } = useSession()
  const document = useDocumentState((state) => state.document)
  const results = useDocumentState((state) => state.results)
  const projectId = useDocumentState((state) => state.projectId)
  const moved = results < resultsEdition ? changedSince(document, results) : []
  if (moved.length === 0) return null
  const read = () => {
    store.setState({ results: resultsEdition })
    // where the server does not answer, the note stands again when the project is next opened
    request<ProjectSummary>('POST', `/projects/${projectId}/results-read`).catch(() => undefined)
  }
  return (
    <Box role="status" data-testid="changed-results">
      <p>
        <strong>Results of this project may have changed</strong> since it was last opened, because of corrections to:{' '}
        {[...new Set(moved.map(({ clause }) => clause))].join('; ')}. <Link to="/what-changed">See the changes</Link>
      </p>
      <Button kind="warm" onPress={read}>
        Dismiss
      </Button>
    </Box>
  )
}

const Box = styled.div`
  flex: none;
  background: var(--warm-soft);
  border-bottom: 2px solid var(--warm);
  padding: 8px 18px;
  max-height: 30vh;
  overflow: auto;
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 18px;
  a {
    color: var(--warm);
  }
  p,
  ul {
    margin: 0;
  }
`
