import type { LoadId, SupplyId, WireId } from '../switch/index.js';
import type { DeedKind, DeedOf } from './deed.js';
import type { Conducts } from './kinds/judge/machine-probed.js';
import {
  standingKey,
  type LoadLooked,
  type MachinePlace,
  type SettingOfJob,
} from './kinds/several/found-out.js';
import type { JobEvent } from './event.js';
import { compareEvents, liveEvents, type Log } from './log.js';
import { newestOf } from './records.js';
import { pointKey } from './system-notes.js';

/** What events of several kinds say, in the order in which they came. */
const deedsInOrder = <Name extends DeedKind>(log: Log, kinds: readonly Name[]): DeedOf<Name>[] =>
  kinds
    .flatMap((kind): JobEvent<DeedOf<Name>>[] => liveEvents(log, kind))
    .toSorted(compareEvents)
    .map(({ what }) => what);

/** What loads were seen to do: the newest of each load and standing, whichever kind of event has it. */
export const loadsLookedOf = (log: Log): (LoadLooked & { seen: NonNullable<LoadLooked['seen']> })[] =>
  newestOf(
    deedsInOrder(log, ['loads-seen', 'system-looked', 'machine-looked']).flatMap((deed): LoadLooked[] =>
      deed.kind === 'loads-seen'
        ? deed.seen.map(({ setting, ...of }) => ({ ...of, at: [{ of: 'switch', setting }] }))
        : deed.seen,
    ),
    ({ at, load }) => `${standingKey(at)} ${load}`,
  ).flatMap(({ seen, ...of }) => (seen ? [{ ...of, seen }] : []));

/** Loads and wires that were tried by themselves, whether each conducts; supplies, whether each is there. */
export const partsTriedOf = (log: Log): { part: LoadId | WireId | SupplyId; whole: boolean }[] =>
  newestOf(
    deedsInOrder(log, ['part-tried', 'system-part-tried', 'machine-part-tried']),
    ({ part }) => part,
  ).flatMap(({ part, whole }) => (whole === null ? [] : [{ part, whole }]));

/** What was read between two places of a dead machine. */
export interface DeadRead {
  at: readonly SettingOfJob[];
  between: readonly [MachinePlace, MachinePlace];
  conducts: Conducts | null;
}

/** What was read of the dead machine, wires on: the newest of each standing and pair. */
export const deadReadsOf = (log: Log): (DeadRead & { conducts: Conducts })[] =>
  newestOf(
    deedsInOrder(log, ['machine-probed', 'system-probed', 'machine-read']).flatMap((deed): DeadRead[] => {
      if (deed.kind === 'machine-probed') {
        const { setting, between, conducts } = deed;
        return [{ at: [{ of: 'switch', setting }], between, conducts }];
      }
      // A probe lies on a lug: what is said of a wire stands for no place.
      const [one, other] = deed.between;
      if (one.at === 'wire' || other.at === 'wire') return [];
      return [{ at: deed.at, between: [one, other], conducts: deed.conducts }];
    }),
    ({ at, between }) => `${standingKey(at)} ${between.map(pointKey).toSorted().join()}`,
  ).flatMap(({ conducts, ...of }) => (conducts ? [{ ...of, conducts }] : []));
