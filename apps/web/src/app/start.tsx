import { startTransition, StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { RouterProvider } from 'react-router'
import { GlobalStyle } from '../ui/GlobalStyle'
import { startTheme } from '../ui/theme'
import { router } from './routes'

/** Draws the application; a transition is drawn in slices, so that the page answers while it is drawn. */
export function start(root: HTMLElement): void {
  startTheme()
  startTransition(() =>
    createRoot(root).render(
      <StrictMode>
        <GlobalStyle />
        <RouterProvider router={router} />
      </StrictMode>,
    ),
  )
}
