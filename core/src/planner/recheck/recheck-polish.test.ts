import { PairMarks } from '../../partition/index.js';
import { createCourseMemory } from './course-memory.js';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clips, onceOnly, patterns, toTheEnd, WEIGHTS } from '../../testing/recheck-boards.js';
import { bestHolds, QUICK } from './recheck-bundles.js';
import { copyBoard, type RecheckBoard, type RecheckSetting } from './recheck-board.js';
import { EMPTY_HANDS } from '../hands/hands.js';
import { polished, wholeCourse } from './recheck-polish.js';
import { quickestHold } from './recheck-rollout.js';
import { type Move } from '../hands/move.js';

describe('a course of a re-check made quicker', () => {
  const courseOn = (board: RecheckBoard, costs = clips(8)) => {
    const [moves, left] = [[] as Move[], copyBoard(board)];
    toTheEnd(
      left,
      (hands) => {
        const [move] = bestHolds({ board: left, hands, costs, weights: WEIGHTS }, QUICK);
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
    (passedOver.settings[0] as RecheckSetting).leaveOut.mark(1, 2);
    expect(course(passedOver, 3)).toBeNull();
  });
  it('is none where it touches a terminal that is none any more, as a course of another switch of this size may', () => {
    const board = onceOnly([[0, 1, 2]]);
    const pair = (red: number, black: number): Move => ({
      kind: 'hold',
      red: [red],
      black: [black],
      settings: [0],
    });
    const course = [pair(0, 1), pair(0, 2), pair(1, 2)];
    expect(wholeCourse(board, EMPTY_HANDS, clips(8), course)?.seconds).toBeGreaterThan(0);
    const retired = { ...board, places: [0, 1] };
    expect(wholeCourse(retired, EMPTY_HANDS, clips(8), course)).toBeNull();
    // What is left there after one terminal is retired: 0 and 1 alone.
    const two = onceOnly([[0, 1, 2]]);
    (two.settings[0] as RecheckSetting).single = PairMarks.of(3, [[0, 1]]);
    const memory = createCourseMemory();
    for (let again = 0; again < 3; again += 1) {
      // The whole switch first, whose rest is remembered.
      quickestHold(onceOnly([[0, 1, 2]]), EMPTY_HANDS, clips(8), memory);
      const move = quickestHold({ ...two, places: [0, 1] }, EMPTY_HANDS, clips(8), memory);
      expect([move?.red, move?.black].flat().sort()).toEqual([0, 1]);
    }
  });
});
