import type { EarFrame } from './frame.js';
import type { Taught } from './taught.js';

/** What the ear tells: a tone at the beeper's pitch began, `at` its first sound; it ended; it goes on for so long that it is no beep. */
export type EarSignal =
  { kind: 'began'; at: number } | { kind: 'ended'; at: number } | { kind: 'steady'; at: number };

/** What the ear holds from frame to frame. */
export interface Ear {
  /** When the pitch came up; null: it is not there. */
  from: number | null;
  /** The last frame that had it. */
  last: number;
  /** Whether this tone was told, and whether it was told to be steady. */
  told: 'nothing' | 'began' | 'steady';
  /** How loud the pitch was where it was loudest. */
  loudest: number;
}

/** An ear that hears nothing. */
export const quietEar: Ear = { from: null, last: 0, told: 'nothing', loudest: 0 };

/** So much of a frame has to lie at the pitch, and so loud has it to be against what was taught. */
const [SHARE, LOUD] = [0.5, 0.1];
/** A beep stays as loud as it is: what rings out, a spanner put down, has lost half by then. */
const STAYS = 0.5;
/** A tone is over after so long without it: a beep that flutters is one. */
const ENDS_MS = 60;
/** No touch lasts so long: a whistle, a kettle, a machine at the beeper's pitch. */
const STEADY_MS = 12_000;

/** One frame on. A tone is told once it has lasted as long as an answer does; shorter ones are keys and knocks. */
export function hear(ear: Ear, frame: EarFrame, taught: Taught): { ear: Ear; signals: EarSignal[] } {
  const sounds = frame.share >= SHARE && frame.level >= LOUD * taught.level;
  if (!sounds) {
    if (ear.from === null || frame.at - ear.last < ENDS_MS) return { ear, signals: [] };
    const signals: EarSignal[] = ear.told === 'nothing' ? [] : [{ kind: 'ended', at: ear.last }];
    return { ear: quietEar, signals };
  }
  const from = ear.from ?? frame.at;
  const lasted = frame.at - from;
  const loud = frame.level * Math.sqrt(frame.share);
  const next = { from, last: frame.at, loudest: Math.max(ear.loudest, loud) };
  const stays = loud >= STAYS * next.loudest;
  if (ear.told === 'nothing' && lasted >= taught.leastMs && stays)
    return { ear: { ...next, told: 'began' }, signals: [{ kind: 'began', at: from }] };
  if (ear.told === 'began' && lasted >= STEADY_MS)
    return { ear: { ...next, told: 'steady' }, signals: [{ kind: 'steady', at: frame.at }] };
  return { ear: { ...next, told: ear.told }, signals: [] };
}
