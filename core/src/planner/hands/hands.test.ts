import { describe, expect, it } from 'vitest';
import { readLog, type Deed, type JobEvent } from '../../log/index.js';
import { type ReadingId, type SettingId } from '../../switch/index.js';
import { bench, OPEN } from '../../testing/generated.js';
import { costOf, EMPTY_HANDS, ORDINARY_HANDS } from './hands.js';
import { learnHands } from './learn-hands.js';
import { pairMove, type Move } from './move.js';

const CLIPS = { ...ORDINARY_HANDS, clipsOwned: 24 };

describe('the cost of hands', () => {
  const never = () => false;
  it('counts a sweep as its first move, a lead for each further touch, and the reads', () => {
    const sweep: Move = { kind: 'sweep', setting: 0, red: 1, black: [2, 3, 4] };
    const first = costOf(sweep, { ...EMPTY_HANDS, setting: 0 }, ORDINARY_HANDS, never);
    expect(first).toMatchObject({ seconds: 4 + 2 * 2.5 + 3, touches: 4 });
    // Red stays there: one lead moves; another setting: the handle is turned.
    expect(costOf({ ...sweep, setting: 1 }, first.after, ORDINARY_HANDS, never).seconds).toBe(
      2 + 2.5 + 2 * 2.5 + 3,
    );
    expect(costOf(pairMove(0, 1, 4), first.after, ORDINARY_HANDS, () => true).seconds).toBe(1 + 1.5);
  });

  it('counts clips on and off, and the lone lead', () => {
    const rung = (tied: number[], lone: number): Move => ({
      kind: 'hold',
      red: tied,
      black: [lone],
      settings: [0, 1],
    });
    const first = costOf(rung([0, 1], 2), { ...EMPTY_HANDS, setting: 0 }, CLIPS, never);
    expect(first.seconds).toBe(2 * 3 + 2.5 + 2 * 1 + 2);
    const next = costOf(rung([0, 1, 2], 3), first.after, CLIPS, never);
    expect(next.seconds).toBe(3 + 2.5 + 2 * (2 + 1));
    expect(costOf(pairMove(1, 0, 1), next.after, CLIPS, never).seconds).toBe(
      3 * 3 + 4 + 1 + (next.after.setting === 1 ? 0 : 2),
    );
  });
});

describe('a bundle with clips on black', () => {
  const bundle = (red: number[], black: number[]): Move => ({ kind: 'hold', red, black, settings: [0] });
  const seconds = (move: Move, from: Move) => {
    const { after } = costOf(from, { ...EMPTY_HANDS, setting: 0 }, CLIPS, () => false);
    return costOf(move, after, CLIPS, () => false).seconds;
  };

  it('costs the lone red lead its way too, unless it lies there; with clips on both there is no lone lead', () => {
    const before = bundle([0], [1, 2]);
    expect(seconds(bundle([3], [1, 2]), before)).toBe(2.5 + 1);
    expect(seconds(bundle([0], [1, 2]), before)).toBe(1);
    expect(seconds(bundle([0, 3], [1, 2]), before)).toBe(2 * 3 + 1);
    // Red comes off two clips: what was clipped has to be touched by the lead again.
    expect(seconds(bundle([0], [1, 2]), bundle([0, 3], [1, 2]))).toBe(2 * 3 + 2.5 + 1);
  });
});

describe('the costs of these hands', () => {
  /** A log of pair answers, each so many seconds after the event before it, in alternating settings or in one. */
  function written(
    seconds: number[],
    settings: (answer: number) => number,
    source: 'typed' | 'simulated' = 'typed',
  ) {
    const on = bench(3, 2);
    let now = Date.parse('2026-01-05T10:00:00.000Z');
    const events: JobEvent[] = [...on.events];
    seconds.forEach((wait, answer) => {
      now += wait * 1000;
      const what: Deed = {
        kind: 'answered',
        act: 'pair',
        prompt: null,
        source,
        inCircuit: false,
        readings: [
          {
            id: on.newId<ReadingId>(),
            setting: on.settings[settings(answer)] as SettingId,
            red: [on.terminals[0] as never],
            black: [on.terminals[1] as never],
            value: OPEN,
          },
        ],
      };
      events.push({ ...on.writer.write(events, what), at: new Date(now).toISOString() });
    });
    return readLog(events);
  }

  it('are the ordinary ones without a history, and draw near what the time stamps show', () => {
    expect(learnHands(written([], () => 0))).toEqual(ORDINARY_HANDS);
    const slow = learnHands(written(new Array(60).fill(10) as number[], () => 0));
    expect(slow.moveLead).toBeGreaterThan(1.5 * ORDINARY_HANDS.moveLead);
    expect(slow.moveLead).toBeLessThanOrEqual(2 * ORDINARY_HANDS.moveLead);
    const quick = learnHands(written(new Array(60).fill(2) as number[], () => 0));
    expect(quick.read).toBeLessThan(0.6 * ORDINARY_HANDS.read);
  });

  it('learn the turning of the handle from acts that began with it, and leave out absences and simulated meters', () => {
    const turning = learnHands(written(new Array(60).fill(14) as number[], (answer) => answer % 2));
    expect(turning.turn).toBeGreaterThan(1.5 * ORDINARY_HANDS.turn);
    expect(learnHands(written([5, 900, 5, 4000], () => 0)).moveLead).toBeCloseTo(ORDINARY_HANDS.moveLead, 6);
    expect(learnHands(written(new Array(40).fill(20) as number[], () => 0, 'simulated'))).toEqual(
      ORDINARY_HANDS,
    );
  });
});
