import type { LibraryHead, LibraryPage } from '@which-way/contract';
import { MAKING_VERSION, type CompiledPart } from '@which-way/core/match';
import type { KnownSwitch } from '@which-way/core/switch';
import type Database from 'libsql';

/** What stands in an entry that is being taken in, and is not to be seen yet. */
const VISIBLE = 'import IS NULL';

/** An entry as it lies in the database. */
export interface KeptEntry {
  row: number;
  entry: KnownSwitch;
  making: Pick<CompiledPart, 'making' | 'order'> | null;
}

/** What a match looks through: entries that are large enough, and have these words. */
export interface Sought {
  terminals: number;
  positions: number;
  words: string;
}

/** Words as the text index asks for them: beginnings, all of them; empty: none were said. */
const textQuery = (said: string): string =>
  (said.match(/[\p{L}\p{N}]+/gu) ?? []).map((word) => `"${word}"*`).join(' ');

/** Entries that have these words, as a condition. */
function namedBy(words: string): { where: string; values: string[] } {
  const query = textQuery(words);
  if (query === '') return { where: '', values: [] };
  return { where: 'AND row IN (SELECT rowid FROM library_text WHERE library_text MATCH ?)', values: [query] };
}

/** The reading side of the library. */
export class LibraryShelf {
  readonly #database: Database.Database;

  constructor(database: Database.Database) {
    this.#database = database;
  }

  #all<Row>(sql: string, ...values: (string | number)[]): Row[] {
    return this.#database.prepare(sql).all(...values) as Row[];
  }

  entry(id: string): string | null {
    const found = this.#all<{ body: string }>(
      `SELECT body FROM library_entry WHERE id = ? AND ${VISIBLE}`,
      id,
    );
    return found[0]?.body ?? null;
  }

  /** Every entry, as stored, a stretch at a time. */
  *entries(): Generator<{ body: string }> {
    let row = 0;
    for (;;) {
      const stretch = this.#all<{ row: number; body: string }>(
        `SELECT row, body FROM library_entry WHERE row > ? AND ${VISIBLE} ORDER BY row LIMIT 500`,
        row,
      );
      yield* stretch;
      const last = stretch.at(-1);
      if (!last) return;
      ({ row } = last);
    }
  }

  /**
   * A page of the library by words (beginnings of words, all of them) and by size, parts after switches and by name as ever.
   * @param from where the page begins, counted in entries.
   */
  library(question: LibraryQuestion): LibraryPage {
    const { hits, where, values } = conditionsOf(question);
    const rows = this.#all<LibraryHead & { count: number }>(
      `${hits} SELECT id, kind, name, maker, family, terminals, positions${hits ? ', count(*) OVER () AS count' : ''}
       FROM library_entry e${hits ? ' JOIN hit ON hit.row = e.row' : ''} WHERE ${where}
       ORDER BY kind DESC, name, e.row LIMIT ? OFFSET ?`,
      ...values,
      question.size,
      question.from,
    );
    const count = hits
      ? (rows[0]?.count ?? 0)
      : (this.#all<{ count: number }>(
          `SELECT count(*) AS count FROM library_entry e WHERE ${where}`,
          ...values,
        )[0]?.count ?? 0);
    const entries = rows.map(({ id, kind, name, maker, family, terminals, positions }) => ({
      id,
      kind,
      name,
      maker,
      family,
      terminals,
      positions,
    }));
    const next = question.from + rows.length;
    return { entries, count, next: next < count ? next : null };
  }

  /** Whole entries with exactly so many terminals and positions: what a switch of that size may turn out to be. */
  alike(terminals: number, positions: number, most: number): string {
    const rows = this.#all<{ body: string }>(
      `SELECT body FROM library_entry WHERE terminals = ? AND positions = ? AND ${VISIBLE} ORDER BY kind DESC, name, row LIMIT ?`,
      terminals,
      positions,
      most,
    );
    return `[${rows.map(({ body }) => body).join(',')}]`;
  }

  /** Rows of entries that are large enough, a stretch at a time, from a row on: what a match looks through. */
  rowsLargeEnough({ terminals, positions, words }: Sought, after: number, most: number): number[] {
    const named = namedBy(words);
    return this.#all<{ row: number }>(
      `SELECT row FROM library_entry
       WHERE row > ? AND terminals >= ? AND positions >= ? AND ${VISIBLE} ${named.where} ORDER BY row LIMIT ?`,
      ...[after, terminals, positions, ...named.values, most],
    ).map(({ row }) => row);
  }

  /** Entries by their rows, with what they are made of where that was kept by this version. */
  entriesAt(rows: readonly number[]): KeptEntry[] {
    if (rows.length === 0) return [];
    return this.#all<{ row: number; body: string; making: string; order: string; version: number }>(
      `SELECT row, body, making, making_order AS "order", making_version AS version
       FROM library_entry WHERE row IN (SELECT value FROM json_each(?))`,
      JSON.stringify(rows),
    ).map(({ row, body, making, order, version }) => ({
      row,
      entry: JSON.parse(body) as KnownSwitch,
      making: version === MAKING_VERSION ? { making, order: JSON.parse(order) as number[] } : null,
    }));
  }

  /** The entry of the same maker and number; null: none. */
  sameAs(same: string): KnownSwitch | null {
    const [found] = this.#all<{ body: string }>(
      `SELECT body FROM library_entry WHERE same = ? AND ${VISIBLE} LIMIT 1`,
      same,
    );
    return found ? (JSON.parse(found.body) as KnownSwitch) : null;
  }

  /** Some entries that are too small, for which no search is needed. */
  tooSmall({ terminals, positions, words }: Sought, most: number): KnownSwitch[] {
    const named = namedBy(words);
    return this.#all<{ body: string }>(
      `SELECT body FROM library_entry
       WHERE (terminals < ? OR positions < ?) AND ${VISIBLE} ${named.where} ORDER BY kind DESC, name, row LIMIT ?`,
      ...[terminals, positions, ...named.values, most],
    ).map(({ body }) => JSON.parse(body) as KnownSwitch);
  }

  /** How many there are, by words if there are any. */
  countEntries(words = ''): number {
    const named = namedBy(words);
    const [found] = this.#all<{ count: number }>(
      `SELECT count(*) AS count FROM library_entry WHERE ${VISIBLE} ${named.where}`,
      ...named.values,
    );
    return found?.count ?? 0;
  }
}

export interface LibraryQuestion {
  search: string;
  terminals: number | null;
  positions: number | null;
  kind: KnownSwitch['kind'] | null;
  from: number;
  size: number;
  facts: LibraryFacts;
}

/** Facts that an entry has to state; what is not stated is not found. */
export interface LibraryFacts {
  form?: string | undefined;
  amps?: number | undefined;
  motorAmps?: number | undefined;
  voltsAc?: number | undefined;
  voltsDc?: number | undefined;
  disconnection?: string | undefined;
  mostPrice?: number | undefined;
  inStock?: boolean | undefined;
  springs?: boolean | undefined;
}

/** What each fact asks of which column. */
const FACTS: Record<keyof LibraryFacts, string> = {
  form: 'form = ?',
  amps: 'amps >= ?',
  motorAmps: 'motor_amps >= ?',
  voltsAc: 'volts_ac >= ?',
  voltsDc: 'volts_dc >= ?',
  disconnection: 'disconnection = ?',
  mostPrice: 'price <= ?',
  inStock: 'in_stock = ?',
  springs: 'springs = ?',
};

/** What a question asks for, as SQL: the entries that the words hit, as a table of their own, and the other conditions. */
function conditionsOf({ search, terminals, positions, kind, facts }: LibraryQuestion): {
  hits: string;
  where: string;
  values: (string | number)[];
} {
  const parts: string[] = [VISIBLE];
  const values: (string | number)[] = [];
  const words = textQuery(search);
  if (words !== '') values.push(words);
  const add = (part: string, value: string | number | null) => {
    if (value === null) return;
    parts.push(part);
    values.push(value);
  };
  add('terminals = ?', terminals);
  add('positions = ?', positions);
  add('kind = ?', kind);
  for (const [name, value] of Object.entries(facts) as [
    keyof LibraryFacts,
    string | number | boolean | undefined,
  ][])
    add(FACTS[name], typeof value === 'boolean' ? Number(value) : (value ?? null));
  const hits =
    words !== ''
      ? 'WITH hit AS MATERIALIZED (SELECT rowid AS row FROM library_text WHERE library_text MATCH ?)'
      : '';
  return { hits, where: parts.join(' AND '), values };
}
