import type { MigrationInterface, QueryRunner } from 'typeorm'

/** Projects, their records, and the change sets that made them. */
export class Projects1795500000000 implements MigrationInterface {
  readonly name = 'Projects1795500000000'

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE project (
        id uuid PRIMARY KEY,
        name text NOT NULL,
        counter integer NOT NULL DEFAULT 0,
        created_at timestamptz NOT NULL DEFAULT now(),
        changed_at timestamptz NOT NULL DEFAULT now(),
        deleted_at timestamptz
      )`)
    await runner.query(`
      CREATE TABLE record (
        project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
        id text NOT NULL,
        kind text NOT NULL,
        body jsonb NOT NULL,
        counter integer NOT NULL,
        PRIMARY KEY (project_id, id)
      )`)
    await runner.query(`
      CREATE TABLE change_set (
        project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
        counter integer NOT NULL,
        id uuid NOT NULL,
        seen integer NOT NULL,
        note text NOT NULL,
        edits jsonb NOT NULL,
        at timestamptz NOT NULL DEFAULT now(),
        PRIMARY KEY (project_id, counter),
        UNIQUE (project_id, id)
      )`)
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE change_set')
    await runner.query('DROP TABLE record')
    await runner.query('DROP TABLE project')
  }
}

/** What was stored before versions were is of the first; of its results nothing was said yet. */
export class Formats1796100000000 implements MigrationInterface {
  readonly name = 'Formats1796100000000'

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE project ADD COLUMN format integer NOT NULL DEFAULT 1')
    await runner.query('ALTER TABLE project ADD COLUMN results integer NOT NULL DEFAULT 0')
    await runner.query('ALTER TABLE change_set ADD COLUMN format integer NOT NULL DEFAULT 1')
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE change_set DROP COLUMN format')
    await runner.query('ALTER TABLE project DROP COLUMN results')
    await runner.query('ALTER TABLE project DROP COLUMN format')
  }
}

/** Jobs that any server may run; who runs which is the matter of the queue (pg-boss, in a schema of its own). */
export class Jobs1796200000000 implements MigrationInterface {
  readonly name = 'Jobs1796200000000'

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE job (
        id uuid PRIMARY KEY,
        project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
        kind text NOT NULL,
        stage text,
        counter integer NOT NULL,
        state text NOT NULL,
        done integer NOT NULL DEFAULT 0,
        problem text,
        run uuid,
        tries integer NOT NULL DEFAULT 0,
        beat_at timestamptz,
        ended_at timestamptz,
        result bytea
      )`)
    await runner.query('CREATE INDEX job_state ON job (state)')
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE job')
  }
}

/** A project that is asked for twice under one key is made once. */
export class MadeFrom1796300000000 implements MigrationInterface {
  readonly name = 'MadeFrom1796300000000'

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE project ADD COLUMN made_from text')
    await runner.query('CREATE INDEX project_changed ON project (changed_at DESC, id DESC)')
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP INDEX project_changed')
    await runner.query('ALTER TABLE project DROP COLUMN made_from')
  }
}

export const migrations = [Projects1795500000000, Formats1796100000000, Jobs1796200000000, MadeFrom1796300000000]
