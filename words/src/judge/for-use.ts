import type { SwitchMap } from '@which-way/core/continuity';
import { wayOf } from '@which-way/core/refit';
import { compareWithExpected, expectedOf, verdictOf, type Verdict } from '@which-way/core/verify';
import { differenceWords } from '../match/difference.js';
import { LINE_NAMES, REASON_WORDS } from './verdict.js';

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
