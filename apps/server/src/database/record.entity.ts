import { Column, Entity, PrimaryColumn } from 'typeorm'

/** One row per record of a project, as it is after the last change set. */
@Entity('record')
export class RecordRow {
  @PrimaryColumn('uuid', { name: 'project_id' }) projectId!: string
  @PrimaryColumn('text') id!: string
  @Column('text') kind!: string
  @Column('jsonb') body!: object
  /** The project's counter when the record was written. */
  @Column('integer') counter!: number
}
