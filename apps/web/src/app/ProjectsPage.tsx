import type { ProjectSummary } from '@hedrion/contract'
import { useState } from 'react'
import { Link, useLoaderData, useRevalidator } from 'react-router'
import styled from 'styled-components'
import { request } from '../state/api'
import { Button } from '../ui/Button'
import { FileButton } from '../ui/FileButton'
import { TextLine } from '../ui/TextLine'
import { DeletedProjects } from './DeletedProjects'
import { sentenceOf } from '../state/failures'
import { ChangedAt, ProjectList } from './ProjectList'
import { readFile } from './readFile'
import { useMaking } from './useMaking'
import { usePages } from './projectPages'

export const loadProjects = (): Promise<readonly ProjectSummary[]> => request('GET', '/projects')

/** Every project on this server, and the ways to a new one. */
export function ProjectsPage() {
  const first = useLoaderData<readonly ProjectSummary[]>()
  const { projects, more, restart } = usePages(first)
  const made = useMaking()
  const { revalidate } = useRevalidator()
  const [problem, setProblem] = useState<string | null>(null)
  const [deleted, setDeleted] = useState<ProjectSummary | null>(null)

  const run = async (work: () => Promise<unknown>) => {
    try {
      setProblem(null)
      await work()
    } catch (error) {
      setProblem(sentenceOf(error))
    }
    restart()
    await revalidate()
  }
  const showMore = (load: () => Promise<void>) => load().catch((error: unknown) => setProblem(sentenceOf(error)))
  const create = () => run(() => made('', '/projects', { name: 'New building' }))
  const upload = (chosen: File) =>
    run(async () =>
      made(`${chosen.name} ${chosen.size} ${chosen.lastModified}`, '/projects/file', await readFile(chosen)),
    )
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
      <title>Projects · Hedrion</title>
      <Head>
        <h1>Hedrion</h1>
        <p>Building loads, from the site to the file for the frame analysis.</p>
      </Head>
      <Tools>
        <Button kind="primary" onPress={() => void create()}>
          New building
        </Button>
        <FileButton label="Project file" accept=".json,application/json" onFile={(file) => void upload(file)}>
          Open project file …
        </FileButton>
      </Tools>
      {problem && <Warm role="alert">{problem}</Warm>}
      {deleted && (
        <Warm role="status">
          “{deleted.name}” was deleted.{' '}
          <Button kind="warm" onPress={() => void restore(deleted)}>
            Restore
          </Button>
        </Warm>
      )}
      <ProjectList aria-label="Projects">
        {projects.map((project) => (
          <li key={project.id}>
            <Link to={`/p/${project.id}/building`}>{project.name}</Link>
            <ChangedAt project={project} />
            <Row>
              <Rename project={project} run={run} />
              <Button kind="quiet" aria-label={`Delete ${project.name}`} onPress={() => void remove(project)}>
                Delete
              </Button>
            </Row>
          </li>
        ))}
      </ProjectList>
      {projects.length === 0 && <p>No projects yet.</p>}
      <Foot>
        {more && (
          <Button kind="quiet" onPress={() => void showMore(more)}>
            Show more projects
          </Button>
        )}
        <DeletedProjects onRestore={restore} />
      </Foot>
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
    if (name === '') return 'Enter a project name.'
    void run(() => request('PATCH', `/projects/${project.id}`, { name }))
    setOpen(false)
    return undefined
  }
  return <TextLine label={`New name of ${project.name}`} value={project.name} maxLength={120} onCommit={rename} />
}

const Foot = styled.div`
  margin: 16px 0;
`
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
const Row = styled.div`
  display: flex;
  gap: 4px;
`
