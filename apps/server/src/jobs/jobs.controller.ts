import { Body, Controller, Delete, Get, Param, ParseUUIDPipe, Post } from '@nestjs/common'
import { ApiOperation } from '@nestjs/swagger'
import { JobBody, type JobStatus } from '@hedrion/contract'
import { JobsService } from './jobs.service'

@Controller('api/projects/:project/jobs')
export class JobsController {
  constructor(private readonly jobs: JobsService) {}

  @Post()
  @ApiOperation({ summary: 'Start a job on the project as it is now' })
  start(@Param('project', ParseUUIDPipe) project: string, @Body() body: JobBody): Promise<JobStatus> {
    return this.jobs.start(project, body)
  }

  @Get(':job')
  @ApiOperation({ summary: 'How far a job is' })
  status(@Param('project', ParseUUIDPipe) project: string, @Param('job', ParseUUIDPipe) job: string): JobStatus {
    return this.jobs.status(project, job)
  }

  @Get(':job/result')
  @ApiOperation({ summary: 'What a finished job computed' })
  result(@Param('project', ParseUUIDPipe) project: string, @Param('job', ParseUUIDPipe) job: string): unknown {
    return this.jobs.result(project, job)
  }

  @Delete(':job')
  @ApiOperation({ summary: 'Cancel a job' })
  cancel(@Param('project', ParseUUIDPipe) project: string, @Param('job', ParseUUIDPipe) job: string): JobStatus {
    return this.jobs.cancel(project, job)
  }
}
