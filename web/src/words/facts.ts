import type { Fact, LookAgain } from '@which-way/core/continuity';
import type { Standing } from '@which-way/core/sense';

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
};

export const LOOK_AGAIN_ADVICE: Record<LookAgain['because'], string> = {
  middle: 'Work the contact ten strokes, hands off the tips, and read it again.',
  unsteady: 'Hold the leads still or clip them, and read it again.',
  'one-way': 'A diode or electronics may lie between them. Read both ways again.',
};

export const STANDING_WORDS: Record<Standing, string> = {
  counts: '',
  withdrawn: 'undone',
  superseded: 'replaced',
  aside: 'kept aside: its prompt was gone',
  parked: 'parked: terminal or position not in use',
};
