import { describe, expect, it } from 'vitest';
import { seededRandom } from '../../switch/index.js';
import { runs } from '../../testing/runs.js';
import { addBeep, addNoise, madeNoise, NOISES, RATE, silence } from '../../simulated/made-sound.js';
import {
  earFrame,
  FRAME_MS,
  hear,
  levelOf,
  quietEar,
  strongestPitch,
  taughtBy,
  toneShare,
  type EarSignal,
  type Taught,
  type TaughtPiece,
} from './index.js';

/** So many over each sort of noise: a thousand in all stand in the bench. */
const BEEPS = runs(25);
const PITCH = 2400;
const BEEP_LEVEL = 0.1 / Math.SQRT2;
const TAUGHT: Taught = { pitchHz: PITCH, level: BEEP_LEVEL, delayMs: 120, leastMs: 60, holdMs: 60 };

/** What the ear tells of a sound, and when it told it. */
function heard(sound: Float32Array, taught: Taught = TAUGHT): (EarSignal & { told: number })[] {
  const size = (RATE * FRAME_MS) / 1000;
  let ear = quietEar;
  const all: (EarSignal & { told: number })[] = [];
  for (let from = 0; from + size <= sound.length; from += size) {
    const at = ((from + size) * 1000) / RATE;
    const frame = earFrame(sound.subarray(from, from + size), { rate: RATE, pitchHz: taught.pitchHz, at });
    const step = hear(ear, frame, taught);
    ear = step.ear;
    all.push(...step.signals.map((one) => ({ ...one, told: at })));
  }
  return all;
}

describe('the share of a tone', () => {
  const tone = (hertz: number) =>
    Float32Array.from({ length: 160 }, (_, at) => Math.sin((2 * Math.PI * hertz * at) / RATE));

  // By hand: Goertzel under a Hann window, power a third of size times energy; its main lobe is two bins of 100 Hz wide to each side.
  it('is one at its pitch and little beside it', () => {
    expect(toneShare(tone(PITCH), RATE, PITCH)).toBeCloseTo(1, 2);
    expect(toneShare(tone(PITCH * 1.01), RATE, PITCH)).toBeGreaterThan(0.9);
    expect(toneShare(tone(PITCH * 1.1), RATE, PITCH)).toBeLessThan(0.05);
    expect(toneShare(silence(10), RATE, PITCH)).toBe(0);
    expect(levelOf(tone(PITCH))).toBeCloseTo(Math.SQRT1_2, 2);
  });

  it('finds a pitch to its step', () => {
    const piece = Float32Array.from({ length: 400 }, (_, at) => Math.sin((2 * Math.PI * 3130 * at) / RATE));
    expect(Math.abs(strongestPitch(piece, RATE).hertz - 3130)).toBeLessThanOrEqual(25);
  });
});

describe('beeps among the sounds of a bench', () => {
  /** Beeps at times of their own, over one sort of noise so many decibels below them. */
  function bench(sort: (typeof NOISES)[number], decibels: number, seed: number) {
    const random = seededRandom(seed);
    const times = Array.from({ length: BEEPS }, (_, at) => 500 + at * 900 + Math.floor(random() * 300));
    const sound = silence(500 + BEEPS * 900 + 1500);
    for (const at of times) addBeep(sound, { at, ms: 120 + 200 * random(), hertz: PITCH, loud: 0.1 });
    addNoise(sound, madeNoise(sort, seed + 1, PITCH), BEEP_LEVEL / 10 ** (decibels / 20));
    return { times, told: heard(sound).filter(({ kind }) => kind === 'began') };
  }

  it.each(NOISES.map((sort, at) => [sort, at] as const))(
    'hears each beep at 12 dB over %s, no other, within 120 ms',
    (sort, at) => {
      const { times, told } = bench(sort, 12, 100 + at);
      expect(told).toHaveLength(times.length);
      const late = told.map((one, place) => one.told - (times[place] as number)).toSorted((a, b) => a - b);
      expect(late[Math.floor(0.95 * late.length)]).toBeLessThanOrEqual(120);
      expect(told.every((one, place) => Math.abs(one.at - (times[place] as number)) <= 40)).toBe(true);
    },
  );

  it('misses at most one in a hundred at 6 dB', () => {
    const missed = NOISES.map((sort, at) => BEEPS - bench(sort, 6, 200 + at).told.length);
    expect(missed.every((many) => Math.abs(many) <= 1)).toBe(true);
  });

  it.each(NOISES.map((sort, at) => [sort, at] as const))(
    'invents none in half a minute of %s as loud as a beep',
    (sort, at) => {
      const sound = silence(runs(30) * 1000);
      addNoise(sound, madeNoise(sort, 300 + at, PITCH), BEEP_LEVEL);
      expect(heard(sound).filter(({ kind }) => kind === 'began')).toEqual([]);
    },
  );

  it('takes neither a key of the meter nor a steady tone for a touch, and tells the second', () => {
    const short = silence(2000);
    addBeep(short, { at: 500, ms: 40, hertz: PITCH, loud: 0.1 });
    expect(heard(short)).toEqual([]);
    const long = silence(16_000);
    addBeep(long, { at: 500, ms: 15_000, hertz: PITCH, loud: 0.1 });
    expect(heard(long).map(({ kind }) => kind)).toEqual(['began', 'steady', 'ended']);
  });
});

describe('the lesson', () => {
  const piece = (at: number, hertz = PITCH, share = 0.95): TaughtPiece => ({ at, hertz, share, level: 0.07 });
  const beep = (from: number, ms: number) =>
    Array.from({ length: Math.floor(ms / 10) + 1 }, (_, at) => piece(from + 10 * at));
  const hush = (from: number, ms: number) =>
    Array.from({ length: Math.floor(ms / 10) }, (_, at) => piece(from + 10 * at, 1000, 0.1));
  const lesson = {
    long: [...hush(0, 100), ...beep(100, 1500)],
    // Touched on clicks at 1, 3 and 5 seconds, each heard 180 ms later.
    clicks: [1000, 3000, 5000],
    short: [1180, 3180, 5180].flatMap((at) => [
      ...hush(at - 100, 100),
      ...beep(at, 120),
      ...hush(at + 130, 100),
    ]),
    quick: [...beep(0, 100), ...hush(110, 80), ...beep(190, 100)],
    keys: [...hush(0, 50), ...beep(50, 60), ...hush(120, 50)],
  };

  it('learns pitch, lag, what is no answer and what gap is heard', () => {
    // By hand: 180 ms behind the click; keys of 60 ms make 72 the least; 90 ms between two quick touches.
    expect(taughtBy(lesson)).toEqual({ pitchHz: PITCH, level: 0.07, delayMs: 180, leastMs: 72, holdMs: 90 });
  });

  it.each([
    ['nothing was heard', { ...lesson, long: hush(0, 1500) }, 'nothing-heard'],
    [
      'it was no one pitch',
      { ...lesson, long: lesson.long.map((one, at) => ({ ...one, hertz: 1000 + 40 * at })) },
      'not-one-pitch',
    ],
    ['a touch was missed', { ...lesson, clicks: [...lesson.clicks, 9000] }, 'missed-a-touch'],
    ['touches are as short as keys', { ...lesson, keys: beep(0, 200) }, 'too-short'],
  ])('is done again where %s', (_, given, says) => expect(taughtBy(given)).toBe(says));

  it('knows a beeper that holds on: two quick touches came as one', () => {
    expect(taughtBy({ ...lesson, quick: beep(0, 400) })).toMatchObject({ holdMs: 250 });
  });
});
