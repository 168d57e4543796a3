import type { LoadId, SettingId, SupplyId, WireId } from '../switch/index.js';
import { blocks, partitionFromGroups, partitionOf, type Partition } from '../partition/index.js';
import type { LoadDoes } from './load-state.js';
import { wiredTerminals } from './in-machine.js';
import type { Machine } from './machine.js';
import { powered, type MachineFault } from './power.js';

/** One thing that may be wrong. Places of terminals; leads by their wires. */
export type Fault =
  | { kind: 'none' }
  | { kind: 'never-closes' | 'never-opens' | 'high'; contact: readonly [common: number, other: number] }
  | { kind: 'wire-off'; wire: WireId }
  | { kind: 'wires-swapped'; wires: readonly [WireId, WireId] }
  | { kind: 'load-open'; load: LoadId }
  | { kind: 'supply-missing'; supply: SupplyId };

/** What a person saw of a load. */
export const SEEN = ['off', 'on', 'weak', 'reversed'] as const;
export type Seen = (typeof SEEN)[number];

/** Something that was seen: what a load did in a setting; `right`: as it should. */
export interface Observation {
  setting: SettingId;
  load: LoadId;
  seen: Seen | 'right';
}

/** A setting with the nets that the switch should make there, over its places. */
export interface Healthy {
  setting: SettingId;
  nets: Partition;
}

/** A fault with its chance, and which observations it explains. */
export interface RankedFault {
  fault: Fault;
  chance: number;
  explains: number;
  /** By setting and load, what would be seen with it. */
  shows: ReadonlyMap<string, Seen>;
  /** Whether a contact joins in a setting with it. */
  joins: (setting: SettingId, contact: readonly [number, number]) => boolean;
}

/** A contact that was read with a meter: whether two terminals join in a setting, by place. */
export interface ContactRead {
  setting: SettingId;
  contact: readonly [number, number];
  joins: boolean;
}

/** What to do next: the most bits a second. */
export type NextTest = { setting: SettingId; bits: number; seconds: number } & (
  { kind: 'look'; load: LoadId } | { kind: 'read'; contact: readonly [number, number] }
);

/** A person's look is wrong this often (a figure to reckon with, not measured). */
const WRONG = 0.03;
/** Weights of faults before anything was seen (common practice: contacts wear first, loads burn, wires come off). */
const PRIOR: Record<Fault['kind'], number> = {
  none: 0.2,
  'never-closes': 1,
  'never-opens': 0.5,
  high: 0.7,
  'load-open': 0.8,
  'wire-off': 0.6,
  'supply-missing': 0.5,
  'wires-swapped': 0.15,
};
/** A reading at bare lugs is wrong this often. */
const MISREAD = 0.005;
/** Seconds to bring the handle there and to look; to make it safe and to read a contact (figures to reckon with). */
const [LOOK_SECONDS, READ_SECONDS] = [5, 40];

export const lookKey = (setting: SettingId, load: LoadId): string => `${setting} ${load}`;

/** What is seen of a load that does this. */
function seenOf(does: LoadDoes, healthy: LoadDoes): Seen {
  switch (does) {
    case 'full':
      return 'on';
    case 'part':
      // What is meant to run on a part is not weak.
      return healthy === 'part' ? 'on' : 'weak';
    case 'reversed':
      return 'reversed';
    default:
      return 'off';
  }
}

/** Contacts of the switch: pairs of wired terminals that some setting joins and that no third one joins for them everywhere. */
function contactsOf(machine: Machine, settings: readonly Healthy[]): (readonly [number, number])[] {
  const wired = wiredTerminals(machine);
  const found = new Map<string, readonly [number, number]>();
  for (const { nets } of settings)
    for (const net of blocks(nets)) {
      const inNet = net.filter((place) => wired.includes(place));
      // The terminal that joins most is the common: contacts go from it.
      const common = inNet.toSorted((a, b) => joinsOf(settings, b) - joinsOf(settings, a) || a - b)[0];
      for (const other of inNet)
        if (common !== undefined && other !== common) {
          found.set([common, other].toSorted((a, b) => a - b).join(), [common, other]);
        }
    }
  return [...found.values()];
}

const joinsOf = (settings: readonly Healthy[], place: number): number =>
  settings.filter(({ nets }) => nets.some((root, other) => other !== place && root === nets[place])).length;

/** Every single fault of the switch, the wires, the loads and the supplies; and none. */
export function singleFaults(machine: Machine, settings: readonly Healthy[]): Fault[] {
  const contacts = contactsOf(machine, settings);
  const wires = [...new Set(machine.leads.flatMap(({ wire }) => wire ?? []))];
  return [
    { kind: 'none' },
    ...(['never-closes', 'never-opens', 'high'] as const).flatMap((kind) =>
      contacts.map((contact): Fault => ({ kind, contact })),
    ),
    ...wires.map((wire): Fault => ({ kind: 'wire-off', wire })),
    ...wires.flatMap((one, at) =>
      wires.slice(at + 1).map((other): Fault => ({ kind: 'wires-swapped', wires: [one, other] })),
    ),
    ...machine.loads.map(({ id }): Fault => ({ kind: 'load-open', load: id })),
    ...machine.supplies
      .filter(({ kind }) => kind !== 'earth')
      .map(({ id }): Fault => ({ kind: 'supply-missing', supply: id })),
  ];
}

/** Joins of a setting with a fault of a contact in it: where it does not close, its throw stands alone. */
function joinsWith(nets: Partition, fault: Fault): [number, number][] {
  const dead = fault.kind === 'never-closes' || fault.kind === 'high' ? fault.contact : null;
  const groups = blocks(nets)
    .filter((net) => net.length > 1)
    .map((net) =>
      dead?.every((place) => net.includes(place)) ? net.filter((place) => place !== dead[1]) : net,
    );
  const also = fault.kind === 'never-opens' ? [[...fault.contact]] : [];
  const joined = partitionFromGroups(nets.length, [...groups, ...also]);
  return joined.flatMap((root, place): [number, number][] => (root === place ? [] : [[root, place]]));
}

/** The machine with a fault of its wires, loads or supplies. */
function machineWith(machine: Machine, fault: Fault): { machine: Machine; fault: MachineFault } {
  switch (fault.kind) {
    case 'wire-off':
      return {
        machine,
        fault: { off: new Set(machine.leads.flatMap(({ wire }, at) => (wire === fault.wire ? [at] : []))) },
      };
    case 'wires-swapped': {
      const [one, other] = fault.wires;
      const lugOf = (wire: WireId) => machine.leads.find((lead) => lead.wire === wire)?.a ?? 0;
      const leads = machine.leads.map((lead) =>
        lead.wire === one
          ? { ...lead, a: lugOf(other) }
          : lead.wire === other
            ? { ...lead, a: lugOf(one) }
            : lead,
      );
      return { machine: { ...machine, leads }, fault: {} };
    }
    case 'load-open':
      return { machine, fault: { dead: new Set([fault.load]) } };
    case 'supply-missing':
      return { machine, fault: { missing: new Set([fault.supply]) } };
    default:
      return { machine, fault: {} };
  }
}

/** What would be seen with a fault, by setting and load; a load of which nothing can be said is left out. */
export function showsOf(machine: Machine, settings: readonly Healthy[], fault: Fault): Map<string, Seen> {
  const shows = new Map<string, Seen>();
  const faulty = machineWith(machine, fault);
  for (const { setting, nets } of settings) {
    const healthy = powered(machine, joinsWith(nets, { kind: 'none' }));
    const now = powered(faulty.machine, joinsWith(nets, fault), faulty.fault);
    for (const { id } of machine.loads) {
      const [should, does] = [healthy.loads.get(id)?.does, now.loads.get(id)?.does];
      if (!should || !does || should === 'not-known' || does === 'not-known') continue;
      const seen = seenOf(does, should);
      // A contact of high resistance lets what runs through it run weakly.
      const weak = fault.kind === 'high' && seen === 'off' && seenOf(should, should) !== 'off';
      shows.set(lookKey(setting, id), weak ? 'weak' : seen);
    }
  }
  return shows;
}

/**
 * Faults that may explain what was seen and what was read of the bare switch, the likeliest first; those that show the very same
 * stand together by their chance.
 */
export function rankFaults(
  machine: Machine,
  settings: readonly Healthy[],
  observations: readonly Observation[],
  readings: readonly ContactRead[] = [],
): RankedFault[] {
  const healthy = showsOf(machine, settings, { kind: 'none' });
  const netsAt = new Map(settings.map(({ setting, nets }) => [setting, nets]));
  const seenAs = ({ setting, load, seen }: Observation) =>
    seen === 'right' ? healthy.get(lookKey(setting, load)) : seen;
  const ranked = singleFaults(machine, settings).map((fault) => {
    const shows = showsOf(machine, settings, fault);
    const joined = new Map<SettingId, Partition>();
    for (const [setting, nets] of netsAt)
      joined.set(setting, partitionOf(nets.length, joinsWith(nets, fault)));
    const joins: RankedFault['joins'] = (setting, [a, b]) =>
      joined.get(setting)?.[a] === joined.get(setting)?.[b];
    let [weight, explains] = [PRIOR[fault.kind], 0];
    for (const observation of observations) {
      const would = shows.get(lookKey(observation.setting, observation.load));
      if (would === undefined) continue;
      const fits = would === seenAs(observation);
      weight *= fits ? 1 - WRONG : WRONG;
      if (fits) explains += 1;
    }
    for (const { setting, contact, joins: read } of readings)
      weight *= joins(setting, contact) === read ? 1 - MISREAD : MISREAD;
    return { fault, weight, explains, shows, joins };
  });
  const sum = ranked.reduce((all, { weight }) => all + weight, 0);
  return ranked
    .map(({ weight, ...one }) => ({ ...one, chance: weight / sum }))
    .toSorted((one, other) => other.chance - one.chance);
}

/** Once one fault is this likely nothing more is asked. */
export const SURE = 0.99;
/** Less than this is no news. */
const LEAST_BITS = 0.02;

/** The look or reading that tells most of what is still open, in the least time; null where none tells anything. */
export function nextTest(
  machine: Machine,
  settings: readonly Healthy[],
  ranked: readonly RankedFault[],
  observations: readonly Observation[],
  readings: readonly ContactRead[] = [],
): NextTest | null {
  if ((ranked[0]?.chance ?? 1) >= SURE) return null;
  const done = new Set(observations.map(({ setting, load }) => lookKey(setting, load)));
  const read = new Set(readings.map(({ setting, contact }) => `${setting} ${contact.toSorted().join()}`));
  const tests = settings.flatMap(({ setting }): NextTest[] => [
    ...machine.loads
      .filter(({ id }) => !done.has(lookKey(setting, id)))
      .map(({ id }): NextTest => ({
        ...{ kind: 'look', setting, load: id, seconds: LOOK_SECONDS },
        bits: bitsOf(ranked, ({ shows }) => shows.get(lookKey(setting, id))),
      })),
    ...contactsOf(machine, settings)
      .filter((contact) => !read.has(`${setting} ${contact.toSorted().join()}`))
      .map((contact): NextTest => ({
        ...{ kind: 'read', setting, contact, seconds: READ_SECONDS },
        bits: bitsOf(ranked, ({ joins }) => joins(setting, contact)),
      })),
  ]);
  const telling = tests.filter(({ bits }) => bits > LEAST_BITS);
  return telling.toSorted((one, other) => other.bits / other.seconds - one.bits / one.seconds)[0] ?? null;
}

/** Information in a test, in bits: the entropy of its outcome over the faults that are still likely. */
function bitsOf<Outcome>(
  ranked: readonly RankedFault[],
  outcomeOf: (fault: RankedFault) => Outcome | undefined,
): number {
  const chances = new Map<Outcome, number>();
  for (const one of ranked) {
    const outcome = outcomeOf(one);
    if (outcome !== undefined) chances.set(outcome, (chances.get(outcome) ?? 0) + one.chance);
  }
  return [...chances.values()].reduce(
    (sum, chance) => sum - (chance > 0 ? chance * Math.log2(chance) : 0),
    0,
  );
}
