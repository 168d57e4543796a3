import { matcherFor, rankOf, type MatchResult, type Requirement } from '@which-way/core/match';
import { patternOfKnown } from '@which-way/core/partition';
import type { KnownSwitch } from '@which-way/core/switch';
import type { ReadingRoom } from './reading-room.js';

/** A requirement as it travels. */
export interface WireRequirement {
  pattern: number[][];
  terminals: number[];
  known: number[] | null;
}

/** Entries looked at between two looks at whether the search is still wanted. */
const STRETCH = 200;
/** Of those that are ruled out, and of those that match, so many are told one by one; the rest is counted. */
const TOLD = 60;

export interface MatchAnswer {
  /** Best first, at most TOLD that may do and TOLD that do not. */
  candidates: { known: KnownSwitch; result: MatchResult }[];
  looked: number;
  /** All of the library; those too small are ruled out by their size without being looked at. */
  all: number;
  /** By kind of result. */
  counts: Record<MatchResult['kind'], number>;
}

/** Looks through the library for what has the required wiring. The same wiring is compared once, however many have it. */
export async function matchLibrary(
  room: ReadingRoom,
  { pattern, terminals, known }: WireRequirement,
  flag: SharedArrayBuffer,
): Promise<MatchAnswer> {
  const required: Requirement = { pattern, terminals, known: known && Uint32Array.from(known) };
  const stop = new Int32Array(flag);
  const match = matcherFor(required);
  const counts: MatchAnswer['counts'] = { 'same-wiring': 0, 'fits-so-far': 0, no: 0, undecided: 0 };
  const all = room.countEntries();
  let candidates: MatchAnswer['candidates'] = [];
  let [looked, after] = [0, 0];
  for (const entry of room.tooSmall(terminals.length, pattern.length, TOLD))
    candidates.push({ known: entry, result: match(patternOfKnown(entry)) });
  while (Atomics.load(stop, 0) === 0) {
    const stretch = room.largeEnough(terminals.length, pattern.length, after, STRETCH);
    for (const { row, entry } of stretch) {
      after = row;
      if (Atomics.load(stop, 0) !== 0) break;
      const result = match(patternOfKnown(entry));
      counts[result.kind] += 1;
      looked += 1;
      candidates.push({ known: entry, result });
    }
    candidates = bestOf(candidates);
    if (stretch.length < STRETCH) break;
    await new Promise((resolve) => setImmediate(resolve));
  }
  counts.no += all - looked;
  return { candidates: bestOf(candidates), looked, all, counts };
}

function bestOf(candidates: MatchAnswer['candidates']): MatchAnswer['candidates'] {
  const sorted = candidates.toSorted((one, other) => rankOf(one) - rankOf(other));
  const may = sorted.filter(({ result }) => result.kind !== 'no').slice(0, TOLD);
  const no = sorted.filter(({ result }) => result.kind === 'no').slice(0, TOLD);
  return [...may, ...no];
}
