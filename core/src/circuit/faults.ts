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
  /** Of several switches: how each of them stands, by owner. A reading of one is the same however the others stand. */
  each?: readonly string[];
}

/** A fault with all that would be found out with it. */
export interface ModelledFault {
  fault: Fault;
  /** By setting and load, what would be seen. */
  shows: ReadonlyMap<string, Seen>;
  /** Whether a contact joins in a setting. */
  joins: (setting: SettingId, contact: readonly [number, number]) => boolean;
  /** Whether a load or a wire conducts from end to end. */
  whole: (part: LoadId | WireId) => boolean;
}

/** A fault with its chance, and how many of the observations it explains. */
export interface RankedFault extends ModelledFault {
  chance: number;
  explains: number;
}

/** A machine with every single fault, worked out once. */
export interface FaultModel {
  machine: Machine;
  settings: readonly Healthy[];
  healthy: ReadonlyMap<string, Seen>;
  faults: readonly ModelledFault[];
  contacts: readonly (readonly [number, number])[];
  wires: readonly WireId[];
}

/** A contact that was read with a meter: whether two terminals join in a setting, by place. */
export interface ContactRead {
  setting: SettingId;
  contact: readonly [number, number];
  joins: boolean;
}

/** A load or a wire that was tried by itself, freed: whether it conducts from end to end. */
export interface PartTried {
  part: LoadId | WireId;
  whole: boolean;
}

/** All that was found out so far. */
export interface Evidence {
  seen: readonly Observation[];
  read: readonly ContactRead[];
  tried: readonly PartTried[];
}

/** What to do next: the most bits a second. A look is at all loads of a setting that were not seen there yet. */
export type NextTest = { bits: number; seconds: number } & (
  | { kind: 'look'; setting: SettingId; loads: LoadId[] }
  | { kind: 'read'; setting: SettingId; contact: readonly [number, number] }
  | { kind: 'try'; part: LoadId | WireId }
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
/** Seconds to bring the handle there, and to look at each load; to read a contact, to free and try a part (figures to reckon with). */
const SECONDS = { handle: 3, look: 2, read: 20, try: 25 } as const;

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

const lugOf = ({ leads }: Machine, wire: WireId): number => leads.find((lead) => lead.wire === wire)?.a ?? 0;

const ofOneSwitch = ({ owner }: Machine, a: number, b: number): boolean => owner?.[a] === owner?.[b];

/** Every single fault of the switch, the wires, the loads and the supplies; and none. */
export function singleFaults(machine: Machine, settings: readonly Healthy[]): Fault[] {
  const contacts = contactsOf(machine, settings);
  const wired = wiredTerminals(machine);
  const wires = [...new Set(machine.leads.flatMap(({ wire }) => wire ?? []))];
  return [
    { kind: 'none' },
    ...(['never-closes', 'high'] as const).flatMap((kind) =>
      contacts.map((contact): Fault => ({ kind, contact })),
    ),
    // A bridge may lie between any two, not only where a contact is.
    ...wired.flatMap((a, at) =>
      wired
        .slice(at + 1)
        .filter((b) => ofOneSwitch(machine, a, b))
        .map((b): Fault => ({ kind: 'never-opens', contact: [a, b] })),
    ),
    ...wires.map((wire): Fault => ({ kind: 'wire-off', wire })),
    ...wires.flatMap((one, at) =>
      wires
        .slice(at + 1)
        .filter((other) => ofOneSwitch(machine, lugOf(machine, one), lugOf(machine, other)))
        .map((other): Fault => ({ kind: 'wires-swapped', wires: [one, other] })),
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
      const leads = machine.leads.map((lead) =>
        lead.wire === one
          ? { ...lead, a: lugOf(machine, other) }
          : lead.wire === other
            ? { ...lead, a: lugOf(machine, one) }
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

/** Works out what would be found with every single fault. */
export function faultModel(machine: Machine, settings: readonly Healthy[]): FaultModel {
  const faults = singleFaults(machine, settings).map((fault): ModelledFault => {
    const joined = new Map(
      settings.map(
        ({ setting, nets }) => [setting, partitionOf(nets.length, joinsWith(nets, fault))] as const,
      ),
    );
    return {
      fault,
      shows: showsOf(machine, settings, fault),
      joins: (setting, [a, b]) => joined.get(setting)?.[a] === joined.get(setting)?.[b],
      whole: (part) =>
        !(fault.kind === 'load-open' && fault.load === part) &&
        !(fault.kind === 'wire-off' && fault.wire === part),
    };
  });
  return {
    ...{ machine, settings, faults },
    healthy: showsOf(machine, settings, { kind: 'none' }),
    contacts: contactsOf(machine, settings),
    wires: [...new Set(machine.leads.flatMap(({ wire }) => wire ?? []))],
  };
}

/** Nothing found out yet. */
export const NO_EVIDENCE: Evidence = { seen: [], read: [], tried: [] };

/** Faults that may explain all that was found out, the likeliest first; those that nothing tells apart share their chance. */
export function rankFaults({ faults, healthy }: FaultModel, { seen, read, tried }: Evidence): RankedFault[] {
  const seenAs = ({ setting, load, seen: what }: Observation) =>
    what === 'right' ? healthy.get(lookKey(setting, load)) : what;
  const ranked = faults.map((one) => {
    let [weight, explains] = [PRIOR[one.fault.kind], 0];
    for (const observation of seen) {
      const would = one.shows.get(lookKey(observation.setting, observation.load));
      if (would === undefined) continue;
      const fits = would === seenAs(observation);
      weight *= fits ? 1 - WRONG : WRONG;
      if (fits) explains += 1;
    }
    for (const { setting, contact, joins } of read)
      weight *= one.joins(setting, contact) === joins ? 1 - MISREAD : MISREAD;
    for (const { part, whole } of tried) weight *= one.whole(part) === whole ? 1 - MISREAD : MISREAD;
    return { one, weight, explains };
  });
  const sum = ranked.reduce((all, { weight }) => all + weight, 0);
  return ranked
    .map(({ one, weight, explains }) => ({ ...one, explains, chance: weight / sum }))
    .toSorted((one, other) => other.chance - one.chance);
}

/** Once one fault is this likely nothing more is asked. */
export const SURE = 0.99;
/** Less than this is no news. */
const LEAST_BITS = 0.02;
/** Faults less likely than this are not asked about any more. */
const LEAST_CHANCE = 1e-4;

/** What tells most of what is still open in the least time; null where nothing tells anything, or it is sure. */
export function nextTest(
  { machine, settings, contacts, wires }: FaultModel,
  ranked: readonly RankedFault[],
  { seen, read, tried }: Evidence,
): NextTest | null {
  if ((ranked[0]?.chance ?? 1) >= SURE) return null;
  const open = ranked.filter(({ chance }) => chance > LEAST_CHANCE);
  const done = new Set(seen.map(({ setting, load }) => lookKey(setting, load)));
  const standing = new Map(settings.map(({ setting, each }) => [setting, each]));
  const readKey = (setting: SettingId, [a, b]: readonly [number, number]) =>
    `${standing.get(setting)?.[machine.owner?.[a] ?? 0] ?? setting} ${[a, b].toSorted((one, other) => one - other).join()}`;
  const wasRead = new Set(read.map(({ setting, contact }) => readKey(setting, contact)));
  const wasTried = new Set(tried.map(({ part }) => part));
  const tests: NextTest[] = [
    ...settings.flatMap(({ setting }): NextTest[] => {
      const loads = machine.loads.map(({ id }) => id).filter((id) => !done.has(lookKey(setting, id)));
      if (loads.length === 0) return [];
      const bits = bitsOf(open, ({ shows }) => loads.map((id) => shows.get(lookKey(setting, id))).join());
      return [{ kind: 'look', setting, loads, bits, seconds: SECONDS.handle + SECONDS.look * loads.length }];
    }),
    ...settings.flatMap(({ setting }) =>
      contacts
        .filter((contact) => !wasRead.has(readKey(setting, contact)))
        .map((contact): NextTest => ({
          ...{ kind: 'read', setting, contact, seconds: SECONDS.read },
          bits: bitsOf(open, ({ joins }) => joins(setting, contact)),
        })),
    ),
    ...[...machine.loads.map(({ id }) => id), ...wires]
      .filter((part) => !wasTried.has(part))
      .map((part): NextTest => ({
        ...{ kind: 'try', part, seconds: SECONDS.try },
        bits: bitsOf(open, ({ whole }) => whole(part)),
      })),
  ];
  const telling = tests.filter(({ bits }) => bits > LEAST_BITS);
  return telling.toSorted((one, other) => other.bits / other.seconds - one.bits / one.seconds)[0] ?? null;
}

/** Information in a test, in bits: the entropy of its outcome over the faults that are still likely. */
function bitsOf<Outcome>(
  ranked: readonly RankedFault[],
  outcomeOf: (fault: RankedFault) => Outcome | undefined,
): number {
  const chances = new Map<Outcome, number>();
  let sum = 0;
  for (const one of ranked) {
    const outcome = outcomeOf(one);
    if (outcome === undefined) continue;
    sum += one.chance;
    chances.set(outcome, (chances.get(outcome) ?? 0) + one.chance);
  }
  return [...chances.values()].reduce((bits, chance) => bits - (chance / sum) * Math.log2(chance / sum), 0);
}
