import type { SwitchMap } from '@which-way/core/continuity';
import { refitOf, wayOf } from '@which-way/core/refit';
import { judge, type Judgement, type NotTested, type Open, type ShownVerdict } from '@which-way/core/verdict';
import { askedOdd, type Verdict } from '@which-way/core/verify';
import type { SignedVerdict } from '@which-way/core/log';
import { verdictHeadline } from './judge/headline.js';
import { LINE_NAMES } from './judge/line-names.js';
import { LINE_OUTCOME_WORDS, REASON_WORDS, WHOLE_WORDS } from './judge/verdict.js';
import { differenceWords } from './match/difference.js';
import { plural } from './plural.js';
import { oddWords } from './table/identity.js';
import { mistakeWords } from './refit.js';

const LINES = ['pattern', 'contacts', 'insulation', 'mechanics'] as const;

/** So many differences are told in full; of more it is said how many. */
const MOST_TOLD = 2;

const failedWords = (lines: Verdict): string =>
  LINES.filter((line) => lines[line].outcome === 'fail')
    .map((line) => `${LINE_NAMES[line].toLowerCase()} (${reasonWords(lines, line)})`)
    .join(', ');

/** Why a line of the verdict is what it is. */
export const reasonWords = (lines: Verdict, line: (typeof LINES)[number]): string =>
  lines[line].reasons.map((reason) => REASON_WORDS[reason]).join('; ');

/** The four lines, each in a sentence. */
export const lineWords = (lines: Verdict): string[] =>
  LINES.map(
    (line) => `${LINE_NAMES[line]}: ${LINE_OUTCOME_WORDS[lines[line].outcome]}, ${reasonWords(lines, line)}`,
  );

/** What a person called the fault when it was asked whether it is meant, each with its terminals and positions. */
export const faultWords = (map: SwitchMap): string[] =>
  askedOdd(map).flatMap((one) =>
    one.answer === 'fault' ? [`You marked this as the fault: ${oddWords(map.structure, [one])}`] : [],
  );

/** The act that settles what is open. */
export function settlesWords(open: Open): string {
  switch (open.code) {
    case 'nothing-mapped':
      return 'Start the map';
    case 'disputed':
      return 'Read again what disagrees';
    case 'not-complete':
      return 'Continue the map';
    case 'in-circuit':
      return 'Take the wires off and read again';
    case 'nothing-expected':
      return 'Enter what it should do';
    case 'differs':
      return 'See what differs';
    case 'fails':
      return `See ${LINE_NAMES[open.line].toLowerCase()}`;
    case 'questions':
      return `Answer ${plural(open.count, 'question')}`;
    case 'said-in-part':
      return 'Enter the rest of what it should do';
    case 'not-in-ohms':
      return `Read ${plural(open.contacts, 'closed contact')} in ohms`;
    case 'not-repeated':
      return 'Work the contacts again and again';
    case 'contacts-unclear':
      return 'See the contacts';
    case 'insulation':
      return 'Test the insulation';
    case 'mechanics':
      return 'Check the mechanics';
  }
}

/** What was not tested, or nothing can show, in a few words each; of mistakes, where a switch goes back. */
export function notTestedWords(map: SwitchMap, notTested: readonly NotTested[]): string[] {
  const refit = refitOf(map);
  return notTested.flatMap((one): string[] => {
    switch (one.code) {
      case 'pairs':
        return [`${plural(one.count, 'pair')} of terminals not read`];
      case 'contacts':
        return [`${plural(one.count, 'closed contact')} not measured in ohms`];
      case 'insulation':
        return ['Insulation: no test with an insulation tester'];
      case 'mechanics':
        return ['Mechanics: inspection incomplete'];
      case 'between':
        return ['Between positions: what joins while the handle moves'];
      case 'check-readings':
        return [`Check before power: ${plural(one.count, 'reading')} not taken`];
      case 'mistake':
        return refit ? [`No reading can show: ${mistakeWords(refit, one.mistake)}`] : [];
    }
  });
}

/** The verdict in the sentences that are shown, as they are signed. */
export const shownVerdict = (map: SwitchMap, judgement: Judgement): ShownVerdict => ({
  headline: verdictHeadline(judgement),
  lines: [...lineWords(judgement.lines), ...faultWords(map)],
  notTested: notTestedWords(map, judgement.notTested),
});

/** What somebody signed: as it was shown, or, of before, in a few words. */
export const signedWords = ({ whole, shown }: Pick<SignedVerdict, 'whole' | 'shown'>): string =>
  shown?.headline ?? WHOLE_WORDS[whole];

/** Whether the switch may be used, first, and why: what an owner reads. Nothing is cleared that was not tested. */
export function forUseWords(map: SwitchMap, { whole, lines, comparison }: Judgement = judge(map)): string {
  const because = (wanted: (line: (typeof LINES)[number]) => boolean) =>
    LINES.filter(wanted)
      .map((line) => `${LINE_NAMES[line].toLowerCase()} (${reasonWords(lines, line)})`)
      .join(', ');
  const replaced = wayOf(map) === 'part';
  const switchWords = replaced ? 'The old switch' : 'This switch';
  switch (whole) {
    case 'fails':
    case 'intermittent': {
      const told = [differencesTold(map, comparison), ...faultWords(map)].filter(Boolean).join(' ');
      return `${switchWords} fails: ${failedWords(lines)}. ${replaced ? 'Another part goes in its place.' : 'Do not use it.'}${told && ` ${told}`}`;
    }
    case 'passes':
      return `${switchWords} passes: pattern, contacts, insulation and mechanics.`;
    default:
      return `${switchWords} is not cleared for use yet: ${because((line) => lines[line].outcome !== 'pass')}.`;
  }
}

function differencesTold(map: SwitchMap, comparison: Judgement['comparison']): string {
  const differs = (comparison?.cells ?? []).filter(
    ({ verdict }) => verdict === 'missing' || verdict === 'extra',
  );
  const more = differs.length - MOST_TOLD;
  const told = differs.slice(0, MOST_TOLD).map((cell) => differenceWords(map, cell));
  return [...told, ...(more > 0 ? [`And ${more} more like this.`] : [])].join(' ');
}
