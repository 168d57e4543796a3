import type { KnownSwitch } from '@which-way/core/switch';
import type { EntityManager } from 'typeorm';
import { derivedColumns } from './entry-columns.js';

/** Inserts an entry; hidden as long as the import that brings it in is not finished. Triggers keep the text index. */
export async function insertEntry(
  manager: EntityManager,
  entry: KnownSwitch,
  importId: string | null,
): Promise<void> {
  const { id, kind, name, maker, family, form, terminals, positions, note } = entry;
  const columns = {
    id,
    kind,
    name,
    maker,
    family,
    form,
    note,
    terminals: terminals.length,
    positions: positions.length,
    body: JSON.stringify(entry),
    import: importId,
    ...derivedColumns(entry),
  };
  const names = Object.keys(columns);
  await manager.query(
    `INSERT INTO library_entry (${names.join(', ')}) VALUES (${names.map(() => '?').join(', ')})`,
    Object.values(columns),
  );
}
