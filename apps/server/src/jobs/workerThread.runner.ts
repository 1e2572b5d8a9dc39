import { Worker } from 'node:worker_threads'
import { JobRunner, type JobInput, type JobRun } from './jobRunner'

type Message = { readonly done: number } | { readonly result: Uint8Array }

/** Memory of a thread, in MB; one that needs more ends, and the server goes on. */
const memory = 2048

/** One thread per job, so that the server answers while it computes, and its memory is given back; cancelling ends the thread. */
export class WorkerThreadRunner extends JobRunner {
  constructor(private readonly file: string) {
    super()
  }

  run(input: JobInput, onPart: (done: number) => void): JobRun {
    const worker = new Worker(this.file, {
      workerData: input,
      resourceLimits: { maxOldGenerationSizeMb: memory },
    })
    const result = new Promise<Uint8Array>((resolve, reject) => {
      worker.on('message', (message: Message) => {
        if ('done' in message) onPart(message.done)
        else resolve(message.result)
      })
      worker.once('error', reject)
      worker.once('exit', (code) => reject(new Error(`the thread ended without an answer (${code})`)))
    })
    return { result, cancel: () => void worker.terminate() }
  }
}
