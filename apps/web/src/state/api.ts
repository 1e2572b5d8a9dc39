import { formatHeader, outdated, projectKeyHeader, type ApiProblem } from '@hedrion/contract'
import { formatVersion } from '@hedrion/core'

/** The server refused a request, in its words. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    readonly problem: ApiProblem,
  ) {
    super(problem.message)
  }
}

/** The server could not be reached, or it cannot do now what it could do later: the network, the server or its database is away. */
export class Unreachable extends Error {
  /** @param code - that of the server, where it said why. */
  constructor(
    message: string,
    readonly code?: string,
  ) {
    super(message)
  }
}

/** The server answered and failed on it: unlike silence, more of the same will not help. */
export class Failed extends Unreachable {}

/** Page and server are of builds that do not read each other's changes: nothing is sent until the page is reloaded. */
export class Outdated extends Error {}

const isProblem = (value: unknown): value is ApiProblem =>
  typeof value === 'object' && value !== null && 'code' in value && 'message' in value

/** Milliseconds after which no answer is one: the server gives up on its database long before. */
const longest = 120_000

/**
 * Sends a request to our server and reads its JSON; throws `Refused`, `Outdated`, `Failed` or `Unreachable`.
 * @param key - of a project that is asked for: sent again with it, the project is made once
 */
export async function request<T>(method: string, path: string, body?: unknown, key?: string): Promise<T> {
  let response: Response
  try {
    response = await fetch(`/api${path}`, {
      method,
      headers: {
        [formatHeader]: String(formatVersion),
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
        ...(key === undefined ? {} : { [projectKeyHeader]: key }),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      signal: AbortSignal.timeout(longest),
    })
  } catch {
    throw new Unreachable('The server is not responding.')
  }
  const answer: unknown = await response.json().catch(() => undefined)
  if (response.ok) return answer as T
  if (isProblem(answer) && response.status < 500) throw new Refused(response.status, answer)
  if (isProblem(answer) && Object.values<string>(outdated).includes(answer.code)) throw new Outdated(answer.message)
  if (isProblem(answer) && response.status !== 503) throw new Failed(answer.message)
  throw isProblem(answer)
    ? new Unreachable(answer.message, answer.code)
    : new Unreachable('The server is not responding.')
}
