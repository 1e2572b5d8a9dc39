import { Module } from '@nestjs/common'
import { ChangesModule } from '../changes/changes.module'
import { ProjectsModule } from '../projects/projects.module'
import { ExchangeController } from './exchange.controller'
import { ExchangeService } from './exchange.service'

@Module({ imports: [ChangesModule, ProjectsModule], controllers: [ExchangeController], providers: [ExchangeService] })
export class ExchangeModule {}
