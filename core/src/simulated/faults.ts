import type { Partition } from '../partition/index.js';

/** What is wrong with a simulated contact. Ohms are added to its own. */
export type ContactFault =
  /** Falls by half with every stroke that the handle makes over it. */
  | { kind: 'dirty'; ohms: number }
  /** Stays, however it is worked. */
  | { kind: 'burnt'; ohms: number }
  /** Closed in every position. */
  | { kind: 'welded' }
  /** Never closes. */
  | { kind: 'broken' }
  /** Flickers. */
  | { kind: 'unsteady' }
  /** Makes only when the handle comes from one side: up, from a lower position; down, from a higher one. */
  | { kind: 'one-sided'; makes: 'up' | 'down' }
  /** Does not make in such a share of the strokes. */
  | { kind: 'sometimes'; misses: number };

export const CONTACT_FAULTS = [
  'dirty',
  'burnt',
  'welded',
  'broken',
  'unsteady',
  'one-sided',
  'sometimes',
] as const;

/** What conducts in a simulated switch without being a contact, in every position. */
export interface SimulatedPart {
  a: number;
  b: number;
  form:
    | 'resistor'
    /** Cold it has its ohms; still warm from use it has more, and cools from reading to reading. */
    | 'lamp'
    /** A winding: its ohms vary a little with where the rotor stopped. */
    | 'motor'
    /** Charges from the meter: its ohms climb from reading to reading until it is over range. */
    | 'suppressor'
    /** Conducts from a to b. */
    | 'diode'
    /** From a to b its ohms grow with the position of the handle. */
    | 'potentiometer'
    /** Film or dirt across the insulation; to the frame where b is the frame. */
    | 'leak';
  ohms: number;
}

export const SIMULATED_PARTS = [
  'resistor',
  'lamp',
  'motor',
  'suppressor',
  'diode',
  'potentiometer',
  'leak',
] as const;

/** What is wrong with the meter or the way it is held. */
export interface MeterFaults {
  /** Fingers on both tips: so many ohms beside whatever is read; 0: none. */
  fingersOhms: number;
  /** The clip on this terminal makes no contact in a bundle; null: none. */
  deadClip: number | null;
  /** Goes to sleep after so many readings; holding the leads together wakes it. 0: never. */
  autoOffAfter: number;
  /** Reads a fifth too high, and its beeper gives up early. */
  lowBattery: boolean;
  /** Shows a falling value first where nothing joins, over range only at the second look. */
  slowOverRange: boolean;
}

export const NO_METER_FAULTS: MeterFaults = {
  fingersOhms: 0,
  deadClip: null,
  autoOffAfter: 0,
  lowBattery: false,
  slowOverRange: false,
};

/** Ways in which a switch may have been put together wrong, of those that a diagnosis knows. */
export const MISASSEMBLIES = ['shifted', 'reversed', 'swapped', 'bridged'] as const;
export type Misassembly = (typeof MISASSEMBLIES)[number];

/** How a simulated switch was put together wrong, and what it should do: its nets by position. */
export interface PutTogetherWrong {
  how: Misassembly;
  should: Partition[];
}
