import type { Conducts } from '../../log/index.js';
import type { LoadId, SettingId, SupplyId, WireId } from '../../switch/index.js';
import type { Fault } from './fault.js';
import type { Observation } from './seen.js';

/** A contact that was read with a meter, freed: whether two terminals join in a setting, by place. */
export interface ContactRead {
  setting: SettingId;
  contact: readonly [number, number];
  joins: boolean;
  /** Heard, or read in ohms: neither carries what a load takes, so neither clears a contact for its load. */
  by: 'tone' | 'ohms';
}

/** What was read between two nodes of the dead machine with its wires on. */
export interface Probed {
  setting: SettingId;
  between: readonly [number, number];
  conducts: Conducts;
}

/** A load or a wire that was tried by itself, freed: whether it conducts from end to end. A supply: whether it is there. */
export interface PartTried {
  part: LoadId | WireId | SupplyId;
  whole: boolean;
}

/** A contact that was worked again and again: how often it did not close, and how often it did not open again. */
export interface Worked {
  setting: SettingId;
  contact: readonly [number, number];
  cycles: number;
  missed: number;
  stuck: number;
}

/** With wires joined instead of the switch, as it joins them in a setting: whether all ran that should. */
export interface WiresJoined {
  setting: SettingId;
  runs: boolean;
}

/** All that was found out so far. */
export interface HuntEvidence {
  seen: readonly Observation[];
  read: readonly ContactRead[];
  tried: readonly PartTried[];
  probed: readonly Probed[];
  worked: readonly Worked[];
  joined: readonly WiresJoined[];
}

/** How a contact that may be of high resistance passed all the same: neither clears it for its load; null: it did not, or it is no such fault. */
export function passedByMeter({ read, probed }: HuntEvidence, fault: Fault): ContactRead['by'] | null {
  if (fault.kind !== 'high') return null;
  const isIt = (pair: readonly [number, number]) => pair.every((place) => fault.contact.includes(place));
  const reads = read.filter(({ contact, joins }) => joins && isIt(contact));
  if (reads.some(({ by }) => by === 'ohms')) return 'ohms';
  if (probed.some(({ between, conducts }) => conducts === 'closed' && isIt(between))) return 'ohms';
  return reads.length > 0 ? 'tone' : null;
}

/** Nothing found out yet. */
export const NO_EVIDENCE: HuntEvidence = {
  seen: [],
  read: [],
  tried: [],
  probed: [],
  worked: [],
  joined: [],
};

/** Whether the fault was seen to come and go: then one steady look or reading proves nothing. */
export const isUnsteady = ({ seen }: Pick<HuntEvidence, 'seen'>): boolean =>
  seen.some((one) => one.seen === 'sometimes');
