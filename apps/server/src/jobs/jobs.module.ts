import { Module } from '@nestjs/common'
import { ChangesModule } from '../changes/changes.module'
import { InlineRunner } from './inline.runner'
import { JobQueue } from './jobQueue'
import { JobRunner } from './jobRunner'
import { JobsController } from './jobs.controller'
import { JobsService } from './jobs.service'
import { JobWork } from './jobWork.service'
import { WorkerThreadRunner } from './workerThread.runner'

@Module({
  imports: [ChangesModule],
  controllers: [JobsController],
  providers: [
    JobQueue,
    JobsService,
    JobWork,
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
