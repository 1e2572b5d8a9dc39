import { Column, Entity, PrimaryColumn } from 'typeorm'

/** The append-only history of a project. */
@Entity('change_set')
export class ChangeSetRow {
  @PrimaryColumn('uuid', { name: 'project_id' }) projectId!: string
  @PrimaryColumn('integer') counter!: number
  @Column('uuid') id!: string
  @Column('integer') seen!: number
  @Column('text') note!: string
  @Column('jsonb') edits!: object
  /** The version of the format in which its edits are stored. */
  @Column('integer') format!: number
  @Column({ type: 'timestamptz', insert: false, update: false }) at!: Date
}
