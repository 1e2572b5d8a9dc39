import { limits, type ProjectSummary } from '@hedrion/contract'
import { useState } from 'react'
import { request } from '../state/api'

type Projects = readonly ProjectSummary[]

const pageAfter = ({ changedAt, id }: ProjectSummary): Promise<Projects> =>
  request('GET', `/projects?after=${changedAt},${id}`)

/** The first page of the projects and those that were asked for after it. */
export function usePages(first: Projects) {
  const [further, setFurther] = useState<Projects>([])
  const [isWhole, setWhole] = useState(false)
  const there = new Set(first.map(({ id }) => id))
  const projects = [...first, ...further.filter(({ id }) => !there.has(id))]
  const last = projects.at(-1)
  const load = async (after: ProjectSummary) => {
    const page = await pageAfter(after)
    setFurther([...further, ...page])
    setWhole(page.length < limits.projects)
  }
  const restart = () => {
    setFurther([])
    setWhole(false)
  }
  const hasMore = last !== undefined && !isWhole && projects.length >= limits.projects
  return { projects, restart, more: hasMore ? () => load(last) : null }
}
