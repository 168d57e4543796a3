import type { Passing } from '@which-way/core/log';

/** What slow passes showed; never 'break before make', which a meter does not tell. */
export const passingWords = (passing: Passing | null): string =>
  passing === null
    ? 'not tried'
    : passing.seen
      ? 'both made at once: seen'
      : `not seen in ${passing.passes === 1 ? 'one pass' : `${passing.passes} passes`}`;

export const BETWEEN_NOTE =
  'Put a lead on each throw and turn slowly. A contact can be faster than the meter, so what it misses may still happen.';
