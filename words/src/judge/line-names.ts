import type { Verdict } from '@which-way/core/verify';

/** What the four lines of a verdict are called. */
export const LINE_NAMES: Record<keyof Verdict, string> = {
  pattern: 'Pattern',
  contacts: 'Contacts',
  insulation: 'Insulation',
  mechanics: 'Mechanics',
};
