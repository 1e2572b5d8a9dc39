import { limits, type ProjectSummary } from '@hedrion/contract'
import { useState } from 'react'
import { request } from '../state/api'

type Projects = readonly ProjectSummary[]

/** Those of the pages so far, and of the next one; whether there may be more. */
export async function withNextPage(before: Projects, query = ''): Promise<{ projects: Projects; hasMore: boolean }> {
  const last = before.at(-1)
  const words = [query, last ? `after=${last.changedAt},${last.id}` : ''].filter(Boolean)
  const page = await request<Projects>('GET', `/projects?${words.join('&')}`)
  return { projects: [...before, ...page], hasMore: page.length >= limits.projects }
}

/** The first page of the projects and those that were asked for after it. */
export function usePages(first: Projects) {
  const [all, setAll] = useState<Projects>([])
  const [isWhole, setWhole] = useState(false)
  const there = new Set(first.map(({ id }) => id))
  const projects = [...first, ...all.filter(({ id }) => !there.has(id))]
  const load = async () => {
    const next = await withNextPage(projects)
    setAll(next.projects)
    setWhole(!next.hasMore)
  }
  const restart = () => {
    setAll([])
    setWhole(false)
  }
  return { projects, restart, more: !isWhole && projects.length >= limits.projects ? load : null }
}
