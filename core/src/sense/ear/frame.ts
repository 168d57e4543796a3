/** Ten milliseconds of sound, as numbers. */
export interface EarFrame {
  /** Milliseconds, of the end of the frame. */
  at: number;
  /** How much of its energy lies at the beeper's pitch: 0 to 1. */
  share: number;
  /** Root mean square of its samples. */
  level: number;
}

/** So long is a frame: short enough for an onset, long enough to tell a pitch from the next. */
export const FRAME_MS = 10;

/**
 * The share of the energy of some samples at a pitch (Goertzel 1958, Hann window; from memory). A pure tone at that pitch has 1, white
 * noise next to nothing; a tone a tenth beside it less than a tenth.
 * @param rate samples a second
 */
export function toneShare(samples: ArrayLike<number>, rate: number, hertz: number): number {
  const size = samples.length;
  const turn = (2 * Math.PI * hertz) / rate;
  const twice = 2 * Math.cos(turn);
  let [one, two, energy] = [0, 0, 0];
  for (let at = 0; at < size; at += 1) {
    const windowed = (samples[at] as number) * (0.5 - 0.5 * Math.cos((2 * Math.PI * at) / size));
    const next = windowed + twice * one - two;
    two = one;
    one = next;
    energy += windowed * windowed;
  }
  if (energy === 0) return 0;
  const power = one * one + two * two - twice * one * two;
  // Of a pure tone under a Hann window the power is a third of size times energy.
  return Math.min(1, (3 * power) / (size * energy));
}

/** How loud some samples are: their root mean square. */
export function levelOf(samples: ArrayLike<number>): number {
  let sum = 0;
  for (let at = 0; at < samples.length; at += 1) sum += (samples[at] as number) ** 2;
  return samples.length === 0 ? 0 : Math.sqrt(sum / samples.length);
}

/** A frame of its samples. */
export const earFrame = (
  samples: ArrayLike<number>,
  { rate, pitchHz, at }: { rate: number; pitchHz: number; at: number },
): EarFrame => ({ at, share: toneShare(samples, rate, pitchHz), level: levelOf(samples) });

/** Pitches that a beeper may have: below is speech and hum, above few microphones hear. */
const [LOWEST_HZ, HIGHEST_HZ] = [900, 6000];
const STEP_HZ = 25;

/** The pitch at which most of the energy of some samples lies, of those that a beeper may have, and how much of it. */
export function strongestPitch(samples: ArrayLike<number>, rate: number): { hertz: number; share: number } {
  let best = { hertz: LOWEST_HZ, share: 0 };
  for (let hertz = LOWEST_HZ; hertz <= Math.min(HIGHEST_HZ, rate / 2); hertz += STEP_HZ) {
    const share = toneShare(samples, rate, hertz);
    if (share > best.share) best = { hertz, share };
  }
  return best;
}
