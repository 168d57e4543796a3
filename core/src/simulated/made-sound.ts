import { seededRandom } from '../switch/index.js';

// Sound made by rule from a seed: what a bench is full of, without any recording.

export const RATE = 16_000;

/** Silence of so many milliseconds. */
export const silence = (ms: number): Float32Array => new Float32Array(Math.round((ms * RATE) / 1000));

/** Adds a beep with soft edges, its third harmonic as of a buzzer. */
export function addBeep(
  sound: Float32Array,
  { at, ms, hertz, loud }: { at: number; ms: number; hertz: number; loud: number },
): void {
  const [from, size] = [Math.round((at * RATE) / 1000), Math.round((ms * RATE) / 1000)];
  for (let place = 0; place < size && from + place < sound.length; place += 1) {
    const edge = Math.min(1, place / 32, (size - place) / 32);
    const turn = (2 * Math.PI * hertz * place) / RATE;
    sound[from + place] =
      (sound[from + place] as number) + loud * edge * (Math.sin(turn) + 0.2 * Math.sin(3 * turn));
  }
}

type Random = () => number;

/** White noise, as of a fan. */
const noise = (random: Random) => (): number => 2 * random() - 1;

/** Something like speech: a buzz of 90 to 250 Hz with formants that move, in syllables with gaps. */
function speech(random: Random): () => number {
  let [left, pitch, voiced, phase] = [0, 120, true, 0];
  let formants = [500, 1500, 2500];
  return () => {
    if (left-- <= 0) {
      left = Math.round(RATE * (0.06 + 0.2 * random()));
      voiced = random() < 0.75;
      pitch = 90 + 160 * random();
      formants = [300 + 600 * random(), 900 + 1400 * random(), 2300 + 1200 * random()];
    }
    if (!voiced) return 0.2 * (2 * random() - 1);
    phase += pitch / RATE;
    const within = (phase % 1) / pitch;
    return formants.reduce(
      (sum, one, at) => sum + (Math.exp(-within * 400) * Math.sin(2 * Math.PI * one * within)) / (at + 1),
      0,
    );
  };
}

/** Something like music: three notes with harmonics, changing. */
function music(random: Random): () => number {
  let [left, at] = [0, 0];
  let notes = [220];
  return () => {
    if (left-- <= 0) {
      left = Math.round(RATE * (0.1 + 0.4 * random()));
      notes = [0, 1, 2].map(() => 110 * 2 ** (Math.floor(36 * random()) / 12));
    }
    at += 1;
    return notes.reduce(
      (sum, hertz) =>
        sum +
        [1, 2, 3, 4].reduce(
          (all, many) => all + Math.sin((2 * Math.PI * hertz * many * at) / RATE) / many,
          0,
        ) /
          3,
      0,
    );
  };
}

/** Tools put down: short bursts with a ring. */
function clatter(random: Random): () => number {
  let [left, age, ring] = [0, 1e9, 3000];
  return () => {
    if (left-- <= 0) {
      left = Math.round(RATE * (0.05 + 0.6 * random()));
      age = 0;
      ring = 1000 + 6000 * random();
    }
    age += 1;
    return (
      Math.exp(-age / (0.02 * RATE)) * (Math.sin((2 * Math.PI * ring * age) / RATE) + (2 * random() - 1))
    );
  };
}

/** A whistle that wanders, and keeps off a pitch by a tenth. */
function whistle(random: Random, off: number): () => number {
  let [left, hertz, phase] = [0, 1500, 0];
  return () => {
    if (left-- <= 0) {
      left = Math.round(RATE * (0.1 + 0.5 * random()));
      do hertz = 900 + 3000 * random();
      while (Math.abs(hertz / off - 1) < 0.1);
    }
    phase += hertz / RATE;
    return Math.sin(2 * Math.PI * phase);
  };
}

export const NOISES = ['noise', 'speech', 'music', 'clatter', 'whistle'] as const;
export type Noise = (typeof NOISES)[number];

/** A source of samples of one sort, of unit loudness by and large. */
export function madeNoise(sort: Noise, seed: number, off: number): () => number {
  const random = seededRandom(seed);
  const made = { noise, speech, music, clatter }[sort as Exclude<Noise, 'whistle'>];
  return made ? made(random) : whistle(random, off);
}

/** Adds so many decibels below a level of a noise to a sound. */
export function addNoise(sound: Float32Array, source: () => number, rms: number): void {
  const made = Float32Array.from(sound, source);
  const level = Math.sqrt(made.reduce((sum, one) => sum + one * one, 0) / Math.max(1, made.length)) || 1;
  made.forEach((one, at) => {
    sound[at] = (sound[at] as number) + (one * rms) / level;
  });
}
