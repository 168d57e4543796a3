import { makeOf, type Load, type LoadEnd, type LoadMake } from '../../log/index.js';
import { windingsOf } from '../wiring/circuit.js';
import type { SignalState } from './signals.js';
import { minus, plus, sizeOf, THIRD, times, ZERO, type Phasor } from './phasor.js';

/**
 * What a load does. `floating`: off, and yet live; `stalled`: fed so that it hums and does not turn; `chatters`: a coil cuts itself off, again
 * and again; `not-known`: facts are missing.
 */
export const LOAD_DOES = [
  'off',
  'full',
  'part',
  'reversed',
  'braked',
  'floating',
  'stalled',
  'chatters',
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
  /** Of a load with several windings: which of them are fed, in the order of `windingsOf`. */
  fed?: readonly boolean[];
  /** Of a source or an output of a signal: how it stands. */
  signal?: SignalState;
  /** Every other half of the wave alone reaches it, and it takes something. */
  half?: true;
  /** Of a relay or a contactor: whether it is pulled in. */
  pulled?: boolean;
  /** It takes something only because a coil is pulled in. */
  byCoil?: true;
  /** What it may also do here, by what came before: a coil that was pulled in holds itself. */
  held?: readonly LoadDoes[];
}

export const NOT_KNOWN: LoadState = { does: 'not-known', share: null, watts: null };

/** A source or an output of a signal: `full` where a signal passes, with no watts. */
export function signalState(signal: SignalState | null): LoadState {
  if (!signal) return NOT_KNOWN;
  const passes = signal.is === 'reached' || signal.is === 'tangled' || signal.is === 'reaches';
  return { does: passes ? 'full' : 'off', share: passes ? 1 : 0, watts: 0, signal };
}

/** What a load does beside taking its power, so that two can be compared: its signal, and what a coil does to it. */
export const besideKey = ({ signal, pulled, byCoil, held }: LoadState): string =>
  signal || pulled !== undefined || byCoil || held ? JSON.stringify([signal, pulled, byCoil, held]) : '';

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

/** What is made for one sort of current hums on the other, and does not turn; of the rest either will do. */
export const MADE_FOR: Partial<Record<LoadMake, 'AC' | 'DC'>> = {
  'permanent-magnet': 'DC',
  'shunt-wound': 'DC',
  capacitor: 'AC',
  'run-start': 'AC',
  reversible: 'AC',
  'three-phase': 'AC',
  'shaded-pole': 'AC',
  'two-speed': 'AC',
  tapped: 'AC',
};

/** What a load does, from the voltages at its ends (rules for motors: common practice). */
export function loadState(load: Load, fed: Fed, from: FedFrom): LoadState {
  const make = makeOf(load);
  if (make === 'current-transformer') return { does: 'off', share: 0, watts: null };
  const windings = windingsOf(load).map(([a, b]) => across(fed, a, b));
  const shares = windings.map((volts) => (sizeOf(volts) / from.rated) ** 2);
  const state = fedState(load, fed, from, { make, windings, shares });
  return shares.length < 2 || state.does === 'not-known'
    ? state
    : { ...state, fed: shares.map((one) => one >= OFF) };
}

/** The voltages of a load's windings, and what that is of its rated power in each. */
interface Wound {
  make: LoadMake | undefined;
  windings: readonly Phasor[];
  shares: readonly number[];
}

function fedState(
  load: Load,
  fed: Fed,
  { rated, highest, figures, current }: FedFrom,
  { make, windings, shares }: Wound,
): LoadState {
  const whole = shareOf(make, fed, rated, windings, shares);
  // Through a diode every other half of the wave comes; on DC all of it, or nothing.
  const half = current === 'AC' && (make === 'half-wave' || load.diode === true);
  const share = half ? whole / 2 : whole;
  const watts = figures && load.watts !== null ? share * load.watts : null;
  const at = rated * Math.sqrt(whole);
  const compared = figures && load.volts !== null && make !== 'alternator';
  const beside = compared && (at > MOST * rated || at < LEAST * rated);
  const level = (does: LoadDoes): LoadState => ({
    does,
    // How much less a slower tap takes is a matter of its turns.
    share: make === 'tapped' && does === 'part' ? null : share,
    watts: load.kind === 'motor' ? null : watts,
    ...(beside && { volts: { at, rated } }),
    ...(half && { half: true as const }),
  });
  if (share < OFF) return resting(load, fed, highest);
  const on: LoadDoes = share >= FULL ? 'full' : 'part';
  if (make === 'alternator') return { does: 'full', share: null, watts: null };
  if ((make === 'half-wave' || load.diode) && current === 'DC') return NOT_KNOWN;
  if (load.kind === 'electronics' && on === 'part')
    return { ...NOT_KNOWN, ...(beside && { volts: { at, rated } }), ...(half && { half: true }) };
  if (make && (MADE_FOR[make] ?? current) !== current) return level('stalled');
  return level(turning(make, on, { windings, shares }, fed, rated));
}

/** How much of its rated power a load takes: of several windings the most, of three phases their mean, of two in series both together. */
function shareOf(
  make: LoadMake | undefined,
  fed: Fed,
  rated: number,
  windings: readonly Phasor[],
  shares: readonly number[],
): number {
  switch (make) {
    case 'three-phase':
      return shares.reduce((sum, one) => sum + one, 0) / 3;
    case 'series-wound':
      return (windings.reduce((sum, volts) => sum + sizeOf(volts), 0) / rated) ** 2;
    case 'tapped':
      return Math.max(
        ...(['T1', 'T2', 'T3'] as const).map((tap) => (sizeOf(across(fed, 'C', tap)) / rated) ** 2),
      );
    default:
      return Math.max(...shares);
  }
}

/** Which way a load turns that takes something; what is no motor is merely on. */
function turning(
  make: LoadMake | undefined,
  on: LoadDoes,
  { windings, shares }: Pick<Wound, 'windings' | 'shares'>,
  fed: Fed,
  rated: number,
): LoadDoes {
  const [first = ZERO, second = ZERO, third = ZERO] = windings;
  const [one = 0, two = 0] = shares;
  const along = first.re * second.re + first.im * second.im;
  switch (make) {
    case 'permanent-magnet':
      return first.re < 0 ? 'reversed' : on;
    case 'capacitor':
      if (one >= OFF && two >= OFF && Math.min(one, two) > 0.5 * Math.max(one, two)) return 'stalled';
      return two > one ? 'reversed' : on;
    case 'run-start':
      return one < OFF ? 'stalled' : on;
    case 'reversible':
      if (one < OFF) return 'stalled';
      // Without its start winding it goes on as it turns, and does not start.
      return two >= OFF && along < 0 ? 'reversed' : on;
    case 'series-wound':
    case 'shunt-wound':
      // The field alone warms and turns nothing; against the armature it turns the other way.
      if (one < OFF) return 'stalled';
      return two >= OFF && along < 0 ? 'reversed' : on;
    case 'two-speed':
      return one >= OFF && two >= OFF ? 'stalled' : on;
    case 'tapped':
      return (sizeOf(across(fed, 'C', 'T1')) / rated) ** 2 >= FULL ? on : 'part';
    case 'three-phase': {
      const back = times(THIRD, THIRD);
      const forward = sizeOf(plus(first, plus(times(THIRD, second), times(back, third)))) / 3;
      const other = sizeOf(plus(first, plus(times(back, second), times(THIRD, third)))) / 3;
      if (Math.min(forward, other) > 0.2 * Math.max(forward, other)) return 'stalled';
      return other > forward ? 'reversed' : on;
    }
    default:
      return on;
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
