import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Spaces of every sort that a title could consist of: a title of nothing else was stored, and no file with one is read. */
const SPACES = 'char(9, 10, 11, 12, 13, 32, 160, 8232, 8233, 8195, 12288, 65279)';

/** A job whose title is blank is called by its number, so that a file of it can be taken in again. */
export class Third1795824000000 implements MigrationInterface {
  name = 'Third1795824000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `UPDATE job SET title = 'Job ' || number, version = version + 1 WHERE trim(title, ${SPACES}) = ''`,
    );
  }

  /** What was blank is not made blank again. */
  async down(): Promise<void> {}
}
