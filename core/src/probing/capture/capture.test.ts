import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../testing/runs.js';
import { capture, idleCapture, type Aside, type CaptureSignal } from './capture.js';

const LAG = { delayMs: 150, holdMs: 60, leastMs: 60, dwellMs: null };

/** What comes of signals: for each act the key that it answered, and why others answered nothing. */
function told(
  signals: readonly CaptureSignal[],
  lag: typeof LAG | { dwellMs: number } = LAG,
): { acts: string[]; asides: Aside[] } {
  let state = idleCapture;
  const [acts, asides]: [string[], Aside[]] = [[], []];
  for (const signal of signals) {
    const step = capture(state, signal, { ...LAG, ...lag });
    if (step.act) acts.push(String(state.key));
    if (step.aside) asides.push(step.aside);
    state = step.state;
  }
  return { acts, asides };
}
const asked = (at: number, key: string | null): CaptureSignal => ({ kind: 'asked', at, key });
const ticks = (from: number, to: number): CaptureSignal[] =>
  Array.from({ length: Math.floor((to - from) / 50) }, (_, at) => ({ kind: 'tick', at: from + 50 * at }));
const beep = (at: number, ms = 200): CaptureSignal[] => [
  { kind: 'began', at },
  { kind: 'ended', at: at + ms },
];

describe('what a beep answers', () => {
  it.each<[string, CaptureSignal[], string[], Aside[]]>([
    ['what is asked', [asked(0, 'a'), ...beep(1000)], ['a'], []],
    ['each its own', [asked(0, 'a'), ...beep(1000), asked(1250, 'b'), ...beep(2500)], ['a', 'b'], []],
    ['nothing where nothing is asked', [asked(0, null), ...beep(1000)], [], ['nothing-asked']],
    // The leads touched at 850, before b was shown at 900.
    ['not what came up after the touch', [asked(0, 'a'), asked(900, 'b'), ...beep(1000)], [], ['before-it-was-asked']],
    ['not the next by the same touch', [asked(0, 'a'), { kind: 'began', at: 1000 }, asked(1010, 'b'), { kind: 'ended', at: 4000 }], ['a'], []],
    ['not the next by a chatter', [asked(0, 'a'), ...beep(1000), asked(1010, 'b'), ...beep(1400)], ['a'], ['not-lifted']],
    ['nothing after the microphone was lost in mid-tone', [asked(0, 'a'), { kind: 'lost', at: 500 }, ...beep(600)], [], ['before-it-was-asked']],
  ])('%s', (_, signals, acts, asides) => expect(told(signals)).toEqual({ acts, asides })); // prettier-ignore

  it.each<[string, CaptureSignal[], string[]]>([
    ['after the time that was chosen and the lag, once', [asked(0, 'prompt 1'), ...ticks(0, 2100), ...ticks(2160, 6000)], ['prompt 1']],
    ['not before', [asked(0, 'prompt 1'), ...ticks(0, 2100)], []],
    ['not while it sounds', [asked(0, 'prompt 1'), { kind: 'began', at: 1000 }, ...ticks(1000, 6000)], ['prompt 1']],
    ['not after a beep that was set aside', [asked(0, 'x'), asked(950, 'prompt 1'), ...beep(1000), ...ticks(1000, 6000)], []],
    ['not of the leads together, nor of a clip', [asked(0, 'leads-together'), ...ticks(0, 6000), asked(6000, 'clip 3'), ...ticks(6000, 9000)], []],
  ])('silence answers where a person chose to wait: %s', (_, signals, acts) =>
    expect(told(signals, { dwellMs: 2000 }).acts).toEqual(acts),
  ); // prettier-ignore

  // By hand: 150 ms lag, 60 that it holds on, 60 until its end is told, 60 behind: 330 ms after the pedal.
  it.each<[string, CaptureSignal[], boolean[]]>([
    ['it sounds there', [{ kind: 'began', at: 0 }, { kind: 'there', at: 1000 }, ...ticks(1000, 1500)], [true]],
    ['the beep of the last position is over', [{ kind: 'began', at: 0 }, { kind: 'there', at: 1000 }, { kind: 'ended', at: 1180 }, ...ticks(1190, 1500)], [false]],
    ['it comes late, and rests', [{ kind: 'there', at: 1000 }, { kind: 'began', at: 1210 }, ...ticks(1220, 1600)], [true]],
    ['it is silent', [{ kind: 'there', at: 1000 }, ...ticks(1000, 1500)], [false]],
    ['too soon to be told', [{ kind: 'there', at: 1000 }, ...ticks(1000, 1300)], []],
    ['something else is asked meanwhile', [{ kind: 'there', at: 1000 }, asked(1100, 'held 1 P3'), ...ticks(1110, 1600)], []],
    ['the microphone was lost', [{ kind: 'there', at: 1000 }, { kind: 'lost', at: 1100 }, ...ticks(1100, 1400)], []],
  ])('while the leads are held the pedal asks, and the beeper has caught up: %s', (_, signals, says) => {
    let state = capture(idleCapture, asked(-5000, 'held 1 P2'), LAG).state;
    const heard: boolean[] = [];
    for (const signal of signals) {
      const step = capture(state, signal, LAG);
      if (step.act?.do === 'step') heard.push(step.act.sounded);
      state = step.state;
    }
    expect(heard).toEqual(says);
  }); // prettier-ignore

  // Where the beep drops out or comes up once more after the handle is there, the contact is neither closed nor open.
  it.each<[string, CaptureSignal[], object]>([
    ['it drops out once', [{ kind: 'began', at: 0 }, { kind: 'there', at: 1000 }, { kind: 'ended', at: 1200 }, { kind: 'began', at: 1300 }, ...ticks(1310, 1700)], { sounded: true, flickered: 1 }],
    ['it comes up for a moment', [{ kind: 'there', at: 1000 }, { kind: 'began', at: 1250 }, { kind: 'ended', at: 1350 }, ...ticks(1360, 1800)], { sounded: false, flickered: 1 }],
    ['it never rests', [{ kind: 'there', at: 1000 }, ...Array.from({ length: 16 }, (_, at) => [...beep(1200 + 200 * at, 100), { kind: 'tick', at: 1310 + 200 * at }] as CaptureSignal[]).flat()], { flickered: 15 }],
    // The leads did it at 980, before the pedal: the handle was on its way.
    ['what it did on its way does not count', [{ kind: 'began', at: 0 }, { kind: 'ended', at: 1030 }, { kind: 'there', at: 1040 }, { kind: 'began', at: 1130 }, ...ticks(1140, 1700)], { sounded: true }],
  ])('while the leads are held a beep that flickers decides nothing: %s', (_, signals, says) => {
    let state = capture(idleCapture, asked(-5000, 'held 1 P2'), LAG).state;
    const acts: unknown[] = [];
    for (const signal of signals) {
      const step = capture(state, signal, LAG);
      if (step.act) acts.push(step.act);
      state = step.state;
    }
    expect(acts[0]).toMatchObject({ do: 'step', heard: true, ...says });
    expect('flickered' in Object(acts[0])).toBe('flickered' in says);
  }); // prettier-ignore

  it('is one answer at most: none without a touch of its own, none for silence, none across what is asked', () => {
    const step = fc.record({
      gap: fc.integer({ min: 1, max: 900 }),
      ask: fc.option(fc.constantFrom('a', 'b', 'c', null), { nil: undefined }),
      ms: fc.integer({ min: 20, max: 800 }),
    });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 30 }), (steps) => {
        let at = 0;
        const signals = steps.flatMap(({ gap, ask, ms }): CaptureSignal[] => {
          at += gap;
          if (ask !== undefined) return [asked(at, ask)];
          const from = at;
          at += ms;
          return beep(from, ms);
        });
        const tones = signals.filter(({ kind }) => kind === 'began').length;
        const { acts, asides } = told(signals);
        expect(acts.length + asides.length).toBe(tones);
        expect(told(signals.filter(({ kind }) => kind !== 'began')).acts).toEqual([]);
        // What is answered was asked before its leads touched, and nothing else was asked between.
        let state = idleCapture;
        for (const signal of signals) {
          const before = state;
          const next = capture(state, signal, LAG);
          if (next.act) expect(signal.at - LAG.delayMs).toBeGreaterThanOrEqual(before.since);
          state = next.state;
        }
      }),
      { numRuns: runs(300) },
    );
  });
});
