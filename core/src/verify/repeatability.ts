import type { SwitchMap } from '../continuity/index.js';
import { recordsOf, type RepeatRun } from '../log/index.js';
import type { SettingId, TerminalId } from '../switch/index.js';
import { truthTable } from '../table/index.js';

/**
 * Fewest cycles without a miss that are asked for where the complaint says 'sometimes': with none in 20 the miss rate is below
 * 14 % (at 95 % confidence).
 */
export const FEWEST_CYCLES = 20;

/**
 * The exact upper bound of a rate of which `misses` were seen in `trials`: the rate at which so few or fewer would be seen with
 * a chance of only 1 - `confidence` (Clopper and Pearson, one-sided: Biometrika 26, 1934). 1 when all were misses.
 * @throws RangeError where there are no trials, or more misses than trials
 */
export function upperBound(misses: number, trials: number, confidence = 0.95): number {
  if (!(trials > 0) || misses < 0 || misses > trials) throw new RangeError('so many of so many cannot be');
  if (misses === trials) return 1;
  let [low, high] = [misses / trials, 1];
  for (let step = 0; step < 60; step += 1) {
    const middle = (low + high) / 2;
    if (atMost(misses, trials, middle) > 1 - confidence) low = middle;
    else high = middle;
  }
  return high;
}

/** The chance of at most `most` of `trials` at a rate (binomial distribution, summed in logarithms). */
function atMost(most: number, trials: number, rate: number): number {
  let [sum, choose] = [0, 0];
  for (let k = 0; k <= most; k += 1) {
    if (k > 0) choose += Math.log((trials - k + 1) / k);
    sum += Math.exp(choose + k * Math.log(rate) + (trials - k) * Math.log1p(-rate));
  }
  return sum;
}

/** What one run of cycles says. */
export interface Repeated {
  run: RepeatRun;
  /** Cycles in which it did not make, did not open again, or dropped out. */
  failed: number;
  /** Below what the rate of failing is, at 95 % confidence. */
  below: number;
  /** Lowest and highest ohms, and how much they rose from the first half to the second, by their means; null without ohms. */
  ohms: { least: number; most: number; drift: number } | null;
}

/** What is to be made of a run of cycles. n of n is evidence, never a proof. */
export function repeatedOf(run: RepeatRun): Repeated {
  const bad = new Set([...run.misses, ...run.sticks]);
  const failed = Math.min(run.cycles, bad.size + run.dropOuts);
  return { run, failed, below: upperBound(failed, run.cycles), ohms: spreadOf(run.ohms) };
}

function spreadOf(ohms: readonly number[]): Repeated['ohms'] {
  if (ohms.length === 0) return null;
  const half = Math.floor(ohms.length / 2);
  const mean = (part: readonly number[]) =>
    part.reduce((sum, one) => sum + one, 0) / Math.max(1, part.length);
  return {
    least: Math.min(...ohms),
    most: Math.max(...ohms),
    drift: half === 0 ? 0 : mean(ohms.slice(-half)) - mean(ohms.slice(0, half)),
  };
}

/** A contact that has to be worked again and again, and how far that was done. */
export interface RepeatDue {
  terminals: [TerminalId, TerminalId];
  /** The first setting in which it is closed. */
  setting: SettingId;
  cycles: number;
  failed: number;
}

/** Every contact of the table with the cycles that it was worked since the switch was worked on, fewest first. */
export function repeatsOf(map: SwitchMap): RepeatDue[] {
  const runs = recordsOf(map.log, 'contact-repeated').map(repeatedOf);
  const contacts = truthTable(map).poles.flatMap(({ rows }) =>
    rows.flatMap(({ terminals, cells }): RepeatDue[] => {
      const closed = cells.find(({ fact }) => fact.joined === true && fact.state !== 'disputed');
      if (!closed) return [];
      const key = terminals.toSorted().join();
      const mine = runs.filter(({ run }) => run.terminals.toSorted().join() === key);
      return [
        {
          terminals,
          setting: closed.setting,
          cycles: mine.reduce((sum, { run }) => sum + run.cycles, 0),
          failed: mine.reduce((sum, { failed }) => sum + failed, 0),
        },
      ];
    }),
  );
  return contacts.toSorted((one, other) => one.cycles - other.cycles);
}

/** How repeating stands: asked for by the complaint, what it showed, and what is still to be worked. */
export interface RepeatStanding {
  wanted: boolean;
  failed: boolean;
  left: RepeatDue[];
}

export function repeatStanding(map: SwitchMap): RepeatStanding {
  const all = repeatsOf(map);
  return {
    wanted: (recordsOf(map.log, 'symptoms-said') ?? []).includes('sometimes'),
    failed: all.some(({ failed }) => failed > 0),
    left: all.filter(({ cycles }) => cycles < FEWEST_CYCLES),
  };
}
