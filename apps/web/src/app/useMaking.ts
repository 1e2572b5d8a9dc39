import type { ProjectSummary } from '@hedrion/contract'
import { useRef } from 'react'
import { useNavigate } from 'react-router'
import { request } from '../state/api'

/**
 * Makes projects and goes to them. Asked for again after an answer that was lost, what was made is answered, and nothing is made twice;
 * `what` tells one wish from another.
 */
export function useMaking() {
  const keys = useRef(new Map<string, string>())
  const navigate = useNavigate()
  return async (what: string, path: string, body: unknown): Promise<void> => {
    const key = keys.current.get(what) ?? crypto.randomUUID()
    keys.current.set(what, key)
    const { id } = await request<ProjectSummary>('POST', path, body, key)
    keys.current.delete(what)
    await navigate(`/p/${id}/building`)
  }
}
