import type { Judgement, Open } from '@which-way/core/verdict';
import { plural } from '../plural.js';
import { LINE_NAMES } from './line-names.js';

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
