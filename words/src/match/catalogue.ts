import type { CsvTrouble } from '@which-way/core/formats';
import { problemWords } from '../refusals.js';

/** What is wrong in a cell of a catalogue, and what would be right. */
export function csvTroubleWords({ column, code, text, problem }: CsvTrouble): string {
  switch (code) {
    case 'missing':
      return `${column}: empty, and an entry needs it.`;
    case 'not-a-number':
      return `${column}: “${text}” isn’t a number. Enter one such as 12,5, or leave it blank.`;
    case 'doubtful-number':
      return `${column}: “${text}” may stand for thousands or for a part of one. Write 10000, or 10 if that is meant.`;
    case 'not-a-choice':
      return `${column}: “${text}” isn’t one of the allowed values. Leave it blank if you don’t know.`;
    case 'not-yes-or-no':
      return `${column}: “${text}” is neither yes nor no.`;
    case 'not-a-position':
      return `${column}: “${text}” has no colon. Write OFF: ; ON: 1-2.`;
    case 'not-positions':
      return `${column}: “${text}”: write the positions counted from 1, such as 1 3, or none.`;
    case 'not-a-rating':
      return `${column}: “${text}” isn’t understood. Write motor 4 A 250 V ac; lamp 2 A.`;
    case 'open-quote':
      return `${column}: “${text}” has a quote that is not closed.`;
    case 'stands-alone':
      return column.startsWith('minimum')
        ? `${column}: “${text}” alone isn’t a least load: that takes volts and milliamps. Leave it blank, or add the other one in the file.`
        : `${column}: “${text}” has no amps, so it says nothing. Leave it blank, or add the amps in the file.`;
    case 'more-cells':
      return `“${text}” is after the last column. A text with a comma in it needs quotes in the file.`;
    case 'not-allowed': {
      const [message, hint] = problem ? problemWords(problem) : ['It does not fit.', ''];
      return `${column}: ${message} ${hint}`;
    }
  }
}
