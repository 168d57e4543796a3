import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../../switch/index.js';
import { runs } from '../../testing/runs.js';
import { swept, sweepOf, sweepStep, type Swept, type SweptCue, type SweptSignal } from './swept.js';

const LAG = { delayMs: 150, holdMs: 60, leastMs: 60, dwellMs: null };

/** How a hand follows the clicks. */
interface Hand {
  /** Lugs that really join with the clip, by their places. */
  joins: ReadonlySet<number>;
  /** How much later or sooner than learnt this touch beeps, as a share of the delay. */
  late: () => number;
  /** The beeper leaves this touch out; and beeps twice for it. */
  misses: () => boolean;
  doubles: () => boolean;
  /** Which place the hand is at when a place is clicked; the clip is the number of lugs. */
  at: (clicked: number) => number;
  /** From when on the clip is off, in clicks. */
  clipOffAt?: number;
  touchMs: number;
  paceMs: number;
  lag: typeof LAG;
}
const STEADY: Omit<Hand, 'joins'> = {
  late: () => 0,
  misses: () => false,
  doubles: () => false,
  at: (clicked) => clicked,
  touchMs: 180,
  paceMs: 700,
  lag: LAG,
};

/** Runs a sweep by the clock, ten milliseconds at a time, until it is taken, void, or too long. */
function sweep(
  lugs: number,
  hand: Hand,
): { cues: SweptCue[]; taken: readonly number[] | null; state: Swept } {
  const { lag, paceMs, touchMs } = hand;
  let state = sweepOf(lugs);
  const cues: SweptCue[] = [];
  const coming: { at: number; signal: SweptSignal }[] = [];
  let clicks = 0;
  const touch = (at: number, place: number) => {
    const isOff = hand.clipOffAt !== undefined && clicks > hand.clipOffAt;
    if (isOff || place > lugs || (place < lugs && !hand.joins.has(place)) || hand.misses()) return;
    const from = at + lag.delayMs * (1 + hand.late());
    const beep = (onset: number) =>
      coming.push(
        { at: onset + lag.leastMs + 20, signal: { kind: 'began', at: onset } },
        { at: onset + touchMs + lag.holdMs, signal: { kind: 'ended', at: onset + touchMs + lag.holdMs } },
      );
    beep(from);
    if (hand.doubles()) beep(from + touchMs + lag.holdMs + 80);
  };
  touch(500, lugs);
  for (let now = 0; now < 200_000; now += 10) {
    const due = coming.filter(({ at }) => at <= now);
    coming.splice(0, coming.length, ...coming.filter(({ at }) => at > now));
    for (const signal of [
      ...due.toSorted((a, b) => a.at - b.at).map((one) => one.signal),
      { kind: 'tick', at: now } as const,
    ]) {
      const step = swept(state, signal, lag, paceMs);
      state = step.state;
      if (!step.cue) continue;
      cues.push(step.cue);
      if (step.cue.cue === 'click') {
        clicks += 1;
        touch(now, hand.at(step.cue.place));
      }
      if (step.cue.cue === 'void') return { cues, taken: null, state };
      if (step.cue.cue === 'agree') {
        const last = swept(state, { kind: 'pedal', at: now, undo: false }, lag, paceMs);
        return { cues, taken: last.cue?.cue === 'take' ? last.cue.places : null, state: last.state };
      }
    }
  }
  return { cues, taken: null, state };
}

describe('a sweep that clicks lead', () => {
  it('takes what beeped at its own click, after the clip has answered at both ends and a person has agreed', () => {
    const { cues, taken } = sweep(5, { ...STEADY, joins: new Set([1, 4]) });
    expect(taken).toEqual([1, 4]);
    expect(cues.map((one) => ('place' in one ? `${one.cue} ${one.place}` : one.cue))).toEqual([
      'click 0',
      'click 1',
      'heard 1',
      'click 2',
      'click 3',
      'click 4',
      'heard 4',
      'click 5',
      'click 6',
      'agree',
    ]);
  });

  it('says nothing of lugs where the clip is dead at its start: no click comes', () => {
    expect(sweep(3, { ...STEADY, joins: new Set([0]), misses: () => true }).cues).toEqual([]);
  });

  it('is void where the clip falls off in the middle', () => {
    const { cues, taken } = sweep(6, { ...STEADY, joins: new Set([5]), clipOffAt: 2 });
    expect(taken).toBeNull();
    expect(cues.at(-1)).toEqual({ cue: 'void', why: 'clip-silent' });
  });

  it.each([
    ['the last one open', new Set([1])],
    ['the last one closed', new Set([1, 4])],
  ])('is void where the hand is a lug behind, %s', (_, joins) => {
    const { taken, cues } = sweep(5, { ...STEADY, joins, at: (clicked) => Math.max(0, clicked - 1) });
    expect(taken).toBeNull();
    expect(cues.at(-1)?.cue).toBe('void');
  });

  it('asks both again where a beep lies between two clicks, or spans them', () => {
    let late = 0.0;
    const between = sweep(4, { ...STEADY, joins: new Set([1]), late: () => ((late += 1) === 2 ? 1.5 : 0) });
    expect(between.cues).toContainEqual({ cue: 'again', places: [1, 2] });
    expect(between.taken).toEqual([1]);
    const spans = sweep(4, { ...STEADY, joins: new Set([1]), touchMs: 900, paceMs: 700 });
    expect(spans.cues.some(({ cue }) => cue === 'again')).toBe(true);
    expect(spans.taken).toBeNull();
  });

  it('undoes the whole by a long press, begins again when the sound is lost, and takes nothing before the closing touch', () => {
    const leading = { ...sweepOf(3), stage: 'leading' as const, beeped: new Set([0]) };
    expect(swept(leading, { kind: 'pedal', at: 0, undo: true }, LAG, 700).cue).toEqual({
      cue: 'void',
      why: 'undone',
    });
    expect(swept(leading, { kind: 'lost', at: 0 }, LAG, 700).state).toEqual(sweepOf(3, { code: 'lost' }));
    for (const stage of ['clip-first', 'leading', 'clip-last', 'closed', 'rest'] as const)
      expect(swept({ ...leading, stage }, { kind: 'pedal', at: 0, undo: false }, LAG, 700).cue).toBeNull();
  });

  it('goes no faster than the beeper follows', () => {
    // By hand: 1.5 times 700 and 300 are 1350.
    expect(sweepStep(600, { ...LAG, delayMs: 700 })).toBe(1350);
    expect(sweepStep(900, LAG)).toBe(900);
  });

  it('never books a beep on another lug, whatever the hand and the beeper do', () => {
    let taken = 0;
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1e9 }),
        fc.integer({ min: 2, max: 12 }),
        fc.constantFrom(60, 150, 400, 700),
        (seed, lugs, delayMs) => {
          const random = seededRandom(seed);
          const joins = new Set(Array.from({ length: lugs }, (_, at) => at).filter(() => random() < 0.35));
          const result = sweep(lugs, {
            ...STEADY,
            joins,
            lag: { ...LAG, delayMs },
            late: () => (random() - 0.5) * 0.6,
            misses: () => random() < 0.03,
            doubles: () => random() < 0.05,
            paceMs: 600 + 600 * random(),
            touchMs: 120 + 80 * random(),
          });
          if (result.taken) taken += 1;
          expect((result.taken ?? []).filter((place) => !joins.has(place))).toEqual([]);
        },
      ),
      { numRuns: runs(400), seed: 7 },
    );
    expect(taken).toBeGreaterThan(runs(400) / 3);
  });
});
