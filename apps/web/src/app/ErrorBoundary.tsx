import { Component, type ErrorInfo, type ReactNode } from 'react'
import styled from 'styled-components'
import { Button } from '../ui/Button'

interface State {
  readonly error: Error | null
}

/** A part of the screen that failed says so and can be shown again; changes that wait are kept by the outbox. */
export class ErrorBoundary extends Component<{ readonly children: ReactNode }, State> {
  override state: State = { error: null }

  static getDerivedStateFromError(error: Error): State {
    return { error }
  }

  override componentDidCatch(error: Error, info: ErrorInfo): void {
    // for whoever looks into the browser's console; nothing leaves the machine
    globalThis.reportError?.(Object.assign(error, { where: info.componentStack }))
  }

  override render(): ReactNode {
    const { error } = this.state
    if (!error) return this.props.children
    return (
      <Box role="alert">
        <h2>This page failed to display.</h2>
        <p>Your changes are kept in this browser and will be sent. Nothing is lost.</p>
        <p>
          <small>{error.message}</small>
        </p>
        <Button kind="primary" onPress={() => this.setState({ error: null })}>
          Try again
        </Button>
      </Box>
    )
  }
}

const Box = styled.div`
  margin: 40px auto;
  max-width: 520px;
  padding: 20px 24px;
  background: var(--warm-soft);
  border-left: 4px solid var(--warm);
  h2 {
    font: 600 18px/1.4 var(--serif);
  }
  p {
    margin: 8px 0;
  }
`
