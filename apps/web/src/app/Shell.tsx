import { useEffect } from 'react'
import { Outlet, useLocation } from 'react-router'
import styled from 'styled-components'
import { useDocumentState, useSession } from '../compute/SessionContext'
import { useForgottenOnLeaving } from '../state/commands'
import { BalanceBar } from './BalanceBar'
import { ErrorBoundary } from './ErrorBoundary'
import { LookInAddress } from './LookInAddress'
import { PageTitle } from './PageTitle'
import { OpeningNotes } from './OpeningNotes'
import { Rail } from './Rail'
import { RefusedChanges } from './RefusedChanges'
import { TopBar } from './TopBar'
import { pressed } from '../state/shortcuts'

/** The frame of the screen: the bar, the steps, the step's own two parts, and the balance. */
export function Shell() {
  const projectId = useDocumentState((state) => state.projectId)
  const base = `/p/${projectId}`
  const { pathname } = useLocation()
  useForgottenOnLeaving(pathname.split('/').at(-1) ?? '')
  useUndoKeys()
  useRegionKeys()
  return (
    <Frame>
      <PageTitle />
      <LookInAddress />
      <TopBar base={base} />
      <OpeningNotes />
      <RefusedChanges />
      <Middle>
        <Rail base={base} />
        <Main>
          <ErrorBoundary>
            <Outlet />
          </ErrorBoundary>
        </Main>
      </Middle>
      <BalanceBar />
    </Frame>
  )
}

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.closest('input, textarea') !== null

function useUndoKeys(): void {
  const session = useSession()
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const wanted = (['redo', 'undo'] as const).find((name) => pressed(event, name))
      if (!wanted || isTyping(event.target)) return
      event.preventDefault()
      session[wanted]()
    }
    addEventListener('keydown', onKey)
    return () => removeEventListener('keydown', onKey)
  }, [session])
}

/** F6 goes from region to region: the steps, the drawing, the sheet, the bars. */
function useRegionKeys(): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!pressed(event, 'nextRegion')) return
      event.preventDefault()
      const regions = [
        ...document.querySelectorAll<HTMLElement>(
          'nav, [data-region="drawing"], [data-region="sheet"], header, footer',
        ),
      ]
      const now = regions.findIndex((region) => region.contains(document.activeElement))
      const next = regions[(now + (pressed(event, 'lastRegion') ? regions.length - 1 : 1)) % regions.length]
      next
        ?.querySelector<HTMLElement>('[data-testid="drawing"], a[aria-current], a[href], button, input, [tabindex="0"]')
        ?.focus()
    }
    addEventListener('keydown', onKey)
    return () => removeEventListener('keydown', onKey)
  }, [])
}

const Frame = styled.div`
  height: 100%;
  display: flex;
  flex-direction: column;
`
const Middle = styled.div`
  flex: 1;
  display: flex;
  min-height: 0;
`
const Main = styled.main`
  flex: 1;
  display: flex;
  min-width: 0;
  min-height: 0;
`
