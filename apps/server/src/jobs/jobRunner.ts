import type { JobKind } from '@hedrion/contract'
import type { ResultStage } from '@hedrion/core'

/** What a job computes from: the project file as text, so that it may travel to a thread. */
export interface JobInput {
  readonly kind: JobKind
  readonly only: ResultStage | null
  readonly file: string
}

/** A run under way; its result is JSON, compressed (gzip). */
export interface JobRun {
  readonly result: Promise<Uint8Array>
  cancel(): void
}

/** Runs a job somewhere; `onPart` hears how many of its parts are done. */
export abstract class JobRunner {
  abstract run(input: JobInput, onPart: (done: number) => void): JobRun
}
