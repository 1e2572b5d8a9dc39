import { resultStages, type ResultStage } from '@hedrion/core'
import { IsIn, IsOptional } from 'class-validator'

export const jobKinds = ['results', 'csv'] as const
export type JobKind = (typeof jobKinds)[number]

export class JobBody {
  @IsIn(jobKinds, { message: `A job is one of ${jobKinds.join(', ')}.` })
  kind!: JobKind

  /** One stage of the results alone. */
  @IsOptional()
  @IsIn(resultStages, { message: `A stage is one of ${resultStages.join(', ')}.` })
  only?: ResultStage
}

export interface JobStatus {
  readonly id: string
  readonly kind: JobKind
  readonly state: 'waiting' | 'running' | 'done' | 'failed' | 'cancelled'
  /** The counter of the project that it computes, or, while it waits, that of the project when it was asked for. */
  readonly counter: number
  /** Parts that are done, of all. */
  readonly done: number
  readonly of: number
  /** Why it failed. */
  readonly problem: string | null
}
