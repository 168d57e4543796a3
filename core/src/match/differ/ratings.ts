import { ampsOf, type Load } from '../../log/index.js';
import { decodeMarking } from '../../rating/index.js';
import type { PartFacts } from '../../switch/index.js';

/** One rated current as it is compared; what is absent is not stated. */
export interface Rating {
  load: 'resistive' | 'motor' | 'lamp' | 'peak' | 'inductive' | 'not-said';
  amps: number;
  volts: number | null;
  supply: 'ac' | 'dc' | 'ac-dc' | null;
}

/** What is stated of a part's currents: typed in, and read out of its marking. */
export function ratingsOf({ ratings = [], marking }: PartFacts): Rating[] {
  const read = marking === undefined ? [] : decodeMarking(marking).currents;
  return [
    ...ratings.map(({ load, amps, volts = null, supply = null }) => ({ load, amps, volts, supply })),
    ...read.map(({ amperes, load, volts, supply }) => ({ load: LOAD[load], amps: amperes, volts, supply })),
  ];
}

const LOAD = {
  resistive: 'resistive',
  motor: 'motor',
  lamp: 'lamp',
  'discharge-lamp': 'lamp',
  'capacitive-peak': 'peak',
  inductive: 'inductive',
  'not-said': 'not-said',
} as const;

/** Which ratings speak of a kind of load (common practice): what is rated for a motor carries as much that only heats. */
const SPEAKS_OF: Record<Load['kind'], readonly Rating['load'][]> = {
  resistive: ['resistive', 'not-said', 'motor', 'inductive'],
  motor: ['motor', 'inductive'],
  lamp: ['lamp'],
  electronics: ['peak'],
  signal: [],
};

/**
 * What the ratings of a part say of a load. `enough`; `amps-lower`, `volts-lower`: stated, and less; `ac-only`: for direct current
 * only figures for alternating current are stated; `not-stated`: not for such a load, or the load itself is not said.
 */
export type RatingAnswer = 'enough' | 'amps-lower' | 'volts-lower' | 'ac-only' | 'not-stated';

/** Compares a load with what is stated. More than enough is no better than enough. Paralleled poles do not add up. */
export function rated(load: Load, ratings: readonly Rating[]): RatingAnswer {
  const amps = ampsOf(load);
  const supply = load.current === 'DC' ? 'dc' : 'ac';
  const speaks = ratings.filter((rating) => SPEAKS_OF[load.kind].includes(rating.load));
  const ofSupply = speaks.filter((rating) => rating.supply === supply || rating.supply === 'ac-dc');
  if (ofSupply.length === 0) {
    const elsewhere = ratings.filter((rating) => rating.supply === 'ac');
    return supply === 'dc' && elsewhere.length > 0 ? 'ac-only' : 'not-stated';
  }
  if (amps === null || load.volts === null) return 'not-stated';
  const { volts } = load;
  const high = ofSupply.filter((rating) => rating.volts !== null && rating.volts >= volts);
  if (high.length === 0)
    return ofSupply.every((rating) => rating.volts !== null) ? 'volts-lower' : 'not-stated';
  return high.some((rating) => rating.amps >= amps) ? 'enough' : 'amps-lower';
}

/** Whether a signal is enough for a part's contacts: its least load, where that is stated. */
export function signalAnswer(load: Load, { minimum }: PartFacts): 'enough' | 'too-little' | 'not-stated' {
  const amps = ampsOf(load);
  if (!minimum || amps === null || load.volts === null) return 'not-stated';
  return load.volts >= minimum.volts && amps * 1000 >= minimum.milliamps ? 'enough' : 'too-little';
}
