import type { ProjectSummary } from '@hedrion/contract'
import { useState } from 'react'
import { Link, useLoaderData, useNavigate, useRevalidator } from 'react-router'
import styled from 'styled-components'
import { Refused, request, Unreachable } from '../state/api'
import { Button } from '../ui/Button'
import { FileButton } from '../ui/FileButton'
import { TextLine } from '../ui/TextLine'
import { readFile } from './readFile'

export const loadProjects = (): Promise<readonly ProjectSummary[]> => request('GET', '/projects')

const sentenceOf = (error: unknown): string => {
  if (error instanceof Refused || error instanceof Unreachable) return error.message
  throw error
}

/** Every project on this server, and the ways to a new one. */
export function ProjectsPage() {
  const projects = useLoaderData<readonly ProjectSummary[]>()
  const { revalidate } = useRevalidator()
  const navigate = useNavigate()
  const [problem, setProblem] = useState<string | null>(null)
  const [deleted, setDeleted] = useState<ProjectSummary | null>(null)

  const run = async (work: () => Promise<unknown>) => {
    try {
      setProblem(null)
      await work()
    } catch (error) {
      setProblem(sentenceOf(error))
    }
    await revalidate()
  }
  const create = () =>
    run(async () => {
      const { id } = await request<ProjectSummary>('POST', '/projects', { name: 'New building' })
      await navigate(`/p/${id}/building`)
    })
  const upload = (chosen: File) =>
    run(async () => {
      const { id } = await request<ProjectSummary>('POST', '/projects/file', await readFile(chosen))
      await navigate(`/p/${id}/building`)
    })
  const remove = (project: ProjectSummary) =>
    run(async () => {
      await request('DELETE', `/projects/${project.id}`)
      setDeleted(project)
    })
  const restore = (project: ProjectSummary) =>
    run(async () => {
      await request('POST', `/projects/${project.id}/restore`)
      setDeleted(null)
    })
  return (
    <Page>
      <Head>
        <h1>Hedrion</h1>
        <p>Loads of a building, from its site to the file that a frame analysis takes.</p>
      </Head>
      <Tools>
        <Button kind="primary" onPress={() => void create()}>
          New building
        </Button>
        <FileButton label="Project file" accept=".json,application/json" onFile={(file) => void upload(file)}>
          Open a project file
        </FileButton>
      </Tools>
      {problem && <Warm role="alert">{problem}</Warm>}
      {deleted && (
        <Warm role="status">
          “{deleted.name}” was deleted.{' '}
          <Button kind="warm" onPress={() => void restore(deleted)}>
            Bring it back
          </Button>
        </Warm>
      )}
      <List aria-label="Projects">
        {projects.map((project) => (
          <li key={project.id}>
            <Link to={`/p/${project.id}/building`}>{project.name}</Link>
            <small>
              {new Date(project.changedAt).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })}
            </small>
            <Row>
              <Rename project={project} run={run} />
              <Button kind="quiet" aria-label={`Delete ${project.name}`} onPress={() => void remove(project)}>
                Delete
              </Button>
            </Row>
          </li>
        ))}
      </List>
      {projects.length === 0 && <p>No project yet.</p>}
    </Page>
  )
}

interface RenameProps {
  readonly project: ProjectSummary
  readonly run: (work: () => Promise<unknown>) => Promise<void>
}

function Rename({ project, run }: RenameProps) {
  const [open, setOpen] = useState(false)
  if (!open)
    return (
      <Button kind="quiet" aria-label={`Rename ${project.name}`} onPress={() => setOpen(true)}>
        Rename
      </Button>
    )
  const rename = (name: string): string | undefined => {
    if (name === '') return 'A project needs a name.'
    void run(() => request('PATCH', `/projects/${project.id}`, { name }))
    setOpen(false)
    return undefined
  }
  return <TextLine label={`New name of ${project.name}`} value={project.name} maxLength={120} onCommit={rename} />
}

const Page = styled.main`
  max-width: 860px;
  margin: 0 auto;
  padding: 56px 24px;
`
const Head = styled.header`
  h1 {
    font: 600 34px/1.2 var(--serif);
  }
  p {
    color: var(--quiet);
    margin-top: 4px;
  }
`
const Tools = styled.div`
  display: flex;
  gap: 12px;
  margin: 28px 0 20px;
`
const Warm = styled.div`
  background: var(--warm-soft);
  border-left: 3px solid var(--warm);
  padding: 8px 14px;
  margin-bottom: 16px;
`
const List = styled.ul`
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
const Row = styled.div`
  display: flex;
  gap: 4px;
`
