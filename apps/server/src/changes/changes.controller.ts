import { Body, Controller, Get, HttpCode, Param, ParseUUIDPipe, Post, Query, UseGuards } from '@nestjs/common'
import { ApiHeader, ApiOperation } from '@nestjs/swagger'
import { ChangeSetBody, formatHeader, type AcceptedChange, type ChangeAnswer } from '@hedrion/contract'
import { CounterPipe } from '../http/counter.pipe'
import { SameFormat } from '../http/sameFormat'
import { ChangesService } from './changes.service'

@Controller('api/projects/:project/changes')
@UseGuards(SameFormat)
@ApiHeader({ name: formatHeader, description: 'Format version that the page reads and writes' })
export class ChangesController {
  constructor(private readonly changes: ChangesService) {}

  @Post()
  @HttpCode(200)
  @ApiOperation({ summary: 'Accept a change set; a retry with the same id returns the first answer' })
  accept(@Param('project', ParseUUIDPipe) project: string, @Body() body: ChangeSetBody): Promise<ChangeAnswer> {
    return this.changes.accept(project, body)
  }

  @Get()
  @ApiOperation({ summary: 'Change sets after a counter, oldest first' })
  after(
    @Param('project', ParseUUIDPipe) project: string,
    @Query('after', CounterPipe) counter: number,
  ): Promise<readonly AcceptedChange[]> {
    return this.changes.after(project, counter)
  }

  @Get('latest')
  @ApiOperation({ summary: 'The latest change sets, newest first' })
  latest(@Param('project', ParseUUIDPipe) project: string): Promise<readonly AcceptedChange[]> {
    return this.changes.latest(project)
  }
}
