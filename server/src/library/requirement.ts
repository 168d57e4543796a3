import { told } from '../errors/refusal.js';
import type { ApiError } from '@which-way/contract';
import { loadProblems, partFactsProblems } from '@which-way/core/formats';
import { lengthOfBits } from '@which-way/core/match';
import { MOST_SETTINGS, MOST_TERMINALS } from '@which-way/core/schema';

/** So many of those that do, and of those that are ruled out, are told one by one at most. */
const MOST_TOLD = 60;

const isPlaces = (value: unknown, most: number): value is number[] =>
  Array.isArray(value) &&
  value.length <= most &&
  value.every((place) => Number.isInteger(place) && place >= 0 && place < MOST_TERMINALS);

const wrong = (path: string, hint: string): ApiError =>
  told('invalid-requirement', { where: path || 'The requirement', hint }, path);

/** What is wrong with a requirement that was sent: a partition for each position, the places that are needed, what is known. */
export function requirementTrouble(body: unknown): ApiError | null {
  if (typeof body !== 'object' || body === null)
    return wrong('', 'Send { pattern, terminals, known, free, also, never, rules, told, words, subject }.');
  const {
    pattern,
    terminals,
    known,
    free,
    also,
    never,
    rules,
    told: toldAtMost,
    words,
    subject,
    ...others
  } = body as Record<string, unknown>;
  const [other] = Object.keys(others);
  if (other !== undefined) return wrong(other, 'Remove it, or check its spelling.');
  const rows =
    Array.isArray(pattern) && pattern.length > 0 && pattern.length <= MOST_SETTINGS ? pattern : null;
  const size = Array.isArray(rows?.[0]) ? rows[0].length : 0;
  if (!rows?.every((row) => isPlaces(row, MOST_TERMINALS) && row.length === size) || size === 0)
    return wrong('pattern', 'For each position: the net of each terminal, by the place of its first member.');
  if (!isPlaces(terminals, size) || terminals.length === 0 || terminals.some((place) => place >= size))
    return wrong('terminals', 'Places of the terminals that are needed.');
  const length = lengthOfBits(terminals.length, rows.length);
  const isBits = (value: unknown) =>
    value === null ||
    (Array.isArray(value) &&
      value.length === length &&
      value.every((bits) => Number.isInteger(bits) && bits >= 0 && bits < 2 ** 32));
  if (!isBits(free))
    return wrong('free', 'null, or for each pair the positions that do not matter, as bits.');
  const isRows = (value: unknown) =>
    Array.isArray(value) &&
    value.length === rows.length &&
    value.every((row) => isPlaces(row, MOST_TERMINALS) && row.length === size);
  const alsoFits =
    Array.isArray(also) &&
    also.length <= 12 &&
    also.every(
      (one) =>
        isObject(one) && Object.keys(one).length === 2 && isRows(one['pattern']) && isBits(one['free']),
    );
  if (!alsoFits)
    return wrong('also', 'At most 12 of { pattern, free }, each with as many positions and terminals.');
  if (!isBits(known))
    return wrong('known', 'null, or for each pair of needed terminals the positions as bits.');
  return askedTrouble({ never, rules, told: toldAtMost, words, subject }, terminals, rows.length);
}

/** What is wrong with what is asked beside the wiring: what must never meet, how far it is looked, what is told, of what switch. */
function askedTrouble(
  { never, rules, told: toldAtMost, words, subject }: Record<string, unknown>,
  places: readonly number[],
  positions: number,
): ApiError | null {
  const pairsFit =
    Array.isArray(never) &&
    never.length <= 400 &&
    never.every(
      (pair) => isPlaces(pair, 2) && pair.length === 2 && pair.every((one) => places.includes(one)),
    );
  if (!pairsFit) return wrong('never', 'Pairs of places that are needed, such as [[0, 3]]; [] for none.');
  if (!isRules(rules)) return wrong('rules', '{ jumpers: 0 to 4, gaps, spares, returns: true or false }.');
  if (!Number.isInteger(toldAtMost) || Number(toldAtMost) < 0 || Number(toldAtMost) > MOST_TOLD)
    return wrong('told', `How many are told one by one: a whole number, 0 to ${MOST_TOLD}.`);
  if (typeof words !== 'string' || words.length > 120)
    return wrong('words', 'Beginnings of words, at most 120 characters; empty for all entries.');
  return isSubject(subject, positions)
    ? null
    : wrong(
        'subject',
        '{ positions, loads, mostWires, facts, brake, offLeftOut, startsAt, stopsAt } of the switch that is replaced.',
      );
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function isRules(value: unknown): boolean {
  if (!isObject(value) || Object.keys(value).length !== 4) return false;
  const { jumpers, gaps, spares, returns } = value;
  return (
    Number.isInteger(jumpers) &&
    Number(jumpers) >= 0 &&
    Number(jumpers) <= 4 &&
    [gaps, spares, returns].every((one) => typeof one === 'boolean')
  );
}

/** What is said of the switch that is replaced, in the shapes that the comparison rests on. */
function isSubject(value: unknown, positions: number): boolean {
  if (!isObject(value)) return false;
  const { positions: rests, loads, mostWires, facts, brake, offLeftOut, startsAt, stopsAt } = value;
  const arePlaces = (list: unknown) =>
    Array.isArray(list) && list.every((at) => Number.isInteger(at) && at >= 0 && at < positions);
  return (
    Array.isArray(rests) &&
    rests.length === positions &&
    rests.every(
      (one) => isObject(one) && ['maintained', 'momentary', null].includes(one['rests'] as string),
    ) &&
    Array.isArray(loads) &&
    loads.length <= 100 &&
    loads.every((one) => loadProblems(one).length === 0) &&
    Number.isInteger(mostWires) &&
    typeof brake === 'boolean' &&
    typeof offLeftOut === 'boolean' &&
    arePlaces(startsAt) &&
    isObject(stopsAt) &&
    [stopsAt['brake'], stopsAt['kill'], stopsAt['stop']].every(arePlaces) &&
    partFactsProblems(facts).length === 0
  );
}
