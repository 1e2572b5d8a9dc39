import { formatVersion } from '@hedrion/core'
import type { EntityManager } from 'typeorm'
import { ProjectRow } from '../database/project.entity'
import { Problem, unknownProject } from '../http/problem'

/** The row of a project that is there. */
export async function openProject(manager: EntityManager, id: string): Promise<ProjectRow> {
  return readable(await manager.findOneBy(ProjectRow, { id }))
}

/** The same, held against other writers until the transaction ends. */
export async function lockProject(manager: EntityManager, id: string): Promise<ProjectRow> {
  return readable(await manager.findOne(ProjectRow, { where: { id }, lock: { mode: 'pessimistic_write' } }))
}

function readable(project: ProjectRow | null): ProjectRow {
  if (!project || project.deletedAt) throw unknownProject()
  if (project.format > formatVersion)
    throw new Problem(503, 'project.newer', 'This project was changed by a newer server version. Start that version.')
  return project
}
