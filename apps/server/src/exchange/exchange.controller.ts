import { Body, Controller, Get, Param, ParseUUIDPipe, Post, Query, Res } from '@nestjs/common'
import { ApiBody, ApiOperation } from '@nestjs/swagger'
import { ProjectFileQuery, type ProjectSummary } from '@hedrion/contract'
import type { Response } from 'express'
import { ProjectKey } from '../http/projectKey.pipe'
import { ExchangeService } from './exchange.service'

@Controller('api/projects')
export class ExchangeController {
  constructor(private readonly exchange: ExchangeService) {}

  @Post('file')
  @ApiOperation({ summary: 'A new project from a project file (hedrion-project, version 1)' })
  @ApiBody({ schema: { type: 'object' } })
  upload(@Body() file: Record<string, unknown>, @ProjectKey() key?: string): Promise<ProjectSummary> {
    return this.exchange.upload(file, key)
  }

  @Get(':project/file')
  @ApiOperation({ summary: 'The project file, with its history if requested' })
  async download(
    @Param('project', ParseUUIDPipe) project: string,
    @Query() { history }: ProjectFileQuery,
    @Res() response: Response,
  ): Promise<void> {
    const { name, file } = await this.exchange.download(project, history === 'yes')
    response.attachment(`${fileName(name)}.hedrion.json`).type('application/json')
    response.send(`${JSON.stringify(file, null, 1)}\n`)
  }
}

/** No path, no sign that a shell or a file system reads in its own way. */
const fileName = (name: string): string =>
  name
    .normalize('NFKD')
    .replace(/[^A-Za-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .toLowerCase()
    .slice(0, 60) || 'project'
