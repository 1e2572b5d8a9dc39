import { Catch, HttpException, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common'
import type { ApiProblem } from '@hedrion/contract'
import type { Response } from 'express'
import { Problem } from './problem'

/** Gives every failure one shape; the unknown is logged, and said without its inside. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  readonly #log = new Logger('Problem')

  catch(error: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>()
    if (response.headersSent) return
    const [status, problem] = this.#shape(error)
    response.status(status).json(problem)
  }

  #shape(error: unknown): readonly [number, ApiProblem] {
    if (error instanceof Problem) return [error.getStatus(), error.getResponse() as ApiProblem]
    if (error instanceof HttpException)
      return [error.getStatus(), { code: `http.${error.getStatus()}`, message: error.message }]
    this.#log.error(error instanceof Error ? error.stack : String(error))
    return [500, { code: 'server.failed', message: 'Something went wrong here. Nothing was changed; try again.' }]
  }
}
