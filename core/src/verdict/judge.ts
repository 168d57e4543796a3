import { factAt, type SwitchMap } from '../continuity/index.js';
import type { Whole } from '../log/index.js';
import {
  askedOdd,
  compareWithExpected,
  expectedOf,
  isOddOpen,
  judgedContacts,
  verdictOf,
  type Comparison,
  type Verdict,
} from '../verify/index.js';
import type { Judgement, Open, Where } from './judgement.js';
import { notTestedOf, type CheckTaken } from './not-tested.js';

/**
 * Judges a switch: the one verdict that bench, route, page, report and signature say. Never a pass on what is disputed, not read, heard
 * only or predicted.
 * @param taken how the check before power stands, where it goes back: adds to what was not tested.
 * @example
 * judge(mapped(3, '1-2', '1-3')).whole // => 'not-finished'
 */
export function judge(map: SwitchMap, taken: CheckTaken | null = null): Judgement {
  const lines = verdictOf(map);
  const table = expectedOf(map);
  const comparison = table ? compareWithExpected(map, table) : null;
  const open = openOf(map, lines, comparison);
  const notTested = notTestedOf(map, lines, taken);
  return { whole: wholeOf(map, lines, open), lines, open, notTested, comparison };
}

const LINE_AT: Record<keyof Verdict, Where> = {
  pattern: 'differences',
  contacts: 'contacts',
  insulation: 'insulation',
  mechanics: 'mechanics',
};

/** What keeps it from a pass, the gravest first: what fails, then what nobody knows, in the order in which it is settled. */
function openOf(map: SwitchMap, lines: Verdict, comparison: Comparison | null): Open[] {
  const read = map.tape.some(({ standing }) => standing === 'counts');
  const settled = [...map.settings.values()];
  const disputes = settled.reduce((sum, one) => sum + one.settled.contradictions.length, 0);
  const { pattern } = lines;
  const why = new Set([...pattern.reasons, ...lines.contacts.reasons]);
  const open: Open[] = [];
  if (comparison && comparison.count.missing + comparison.count.extra > 0) {
    const { missing, extra } = comparison.count;
    open.push({ code: 'differs', missing, extra, where: 'differences' });
  }
  for (const line of ['pattern', 'contacts', 'insulation', 'mechanics'] as const)
    if (lines[line].outcome === 'fail' && !(line === 'pattern' && why.has('differs')))
      open.push({ code: 'fails', line, where: line === 'pattern' ? 'questions' : whereFails(lines, line) });
  if (!read) return [...open, { code: 'nothing-mapped', where: 'map' }];
  if (disputes > 0) open.push({ code: 'disputed', count: disputes, where: 'map' });
  if (!map.complete) {
    const pairs = settled.reduce((sum, { coverage }) => sum + coverage.unknown, 0);
    open.push({ code: 'not-complete', pairs, where: 'map' });
  }
  if (why.has('in-circuit')) open.push({ code: 'in-circuit', where: 'map' });
  if (why.has('nothing-expected')) open.push({ code: 'nothing-expected', where: 'expected' });
  // A table that leaves out a position, or all that counts, compares nothing there.
  else if (map.complete && comparison?.outcome === 'not-all-tested')
    open.push({ code: 'said-in-part', where: 'expected' });
  if (why.has('odd-open')) {
    const count = askedOdd(map).filter(isOddOpen).length;
    open.push({ code: 'questions', count, where: 'questions' });
  }
  if (comparison?.outcome === 'agrees' && comparison.unsaid > 0)
    open.push({ code: 'said-in-part', where: 'expected' });
  return [...open, ...openContacts(map, lines), ...openRest(lines)];
}

const whereFails = ({ contacts }: Verdict, line: keyof Verdict): Where =>
  line === 'contacts' && contacts.reasons.includes('missed') ? 'repeats' : LINE_AT[line];

/** What is open of the contacts, once all that they join is known. */
function openContacts(map: SwitchMap, { contacts: { outcome, reasons } }: Verdict): Open[] {
  if (outcome === 'pass' || outcome === 'fail' || !map.complete) return [];
  const unread = judgedContacts(map).filter((one) => one.verdict === 'no-ohms');
  const byEar = unread.every(({ terminals: [a, b], setting }) => {
    const settled = map.settings.get(setting)?.settled;
    return settled && factAt(settled, settled.terminals.indexOf(a), settled.terminals.indexOf(b)).byTone;
  });
  return [
    ...(reasons.includes('not-repeated')
      ? [{ code: 'not-repeated' as const, where: 'repeats' as const }]
      : []),
    ...(unread.length > 0
      ? [{ code: 'not-in-ohms' as const, contacts: unread.length, byEar, where: 'contacts' as const }]
      : []),
    ...(outcome === 'cannot-tell' || reasons.includes('no-contacts')
      ? [{ code: 'contacts-unclear' as const, where: 'contacts' as const }]
      : []),
  ];
}

function openRest({ insulation, mechanics }: Verdict): Open[] {
  const left = ({ outcome }: Verdict[keyof Verdict]) => outcome === 'not-yet' || outcome === 'cannot-tell';
  return [
    ...(left(insulation) ? [{ code: 'insulation' as const, where: 'insulation' as const }] : []),
    ...(left(mechanics) ? [{ code: 'mechanics' as const, where: 'mechanics' as const }] : []),
  ];
}

function wholeOf(map: SwitchMap, lines: Verdict, open: readonly Open[]): Whole {
  const has = (code: Open['code']) => open.some((one) => one.code === code);
  const failed = (['pattern', 'contacts', 'insulation', 'mechanics'] as const).filter(
    (line) => lines[line].outcome === 'fail',
  );
  const missed = failed.join() === 'contacts' && lines.contacts.reasons.join() === 'missed';
  if (failed.length > 0) return missed ? 'intermittent' : 'fails';
  if (has('nothing-mapped')) return 'nothing-mapped';
  if (has('disputed')) return 'disputed';
  if (!map.complete || has('in-circuit') || has('nothing-expected')) return 'not-finished';
  if (has('questions')) return 'questions';
  const agrees = lines.pattern.outcome === 'pass' || lines.pattern.reasons.includes('agrees-where-said');
  if (!agrees) return 'not-finished';
  const unread = open.find((one) => one.code === 'not-in-ohms');
  if (unread?.code === 'not-in-ohms' && unread.byEar) return 'by-ear';
  if (lines.contacts.outcome !== 'pass') return 'wiring-passes';
  return open.length === 0 ? 'passes' : 'wiring-and-contacts-pass';
}
