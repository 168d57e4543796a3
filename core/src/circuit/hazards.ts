import { join } from '../partition/index.js';
import type { LoadId, SettingId, SupplyId } from '../switch/index.js';
import { standsOf, type ContactsAt } from './contacts.js';
import { wiredTerminals, type InSetting } from './in-machine.js';
import type { Machine } from './machine.js';
import { powered } from './power.js';

/** Whether a handle was seen to join neighbouring settings in passing; null: nobody has looked. */
export type MakesBefore = boolean | null;

/** Something that can hurt, with what makes it. */
export type Hazard =
  | { kind: 'short'; setting: SettingId; supplies: SupplyId[]; certain: boolean }
  /** Two live potentials of one kind meet, or may: two sources, or one behind two fuses. Not known to be safe. */
  | { kind: 'sources-joined'; setting: SettingId; supplies: SupplyId[]; certain: false }
  /** Everything is off, and a load is live all the same: only its return is broken. */
  | { kind: 'live-at-off'; setting: SettingId; loads: LoadId[] }
  /** While the handle passes: seen, or not known whether the old contact opens first. */
  | { kind: 'short-in-passing'; from: SettingId; to: SettingId; supplies: SupplyId[]; certain: boolean }
  /** The same while the handle passes; `seen`: it was seen to make before it breaks. */
  | {
      kind: 'sources-joined-in-passing';
      from: SettingId;
      to: SettingId;
      supplies: SupplyId[];
      seen: boolean;
      certain: false;
    }
  /** From one direction to the other with no stop between: a running motor may not turn about. */
  | { kind: 'reversed-at-once'; from: SettingId; to: SettingId; load: LoadId }
  /** A start winding stays fed in a setting that the handle rests in. */
  | { kind: 'start-stays'; setting: SettingId; load: LoadId };

/** A setting with its contacts, in handle order. */
export interface HandleStop {
  contacts: ContactsAt;
  result: InSetting;
  /** The handle springs back from there. */
  springs: boolean;
}

/** Every hazard of the machine, those in a setting before those in passing. */
export function hazardsOf(
  machine: Machine,
  standings: readonly HandleStop[],
  makesBefore: MakesBefore,
): Hazard[] {
  return [
    ...standings.flatMap(({ result }) => inStanding(result)),
    ...standings.flatMap((one) => startStays(machine, one)),
    ...standings
      .slice(1)
      .flatMap((to, at) => inPassing(machine, standings[at] as HandleStop, to, makesBefore)),
  ];
}

/** What can hurt in one setting. */
export function inStanding({ setting, loads, shorts, maybeShorts, joined }: InSetting): Hazard[] {
  const states = [...loads];
  // A load of which nothing is known does not hide one that is known to be live.
  const idle = states.every(([, { does }]) => does === 'off' || does === 'floating' || does === 'not-known');
  const live = states.filter(([, { does }]) => does === 'floating').map(([id]) => id);
  return [
    ...shorts.map((supplies): Hazard => ({ kind: 'short', setting, supplies, certain: true })),
    ...maybeShorts.map((supplies): Hazard => ({ kind: 'short', setting, supplies, certain: false })),
    ...joined.map((supplies): Hazard => ({ kind: 'sources-joined', setting, supplies, certain: false })),
    ...(idle && live.length > 0 ? [{ kind: 'live-at-off' as const, setting, loads: live }] : []),
  ];
}

function startStays({ loads, endNode }: Machine, { result, springs }: HandleStop): Hazard[] {
  if (springs) return [];
  return loads.flatMap(({ id, make }): Hazard[] => {
    if (make !== 'run-start') return [];
    const { nets, live } = result.known;
    const net = (end: string) => nets[endNode.get(`${id} ${end}`) as number] as number;
    const fed = live.has(net('S')) !== live.has(net('C')) && result.loads.get(id)?.does !== 'not-known';
    return fed ? [{ kind: 'start-stays', setting: result.setting, load: id }] : [];
  });
}

/** What joins for a moment where the next contact makes before the last one breaks: both settings' nets together. */
export function inPassing(
  machine: Machine,
  from: HandleStop,
  to: HandleStop,
  makesBefore: MakesBefore,
): Hazard[] {
  const ends = { from: from.result.setting, to: to.result.setting };
  const turned = machine.loads.flatMap(({ id }): Hazard[] => {
    const does = [from, to].map(({ result }) => result.loads.get(id)?.does);
    const both = does.includes('reversed') && (does.includes('full') || does.includes('part'));
    return both ? [{ kind: 'reversed-at-once', ...ends, load: id }] : [];
  });
  if (makesBefore === false) return turned;
  const wired = wiredTerminals(machine);
  const [one] = standsOf(from.contacts, wired) ?? [];
  const [other] = standsOf(to.contacts, wired) ?? [];
  if (!one || !other) return turned;
  const union = join(one, other);
  const passing = powered(
    machine,
    union.flatMap((root, place): [number, number][] => (root === place ? [] : [[root, place]])),
  );
  const here = new Set(
    [from, to].flatMap(({ result }) =>
      [...result.shorts, ...result.joined].map((short) => short.toSorted().join()),
    ),
  );
  const fresh = (met: readonly SupplyId[][]) =>
    met.filter((supplies) => !here.has(supplies.toSorted().join()));
  const seen = makesBefore === true;
  return [
    ...turned,
    ...fresh(passing.shorts).map((supplies): Hazard => ({
      kind: 'short-in-passing',
      ...ends,
      supplies,
      certain: seen,
    })),
    ...fresh(passing.joined).map((supplies): Hazard => ({
      kind: 'sources-joined-in-passing',
      ...ends,
      supplies,
      seen,
      certain: false,
    })),
  ];
}
