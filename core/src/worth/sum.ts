import type { WorthInputs } from '../log/index.js';

/** An input that decides; if it were `at`, and all else as it is, repair and a new machine would cost the same. */
export interface TurningPoint {
  field: 'part' | 'minutes' | 'ratePerHour' | 'newMachine' | 'lifeLeft';
  at: number;
}

/** What is compared: the repair against the part of a new machine's price that buys the same years. */
export interface WorthSum {
  /** Part, time and postage; null while one of them is not said. */
  repair: number | null;
  /** What the years that are left would cost with a new machine (straight line); null while unknown. */
  sameYearsNew: number | null;
  /** `not-kept`: dangerous, so the money does not decide. `unknown`: not enough was said. */
  leans: 'repair' | 'new' | 'even' | 'not-kept' | 'unknown';
  /** By how much the cheaper way is cheaper. */
  by: number | null;
  turns: TurningPoint[];
  /** The repair costs this much more than the owner's limit; null when it does not, or there is none. */
  overLimit: number | null;
  /** Inputs that are missing for the sum. */
  missing: (keyof WorthInputs)[];
}

const NEEDED = ['part', 'minutes', 'ratePerHour', 'postage', 'newMachine', 'newLife', 'lifeLeft'] as const;

/**
 * Repair or replace, in money alone: repair = part + minutes / 60 x rate + postage, against new price x years left /
 * years of a new one (straight-line depreciation, common practice). What is not said stays unknown.
 * @example
 * const said = { part: 12, minutes: 30, ratePerHour: 60, postage: 8, newMachine: 400, newLife: 10, lifeLeft: 4, limit: null, dangerous: false };
 * const { repair, sameYearsNew } = worthSum(said);
 * [repair, sameYearsNew] // => [50, 160]
 */
export function worthSum(inputs: WorthInputs): WorthSum {
  const { part, minutes, ratePerHour, postage, newMachine, newLife, lifeLeft, limit, dangerous } = inputs;
  const missing = NEEDED.filter(
    (field) => inputs[field] === null || (field === 'newLife' && inputs[field] === 0),
  );
  const labour = minutes === null || ratePerHour === null ? null : (minutes / 60) * ratePerHour;
  const repair = part === null || labour === null || postage === null ? null : part + labour + postage;
  const sameYearsNew =
    newMachine === null || lifeLeft === null || !newLife ? null : (newMachine * lifeLeft) / newLife;
  const overLimit = repair !== null && limit !== null && repair > limit ? repair - limit : null;
  const base = { repair, sameYearsNew, overLimit, missing };
  if (dangerous) return { ...base, leans: 'not-kept', by: null, turns: [] };
  if (repair === null || sameYearsNew === null) return { ...base, leans: 'unknown', by: null, turns: [] };
  const gap = sameYearsNew - repair;
  return {
    ...base,
    leans: Math.abs(gap) < 0.005 ? 'even' : gap > 0 ? 'repair' : 'new',
    by: Math.abs(gap),
    turns: turningPoints(inputs, repair, sameYearsNew),
  };
}

function turningPoints(inputs: WorthInputs, repair: number, sameYearsNew: number): TurningPoint[] {
  const { part, minutes, ratePerHour, newMachine, newLife, lifeLeft } = inputs;
  const gap = sameYearsNew - repair;
  const turn = (field: TurningPoint['field'], at: number): TurningPoint[] =>
    Number.isFinite(at) && at >= 0 ? [{ field, at }] : [];
  return [
    ...turn('part', (part ?? NaN) + gap),
    ...(ratePerHour ? turn('minutes', (minutes ?? NaN) + (gap * 60) / ratePerHour) : []),
    ...(minutes ? turn('ratePerHour', (ratePerHour ?? NaN) + (gap * 60) / minutes) : []),
    ...(lifeLeft ? turn('newMachine', (repair * (newLife ?? NaN)) / lifeLeft) : []),
    ...(newMachine ? turn('lifeLeft', (repair * (newLife ?? NaN)) / newMachine) : []),
  ];
}
