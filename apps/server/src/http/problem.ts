import { HttpException } from '@nestjs/common'
import type { ApiProblem } from '@hedrion/contract'

/** A refusal of the server: a stable code, a sentence, and what is needed to mend it. */
export class Problem extends HttpException {
  constructor(
    status: number,
    code: string,
    message: string,
    more: Pick<ApiProblem, 'problems' | 'conflicts' | 'path'> = {},
  ) {
    super({ code, message, ...more } satisfies ApiProblem, status)
  }
}

export const unknownProject = (): Problem =>
  new Problem(404, 'project.unknown', 'Project not found. It may have been deleted.')
