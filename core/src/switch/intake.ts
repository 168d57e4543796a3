import type { JobId, MarkingId, SisterId } from './id.js';
import type { PhotoBox } from './photo.js';

/** What is written down before anything is touched. */
export const NOTE_FIELDS = ['machine', 'complaint', 'tried', 'prior-work', 'money-limit'] as const;
export type NoteField = (typeof NOTE_FIELDS)[number];

/** How sure the reader of a marking is of a character. */
export const SURENESS = ['certain', 'guess', 'unreadable'] as const;
export type Sureness = (typeof SURENESS)[number];

/** Characters in a row of which one is equally sure. */
export interface MarkingRun {
  text: string;
  sure: Sureness;
}

/** What is stamped on the switch, as read; where it stands on a photo, if it was boxed on one. */
export interface Marking {
  id: MarkingId;
  runs: MarkingRun[];
  box: PhotoBox | null;
}

/** Another switch that controls the same: any of them may be the bad one. */
export interface Sister {
  id: SisterId;
  text: string;
  /** The job that was made of it; null while there is none. */
  job: JobId | null;
  removed: boolean;
}

/** Runs from a text and how sure each of its characters is. */
export function runsOf(text: string, sureness: readonly Sureness[]): MarkingRun[] {
  const runs: MarkingRun[] = [];
  [...text].forEach((character, index) => {
    const sure = sureness[index] ?? 'certain';
    const last = runs.at(-1);
    if (last?.sure === sure) last.text += character;
    else runs.push({ text: character, sure });
  });
  return runs;
}

/** How sure each character of a marking is, in order. */
export function surenessOf({ runs }: Pick<Marking, 'runs'>): Sureness[] {
  return runs.flatMap(({ text, sure }) => [...text].map(() => sure));
}
