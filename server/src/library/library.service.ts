import { Injectable } from '@nestjs/common';
import type { EntryId, KnownSwitch } from '@which-way/core/switch';
import { DataSource, type EntityManager } from 'typeorm';
import { LibraryEntryRow } from '../database/library-entry.entity.js';
import { notFound } from '../errors/refusal.js';

/** Known switches and parts. */
@Injectable()
export class LibraryService {
  constructor(private readonly source: DataSource) {}

  async list(): Promise<KnownSwitch[]> {
    const rows = await this.source.manager.find(LibraryEntryRow, { order: { kind: 'DESC', name: 'ASC' } });
    return rows.map(toEntry);
  }

  async open(id: string): Promise<KnownSwitch> {
    const row = await this.source.manager.findOneBy(LibraryEntryRow, { id: id as EntryId });
    if (!row) throw notFound('library entry', id);
    return toEntry(row);
  }

  /** Stores an entry within the caller's transaction; an entry with the same id takes its new contents. */
  async put(manager: EntityManager, entry: KnownSwitch): Promise<'added' | 'changed' | 'same'> {
    const body = JSON.stringify(entry);
    const there = await manager.findOneBy(LibraryEntryRow, { id: entry.id });
    if (there?.body === body) return 'same';
    await manager.save(LibraryEntryRow, { id: entry.id, kind: entry.kind, name: entry.name, body });
    return there ? 'changed' : 'added';
  }
}

/** Entries were checked when they were stored. */
function toEntry(row: LibraryEntryRow): KnownSwitch {
  return JSON.parse(row.body) as KnownSwitch;
}
