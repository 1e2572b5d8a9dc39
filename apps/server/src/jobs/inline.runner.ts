import { computeJob } from './computeJob'
import { JobRunner, type JobInput, type JobRun } from './jobRunner'

/** Computes in the server's own thread, for tests that run without a build. */
export class InlineRunner extends JobRunner {
  run(input: JobInput): JobRun {
    let cancelled = false
    const result = new Promise<unknown>((resolve, reject) =>
      setImmediate(() => {
        if (cancelled) return reject(new Error('cancelled'))
        try {
          resolve(computeJob(input))
        } catch (error) {
          reject(error instanceof Error ? error : new Error(String(error)))
        }
      }),
    )
    return { result, cancel: () => (cancelled = true) }
  }
}
