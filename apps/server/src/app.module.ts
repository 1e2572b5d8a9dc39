import { Module } from '@nestjs/common'
import { TypeOrmModule } from '@nestjs/typeorm'
import { LoggerModule } from 'nestjs-pino'
import { ChangesModule } from './changes/changes.module'
import { databaseOptions } from './database/connection'
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
    TypeOrmModule.forRootAsync({ useFactory: () => databaseOptions(process.env['DATABASE_URL'] ?? '') }),
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
