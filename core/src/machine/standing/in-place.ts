import { recordsOf } from '../../log/index.js';
import { partitionFromGroups, type Partition } from '../../partition/index.js';
import type { SettingId } from '../../switch/index.js';
import { expectedOf } from '../../verify/index.js';
import { contactsAsMapped, contactsAsTable, contactsOfNets, type ContactsAt } from '../power/contacts.js';
import { contactsWithPart, type LaidPart } from '../power/part-contacts.js';
import { AT_REST, pinsOf, UNREAD, type SwitchHandle, type MachineHandle } from '../wiring/handles.js';

/** Whether a handle joins neighbouring settings in passing; null: nobody has looked, or nobody says. */
export type MakesBefore = boolean | null;

/** Whose contacts stand in a machine. */
export interface InPlace {
  /** What is known of the contacts of a switch that can be read, in a setting. */
  contactsAt: (handle: SwitchHandle, setting: SettingId) => ContactsAt;
  /** Whether its next contact makes before the last one breaks. */
  makesBefore: (handle: SwitchHandle) => MakesBefore;
}

/** Whether it was seen that the next contact makes before the last breaks; not seen proves nothing. */
const seenToMake = ({ map }: SwitchHandle): true | null =>
  recordsOf(map.log, 'passing-probed').some(({ seen, passes }) => seen && passes > 0) ? true : null;

const nothing = (size: number): ContactsAt => ({
  nets: partitionFromGroups(size, []),
  isKnown: () => false,
});

/** Every switch as its map has it. */
export const AS_MAPPED: InPlace = {
  contactsAt: ({ map }, setting) => contactsAsMapped(map, setting),
  makesBefore: seenToMake,
};

/** Every switch as it was said that it should be. */
export const AS_SHOULD: InPlace = {
  contactsAt: ({ map, size }, setting) => {
    const table = expectedOf(map);
    return table ? contactsAsTable(map, table, setting) : nothing(size);
  },
  makesBefore: seenToMake,
};

/** A part in the place of the one switch. */
export const withPart = (laid: LaidPart): InPlace => ({
  contactsAt: ({ map }, setting) => contactsWithPart(map, laid, setting),
  makesBefore: () => laid.part.facts?.makesBeforeBreaks ?? null,
});

/** The one switch with nets that are known in full. */
export const withNets = (netsAt: ReadonlyMap<SettingId, Partition>): InPlace => ({
  contactsAt: (_, setting) => contactsOfNets(netsAt.get(setting) ?? []),
  makesBefore: seenToMake,
});

/** What is known of the contacts of one handle, whose contacts ever stand there. */
export function contactsOf(handle: MachineHandle, setting: SettingId, inPlace: InPlace): ContactsAt {
  if (handle.of === 'device') {
    const pins = pinsOf(handle.device);
    const joined = setting === AT_REST ? '1' : '2';
    const groups = pins.includes(joined) ? [[pins.indexOf('C'), pins.indexOf(joined)]] : [];
    return contactsOfNets(partitionFromGroups(pins.length, groups));
  }
  const { map, size } = handle;
  return map && setting !== UNREAD ? inPlace.contactsAt({ ...handle, map }, setting) : nothing(size);
}

/** Whether a handle makes before it breaks; a device does not, and of a switch that cannot be read nobody knows. */
export const makesBeforeOf = (handle: MachineHandle, inPlace: InPlace): MakesBefore =>
  handle.of === 'device' ? false : handle.map && inPlace.makesBefore({ ...handle, map: handle.map });
