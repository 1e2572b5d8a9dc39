import { gzipSync } from 'node:zlib'
import { computeJob } from './computeJob'
import { JobRunner, type JobInput, type JobRun } from './jobRunner'

/** Computes in the server's own thread, for tests that run without a build. */
export class InlineRunner extends JobRunner {
  run(input: JobInput, onPart: (done: number) => void): JobRun {
    let cancelled = false
    const result = new Promise<Uint8Array>((resolve, reject) =>
      setImmediate(() => {
        if (cancelled) return reject(new Error('cancelled'))
        try {
          resolve(gzipSync(JSON.stringify(computeJob(input, onPart))))
        } catch (error) {
          reject(error instanceof Error ? error : new Error(String(error)))
        }
      }),
    )
    return { result, cancel: () => (cancelled = true) }
  }
}
