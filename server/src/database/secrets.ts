import type Database from 'libsql';

/** What a database holds that lets people in: never part of a backup, and dropped from one that is put back. */
const SECRETS: readonly { table: string; where: string }[] = [
  // The shop's code; links and sessions were notes once.
  { table: 'note', where: "key = 'access' OR key LIKE 'share %' OR key LIKE 'share-of %'" },
  { table: 'link', where: '1' },
  { table: 'session', where: '1' },
];

/** Takes the secrets out of a database file that nobody uses, so that no page of it holds them any more. */
export function dropSecrets(database: Database.Database): void {
  database.exec('PRAGMA secure_delete = ON');
  const there = database.prepare("SELECT name FROM sqlite_master WHERE type = 'table'").all() as {
    name: string;
  }[];
  for (const { table, where } of SECRETS)
    if (there.some(({ name }) => name === table)) database.exec(`DELETE FROM ${table} WHERE ${where}`);
}
