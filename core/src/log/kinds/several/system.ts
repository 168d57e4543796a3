import {
  flag,
  id,
  list,
  MOST_HANDLES,
  object,
  oneOf,
  orNull,
  says,
  tagged,
  two,
  TITLE_LETTERS,
  words,
  type TypeOf,
} from '../../../schema/index.js';
import type {
  JobId,
  LoadId,
  PinnedDeviceId,
  SettingId,
  SupplyId,
  TerminalId,
  WireId,
} from '../../../switch/index.js';
import { LOAD_SEEN } from '../judge/load-seen.js';
import { CONDUCTS } from '../judge/machine-probed.js';
import { LOAD_ENDS } from '../tag/wire-end.js';
import { defineKind } from '../define-kind.js';

/** Things that work a contact by themselves. */
export const DEVICE_KINDS = ['float', 'thermostat', 'door', 'relay'] as const;
export type DeviceKind = (typeof DEVICE_KINDS)[number];

/** What its contact does when the device goes from rest to work: water up, warm, shut, pulled in. */
export const DEVICE_CONTACTS = ['makes', 'breaks', 'changes-over'] as const;
export type DeviceContact = (typeof DEVICE_CONTACTS)[number];

/** Pins of a device: `C` and `1` are joined at rest where it breaks or changes over, `C` and `2` at work where it makes or changes over. */
export const DEVICE_PINS = ['C', '1', '2'] as const;
export type DevicePin = (typeof DEVICE_PINS)[number];

export const DEVICE_STATES = ['rest', 'work'] as const;

export const systemPointSchema = tagged('at', {
  terminal: { job: id<JobId>(), terminal: id<TerminalId>() },
  wire: { job: id<JobId>(), wire: id<WireId>() },
  device: { device: id<PinnedDeviceId>(), pin: oneOf(DEVICE_PINS) },
  supply: { job: id<JobId>(), supply: id<SupplyId>() },
  load: { job: id<JobId>(), load: id<LoadId>(), end: oneOf(LOAD_ENDS) },
});
/** A place in a system that a join goes from or to. A wire stands for its far end. */
export type SystemPoint = TypeOf<typeof systemPointSchema>;

export const systemDeviceSchema = object({
  id: id<PinnedDeviceId>(),
  name: words(TITLE_LETTERS),
  kind: oneOf(DEVICE_KINDS),
  contact: oneOf(DEVICE_CONTACTS),
  removed: flag,
});
/** A float, thermostat, door or relay: it belongs to the system, and is no position of any switch. */
export type SystemDevice = TypeOf<typeof systemDeviceSchema>;

const standingSchema = tagged('of', {
  switch: { job: id<JobId>(), setting: id<SettingId>() },
  device: { device: id<PinnedDeviceId>(), state: oneOf(DEVICE_STATES) },
});

export const systemMember = defineKind('system-member', {
  says: 'a switch that belongs to a system, or does not any more; the newest of each counts',
  fields: { job: id<JobId>(), belongs: flag },
  undo: ['system'],
  reading: 'extends',
});

export const systemDevice = defineKind('system-device', {
  says: 'a device of a system; the newest of each counts',
  fields: { device: systemDeviceSchema },
  undo: ['system'],
  reading: 'extends',
});

export const systemJoined = defineKind('system-joined', {
  says: 'what a wire or a pin goes to in a system; the newest of each start counts',
  fields: { from: systemPointSchema, to: says('null: nothing is said any more.', orNull(systemPointSchema)) },
  undo: ['system'],
  reading: 'extends',
});

const systemSeenSchema = object({
  at: says(
    'How every handle and device stood.',
    list(standingSchema, { minItems: 1, maxItems: MOST_HANDLES }),
  ),
  load: id<LoadId>(),
  seen: says(
    '`right`: as it should; `sometimes`: now as it should, now not; null: nothing is said any more.',
    orNull(oneOf(LOAD_SEEN)),
  ),
});

export const systemLooked = defineKind('system-looked', {
  says: 'no longer written (`machine-looked` is): what loads of a system did, as the complaint has it; the newest of each load and combination counts',
  fields: { seen: list(systemSeenSchema, { minItems: 1, maxItems: 500 }) },
  undo: ['system'],
  reading: 'extends',
  // Version 2 knows what comes and goes.
  upgrades: { 1: (what) => what },
});

export const systemPartTried = defineKind('system-part-tried', {
  says: 'no longer written (`machine-part-tried` is): whether a load or a wire of a system, freed, conducts from end to end, or a supply is there; the newest of each counts',
  fields: {
    part: says('A load, a wire or a supply.', id<LoadId | WireId | SupplyId>()),
    whole: says('null: nothing is said any more.', orNull(flag)),
  },
  undo: ['system'],
  reading: 'extends',
});

export const systemProbed = defineKind('system-probed', {
  says: 'no longer written (`machine-read` is): what was read between two places of the dead machine of a system, its wires on; the newest of each combination and pair counts',
  fields: {
    at: says(
      'How every handle and device stood.',
      list(standingSchema, { minItems: 1, maxItems: MOST_HANDLES }),
    ),
    between: two(systemPointSchema),
    conducts: says('null: nothing is said any more.', orNull(oneOf(CONDUCTS))),
  },
  undo: ['system'],
  reading: 'extends',
});
