import Database from 'libsql';
import { rmSync } from 'node:fs';
import { DataSource } from 'typeorm';
import { dataSourceOptions, MIGRATIONS } from './data-source.js';

/** Tables and indexes that SQLite and its text index (FTS5) keep for themselves. */
const OWN = /^(sqlite_\w+|library_text_(data|idx|content|docsize|config))$/;

interface Column {
  name: string;
  type: string;
  notnull: number;
  dflt_value: string | null;
  pk: number;
  hidden: number;
}

/** What a database is made of, by the name of each piece: text that is the same for the same piece. */
export type Schema = ReadonlyMap<string, string>;

/** Reads the schema of a database: its tables by their columns, its indexes, triggers and views by their definition. */
export function schemaOf(database: Database.Database): Schema {
  const rows = database
    .prepare('SELECT type, name, tbl_name AS tableName, sql FROM sqlite_master ORDER BY type, name')
    .all() as { type: string; name: string; tableName: string; sql: string | null }[];
  const pieces = new Map<string, string>();
  for (const { type, name, tableName, sql } of rows) {
    if ((type === 'table' || type === 'index') && OWN.test(name)) continue;
    const plain = (sql ?? '').replace(/\s+/g, ' ').trim();
    // Of a table its columns count: how its definition is spelt depends on the steps by which it came about.
    const said = type === 'table' && !/^CREATE VIRTUAL/i.test(plain) ? tableOf(database, name, plain) : plain;
    pieces.set(`${type} ${name}`, `${tableName}: ${said}`);
  }
  return pieces;
}

/** Columns, what they refer to, what of them is unique, and how often its definition asks for something else. */
function tableOf(database: Database.Database, table: string, sql: string): string {
  const all = (pragma: string) =>
    database.prepare(`SELECT * FROM ${pragma}(?)`).all(table) as Record<string, string | number | null>[];
  const columns = (all('pragma_table_xinfo') as unknown as Column[]).map(
    ({ name, type, notnull, dflt_value, pk, hidden }) =>
      [name, type.toUpperCase(), notnull, dflt_value ?? '', pk, hidden].join(' '),
  );
  const refers = all('pragma_foreign_key_list').map((key) =>
    [key['table'], key['from'], key['to'], key['on_update'], key['on_delete']].join(' '),
  );
  const unique = all('pragma_index_list')
    .filter((index) => index['unique'] === 1 && index['origin'] !== 'c')
    .map((index) =>
      database
        .prepare('SELECT name FROM pragma_index_info(?)')
        .all(String(index['name']))
        .map((column) => (column as { name: string }).name)
        .join(' '),
    )
    .sort();
  const asks = (sql.match(/\b(CHECK|STRICT|WITHOUT ROWID|GENERATED|COLLATE)\b/gi) ?? []).join(' ');
  return JSON.stringify([columns, refers, unique, asks.toUpperCase()]);
}

/** The first piece in which two schemas differ; null: they are the same. */
export function differenceOf(found: Schema, wanted: Schema): string | null {
  for (const [name, said] of found) {
    if (!wanted.has(name)) return `${name} does not belong in it`;
    if (wanted.get(name) !== said) return `${name} is not as it should be`;
  }
  for (const name of wanted.keys()) if (!found.has(name)) return `${name} is missing`;
  return null;
}

/**
 * The schema of a database that was migrated up to a level and no further, by making one.
 * @param level how many of the migrations were run.
 * @param path where it may be made; it is gone afterwards.
 */
export async function schemaAt(level: number, path: string): Promise<Schema> {
  const source = new DataSource({
    ...dataSourceOptions(path),
    migrations: MIGRATIONS.slice(0, level),
  } as ReturnType<typeof dataSourceOptions>);
  try {
    await source.initialize();
    await source.destroy();
    const made = new Database(path);
    try {
      return schemaOf(made);
    } finally {
      made.close();
    }
  } finally {
    for (const ending of ['', '-wal', '-shm']) rmSync(path + ending, { force: true });
  }
}
