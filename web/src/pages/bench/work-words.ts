import type { Imported, ImportPreview, Work } from '@which-way/contract';
import { WORK_WORDS_TEXT } from '@which-way/words/screens/pages/bench/work-words';

/** What long work is called while it runs, and how it ended. */
export const KIND_WORDS: Record<
  Work['kind'],
  { running: string; done: string; failed: string; stopped: string }
> = {
  import: {
    running: WORK_WORDS_TEXT.takingInAFile,
    done: WORK_WORDS_TEXT.theFileIsTakenIn,
    failed: WORK_WORDS_TEXT.theFileWasNotTaken,
    stopped: WORK_WORDS_TEXT.takingInWasStopped,
  },
  export: {
    running: WORK_WORDS_TEXT.savingAllAsAFile,
    done: WORK_WORDS_TEXT.allIsSavedAsA,
    failed: WORK_WORDS_TEXT.theFileWasNotMade,
    stopped: WORK_WORDS_TEXT.savingWasStopped,
  },
  backup: {
    running: WORK_WORDS_TEXT.backingUp,
    done: WORK_WORDS_TEXT.theBackupIsMade,
    failed: WORK_WORDS_TEXT.theBackupWasNotMade,
    stopped: WORK_WORDS_TEXT.backingUpWasStopped,
  },
  restore: {
    running: WORK_WORDS_TEXT.puttingABackupBack,
    done: WORK_WORDS_TEXT.theBackupIsPutBack,
    failed: WORK_WORDS_TEXT.theBackupWasNotPut,
    stopped: WORK_WORDS_TEXT.puttingBackWasStopped,
  },
};

const STEPS: Record<NonNullable<Work['step']>, string> = {
  reading: 'reading',
  checking: 'looking through it',
  'taking-in': 'taking in',
  database: 'copying the database',
  photos: 'photos',
  'putting-in-place': 'putting it in place',
};

/** How far long work is. */
export function stepWords({ state, step, done, total }: Work): string {
  if (state === 'waiting' || step === null) return 'waiting for its turn';
  return total > 0 ? `${STEPS[step]}: ${Math.round((100 * done) / total)} %` : STEPS[step];
}

const many = (count: number, one: string, more = `${one}s`) =>
  count === 0 ? [] : [`${count} ${count === 1 ? one : more}`];

/** What a file would bring. */
export function previewWords({ jobsNew, jobsJoined, events, entries, photos }: ImportPreview): string {
  const parts = [
    ...many(jobsNew, 'new job'),
    ...many(jobsJoined, 'job that is here already', 'jobs that are here already'),
    ...many(events, 'event'),
    ...many(entries, 'library entry', 'library entries'),
    ...many(photos, 'photo'),
  ];
  return parts.length > 0 ? parts.join(', ') : 'nothing that could be taken in';
}

/** What was taken in. */
export function importedWords(name: string, done: Imported): string {
  const parts = [
    WORK_WORDS_TEXT.jobsNew(done.jobsAdded),
    `${done.jobsMerged} joined`,
    `${done.eventsAdded} events`,
    WORK_WORDS_TEXT.entriesNew(done.entriesAdded),
    `${done.entriesChanged} changed`,
    ...many(done.photosAdded, 'photo'),
    ...(done.shopTaken ? ['the shop’s lists'] : []),
  ];
  return `${name}: ${parts.join(', ')}`;
}
