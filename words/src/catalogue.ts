import type { CsvTrouble } from '@which-way/core/formats';
import { problemWords } from './refusals.js';

/** What is wrong in a cell of a catalogue, and what would be right. */
export function csvTroubleWords({ column, code, text, problem }: CsvTrouble): string {
  switch (code) {
    case 'missing':
      return `${column}: empty, and an entry needs it.`;
    case 'not-a-number':
      return `${column}: “${text}” is no number. Write one such as 12,5 or leave it empty.`;
    case 'not-a-choice':
      return `${column}: “${text}” is none of what may stand there. Leave it empty where it is not known.`;
    case 'not-yes-or-no':
      return `${column}: “${text}” is neither yes nor no.`;
    case 'not-a-position':
      return `${column}: “${text}” has no colon. Write OFF: ; ON: 1-2.`;
    case 'not-allowed': {
      const [message, hint] = problem ? problemWords(problem) : ['It does not fit.', ''];
      return `${column}: ${message} ${hint}`;
    }
  }
}
