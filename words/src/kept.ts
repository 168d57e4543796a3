import { kindWords } from './deeds.js';

/** What the browser kept and can't read. */
export const STRANGE_WORDS = {
  title: (count: number) =>
    count === 1
      ? "1 change kept in this browser can't be read"
      : `${count} changes kept in this browser can't be read`,
  about:
    'The rest of the job is fine. A newer Which Way may be able to read it: save it before you remove it.',
  save: 'Export',
  remove: 'Remove',
};

/** Names such a piece: what it says that it is, and when it was written. */
export function strangeWords({ kind, at, why }: { kind: string; at: string; why: string }): string {
  const name = kindWords(kind) ?? (kind === '' ? 'Something without a name' : `‘${kind}’`);
  const when = at.length >= 16 ? `, ${at.slice(0, 16).replace('T', ' ')}` : '';
  return `${name}${when}. ${why}`.trim();
}

/** Why the browser does not keep unsent work. */
export const KEEPING_WORDS = {
  silent: "The browser's storage doesn't answer.",
  full: "The browser's storage is full.",
  refuses: "The browser doesn't allow it.",
};

/** An address at which there is no job. */
export const NO_SUCH_JOB = {
  title: 'No such job',
  message: 'There’s no job at this address.',
  hint: 'Check the address. The job may be on another machine.',
};
