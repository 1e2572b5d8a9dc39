import { Module } from '@nestjs/common'
import { ChangesModule } from '../changes/changes.module'
import { InlineRunner } from './inline.runner'
import { JobRunner } from './jobRunner'
import { JobsController } from './jobs.controller'
import { JobsService } from './jobs.service'
import { WorkerThreadRunner } from './workerThread.runner'

@Module({
  imports: [ChangesModule],
  controllers: [JobsController],
  providers: [
    JobsService,
    {
      provide: JobRunner,
      useFactory: () => {
        const file = process.env['HEDRION_JOB_WORKER']
        return file ? new WorkerThreadRunner(file) : new InlineRunner()
      },
    },
  ],
})
export class JobsModule {}
