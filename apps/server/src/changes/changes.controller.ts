import { Body, Controller, Get, HttpCode, Param, ParseIntPipe, ParseUUIDPipe, Post, Query } from '@nestjs/common'
import { ApiOperation } from '@nestjs/swagger'
import { ChangeSetBody, type AcceptedChange, type ChangeAnswer } from '@hedrion/contract'
import { ChangesService } from './changes.service'

@Controller('api/projects/:project/changes')
export class ChangesController {
  constructor(private readonly changes: ChangesService) {}

  @Post()
  @HttpCode(200)
  @ApiOperation({ summary: 'Accept a change set; a retry with the same id answers as the first time' })
  accept(@Param('project', ParseUUIDPipe) project: string, @Body() body: ChangeSetBody): Promise<ChangeAnswer> {
    return this.changes.accept(project, body)
  }

  @Get()
  @ApiOperation({ summary: 'Change sets after a counter, oldest first' })
  after(
    @Param('project', ParseUUIDPipe) project: string,
    @Query('after', ParseIntPipe) counter: number,
  ): Promise<readonly AcceptedChange[]> {
    return this.changes.after(project, counter)
  }

  @Get('latest')
  @ApiOperation({ summary: 'The latest change sets, newest first' })
  latest(@Param('project', ParseUUIDPipe) project: string): Promise<readonly AcceptedChange[]> {
    return this.changes.latest(project)
  }
}
