import { limits } from '@hedrion/contract'
import { json, type NextFunction, type Request, type RequestHandler, type Response } from 'express'
import { Problem } from './problem'

/** A key that could change what an object is, rather than what it holds. */
const refuseHostileKeys = (key: string, value: unknown): unknown => {
  if (key === '__proto__') throw new SyntaxError('A field is called __proto__, which is not allowed.')
  return value
}

const parserFor = (limit: number): RequestHandler => json({ limit, strict: true, reviver: refuseHostileKeys })

const small = parserFor(limits.body)
const change = parserFor(limits.change)
const file = parserFor(limits.file)

/** JSON only, and of each route no more than it needs. */
export function bodyLimits(): RequestHandler {
  return (request: Request, response: Response, next: NextFunction) => {
    const hasBody =
      request.headers['content-length'] !== undefined || request.headers['transfer-encoding'] !== undefined
    const empty = request.headers['content-length'] === '0'
    if (hasBody && !empty && !request.is('application/json')) {
      next(new Problem(415, 'request.not-json', 'Send JSON (content type application/json).'))
      return
    }
    parserOf(request.path)(request, response, (error?: unknown) => next(error ? bodyProblem(error) : undefined))
  }
}

function parserOf(path: string): RequestHandler {
  if (/^\/projects\/file\/?$/.test(path)) return file
  return /^\/projects\/[^/]+\/changes\/?$/.test(path) ? change : small
}

/** What the body parser refuses, in our words. */
function bodyProblem(error: unknown): unknown {
  const { type, message } = { type: '', message: '', ...(error as object) }
  const said = error instanceof Error ? error.message : message
  switch (type) {
    case 'entity.too.large':
      return new Problem(413, 'request.too-large', 'This is larger than the server takes here.')
    case 'entity.parse.failed':
      return new Problem(400, 'request.broken-json', `This JSON cannot be read: ${said.slice(0, 160)}`)
    case 'encoding.unsupported':
    case 'charset.unsupported':
    case 'request.aborted':
    case 'request.size.invalid':
      return new Problem(400, 'request.unreadable', 'The request could not be read.')
    default:
      return error
  }
}
