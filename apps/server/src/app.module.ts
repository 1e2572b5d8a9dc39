import { Module } from '@nestjs/common'
import { TypeOrmModule } from '@nestjs/typeorm'
import { LoggerModule } from 'nestjs-pino'
import { ChangesModule } from './changes/changes.module'
import { ChangeSetRow } from './database/changeSet.entity'
import { migrations } from './database/migrations'
import { ProjectRow } from './database/project.entity'
import { RecordRow } from './database/record.entity'
import { DemoModule } from './demo/demo.module'
import { ExchangeModule } from './exchange/exchange.module'
import { HealthController } from './http/health.controller'
import { JobsModule } from './jobs/jobs.module'
import { ProjectsModule } from './projects/projects.module'
import { SiteDataModule } from './site-data/siteData.module'

@Module({
  imports: [
    LoggerModule.forRoot({
      pinoHttp: {
        level: process.env['LOG_LEVEL'] ?? 'warn',
        redact: ['req.headers.cookie', 'req.headers.authorization'],
      },
    }),
    TypeOrmModule.forRoot({
      type: 'postgres',
      url: process.env['DATABASE_URL'] ?? '',
      entities: [ProjectRow, RecordRow, ChangeSetRow],
      migrations,
      migrationsRun: true,
      synchronize: false,
    }),
    ProjectsModule,
    ChangesModule,
    ExchangeModule,
    JobsModule,
    SiteDataModule,
    DemoModule,
  ],
  controllers: [HealthController],
})
export class AppModule {}
