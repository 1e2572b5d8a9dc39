import { Catch, HttpException, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common'
import type { ApiProblem } from '@hedrion/contract'
import type { Request, Response } from 'express'
import { awayProblem } from '../database/away'
import { Problem } from './problem'

/** Gives every failure one shape, and the place it is about; the unknown is logged, and said without its inside. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  readonly #log = new Logger('Problem')

  catch(error: unknown, host: ArgumentsHost): void {
    const http = host.switchToHttp()
    const response = http.getResponse<Response>()
    if (response.headersSent) return
    const { method, path: asked } = http.getRequest<Request>()
    const [status, problem] = this.#shape(error, method === 'GET' || method === 'HEAD')
    const path = problem.path ?? problem.problems?.[0]?.path ?? asked
    if (status === 503) response.setHeader('retry-after', '2')
    response.status(status).json({ ...problem, path } satisfies ApiProblem)
  }

  #shape(error: unknown, isRead: boolean): readonly [number, ApiProblem] {
    const known = error instanceof Problem ? error : awayProblem(error, isRead)
    if (known) return [known.getStatus(), known.getResponse() as ApiProblem]
    if (error instanceof HttpException)
      return [error.getStatus(), { code: `http.${error.getStatus()}`, message: error.message }]
    const refused = refusedStatus(error)
    if (refused)
      return [refused, { code: `http.${refused}`, message: sentences[refused] ?? 'The request could not be read.' }]
    this.#log.error(error instanceof Error ? error.stack : String(error))
    return [500, { code: 'server.failed', message: 'Internal error. Nothing was changed. Try again.' }]
  }
}

const sentences: Readonly<Record<number, string>> = {
  404: 'Not found.',
  416: 'The requested range is not in this file.',
}

/** What a library refuses by a status of its own: a path that is no path, a part that a file does not have. */
function refusedStatus(error: unknown): number | undefined {
  const { status } = error instanceof Error ? (error as Error & { readonly status?: unknown }) : { status: undefined }
  return typeof status === 'number' && status >= 400 && status < 500 ? status : undefined
}
