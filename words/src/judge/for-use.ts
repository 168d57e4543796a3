import type { SwitchMap } from '@which-way/core/continuity';
import { wayOf } from '@which-way/core/refit';
import {
  compareWithExpected,
  expectedOf,
  stillOpen,
  verdictOf,
  type StillOpen,
  type Verdict,
} from '@which-way/core/verify';
import { differenceWords } from '../match/difference.js';
import { plural } from '../plural.js';
import { LINE_NAMES, REASON_WORDS, WHOLE_WORDS } from './verdict.js';

const LINES = ['pattern', 'contacts', 'insulation', 'mechanics'] as const;

/** So many differences are told in full; of more it is said how many. */
const MOST_TOLD = 2;

/** Whether the switch may be used, first, and why: what an owner reads. Nothing is cleared that was not tested. */
export function forUseWords(map: SwitchMap, verdict: Verdict = verdictOf(map)): string {
  const because = (wanted: (line: (typeof LINES)[number]) => boolean) =>
    LINES.filter(wanted)
      .map((line) => `${LINE_NAMES[line].toLowerCase()} (${reasonWords(verdict, line)})`)
      .join(', ');
  const replaced = wayOf(map) === 'part';
  const switchWords = replaced ? 'The old switch' : 'This switch';
  switch (verdict.whole) {
    case 'fail': {
      const told = differencesTold(map);
      const why = because((line) => verdict[line].outcome === 'fail');
      return `${switchWords} fails: ${why}. ${replaced ? 'Another part goes in its place.' : 'Do not use it.'}${told && ` ${told}`}`;
    }
    case 'pass':
      return `${switchWords} passes: pattern, contacts, insulation and mechanics.`;
    default:
      return `${switchWords} is not cleared for use yet: ${because((line) => verdict[line].outcome !== 'pass')}.`;
  }
}

/** What stands between wiring that agrees and a pass, in a line. */
export function stillOpenWords(open: StillOpen): string {
  switch (open.code) {
    case 'fails':
      return `Pattern matches. ${LINE_NAMES[open.line]} failed: fix the switch, or find a replacement`;
    case 'questions':
      return `Pattern matches. ${plural(open.count, 'question')} open`;
    case 'not-in-ohms':
      return `Wiring agrees${open.byEar ? ' by ear' : ''}; ${plural(open.contacts, 'contact')} not measured in ohms`;
  }
}

/** The verdict in a line; where the wiring agrees, what keeps it from a pass. */
export function verdictHeadline(map: SwitchMap, verdict: Verdict = verdictOf(map)): string {
  const { pattern, contacts } = verdict;
  const agrees = pattern.outcome === 'pass' || pattern.reasons.join() === 'odd-open';
  const open =
    verdict.whole === 'not-yet' && agrees && contacts.outcome !== 'fail' ? stillOpen(map, verdict) : null;
  return open ? stillOpenWords(open) : WHOLE_WORDS[verdict.whole];
}

/** Why a line of the verdict is what it is. */
export const reasonWords = (verdict: Verdict, line: (typeof LINES)[number]): string =>
  verdict[line].reasons.map((reason) => REASON_WORDS[reason]).join('; ');

function differencesTold(map: SwitchMap): string {
  const expected = expectedOf(map);
  if (!expected) return '';
  const differs = compareWithExpected(map, expected).cells.filter(
    ({ verdict }) => verdict === 'missing' || verdict === 'extra',
  );
  const more = differs.length - MOST_TOLD;
  const told = differs.slice(0, MOST_TOLD).map((cell) => differenceWords(map, cell));
  return [...told, ...(more > 0 ? [`And ${more} more like this.`] : [])].join(' ');
}
