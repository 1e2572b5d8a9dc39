import { Column, Entity, PrimaryColumn } from 'typeorm'
import type { JobKind, JobStatus } from '@hedrion/contract'
import type { ResultStage } from '@hedrion/core'

/** One row per job that may still be asked for, whichever server runs it. */
@Entity('job')
export class JobRow {
  @PrimaryColumn('uuid') id!: string
  @Column('uuid', { name: 'project_id' }) projectId!: string
  @Column('text') kind!: JobKind
  @Column('text', { name: 'stage', nullable: true }) only!: ResultStage | null
  @Column('integer') counter!: number
  @Column('text') state!: JobStatus['state']
  @Column('integer') done!: number
  @Column('text', { nullable: true }) problem!: string | null
  /** The run that has it; a server that was taken for dead has no say any more. */
  @Column('uuid', { nullable: true }) run!: string | null
  /** How often it was begun. */
  @Column('integer') tries!: number
  /** When the server that runs it last said so. */
  @Column({ type: 'timestamptz', name: 'beat_at', nullable: true }) beatAt!: Date | null
  @Column({ type: 'timestamptz', name: 'ended_at', nullable: true }) endedAt!: Date | null
  /** JSON, compressed (gzip). */
  @Column('bytea', { nullable: true, select: false }) result!: Buffer | null
}
