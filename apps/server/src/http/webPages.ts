import path from 'node:path'
import { Router, static as staticFiles, type NextFunction, type Request, type Response } from 'express'
import { Problem } from './problem'

/**
 * The built web application: files with a digest in their name may be kept for ever, every other address that wants a
 * page gets the one page. Addresses of the server itself pass by.
 */
export function webPages(folder: string): Router {
  const router = Router()
  router.use('/assets', (request: Request, response: Response, next: NextFunction) => {
    if (request.method === 'GET' || request.method === 'HEAD') return next()
    response.setHeader('Allow', 'GET, HEAD')
    next(new Problem(405, 'http.405', 'Files are read-only.'))
  })
  router.use(
    '/assets',
    staticFiles(path.join(folder, 'assets'), { immutable: true, maxAge: '365d', fallthrough: false }),
  )
  router.use(staticFiles(folder, { index: false }))
  router.use((request: Request, response: Response, next: NextFunction) => {
    const notPages = /^\/(api|health|assets)(\/|$)/.test(request.path)
    if (notPages || request.method !== 'GET' || !request.accepts('html')) return next()
    response.set('Cache-Control', 'no-cache').sendFile(path.join(folder, 'index.html'))
  })
  return router
}
