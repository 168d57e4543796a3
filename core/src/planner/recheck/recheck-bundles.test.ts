import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clips, leftOn, onceOnly, patterns, toTheEnd, WEIGHTS } from '../../testing/recheck-boards.js';
import { bestHolds, QUICK } from './recheck-bundles.js';
import {
  copyBoard,
  takeExpected,
  takeMove,
  type RecheckBoard,
  type RecheckSetting,
} from './recheck-board.js';
import { costOf, EMPTY_HANDS, type Hands } from '../hands/hands.js';
import { Sides } from './recheck-sides.js';
import { type OnLead } from './side-seconds.js';
import { quickestHold } from './recheck-rollout.js';
import { type Move } from '../hands/move.js';
import { fewRuns } from '../../testing/runs.js';

const sidesOf = (move: Move): [number[], number[]] => [[move.red].flat(), move.black];
const settingsOf = (move: Move) => (move.kind === 'sweep' ? [move.setting] : move.settings);
const never = () => false;

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
      { numRuns: fewRuns(40) },
    );
  });

  it('are rated by the seconds that the hands take', () => {
    fc.assert(
      fc.property(patterns, fc.nat(3), (nets, before) => {
        // Without a share of taking clips off, the best of all pairs and bundles gains most in a second of `costOf`.
        const board = onceOnly(nets);
        let hands: Hands = EMPTY_HANDS;
        const search = () =>
          bestHolds({ board, hands, costs: clips(8), weights: { join: 1000, ahead: 0 } }, QUICK);
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
    const leads = fc.array(fc.constantFrom<OnLead>(0, 1, 2), { minLength: 8, maxLength: 8 });
    fc.assert(
      fc.property(patterns, leads, fc.nat(7), fc.constantFrom<OnLead>(0, 1, 2), (nets, laid, which, to) => {
        const board = onceOnly(nets);
        const sides = new Sides(board, EMPTY_HANDS, clips(8), WEIGHTS, { looks: 0 });
        for (const place of board.places) sides.put(place, laid[place] as OnLead);
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
    const [bundle] = bestHolds(
      { board: onceOnly([alone, alone, alone]), hands: EMPTY_HANDS, costs: clips(8), weights: WEIGHTS },
      QUICK,
    );
    expect([bundle?.red].flat().length).toBeGreaterThan(1);
    const silent = onceOnly([alone, alone, alone], [true, true, true]);
    const [pair] = bestHolds({ board: silent, hands: EMPTY_HANDS, costs: clips(8), weights: WEIGHTS }, QUICK);
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
      board.settings[0]?.leaveOut.mark(a, b);
      move = quickestHold(board, EMPTY_HANDS, clips(3));
    }
    expect(asked.sort()).toEqual(['0-1', '0-2', '1-2']);
  });

  it('count a net once, whatever terminals of it are tied: more than 32 terminals too', () => {
    const nets = Array.from({ length: 40 }, (_, place) => (place < 20 ? 0 : place));
    const board = onceOnly([nets]);
    (board.settings[0] as RecheckSetting).loose = [];
    const [move] = bestHolds({ board, hands: EMPTY_HANDS, costs: clips(40), weights: WEIGHTS }, QUICK);
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
      plain += toTheEnd(
        one,
        (hands) => bestHolds({ board: one, hands, costs: clips(12), weights: WEIGHTS }, QUICK)[0],
      );
      played += toTheEnd(other, (hands) => quickestHold(other, hands, clips(12)));
    }
    expect(played).toBeLessThan(plain);
  });
});
