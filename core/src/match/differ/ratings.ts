import { ampsOf, type Load } from '../../log/index.js';
import { decodeMarking, fullLoadAmps, LOCKED_ROTOR } from '../../rating/index.js';
import type { PartFacts } from '../../switch/index.js';

/** One rated current as it is compared; what is absent is not stated. */
export interface Rating {
  load: 'resistive' | 'motor' | 'lamp' | 'peak' | 'inductive' | 'not-said';
  amps: number;
  volts: number | null;
  supply: 'ac' | 'dc' | 'ac-dc' | null;
  /** What it may close onto for a moment, in amperes; null: not stated. */
  makes: number | null;
  /** Milliseconds (L/R) for which a figure for direct current is stated; null: not stated. */
  timeConstant: number | null;
}

/**
 * What is stated of a part's currents: typed in, and read out of its marking: amperes, horsepower by the published table,
 * designations such as A600. A motor rating closes onto six times as much (IEC 61058-1, from memory).
 */
export function ratingsOf({ ratings = [], marking }: PartFacts): Rating[] {
  const { currents, powers, designations } = decodeMarking(marking ?? '');
  const typed = ratings.map((one): Rating => {
    const { load, amps, volts = null, supply = null, timeConstant = null } = one;
    return { load, amps, volts, supply, timeConstant, makes: load === 'motor' ? LOCKED_ROTOR * amps : null };
  });
  const read = currents.map(({ amperes: amps, load: kind, volts, supply }): Rating => {
    const load = LOAD[kind];
    const makes = load === 'motor' ? LOCKED_ROTOR * amps : null;
    return { load, amps, volts, supply, makes, timeConstant: null };
  });
  const motors = powers.flatMap(({ horsepower, volts, supply }): Rating[] => {
    const amps = volts === null ? null : fullLoadAmps(horsepower, volts);
    if (amps === null || supply === 'dc') return [];
    return [{ load: 'motor', amps, volts, supply: 'ac', makes: LOCKED_ROTOR * amps, timeConstant: null }];
  });
  const designated = designations.flatMap(({ currents: each, supply }) =>
    each.map(({ volts, make, break: amps }): Rating => ({
      load: 'inductive',
      amps,
      volts,
      supply,
      makes: make,
      timeConstant: null,
    })),
  );
  return [...typed, ...read, ...motors, ...designated];
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
 * only figures for alternating current are stated; `start-lower`: its first moment is more than it may close onto; `not-stated`: not for such a load, or the load itself is not said.
 */
export type RatingAnswer = 'enough' | 'amps-lower' | 'volts-lower' | 'ac-only' | 'start-lower' | 'not-stated';

/** Compares a load with what is stated. More than enough is no better than enough. Paralleled poles do not add up. */
export function rated(load: Load, ratings: readonly Rating[]): RatingAnswer {
  const amps = ampsOf(load);
  const supply = load.current === 'DC' ? 'dc' : 'ac';
  // A coil on direct current keeps its arc alive: only a figure for as long a time constant speaks of it.
  const lasts = ({ timeConstant: stated }: Rating) =>
    supply === 'ac' || load.timeConstant === undefined || (stated !== null && stated >= load.timeConstant);
  const speaks = ratings.filter((rating) => SPEAKS_OF[load.kind].includes(rating.load) && lasts(rating));
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
  const enough = high.filter((rating) => rating.amps >= amps);
  if (enough.length === 0) return 'amps-lower';
  const { startAmps } = load;
  if (startAmps === undefined || enough.some(({ makes }) => makes !== null && makes >= startAmps))
    return 'enough';
  return enough.every(({ makes }) => makes !== null) ? 'start-lower' : 'not-stated';
}

/** Above so many volt-amperes gold plating burns off; and how low its volts have to stay (common practice, from memory). */
const [GOLD_VA, GOLD_VOLTS] = [0.4, 28];

/** Whether a load burns the gold off a part's contacts; one that isn't known burns nothing. */
export function burnsGold(load: Load, { contacts }: PartFacts): boolean {
  const amps = ampsOf(load);
  if (contacts !== 'gold' || amps === null || load.volts === null) return false;
  return amps * load.volts > GOLD_VA || load.volts > GOLD_VOLTS;
}

/**
 * Whether a load is enough for a part's contacts: its least load, where that is stated. Gold stays clean without one (common
 * practice).
 */
export function leastAnswer(
  load: Load,
  { minimum, contacts }: PartFacts,
): 'enough' | 'too-little' | 'not-stated' {
  const amps = ampsOf(load);
  if (!minimum && contacts === 'gold') return 'enough';
  if (!minimum || amps === null || load.volts === null) return 'not-stated';
  return load.volts >= minimum.volts && amps * 1000 >= minimum.milliamps ? 'enough' : 'too-little';
}
