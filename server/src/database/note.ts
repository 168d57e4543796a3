import type { EntityManager } from 'typeorm';

/** Small things that the shop keeps once: a text by its key; null when there is none. */
export async function readNote(manager: EntityManager, key: string): Promise<string | null> {
  const rows: unknown = await manager.query('SELECT value FROM note WHERE key = ?', [key]);
  const first: unknown = Array.isArray(rows) ? rows[0] : null;
  return typeof first === 'object' && first !== null && 'value' in first ? String(first.value) : null;
}

export async function writeNote(manager: EntityManager, key: string, value: string): Promise<void> {
  await manager.query(
    'INSERT INTO note (key, value) VALUES (?, ?) ON CONFLICT (key) DO UPDATE SET value = excluded.value',
    [key, value],
  );
}
