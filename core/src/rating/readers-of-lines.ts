import type { PieceCode, Reader } from './piece.js';

/** One sort of line that names something and rates nothing. */
const line = (pattern: RegExp, code: PieceCode): Reader => ({
  pattern,
  read: ([, what = '']) => ({ code, params: { what: what.trim() } }),
});

/** A token ends here: no further letter, figure or hyphen. */
const END = '(?![A-Za-z0-9-])';

/**
 * What stands on a switch beside its ratings: standards, signs of conformity, where it was made, numbers with their name
 * before them, dates and batches. What is only likely is called so.
 */
export const LINE_READERS: Reader[] = [
  line(/((?:EN|IEC|ISO|DIN|BS)(?:\s?(?:EN|IEC))?\s?\d{3,5}(?:-\d{1,3})*)(?![A-Za-z0-9])/iy, 'standard'),
  line(/(CE)(?![A-Za-z0-9])/y, 'conformity'),
  line(/Made\s+in\s+([A-Za-z][A-Za-z .]*)/iy, 'origin'),
  line(
    new RegExp(
      `(?:(?:Cat|Art|Part|Type|Typ|Mod(?:el)?|Ser(?:ial)?|Ref)\\.?\\s?(?:No|Nr)?|No|Nr|N°|№|P/N|S/N)[.:]?\\s?((?=[\\w./-]*\\d)[A-Za-z0-9][\\w./-]*)`,
      'iy',
    ),
    'marked-number',
  ),
  line(new RegExp(`(?:Lot|Batch)[.:]?\\s?([A-Za-z0-9-]+)`, 'iy'), 'maybe-batch'),
  line(
    new RegExp(`(?:Date|Dat|Wk|Week)[.:]?\\s?(\\d{1,4}(?:[ ./-]\\d{1,4}){0,2})${END}`, 'iy'),
    'maybe-date',
  ),
  // 2023-07, 07/2023, 07.23, 23W07: a year with a month or a week.
  line(new RegExp(`((?:19|20)\\d{2}[-/.](?:0[1-9]|1[0-2]))${END}`, 'y'), 'maybe-date'),
  line(
    new RegExp(`((?:0?[1-9]|1[0-2])[/.](?:(?:19|20)\\d{2}|\\d{2}))${END}(?!\\s?[VAH])`, 'y'),
    'maybe-date',
  ),
  line(new RegExp(`(\\d{2}W(?:0[1-9]|[1-4]\\d|5[0-3]))${END}`, 'iy'), 'maybe-date'),
  // Year and week, or week and year, in four figures.
  line(
    new RegExp(
      `(\\d{2}(?:0[1-9]|[1-4]\\d|5[0-3])|(?:0[1-9]|[1-4]\\d|5[0-3])\\d{2})${END}(?!\\s?[VAWH/.])`,
      'y',
    ),
    'maybe-date',
  ),
  line(new RegExp(`(E\\d{5,6})${END}`, 'y'), 'maybe-file-number'),
];

/** What a token may be that no reader knows: letters and figures together, a long number, a word; null: nothing fits. */
export function tokenCode(token: string): PieceCode | null {
  const alone = token.replace(/[.:]$/, '');
  if (/^(?=.*\d)(?=.*[A-Za-z])[A-Za-z0-9]+(?:[-./_][A-Za-z0-9]+)*$/.test(alone) && alone.length >= 4)
    return 'maybe-part-number';
  if (/^\d{2,}(?:[-./]\d{2,})+$|^\d{5,}$/.test(alone)) return 'maybe-part-number';
  return /^\p{L}{2,}(?:[-'’]\p{L}+)*$/u.test(alone) ? 'word' : null;
}
