import type { JobId, LoadId, SupplyId, WireId } from '../switch/index.js';
import type { Conducts } from './kinds/judge/machine-probed.js';
import type { HandleStanding, SystemDevice, SystemPoint, SystemSeen } from './kinds/several/system.js';
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
export const pointKey = (point: SystemPoint): string => Object.values(point).join(' ');

/** What goes where in a system: each wire or pin once. */
export const systemJoinsOf = (log: Log): { from: SystemPoint; to: SystemPoint }[] =>
  newestOf(deedsOf(log, 'system-joined'), ({ from }) => pointKey(from)).flatMap(({ from, to }) =>
    to ? [{ from, to }] : [],
  );

/** How handles and devices stand, by a name that does not hang on their order. */
export const combinationKey = (at: readonly HandleStanding[]): string =>
  at
    .map((one) => (one.of === 'switch' ? `${one.job} ${one.setting}` : `${one.device} ${one.state}`))
    .toSorted()
    .join();

/** What loads of a system were seen to do. */
export const systemSeenOf = (log: Log): (SystemSeen & { seen: NonNullable<SystemSeen['seen']> })[] =>
  newestOf(
    deedsOf(log, 'system-looked').flatMap(({ seen }) => seen),
    ({ at, load }) => `${combinationKey(at)} ${load}`,
  ).flatMap(({ seen, ...of }) => (seen ? [{ ...of, seen }] : []));

/** Loads and wires of a system that were tried by themselves, whether each conducts; supplies, whether each is there. */
export const systemPartsTriedOf = (log: Log): { part: LoadId | WireId | SupplyId; whole: boolean }[] =>
  newestOf(deedsOf(log, 'system-part-tried'), ({ part }) => part).flatMap(({ part, whole }) =>
    whole === null ? [] : [{ part, whole }],
  );

/** What was read of the dead machine of a system, wires on. */
export const systemProbedOf = (
  log: Log,
): {
  at: readonly HandleStanding[];
  between: readonly [SystemPoint, SystemPoint];
  conducts: Conducts;
}[] =>
  newestOf(
    deedsOf(log, 'system-probed'),
    ({ at, between }) => `${combinationKey(at)} ${between.map(pointKey).toSorted().join()}`,
  ).flatMap(({ at, between, conducts }) => (conducts ? [{ at, between, conducts }] : []));
