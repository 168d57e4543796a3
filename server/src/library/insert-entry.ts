import type { KnownSwitch } from '@which-way/core/switch';
import type { EntityManager } from 'typeorm';

/** Inserts an entry; hidden as long as the import that brings it in is not finished. Triggers keep the text index. */
export async function insertEntry(
  manager: EntityManager,
  entry: KnownSwitch,
  importId: string | null,
): Promise<void> {
  const { id, kind, name, maker, family, form, terminals, positions, note } = entry;
  await manager.query(
    `INSERT INTO library_entry (id, kind, name, maker, family, form, terminals, positions, note, body, import)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      id,
      kind,
      name,
      maker,
      family,
      form,
      terminals.length,
      positions.length,
      note,
      JSON.stringify(entry),
      importId,
    ],
  );
}
