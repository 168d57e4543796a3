import type { MatchAnswer, MatchedEntry, MatchQuestion } from '@which-way/contract';
import {
  compareRanks,
  differencesOf,
  isTrueMatch,
  matcherFor,
  nearMissesFor,
  PLAIN_RULES,
  rankOf,
  type ReadyPart,
  type Requirement,
} from '@which-way/core/match';
import { patternOfKnown } from '@which-way/core/partition';
import type { KnownSwitch } from '@which-way/core/switch';
import type { ReadingRoom } from './reading-room.js';
import type { ReadyLibrary } from './ready-library.js';

/** Entries looked at between two looks at whether the search is still wanted. */
const STRETCH = 200;
/** Of those that are ruled out, and of those that match, so many are told one by one; the rest is counted. */
const TOLD = 60;
/** Candidates that are ruled out by their wiring, of which is said what they fall short of. */
const NEAR = 40;
/** Steps of the search for one part, where junctions or gaps are allowed. */
const NODES = 20_000;

/** Looks through the library for what does what is required. The same wiring is compared once, however many have it. */
export async function matchLibrary(
  room: ReadingRoom,
  library: ReadyLibrary,
  { pattern, terminals, known, never, rules, subject }: MatchQuestion,
  flag: SharedArrayBuffer,
): Promise<MatchAnswer> {
  const required: Requirement = { pattern, terminals, known: known && Uint32Array.from(known), never };
  const plain = rules.jumpers === 0 && !rules.gaps;
  const allowed = { ...PLAIN_RULES, ...rules, ...(!plain && { nodes: NODES }) };
  const stop = new Int32Array(flag);
  const match = matcherFor(required, allowed);
  const counts: MatchAnswer['counts'] = { 'same-wiring': 0, 'fits-so-far': 0, no: 0, undecided: 0 };
  const all = room.countEntries();
  const look = (entry: KnownSwitch, pattern = patternOfKnown(entry), part?: ReadyPart): MatchedEntry => {
    const result = match(pattern, part);
    const differences = 'terminals' in result ? differencesOf(subject, required, never, entry, result) : [];
    return { known: entry, result, differences, near: null };
  };
  let candidates = room.tooSmall(terminals.length, pattern.length, TOLD).map((entry) => look(entry));
  let [looked, after] = [0, 0];
  while (Atomics.load(stop, 0) === 0) {
    const stretch = library.stretch(room, terminals.length, pattern.length, after, STRETCH);
    for (const { row, entry, pattern: nets, part } of stretch) {
      after = row;
      if (Atomics.load(stop, 0) !== 0) break;
      const found = look(entry, nets, part);
      counts[found.result.kind] += 1;
      looked += 1;
      candidates.push(found);
    }
    candidates = bestOf(candidates);
    if (stretch.length < STRETCH) break;
    await new Promise((resolve) => setImmediate(resolve));
  }
  counts.no += all - looked;
  const near = nearMissesFor(required, { ...allowed, nodes: NODES });
  let asked = 0;
  const told = bestOf(candidates).map((one): MatchedEntry => {
    // No answer is shown that was not looked at anew.
    if (!isTrueMatch(required, patternOfKnown(one.known), one.result))
      return { ...one, result: { kind: 'undecided', because: 'search-cap', steps: 0 }, differences: [] };
    if (one.result.kind !== 'no' || asked >= NEAR || Atomics.load(stop, 0) !== 0) return one;
    asked += 1;
    return { ...one, near: near(patternOfKnown(one.known)) };
  });
  return { candidates: told, looked, all, counts };
}

function bestOf(candidates: MatchedEntry[]): MatchedEntry[] {
  const sorted = candidates.toSorted((one, other) => compareRanks(rankOf(one), rankOf(other)));
  const may = sorted.filter(({ result }) => result.kind !== 'no').slice(0, TOLD);
  const no = sorted.filter(({ result }) => result.kind === 'no').slice(0, TOLD);
  return [...may, ...no];
}
