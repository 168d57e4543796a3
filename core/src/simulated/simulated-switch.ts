import { patternOfKnown } from '../partition/index.js';
import { seededRandom, shuffled, type KnownSwitch } from '../switch/index.js';
import { polesWithContacts } from '../table/index.js';
import type { ContactFault, MeterFaults, PutTogetherWrong, SimulatedPart } from './faults.js';

/** A switch that exists only in the computer, with the truth that a map of it should find. By place. */
export interface SimulatedSwitch {
  seed: number;
  name: string;
  terminals: number;
  /** In handle order. */
  positions: { name: string | null }[];
  contacts: SimulatedContact[];
  /** What conducts besides. */
  parts?: SimulatedPart[];
  /** The place that is the bush, shaft or can; it is no contact of the pattern. */
  frame?: number | null;
  meter: SimulatedMeterSettings;
  /** How it was put together wrong, and what it should do. */
  wrong?: PutTogetherWrong;
}

/** Joins two terminals in some positions, with its own resistance in ohms. */
export interface SimulatedContact {
  a: number;
  b: number;
  closedIn: number[];
  ohms: number;
  fault?: ContactFault;
}

/** The meter that goes with it. All in ohms. */
export interface SimulatedMeterSettings {
  leadOhms: number;
  resolutionOhms: number;
  beeperOhms: number;
  faults?: MeterFaults;
}

/**
 * Builds a simulated switch with the wiring of a known one: seeded contact and lead resistances, and where
 * `shuffle` is set the terminals in an order that the seed decides.
 */
export function simulateKnown(
  known: Pick<KnownSwitch, 'name' | 'terminals' | 'positions'>,
  seed: number,
  shuffle: boolean,
): SimulatedSwitch {
  const random = seededRandom(seed);
  const size = known.terminals.length;
  const order = Array.from({ length: size }, (_, index) => index);
  const place = shuffle ? shuffled(order, random) : order;
  const pattern = patternOfKnown(known);
  const contacts = polesWithContacts(pattern).flatMap((pole) =>
    pole.contacts.map(([a, b]) => ({
      a: place[a] as number,
      b: place[b] as number,
      closedIn: pattern.flatMap((partition, setting) => (partition[a] === partition[b] ? [setting] : [])),
      ohms: Number((0.005 + random() * 0.15).toFixed(4)),
    })),
  );
  return {
    seed,
    name: known.name,
    terminals: size,
    positions: known.positions.map(({ name }) => ({ name })),
    contacts,
    meter: { leadOhms: Number((0.1 + random() * 0.3).toFixed(3)), resolutionOhms: 0.1, beeperOhms: 50 },
  };
}
