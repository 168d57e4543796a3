import { PairMarks } from '../partition/index.js';
import fc from 'fast-check';
import { Ints } from '../grid/index.js';
import { setBit, wordsFor, type Bits } from '../planner/field/bits.js';
import {
  costOf,
  EMPTY_HANDS,
  ORDINARY_HANDS,
  takeMove,
  type Hands,
  type Move,
  type RecheckBoard,
  type RecheckSetting,
} from '../planner/index.js';

/** Marks of pairs as rows of bits. */
function rowsOf(marks: PairMarks): Bits {
  const { size } = marks;
  const words = wordsFor(size);
  const rows = new Ints(size * words);
  for (let a = 0; a < size; a += 1)
    for (let b = 0; b < size; b += 1) if (marks.has(a, b)) setBit(rows, b, a, words);
  return rows;
}

/** What is left once each two nets of a setting are parted by one reading, and each net is joined by one chain of readings. */
export function onceOnly(
  nets: readonly (readonly number[])[],
  pairsOnly: readonly boolean[] = [],
): RecheckBoard {
  const size = nets[0]?.length ?? 0;
  const places = Array.from({ length: size }, (_, place) => place);
  const settingOf = (row: readonly number[], setting: number): RecheckSetting => {
    const single = PairMarks.none(size);
    for (const one of row) for (const other of row) if (one !== other) single.mark(one, other);
    const loose = [...new Set(row)].flatMap((net) => {
      const members = places.filter((place) => row[place] === net);
      // Without one link the rest of the chain is a part of its own, of which no open says anything.
      return members.slice(1).map((rest, cut) => ({
        net,
        parts: row.map((own, place) => (own === net && members.indexOf(place) > cut ? rest : own)),
        apart: rowsOf(single),
      }));
    });
    const leaveOut = PairMarks.none(size);
    return {
      nets: row,
      single,
      loose,
      joins: [],
      pairsOnly: pairsOnly[setting] ?? false,
      leaveOut,
      held: false,
    };
  };
  return { size, places, settings: nets.map(settingOf) };
}

/** The nets of some settings, any at all: the smallest terminal of its net for each. */
export const patterns = fc
  .record({ terminals: fc.integer({ min: 2, max: 8 }), settings: fc.integer({ min: 1, max: 4 }) })
  .chain(({ terminals, settings }) => {
    const row = fc.array(fc.nat(terminals - 1), { minLength: terminals, maxLength: terminals });
    return fc.array(row, { minLength: settings, maxLength: settings });
  })
  .map((nets) => nets.map((row) => row.map((net) => row.indexOf(net))));

/** What a search goes by, and hands that own so many clips. */
export const WEIGHTS = { join: 2, ahead: 0.1 };
export const clips = (clipsOwned: number) => ({ ...ORDINARY_HANDS, clipsOwned });
/** Pairs of nets that one reading parts, and a thousand for each loose net. */
export const leftOn = ({ settings }: RecheckBoard) =>
  settings.reduce((sum, { single, loose }) => sum + 2 * single.count() + 1000 * loose.length, 0);

/** Makes the moves of a chooser until it has none; the seconds of all. */
export function toTheEnd(
  board: RecheckBoard,
  choose: (hands: Hands) => Move | null | undefined,
  costs = clips(12),
) {
  let hands: Hands = EMPTY_HANDS;
  let seconds = 0;
  for (let moves = 0; ; moves += 1) {
    if (moves === 500) throw new Error('the re-check did not come to an end');
    const move = choose(hands);
    if (!move) return seconds;
    takeMove(board, move);
    const cost = costOf(move, hands, costs, () => false);
    [hands, seconds] = [cost.after, seconds + cost.seconds];
  }
}
