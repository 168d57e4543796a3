import type { SwitchMap } from '../../continuity/index.js';
import { pointKey, type DevicePin, type SystemDevice } from '../../log/index.js';
import { requiredSettings, type JobId, type SettingId } from '../../switch/index.js';

/** What is known of several switches by their jobs; `null`: put away, deleted or not readable, and nothing of it counts. */
export type Members = ReadonlyMap<JobId, SwitchMap | null>;

/** Something of a machine that stands in one way or another: the settings of a switch, or the states of a device. */
export type MachineHandle = Places & (({ of: 'switch' } & Subject) | { of: 'device'; device: SystemDevice });

/** A switch that can be read. */
export type SwitchHandle = Places & { of: 'switch'; job: JobId | null; map: SwitchMap };

/** Where something has its terminals, and how it may stand. */
interface Places {
  /** Its terminals in the machine: from this place on, so many. */
  from: number;
  size: number;
  /** In the order in which they are stepped through; of a switch that cannot be read: one, of which nothing is known. */
  settings: readonly SettingId[];
}

/** A switch in a machine: which job it is of, null where the machine is written down in that very job; and what is known of it. */
interface Subject {
  job: JobId | null;
  map: SwitchMap | null;
}

/** States of a device, as settings. */
export const AT_REST = 'rest' as SettingId;
export const AT_WORK = 'work' as SettingId;
/** The one setting of a switch that cannot be read, or of which no position is described. */
export const UNREAD = 'not-read' as SettingId;

/** Pins that a device has. */
export const pinsOf = ({ contact }: Pick<SystemDevice, 'contact'>): readonly DevicePin[] =>
  contact === 'makes' ? ['C', '2'] : contact === 'breaks' ? ['C', '1'] : ['C', '1', '2'];

/** Switches and then devices, each with its places in the machine. */
export function handlesOf(subjects: readonly Subject[], devices: readonly SystemDevice[]): MachineHandle[] {
  let next = 0;
  const places = (size: number) => {
    const from = next;
    next += size;
    return { from, size };
  };
  return [
    ...subjects.map(({ job, map }): MachineHandle => {
      const known = map ? requiredSettings(map.structure).map(({ id }) => id) : [];
      const settings = known.length > 0 ? known : [UNREAD];
      return { of: 'switch', job, map, settings, ...places(map?.structure.terminals.length ?? 0) };
    }),
    ...devices.map((device): MachineHandle => {
      const settings = [AT_REST, AT_WORK];
      return { of: 'device', device, settings, ...places(pinsOf(device).length) };
    }),
  ];
}

/** The terminals of a handle by the names of their points, in their order. */
export function terminalKeys(handle: MachineHandle): string[] {
  return handle.of === 'device'
    ? pinsOf(handle.device).map((pin) => pointKey({ at: 'device', device: handle.device.id, pin }))
    : (handle.map?.structure.terminals ?? []).map(({ id }) =>
        pointKey({ at: 'terminal', ...(handle.job !== null && { job: handle.job }), terminal: id }),
      );
}

/** The switches that can be read. */
export const readableOf = (handles: readonly MachineHandle[]): SwitchHandle[] =>
  handles.flatMap((handle) => (handle.of === 'switch' && handle.map ? [{ ...handle, map: handle.map }] : []));

/** Whether nothing of it counts: a switch that is put away, deleted or not readable. */
export const isUnread = (handle: MachineHandle): boolean => handle.of === 'switch' && handle.map === null;
