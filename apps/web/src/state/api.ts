import type { ApiProblem } from '@hedrion/contract'

/** The server refused a request, in its words. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    readonly problem: ApiProblem,
  ) {
    super(problem.message)
  }
}

/** The server could not be reached: the network is away, or it is not running. */
export class Unreachable extends Error {}

const isProblem = (value: unknown): value is ApiProblem =>
  typeof value === 'object' && value !== null && 'code' in value && 'message' in value

/** Sends a request to our server and reads its JSON; throws `Refused` or `Unreachable`. */
export async function request<T>(method: string, path: string, body?: unknown): Promise<T> {
  let response: Response
  try {
    response = await fetch(`/api${path}`, {
      method,
      ...(body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
    })
  } catch {
    throw new Unreachable('The server does not answer.')
  }
  const answer: unknown = await response.json().catch(() => undefined)
  if (response.ok) return answer as T
  if (isProblem(answer) && response.status < 500) throw new Refused(response.status, answer)
  throw new Unreachable(isProblem(answer) ? answer.message : 'The server does not answer.')
}
