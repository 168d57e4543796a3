/** What the ear knows of one beeper. */
export interface Taught {
  /** Its pitch in hertz, and how loud it was where it was taught. */
  pitchHz: number;
  level: number;
  /** Milliseconds from the touch to the beep. Beepers take 50 to 700 (measured by others, from memory). */
  delayMs: number;
  /** A beep that is shorter is a key or a click of the meter, no answer. */
  leastMs: number;
  /** A gap that is shorter is not heard: some beepers hold on. */
  holdMs: number;
}

/** A piece of what was heard while it was taught: the strongest pitch, how much of the sound that is, how loud. */
export interface TaughtPiece {
  at: number;
  hertz: number;
  share: number;
  level: number;
}

/** What was heard in each part of the lesson. */
export interface Lesson {
  /** One long touch. */
  long: readonly TaughtPiece[];
  /** Three touches, each on a click, with the times of the clicks. */
  short: readonly TaughtPiece[];
  clicks: readonly number[];
  /** Two touches as quick as they go. */
  quick: readonly TaughtPiece[];
  /** A key of the meter, where it beeps: what is no answer. */
  keys: readonly TaughtPiece[];
}

export type NotTaught = 'nothing-heard' | 'not-one-pitch' | 'too-short' | 'missed-a-touch';

/** From here on a piece is the beep; so much of it has to lie at one pitch. */
const CLEAR = 0.5;
/** A beep is at one pitch to within so much. */
const NEAR = 0.04;
/** Shorter than any touch that a hand makes, and the least and the most that a beeper may lag. */
const [LEAST_MS, LEAST_DELAY, MOST_DELAY] = [50, 50, 700];

const median = (values: readonly number[]): number =>
  values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

/** Beeps among pieces: from when to when the pitch was there. */
function beepsOf(pieces: readonly TaughtPiece[], pitchHz: number): { from: number; to: number }[] {
  const beeps: { from: number; to: number }[] = [];
  let on = false;
  for (const { at, hertz, share } of pieces) {
    const sounds = share >= CLEAR && Math.abs(hertz / pitchHz - 1) <= NEAR;
    const last = beeps.at(-1);
    if (sounds && on && last) last.to = at;
    else if (sounds) beeps.push({ from: at, to: at });
    on = sounds;
  }
  return beeps;
}

/** What a lesson teaches, or what of it has to be done again. */
export function taughtBy({ long, short, clicks, quick, keys }: Lesson): Taught | NotTaught {
  const clear = long.filter(({ share }) => share >= CLEAR);
  if (clear.length < 10) return 'nothing-heard';
  const pitchHz = median(clear.map(({ hertz }) => hertz));
  const near = clear.filter(({ hertz }) => Math.abs(hertz / pitchHz - 1) <= NEAR);
  if (near.length < 0.8 * clear.length) return 'not-one-pitch';
  const beeps = beepsOf(short, pitchHz);
  // Each touch has its click: the first beep after it.
  const lags = clicks.flatMap((click) => {
    const beep = beeps.find(({ from }) => from > click && from < click + 1500);
    return beep ? [beep.from - click] : [];
  });
  if (lags.length < clicks.length) return 'missed-a-touch';
  const shortest = Math.min(...beeps.map(({ from, to }) => to - from));
  const key = Math.max(0, ...beepsOf(keys, pitchHz).map(({ from, to }) => to - from));
  const leastMs = Math.max(LEAST_MS, key * 1.2);
  if (shortest < leastMs) return 'too-short';
  const [first, second] = beepsOf(quick, pitchHz);
  return {
    pitchHz,
    level: median(near.map(({ level }) => level)),
    delayMs: Math.min(MOST_DELAY, Math.max(LEAST_DELAY, median(lags))),
    leastMs,
    // Two touches that came as one beep: it held on over the gap.
    holdMs: first && second ? second.from - first.to : 250,
  };
}
