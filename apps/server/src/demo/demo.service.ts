import { Injectable, type OnApplicationBootstrap } from '@nestjs/common'
import { demoChanges, demoName } from '@hedrion/core'
import { DataSource } from 'typeorm'
import { ProjectRow } from '../database/project.entity'
import { ProjectsService } from '../projects/projects.service'

export const demoId = '00000000-0000-4000-8000-00000000d3a0'

/** Makes the demo once, at the first start; deleted by a person, it does not come back. */
@Injectable()
export class DemoService implements OnApplicationBootstrap {
  constructor(
    private readonly database: DataSource,
    private readonly projects: ProjectsService,
  ) {}

  async onApplicationBootstrap(): Promise<void> {
    if (process.env['HEDRION_DEMO'] !== '1') return
    const made = await this.database.manager.findOneBy(ProjectRow, { id: demoId })
    if (made) return
    await this.projects.createFrom({ id: demoId, from: null }, demoName, demoChanges)
  }
}
