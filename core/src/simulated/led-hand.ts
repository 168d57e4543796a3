import type { EarSignal } from '../sense/ear/index.js';

/** How a made hand follows the clicks that lead a sweep, and how its beeper beeps. */
export interface LedHand {
  /** Lugs that really join with the clip, by their places. */
  joins: ReadonlySet<number>;
  /** How much later or sooner than learnt a touch beeps, as a share of the delay. */
  late: () => number;
  /** The beeper leaves this touch out; or beeps twice for it. */
  misses: () => boolean;
  doubles: () => boolean;
  /** Which place the hand is at when a place is clicked; the clip is the number of lugs, nothing is beyond. */
  at: (clicked: number) => number;
  /** After so many clicks the clip is off. */
  clipOffAt?: number;
  touchMs: number;
  lag: { delayMs: number; holdMs: number; leastMs: number };
  /** The program is held up: nothing is told, and after it the time comes before the sound. */
  heldUp?: (now: number) => boolean;
}

/** A hand that is always right, and a beeper that is. */
export const STEADY_HAND: Omit<LedHand, 'joins'> = {
  late: () => 0,
  misses: () => false,
  doubles: () => false,
  at: (clicked) => clicked,
  touchMs: 180,
  lag: { delayMs: 150, holdMs: 60, leastMs: 60 },
};

/** What the hand needs of a cue. */
type Cue = { cue: string; place?: number };
/** How fine its clock runs, when it first touches the clip, and when it gives up, in milliseconds. */
const [STEP_MS, FIRST_MS, MOST_MS] = [10, 500, 200_000];

/**
 * A made hand follows the clicks of a sweep by the clock until the machine asks for its agreement or voids it.
 * @param tell gives a signal to the machine; what that wants done
 * @returns every cue, in order
 */
export function followClicks<Given extends Cue>(
  lugs: number,
  hand: LedHand,
  tell: (signal: EarSignal | { kind: 'tick'; at: number; heard: number }) => Given | null,
): Given[] {
  const { lag, touchMs } = hand;
  const cues: Given[] = [];
  const coming: { at: number; signal: EarSignal }[] = [];
  let [clicks, heard] = [0, 0];
  const touch = (at: number, place: number) => {
    const isOff = hand.clipOffAt !== undefined && clicks > hand.clipOffAt;
    if (isOff || place > lugs || (place < lugs && !hand.joins.has(place)) || hand.misses()) return;
    const beep = (onset: number) => {
      const over = onset + touchMs + lag.holdMs;
      coming.push(
        { at: onset + lag.leastMs + 20, signal: { kind: 'began', at: onset } },
        { at: over, signal: { kind: 'ended', at: over } },
      );
    };
    const onset = at + lag.delayMs * (1 + hand.late());
    beep(onset);
    if (hand.doubles()) beep(onset + touchMs + lag.holdMs + 80);
  };
  touch(FIRST_MS, lugs);
  for (let now = 0; now < MOST_MS; now += STEP_MS) {
    if (hand.heldUp?.(now)) continue;
    const late = { kind: 'tick', at: now, heard } as const;
    heard = now;
    const due = coming.filter(({ at }) => at <= now).toSorted((one, other) => one.at - other.at);
    coming.splice(0, coming.length, ...coming.filter(({ at }) => at > now));
    for (const signal of [late, ...due.map((one) => one.signal), { kind: 'tick', at: now, heard } as const]) {
      const cue = tell(signal);
      if (!cue) continue;
      cues.push(cue);
      if (cue.cue === 'agree' || cue.cue === 'void') return cues;
      if (cue.cue !== 'click') continue;
      clicks += 1;
      touch(now, hand.at(cue.place ?? lugs));
    }
  }
  return cues;
}
