import { fileLimits } from '@hedrion/core'
import type { ApiProblem } from '@hedrion/contract'
import { Refused } from '../state/api'

const broken = (message: string): Refused => new Refused(422, { code: 'file.refused', message } satisfies ApiProblem)

/** Reads a chosen file as JSON; one that is too large or not JSON is refused before it is sent. */
export async function readFile(file: File): Promise<unknown> {
  if (file.size > fileLimits.bytes) throw broken(`${file.name} is larger than ${fileLimits.bytes / 1024 / 1024} MB.`)
  const text = await file.text()
  try {
    return JSON.parse(text) as unknown
  } catch (error) {
    throw broken(
      `${file.name} is not valid JSON (${error instanceof Error ? error.message.slice(0, 120) : 'unreadable'}).`,
    )
  }
}
