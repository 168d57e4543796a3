import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A log may be of a system of several switches. */
export class Fifth1795996800000 implements MigrationInterface {
  name = 'Fifth1795996800000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE job ADD COLUMN about TEXT NOT NULL DEFAULT 'switch'`);
  }

  async down(): Promise<void> {
    throw new Error('An older Which Way cannot read this database: restore a backup instead.');
  }
}
