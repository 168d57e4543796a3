import { discrete, partitionOf } from '../partition/index.js';
import { netOf } from '../continuity/index.js';
import type { Field } from './field.js';

/** What the settings together have shown so far of every pair and every terminal, by place. */
export interface Experience {
  /** In how many settings two terminals are known to join, and to be apart: `size` squared. */
  joined: Uint16Array;
  apart: Uint16Array;
  /** With how many others a terminal joins in some setting. */
  degree: Uint16Array;
  /** In how many settings a terminal joins anything. */
  busy: Uint16Array;
  /** The pole of a terminal so far: its component over all settings. */
  pole: number[];
  /** Joins known in each setting (rank of its nets), and their mean over settings of which most is known. */
  joins: number[];
  usual: number;
  /** Pairs of nets that nobody knows of, in each setting, and those of them that a terminal's net is in. */
  open: number[];
  openAt: Uint16Array[];
  /** In each setting the net of every terminal, and whether it is alone in it. */
  nets: Int16Array[];
  alone: Uint8Array[];
  /** Of the joins seen more than once or never again: the share that came again, 0 to 1. */
  repeats: number;
}

/** Counts what is known, anew: a few microseconds for a small switch, well under a millisecond at 48 x 24. */
export function experienceOf({ size, places, settings }: Field): Experience {
  const [joined, apart] = [new Uint16Array(size * size), new Uint16Array(size * size)];
  const [degree, busy] = [new Uint16Array(size), new Uint16Array(size)];
  const pairs: [number, number][] = [];
  const openAt = settings.map(() => new Uint16Array(size));
  const open = settings.map(() => 0);
  const nets = settings.map((one) => Int16Array.from({ length: size }, (_, place) => netOf(one.nets, place)));
  const alone = nets.map(aloneIn);
  const joins = settings.map(({ nets: { apart: heldApart } }, setting) => {
    const net = nets[setting] as Int16Array;
    const met = new Uint8Array(size);
    places.forEach((a, at) => {
      for (let next = at + 1; next < places.length; next += 1) {
        const b = places[next] as number;
        const cell = a * size + b;
        if (net[a] === net[b]) {
          joined[cell] = (joined[cell] as number) + 1;
          met[a] = met[b] = 1;
        } else if (heldApart[(net[a] as number) * size + (net[b] as number)] === 1)
          apart[cell] = (apart[cell] as number) + 1;
        else if (net[a] === a && net[b] === b) {
          open[setting] = (open[setting] as number) + 1;
          count(openAt[setting], a);
          count(openAt[setting], b);
        }
      }
    });
    let rank = 0;
    for (const place of places) {
      if (met[place] === 1) busy[place] = (busy[place] as number) + 1;
      if (net[place] !== place) rank += 1;
    }
    return rank;
  });
  places.forEach((a, at) => {
    for (const b of places.slice(at + 1)) {
      const cell = a * size + b;
      const mirrored = b * size + a;
      joined[mirrored] = joined[cell] as number;
      apart[mirrored] = apart[cell] as number;
      if ((joined[cell] as number) === 0) continue;
      degree[a] = (degree[a] as number) + 1;
      degree[b] = (degree[b] as number) + 1;
      pairs.push([a, b]);
    }
  });
  const pairsOf = (nets: number) => (nets * (nets - 1)) / 2;
  const some = joins.filter(
    (rank, setting) => (open[setting] as number) < 0.3 * pairsOf(Math.max(2, places.length - rank)),
  );
  let [again, all] = [1, 3];
  for (const [a, b] of pairs) {
    const cell = a * size + b;
    const others = (joined[cell] as number) + (apart[cell] as number) - 1;
    if (others <= 0) continue;
    all += 1;
    again += Math.min(1, ((joined[cell] as number) - 1) / others);
  }
  return {
    nets,
    alone,
    open,
    openAt,
    repeats: again / all,
    joined,
    apart,
    degree,
    busy,
    pole: pairs.length > 0 ? partitionOf(size, pairs) : discrete(size),
    joins,
    usual: some.length > 0 ? some.reduce((sum, rank) => sum + rank, 0) / some.length : 0,
  };
}

function count(list: Uint16Array | undefined, place: number): void {
  if (list) list[place] = (list[place] as number) + 1;
}

/** What speaks for or against two terminals joining in a setting, each between about -1 and 1: see `FEATURES`. */
export function featuresOf(
  { size, places, settings }: Field,
  { joined, apart, degree, busy, pole, joins, usual, open, openAt, repeats, nets, alone }: Experience,
  setting: number,
  a: number,
  b: number,
): number[] {
  const cell = a * size + b;
  const [closed, parted] = [joined[cell] as number, apart[cell] as number];
  const seen = closed + parted;
  const joinedAt = (at: number) => nets[at] !== undefined && nets[at][a] === nets[at][b];
  const apartAt = (at: number) => {
    const beside = nets[at];
    const held = settings[at]?.nets.apart;
    return beside !== undefined && held?.[(beside[a] as number) * size + (beside[b] as number)] === 1;
  };
  const here = alone[setting] as Uint8Array;
  const [hub, other] = (degree[a] as number) >= (degree[b] as number) ? [a, b] : [b, a];
  const [most, least] = [degree[hub] as number, degree[other] as number];
  const samePole = pole[a] === pole[b];
  const idle = here[hub] === 1 && (busy[hub] as number) > 0;
  const left = Math.max(1, open[setting] as number);
  const missing = usual - (joins[setting] as number);
  const hubNet = nets[setting]?.[hub] ?? hub;
  const choices = Math.max(1, (openAt[setting] as Uint16Array)[hubNet] as number);
  return [
    1,
    logit(usual > 0 ? missing / left : 0.7 / places.length),
    usual > 0 ? 0 : 1,
    closed > 0 ? repeats : 0,
    closed > 0 ? 1 - repeats : 0,
    seen > 0 ? closed / seen : 0,
    closed > 0 && parted === 0 ? 1 : 0,
    closed === 0 ? Math.min(parted, 6) / 6 : 0,
    joinedAt(setting - 1) || joinedAt(setting + 1) ? repeats : 0,
    apartAt(setting - 1) || apartAt(setting + 1) ? 1 : 0,
    most === 0 ? 1 : 0,
    samePole && closed === 0 && seen > 0 ? 1 : 0,
    !samePole && least > 0 ? 1 : 0,
    here[a] === 1 && here[b] === 1 ? 1 : 0,
    idle && most > 1 ? 1 + logit(1 / (choices + 0.5)) / 4 : 0,
    idle && most > 1 && (least === 0 || closed > 0) ? 1 : 0,
    most > 1 && least === 0 ? 1 : 0,
    seen === 0 ? 1 : 0,
    here[other] === 1 && !idle && most > 1 ? 1 : 0,
    repeats,
  ];
}

/** ln(p / (1 - p)), with p held between 0.002 and 0.9, over 3. */
function logit(chance: number): number {
  const held = Math.min(0.9, Math.max(0.002, chance));
  return Math.log(held / (1 - held)) / 3;
}

/** Names of the features, in order; the weights are stored with them. */
export const FEATURES = [
  'bias',
  'joins missing here over pairs left',
  'no setting known yet',
  'joined elsewhere, where joins come again',
  'joined elsewhere, where they do not',
  'share of settings in which it is joined',
  'joined in all',
  'joined in none of so many',
  'joined beside, where joins come again',
  'apart beside',
  'no partners',
  'two throws of a pole',
  'of two poles',
  'both alone here',
  'the hub is idle here, over its choices',
  'the hub is idle, and the other a throw of it or new',
  'a hub and a terminal without partners',
  'nothing known elsewhere',
  'the hub has its throw here',
  'joins come again',
] as const;

/** Which places share their net with nobody. */
function aloneIn(net: Int16Array): Uint8Array {
  const members = new Uint16Array(net.length);
  for (const name of net) members[name] = (members[name] as number) + 1;
  return Uint8Array.from(net, (name) => (members[name] === 1 ? 1 : 0));
}
