import type { KnownSwitch } from '@which-way/core/switch';
import type { MigrationInterface, QueryRunner } from 'typeorm';
import { derivedColumns } from '../library/entry-columns.js';

const COLUMNS = {
  number: 'TEXT',
  same: 'TEXT',
  amps: 'REAL',
  motor_amps: 'REAL',
  volts_ac: 'REAL',
  volts_dc: 'REAL',
  price: 'REAL',
  in_stock: 'INTEGER',
  disconnection: 'TEXT',
  springs: 'INTEGER',
  making: 'TEXT',
  making_order: 'TEXT',
  making_version: 'INTEGER',
} as const;

/** What an entry of the library is found by becomes columns; the text index knows numbers and markings too. */
export class Fourth1795910400000 implements MigrationInterface {
  name = 'Fourth1795910400000';

  async up(runner: QueryRunner): Promise<void> {
    for (const [name, type] of Object.entries(COLUMNS))
      await runner.query(`ALTER TABLE library_entry ADD COLUMN ${name} ${type}`);
    await this.#workOut(runner);
    await runner.query(
      'CREATE INDEX library_entry_same ON library_entry (same) WHERE import IS NULL AND same IS NOT NULL',
    );
    await runner.query('DROP TRIGGER library_entry_text');
    const words = (row: string) => `coalesce(${row}.number, '') || ' ' ||
      coalesce(json_extract(${row}.body, '$.facts.marking'), '') || ' ' ||
      (SELECT group_concat(value, ' ') FROM json_each(${row}.body, '$.terminals'))`;
    await runner.query(`CREATE TRIGGER library_entry_text AFTER INSERT ON library_entry BEGIN
      INSERT INTO library_text (rowid, name, maker, family, note, labels) VALUES (
        NEW.row, NEW.name, coalesce(NEW.maker, ''), NEW.family, coalesce(NEW.note, ''), ${words('NEW')}); END`);
    await runner.query('DELETE FROM library_text');
    await runner.query(`INSERT INTO library_text (rowid, name, maker, family, note, labels)
      SELECT e.row, e.name, coalesce(e.maker, ''), e.family, coalesce(e.note, ''), ${words('e')} FROM library_entry e`);
  }

  async #workOut(runner: QueryRunner): Promise<void> {
    const set = Object.keys(COLUMNS).map((name) => `${name} = ?`);
    for (let after = 0; ;) {
      const rows = (await runner.query(
        'SELECT row, body FROM library_entry WHERE row > ? ORDER BY row LIMIT 500',
        [after],
      )) as { row: number; body: string }[];
      for (const { row, body } of rows) {
        const derived = derivedColumns(JSON.parse(body) as KnownSwitch);
        const values = Object.keys(COLUMNS).map((name) => derived[name] ?? null);
        await runner.query(`UPDATE library_entry SET ${set.join(', ')} WHERE row = ?`, [...values, row]);
        after = row;
      }
      if (rows.length < 500) return;
    }
  }

  async down(): Promise<void> {
    throw new Error('An older Which Way cannot read this database: restore a backup instead.');
  }
}
