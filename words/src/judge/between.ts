import type { Passing } from '@which-way/core/log';

/** What slow passes showed; never 'break before make', which a meter does not tell. */
export const passingWords = (passing: Passing | null): string =>
  passing === null
    ? 'not tried'
    : passing.seen
      ? 'both made at once: seen'
      : `not seen in ${passing.passes === 1 ? 'one pass' : `${passing.passes} passes`}`;

export const BETWEEN_NOTE =
  'A lead on each throw, turn slowly. A meter is slower than a contact: what it does not show may still be there.';
