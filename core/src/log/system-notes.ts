import type { JobId } from '../switch/index.js';
import type { MachinePlace } from './kinds/several/found-out.js';
import type { SystemDevice, SystemPoint } from './kinds/several/system.js';
import type { Log } from './log.js';
import { deedsOf, newestOf } from './records.js';

/** The switches of a system, in the order in which they came to it. */
export const membersOf = (log: Log): JobId[] =>
  newestOf(deedsOf(log, 'system-member'), ({ job }) => job).flatMap(({ job, belongs }) =>
    belongs ? [job] : [],
  );

/** The devices of a system. */
export const devicesOf = (log: Log): SystemDevice[] =>
  newestOf(
    deedsOf(log, 'system-device').map(({ device }) => device),
    ({ id }) => id,
  ).filter(({ removed }) => !removed);

/** A point by a name: the same points have the same. */
export const pointKey = (point: SystemPoint | MachinePlace): string => Object.values(point).join(' ');

/** What goes where in a system: each wire or pin once. */
export const systemJoinsOf = (log: Log): { from: SystemPoint; to: SystemPoint }[] =>
  newestOf(deedsOf(log, 'system-joined'), ({ from }) => pointKey(from)).flatMap(({ from, to }) =>
    to ? [{ from, to }] : [],
  );
