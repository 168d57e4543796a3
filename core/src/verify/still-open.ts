import { factAt, type SwitchMap } from '../continuity/index.js';
import { judgedContacts } from './fitness.js';
import { askedOdd, isOddOpen } from './odd-by-table.js';
import { verdictOf, type Verdict } from './verdict.js';

/** What stands between wiring that agrees and a pass. */
export type StillOpen =
  | { code: 'fails'; line: Exclude<keyof Verdict, 'whole'> }
  /** Something odd that nobody has answered. */
  | { code: 'questions'; count: number }
  /** Closed contacts that were not read in ohms; `byEar`: all of them were heard. */
  | { code: 'not-in-ohms'; contacts: number; byEar: boolean };

/**
 * What is still open of a switch that does what it should: a line that fails before a question, a question before contacts that were not
 * measured. null: nothing of the kind; insulation and mechanics may be untested.
 */
export function stillOpen(map: SwitchMap, verdict: Verdict = verdictOf(map)): StillOpen | null {
  const failed = (['pattern', 'contacts', 'insulation', 'mechanics'] as const).find(
    (line) => verdict[line].outcome === 'fail',
  );
  if (failed) return { code: 'fails', line: failed };
  if (verdict.pattern.reasons.includes('odd-open'))
    return { code: 'questions', count: askedOdd(map).filter(isOddOpen).length };
  if (!verdict.contacts.reasons.includes('no-ohms')) return null;
  const unread = judgedContacts(map).filter((one) => one.verdict === 'no-ohms');
  const byEar = unread.every(({ terminals: [a, b], setting }) => {
    const settled = map.settings.get(setting)?.settled;
    return settled && factAt(settled, settled.terminals.indexOf(a), settled.terminals.indexOf(b)).byTone;
  });
  return { code: 'not-in-ohms', contacts: unread.length, byEar };
}
