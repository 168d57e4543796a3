import { upgradeEvent, type JobEvent } from '@which-way/core/log';
import { problemWords } from '@which-way/words/refusals';
import { noted, type Outbox } from './outbox.js';

/** Something that the browser kept and this program cannot read: damaged, or written by a newer one. It spoils nothing but itself. */
export interface Strange {
  /** Its key in the browser's storage. */
  id: string;
  /** Where it lies there. */
  store: 'waiting' | 'aside';
  /** What it says that it is; empty: nothing that can be read. */
  kind: string;
  /** When it says that it was written, ISO 8601; empty: it does not say. */
  at: string;
  /** Why it cannot be read. */
  why: string;
  /** As it lies there, to be saved. */
  raw: unknown;
}

/** A piece of what the browser kept, under its key. */
export interface KeptRow {
  id: string;
  event: unknown;
}

/** What is wrong with an event that is whole and holds too much, or too little. */
const A_LIMIT = /^schema-(max|min|pattern|unique)/;

const field = (holder: unknown, name: string): unknown =>
  typeof holder === 'object' && holder !== null ? (holder as Record<string, unknown>)[name] : undefined;
const text = (value: unknown): string => (typeof value === 'string' ? value : '');

/** Tells events that can be read, brought to today's version, from what cannot. */
export async function readable(
  rows: readonly KeptRow[],
  store: Strange['store'],
): Promise<{ events: JobEvent[]; strange: Strange[] }> {
  if (rows.length === 0) return { events: [], strange: [] };
  // The checks are large, and a job that was left with nothing unsaved needs none of them.
  const { readEvent } = await import('@which-way/core/formats');
  const events: JobEvent[] = [];
  const strange: Strange[] = [];
  for (const { id, event } of rows) {
    const read = readEvent(event);
    if (read.ok) {
      events.push(read.event);
      continue;
    }
    const [problem] = read.problems;
    // A text that is too long can be shown: the server refuses it, and it is mended there.
    if (problem && A_LIMIT.test(problem.code)) {
      events.push(upgradeEvent(event) as JobEvent);
      continue;
    }
    const why = problem ? problemWords(problem)[0] : '';
    const kind = text(field(field(event, 'what'), 'kind')).slice(0, 60);
    strange.push({ id, store, kind, at: text(field(event, 'at')), why, raw: event });
  }
  return { events, strange };
}

/** Pieces that cannot be read, until a person has dropped them. */
export class StrangePieces {
  #items: readonly Strange[] = [];

  constructor(
    private readonly outbox: Pick<Outbox, 'remove' | 'removeAside'>,
    private readonly onChange: (items: readonly Strange[]) => void,
  ) {}

  takeUp(items: readonly Strange[]): void {
    this.#items = items;
    this.onChange(items);
  }

  drop({ id, store }: Strange): void {
    this.takeUp(this.#items.filter((one) => one.id !== id || one.store !== store));
    void noted(() => (store === 'aside' ? this.outbox.removeAside(id) : this.outbox.remove([id])));
  }
}
