import { AT_WORK, UNREAD, type Combination, type MachineHandle } from '@which-way/core/machine';
import type { DeviceContact, DeviceKind } from '@which-way/core/log';
import type { JobId, SettingId } from '@which-way/core/switch';
import { settingName } from '../terminals.js';

export const DEVICE_WORDS: Record<DeviceKind, string> = {
  float: 'float',
  thermostat: 'thermostat',
  door: 'door contact',
  relay: 'relay contact',
};

/** What a device is like at rest and at work. */
const DEVICE_STATE_WORDS: Record<DeviceKind, { rest: string; work: string }> = {
  float: { rest: 'water low', work: 'water high' },
  thermostat: { rest: 'cold', work: 'warm' },
  door: { rest: 'open', work: 'shut' },
  relay: { rest: 'at rest', work: 'pulled in' },
};

/** What its contact does, in the words of the device. */
export function contactWords(kind: DeviceKind, contact: DeviceContact): string {
  const { rest, work } = DEVICE_STATE_WORDS[kind];
  switch (contact) {
    case 'makes':
      return `closes when ${work}`;
    case 'breaks':
      return `closes when ${rest}`;
    case 'changes-over':
      return `changes over: 1 when ${rest}, 2 when ${work}`;
  }
}

/**
 * Titles without the words that all of them begin with, as long as something is left of each: 'Stairs, foot' and 'Stairs, head' are
 * 'foot' and 'head'.
 */
export function shortTitles(titles: readonly string[]): string[] {
  if (titles.length < 2) return [...titles];
  const words = withoutShared(titles.map((title) => title.split(' ')));
  return withoutShared(words.map((one) => one.toReversed())).map((one) => one.toReversed().join(' '));
}

/** Lists without what all of them begin with; one word of each stays. */
function withoutShared(lists: readonly string[][]): string[][] {
  const same = (at: number) => lists.every((one) => at < one.length - 1 && one[at] === lists[0]?.[at]);
  let from = 0;
  while (same(from)) from += 1;
  return lists.map((one) => one.slice(from));
}

/** What the jobs of a machine are called. */
export type JobNames = (job: JobId) => string;

/** A handle by a name that stays, whatever its job is called by now. */
export const handleKey = (handle: MachineHandle): string =>
  handle.of === 'device' ? handle.device.id : (handle.job ?? 'this');

export const handleName = (handle: MachineHandle, names: JobNames): string =>
  handle.of === 'device' ? handle.device.name : handle.job === null ? 'the switch' : names(handle.job);

/** How a handle stands. */
export function standingName(handle: MachineHandle, setting: SettingId): string {
  if (handle.of === 'device')
    return DEVICE_STATE_WORDS[handle.device.kind][setting === AT_WORK ? 'work' : 'rest'];
  if (setting === UNREAD || !handle.map) return 'not known';
  return settingName(handle.map.structure, setting);
}

/** How all handles stand, in a line: of one switch alone, the name of its setting. */
export const standingsWords = (
  handles: readonly MachineHandle[],
  combination: Combination,
  names: JobNames,
): string =>
  handles
    .map((handle, at) => {
      const stands = standingName(handle, combination[at] as SettingId);
      return handles.length === 1 ? stands : `${handleName(handle, names)} at ${stands}`;
    })
    .join(', ');
