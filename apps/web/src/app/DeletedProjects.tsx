import type { ProjectSummary } from '@hedrion/contract'
import { useState } from 'react'
import styled from 'styled-components'
import { Button } from '../ui/Button'
import { sentenceOf } from '../state/failures'
import { ChangedAt, ProjectList } from './ProjectList'
import { withNextPage } from './projectPages'

/** Deleted projects, on request; each can be brought back. */
export function DeletedProjects({ onRestore }: { readonly onRestore: (project: ProjectSummary) => Promise<void> }) {
  const [projects, setProjects] = useState<readonly ProjectSummary[] | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const [isWhole, setWhole] = useState(false)
  const load = async (before: readonly ProjectSummary[]) => {
    try {
      const next = await withNextPage(before, 'deleted=yes')
      setProjects(next.projects)
      setWhole(!next.hasMore)
      setProblem(null)
    } catch (error) {
      setProblem(sentenceOf(error))
    }
  }
  const restore = async (project: ProjectSummary) => {
    await onRestore(project)
    await load([])
  }
  return (
    <>
      <Button kind="quiet" onPress={() => (projects ? setProjects(null) : void load([]))}>
        {projects ? 'Hide deleted projects' : 'Show deleted projects'}
      </Button>
      <Gap />
      {problem !== null && <Problem role="alert">{problem}</Problem>}
      {projects?.length === 0 && <p>No deleted projects.</p>}
      {projects && projects.length > 0 && (
        <ProjectList aria-label="Deleted projects">
          {projects.map((project) => (
            <li key={project.id}>
              <span>{project.name}</span>
              <ChangedAt project={project} />
              <Button kind="quiet" aria-label={`Restore ${project.name}`} onPress={() => void restore(project)}>
                Restore
              </Button>
            </li>
          ))}
        </ProjectList>
      )}
      {projects && projects.length > 0 && !isWhole && (
        <Button kind="quiet" onPress={() => void load(projects)}>
          Show more deleted projects
        </Button>
      )}
    </>
  )
}

const Gap = styled.div`
  height: 12px;
`
const Problem = styled.p`
  color: var(--warm);
`
