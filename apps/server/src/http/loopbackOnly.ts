import type { NextFunction, Request, Response } from 'express'
import { Problem } from './problem'

const loopback = /^(127\.0\.0\.1|localhost|\[::1\])(:\d{1,5})?$/

const refuse = (next: NextFunction, status: number, code: string, message: string, path: string): void =>
  next(new Problem(status, code, message, { path }))

/** Refuses other hosts (a name that someone points at loopback), two of them at once, and pages of other origins. */
export function loopbackOnly(request: Request, _: Response, next: NextFunction): void {
  const { host, origin } = request.headers
  // Node keeps the first of several and drops the others
  const hosts = request.rawHeaders.filter((name, i) => i % 2 === 0 && name.toLowerCase() === 'host')
  if (hosts.length > 1) return refuse(next, 400, 'request.host', 'A request must have one Host header.', 'host')
  if (!host || !loopback.test(host))
    return refuse(next, 403, 'request.host', 'This server answers on loopback only.', 'host')
  if (origin !== undefined && origin !== `http://${host}`)
    return refuse(next, 403, 'request.origin', 'This page is not allowed to use this server.', 'origin')
  next()
}
