import type { OpenProject } from '@hedrion/contract'
import { useEffect, useState, type ReactNode } from 'react'
import { useLoaderData, type LoaderFunctionArgs } from 'react-router'
import { SessionContext } from '../compute/SessionContext'
import { ProjectSession } from '../compute/session'
import { request } from '../state/api'
import { lookAt, setLook } from '../state/look'
import { beginWith } from '../state/writtenAddresses'
import { PrintPlan } from './PrintPlan'
import { Shell } from './Shell'

export const loadProject = ({ params }: LoaderFunctionArgs): Promise<OpenProject> =>
  request<OpenProject>('GET', `/projects/${params['project'] ?? ''}`)

export function ProjectPage() {
  const project = useLoaderData<OpenProject>()
  return (
    <Opened key={project.id} project={project}>
      <Shell />
    </Opened>
  )
}

/** The loading plan of the level in view on a sheet of paper, without the frame of the screen. */
export function PrintPage() {
  const project = useLoaderData<OpenProject>()
  return (
    <Opened key={project.id} project={project}>
      <PrintPlan base={`/p/${project.id}`} />
    </Opened>
  )
}

/** Keeps a project open for as long as the page is on it. */
function Opened({ project, children }: { readonly project: OpenProject; readonly children: ReactNode }) {
  const [session] = useState(() => {
    setLook(lookAt(location.search))
    beginWith(location.search)
    return new ProjectSession(project)
  })
  useEffect(() => {
    session.open()
    return () => session.close()
  }, [session])
  return <SessionContext value={session}>{children}</SessionContext>
}
