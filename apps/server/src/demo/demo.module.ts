import { Module } from '@nestjs/common'
import { ProjectsModule } from '../projects/projects.module'
import { DemoService } from './demo.service'

@Module({ imports: [ProjectsModule], providers: [DemoService] })
export class DemoModule {}
