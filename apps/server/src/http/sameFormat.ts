import type { CanActivate, ExecutionContext } from '@nestjs/common'
import { formatVersion } from '@hedrion/core'
import { formatHeader, outdated } from '@hedrion/contract'
import type { Request } from 'express'
import { Problem } from './problem'

/**
 * Change sets are exchanged between a page and a server of one version of the format. A page of another build is told so by 503, on
 * which every build keeps what it has and tries again: nothing is lost.
 */
export class SameFormat implements CanActivate {
  canActivate(context: ExecutionContext): boolean {
    const said = Number(context.switchToHttp().getRequest<Request>().headers[formatHeader] ?? 1)
    if (said === formatVersion) return true
    if (said > formatVersion)
      throw new Problem(503, outdated.server, 'The server version is older than this page. Start the newer server.')
    throw new Problem(
      503,
      outdated.page,
      `This page is older than the server. Reload it; unsent changes are kept (header ${formatHeader}: ${formatVersion}).`,
    )
  }
}
