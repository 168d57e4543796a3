import type { Load, LoadEnd } from '../../log/index.js';
import { windingsOf } from '../wiring/circuit.js';
import { minus, plus, sizeOf, THIRD, times, ZERO, type Phasor } from './phasor.js';

/** What a load does. `floating`: off, and yet live; `stalled`: fed so that it hums and does not turn; `not-known`: facts are missing. */
export const LOAD_DOES = [
  'off',
  'full',
  'part',
  'reversed',
  'braked',
  'floating',
  'stalled',
  'not-known',
] as const;
export type LoadDoes = (typeof LOAD_DOES)[number];

/** What a load does, and how much of its power it takes; null where that is not known. */
export interface LoadState {
  does: LoadDoes;
  share: number | null;
  watts: number | null;
  /** Where it is fed with more or less than a tenth beside what it is rated for: with how much; absent: it is not, or nobody knows. */
  volts?: { at: number; rated: number };
}

export const NOT_KNOWN: LoadState = { does: 'not-known', share: null, watts: null };

/** A load as it is fed: the net and the voltage of each of its ends; null: nothing reaches it. */
export interface Fed {
  net: (end: LoadEnd) => number;
  volts: (end: LoadEnd) => Phasor | null;
}

/** A load may be fed with a tenth more or less than it is rated for (IEC 60038, from memory). */
const [MOST, LEAST] = [1.1, 0.9];
/** Shares of the rated power from which a load counts as fully on, and under which as off. */
const [FULL, OFF] = [LEAST ** 2, 0.004];
/** Of the highest voltage: more counts as live. */
const LIVE = 0.05;

/** What a load is fed from. */
export interface FedFrom {
  /** Volts across a winding at full power. */
  rated: number;
  /** Volts of the highest supply. */
  highest: number;
  /** Whether the volts of all supplies are known. */
  figures: boolean;
  current: 'AC' | 'DC';
}

/** What a load does, from the voltages at its ends (rules for motors: common practice). */
export function loadState(load: Load, fed: Fed, { rated, highest, figures, current }: FedFrom): LoadState {
  const windings = windingsOf(load).map(([a, b]) => across(fed, a, b));
  const shares = windings.map((volts) => (sizeOf(volts) / rated) ** 2);
  const share =
    load.make === 'three-phase' ? shares.reduce((sum, one) => sum + one, 0) / 3 : Math.max(...shares);
  const watts = figures && load.watts !== null ? share * load.watts : null;
  const at = rated * Math.sqrt(Math.max(...shares));
  const beside = figures && load.volts !== null && (at > MOST * rated || at < LEAST * rated);
  const level = (does: LoadDoes): LoadState => ({
    does,
    share,
    watts: load.kind === 'motor' ? null : watts,
    ...(beside && { volts: { at, rated } }),
  });
  if (share < OFF) return resting(load, fed, highest);
  const on: LoadDoes = share >= FULL ? 'full' : 'part';
  if (load.kind === 'electronics' && on === 'part')
    return { ...NOT_KNOWN, ...(beside && { volts: { at, rated } }) };
  // What is made for one sort of current hums on the other, and does not turn.
  if (load.kind === 'motor' && load.make && load.make !== 'universal')
    if ((load.make === 'permanent-magnet') !== (current === 'DC')) return level('stalled');
  if (load.kind !== 'motor' || !load.make || load.make === 'universal') return level(on);
  const [first = ZERO, second = ZERO, third = ZERO] = windings;
  const [one = 0, two = 0] = shares;
  switch (load.make) {
    case 'permanent-magnet':
      return level(first.re < 0 ? 'reversed' : on);
    case 'capacitor':
      if (one >= OFF && two >= OFF && Math.min(one, two) > 0.5 * Math.max(one, two)) return level('stalled');
      return level(two > one ? 'reversed' : on);
    case 'run-start':
      return level(one < OFF ? 'stalled' : on);
    case 'reversible': {
      if (one < OFF) return level('stalled');
      // Without its start winding it goes on as it turns, and does not start.
      const along = first.re * second.re + first.im * second.im;
      return level(two >= OFF && along < 0 ? 'reversed' : on);
    }
    case 'three-phase': {
      const back = times(THIRD, THIRD);
      const forward = sizeOf(plus(first, plus(times(THIRD, second), times(back, third)))) / 3;
      const other = sizeOf(plus(first, plus(times(back, second), times(THIRD, third)))) / 3;
      if (Math.min(forward, other) > 0.2 * Math.max(forward, other)) return level('stalled');
      return level(other > forward ? 'reversed' : on);
    }
  }
}

const across = ({ volts }: Fed, a: LoadEnd, b: LoadEnd): Phasor => {
  const [one, other] = [volts(a), volts(b)];
  return one && other ? minus(one, other) : ZERO;
};

/** A load that takes nothing: off, off and yet live, or held by its own short. */
function resting(load: Load, { net, volts }: Fed, highest: number): LoadState {
  const none = { share: 0, watts: load.watts === null ? null : 0 };
  // Both ends on one net, whichever that is, brake a permanent magnet; an induction motor they do not.
  if (load.make === 'permanent-magnet' && net('+') === net('-')) return { ...none, does: 'braked' };
  const live = windingsOf(load)
    .flat()
    .some((end) => sizeOf(volts(end) ?? ZERO) > LIVE * highest);
  return { ...none, does: live ? 'floating' : 'off' };
}
