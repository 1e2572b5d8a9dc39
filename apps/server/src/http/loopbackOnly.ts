import type { NextFunction, Request, Response } from 'express'
import type { ApiProblem } from '@hedrion/contract'

const loopback = /^(127\.0\.0\.1|localhost|\[::1\])(:\d{1,5})?$/

const refuse = (response: Response, code: string, message: string): void => {
  const problem: ApiProblem = { code, message }
  response.status(403).json(problem)
}

/** Refuses other hosts (a name that someone points at loopback) and pages of other origins. */
export function loopbackOnly(request: Request, response: Response, next: NextFunction): void {
  const { host, origin } = request.headers
  if (!host || !loopback.test(host)) return refuse(response, 'request.host', 'This server answers on loopback only.')
  if (origin !== undefined && origin !== `http://${host}`)
    return refuse(response, 'request.origin', 'This page may not use this server.')
  next()
}
