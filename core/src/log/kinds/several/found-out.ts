import {
  flag,
  id,
  list,
  MOST_HANDLES,
  object,
  oneOf,
  optional,
  orNull,
  says,
  tagged,
  two,
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
import { defineKind } from '../define-kind.js';
import { newest } from '../keeps.js';
import { LOAD_SEEN } from '../judge/load-seen.js';
import { CONDUCTS } from '../judge/machine-probed.js';
import { DEVICE_PINS, DEVICE_STATES } from './system.js';
import { LOAD_ENDS } from '../tag/wire-end.js';

const job = () => says('Absent: the job of this log.', optional(id<JobId>()));

const settingOfJobSchema = tagged('of', {
  switch: { job: job(), setting: id<SettingId>() },
  device: { device: id<PinnedDeviceId>(), state: oneOf(DEVICE_STATES) },
});
/** How one switch or device of a machine stands. */
export type SettingOfJob = TypeOf<typeof settingOfJobSchema>;

/** How switches and devices stand, by a name that does not hang on their order. */
export const standingKey = (at: readonly SettingOfJob[]): string =>
  at
    .map((one) =>
      one.of === 'switch' ? [one.job, one.setting].join(' ').trim() : `${one.device} ${one.state}`,
    )
    .toSorted()
    .join();

const machinePlaceSchema = tagged('at', {
  terminal: { job: job(), terminal: id<TerminalId>() },
  device: { device: id<PinnedDeviceId>(), pin: oneOf(DEVICE_PINS) },
  supply: { job: job(), supply: id<SupplyId>() },
  load: { job: job(), load: id<LoadId>(), end: oneOf(LOAD_ENDS) },
});
/** A place in a machine where a probe can lie: a lug, a pin, or the far end of a wire. */
export type MachinePlace = TypeOf<typeof machinePlaceSchema>;

const standsSo = () =>
  says(
    'How every switch and device stood.',
    list(settingOfJobSchema, { minItems: 1, maxItems: MOST_HANDLES }),
  );

export const interlockSaid = defineKind('interlock-said', {
  says: 'that an interlock keeps switches from standing so together, or does not; the newest of each such standing counts',
  fields: {
    at: says(
      'How they cannot stand together.',
      list(settingOfJobSchema, { minItems: 2, maxItems: MOST_HANDLES }),
    ),
    keeps: flag,
  },
  undo: ['system'],
  reading: 'extends',
  keeps: newest(
    null,
    ({ at }: { at: SettingOfJob[]; keeps: boolean }) => standingKey(at),
    ({ keeps }) => keeps,
  ),
});

const loadLookedSchema = object({
  at: standsSo(),
  load: id<LoadId>(),
  seen: says(
    '`right`: as it should; `sometimes`: now as it should, now not; null: nothing is said any more.',
    orNull(oneOf(LOAD_SEEN)),
  ),
});
/** What a load did with its machine so, before the repair. */
export type LoadLooked = TypeOf<typeof loadLookedSchema>;

export const machineLooked = defineKind('machine-looked', {
  says: 'what loads of the machine did, as the complaint has it; the newest of each load and standing counts',
  fields: { seen: list(loadLookedSchema, { minItems: 1, maxItems: 2000 }) },
  undo: ['table', 'system'],
  reading: 'extends',
});

export const machinePartTried = defineKind('machine-part-tried', {
  says: 'whether a load or a wire of the machine, freed, conducts from end to end, or a supply is there; the newest of each counts',
  fields: {
    part: says('A load, a wire or a supply.', id<LoadId | WireId | SupplyId>()),
    whole: says('null: nothing is said any more.', orNull(flag)),
  },
  undo: ['table', 'system'],
  reading: 'extends',
});

export const machineRead = defineKind('machine-read', {
  says: 'what was read between two places of the dead machine, its wires on; the newest of each standing and pair counts',
  fields: {
    at: standsSo(),
    between: two(machinePlaceSchema),
    conducts: says('null: nothing is said any more.', orNull(oneOf(CONDUCTS))),
  },
  undo: ['table', 'system'],
  reading: 'extends',
});
