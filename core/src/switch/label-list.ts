import { LABEL_LETTERS, MOST_TERMINALS } from '../schema/index.js';

/** Labels as they were read, or what cannot be read of them. */
export type LabelList =
  | { ok: true; labels: string[] }
  | { ok: false; code: 'not-a-label' | 'twice' | 'run-backwards' | 'too-many'; at: string };

/**
 * Labels as a person lists them: `1-5, 7-11` (markings may skip numbers), `A1-A4 B1-B4`, `L N E`. A run goes from one
 * number to a higher one behind the same letters.
 */
export function readLabels(text: string): LabelList {
  const labels: string[] = [];
  for (const piece of text.split(/[\s,;]+/).filter((part) => part !== '')) {
    const run = /^([^\d-]*)(\d+)\s?[-–]\s?([^\d-]*)(\d+)$/.exec(piece);
    if (!run) {
      if ([...piece].length > LABEL_LETTERS || piece.includes('='))
        return { ok: false, code: 'not-a-label', at: piece };
      labels.push(piece);
      continue;
    }
    const [, letters = '', first = '', again = '', last = ''] = run;
    if (again !== '' && again !== letters) return { ok: false, code: 'not-a-label', at: piece };
    if (Number(last) < Number(first)) return { ok: false, code: 'run-backwards', at: piece };
    if ([...letters].length + last.length > LABEL_LETTERS)
      return { ok: false, code: 'not-a-label', at: piece };
    if (Number(last) - Number(first) >= MOST_TERMINALS) return { ok: false, code: 'too-many', at: piece };
    for (let number = Number(first); number <= Number(last); number += 1)
      labels.push(`${letters}${String(number).padStart(first.length, '0')}`);
  }
  if (labels.length > MOST_TERMINALS) return { ok: false, code: 'too-many', at: String(labels.length) };
  const folded = labels.map((label) => label.toLowerCase());
  const twice = labels.find((_, index) => folded.indexOf(folded[index] ?? '') !== index);
  return twice === undefined ? { ok: true, labels } : { ok: false, code: 'twice', at: twice };
}
