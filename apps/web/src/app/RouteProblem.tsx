import { Link, useRouteError } from 'react-router'
import styled from 'styled-components'
import { Refused, Unreachable } from '../state/api'

/** What could not be opened, and the way back. */
export function RouteProblem() {
  const error = useRouteError()
  const message =
    error instanceof Refused || error instanceof Unreachable ? error.message : 'This page could not be displayed.'
  return (
    <Box role="alert">
      <h1>{message}</h1>
      <p>
        <Link to="/">All projects</Link>
      </p>
    </Box>
  )
}

const Box = styled.main`
  max-width: 560px;
  margin: 80px auto;
  padding: 0 20px;
  h1 {
    font: 600 22px/1.4 var(--serif);
  }
  p {
    margin-top: 12px;
  }
  a {
    color: var(--accent);
  }
`
