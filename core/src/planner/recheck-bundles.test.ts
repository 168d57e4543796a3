import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { countBits, hasBit, lowestBit, setBit, wordsFor, type Bits } from './bits.js';
import {
  bestHolds,
  copyBoard,
  costOf,
  emptySides,
  EMPTY_HANDS,
  isWhole,
  ORDINARY_HANDS,
  partsJoined,
  polished,
  quickestHold,
  QUICK,
  takeExpected,
  takeMove,
  wholeCourse,
  withJoined,
  withOpen,
  type Hands,
  type Lead,
  type Move,
  type RecheckBoard,
  type RecheckSetting,
} from './index.js';

/** Flags of a square as rows of bits. */
function rowsOf(flags: Uint8Array, size: number): Bits {
  const words = wordsFor(size);
  const rows = new Int32Array(size * words);
  flags.forEach((flag, cell) => {
    if (flag === 1) setBit(rows, cell % size, Math.floor(cell / size), words);
  });
  return rows;
}

/** What is left once each two nets of a setting are parted by one reading, and each net is joined by one chain of readings. */
function onceOnly(nets: readonly (readonly number[])[], pairsOnly: readonly boolean[] = []): RecheckBoard {
  const size = nets[0]?.length ?? 0;
  const places = Array.from({ length: size }, (_, place) => place);
  const settingOf = (row: readonly number[], setting: number): RecheckSetting => {
    const single = new Uint8Array(size * size);
    for (const one of row) for (const other of row) if (one !== other) single[one * size + other] = 1;
    const loose = [...new Set(row)].flatMap((net) => {
      const members = places.filter((place) => row[place] === net);
      // Without one link the rest of the chain is a part of its own, of which no open says anything.
      return members.slice(1).map((rest, cut) => ({
        net,
        parts: row.map((own, place) => (own === net && members.indexOf(place) > cut ? rest : own)),
        apart: rowsOf(single, size),
      }));
    });
    const leaveOut = new Uint8Array(size * size);
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

const patterns = fc
  .record({ terminals: fc.integer({ min: 2, max: 8 }), settings: fc.integer({ min: 1, max: 4 }) })
  .chain(({ terminals, settings }) => {
    const row = fc.array(fc.nat(terminals - 1), { minLength: terminals, maxLength: terminals });
    return fc.array(row, { minLength: settings, maxLength: settings });
  })
  .map((nets) => nets.map((row) => row.map((net) => row.indexOf(net))));

const WEIGHTS = { join: 2, ahead: 0.1 };
const clips = (clipsOwned: number) => ({ ...ORDINARY_HANDS, clipsOwned });
const sidesOf = (move: Move): [number[], number[]] => [[move.red].flat(), move.black];
const settingsOf = (move: Move) => (move.kind === 'sweep' ? [move.setting] : move.settings);
const leftOn = ({ settings }: RecheckBoard) =>
  settings.reduce(
    (sum, { single, loose }) => sum + single.reduce((all, one) => all + one, 0) + 1000 * loose.length,
    0,
  );
const never = () => false;

/** Makes the moves of a chooser until it has none; the seconds of all. */
function toTheEnd(board: RecheckBoard, choose: (hands: Hands) => Move | null | undefined, costs = clips(12)) {
  let hands: Hands = EMPTY_HANDS;
  let seconds = 0;
  for (let moves = 0; ; moves += 1) {
    expect(moves).toBeLessThan(500);
    const move = choose(hands);
    if (!move) return seconds;
    takeMove(board, move);
    const cost = costOf(move, hands, costs, never);
    [hands, seconds] = [cost.after, seconds + cost.seconds];
  }
}

describe('holds of a re-check', () => {
  it('want no more clips than there are, show something in every setting, and leave nothing in the end', () => {
    fc.assert(
      fc.property(patterns, fc.integer({ min: 2, max: 12 }), (nets, clipsOwned) => {
        const board = onceOnly(nets);
        toTheEnd(
          board,
          (hands) => {
            const move = quickestHold(board, hands, clips(clipsOwned));
            if (!move) return null;
            const [red, black] = sidesOf(move);
            expect(new Set([...red, ...black]).size).toBe(red.length + black.length);
            if (red.length + black.length > 2)
              expect(red.length + black.length).toBeLessThanOrEqual(clipsOwned);
            for (const setting of settingsOf(move)) {
              const after = copyBoard(board);
              takeExpected(after, setting, red, black);
              expect(leftOn(after)).toBeLessThan(leftOn(board));
            }
            return move;
          },
          clips(clipsOwned),
        );
        expect(leftOn(board)).toBe(0);
      }),
      { numRuns: 40 },
    );
  });

  it('are rated by the seconds that the hands take', () => {
    fc.assert(
      fc.property(patterns, fc.nat(3), (nets, before) => {
        // Without a share of taking clips off, the best of all pairs and bundles gains most in a second of `costOf`.
        const board = onceOnly(nets);
        let hands: Hands = EMPTY_HANDS;
        const search = () => bestHolds(board, hands, clips(8), { join: 1000, ahead: 0 }, QUICK);
        const rate = (move: Move) => {
          const after = copyBoard(board);
          takeMove(after, move);
          const opens = (one: RecheckBoard) => leftOn(one) % 1000;
          const joins = (leftOn(board) - opens(board) - leftOn(after) + opens(after)) / 1000;
          const gain = 1000 * joins + (opens(board) - opens(after)) / 2;
          return gain / costOf(move, hands, clips(8), never).seconds;
        };
        for (let made = 0; made <= before; made += 1) {
          const moves = search();
          const rates = moves.map(rate);
          rates
            .slice(1)
            .forEach((next, at) => expect(next).toBeLessThanOrEqual((rates[at] as number) + 1e-9));
          if (!moves[0]) return;
          takeMove(board, moves[0]);
          hands = costOf(moves[0], hands, clips(8), never).after;
        }
      }),
      { numRuns: 60 },
    );
  });

  it('are rated before a terminal is moved as they are after it', () => {
    const leads = fc.array(fc.constantFrom<Lead>(0, 1, 2), { minLength: 8, maxLength: 8 });
    fc.assert(
      fc.property(patterns, leads, fc.nat(7), fc.constantFrom<Lead>(0, 1, 2), (nets, laid, which, to) => {
        const board = onceOnly(nets);
        const sides = emptySides(board, EMPTY_HANDS, clips(8), WEIGHTS, { looks: 0 });
        for (const place of board.places) sides.put(place, laid[place] as Lead);
        const place = which % board.size;
        const foreseen = sides.rateWith(place, to);
        sides.put(place, to);
        expect(sides.rateWith(place, to)).toBeCloseTo(foreseen, 9);
      }),
      { numRuns: 1000 },
    );
  });

  it('are pairs alone where bundles say nothing', () => {
    const alone = Array.from({ length: 8 }, (_, place) => place);
    const [bundle] = bestHolds(onceOnly([alone, alone, alone]), EMPTY_HANDS, clips(8), WEIGHTS, QUICK);
    expect([bundle?.red].flat().length).toBeGreaterThan(1);
    const silent = onceOnly([alone, alone, alone], [true, true, true]);
    const [pair] = bestHolds(silent, EMPTY_HANDS, clips(8), WEIGHTS, QUICK);
    expect([pair?.red].flat()).toHaveLength(1);
    expect(pair?.black).toHaveLength(1);
  });

  it('leave out a pair that was passed over, and ask another of the same two nets; with none left they end', () => {
    // Nets {0, 2} and {1}: 0-1 or 2-1 part them, and 0-2 is to be read again.
    const board = onceOnly([[0, 1, 0]], [true]);
    const asked: string[] = [];
    for (let move = quickestHold(board, EMPTY_HANDS, clips(3)); move;) {
      const [[a], [b]] = sidesOf(move) as [[number], [number]];
      asked.push([a, b].sort().join('-'));
      const out = board.settings[0]?.leaveOut as Uint8Array;
      out[a * 3 + b] = out[b * 3 + a] = 1;
      move = quickestHold(board, EMPTY_HANDS, clips(3));
    }
    expect(asked.sort()).toEqual(['0-1', '0-2', '1-2']);
  });

  it('count a net once, whatever terminals of it are tied: more than 32 terminals too', () => {
    const nets = Array.from({ length: 40 }, (_, place) => (place < 20 ? 0 : place));
    const board = onceOnly([nets]);
    (board.settings[0] as RecheckSetting).loose = [];
    const [move] = bestHolds(board, EMPTY_HANDS, clips(40), WEIGHTS, QUICK);
    // The net of twenty wants one clip; all others are nets of one.
    expect([move?.red, move?.black].flat().filter((place) => (place as number) < 20).length).toBeLessThan(2);
  });

  it('played out to the end are quicker on the whole than the best of each moment', () => {
    const rows = (seed: number) =>
      [0, 1, 2].map((setting) => {
        const row = Array.from({ length: 9 }, (_, place) => ((place * 7 + seed * (setting + 2)) % 11) % 8);
        return row.map((net) => row.indexOf(net));
      });
    let [plain, played] = [0, 0];
    for (let seed = 1; seed <= 6; seed += 1) {
      const [one, other] = [onceOnly(rows(seed)), onceOnly(rows(seed))];
      plain += toTheEnd(one, (hands) => bestHolds(one, hands, clips(12), WEIGHTS, QUICK)[0]);
      played += toTheEnd(other, (hands) => quickestHold(other, hands, clips(12)));
    }
    expect(played).toBeLessThan(plain);
  });
});

describe('a course of a re-check made quicker', () => {
  const courseOn = (board: RecheckBoard, costs = clips(8)) => {
    const [moves, left] = [[] as Move[], copyBoard(board)];
    toTheEnd(
      left,
      (hands) => {
        const [move] = bestHolds(left, hands, costs, WEIGHTS, QUICK);
        if (move) moves.push(move);
        return move;
      },
      costs,
    );
    return moves;
  };

  it('takes no longer than it did, can still be made, and leaves nothing', () => {
    let [before, after] = [0, 0];
    fc.assert(
      fc.property(patterns, (nets) => {
        const board = onceOnly(nets);
        const course = courseOn(board);
        const plain = wholeCourse(board, EMPTY_HANDS, clips(8), course);
        const better = polished(board, EMPTY_HANDS, clips(8), course, 5000);
        expect(wholeCourse(board, EMPTY_HANDS, clips(8), better.moves)?.seconds).toBeCloseTo(better.seconds);
        before += plain?.seconds ?? NaN;
        after += better.seconds;
        expect(better.seconds).toBeLessThanOrEqual((plain?.seconds ?? NaN) + 1e-9);
      }),
      { numRuns: 60 },
    );
    expect(after).toBeLessThan(before);
  });

  it('does what wants the same leads at once, and leaves out what the rest shows', () => {
    // Two settings of three nets of one terminal each; by pairs alone.
    const board = onceOnly([
      [0, 1, 2],
      [0, 1, 2],
    ]);
    const pair = (red: number, black: number, ...settings: number[]): Move => ({
      kind: 'hold',
      red: [red],
      black: [black],
      settings,
    });
    const astray = [
      pair(0, 1, 0),
      pair(2, 1, 0),
      pair(1, 0, 1),
      pair(2, 1, 1),
      pair(2, 0, 0, 1),
      pair(0, 1, 0),
    ];
    const { seconds, moves } = polished(board, { ...EMPTY_HANDS, setting: 0 }, clips(0), astray, 5000);
    // Both leads 4 s, then one lead 2.5 s twice; six readings 1 s each; the handle goes over and back, 2 s three times.
    expect(seconds).toBe(4 + 2 * 2.5 + 6 + 3 * 2);
    expect(wholeCourse(board, EMPTY_HANDS, clips(0), moves.slice(1))).toBeNull();
  });

  it('is none where it wants what may not be asked: a pair passed over, bundles where they say nothing, clips there are not', () => {
    const alone = [[0, 1, 2]];
    const bundle: Move = { kind: 'hold', red: [0], black: [1, 2], settings: [0] };
    const last: Move = { kind: 'hold', red: [1], black: [2], settings: [0] };
    const course = (board: RecheckBoard, clipsOwned: number) =>
      wholeCourse(board, EMPTY_HANDS, clips(clipsOwned), [bundle, last]);
    expect(course(onceOnly(alone), 3)).not.toBeNull();
    expect(course(onceOnly(alone), 2)).toBeNull();
    expect(course(onceOnly(alone, [true]), 3)).toBeNull();
    const passedOver = onceOnly(alone);
    (passedOver.settings[0] as RecheckSetting).leaveOut[1 * 3 + 2] = 1;
    expect(course(passedOver, 3)).toBeNull();
  });
});

describe('rows of bits', () => {
  it('count and find the bits that are set', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.nat(31), { minLength: 1 }), (places) => {
        const bits = new Int32Array(1);
        for (const place of places) setBit(bits, place);
        expect(countBits(bits[0] as number)).toBe(places.length);
        expect(lowestBit(bits[0] as number)).toBe(Math.min(...places));
      }),
    );
  });
});

describe('what a reading that came out as expected leaves', () => {
  const parts = [0, 0, 2, 2, 4];
  const nets = [0, 0, 0, 0, 4];
  const places = [0, 1, 2, 3, 4];
  const leads = (red: number[], black: number[]) =>
    places.map((place) => (red.includes(place) ? 1 : black.includes(place) ? 2 : 0));

  it('joins two parts of a net where each lead is on one of them alone', () => {
    const loose = { net: 0, parts, apart: new Int32Array(5) };
    expect(partsJoined(loose, nets, leads([0, 1], [3]))).toEqual([0, 2]);
    expect(partsJoined(loose, nets, leads([3], [1]))).toEqual([2, 0]);
    // Within one part; across it on both leads; one lead on nothing of the net.
    expect(partsJoined(loose, nets, leads([0], [1]))).toBeNull();
    expect(partsJoined(loose, nets, leads([0, 2], [3]))).toBeNull();
    expect(partsJoined(loose, nets, leads([0, 2], [4]))).toBeNull();
    expect(isWhole(parts, 0, nets, places)).toBe(false);
    expect(isWhole(parts, 4, nets, places)).toBe(true);
  });

  it('does not where something else may have closed it: 4 may be joined to 1 as long as nothing parts them', () => {
    const loose = { net: 0, parts, apart: new Int32Array(5) };
    expect(partsJoined(loose, nets, leads([2, 4], [1]))).toBeNull();
    const open = withOpen(loose, [4], [0]);
    expect(partsJoined(open, nets, leads([2, 4], [1]))).toEqual([2, 0]);
    // Joined, the net is whole; of three parts one is left, and what was parted from either is parted from both.
    expect(withJoined(open, [0, 2], nets, places)).toBeNull();
    const three = { ...open, parts: [0, 1, 2, 2, 4] };
    const two = withJoined(three, [2, 0], nets, places);
    expect(two?.parts).toEqual([2, 1, 2, 2, 4]);
    expect(two && hasBit(two.apart, 4, 2, 1)).toBe(true);
  });

  it('says nothing where two nets are on both leads', () => {
    const board = onceOnly([[0, 0, 2, 2, 4]]);
    const before = leftOn(board);
    takeExpected(board, 0, [0, 2], [1, 3]);
    expect(leftOn(board)).toBe(before);
    takeExpected(board, 0, [0, 4], [1]);
    expect(leftOn(board)).toBe(before);
    takeExpected(board, 0, [0, 4], [2]);
    // {0, 1} and {2, 3}, {4} and {2, 3}: each parted both ways round.
    expect(leftOn(board)).toBe(before - 4);
    takeExpected(board, 0, [0], [1]);
    expect(leftOn(board)).toBe(before - 4 - 1000);
  });
});
