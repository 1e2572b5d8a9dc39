import { Body, Controller, Delete, Get, Param, ParseUUIDPipe, Post, Res } from '@nestjs/common'
import { ApiOperation } from '@nestjs/swagger'
import { JobBody, type JobStatus } from '@hedrion/contract'
import type { Response } from 'express'
import { JobsService } from './jobs.service'

@Controller('api/projects/:project/jobs')
export class JobsController {
  constructor(private readonly jobs: JobsService) {}

  @Post()
  @ApiOperation({ summary: 'Queue a job; it computes the project as it is when the job starts' })
  start(@Param('project', ParseUUIDPipe) project: string, @Body() body: JobBody): Promise<JobStatus> {
    return this.jobs.start(project, body)
  }

  @Get(':job')
  @ApiOperation({ summary: 'Progress of a job' })
  status(
    @Param('project', ParseUUIDPipe) project: string,
    @Param('job', ParseUUIDPipe) job: string,
  ): Promise<JobStatus> {
    return this.jobs.status(project, job)
  }

  @Get(':job/result')
  @ApiOperation({ summary: 'Results of a finished job' })
  async result(
    @Param('project', ParseUUIDPipe) project: string,
    @Param('job', ParseUUIDPipe) job: string,
    @Res() response: Response,
  ): Promise<void> {
    response.type('application/json').send(await this.jobs.result(project, job))
  }

  @Delete(':job')
  @ApiOperation({ summary: 'Cancel a job' })
  cancel(
    @Param('project', ParseUUIDPipe) project: string,
    @Param('job', ParseUUIDPipe) job: string,
  ): Promise<JobStatus> {
    return this.jobs.cancel(project, job)
  }
}
