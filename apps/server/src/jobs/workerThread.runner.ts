import { Worker } from 'node:worker_threads'
import { JobRunner, type JobInput, type JobRun } from './jobRunner'

/** One thread per job, so that the server answers while it computes; cancelling ends the thread. */
export class WorkerThreadRunner extends JobRunner {
  constructor(private readonly file: string) {
    super()
  }

  run(input: JobInput): JobRun {
    const worker = new Worker(this.file, { workerData: input })
    const result = new Promise<unknown>((resolve, reject) => {
      worker.once('message', resolve)
      worker.once('error', reject)
      worker.once('exit', (code) => reject(new Error(`the thread ended without an answer (${code})`)))
    })
    return { result, cancel: () => void worker.terminate() }
  }
}
