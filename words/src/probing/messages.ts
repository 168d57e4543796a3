import type { Message } from '@which-way/core/probing';
import type { Structure } from '@which-way/core/switch';
import { ohms, valueWords } from '../quantity.js';
import { terminalList, terminalName } from '../terminals.js';

/** What needs no name of a terminal or a value. */
const PLAIN = {
  'leaks-kept':
    'Damp or dirty? Three leaks stayed with your hands off. From now on leaks are kept without asking again.',
  'nothing-tapped': 'Nothing selected. If all are open, press Space; otherwise tap those that aren’t.',
  'some-tapped': 'Press Enter when you’ve tapped them all, or Escape to start over.',
  'type-the-zero': 'Type what the meter shows with the leads together, such as 0,2.',
  'no-value-asked': 'No value is needed right now. Type two terminals, such as 1-2, to read a pair.',
};

/** What the Map says to something that the hands did. */
export function messageWords(structure: Structure, message: Message): string {
  switch (message.code) {
    case 'leaks-kept':
    case 'nothing-tapped':
    case 'some-tapped':
    case 'type-the-zero':
    case 'no-value-asked':
      return PLAIN[message.code];
    case 'leads-together-first':
      return 'First hold the leads together.';
    case 'red-stays':
      return `Red stays there. ${OWN_PAIR}`;
    case 'not-in-the-sweep':
      return `${terminalName(structure, message.terminal)} is not in this sweep: it is known, or comes later. ${OWN_PAIR}`;
    case 'clip-not-asked':
      return 'That clip is already proven, or isn’t connected now.';
    case 'position-not-asked':
      return 'That position is not asked now: it is known, or comes later.';
    case 'position-settled':
      return 'That position is settled. To read a pair there, tap its cell in the table.';
    case 'no-such-position':
      return `There is no position “${message.typed}”. Type its number or its name, Enter after each.`;
    case 'no-such-terminal':
      return `There is no terminal “${message.typed}”. Type a label, such as ${message.example}, or two, such as 1-2.`;
    case 'not-a-value':
      return `“${message.typed}” isn’t a value. Type ohms such as 0,3 or 2k2, or OL.`;
    case 'negative-value':
      return `“${message.typed}” is below zero. Hold the leads together again for the zero, and type what the meter shows.`;
    case 'beyond-range':
      return `A meter set to ${ohms(message.rangeOhms)} cannot show ${ohms(message.ohms)}. Type OL, or set another range under “How to map”.`;
    case 'type-the-value':
      return 'Type what the meter shows, such as 0,3; or Space for OL.';
    case 'tap-silent-clips':
      return 'Tap the clips that are silent, or type them; then Enter.';
    case 'clips-silent':
    case 'clips-were-silent':
      return silentClipsWords(structure, message);
    case 'zero-silent':
      return 'No sound with the leads together: look at the dial, the plugs and the battery, then try again.';
    case 'zero-broken':
      return `The leads together read ${valueWords(message.value)}: a lead or plug is broken, or the dial is wrong. Fix that first.`;
    case 'zero-too-much':
      return `${valueWords(message.value)} is too much for leads alone. Clean tips and plugs and try again; up to ${message.most} Ω can be subtracted.`;
    case 'zero-high':
      return `The leads read ${valueWords(message.value)}; clean they read ${ohms(message.leadOhms)}. It is subtracted. Clean tips and plugs, then hold them together again.`;
    case 'which-flickers':
      return 'Which one? Type it with ~, such as 9=~.';
    case 'pick-two':
      return 'Tap the first terminal for red, then the one for black.';
    case 'one-pair-only':
      return 'This works on one pair at a time: choose it with “Another pair” first.';
    case 'at-its-stop':
      return 'The simulated handle does not move: it is at its stop.';
    case 'clicks-on':
      return 'The simulated handle still clicks on: there is another position.';
  }
}

const OWN_PAIR = 'For a pair of your own choice press “Another pair” or type 1-2.';

/** What is wrong with the pairs of a quick check; `wrong`: the part that is none. */
export const wrongPairWords = (wrong: string | null): string =>
  `${wrong === null ? 'No pair is named' : `“${wrong}” isn’t a pair of terminals`}. Name pairs such as 1-2, 3-4.`;

/** Clips that made no contact when they were touched: a new one is put on again, what the others parted is asked again. */
function silentClipsWords(
  structure: Structure,
  { code, terminals }: Extract<Message, { code: 'clips-silent' | 'clips-were-silent' }>,
): string {
  const one = terminals.length === 1;
  const clips = `${one ? 'The clip' : 'The clips'} on ${terminalList(structure, terminals)} ${one ? 'was' : 'were'} silent`;
  const it = one ? 'it' : 'them';
  return code === 'clips-silent'
    ? `${clips}. Put ${it} on again, then touch ${it} again.`
    : `${clips}: what read open through ${it} is asked again.`;
}
