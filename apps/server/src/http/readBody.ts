import { isUtf8 } from 'node:buffer'
import { shapeProblem, type JsonLimits } from '@hedrion/core'

/** The bytes of a body as JSON, or why they are none; `path` is the place within it. */
export type ReadBody =
  | { readonly ok: true; readonly value: unknown }
  | {
      readonly ok: false
      readonly status: number
      readonly code: string
      readonly message: string
      readonly path: string
    }

const refused = (code: string, message: string, path = '', status = 400): ReadBody => ({
  ok: false,
  status,
  code,
  message,
  path,
})

/** Depth and size are found before anything is parsed. */
export function readBody(bytes: Uint8Array, limits: JsonLimits): ReadBody {
  if (!isUtf8(bytes)) return refused('request.encoding', 'The request is not UTF-8. Send JSON in UTF-8.')
  const text = new TextDecoder().decode(bytes)
  const shape = shapeProblem(text, limits)
  if (shape) return refused('request.shape', shape.problem, shape.path, shape.tooLarge ? 413 : 400)
  try {
    const value: unknown = JSON.parse(text)
    if (typeof value === 'object' && value !== null) return { ok: true, value }
    return refused('request.broken-json', 'A JSON object is expected.')
  } catch (error) {
    const said = error instanceof Error ? error.message : ''
    return refused('request.broken-json', `This JSON cannot be read: ${said.slice(0, 160)}`)
  }
}
