import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../../switch/index.js';
import { followClicks, STEADY_HAND, type LedHand } from '../../simulated/led-hand.js';
import { runs } from '../../testing/runs.js';
import { swept, sweepOf, sweepStep, type SweptCue, type SweptSignal } from './swept.js';

const LAG = { ...STEADY_HAND.lag, dwellMs: null };
const PACE_MS = 700;

/** Runs a sweep to its end; a person agrees to whatever it asks. */
function sweep(lugs: number, hand: LedHand, paceMs = PACE_MS) {
  let state = sweepOf(lugs);
  const lag = { ...hand.lag, dwellMs: null };
  const tell = (signal: SweptSignal): SweptCue | null => {
    const step = swept(state, signal, lag, paceMs);
    state = step.state;
    return step.cue;
  };
  const cues = followClicks(lugs, hand, tell);
  const last = tell({ kind: 'pedal', at: 1e9, undo: false });
  return { cues, taken: last?.cue === 'take' ? last.places : null };
}

describe('a sweep that clicks lead', () => {
  it('takes what beeped at its own click, after the clip has answered at both ends and a person has agreed', () => {
    const { cues, taken } = sweep(5, { ...STEADY_HAND, joins: new Set([1, 4]) });
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
    expect(sweep(3, { ...STEADY_HAND, joins: new Set([0]), misses: () => true }).cues).toEqual([]);
  });

  it('is void where the clip falls off in the middle', () => {
    const { cues, taken } = sweep(6, { ...STEADY_HAND, joins: new Set([5]), clipOffAt: 2 });
    expect(taken).toBeNull();
    expect(cues.at(-1)).toEqual({ cue: 'void', why: 'clip-silent' });
  });

  it.each([
    ['the last one open', new Set([1])],
    ['the last one closed', new Set([1, 4])],
  ])('is void where the hand is a lug behind, %s', (_, joins) => {
    const { taken, cues } = sweep(5, { ...STEADY_HAND, joins, at: (clicked) => Math.max(0, clicked - 1) });
    expect(taken).toBeNull();
    expect(cues.at(-1)?.cue).toBe('void');
  });

  it('asks both again where a beep lies between two clicks, or spans them', () => {
    let late = 0.0;
    const between = sweep(4, {
      ...STEADY_HAND,
      joins: new Set([1]),
      late: () => ((late += 1) === 2 ? 1.5 : 0),
    });
    expect(between.cues).toContainEqual({ cue: 'again', places: [1, 2] });
    expect(between.taken).toEqual([1]);
    const spans = sweep(4, { ...STEADY_HAND, joins: new Set([1]), touchMs: 900 });
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

  it('is no matter of how fast the program is: held up for seconds, it waits for what sounded meanwhile', () => {
    for (let from = 500; from < 9000; from += 130) {
      const heldUp = (now: number) => now >= from && now < from + 2000;
      const { taken, cues } = sweep(4, { ...STEADY_HAND, joins: new Set([0, 3]), heldUp });
      expect([from, cues.at(-1)?.cue, taken]).toEqual([from, 'agree', [0, 3]]);
    }
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
          const hand = {
            ...STEADY_HAND,
            joins,
            lag: { ...STEADY_HAND.lag, delayMs },
            late: () => (random() - 0.5) * 0.6,
            misses: () => random() < 0.03,
            doubles: () => random() < 0.05,
            touchMs: 120 + 80 * random(),
          };
          const result = sweep(lugs, hand, 600 + 600 * random());
          if (result.taken) taken += 1;
          expect((result.taken ?? []).filter((place) => !joins.has(place))).toEqual([]);
        },
      ),
      { numRuns: runs(400), seed: 7 },
    );
    expect(taken).toBeGreaterThan(runs(400) / 3);
  });
});
