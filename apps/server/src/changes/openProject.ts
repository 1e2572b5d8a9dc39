import type { EntityManager } from 'typeorm'
import { ProjectRow } from '../database/project.entity'
import { unknownProject } from '../http/problem'

/** The row of a project that is there. */
export async function openProject(manager: EntityManager, id: string): Promise<ProjectRow> {
  const project = await manager.findOneBy(ProjectRow, { id })
  if (!project || project.deletedAt) throw unknownProject()
  return project
}

/** The same, held against other writers until the transaction ends. */
export async function lockProject(manager: EntityManager, id: string): Promise<ProjectRow> {
  const project = await manager.findOne(ProjectRow, { where: { id }, lock: { mode: 'pessimistic_write' } })
  if (!project || project.deletedAt) throw unknownProject()
  return project
}
