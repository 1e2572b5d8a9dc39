import { limits } from '@hedrion/contract'
import { fileLimits, type JsonLimits } from '@hedrion/core'
import { raw, type NextFunction, type Request, type RequestHandler, type Response } from 'express'
import type { BodyReader } from './bodyReader'
import { Problem } from './problem'

interface Taken extends JsonLimits {
  readonly bytesOf: RequestHandler
}

const taking = (of: JsonLimits): Taken => ({ ...of, bytesOf: raw({ limit: of.bytes, type: () => true }) })

const small = taking({ bytes: limits.body, depth: 8, values: 2000 })
const change = taking({ bytes: limits.change, depth: fileLimits.depth, values: 4_000_000 })
const file = taking(fileLimits)

/** JSON only, and of each route no more than it needs. */
export function bodyLimits(reader: BodyReader): RequestHandler {
  return (request: Request, response: Response, next: NextFunction) => {
    const refusal = headProblem(request)
    if (refusal) {
      next(refusal)
      return
    }
    const taken = takenAt(request.path)
    taken.bytesOf(request, response, (error?: unknown) => {
      if (error) next(bodyProblem(error))
      else void readInto(request, reader, taken).then(() => next(), next)
    })
  }
}

async function readInto(request: Request, reader: BodyReader, taken: Taken): Promise<void> {
  const bytes: unknown = request.body
  if (!Buffer.isBuffer(bytes) || bytes.length === 0) {
    request.body = undefined
    return
  }
  const { bytesOf: _, ...within } = taken
  request.body = undefined
  const read = await reader.read(bytes, within)
  if (!read.ok) throw new Problem(read.status, read.code, read.message, { path: read.path })
  request.body = read.value
}

function headProblem(request: Request): Problem | undefined {
  const { 'content-length': length, 'transfer-encoding': transfer, 'content-type': type = '' } = request.headers
  if ((length === undefined && transfer === undefined) || length === '0') return undefined
  if (!request.is('application/json'))
    return new Problem(415, 'request.not-json', 'Send JSON (content type application/json).', { path: 'content-type' })
  const charset = /charset\s*=\s*"?([^";\s]+)/i.exec(type)?.[1]?.toLowerCase() ?? 'utf-8'
  return charset === 'utf-8' || charset === 'utf8'
    ? undefined
    : new Problem(415, 'request.encoding', 'Send JSON in UTF-8.', { path: 'content-type' })
}

function takenAt(path: string): Taken {
  if (/^\/projects\/file\/?$/.test(path)) return file
  return /^\/projects\/[^/]+\/changes\/?$/.test(path) ? change : small
}

/** What the reader of the bytes refuses, in our words. */
function bodyProblem(error: unknown): unknown {
  switch ((error as { readonly type?: unknown }).type) {
    case 'entity.too.large':
      return new Problem(413, 'request.too-large', 'The request is larger than the server accepts.', { path: 'body' })
    case 'encoding.unsupported':
    case 'request.aborted':
    case 'request.size.invalid':
      return new Problem(400, 'request.unreadable', 'The request could not be read.', { path: 'body' })
    default:
      return error
  }
}
