import type { Fact, LookAgain } from '@which-way/core/continuity';
import type { Proposal } from '@which-way/core/explain';
import type { Suspect } from '@which-way/core/planner';
import type { MiddleHint, LineStanding } from '@which-way/core/sense';
import type { Explanation } from '@which-way/core/log';
import { ohms } from '../quantity.js';

/** Whether and how it is known that two terminals join, as a sentence's end. */
export function factWords({ state, joined, byTone }: Fact): string {
  if (state === 'unknown') return 'Not known';
  if (state === 'disputed') return 'Disputed';
  const what = joined ? (byTone ? 'Closed, by tone' : 'Closed') : byTone ? 'Open, silent' : 'Open';
  return `${what}: ${state}`;
}

export const LOOK_AGAIN_WORDS: Record<LookAgain['because'], string> = {
  middle: 'reads between closed and open',
  unsteady: 'is unsteady',
  'one-way': 'conducts one way only',
  direction: 'is closed from one side of the handle and open from the other',
  'part-or-contact': 'reads low across a part that may read as low',
};

export const LOOK_AGAIN_ADVICE: Record<LookAgain['because'], string> = {
  middle: 'Work the contact ten strokes, hands off the tips, and read it again.',
  unsteady: 'Hold the leads still or clip them, and read it again.',
  'one-way':
    'One of these may be a slip: read both ways again. If it stays, check for volts, then it is a diode or electronics.',
  'part-or-contact':
    'A cold lamp or a winding reads like a contact. Lift one end of the part and read it again, or say which it is.',
  direction: 'A worn detent or contact, or a position counted wrong. Approach it from both sides again.',
};

export const STANDING_WORDS: Record<LineStanding, string> = {
  counts: '',
  withdrawn: 'undone',
  superseded: 'replaced',
  aside: 'set aside: the question had changed',
  parked: 'parked: terminal or position not in use',
  earlier: 'before it was worked on',
};

/** Of a low reading across a part, which of the two it is. */
export const PART_OR_CONTACT_WORDS: Partial<Record<Explanation, string>> = {
  contact: 'The contact closes too',
  part: 'It’s only the part',
};

/** What a reading between closed and open may be, after 'it is'. */
export const EXPLANATION_WORDS: Record<Explanation, string> = {
  contact: 'a bad contact',
  part: 'a part, no contact',
  leak: 'a leak',
  potentiometer: 'a potentiometer',
  'not-known': 'not known',
};

/** What to do about a middle value, by its size. */
export const HINT_WORDS: Record<MiddleHint, string> = {
  'work-the-contact': 'Work the handle ten strokes, then read it again.',
  'a-part-or-film': 'A part lies across, or film or carbon on the contact.',
  'hands-off-the-tips': 'Hands off the tips, one lead clipped, dry: then read it again.',
};

/** Why something is proposed. */
export function becauseWords(because: Proposal['because']): string {
  switch (because.code) {
    case 'changes':
      return `it went from ${ohms(because.from)} to ${ohms(because.to)} when read again.`;
    case 'climbs':
      return because.swapped
        ? `it climbs from ${ohms(because.from)} to ${ohms(because.to)} while held, and starts low again with the leads swapped: a capacitor.`
        : `it climbs from ${ohms(because.from)} to ${ohms(because.to)} while held, as a capacitor does: swap the leads and see whether it starts low again.`;
    case 'falls':
      return `it falls with each stroke, from ${ohms(because.from)} to ${ohms(because.to)}: film on the contact.`;
    case 'repeats':
      return `it repeats, ${ohms(because.ohms)} ${because.times} times.`;
    case 'same-everywhere':
      return `it is the same in ${because.settings} positions, ${ohms(because.ohms)}.`;
    case 'follows-handle':
      return `it goes from ${ohms(because.from)} to ${ohms(because.to)} step by step over ${because.settings} positions.`;
    case 'declared-parts':
      return `the declared parts and what is joined would show ${ohms(because.predicted)}.`;
  }
}

/** What speaks against a reading. */
export const SUSPICION_WORDS: Record<Suspect['because'][number], string> = {
  'doubtful-meter': 'the meter failed its next check',
  tone: 'only a tone',
  unsteady: 'flickered',
  'against-prediction': 'unlike the other positions',
};
