import { compilePart, type CompiledPart, type ReadyPart } from '@which-way/core/match';
import { patternOfKnown, type Pattern } from '@which-way/core/partition';
import type { KnownSwitch } from '@which-way/core/switch';
import type { KeptEntry, LibraryShelf, Sought } from './library-shelf.js';

/** An entry made ready to be compared. */
export interface ReadyEntry {
  row: number;
  entry: KnownSwitch;
  pattern: Pattern;
  part: ReadyPart;
}

/** Whole entries that are kept between two searches, and those of which only the making is. */
const KEPT = { whole: 20_000, making: 250_000 };

/**
 * The library between two searches: what an entry is made of is worked out once. A row is never written again, so what is kept of
 * it stays true; a changed entry is another row.
 */
export class ReadyLibrary {
  readonly #whole = new Map<number, ReadyEntry>();
  readonly #made = new Map<number, ReadyPart>();
  /** One text for each making, however many are of it. */
  readonly #makings = new Map<string, string>();

  /** Entries that are large enough, a stretch at a time, from a row on. */
  stretch(shelf: LibraryShelf, sought: Sought, after: number, most: number): ReadyEntry[] {
    const rows = shelf.rowsLargeEnough(sought, after, most);
    const missing = rows.filter((row) => !this.#whole.has(row));
    const fetched = new Map(shelf.entriesAt(missing).map((kept) => [kept.row, this.#madeReady(kept)]));
    return rows.flatMap((row) => this.#whole.get(row) ?? fetched.get(row) ?? []);
  }

  #madeReady({ row, entry, making }: KeptEntry): ReadyEntry {
    const pattern = patternOfKnown(entry);
    const part = this.#made.get(row) ?? this.#make(row, making ?? compilePart(pattern));
    const ready = { row, entry, pattern, part };
    if (this.#whole.size < KEPT.whole) this.#whole.set(row, ready);
    return ready;
  }

  #make(row: number, { making: text, order }: Pick<CompiledPart, 'making' | 'order'>): ReadyPart {
    const making = this.#makings.get(text) ?? text;
    this.#makings.set(making, making);
    const part: ReadyPart = { making, order: Uint8Array.from(order) };
    if (this.#made.size < KEPT.making) this.#made.set(row, part);
    return part;
  }
}
