import type { ProjectSummary } from '@hedrion/contract'
import styled from 'styled-components'

/** Projects one under another: name, when it was changed, what can be done. */
export const ProjectList = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  border-top: 1px solid var(--hairline);
  li {
    display: grid;
    grid-template-columns: 1fr auto auto;
    gap: 18px;
    align-items: center;
    padding: 12px 4px;
    border-bottom: 1px solid var(--hairline);
  }
  a {
    font: 600 18px/1.3 var(--serif);
    color: var(--ink);
  }
  small {
    color: var(--quiet);
  }
`

export const ChangedAt = ({ project }: { readonly project: ProjectSummary }) => (
  <small>{new Date(project.changedAt).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })}</small>
)
