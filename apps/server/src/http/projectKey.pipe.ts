import { createParamDecorator, type ExecutionContext } from '@nestjs/common'
import { projectKeyHeader } from '@hedrion/contract'
import type { Request } from 'express'
import { Problem } from './problem'

/** The key of a request that makes a project, where it has one. */
export const ProjectKey = createParamDecorator((_: unknown, context: ExecutionContext): string | undefined => {
  const key = context.switchToHttp().getRequest<Request>().header(projectKeyHeader)?.toLowerCase()
  if (key === undefined || /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/.test(key))
    return key
  throw new Problem(400, 'project.key', 'The key of a new project must be a uuid.', { path: projectKeyHeader })
})
