import type { SwitchMap } from '../continuity/index.js';
import { devicesOf, membersOf, pointKey, type DevicePin, type Log, type SystemDevice } from '../log/index.js';
import { requiredSettings, type JobId, type SettingId } from '../switch/index.js';

/** What is known of the switches of a system; `null`: put away, deleted or not readable, and nothing of it counts. */
export type Members = ReadonlyMap<JobId, SwitchMap | null>;

/** Something of a system that stands in one way or another: the settings of a switch, or the states of a device. */
export type SystemHandle = {
  /** Its terminals in the machine: from this place on, so many. */
  from: number;
  size: number;
  /** In the order in which they are stepped through; of a switch that cannot be read: one, of which nothing is known. */
  settings: readonly SettingId[];
} & ({ of: 'switch'; job: JobId; map: SwitchMap | null } | { of: 'device'; device: SystemDevice });

/** States of a device, as settings. */
export const AT_REST = 'rest' as SettingId;
export const AT_WORK = 'work' as SettingId;
/** The one setting of a switch that cannot be read, or of which no position is described. */
export const UNREAD = 'not-read' as SettingId;

/** Pins that a device has. */
export const pinsOf = ({ contact }: Pick<SystemDevice, 'contact'>): readonly DevicePin[] =>
  contact === 'makes' ? ['C', '2'] : contact === 'breaks' ? ['C', '1'] : ['C', '1', '2'];

/** The switches of a system and then its devices, each with its places in the machine. */
export function handlesOf(log: Log, members: Members): SystemHandle[] {
  let next = 0;
  const places = (size: number) => {
    const from = next;
    next += size;
    return { from, size };
  };
  return [
    ...membersOf(log).map((job): SystemHandle => {
      const map = members.get(job) ?? null;
      const known = map ? requiredSettings(map.structure).map(({ id }) => id) : [];
      const settings = known.length > 0 ? known : [UNREAD];
      return { of: 'switch', job, map, settings, ...places(map?.structure.terminals.length ?? 0) };
    }),
    ...devicesOf(log).map((device): SystemHandle => {
      const settings = [AT_REST, AT_WORK];
      return { of: 'device', device, settings, ...places(pinsOf(device).length) };
    }),
  ];
}

/** The terminals of a handle by the names of their points, in their order. */
export function terminalKeys(handle: SystemHandle): string[] {
  return handle.of === 'device'
    ? pinsOf(handle.device).map((pin) => pointKey({ at: 'device', device: handle.device.id, pin }))
    : (handle.map?.structure.terminals ?? []).map(({ id }) =>
        pointKey({ at: 'terminal', job: handle.job, terminal: id }),
      );
}

/** The switches that can be read. */
export const readableOf = (handles: readonly SystemHandle[]) =>
  handles.flatMap((handle) => (handle.of === 'switch' && handle.map ? [{ ...handle, map: handle.map }] : []));

/** Whether nothing of it counts: a switch that is put away, deleted or not readable. */
export const isUnread = (handle: SystemHandle): boolean => handle.of === 'switch' && handle.map === null;
