import { Body, Controller, Delete, Get, HttpCode, Param, ParseUUIDPipe, Patch, Post, Query } from '@nestjs/common'
import { ApiOperation } from '@nestjs/swagger'
import {
  CreateProjectBody,
  ProjectsQuery,
  RenameProjectBody,
  type OpenProject,
  type ProjectSummary,
} from '@hedrion/contract'
import { ProjectKey } from '../http/projectKey.pipe'
import { ProjectsService } from './projects.service'

@Controller('api/projects')
export class ProjectsController {
  constructor(private readonly projects: ProjectsService) {}

  @Get()
  @ApiOperation({ summary: 'One page of the projects, or of the deleted projects, last changed first' })
  list(@Query() query: ProjectsQuery): Promise<readonly ProjectSummary[]> {
    return this.projects.list(query)
  }

  @Post()
  @ApiOperation({ summary: 'A new project: empty, or the demo' })
  create(@Body() { name, start }: CreateProjectBody, @ProjectKey() key?: string): Promise<ProjectSummary> {
    return start === 'demo' ? this.projects.createDemo(name, key) : this.projects.createEmpty(name, key)
  }

  @Get(':project')
  @ApiOperation({ summary: 'All records of a project, with its counter' })
  open(@Param('project', ParseUUIDPipe) id: string): Promise<OpenProject> {
    return this.projects.open(id)
  }

  @Patch(':project')
  @ApiOperation({ summary: 'Rename a project' })
  rename(@Param('project', ParseUUIDPipe) id: string, @Body() { name }: RenameProjectBody): Promise<ProjectSummary> {
    return this.projects.rename(id, name)
  }

  @Post(':project/results-read')
  @HttpCode(200)
  @ApiOperation({ summary: 'Mark the notes on changed results as read' })
  resultsRead(@Param('project', ParseUUIDPipe) id: string): Promise<ProjectSummary> {
    return this.projects.resultsRead(id)
  }

  @Delete(':project')
  @ApiOperation({ summary: 'Delete a project; it can be restored' })
  remove(@Param('project', ParseUUIDPipe) id: string): Promise<ProjectSummary> {
    return this.projects.remove(id)
  }

  @Post(':project/restore')
  @ApiOperation({ summary: 'Restore a deleted project' })
  restore(@Param('project', ParseUUIDPipe) id: string): Promise<ProjectSummary> {
    return this.projects.restore(id)
  }
}
