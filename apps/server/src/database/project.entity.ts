import { Column, Entity, PrimaryColumn } from 'typeorm'

/** One row per project; `name` repeats that of the basis record, for lists. */
@Entity('project')
export class ProjectRow {
  @PrimaryColumn('uuid') id!: string
  @Column('text') name!: string
  /** The version of the format in which its records are stored. */
  @Column('integer') format!: number
  /** The edition of the results that a reader of this project was last told of. */
  @Column('integer') results!: number
  /** How many change sets were accepted. */
  @Column('integer') counter!: number
  @Column({ type: 'timestamptz', name: 'created_at', insert: false, update: false }) createdAt!: Date
  @Column({ type: 'timestamptz', name: 'changed_at' }) changedAt!: Date
  @Column({ type: 'timestamptz', name: 'deleted_at', nullable: true }) deletedAt!: Date | null
  /** Digest of what it was made from, under its id as the key of the request; null where the server chose the id. */
  @Column('text', { name: 'made_from', nullable: true }) madeFrom!: string | null
}
