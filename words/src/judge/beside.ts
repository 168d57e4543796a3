import type { BesideAs } from '@which-way/core/log';
import type { BesideCell, BesideComparison } from '@which-way/core/verify';
import { ohms } from '../quantity.js';

/** What the other switch is to this one. */
export const BESIDE_WORDS: Record<BesideAs, string> = {
  'new-part': 'The new part',
  'good-one': 'A good one',
  'old-one': 'The one it was measured beside',
  'same-earlier': 'The same one',
};

/** How two switches compare, as a count. */
export function besideCountWords({ alike, differ, notKnown }: BesideComparison): string {
  const known = `${differ === 0 ? 'No difference' : differ === 1 ? '1 pair differs' : `${differ} pairs differ`}, ${alike} alike`;
  return notKnown === 0 ? `${known}.` : `${known}, ${notKnown} not measured on both, so not compared.`;
}

/** What is known of a pair on one side. */
export function sideWords({ joined, ohms: value }: BesideCell['here']): string {
  if (joined === null) return 'not known';
  if (!joined) return 'open';
  return value === null ? 'closed' : `closed, ${ohms(value)}`;
}
