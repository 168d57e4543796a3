import type { SwitchMap } from '@which-way/core/continuity';
import { refitOf, wayOf } from '@which-way/core/refit';
import { judge, type Judgement, type NotTested, type Open, type ShownVerdict } from '@which-way/core/verdict';
import { askedOdd, type Verdict } from '@which-way/core/verify';
import type { SignedVerdict } from '@which-way/core/log';
import { LINE_NAMES, LINE_OUTCOME_WORDS, REASON_WORDS, WHOLE_WORDS } from './judge/verdict.js';
import { differenceWords } from './match/difference.js';
import { plural } from './plural.js';
import { oddWords } from './table/identity.js';
import { mistakeWords } from './refit.js';

const LINES = ['pattern', 'contacts', 'insulation', 'mechanics'] as const;

/** So many differences are told in full; of more it is said how many. */
const MOST_TOLD = 2;

/** The verdict in a line: what is said of the switch, and what keeps it from more. */
export function verdictHeadline({ whole, open }: Pick<Judgement, 'whole' | 'open'>): string {
  const [first] = open;
  switch (whole) {
    case 'passes':
      return 'Passes: pattern, contacts, insulation and mechanics.';
    case 'wiring-and-contacts-pass':
      return `Wiring and contacts pass${partly(open)}. ${notTestedHere(open)}`.trim();
    case 'wiring-passes': {
      const unread = open.find(({ code }) => code === 'not-in-ohms') ?? first;
      return `Wiring agrees${partly(open)}. ${unread ? openWords(unread) : ''}`.trim();
    }
    case 'by-ear':
      return 'Wiring agrees by ear; contacts not measured.';
    case 'questions':
      return `Pattern matches. ${first ? openWords(first) : ''}`.trim();
    case 'intermittent':
      return 'Fails now and then: a contact missed while it was worked.';
    case 'fails':
      return `Fails: ${open.flatMap(failsWords).join(', ')}.`;
    case 'disputed':
    case 'not-finished':
    case 'nothing-mapped':
      return `No verdict yet. ${first ? openWords(first) : ''}`.trim();
  }
}

const partly = (open: readonly Open[]): string =>
  open.some(({ code }) => code === 'said-in-part') ? ' where specified' : '';

/** A line that fails; of the pattern, what differs. */
function failsWords(open: Open): string[] {
  if (open.code === 'differs') return [`pattern (${openWords(open)})`];
  return open.code === 'fails' ? [LINE_NAMES[open.line].toLowerCase()] : [];
}

/** Insulation and mechanics that nobody has tested, in a sentence. */
function notTestedHere(open: readonly Open[]): string {
  const names = open.flatMap(({ code }) =>
    code === 'insulation' || code === 'mechanics' ? [LINE_NAMES[code]] : [],
  );
  const [one = '', two] = names;
  if (names.length === 0) return '';
  return two ? `${one} and ${two.toLowerCase()} not tested.` : `${one} not tested.`;
}

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

/** What keeps a switch from a pass, in a sentence. */
function openWords(open: Open): string {
  switch (open.code) {
    case 'nothing-mapped':
      return 'Nothing measured yet.';
    case 'disputed':
      return `${plural(open.count, 'contradiction')} between readings.`;
    case 'not-complete':
      return open.pairs > 0 ? `${plural(open.pairs, 'pair')} not known.` : 'The map is not complete.';
    case 'in-circuit':
      return 'Some readings were taken with the wires on, which proves nothing.';
    case 'nothing-expected':
      return 'You haven’t said what it should do.';
    case 'differs':
      return [
        ...(open.missing > 0 ? [`${open.missing} missing`] : []),
        ...(open.extra > 0 ? [`${open.extra} extra`] : []),
      ].join(', ');
    case 'fails':
      return `${LINE_NAMES[open.line]} failed: fix the switch, or find a replacement.`;
    case 'questions':
      return `${plural(open.count, 'question')} open.`;
    case 'said-in-part':
      return 'What it should do is only partly specified.';
    case 'not-in-ohms':
      return `${plural(open.contacts, 'contact')} not measured in ohms.`;
    case 'not-repeated':
      return 'Not every contact was worked 20 times.';
    case 'contacts-unclear':
      return 'Some contacts are not clear.';
    case 'insulation':
      return 'Insulation not tested.';
    case 'mechanics':
      return 'Mechanics not tested.';
  }
}

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
