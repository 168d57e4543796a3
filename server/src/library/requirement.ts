import { told } from '../errors/refusal.js';
import type { ApiError } from '@which-way/contract';
import { MOST_SETTINGS, MOST_TERMINALS } from '@which-way/core/schema';

const isPlaces = (value: unknown, most: number): value is number[] =>
  Array.isArray(value) &&
  value.length <= most &&
  value.every((place) => Number.isInteger(place) && place >= 0 && place < MOST_TERMINALS);

/** What is wrong with a requirement that was sent: a partition for each position, the places that are needed, what is known. */
export function requirementTrouble(body: unknown): ApiError | null {
  const wrong = (path: string, hint: string): ApiError =>
    told('invalid-requirement', { where: path || 'The requirement', hint }, path);
  if (typeof body !== 'object' || body === null) return wrong('', 'Send { pattern, terminals, known }.');
  const { pattern, terminals, known, ...others } = body as Record<string, unknown>;
  const [other] = Object.keys(others);
  if (other !== undefined) return wrong(other, 'Remove it, or check its spelling.');
  const rows =
    Array.isArray(pattern) && pattern.length > 0 && pattern.length <= MOST_SETTINGS ? pattern : null;
  const size = Array.isArray(rows?.[0]) ? rows[0].length : 0;
  if (!rows?.every((row) => isPlaces(row, MOST_TERMINALS) && row.length === size) || size === 0)
    return wrong('pattern', 'For each position: the net of each terminal, by the place of its first member.');
  if (!isPlaces(terminals, size) || terminals.length === 0 || terminals.some((place) => place >= size))
    return wrong('terminals', 'Places of the terminals that are needed.');
  const cells = terminals.length ** 2;
  const knownFits =
    known === null ||
    (Array.isArray(known) &&
      known.length === cells &&
      known.every((bits) => Number.isInteger(bits) && bits >= 0 && bits < 2 ** 32));
  return knownFits
    ? null
    : wrong('known', 'null, or for each pair of needed terminals the positions as bits.');
}
