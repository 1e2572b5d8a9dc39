import type { JobKind } from '@hedrion/contract'
import type { ResultStage } from '@hedrion/core'

/** What a job computes from: the project file as text, so that it may travel to a thread or another machine. */
export interface JobInput {
  readonly kind: JobKind
  readonly only: ResultStage | null
  readonly file: string
}

/** A run under way. */
export interface JobRun {
  readonly result: Promise<unknown>
  cancel(): void
}

/** Runs jobs somewhere: in a thread of this process now, by a queue of the database later. */
export abstract class JobRunner {
  abstract run(input: JobInput): JobRun
}
